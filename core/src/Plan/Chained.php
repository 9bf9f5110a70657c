<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Motion\FalsePosition;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Target;

/**
 * Two hazards close together. What is left between them after the first is done is the room of the second: gathering
 * speed takes some of it, the second routine the rest. Looked for is the highest speed at which both fit.
 */
final readonly class Chained
{
    /** Gathering speed unhurriedly, m/s2 (assumed). */
    public const GATHERS = 1.2;

    /** Shedding it on a slip road, where others expect it: as firm as one brakes there, m/s2 (common practice). */
    public const SHEDS = 3.0;

    /** The first turn is done when the car is straight again: a quarter of its circle, and half a car (assumed). */
    private const HALF_A_CAR = 0.5;

    /** Not slower than this between two of them, m/s (assumed). */
    public const SLOWEST = 2.0;

    /** Speeding up between two hazards has to save at least this, s (assumed). */
    private const WORTH_S = 3.0;

    private function __construct(
        public Between $between,
        /** Null where no car fits between: both are one. */
        public ?ApproachPlan $second,
        /** The second alone at that speed, also where it is no plan of its own: what comes after it begins there. */
        public ApproachPlan $plan,
        /** From the end of the first to the second's line, m. */
        public float $roomMetres,
        /** Speed reached between them, m/s. */
        public float $reachedMps,
        /** Where the second's plan may begin, metres to its line. */
        public float $earliestMetres,
        /** The second direction has to be said together with the first. */
        public bool $sayTogether,
    ) {
    }

    public static function after(ApproachPlan $first, Approach $second, Distance $between): self
    {
        return self::from(
            max(self::SLOWEST, $first->chain->lineSpeed->metresPerSecond), max(0.5, $between->inMetres() - self::lengthOfTurn($first)), $second,
        );
    }

    /**
     * @param  float  $from  speed where what was before is over, m/s
     * @param  float  $room  from there to the second's line, m
     * @param  ?float  $slowest  down to which speed may be shed, m/s; null where nothing is shed
     */
    public static function from(float $from, float $room, Approach $second, ?float $slowest = null): self
    {
        $timing = Timing::planned($second->practice->look);
        $changing = static fn (float $speed): float => abs($speed ** 2 - $from ** 2) / (2.0 * ($speed > $from ? self::GATHERS : self::SHEDS));
        // What is left for the second is the room it is planned in: a short one changes where the signal comes.
        $left = static function (float $speed) use ($second, $timing, $changing, $room): float {
            $free = $room - $changing($speed);
            $chain = Chain::for(self::at($second, $speed)->withRoom(Distance::ofMetres(max(1.0, $free))), $timing);

            return $free - $chain->metres($chain->mirrorsStartSeconds());
        };
        $limit = $second->speed->inMetresPerSecond();
        $reached = min($from, $limit);
        $least = min($reached, max(self::SLOWEST, $slowest ?? $reached));
        if ($least < $reached && $left($reached) < 0.0) {
            $reached = $left($least) < 0.0 ? $least : FalsePosition::last($left, $least, $reached, 1e-6);
        }
        $one = $left($reached) >= 0.0;
        if ($one && $reached >= $from) {
            $reached = $left($limit) >= 0.0 ? $limit : FalsePosition::last($left, $reached, $limit, 1e-6);
        }
        // Nobody speeds up for a moment only to brake again.
        $saves = $room / $from - ($reached - $from) / self::GATHERS - ($room - $changing($reached)) / max($from, $reached);
        if ($reached > $from && $saves < self::WORTH_S) {
            $reached = min($from, $limit);
        }
        $earliest = max(1.0, $room - $changing($reached));
        $car = $second->vehicle->length->inMetres() + 1.0;
        $how = $one ? Between::OneAfterTheOther : ($room >= $car ? Between::PlanSecondFirst : Between::BothInOne);
        $plan = ApproachPlanner::plan(self::at($second, $reached)->withRoom(Distance::ofMetres($earliest)));
        $own = $how === Between::BothInOne ? null : $plan;

        return new self($how, $own, $plan, $room, $reached, $earliest, $own === null || $plan->sayAtMetres >= $earliest - 1e-6);
    }

    private static function at(Approach $approach, float $speed): Approach
    {
        return $approach->atSpeed(Speed::ofMetresPerSecond($speed));
    }

    /** From the first's line until the car is straight again, m. */
    public static function lengthOfTurn(ApproachPlan $first): float
    {
        $approach = $first->approach;
        $turns = in_array($approach->demand->target, [Target::ForTurn, Target::CentreLane], true);

        return ($turns ? M_PI / 2.0 * $approach->turnRadius->inMetres() : 0.0) + self::HALF_A_CAR * $approach->vehicle->length->inMetres();
    }
}
