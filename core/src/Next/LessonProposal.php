<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Circuit\Circuit;
use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;

/**
 * The ways of a lesson for its aims: enough rounds of what it is for, one that would otherwise fade, easy ones first, back in time. What is not in it
 * is said with its reason.
 */
final readonly class LessonProposal
{
    /** Rounds of an aim count so many times as much as others (assumed), as many of them as an aim is driven for; what is beyond is a round like any other. */
    public const AIM = 3.0;

    /** So does the first round of what would fade next (assumed). */
    private const REVISIT = 3.0;

    /** What has lost so much since it was driven is worth a round before it fades, logits (assumed): most learners lose that in a fortnight. */
    public const FADES = 0.1;

    /** More than one is come back to only where so much is lost, logits, and so many at the most (assumed): who forgets quickly loses that in a fortnight. */
    public const FADED = 0.2;

    public const REVISITS = 3;

    /** So many other routines go with the aims at the least (assumed), one more than those that are come back to: one stretch, not three. */
    private const OTHERS = 2;

    /** Where so much of a lesson would be left over, s, more routines go with them (assumed), until there is less or no more. */
    private const LEFT_OVER = 600.0;

    /** More rounds of one routine in a lesson bring nothing (assumed). */
    private const MOST_ROUNDS = 8;

    /** As much as all there is: somebody asked for it. */
    private const WANTED = 100.0;

    /**
     * @param  list<NotTaken>  $notTaken
     * @param  float  $value  what its rounds are expected to bring, chances added up; nothing weighed
     */
    private function __construct(public Circuit $circuit, public bool $isExact, public array $notTaken, public float $value)
    {
    }

    /**
     * @param  non-empty-list<Aim>  $aims
     * @param  list<Stop>  $stops
     * @param  list<Routine>  $routines  of the stops, in the same order
     * @param  list<string>  $pinned  ids of ways and codes of routines
     * @param  list<string>  $excluded  the same
     * @param  int  $debrief  s
     */
    public static function of(
        Learner $learner, array $aims, array $stops, array $routines, Legs $legs, int $seconds, int $debrief, array $pinned, array $excluded,
    ): self {
        $budget = (float) ($seconds - $debrief);
        $aimed = array_map(static fn (Aim $aim): string => $aim->routine->code->value, $aims);
        $revisits = self::revisits($learner, $aimed, $routines);
        $worth = self::worth($learner, $aimed, $revisits, $stops, $routines, $pinned);
        $choosing = new Choosing($stops, $legs, $worth, $budget);
        $others = self::others($learner, $aimed, $revisits, $routines);
        $with = min(count($others), self::atFirst($aimed, $revisits, $routines));
        do {
            $weighed = new Weighed($learner, $aimed, [...$aimed, ...array_slice($others, 0, $with)], $excluded, $with > count($others));
            [$ways, $not] = self::looked($weighed, $stops, $routines, $legs, $budget, $pinned);
        } while ($choosing->spare($choosing->roughly($ways)) > self::LEFT_OVER && $with++ <= count($others));
        $chosen = $choosing->choose($ways);
        $circuit = Circuit::chosen($stops, $legs, $chosen->rounds, $seconds, $debrief);
        foreach (array_diff($ways, array_keys($chosen->rounds)) as $way) {
            $not[$way] = $weighed->after($stops[$way], $routines[$way], $worth->more($chosen->rounds, $way), $choosing->hasTimeFor($way, $chosen));
        }
        ksort($not);

        return new self($circuit, count($ways) <= Choosing::EXACT, array_values($not), self::value($learner, $chosen->rounds, $routines));
    }

    /**
     * @param  list<Stop>  $stops
     * @param  list<Routine>  $routines  of the stops, in the same order
     * @param  list<string>  $pinned
     * @return array{list<int>, array<int, NotTaken>} the ways that may be driven, and why others may not
     */
    private static function looked(Weighed $weighed, array $stops, array $routines, Legs $legs, float $budget, array $pinned): array
    {
        [$ways, $not] = [[], []];
        foreach ($stops as $way => $stop) {
            $why = in_array($stop->id, $pinned, true) ? null : $weighed->before($stop, $routines[$way]);
            $why ??= Weighed::reach($stop, $legs->along([$way]) + $stop->onceSeconds() - $budget);
            if ($why === null) {
                $ways[] = $way;
            } else {
                $not[$way] = $why;
            }
        }

        return [$ways, $not];
    }

    /**
     * @param  list<string>  $aimed
     * @param  list<string>  $revisits
     * @param  list<Stop>  $stops
     * @param  list<Routine>  $routines
     * @param  list<string>  $pinned
     */
    private static function worth(Learner $learner, array $aimed, array $revisits, array $stops, array $routines, array $pinned): LessonWorth
    {
        $brings = self::brings($learner, $routines);
        foreach ($brings as $code => $more) {
            $brings[$code] = array_map(static fn (int $i): float => $more[$i] * match (true) {
                $i < Aims::ROUNDS && in_array($code, $aimed, true) => self::AIM,
                $i === 0 && in_array($code, $revisits, true) => self::REVISIT,
                default => 1.0,
            }, array_keys($more));
        }

        return new LessonWorth(
            array_map(static fn (Routine $routine): string => $routine->code->value, $routines), $brings,
            array_map(static fn (Stop $stop, Routine $routine): float => Weighed::hadThere($learner, $routine, $stop->difficulty), $stops, $routines),
            array_map(static fn (Stop $stop): float => in_array($stop->id, $pinned, true) ? self::WANTED : 0.0, $stops),
        );
    }

    /**
     * By the serious faults that go, on the scale of the chances that rise: for somebody nearly ready a minute of mere driving costs no more.
     *
     * @param  list<Routine>  $routines  that can be driven here
     * @return array<string, list<float>> by routine: what its first, second, ... round brings
     */
    private static function brings(Learner $learner, array $routines): array
    {
        $safer = [];
        $rises = 0.0;
        foreach ($routines as $routine) {
            if (! isset($safer[$routine->code->value])) {
                $safer[$routine->code->value] = $learner->worth->safer($routine, self::MOST_ROUNDS);
                $rises += array_sum($learner->worth->rounds($routine, self::MOST_ROUNDS));
            }
        }
        $scale = $rises / max(1e-12, array_sum(array_map(array_sum(...), $safer)));

        return array_map(static fn (array $each): array => array_map(static fn (float $one): float => $scale * $one, $each), $safer);
    }

    /**
     * Of what they know, and the lesson is not for, that of which they have lost most since; more than one with who forgets quickly.
     *
     * @param  list<string>  $aimed
     * @param  list<Routine>  $routines  that can be driven here
     * @return list<string>
     */
    private static function revisits(Learner $learner, array $aimed, array $routines): array
    {
        $lost = [];
        foreach ($routines as $routine) {
            $code = $routine->code->value;
            $faded = $learner->fit->faded($routine->code);
            $mayFade = ! $learner->isNew($routine) && $routine->section !== Section::Between && ! in_array($code, $aimed, true);
            if ($mayFade && $faded > self::FADES) {
                $lost[$code] = $faded;
            }
        }
        arsort($lost);
        $much = count(array_filter($lost, static fn (float $faded): bool => $faded > self::FADED));

        return array_slice(array_keys($lost), 0, max(1, min(self::REVISITS, $much)));
    }

    /**
     * What can go with the aims, the best first: those that would fade, and of the rest that in which some rounds bring most, not only the first of them.
     *
     * @param  list<string>  $aimed
     * @param  list<string>  $revisits
     * @param  list<Routine>  $routines  that can be driven here
     * @return list<string>
     */
    private static function others(Learner $learner, array $aimed, array $revisits, array $routines): array
    {
        $brings = [];
        foreach ($routines as $routine) {
            $code = $routine->code->value;
            // What is between two hazards is driven anyway.
            if (! in_array($code, $aimed, true) && ! $learner->isNew($routine) && $routine->section !== Section::Between) {
                $brings[$code] ??= in_array($code, $revisits, true) ? INF : array_sum($learner->worth->safer($routine, Aims::ROUNDS));
            }
        }
        arsort($brings);

        return array_keys($brings);
    }

    /**
     * How many routines go with the aims: more where an aim has no way here.
     *
     * @param  list<string>  $aimed
     * @param  list<string>  $revisits
     * @param  list<Routine>  $routines  that can be driven here
     */
    private static function atFirst(array $aimed, array $revisits, array $routines): int
    {
        $codes = array_map(static fn (Routine $routine): string => $routine->code->value, $routines);

        return max(self::OTHERS, 1 + count($revisits)) + count(array_diff($aimed, $codes));
    }

    /**
     * @param  array<int, int>  $rounds  by way
     * @param  list<Routine>  $routines
     */
    private static function value(Learner $learner, array $rounds, array $routines): float
    {
        $driven = [];
        foreach ($rounds as $way => $number) {
            $code = $routines[$way]->code->value;
            $driven[$code] = [$routines[$way], ($driven[$code][1] ?? 0) + $number];
        }

        return array_sum(array_map(static fn (array $one): float => array_sum($learner->worth->rounds(...$one)), $driven));
    }
}
