<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Site\Position;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** A lesson as it is proposed: what it is for, what it drives for that, and what is lacking that its hour may offer. */
final readonly class NextLesson
{
    /** A way is driven so often in a lesson at the most where nobody says it (assumed). */
    public const ROUNDS = 4;

    /**
     * @param  non-empty-list<Aim>  $aims
     * @param  ?LessonProposal  $proposal  null where no ways were said
     * @param  list<Lacking>  $lacking
     */
    private function __construct(public array $aims, public ?LessonProposal $proposal, public array $lacking)
    {
    }

    /**
     * @param  \DateTimeImmutable  $at  when it begins, by the clock on the wall there
     * @param  list<array{routine: RoutineCode, step: ?Step}>  $agreed  last time
     * @param  list<string>  $pinned  ids of ways and codes of routines
     * @param  list<string>  $excluded  the same
     * @param  list<Stop>  $stops
     * @param  list<Routine>  $routines  of the stops, in the same order
     * @param  ?Legs  $legs  null where nobody says where it begins: then there are no stops
     * @param  int  $seconds  with the debrief; there is time for the drive from start to end
     */
    public static function of(
        Learner $learner, \DateTimeImmutable $at, int $seconds, int $debrief, array $agreed = [], array $pinned = [], array $excluded = [],
        ?\DateTimeImmutable $testOn = null, array $stops = [], array $routines = [], ?Legs $legs = null, ?Position $start = null,
    ): self {
        $codes = static fn (array $named): array => array_values(array_filter(array_map(RoutineCode::tryFrom(...), $named)));
        $isDriven = $stops !== [] && $legs !== null;
        $here = $isDriven ? Here::of($learner, $stops, $routines, $legs, (float) ($seconds - $debrief), $excluded) : Here::unsaid();
        $aims = Aims::of($learner, $agreed, $codes($pinned), $codes($excluded), $testOn, $here);
        $proposal = $isDriven ? LessonProposal::of($learner, $aims, $stops, $routines, $legs, $seconds, $debrief, $pinned, $excluded) : null;

        return new self(
            $proposal === null ? $aims : self::thatAreDriven($aims, $proposal, $routines), $proposal,
            $learner->level === LearnerLevel::Beginner ? [] : Lacking::of($learner->evidence, $at, $seconds, $start),
        );
    }

    /**
     * Without an aim that has a place but, for want of time, no round; somebody's own wish stays, and one there always is.
     *
     * @param  non-empty-list<Aim>  $aims
     * @param  list<Routine>  $routines  of the stops
     * @return non-empty-list<Aim>
     */
    private static function thatAreDriven(array $aims, LessonProposal $proposal, array $routines): array
    {
        $code = static fn (Routine $routine): string => $routine->code->value;
        $driven = array_map(static fn (int $way): string => $code($routines[$way]), $proposal->circuit->choice->ways());
        $not = array_diff(array_map($code, $routines), $driven);
        $kept = array_values(array_filter($aims, static fn (Aim $aim): bool => in_array($aim->reason, [AimReason::Pinned, AimReason::Agreed], true)
            || ! $aim->routine->needsAPlace() || ! in_array($code($aim->routine), $not, true)));

        return $kept === [] ? [$aims[0]] : $kept;
    }
}
