<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Routine\FaultCause;
use NobleTurn\Core\Routine\FaultCauses;
use NobleTurn\Core\Routine\Instruction;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * What a lesson's marks suggest to talk about: one thing that went well, one fault with its likely cause one
 * step earlier, one remedy. A suggestion from counts over this lesson only; the instructor decides.
 */
final readonly class Debrief
{
    private function __construct(
        public ?Step $well,
        public int $wellRounds,
        public int $heldBackRightly,
        public ?RoutineCode $routine,
        public ?Instruction $fault,
        /** The kind of fault that was seen most in those rounds; null where none was said. */
        public ?string $kind,
        public int $kindRounds,
        /** Why, and what helps: of the kind that was seen, or of the step where none was said. */
        public ?FaultCause $cause,
        public int $faultRounds,
        public int $faultOf,
        /** In how many of the faulty rounds the causing step was marked as not clean either. */
        public int $causeSeen,
        /** Whether the fault is of what the lesson works on. */
        public bool $ofTheAim = false,
    ) {
    }

    /**
     * @param  list<MarkedRound>  $rounds  of one lesson
     * @param  ?Aim  $aim  what it works on: what needs help is said of it first
     */
    public static function of(array $rounds, RulePack $pack, bool $hasClutch, ?Aim $aim = null): self
    {
        $evidence = array_values(array_filter($rounds, static fn (MarkedRound $round): bool => $round->isEvidence()));
        $held = count(array_filter($rounds, static fn (MarkedRound $round): bool => $round->heldBackRightly));
        [$well, $wellRounds] = self::best($evidence);
        $aimed = $aim === null ? [] : array_values(array_filter($evidence, $aim->isSaidBy(...)));
        $steps = $aim?->step === null ? Step::cases() : [$aim->step];
        $ofTheAim = self::worst($aimed, $pack, $steps);
        $worst = $ofTheAim ?? self::worst($evidence, $pack, Step::cases());
        if ($worst === null) {
            return new self($well, $wellRounds, $held, null, null, null, 0, null, 0, 0, 0);
        }
        [$routine, $step] = $worst;
        $fault = Catalogue::routine($routine, $pack)->instruction($step)->spoken(new Wording($pack, Demand::side($routine, $pack)), $hasClutch);
        $marked = array_values(array_filter($ofTheAim === null ? $evidence : $aimed, static fn (MarkedRound $round): bool => $round->says($step) !== null));
        $faulty = array_values(array_filter($marked, static fn (MarkedRound $round): bool => $round->says($step)?->isClean() === false));
        [$kind, $kindRounds] = self::kind($faulty, $step);
        $cause = ($kind === null ? null : FaultCauses::of($step, $kind)?->spoken($pack))
            ?? new FaultCause($fault->likelyCause, $fault->remedy, $fault->causeIn);
        $in = $cause->in;
        $seen = $in === null ? [] : array_filter($faulty, static fn (MarkedRound $round): bool => $round->says($in)?->isClean() === false);

        return new self(
            $well, $wellRounds, $held, $routine, $fault, $kind, $kindRounds, $cause, count($faulty), count($marked), count($seen), $ofTheAim !== null,
        );
    }

    /**
     * The kind of fault that was said most of a step, the first of equals.
     *
     * @param  list<MarkedRound>  $rounds
     * @return array{?string, int} and in how many rounds
     */
    private static function kind(array $rounds, Step $step): array
    {
        $counts = array_count_values(array_filter(array_map(static fn (MarkedRound $round): ?string => $round->says($step)?->fault, $rounds)));
        $most = $counts === [] ? 0 : max($counts);

        return $most === 0 ? [null, 0] : [(string) array_search($most, $counts, true), $most];
    }

    /**
     * The step most often unaided and in order, of those never otherwise; the later in the routine wins a draw,
     * being the harder to keep.
     *
     * @param  list<MarkedRound>  $rounds
     * @return array{?Step, int}
     */
    private static function best(array $rounds): array
    {
        $best = [null, 0];
        foreach (Step::cases() as $step) {
            $marks = array_values(array_filter(array_map(static fn (MarkedRound $round): ?StepMark => $round->says($step), $rounds)));
            $clean = count(array_filter($marks, static fn (StepMark $mark): bool => $mark->isClean()));
            if ($clean > 0 && $clean === count($marks) && $clean >= $best[1]) {
                $best = [$step, $clean];
            }
        }

        return $best;
    }

    /**
     * The step that needed most support over all rounds, whatever the routine, and the routine in which it needed
     * most. The earlier step wins a draw: it is the likelier cause.
     *
     * @param  list<MarkedRound>  $rounds
     * @param  list<Step>  $steps  that are looked at
     * @return ?array{RoutineCode, Step}
     */
    private static function worst(array $rounds, RulePack $pack, array $steps): ?array
    {
        $worst = null;
        $most = 0;
        foreach ($steps as $step) {
            $byRoutine = [];
            foreach ($rounds as $round) {
                // A mark of a step the routine has not (a signal at a hump) explains nothing.
                if (! Catalogue::routine($round->routine, $pack)->has($step)) {
                    continue;
                }
                $byRoutine[$round->routine->value] = ($byRoutine[$round->routine->value] ?? 0) + ($round->says($step)?->support() ?? 0);
            }
            if ($byRoutine !== [] && array_sum($byRoutine) > $most) {
                $most = array_sum($byRoutine);
                $worst = [RoutineCode::from((string) array_search(max($byRoutine), $byRoutine, true)), $step];
            }
        }

        return $worst;
    }
}
