<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** What a learner's record asks of one routine, from counts over its last rounds; no score. All thresholds assumed. */
final readonly class Need
{
    /** As many of the last rounds of a routine are looked at. */
    public const LAST = 6;

    /** Less of them unaided than this share, and the step is weak. */
    public const SHARE = 2 / 3;

    /** After so many days without it a routine wants to be driven again. */
    public const DAYS = 28;

    private function __construct(
        public RoutineCode $routine,
        public NeedKind $kind,
        /** The step helped most often, where one was helped at all. */
        public ?Step $step,
        public int $helped,
        public int $of,
        public ?\DateTimeImmutable $lastAt,
    ) {
    }

    /**
     * @param  list<MarkedRound>  $rounds
     * @return list<self> every routine of the pack, the most needed first
     */
    public static function all(array $rounds, RulePack $pack, \DateTimeImmutable $today): array
    {
        usort($rounds, static fn (MarkedRound $a, MarkedRound $b): int => $b->at <=> $a->at);
        $needs = array_map(static fn (Routine $routine): self => self::of(
            $routine, array_values(array_filter($rounds, static fn (MarkedRound $round): bool => $round->routine === $routine->code)), $today,
        ), Catalogue::all($pack));
        usort($needs, static fn (self $a, self $b): int => [$a->kind->rank(), -$a->share(), $a->lastAt] <=> [$b->kind->rank(), -$b->share(), $b->lastAt]);

        return $needs;
    }

    /** @param  list<MarkedRound>  $rounds of this routine, latest first */
    private static function of(Routine $routine, array $rounds, \DateTimeImmutable $today): self
    {
        $last = $rounds[0]->at ?? null;
        $evidence = array_slice(
            array_values(array_filter($rounds, static fn (MarkedRound $round): bool => $round->isEvidence() && $round->saysSomething())), 0,
            self::LAST,
        );
        if ($evidence === []) {
            return new self($routine->code, $rounds === [] ? NeedKind::NeverDriven : NeedKind::OnlyShown, null, 0, 0, $last);
        }
        [$worst, $helped, $of] = [null, 0, count($evidence)];
        $weak = false;
        foreach (Step::cases() as $step) {
            $marks = array_values(array_filter(array_map(static fn (MarkedRound $round): ?StepMark => $round->says($step), $evidence)));
            $unclean = count(array_filter($marks, static fn (StepMark $mark): bool => ! $mark->isClean()));
            if (! $routine->has($step) || $unclean === 0) {
                continue;
            }
            $weak = $weak || $unclean > (1.0 - self::SHARE) * count($marks);
            if ($worst === null || $unclean / count($marks) > $helped / $of) {
                [$worst, $helped, $of] = [$step, $unclean, count($marks)];
            }
        }
        $rusty = $today->getTimestamp() - ($last?->getTimestamp() ?? 0) > self::DAYS * 86_400;

        return new self($routine->code, $weak ? NeedKind::Weak : ($rusty ? NeedKind::LongNotDriven : NeedKind::GoingWell), $worst, $helped, $of, $last);
    }

    private function share(): float
    {
        return $this->of === 0 ? 0.0 : $this->helped / $this->of;
    }
}
