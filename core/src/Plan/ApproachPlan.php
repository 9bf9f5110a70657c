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
        [$gears, $clutch] = $this->gears?->along($seconds, $speeds) ?? array_fill(0, 2, array_fill(0, count($seconds), null));
        [$distances, $times, $mps, $mps2, $laterals] = [[], [], [], [], []];
        foreach ($this->path->along($metres) as $i => $lateral) {
            $distances[] = round($metres[$i], 4);
            $times[] = round($seconds[$i], 4);
            $mps[] = round($speeds[$i], 4);
            $mps2[] = round($decelerations[$i], 3);
            $laterals[] = round($lateral, 3);
        }

        return [
            'distance_m' => $distances, 'time_s' => $times, 'speed_mps' => $mps, 'decel_mps2' => $mps2,
            'gear' => $gears, 'clutch' => $clutch, 'lateral_m' => $laterals,
        ];
    }
}
