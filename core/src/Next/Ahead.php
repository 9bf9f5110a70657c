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

    /**
     * Where somebody levels off, logits in easy conditions, by how much learners differ in that, and steps of one learner: nobody gets better for
     * ever, and nearly everybody who goes on passes in the end (all assumed).
     */
    private const CEILING = 4.8;

    private const LEARNERS_DIFFER = 0.7;

    private const STEPS_DIFFER = 0.5;

    /** How suddenly one comes to it, logits (assumed). */
    private const KNEE = 0.5;

    private const FAR = 20.0 * self::KNEE;

    private const EDGE = 0.4;

    private const LEAST_ROOM = 0.2;

    /**
     * Mirrors are mirrors: a round of anything counts for everything else as so much of one. Assumed, so that somebody of whom nothing is known takes
     * about fifty lessons with half an hour of practice a week: who passes in Great Britain has had 45 hours of lessons and 22 of practice on average
     * (from memory: guidance of its licensing authority).
     */
    private const ELSEWHERE = 0.024;

    /** Nobody goes on learning just as they have so far: a standard deviation, as a logarithm (assumed, so that ranges hold what simulated learners do). */
    private const PACE_DIFFERS = 0.35;

    /**
     * As much again where nothing is known yet, by a factor e less for every so many lessons: from one lesson nobody tells how quickly somebody learns
     * (assumed, so that ranges from the first three lessons hold what simulated learners do).
     */
    private const PACE_SHOWS_IN = 1.5;

    /** @var array<string, array<string, float>> how far each is from where it levels off */
    private array $room = [];

    /** @var array<string, float> */
    private array $meanRoom = [];

    /** @var array<string, array<string, float>> by routine and step: logits in the conditions of a test */
    private array $stands = [];

    /** @var array<string, array<string, float>> rounds that what was driven so far stands for */
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
     * @param  float  $harder  a test than easy conditions, logits
     * @param  \Closure(): float  $normal  a draw of mean 0 and variance 1
     * @param  float  $lately  how far the last lessons say they are from what the whole record says, logits
     */
    public function __construct(
        Learner $learner, Possible $possible, array $required, private readonly Schedule $schedule, float $harder, \Closure $normal, float $lately = 0.0,
    ) {
        $this->gains = $possible->practice() * exp(self::paceDiffers($learner) * $normal());
        $this->fading = $learner->fit->fading();
        $this->fadingDays = $learner->fit->model->fadingDays;
        $now = [];
        $ceiling = self::CEILING + self::LEARNERS_DIFFER * $normal() - $harder;
        foreach ($required as $routine) {
            $code = $routine->code->value;
            $now[$code] = [0.0, (float) ($learner->daysSince($routine) ?? 0)];
            foreach (Step::cases() as $step) {
                if ($routine->has($step)) {
                    $this->stands[$code][$step->value] = $possible->stands($routine->code, $step) - $harder + $lately;
                    $this->room[$code][$step->value] = self::above($ceiling + self::STEPS_DIFFER * $normal() - $this->stands[$code][$step->value]);
                    $this->driven[$code][$step->value] = Practised::rounds(
                        (float) $learner->fit->driven($routine->code, $step), $possible->stands($routine->code, $step) - $learner->fit->model->start,
                        $this->gains,
                    );
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
            foreach ($steps as $step => $stands) {
                $by[$step][] = $stands - $lost + self::within($this->grown($this->driven[$routine][$step], $more), $this->room[$routine][$step]);
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
        $practised = $this->schedule->practiceRounds();
        $each = ((1.0 - self::TO_THE_WEAKEST) * $this->schedule->rounds() + $practised) / max(1, count($was))
            + self::ELSEWHERE * ($this->schedule->rounds() + $practised);
        foreach ($was as $routine => [$more, $idle]) {
            $rounds = $each + (isset($weakest[$routine]) ? self::TO_THE_WEAKEST * $this->schedule->rounds() / count($weakest) : 0.0);
            // Whoever drives it now and then has driven it that long ago on average.
            $was[$routine] = [$more + $rounds, min($idle + $days, $days / max(1e-6, min(1.0, $rounds)))];
        }

        return $was;
    }

    private static function paceDiffers(Learner $learner): float
    {
        $lessons = count(array_flip(array_column($learner->evidence, 'lesson')));

        return self::PACE_DIFFERS * (1.0 + exp(-$lessons / self::PACE_SHOWS_IN));
    }

    private function grown(float $driven, float $more): float
    {
        return $more === 0.0 ? 0.0 : $this->gains * log(1.0 + $more / (1.0 + $driven));
    }

    /** Some room there always is, the less the farther somebody has got beyond where they were to level off. */
    private static function above(float $room): float
    {
        return self::LEAST_ROOM + ($room > 30.0 * self::EDGE ? $room : self::EDGE * log(1.0 + exp($room / self::EDGE)));
    }

    /** All of it while there is room, no more than the room, and smoothly from the one to the other. */
    private static function within(float $grown, float $room): float
    {
        $apart = abs($grown - $room);
        // Far from it the bend is nothing.
        $bend = ($apart > self::FAR ? 0.0 : log(1.0 + exp(-$apart / self::KNEE))) - ($room > self::FAR ? 0.0 : log(1.0 + exp(-$room / self::KNEE)));

        return max(0.0, min($grown, $room) - self::KNEE * $bend);
    }

    private function lost(float $idle): float
    {
        return $this->fading * log(1.0 + $idle / $this->fadingDays);
    }
}
