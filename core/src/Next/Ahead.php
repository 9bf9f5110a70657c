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

    /** Where somebody levels off, logits, by how much learners differ in that, and steps of one learner (all assumed): nobody gets better for ever. */
    private const CEILING = 2.5;

    private const LEARNERS_DIFFER = 1.0;

    private const STEPS_DIFFER = 0.5;

    private const EDGE = 0.4;

    private const LEAST_ROOM = 0.2;

    /** @var array<string, array<string, float>> how far each is from where it levels off */
    private array $room = [];

    /** @var array<string, float> */
    private array $meanRoom = [];

    /** @var array<string, array<string, float>> by routine and step: logits in the conditions of a test */
    private array $stands = [];

    /** @var array<string, array<string, int>> rounds driven so far */
    private array $driven = [];

    /** @var array<string, float> by routine: its steps' mean, and their mean rounds so far: what is enough to say which goes least well */
    private array $mean = [];

    /** @var array<string, float> */
    private array $rounds = [];

    /** @var list<array<string, array{float, float}>> after each lesson that was asked for, by routine: rounds more, and days since the last */
    private array $lessons = [];

    private readonly float $gains;

    private readonly float $fading;

    private readonly float $fadingDays;

    /**
     * @param  list<Routine>  $required
     * @param  \Closure(): float  $normal  a draw of mean 0 and variance 1
     */
    public function __construct(Learner $learner, Possible $possible, array $required, private readonly Schedule $schedule, \Closure $normal)
    {
        $harder = $learner->fit->harder(Forecast::conditions());
        $this->gains = $possible->practice();
        $this->fading = $learner->fit->model->fading;
        $this->fadingDays = $learner->fit->model->fadingDays;
        $now = [];
        $ceiling = self::CEILING + self::LEARNERS_DIFFER * $normal() - $harder;
        foreach ($required as $routine) {
            $code = $routine->code->value;
            $now[$code] = [0.0, (float) ($learner->daysSince($routine) ?? 0)];
            foreach (Step::cases() as $step) {
                if ($routine->has($step)) {
                    $this->stands[$code][$step->value] = $possible->stands($routine->code, $step) - $harder;
                    $this->room[$code][$step->value] = self::above($ceiling + self::STEPS_DIFFER * $normal() - $this->stands[$code][$step->value]);
                    $this->driven[$code][$step->value] = $learner->fit->driven($routine->code, $step);
                }
            }
            $this->mean[$code] = array_sum($this->stands[$code]) / count($this->stands[$code]);
            $this->meanRoom[$code] = array_sum($this->room[$code]) / count($this->room[$code]);
            $this->rounds[$code] = array_sum($this->driven[$code]) / count($this->driven[$code]);
        }
        $this->lessons = [$now];
    }

    /**
     * Abilities after so many lessons more, in the conditions of a test.
     *
     * @return array<string, list<float>> by step, one for each routine that has it; logits
     */
    public function after(int $lesson): array
    {
        while (! isset($this->lessons[$lesson])) {
            $this->lessons[] = $this->next($this->lessons[count($this->lessons) - 1]);
        }
        $by = [];
        foreach ($this->stands as $routine => $steps) {
            [$more, $idle] = $this->lessons[$lesson][$routine];
            $lost = $this->lost($idle);
            $grown = [];
            foreach ($steps as $step => $stands) {
                $driven = $this->driven[$routine][$step];
                $by[$step][] = $stands - $lost
                    + self::within($grown[$driven] ??= $this->grown((float) $driven, $more), $this->room[$routine][$step]);
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
        foreach ($was as $routine => [$more, $idle]) {
            $mean[$routine] = $this->mean[$routine] - $this->lost($idle)
                + self::within($this->grown($this->rounds[$routine], $more), $this->meanRoom[$routine]);
        }
        asort($mean);
        $weakest = array_flip(array_slice(array_keys($mean), 0, 2));
        $days = $this->schedule->days();
        $each = ((1.0 - self::TO_THE_WEAKEST) * $this->schedule->rounds() + $this->schedule->practiceRounds()) / max(1, count($was));
        foreach ($was as $routine => [$more, $idle]) {
            $rounds = $each + (isset($weakest[$routine]) ? self::TO_THE_WEAKEST * $this->schedule->rounds() / count($weakest) : 0.0);
            // Whoever drives it now and then has driven it that long ago on average.
            $was[$routine] = [$more + $rounds, min($idle + $days, $days / max(1e-6, min(1.0, $rounds)))];
        }

        return $was;
    }

    private function grown(float $driven, float $more): float
    {
        return $more === 0.0 ? 0.0 : $this->gains * log((1.0 + $driven + $more) / (1.0 + $driven));
    }

    /** Some room there always is, the less the farther somebody has got beyond where they were to level off. */
    private static function above(float $room): float
    {
        return self::LEAST_ROOM + ($room > 30.0 * self::EDGE ? $room : self::EDGE * log(1.0 + exp($room / self::EDGE)));
    }

    /** All of it while there is room, and the less the nearer one comes to where one levels off. */
    private static function within(float $grown, float $room): float
    {
        return $room <= 1e-9 ? 0.0 : $room * (1.0 - exp(-$grown / $room));
    }

    private function lost(float $idle): float
    {
        return $this->fading * log(1.0 + $idle / $this->fadingDays);
    }
}
