<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\Count;
use NobleTurn\Core\Record\Counted;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Trade\RoutineCode;

/** The gaps of one routine: what was let go and what was taken, and from which length on this learner goes, beside what is needed. */
final readonly class JunctionGaps
{
    /** Where nothing says what a gap must be, s (assumed). */
    private const EXPECTED = 6.0;

    /** From so many of the latest gaps the threshold is estimated: it moves as they learn (assumed). */
    private const LATEST = 30;

    /**
     * @param  int  $wouldHaveDone  gaps that were let go though they were long enough; 0 where nobody can say
     * @param  int  $tooShort  gaps that were taken though they were not
     * @param  ?float  $needed  s; null where this routine waits for no gap that could be computed
     */
    private function __construct(
        public RoutineCode $routine,
        public int $letGo,
        public int $wouldHaveDone,
        public int $taken,
        public int $tooShort,
        public ?float $needed,
        public ?GapThreshold $threshold,
    ) {
    }

    /**
     * @param  non-empty-list<MarkedRound>  $rounds  of the routine
     * @param  ?float  $needed  least gap that is enough, s
     * @return ?self null where no gap was counted
     */
    public static function of(RoutineCode $routine, array $rounds, ?float $needed): ?self
    {
        $gaps = [];
        foreach ($rounds as $round) {
            array_push($gaps, ...self::each($round));
        }
        if ($gaps === []) {
            return null;
        }
        $letGo = array_column(array_filter($gaps, static fn (array $gap): bool => ! $gap[1]), 0);
        $taken = array_column(array_filter($gaps, static fn (array $gap): bool => $gap[1]), 0);

        return new self(
            $routine, count($letGo), count(array_filter($letGo, static fn (float $seconds): bool => $needed !== null && $seconds >= $needed)),
            count($taken), count(array_filter($taken, static fn (float $seconds): bool => $needed !== null && $seconds < $needed)),
            $needed, GapThreshold::of(array_slice($gaps, -self::LATEST), $needed ?? self::EXPECTED),
        );
    }

    /** As a sentence to the instructor. */
    public function message(): string
    {
        $threshold = $this->threshold;

        return match (true) {
            $threshold === null => 'Too few gaps yet to say from which one on this learner goes.',
            $this->needed === null => 'What a gap must be here is not computed.',
            $threshold->low > $this->needed => 'Waits for longer gaps than are needed.',
            $threshold->high < $this->needed => 'Goes in gaps that are too short.',
            default => 'Goes in gaps about as long as are needed.',
        };
    }

    /** @return list<array{float, bool}> each gap that was counted in a round: its length, s, and whether it was taken */
    public static function each(MarkedRound $round): array
    {
        return array_merge(...array_map(static fn (Count $count): array => match ($count->what) {
            Counted::GapsLetGo => array_fill(0, $count->number, [$count->seconds, false]),
            Counted::GapTaken => [[$count->seconds, true]],
            default => [],
        }, $round->counts));
    }
}
