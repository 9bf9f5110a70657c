<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Quantity\EngineSpeed;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\GearHabit;
use NobleTurn\Core\Vehicle\Gearbox;

/** Gear and clutch along the approach of a car with a clutch pedal. Brake before clutch, clutch up before steering. */
final readonly class Gears
{
    /** The engine turns at least this fast on the way to the junction, rpm (assumed). */
    private const CRUISE_RPM = 1750.0;

    /** ... and at least this fast where it pulls out of the turn (assumed). */
    private const TURN_RPM = 1000.0;

    /** Going down through the gears, the next one is taken here (assumed). */
    private const SEQUENTIAL_RPM = 1300.0;

    /** The clutch goes down a little before the engine would labour (assumed share of idling speed). */
    private const ABOVE_IDLE = 1.1;

    /** "Below about 20 mph before the clutch goes down for a turn" (common practice). */
    public const CLUTCH_RULE_MPH = 20.0;

    /**
     * @param  list<GearChange>  $changes  in driving order
     * @param  ?float  $clutchDownToStopSeconds  from when the clutch stays down for the stop; null where the car rolls on
     */
    private function __construct(
        public int $approachGear,
        public array $changes,
        public ?float $clutchDownToStopSeconds,
        private float $slipsBelow,
        private Chain $chain,
    ) {
    }

    public static function for(Chain $chain): self
    {
        $box = $chain->approach->vehicle->gearbox;
        $gear = self::approachGear($box, Speed::ofMetresPerSecond($chain->profile->approachMps()));
        $stops = $chain->lineSpeed->metresPerSecond <= 0.0;
        $target = $stops ? min($gear, 2) : min($gear, self::gearAtLine($chain, $box));
        $changes = self::changes($chain, $box, $gear, $target, $stops);
        $last = $changes === [] ? $gear : $changes[count($changes) - 1]->to;
        $idle = self::idleSpeed($chain, $box, $last);

        return new self($gear, $changes, $stops ? self::whenSlowerThan($chain, self::ABOVE_IDLE * $idle) : null, $idle, $chain);
    }

    /** When the last clutch action begins, seconds to go; null where there is none. */
    public function lastClutchDownSeconds(): ?float
    {
        $down = $this->changes === [] ? $this->clutchDownToStopSeconds : $this->changes[count($this->changes) - 1]->downSeconds;

        // Brake before clutch, also where the car comes so slowly that the engine would soon labour.
        return $down === null ? null : min($down, $this->chain->brakeSeconds - 0.1);
    }

    public function gearAt(float $secondsToGo): int
    {
        $gear = $this->approachGear;
        foreach ($this->changes as $change) {
            if ($secondsToGo <= $change->upSeconds) {
                $gear = $change->to;
            }
        }

        return $gear;
    }

    /** The gear in which the car goes on from the line: first after a stop. */
    public function finalGear(): int
    {
        return $this->clutchDownToStopSeconds !== null ? 1 : $this->gearAt(0.0);
    }

    public function clutchAt(float $secondsToGo, float $speed): string
    {
        foreach ($this->changes as $change) {
            if ($secondsToGo <= $change->downSeconds && $secondsToGo > $change->upSeconds) {
                return 'down';
            }
        }
        if ($this->clutchDownToStopSeconds !== null && $secondsToGo <= $this->clutchDownToStopSeconds) {
            return 'down';
        }

        return $secondsToGo < $this->chain->brakeSeconds && $speed < $this->slipsBelow ? 'slipping' : 'up';
    }

    /** @return list<GearChange> */
    private static function changes(Chain $chain, Gearbox $box, int $gear, int $target, bool $stops): array
    {
        $block = $chain->approach->practice->gears === GearHabit::Block;
        if ($gear <= $target || ($stops && $block)) {
            return [];
        }
        $takes = $chain->timing->gearChangeSeconds;
        $latest = $chain->timing->settledSeconds + $takes;
        $changes = [];
        for ($from = $gear; $from > $target; $from = $to) {
            $to = $block ? $target : $from - 1;
            $rpm = EngineSpeed::ofRevolutionsPerMinute(self::SEQUENTIAL_RPM);
            $speed = $block ? self::ABOVE_IDLE * self::idleSpeed($chain, $box, $from) : $box->speed($rpm, $from)->inMetresPerSecond();
            $rule = Speed::ofMilesPerHour(self::CLUTCH_RULE_MPH)->inMetresPerSecond();
            $down = max($latest, self::whenSlowerThan($chain, max($chain->lineSpeed->metresPerSecond + 1e-6, $block ? min($speed, $rule) : $speed)));
            $down = min($down, $chain->brakeSeconds - 0.1, $changes === [] ? INF : $changes[count($changes) - 1]->upSeconds);
            if ($changes !== [] && $down - $takes < $chain->timing->settledSeconds) {
                $before = array_pop($changes);
                $changes[] = new GearChange($before->from, $target, $before->downSeconds, $before->upSeconds);
                break;
            }
            $changes[] = new GearChange($from, $to, $down, max(0.0, $down - $takes));
        }

        return $changes;
    }

    /** What turns freely at this speed; second is driven lower than the others, first only below what second can do. */
    private static function approachGear(Gearbox $box, Speed $speed): int
    {
        return max(
            $box->highestGearAbove(EngineSpeed::ofRevolutionsPerMinute(self::CRUISE_RPM), $speed),
            min(2, $box->highestGearAbove(EngineSpeed::ofRevolutionsPerMinute(self::TURN_RPM), $speed)),
        );
    }

    /** Second as a rule for emerging, below its idling speed with the clutch slipping; for a turn, what still pulls. */
    private static function gearAtLine(Chain $chain, Gearbox $box): int
    {
        $speed = Speed::ofMetresPerSecond($chain->lineSpeed->metresPerSecond);
        $pulling = $box->highestGearAbove(EngineSpeed::ofRevolutionsPerMinute(self::TURN_RPM), $speed);

        return max(2, $pulling);
    }

    private static function idleSpeed(Chain $chain, Gearbox $box, int $gear): float
    {
        return $box->speed($chain->approach->vehicle->idle(), $gear)->inMetresPerSecond();
    }

    private static function whenSlowerThan(Chain $chain, float $metresPerSecond): float
    {
        return $chain->profile->secondsAt($chain->profile->metresWhereSpeedFallsTo($metresPerSecond));
    }
}
