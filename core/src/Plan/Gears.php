<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\ClutchHabit;
use NobleTurn\Core\Rules\GearHabit;
use NobleTurn\Core\Rules\StepCount;
use NobleTurn\Core\Vehicle\Gearbox;
use NobleTurn\Core\Vehicle\Vehicle;

/** Gear and clutch along the approach of a car with a clutch pedal. Brake before clutch, clutch up before steering. */
final readonly class Gears
{
    /** Going down through the gears, the next one is taken here (assumed). */
    private const SEQUENTIAL_RPM = 1300.0;

    /** The clutch goes down a little before the engine would labour, and comes up where it turns freely (assumed shares of idling speed). */
    public const ABOVE_IDLE = 1.1;

    public const FREELY = 1.05;

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
        $gear = WhichGears::before($chain->approach->vehicle, Speed::ofMetresPerSecond($chain->profile->approachMps()));
        $stops = $chain->lineSpeed->metresPerSecond <= 0.0;
        $changes = self::changes($chain, $box, $gear, WhichGears::through($chain, $box, $gear, $stops));
        $last = $changes === [] ? $gear : $changes[count($changes) - 1]->to;
        $idle = $chain->approach->vehicle->idlesAt($last);

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

    /**
     * Gear and clutch at moments in driving order, with the speed at each: one walk along the changes.
     *
     * @param  list<float>  $seconds  to go, from far to near
     * @param  list<float>  $speeds  m/s
     * @return array{list<int>, list<string>}
     */
    public function along(array $seconds, array $speeds): array
    {
        [$gears, $clutch, $gear, $next] = [[], [], $this->approachGear, 0];
        [$stops, $brakes] = [$this->clutchDownToStopSeconds ?? -1.0, $this->chain->brakeSeconds];
        foreach ($seconds as $i => $toGo) {
            while (isset($this->changes[$next]) && $toGo <= $this->changes[$next]->upSeconds) {
                $gear = $this->changes[$next++]->to;
            }
            $gears[] = $gear;
            $clutch[] = match (true) {
                isset($this->changes[$next]) && $toGo <= $this->changes[$next]->downSeconds, $toGo <= $stops => 'down',
                default => $toGo < $brakes && $speeds[$i] < $this->slipsBelow ? 'slipping' : 'up',
            };
        }

        return [$gears, $clutch];
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
            $up = max($to === 1 && $chain->lineSpeed->metresPerSecond > 0.0 ? self::BEFORE_THE_LOOK_S : $settled, $chain->secondsWhereSlowerThan(
                self::FREELY * $chain->approach->vehicle->idlesAt($to)));
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
        $labours = self::ABOVE_IDLE * $chain->approach->vehicle->idlesAt($from);
        $rule = Speed::ofMilesPerHour(self::CLUTCH_RULE_MPH)->inMetresPerSecond();
        $block = $chain->approach->practice->gears === GearHabit::Block || $to < $from - 1;
        $speed = match (true) {
            $to === 1 => $labours,
            $block && $chain->approach->practice->clutch === ClutchHabit::LastLengths => min($rule, $labours),
            $block => min($rule, max($labours, self::downThrough($chain->approach->vehicle, $to + 1))),
            default => self::downThrough($chain->approach->vehicle, $from),
        };

        return $chain->secondsWhereSlowerThan(max($chain->lineSpeed->metresPerSecond + 1e-6, $speed));
    }

    /** Going down through the gears this one is left at this speed, m/s. */
    private static function downThrough(Vehicle $vehicle, int $from): float
    {
        return $vehicle->gearbox->speed($vehicle->turning(self::SEQUENTIAL_RPM), $from)->inMetresPerSecond();
    }

    /** @param  list<GearChange>  $changes */
    private static function downToStop(Chain $chain, array $changes, float $idle): float
    {
        // Rolling slowly to something before the line the clutch slips; it goes down for the stop itself.
        $rolls = $chain->halfway === null ? INF : $chain->profile->crawlMps();
        $down = $chain->secondsWhereSlowerThan(min($rolls, self::ABOVE_IDLE * $idle));
        if ($chain->approach->practice->clutch === ClutchHabit::LastLengths) {
            $down = max($down, $chain->profile->secondsAt(self::LAST_LENGTHS * $chain->approach->vehicle->carLengthMetres()));
        }

        return min($down, $chain->brakeSeconds - self::AFTER_THE_BRAKE_S, $changes === [] ? INF : $changes[count($changes) - 1]->upSeconds);
    }
}
