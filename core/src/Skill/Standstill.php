<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;

/**
 * Somebody who has not gained over their last lessons, and the likeliest reason. Only steps that were driven both before and in them are held against each
 * other, each as it was to be believed when it was driven: what fades in between is a reason, not a gain.
 */
final readonly class Standstill
{
    public const LESSONS = 5;

    /** On fewer lessons before, and fewer marks in the last ones, nobody can say (assumed). */
    private const BEFORE = 3;

    private const LEAST_MARKS = 15;

    /** To gain less than this is to stand still, in the chance of "unaided"; who stands higher has no more to gain there (assumed). */
    private const GAINS = 0.03;

    private const HIGH = 0.85;

    /** Days between lessons, half of them longer, after which more is lost than a lesson brings (assumed). */
    private const SELDOM_DAYS = 14.0;

    /** New routines in the last lessons, and their share of the marks, that leave no time for the rest (assumed). */
    private const NEW_ROUTINES = 4;

    private const NEW_SHARE = 0.4;

    /** The weakest steps, and so few marks of them in the last lessons that they were hardly practised (assumed). */
    private const WEAKEST = 4;

    private const HARDLY = 4;

    /** In so many of the last lessons the same fault (assumed). */
    private const AGAIN = 3;

    private function __construct(
        /** What was gained in the chance of "unaided", over the steps held against each other; negative: lost. */
        public float $gain,
        public int $steps,
        public int $marks,
        public StandstillReason $reason,
        /** The reason as a sentence. */
        public string $message,
    ) {
    }

    /**
     * @param  list<Evidence>  $evidence  in the order of time, up to today
     * @param  list<HoldsBack>  $holdsBack  of the whole record, most first
     * @return ?self null where somebody gains, where there is little to gain, or where too little is known to say
     */
    public static function of(array $evidence, array $holdsBack, RulePack $pack): ?self
    {
        $lessons = array_keys(array_fill_keys(array_map(
            static fn (Evidence $one): string => $one->lesson, array_filter($evidence, static fn (Evidence $one): bool => ! $one->taught),
        ), true));
        if (count($lessons) < self::LESSONS + self::BEFORE) {
            return null;
        }
        $last = array_fill_keys(array_slice($lessons, -self::LESSONS), true);
        [$before, $lately] = [[], []];
        foreach ($evidence as $one) {
            isset($last[$one->lesson]) ? $lately[] = $one : $before[] = $one;
        }
        $marks = array_values(array_filter($lately, static fn (Evidence $one): bool => ! $one->taught));
        if (count($marks) < self::LEAST_MARKS) {
            return null;
        }
        $gains = self::gains($before, $evidence, $marks, $pack);
        $gain = $gains === [] ? 0.0 : array_sum(array_column($gains, 'gain')) / count($gains);
        $stands = $gains === [] ? 1.0 : array_sum(array_column($gains, 'now')) / count($gains);
        if ($gain >= self::GAINS || $stands >= self::HIGH) {
            return null;
        }
        [$reason, $message] = self::reason($before, $evidence, $marks, $lessons, $holdsBack, $pack);

        return new self($gain, count($gains), count($marks), $reason, $message);
    }

    /**
     * @param  list<Evidence>  $before
     * @param  list<Evidence>  $all
     * @param  list<Evidence>  $marks  of the last lessons
     * @return array<string, array{gain: float, now: float}> by cell
     */
    private static function gains(array $before, array $all, array $marks, RulePack $pack): array
    {
        $ended = $before[count($before) - 1]->at;
        $then = Fit::of($before, $pack, $ended);
        $now = Fit::of($all, $pack, $marks[count($marks) - 1]->at);
        $known = array_fill_keys($then->marked(), true);
        $found = [];
        foreach ($marks as $one) {
            if (isset($known[$one->cell()]) && ! isset($found[$one->cell()])) {
                [$was, $is] = [$then->belief($one->routine, $one->step)->unaided(), $now->belief($one->routine, $one->step)->unaided()];
                $found[$one->cell()] = ['gain' => $is - $was, 'now' => $is];
            }
        }

        return $found;
    }

    /**
     * @param  list<Evidence>  $before
     * @param  list<Evidence>  $all
     * @param  list<Evidence>  $marks
     * @param  list<string>  $lessons
     * @param  list<HoldsBack>  $holdsBack
     * @return array{StandstillReason, string}
     */
    private static function reason(array $before, array $all, array $marks, array $lessons, array $holdsBack, RulePack $pack): array
    {
        $days = self::daysBetween($all, array_slice($lessons, -self::LESSONS - 1));
        if ($days > self::SELDOM_DAYS) {
            return [StandstillReason::Seldom, sprintf('%d days between lessons: what one brings is lost before the next.', (int) round($days))];
        }
        $known = array_fill_keys(array_map(static fn (Evidence $one): string => $one->routine->value, $before), true);
        $new = array_filter($marks, static fn (Evidence $one): bool => ! isset($known[$one->routine->value]));
        $routines = count(array_fill_keys(array_map(static fn (Evidence $one): string => $one->routine->value, $new), true));
        if ($routines >= self::NEW_ROUTINES && count($new) >= self::NEW_SHARE * count($marks)) {
            return [StandstillReason::TooMuchNew, "{$routines} new routines in ".self::LESSONS.' lessons: one stretch, not three.'];
        }
        $again = self::again($marks);
        if ($again !== null) {
            [$one, $times] = $again;
            $words = Wording::in($pack, Faults::words()[$one->step->value][(string) $one->mark->fault] ?? (string) $one->mark->fault);

            return [StandstillReason::SameFault, sprintf(
                'The same fault in %d of %d lessons: %s, %s. Another remedy, or its drill by itself.',
                $times, self::LESSONS, $one->step->value, lcfirst($words),
            )];
        }
        if (self::weakestMarks($before, $marks, $pack) < self::HARDLY) {
            return [StandstillReason::NotPractised, 'The weakest steps were hardly practised in these lessons.'];
        }
        $first = $holdsBack[0] ?? null;
        if ($first !== null && $first->step !== null) {
            return [StandstillReason::OneStep, 'One thing pulls at all of it: '.HeldBackWords::of($first, $pack).'.'];
        }

        return [StandstillReason::Unknown, 'The marks do not say why: drive along, or ask.'];
    }

    /**
     * @param  list<Evidence>  $all
     * @param  list<string>  $lessons
     */
    private static function daysBetween(array $all, array $lessons): float
    {
        $began = [];
        foreach ($all as $one) {
            $began[$one->lesson] ??= $one->at->getTimestamp();
        }
        $gaps = [];
        for ($i = 1; $i < count($lessons); $i++) {
            $gaps[] = ($began[$lessons[$i]] - $began[$lessons[$i - 1]]) / 86_400.0;
        }
        sort($gaps);

        return $gaps === [] ? 0.0 : $gaps[intdiv(count($gaps), 2)];
    }

    /**
     * @param  list<Evidence>  $marks
     * @return ?array{Evidence, int} the fault that came back in most lessons, and in how many
     */
    private static function again(array $marks): ?array
    {
        $seen = $last = [];
        foreach ($marks as $one) {
            if ($one->mark->fault !== null) {
                $seen["{$one->step->value}.{$one->mark->fault}"][$one->lesson] = true;
                $last["{$one->step->value}.{$one->mark->fault}"] = $one;
            }
        }
        $times = array_map(count(...), $seen);
        arsort($times);
        $most = array_key_first($times);

        return $most === null || $times[$most] < self::AGAIN ? null : [$last[$most], $times[$most]];
    }

    /**
     * @param  list<Evidence>  $before
     * @param  list<Evidence>  $marks
     */
    private static function weakestMarks(array $before, array $marks, RulePack $pack): int
    {
        $then = Fit::of($before, $pack, $before[count($before) - 1]->at);
        $cells = [];
        foreach ($before as $one) {
            $cells[$one->cell()] ??= $then->belief($one->routine, $one->step)->unaided();
        }
        asort($cells);
        $weakest = array_slice($cells, 0, self::WEAKEST, true);

        return count(array_filter($marks, static fn (Evidence $one): bool => isset($weakest[$one->cell()])));
    }
}
