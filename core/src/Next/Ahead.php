<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Skill\Possible;
use NobleTurn\Core\Trade\Step;

/** One of the learners whose marks these could be, driven on by the skill model, lesson by lesson: what goes least well most, everything now and then. */
final class Ahead
{
    /** Of a lesson so much goes to the two that go least well (assumed), the rest to all. */
    private const TO_THE_WEAKEST = 0.6;

    /** @var array<string, array<string, array{float, int}>> by routine and step: logits in the conditions of a test, and rounds driven so far */
    private array $steps = [];

    /** @var list<array<string, array{float, float}>> after each lesson that was asked for, by routine: rounds more, and days since the last */
    private array $lessons = [];

    private readonly float $gains;

    /** @param  list<Routine>  $required */
    public function __construct(private readonly Learner $learner, Possible $possible, array $required, private readonly Schedule $schedule)
    {
        $harder = $learner->fit->harder(Forecast::conditions());
        $this->gains = $possible->practice();
        $now = [];
        foreach ($required as $routine) {
            $now[$routine->code->value] = [0.0, (float) ($learner->daysSince($routine) ?? 0)];
            foreach (Step::cases() as $step) {
                if ($routine->has($step)) {
                    $this->steps[$routine->code->value][$step->value] = [
                        $possible->stands($routine->code, $step) - $harder, $learner->fit->driven($routine->code, $step),
                    ];
                }
            }
        }
        $this->lessons = [$now];
    }

    /**
     * Abilities after so many lessons more, in the conditions of a test.
     *
     * @param  float  $form  of the day, logits
     * @return array<string, list<float>> by step, one for each routine that has it; logits
     */
    public function after(int $lesson, float $form = 0.0): array
    {
        while (! isset($this->lessons[$lesson])) {
            $this->lessons[] = $this->next($this->lessons[count($this->lessons) - 1]);
        }
        $by = [];
        foreach ($this->steps as $routine => $steps) {
            foreach ($steps as $step => $stands) {
                $by[$step][] = $this->at($stands, ...$this->lessons[$lesson][$routine]) + $form;
            }
        }

        return $by;
    }

    /**
     * @param  array<string, array{float, float}>  $was
     * @return array<string, array{float, float}>
     */
    private function next(array $was): array
    {
        $mean = [];
        foreach ($this->steps as $routine => $steps) {
            $mean[$routine] = array_sum(array_map(fn (array $stands): float => $this->at($stands, ...$was[$routine]), $steps)) / count($steps);
        }
        asort($mean);
        $weakest = array_slice(array_keys($mean), 0, 2);
        $each = ((1.0 - self::TO_THE_WEAKEST) * $this->schedule->rounds() + $this->schedule->practiceRounds()) / max(1, count($was));
        foreach ($was as $routine => [$more, $idle]) {
            $rounds = $each + (in_array($routine, $weakest, true) ? self::TO_THE_WEAKEST * $this->schedule->rounds() / 2.0 : 0.0);
            // Whoever drives it now and then has driven it that long ago on average.
            $was[$routine] = [$more + $rounds, min($idle + $this->schedule->days(), $this->schedule->days() / max(1e-6, min(1.0, $rounds)))];
        }

        return $was;
    }

    /** @param  array{float, int}  $stands */
    private function at(array $stands, float $more, float $idle): float
    {
        [$at, $driven] = $stands;
        $model = $this->learner->fit->model;

        return $at + $this->gains * log((1.0 + $driven + $more) / (1.0 + $driven)) - $model->fading * log(1.0 + $idle / $model->fadingDays);
    }
}
