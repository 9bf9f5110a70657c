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

    /** The first turn is done when the car is straight again: a quarter of its circle, and half a car (assumed). */
    private const HALF_A_CAR = 0.5;

    private const SLOWEST = 2.0;

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
        $room = max(0.5, $between->inMetres() - self::lengthOfTurn($first));
        $timing = Timing::planned($second->practice->look);
        $from = max(self::SLOWEST, $first->chain->lineSpeed->metresPerSecond);
        $gathering = static fn (float $speed): float => max(0.0, $speed ** 2 - $from ** 2) / (2.0 * self::GATHERS);
        // What is left for the second is the room it is planned in: a short one changes where the signal comes.
        $left = static function (float $speed) use ($second, $timing, $gathering, $room): float {
            $free = $room - $gathering($speed);
            $chain = Chain::for(self::at($second, $speed)->withRoom(Distance::ofMetres(max(1.0, $free))), $timing);

            return $free - $chain->metres($chain->mirrorsStartSeconds());
        };
        $limit = $second->speed->inMetresPerSecond();
        $reached = min($from, $limit);
        $one = $left($reached) >= 0.0;
        if ($one) {
            $reached = $left($limit) >= 0.0 ? $limit : FalsePosition::last($left, $reached, $limit, 1e-6);
        }
        // Nobody speeds up for a moment only to brake again.
        $saves = $room / $from - ($reached - $from) / self::GATHERS - ($room - $gathering($reached)) / max($from, $reached);
        if ($reached > $from && $saves < self::WORTH_S) {
            $reached = min($from, $limit);
        }
        $earliest = max(1.0, $room - $gathering($reached));
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

    private static function lengthOfTurn(ApproachPlan $first): float
    {
        $approach = $first->approach;
        $turns = in_array($approach->demand->target, [Target::ForTurn, Target::CentreLane], true);

        return ($turns ? M_PI / 2.0 * $approach->turnRadius->inMetres() : 0.0) + self::HALF_A_CAR * $approach->vehicle->length->inMetres();
    }
}
