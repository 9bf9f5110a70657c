<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/**
 * A roundabout as a small graph of lanes. Sector k lies between arm k and the next one in driving order, arm 0 being
 * ours; in each sector a lane can be kept or changed once, at each arm it goes on or leads out.
 */
final readonly class Ring
{
    /**
     * @param  non-empty-list<Arm>  $arms  in driving order, ours first
     * @param  array<string, int>  $spirals  "sector.lane" => lane it becomes in that sector without a change of lane
     * @param  array<string, true>  $ends  "sector.lane" that cannot go on past the arm at the end of the sector
     */
    public function __construct(public array $arms, public int $lanes, private array $spirals, private array $ends)
    {
    }

    /** The lane in which a sector begins for who ended the one before in this lane. */
    public function into(int $sector, int $lane): int
    {
        return $this->spirals["{$sector}.{$lane}"] ?? $lane;
    }

    public function goesOn(int $sector, int $lane): bool
    {
        return ! isset($this->ends["{$sector}.{$lane}"]);
    }

    /** @return list<array{sector: int, lane: int, to_lane: ?int}> spirals, and lanes that end (no lane to become) */
    public function links(): array
    {
        $rows = [];
        foreach ([...$this->spirals, ...array_map(static fn (): ?int => null, $this->ends)] as $key => $to) {
            [$sector, $lane] = array_map(intval(...), explode('.', $key));
            $rows[] = ['sector' => $sector, 'lane' => $lane, 'to_lane' => $to];
        }

        return $rows;
    }

    /** The circulating lane an approach lane leads into. */
    public function entered(int $approachLane): int
    {
        return min($approachLane, $this->lanes);
    }

    /** The exit lane a circulating lane leads into at an arm, or null where it does not lead out. */
    public function out(int $arm, int $lane): ?int
    {
        return $this->arms[$arm % count($this->arms)]->opens($lane) ? $lane : null;
    }
}
