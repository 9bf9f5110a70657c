<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\Need;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Vehicle\Transmission;

/** What the marks say of a learner: every step of a routine that was marked, what is weakest, what holds back, and what was never done. */
final readonly class Record
{
    private const LAST_LESSONS = 3;

    private const MOST_NAMED = 5;

    private const MOST_WEAK = 4;

    public Fit $fit;

    /** @var list<Cell> by routine and step */
    public array $cells;

    /**
     * @param  list<Evidence>  $evidence  in the order of time, up to today
     * @param  list<Overruling>  $overrulings  up to today
     * @param  array<string, array<string, Outcome>>  $ratings  the learner's own, by lesson and step, oldest first
     * @param  list<Leant>  $gaps  what counted gaps tell of leaning
     * @param  Transmission  $transmission  that they learn on: what such a car cannot do was never left out
     */
    public function __construct(
        private array $evidence, private RulePack $pack, private \DateTimeImmutable $today, private array $overrulings = [], private array $ratings = [],
        ?Fit $fit = null, private Transmission $transmission = Transmission::Manual, private array $gaps = [],
    ) {
        $this->fit = $fit ?? Fit::of($evidence, $pack, $today, overrulings: $overrulings);
        $this->cells = $this->cells();
    }

    /** @return list<Cell> the cells that stand lowest, lowest first */
    public function weakest(): array
    {
        $cells = $this->cells;
        usort($cells, static fn (Cell $a, Cell $b): int => round($a->belief->unaided(), 4) <=> round($b->belief->unaided(), 4));

        return array_slice($cells, 0, self::MOST_WEAK);
    }

    /** @return list<HoldsBack> most first */
    public function holdsBack(): array
    {
        return array_slice(HoldsBack::of($this->fit, $this->evidence), 0, self::MOST_NAMED);
    }

    /** What holds back, as a heading. */
    public function inWords(HoldsBack $one): string
    {
        return HeldBackWords::of($one, $this->pack);
    }

    /** @return list<FaultSeen> most often seen first */
    public function faults(): array
    {
        return FaultSeen::in($this->evidence, $this->pack);
    }

    /** Timid or bold; null where too little was seen that says so. */
    public function leaning(): ?Leaning
    {
        $signs = array_values(array_filter(array_map(Leant::ofMark(...), $this->evidence)));
        $lessons = array_map(strval(...), array_keys(array_fill_keys(array_column($this->evidence, 'lesson'), true)));

        return Leaning::of([...$signs, ...$this->gaps], $lessons, $this->today);
    }

    /** @return list<OwnRating> */
    public function ownRatings(): array
    {
        return OwnRating::of($this->ratings, $this->evidence);
    }

    /**
     * @return array{never: list<RoutineCode>, shown: list<RoutineCode>, long: list<array{routine: RoutineCode, days: int}>} never done, only shown,
     *     and not done for long, longest first
     */
    public function notDone(): array
    {
        $last = $marked = [];
        foreach ($this->evidence as $one) {
            $last[$one->routine->value] = $one->at;
            $marked[$one->routine->value] = ($marked[$one->routine->value] ?? false) || ! $one->taught;
        }
        $never = $shown = $long = [];
        foreach ($this->routines($last) as $code) {
            $at = $last[$code->value] ?? null;
            $days = $at === null ? 0 : $this->daysSince($at);
            match (true) {
                $at === null => $never[] = $code,
                ! ($marked[$code->value] ?? false) => $shown[] = $code,
                $days > Need::DAYS => $long[] = ['routine' => $code, 'days' => $days],
                default => null,
            };
        }
        usort($long, static fn (array $a, array $b): int => $b['days'] <=> $a['days']);

        return ['never' => $never, 'shown' => $shown, 'long' => $long];
    }

    /**
     * What could have been done: a long vehicle wants another licence, its routines are no hole in a car driver's record.
     *
     * @param  array<string, \DateTimeImmutable>  $last  when each routine was last driven
     * @return list<RoutineCode>
     */
    private function routines(array $last): array
    {
        $all = Catalogue::all($this->pack);
        $drivesLong = array_filter(
            $all, static fn (Routine $routine): bool => $routine->section === Section::LongVehicles && isset($last[$routine->code->value]),
        ) !== [];

        return array_values(array_map(
            static fn (Routine $routine): RoutineCode => $routine->code,
            array_filter(
                $all, fn (Routine $routine): bool => $routine->fits($this->transmission) && ($drivesLong || $routine->section !== Section::LongVehicles),
            ),
        ));
    }

    /** What was believed before the last lessons; null where there was nothing. */
    private function before(): ?Fit
    {
        $lessons = array_fill_keys(array_column($this->evidence, 'lesson'), true);
        $early = array_slice($lessons, 0, max(0, count($lessons) - self::LAST_LESSONS), true);

        return $early === [] ? null : Fit::of(
            array_values(array_filter($this->evidence, static fn (Evidence $one): bool => isset($early[$one->lesson]))), $this->pack, $this->today,
        );
    }

    /** @return list<Cell> */
    private function cells(): array
    {
        $found = $driven = [];
        foreach ($this->evidence as $one) {
            $driven[$one->routine->value] = $one->at;
            if (! $one->taught) {
                $found[$one->cell()][] = $one;
            }
        }
        ksort($found);
        $before = $this->before();
        $known = $before === null ? [] : array_flip($before->marked());
        $alone = $this->overrulings === [] ? null : Fit::of($this->evidence, $this->pack, $this->today);
        $said = [];
        foreach ($this->overrulings as $overruling) {
            $said[$overruling->cell()] = $overruling;
        }
        $cells = [];
        foreach ($found as $cell => $marks) {
            [$routine, $step] = [$marks[0]->routine, $marks[0]->step];
            $belief = $this->fit->belief($routine, $step);
            // Of the marks alone: an instructor's word is no progress.
            $rose = isset($known[$cell])
                && $before !== null ? ($alone ?? $this->fit)->belief($routine, $step)->unaided() - $before->belief($routine, $step)->unaided() : null;
            $overruling = $said[$cell] ?? null;
            $cells[] = new Cell(
                $routine, $step, $belief, count($marks),
                count(array_fill_keys(array_column($marks, 'lesson'), true)),
                $marks[count($marks) - 1]->at,
                Trend::of($rose),
                $this->daysSince($driven[$routine->value] ?? $this->today) > Need::DAYS,
                (new Belief($belief->mean + $this->fit->faded($routine), $belief->variance))->unaided() - $belief->unaided(),
                $overruling === null ? null : Level::of($overruling->chance),
                $overruling === null || $alone === null ? null : $alone->belief($routine, $step)->unaided(),
            );
        }

        return $cells;
    }

    private function daysSince(\DateTimeImmutable $at): int
    {
        return max(0, intdiv($this->today->getTimestamp() - $at->getTimestamp(), 86_400));
    }
}
