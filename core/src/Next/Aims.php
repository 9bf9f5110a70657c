<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

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
    private const ROUNDS = 4;

    /** What was promised weighs so much more, what a test asks soon, what fades, what only stands beside the driving (all assumed). */
    private const AGREED = 1.6;

    private const SOON = 1.3;

    private const FADING = 1.25;

    private const BESIDE = 0.4;

    /** A second aim brings at least this share of the first (assumed). */
    private const SECOND = 0.5;

    /** A test so many days ahead is soon (assumed). */
    private const SOON_DAYS = 21;

    /**
     * @param  list<array{routine: RoutineCode, step: ?Step}>  $agreed  last time
     * @param  list<RoutineCode>  $pinned  by the instructor
     * @param  list<RoutineCode>  $excluded
     * @return non-empty-list<Aim> the first is the main one
     */
    public static function of(Learner $learner, array $agreed = [], array $pinned = [], array $excluded = [], ?\DateTimeImmutable $testOn = null): array
    {
        $soon = $testOn !== null && $testOn >= $learner->on->modify('-1 day') && $testOn <= $learner->on->modify('+'.self::SOON_DAYS.' days');
        $steps = [];
        foreach ($agreed as ['routine' => $routine, 'step' => $step]) {
            $steps[$routine->value] = $step;
        }
        $found = [];
        foreach ($learner->routines as $code => $routine) {
            $isPinned = in_array($routine->code, $pinned, true);
            if (! $isPinned && (in_array($routine->code, $excluded, true) || ! $learner->mayDrive($routine))) {
                continue;
            }
            $rounds = array_sum($learner->worth->rounds($routine, self::ROUNDS));
            $isAgreed = array_key_exists($code, $steps);
            $fades = ($learner->daysSince($routine) ?? 0) > Need::DAYS;
            $score = $rounds * ($isAgreed ? self::AGREED : 1.0) * ($fades ? self::FADING : 1.0)
                * ($soon && ! $learner->isNew($routine) ? self::SOON : 1.0) * ($routine->section === Section::Around ? self::BESIDE : 1.0);
            $found[] = [$isPinned ? INF : $score, $routine, $rounds, match (true) {
                $isPinned => AimReason::Pinned,
                $isAgreed => AimReason::Agreed,
                $learner->isNew($routine) => AimReason::NeverDone,
                $fades => AimReason::Fading,
                $soon => AimReason::TestSoon,
                default => AimReason::Gain,
            }];
        }
        // Of those that bring as much the one that is taught first.
        usort($found, static fn (array $a, array $b): int => round($b[0], 9) <=> round($a[0], 9));
        $aims = [];
        foreach ($found as [$score, $routine, $gain, $reason]) {
            if ($aims === [] || self::goesWith($aims[0], $routine, $learner, $score, $found[0][0])) {
                $aims[] = self::aim($learner, $routine, $reason, $gain, $steps[$routine->code->value] ?? null, $testOn);
            }
            if (count($aims) === 2) {
                break;
            }
        }

        return $aims === [] ? throw new \LogicException('A learner can always drive something.') : $aims;
    }

    private static function goesWith(Aim $first, Routine $routine, Learner $learner, float $score, float $most): bool
    {
        return $score >= self::SECOND * min($most, 1e9) || $score === INF
            ? ! ($learner->isNew($routine) && $first->reason === AimReason::NeverDone) && ($score === INF || $routine->section !== $first->routine->section)
            : false;
    }

    private static function aim(Learner $learner, Routine $routine, AimReason $reason, float $gain, ?Step $agreed, ?\DateTimeImmutable $testOn): Aim
    {
        $step = $agreed !== null && $routine->has($agreed) ? $agreed : $learner->worth->step($routine, self::ROUNDS)[0];
        $days = $learner->daysSince($routine);
        $why = match ($reason) {
            AimReason::Pinned => 'you chose it',
            AimReason::Agreed => 'agreed last time',
            AimReason::NeverDone => 'never driven yet, and what comes before it is behind them',
            AimReason::Fading => "not driven for {$days} days",
            AimReason::TestSoon => sprintf('the test is in %d days', $testOn === null
                ? 0 : max(0, (int) ceil(($testOn->getTimestamp() - $learner->on->getTimestamp()) / 86_400))),
            AimReason::Gain => sprintf('about %d times in 10 alone now, and some rounds of it would help most', round(10.0 * $learner->worth->now($routine))),
        };

        return new Aim($routine, $step, $reason, $gain, $learner->marks["{$routine->code->value}.{$step->value}"] ?? 0, $why);
    }
}
