<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Routine\Routine;

/**
 * How likely a test is passed today, and after how many lessons it would be likely enough: over learners drawn from what the marks say, each driven
 * forward by the skill model. What goes least well is driven most, everything now and then.
 */
final readonly class Forecast
{
    /** So likely a test has to be passed (assumed): three of four. */
    public const ENOUGH = 0.75;

    /** No further ahead is looked (assumed). */
    public const MOST_LESSONS = 60;

    private const DRAWS = 64;

    /** Enough to compare two ways to go on, of the same learners. */
    public const FEW = 20;

    /** What a test can bring (assumed): traffic, by day. */
    private const CONDITIONS = ['busy', 'day', 'dry', 'town'];

    /**
     * @param  list<float>  $chances  to pass today, one a draw, least first
     * @param  list<int>  $lessons  until it is likely enough, one a draw, fewest first; MOST_LESSONS where it is not by then
     */
    private function __construct(public array $chances, public array $lessons)
    {
    }

    /** @param  non-empty-list<Routine>  $required */
    public static function of(Learner $learner, array $required, TestDrive $test, Schedule $schedule, int $seed, int $draws = self::DRAWS): self
    {
        $chances = $lessons = [];
        foreach (self::draws($learner, $required, $test, $schedule, $seed, $draws) as $passes) {
            $chances[] = $passes(0);
            $lessons[] = self::first($passes);
        }
        sort($chances);
        sort($lessons);

        return new self($chances, $lessons);
    }

    /**
     * The mean of what the chance to pass today may be, without a look ahead: that of a forecast from the same seed, whatever its schedule.
     *
     * @param  non-empty-list<Routine>  $required
     */
    public static function today(Learner $learner, array $required, TestDrive $test, int $seed): float
    {
        $chances = [];
        foreach (self::draws($learner, $required, $test, new Schedule(60.0, 60.0, 0.0), $seed, self::DRAWS) as $passes) {
            $chances[] = $passes(0);
        }

        return array_sum($chances) / count($chances);
    }

    /**
     * @param  non-empty-list<Routine>  $required
     * @return \Generator<int, \Closure(int): float> for each draw of what somebody may be like: the chance to pass after so many lessons
     */
    private static function draws(Learner $learner, array $required, TestDrive $test, Schedule $schedule, int $seed, int $draws): \Generator
    {
        $normals = new Normals($seed, $draws);
        $day = sqrt($learner->fit->model->ofTheDay);
        $harder = $learner->fit->harder(self::conditions());
        $lately = Lately::of($learner);
        $skew = $learner->fit->skew();
        for ($i = 0; $i < $draws; $i++) {
            $normal = $normals->of($i);
            $now = $lately->mean + sqrt($lately->variance) * $normal();
            $ahead = new Ahead($learner, $learner->fit->drawn($normal, $skew), $required, $schedule, $harder, $normal, $now);

            // Good days and bad ones: one deviation up or down.
            yield static function (int $lesson) use ($ahead, $test, $day, $required): float {
                $abilities = $ahead->after($lesson);

                return 0.5 * ($test->passes($abilities, count($required), -$day) + $test->passes($abilities, count($required), $day));
            };
        }
    }

    /** The harder side of a test, as a round notes it. */
    public static function conditions(): Conditions
    {
        return new Conditions(...self::CONDITIONS);
    }

    /** The mean of what it may be. */
    public function chance(): float
    {
        return array_sum($this->chances) / count($this->chances);
    }

    /**
     * @param  list<float|int>  $sorted
     * @return float|int of so much of them not more than this
     */
    public static function quantile(array $sorted, float $share): float|int
    {
        return $sorted[(int) min(count($sorted) - 1, floor($share * count($sorted)))];
    }

    /**
     * The first lesson after which it is likely enough: in strides first, then between two of them, for it hardly ever falls.
     *
     * @param  \Closure(int): float  $passes
     */
    private static function first(\Closure $passes): int
    {
        [$low, $high] = [-1, 0];
        while ($passes($high) < self::ENOUGH) {
            if ($high === self::MOST_LESSONS) {
                return self::MOST_LESSONS;
            }
            [$low, $high] = [$high, min(self::MOST_LESSONS, max(1, (int) ceil(1.6 * $high)))];
        }
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            $passes($middle) < self::ENOUGH ? $low = $middle : $high = $middle;
        }

        return $high;
    }
}
