<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Overruling;
use NobleTurn\Core\Skill\Stages;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Vehicle\Transmission;

/** What is known of a learner for whom a lesson is proposed. */
final readonly class Learner
{
    public Fit $fit;

    public Worth $worth;

    /** @var array<string, int> marks and demonstrations by routine */
    public array $seen;

    /** @var array<string, \DateTimeImmutable> when a routine was last driven */
    public array $last;

    /** @var array<string, Routine> those they could drive, by code, in the order of the catalogue */
    public array $routines;

    /** @var array<string, int> marks that are evidence, by "routine.step" */
    public array $marks;

    /**
     * @param  list<Evidence>  $evidence  up to then, in the order of time
     * @param  list<Overruling>  $overrulings
     */
    public function __construct(
        public array $evidence, public RulePack $pack, public \DateTimeImmutable $on, array $overrulings = [],
        Transmission $transmission = Transmission::Manual, public LearnerLevel $level = LearnerLevel::Developing,
    ) {
        $driven = $marks = $seen = $last = [];
        foreach ($evidence as $one) {
            $driven[$one->cell()] = ($driven[$one->cell()] ?? 0) + 1;
            $marks[$one->cell()] = ($marks[$one->cell()] ?? 0) + (int) ! $one->taught;
            $seen[$one->routine->value] = ($seen[$one->routine->value] ?? 0) + 1;
            $last[$one->routine->value] = $one->at;
        }
        $this->fit = Fit::of($evidence, $pack, $on, overrulings: $overrulings);
        $asked = array_map(static fn (Routine $routine): RoutineCode => $routine->code, Required::of($pack, $transmission));
        $this->worth = new Worth($this->fit, $driven, $on, $asked, static fn (): Stages => Stages::of($evidence, $overrulings));
        [$this->seen, $this->last, $this->marks] = [$seen, $last, $marks];
        $routines = [];
        foreach (Catalogue::all($pack) as $routine) {
            // A lorry is learned by those who have begun to.
            if ($routine->fits($transmission) && ($routine->section !== Section::LongVehicles || isset($seen[$routine->code->value]))) {
                $routines[$routine->code->value] = $routine;
            }
        }
        $this->routines = $routines;
    }

    /** As it is said where they learn. */
    public function title(Routine $routine): string
    {
        return (new Wording($this->pack, Demand::side($routine->code, $this->pack)))->say($routine->title);
    }

    public function isNew(Routine $routine): bool
    {
        return ! isset($this->seen[$routine->code->value]);
    }

    public function daysSince(Routine $routine): ?int
    {
        $last = $this->last[$routine->code->value] ?? null;

        return $last === null ? null : max(0, intdiv($this->on->getTimestamp() - $last->getTimestamp(), 86_400));
    }

    /** Days since anything was driven; none where nothing was. */
    public function idleDays(): float
    {
        return $this->last === [] ? 0.0 : max(0.0, ($this->on->getTimestamp() - max($this->last)->getTimestamp()) / 86_400.0);
    }

    /** Whether what comes before a routine is behind them; what they have driven already they may drive again. */
    public function mayDrive(Routine $routine): bool
    {
        return ! $this->isNew($routine) || $this->missing($routine) === [];
    }

    /** @return list<RoutineCode> what comes before it and is not behind them yet */
    public function missing(Routine $routine): array
    {
        return array_values(array_filter(Prerequisites::of($routine->code, $this->pack), function (RoutineCode $code): bool {
            $before = $this->routines[$code->value] ?? null;

            return $before !== null && ! $this->isBehind($before);
        }));
    }

    /** Whether they do it as often right as not, or something that rests on it: nobody marks every turn of a learner who emerges alone. */
    public function isBehind(Routine $routine): bool
    {
        if (! $this->isNew($routine)) {
            return $this->worth->alone($routine) >= Prerequisites::ENOUGH;
        }
        foreach ($this->routines as $later) {
            if (! $this->isNew($later) && in_array($routine->code, Prerequisites::all($later->code, $this->pack), true)
                && $this->worth->alone($later) >= Prerequisites::ENOUGH) {
                return true;
            }
        }

        return false;
    }
}
