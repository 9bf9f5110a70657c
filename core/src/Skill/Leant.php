<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\MarkedRound;

/** One thing that was seen of a learner and tells of leaning: towards holding back, or towards going where there was no room. */
final readonly class Leant
{
    /** By kind of fault: below 0 timid, above 0 bold; less than 1 where it may as well have another cause (assumed). */
    private const BY_FAULT = [
        'held-needlessly' => -1.0, 'too-slow' => -1.0, 'stops-needlessly' => -1.0, 'joins-slow' => -1.0, 'half-hearted' => -0.5,
        'slows-before-slip' => -0.5, 'brakes-at-end' => -0.5, 'gave-up' => -0.5, 'misread' => -0.5,
        'goes-unsafe' => 1.0, 'too-fast' => 1.0, 'hurries' => 1.0, 'dives-on' => 1.0, 'first-look' => 0.5, 'not-stopped' => 0.5,
    ];

    /** A gap is one of many, and counted by the way (assumed). */
    private const BY_GAP = 0.5;

    /** A gap that was let go may be this much longer than is needed, s: nobody measures it to the tenth (assumed). */
    private const SPARE = 1.0;

    /** @param  float  $by  from -1, timid, to +1, bold; not 0 */
    public function __construct(public string $lesson, public \DateTimeImmutable $at, public float $by)
    {
    }

    /** Null where the mark tells nothing of it. */
    public static function ofMark(Evidence $one): ?self
    {
        $by = $one->taught ? 0.0 : self::BY_FAULT[$one->mark->fault ?? ''] ?? 0.0;

        return $by === 0.0 ? null : new self($one->lesson, $one->at, $by);
    }

    /**
     * Of gaps that were counted: one let go though it was long enough, one taken though it was not.
     *
     * @param  ?float  $needed  least gap that is enough, s; null where nothing says so
     * @return list<self>
     */
    public static function ofGaps(MarkedRound $round, ?float $needed): array
    {
        $found = [];
        foreach ($needed === null ? [] : JunctionGaps::each($round) as [$seconds, $isTaken]) {
            $by = match (true) {
                $isTaken && $seconds < $needed => self::BY_GAP,
                ! $isTaken && $seconds >= $needed + self::SPARE => -self::BY_GAP,
                default => 0.0,
            };
            if ($by !== 0.0) {
                $found[] = new self($round->lesson, $round->at, $by);
            }
        }

        return $found;
    }
}
