<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** Parts one after the other: each begins at the whole second at which the one before ends, so that they add up. */
final class TimeLine
{
    private float $at = 0.0;

    /** @var list<Part> */
    private array $parts = [];

    public function add(PartKind $kind, float $seconds, float $metres = 0.0, ?string $way = null, ?int $round = null, bool $isMeasured = false): void
    {
        $from = (int) round($this->at);
        $this->at += $seconds;
        $until = (int) round($this->at);
        if ($until > $from) {
            $this->parts[] = new Part($kind, $way, $round, $from, $until, $metres, $isMeasured);
        }
    }

    /**
     * What is left until then is spare.
     *
     * @return list<Part>
     */
    public function until(int $seconds): array
    {
        $this->add(PartKind::Spare, max(0.0, $seconds - $this->at));

        return $this->parts;
    }
}
