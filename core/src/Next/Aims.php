<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Record\Need;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * One or two aims for a lesson: what would help most in some rounds, of what may be driven by now. What was agreed, what a test soon asks for and
 * what would otherwise fade weighs more; of new things there is one at a time, and it comes alone with something that is known.
 */
final readonly class Aims
{
    /** An aim is driven so often in a lesson, as far as it is weighed (assumed). */
    public const ROUNDS = 4;

    /** What was promised weighs so much, what fades, what only stands beside the driving; by so much more what a test asks tomorrow (all assumed). */
    private const AGREED = 1.6;

    private const SOON = 0.3;

    private const FADING = 1.25;

    private const BESIDE = 0.4;

    /** A second aim brings at least this share of the first (assumed). */
    private const SECOND = 0.5;

    /** After so many days without any lesson something new weighs half (assumed): first comes what is left of what was known. */
    public const PAUSE_DAYS = 30.0;

    /** A test so many days ahead is soon (assumed). */
    private const SOON_DAYS = 21;

    /**
     * @param  list<array{routine: RoutineCode, step: ?Step}>  $agreed  last time
     * @param  list<RoutineCode>  $pinned  by the instructor
     * @param  list<RoutineCode>  $excluded
     * @param  ?Here  $here  null where nobody says what ways there are
     * @return non-empty-list<Aim> the first is the main one
     *
     * @throws BadInput where everything that may be driven is excluded
     */
    public static function of(
        Learner $learner, array $agreed = [], array $pinned = [], array $excluded = [], ?\DateTimeImmutable $testOn = null,
        ?Here $here = null,
    ): array {
        $here ??= Here::unsaid();
        $days = $testOn === null ? null : self::daysTo($testOn, $learner->on);
        $near = $days === null || $days > self::SOON_DAYS ? 0.0 : 1.0 - $days / self::SOON_DAYS;
        $new = self::newThings($learner) * (1.0 - $near);
        $steps = [];
        foreach ($agreed as ['routine' => $routine, 'step' => $step]) {
            $steps[$routine->value] = $step;
        }
        $found = [];
        foreach ($learner->routines as $code => $routine) {
            $isPinned = in_array($routine->code, $pinned, true);
            $isAgreed = array_key_exists($code, $steps);
            // What was agreed the instructor has thought about.
            if (! $isPinned && (in_array($routine->code, $excluded, true) || (! $isAgreed && ! $learner->mayDrive($routine)))) {
                continue;
            }
            $gain = array_sum($learner->worth->rounds($routine, self::ROUNDS));
            $fades = ($learner->daysSince($routine) ?? 0) > Need::DAYS;
            $had = $here->had($routine);
            $isBeside = in_array($routine->section, [Section::Around, Section::Between], true) || $here->isOnlyMet($routine);
            // What was only forgotten the first round brings back: that is what a revisit is for.
            $safer = array_sum(array_slice($learner->worth->safer($routine, self::ROUNDS + 1), 1));
            $score = $safer * ($isAgreed ? self::AGREED : 1.0) * ($fades ? self::FADING : 1.0)
                * ($learner->isNew($routine) ? $new : 1.0 + self::SOON * $near) * ($isBeside ? self::BESIDE : 1.0) * ($had ?? 0.0);
            $found[] = [$isPinned ? INF : $score, $routine, $gain, match (true) {
                $isPinned => AimReason::Pinned,
                $isAgreed => AimReason::Agreed,
                $learner->isNew($routine) => AimReason::NeverDone,
                $fades => AimReason::Fading,
                $near > 0.0 => AimReason::TestSoon,
                default => AimReason::Gain,
            }, $isAgreed && ! $isPinned && $here->isDriven($routine)];
        }
        $found = self::canBeDriven($found);
        // Of those that bring as much the one that is taught first.
        usort($found, static fn (array $a, array $b): int => round($b[0], 9) <=> round($a[0], 9));
        $aims = [];
        foreach (self::promisedAmongTwo($found, $learner) as [$score, $routine, $gain, $reason, $isPromised]) {
            if ($aims === [] || $isPromised || self::goesWith($aims[0], $routine, $learner, $score, $found[0][0])) {
                $aims[] = self::aim($learner, $routine, $reason, $gain, $steps[$routine->code->value] ?? null, $days);
            }
            if (count($aims) === 2) {
                break;
            }
        }

        return $aims === [] ? throw BadInput::field('excluded', 'leaves nothing that a lesson could be for.') : self::sureOneFirst($aims, $here);
    }

    /**
     * The main one is one that the lesson is sure to drive: what is only met on the way stands beside it. What somebody chose stays first.
     *
     * @param  non-empty-list<Aim>  $aims
     * @return non-empty-list<Aim>
     */
    private static function sureOneFirst(array $aims, Here $here): array
    {
        $isOnlyMet = static fn (Aim $aim): bool => $here->isOnlyMet($aim->routine);
        if (count($aims) < 2 || $aims[0]->reason === AimReason::Pinned || ! $isOnlyMet($aims[0]) || $isOnlyMet($aims[1])) {
            return $aims;
        }

        return [$aims[1], $aims[0]];
    }

    /**
     * Nothing that is out of reach, or harder than can be borne, wherever there is anything else.
     *
     * @param  list<array{float, Routine, float, AimReason, bool}>  $found
     * @return list<array{float, Routine, float, AimReason, bool}>
     */
    private static function canBeDriven(array $found): array
    {
        $can = array_values(array_filter($found, static fn (array $one): bool => $one[0] > 0.0 || $one[4]));

        return $can === [] ? $found : $can;
    }

    /** Days from a lesson to a test; null where it is behind them. */
    private static function daysTo(\DateTimeImmutable $test, \DateTimeImmutable $lesson): ?int
    {
        $days = (int) $lesson->setTime(0, 0)->diff($test->setTimezone($lesson->getTimezone())->setTime(0, 0))->format('%r%a');

        return $days < 0 ? null : $days;
    }

    /**
     * How much something new weighs beside what is in hand: hardly anything while that which goes least well still needs help or after a long pause,
     * and all of it for somebody who has driven nothing yet.
     */
    private static function newThings(Learner $learner): float
    {
        $least = 1.0;
        foreach ($learner->routines as $routine) {
            if (! $learner->isNew($routine)) {
                $least = min($least, $learner->worth->alone($routine));
            }
        }

        return $least ** 2 / (1.0 + ($learner->idleDays() / self::PAUSE_DAYS) ** 2);
    }

    /**
     * What was agreed is one of the two, whatever brings more by now: somebody gave their word. In place of the first it comes only where both would be
     * new, for new things come one at a time.
     *
     * @param  list<array{float, Routine, float, AimReason, bool}>  $found  the best first; whether it was agreed, and can be driven here
     * @return list<array{float, Routine, float, AimReason, bool}>
     */
    private static function promisedAmongTwo(array $found, Learner $learner): array
    {
        $at = array_search(true, array_column($found, 4), true);
        if ($at === false) {
            return $found;
        }
        $promised = array_splice($found, $at, 1)[0];
        foreach (array_keys($found) as $i) {
            $found[$i][4] = false;
        }
        $pinned = count(array_keys(array_column($found, 0), INF, true));
        $bothNew = $found !== [] && $learner->isNew($promised[1]) && $learner->isNew($found[0][1]);
        array_splice($found, $pinned > 0 ? $pinned : ($at === 0 || $bothNew ? 0 : 1), 0, [$promised]);

        return $found;
    }

    private static function goesWith(Aim $first, Routine $routine, Learner $learner, float $score, float $most): bool
    {
        return $score === INF || $score >= self::SECOND * min($most, 1e9)
            && ! ($learner->isNew($routine) && $learner->isNew($first->routine)) && $routine->section !== $first->routine->section;
    }

    private static function aim(Learner $learner, Routine $routine, AimReason $reason, float $gain, ?Step $agreed, ?int $daysToTest): Aim
    {
        $step = $agreed !== null && $routine->has($agreed) ? $agreed : $learner->worth->step($routine, self::ROUNDS);
        $since = $learner->daysSince($routine);
        $why = match ($reason) {
            AimReason::Pinned => 'you chose it',
            AimReason::Agreed => 'as agreed',
            AimReason::NeverDone => Prerequisites::of($routine->code, $learner->pack) === [] ? 'one begins with it'
                : 'never driven yet, and what comes before it is behind them',
            AimReason::Fading => 'not driven for '.Telling::long((int) $since),
            AimReason::TestSoon => 'the test is '.match ($daysToTest) {
                0 => 'today', 1 => 'tomorrow', default => "in {$daysToTest} days",
            },
            AimReason::Gain => Telling::times($learner->worth->alone($routine)).' alone now, and some rounds of it would help',
        };

        return new Aim($routine, $step, $reason, $gain, $learner->marks["{$routine->code->value}.{$step->value}"] ?? 0, $why);
    }
}
