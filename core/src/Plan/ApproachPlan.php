<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Trade\Step;

/** Where and when each step belongs on one approach, with everything that had to give way for it. */
final readonly class ApproachPlan
{
    /**
     * @param  non-empty-list<StepPlan>  $steps  in the order of the routine
     * @param  list<Conflict>  $conflicts
     * @param  list<Warning>  $warnings
     * @param  list<Assumption>  $assumptions
     */
    public function __construct(
        public Approach $approach,
        public Chain $chain,
        public bool $fits,
        public array $steps,
        public float $easeOffMetres,
        public float $sayAtMetres,
        public ?Gears $gears,
        public LateralPath $path,
        public array $conflicts,
        public array $warnings,
        public array $assumptions,
        public Card $card,
        /** Where the gear is a step of its own: the practice cuts the routine into six. */
        public ?StepPlan $gearStep = null,
        public ?SignReading $sign = null,
        /** @var list<Stage> of an exercise in two; empty for what is driven in one */
        public array $stages = [],
        /** Nearer than this to lights that may change we go on; metres, null where that is no question. */
        public ?float $noReturnMetres = null,
    ) {
    }

    public function step(Step $step): StepPlan
    {
        foreach ($this->steps as $plan) {
            if ($plan->step === $step) {
                return $plan;
            }
        }
        throw new \LogicException("The plan has no {$step->value}.");
    }

    /**
     * The approach as columns for drawing, from where the direction is given to the line. Between two rows
     * the deceleration is constant, so straight lines of speed over time are exact.
     *
     * @return array{distance_m: list<float>, time_s: list<float>, speed_mps: list<float>, decel_mps2: list<float>, gear: list<?int>,
     *     clutch: list<?string>, lateral_m: list<float>}
     */
    public function profile(float $stepSeconds = 0.5): array
    {
        [$seconds, $metres, $speeds, $decelerations] = $this->chain->profile->columns($this->sayAtMetres, $stepSeconds);
        $columns = array_fill_keys(['distance_m', 'time_s', 'speed_mps', 'decel_mps2', 'gear', 'clutch', 'lateral_m'], []);
        foreach ($seconds as $i => $toGo) {
            $columns['distance_m'][] = round($metres[$i], 4);
            $columns['time_s'][] = round($toGo, 4);
            $columns['speed_mps'][] = round($speeds[$i], 4);
            $columns['decel_mps2'][] = round($decelerations[$i], 3);
            $columns['gear'][] = $this->gears?->gearAt($toGo);
            $columns['clutch'][] = $this->gears?->clutchAt($toGo, $speeds[$i]);
            $columns['lateral_m'][] = round($this->path->metresAt($metres[$i]), 3);
        }

        return $columns;
    }
}
