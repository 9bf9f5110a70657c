<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Quantity\EngineSpeed;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\ClutchHabit;
use NobleTurn\Core\Rules\GearHabit;
use NobleTurn\Core\Rules\LineGear;
use NobleTurn\Core\Rules\Practices;
use NobleTurn\Core\Rules\StepCount;
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

    /** The clutch goes down a little before the engine would labour, and comes up where it turns freely (assumed shares of idling speed). */
    private const ABOVE_IDLE = 1.1;

    private const FREELY = 1.05;

    /** A clutch held down above this speed for longer than a change takes is coasting (common practice). */
    private const COASTING_MPH = 10.0;

    /** Brake before clutch, by so much at the least, s (assumed). */
    public const AFTER_THE_BRAKE_S = 0.1;

    /** First, taken on the move, is in so long before the last look ends, s (assumed). */
    private const BEFORE_THE_LOOK_S = 1.0;

    /** "The last two or three car lengths": so many (common practice). */
    private const LAST_LENGTHS = 2.5;

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
        $changes = self::changes($chain, $box, $gear, self::through($chain, $box, $gear, $stops));
        $last = $changes === [] ? $gear : $changes[count($changes) - 1]->to;
        $idle = self::idleSpeed($chain, $box, $last);

        return new self($gear, $changes, $stops ? self::downToStop($chain, $changes, $idle) : null, $idle, $chain);
    }

    /** When the gear for the junction is taken, seconds to go; first, where it follows on the move, is part of that. Null where no clutch is used. */
    public function lastClutchDownSeconds(): ?float
    {
        $main = array_values(array_filter($this->changes, static fn (GearChange $change): bool => $change->to > 1)) ?: $this->changes;
        $down = $main === [] ? $this->clutchDownToStopSeconds : $main[count($main) - 1]->downSeconds;

        // Brake before clutch, also where the car comes so slowly that the engine would soon labour.
        return $down === null ? null : min($down, $this->chain->brakeSeconds - self::AFTER_THE_BRAKE_S);
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

    /**
     * The gears taken on the move, in their order.
     *
     * @return list<int>
     */
    private static function through(Chain $chain, Gearbox $box, int $gear, bool $stops): array
    {
        $approach = $chain->approach;
        $habit = Practices::question('gear_at_line')->concerns($approach->routine) ? $approach->practice->lineGear : null;
        $block = $approach->practice->gears === GearHabit::Block;
        $lowest = match (true) {
            // A view that opens beyond the line is as good as closed: first, before the creep.
            ! $stops => ($habit === LineGear::OnTheMove || ($habit === LineGear::SecondThenFirst && $chain->creep !== null))
                && $chain->lineSpeed->metresPerSecond <= LineSpeed::CRAWL + 1e-6 ? 1 : self::gearAtLine($chain, $box),
            $habit === LineGear::OnTheMove => 1,
            // Slow before the line already: the gear for that.
            $chain->halfway !== null => max(2, $box->highestGearAbove(
                EngineSpeed::ofRevolutionsPerMinute(self::TURN_RPM), Speed::ofMetresPerSecond($chain->profile->crawlMps()),
            )),
            $habit === LineGear::SecondThenFirst || ! $block => 2,
            // No change before the stop, unless the clutch would have to be down while the car is fast.
            default => self::coastsFrom($chain, $box, $gear) ? 2 : $gear,
        };
        if ($lowest >= $gear) {
            return [];
        }
        $target = max(2, $lowest);

        return [
            ...($gear <= $target ? [] : ($block ? [$target] : range($gear - 1, $target))),
            ...($lowest === 1 && $gear >= 2 ? [1] : []),
        ];
    }

    /** Whether the clutch, down before the engine labours, would be down for too long while the car is still fast. */
    private static function coastsFrom(Chain $chain, Gearbox $box, int $gear): bool
    {
        $down = self::whenSlowerThan($chain, self::ABOVE_IDLE * self::idleSpeed($chain, $box, $gear));

        return $down - self::whenSlowerThan($chain, Speed::ofMilesPerHour(self::COASTING_MPH)->inMetresPerSecond()) > $chain->timing->gearChangeSeconds;
    }

    /**
     * @param  list<int>  $through
     * @return list<GearChange>
     */
    private static function changes(Chain $chain, Gearbox $box, int $gear, array $through): array
    {
        $takes = $chain->timing->gearChangeSeconds;
        $settled = $chain->timing->settledSeconds;
        $changes = [];
        $from = $gear;
        foreach ($through as $to) {
            // Up in time: settled before steering, and while the lower gear still turns freely.
            $up = max($to === 1 && $chain->lineSpeed->metresPerSecond > 0.0 ? self::BEFORE_THE_LOOK_S : $settled, self::whenSlowerThan($chain,
                self::FREELY * self::idleSpeed($chain, $box, $to)));
            $down = self::downBy($chain, $box, $from, $to, $up, $changes);
            if ($changes !== [] && $to > 1 && $down - $takes < $up - 1e-6) {
                // No time for one more: from the gear before straight to this one.
                $from = array_pop($changes)->from;
                $down = self::downBy($chain, $box, $from, $to, $up, $changes);
            }
            $changes[] = new GearChange($from, $to, $down, max(0.0, $down - $takes));
            $from = $to;
        }

        return $changes;
    }

    /** @param  list<GearChange>  $before */
    private static function downBy(Chain $chain, Gearbox $box, int $from, int $to, float $up, array $before): float
    {
        return min(
            max(
                $up + $chain->timing->gearChangeSeconds, self::due($chain, $box, $from, $to),
                // A step of its own leaves the whole look after it.
                $chain->approach->practice->steps === StepCount::Six && $chain->lineSpeed->metresPerSecond > 0.0 ? $chain->timing->lookAndDecideSeconds : 0.0,
            ),
            $chain->brakeSeconds - self::AFTER_THE_BRAKE_S, $before === [] ? INF : $before[count($before) - 1]->upSeconds,
        );
    }

    /**
     * When a change is due: where going down through the gears would take that gear, or, where the clutch may be down at the end,
     * just before the engine would labour.
     */
    private static function due(Chain $chain, Gearbox $box, int $from, int $to): float
    {
        $labours = self::ABOVE_IDLE * self::idleSpeed($chain, $box, $from);
        $rule = Speed::ofMilesPerHour(self::CLUTCH_RULE_MPH)->inMetresPerSecond();
        $block = $chain->approach->practice->gears === GearHabit::Block || $to < $from - 1;
        $speed = match (true) {
            $to === 1 => $labours,
            $block && $chain->approach->practice->clutch === ClutchHabit::LastLengths => min($rule, $labours),
            $block => min($rule, max($labours, self::downThrough($box, $to + 1))),
            default => self::downThrough($box, $from),
        };

        return self::whenSlowerThan($chain, max($chain->lineSpeed->metresPerSecond + 1e-6, $speed));
    }

    /** Going down through the gears this one is left at this speed, m/s. */
    private static function downThrough(Gearbox $box, int $from): float
    {
        return $box->speed(EngineSpeed::ofRevolutionsPerMinute(self::SEQUENTIAL_RPM), $from)->inMetresPerSecond();
    }

    /** @param  list<GearChange>  $changes */
    private static function downToStop(Chain $chain, array $changes, float $idle): float
    {
        // Rolling slowly to something before the line the clutch slips; it goes down for the stop itself.
        $rolls = $chain->halfway === null ? INF : $chain->profile->crawlMps();
        $down = self::whenSlowerThan($chain, min($rolls, self::ABOVE_IDLE * $idle));
        if ($chain->approach->practice->clutch === ClutchHabit::LastLengths) {
            $down = max($down, $chain->profile->secondsAt(self::LAST_LENGTHS * $chain->approach->vehicle->length->inMetres()));
        }

        return min($down, $chain->brakeSeconds - self::AFTER_THE_BRAKE_S, $changes === [] ? INF : $changes[count($changes) - 1]->upSeconds);
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
