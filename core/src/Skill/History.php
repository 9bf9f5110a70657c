<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** What was to be believed of one step of one routine after each lesson that marked it, from what was known by then. */
final readonly class History
{
    /** So many of the last such lessons are gone back to. */
    public const LESSONS = 12;

    private function __construct(public string $lesson, public \DateTimeImmutable $at, public Belief $belief, public int $unaided, public int $of)
    {
    }

    /**
     * @param  list<Evidence>  $evidence
     * @param  list<Overruling>  $overrulings
     * @return list<self> oldest first
     */
    public static function of(array $evidence, array $overrulings, RulePack $pack, RoutineCode $routine, Step $step): array
    {
        $marks = $ended = [];
        foreach ($evidence as $one) {
            $ended[$one->lesson] = max($ended[$one->lesson] ?? $one->at, $one->at);
            if ($one->routine === $routine && $one->step === $step && ! $one->taught) {
                $marks[$one->lesson][] = $one->rank;
            }
        }
        uksort($marks, static fn (string $a, string $b): int => [$ended[$a], $a] <=> [$ended[$b], $b]);
        $found = [];
        foreach (array_slice($marks, -self::LESSONS, null, true) as $lesson => $ranks) {
            $by = $ended[$lesson];
            $fit = Fit::of(
                array_values(array_filter($evidence, static fn (Evidence $one): bool => $one->at <= $by)), $pack, $by,
                overrulings: array_values(array_filter($overrulings, static fn (Overruling $one): bool => $one->at <= $by)),
            );
            $found[] = new self((string) $lesson, $by, $fit->belief($routine, $step), count(array_keys($ranks, Ladder::TOP, true)), count($ranks));
        }

        return $found;
    }
}
