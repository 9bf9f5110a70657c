<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/**
 * Changing lane: after the checks and the signal, the one constant acceleration or easing off for the shortest time that
 * ends between others with room ahead and behind, in our own lane too as long as we are in it. Slowness costs in a live lane:
 * nobody eases far below those they join, and who follows us keeps their room. Staying is an answer where nothing asks for more.
 */
final readonly class LaneChange
{
    /** Checks and signal before anything moves sideways, and the move itself (assumed), s. */
    public const CHECKS_S = 4.0;

    public const MOVE_S = 3.0;

    /** Both together (common practice: about 7 s). */
    public const WHOLE_S = self::CHECKS_S + self::MOVE_S;

    /** The longest looked ahead, s; steps tried, s and m/s2. */
    private const LONGEST = 20.0;

    private const EVERY = 0.5;

    private const TRIED = 0.1;

    private const SLOWEST = 2.0;

    /** Those within so many metres are the stream (assumed). */
    private const STREAM_WITHIN_M = 150.0;

    /** Where nothing asks for the change, staying counts as much as this effort (assumed). */
    private const STAYING = 2.0;

    /**
     * @param  list<Neighbour>  $target  in the lane we want
     * @param  list<Neighbour>  $own  in ours
     */
    public function __construct(
        public float $speedMps,
        public float $limitMps,
        public float $availableMps2,
        public Room $room,
        public array $target,
        public array $own,
        /** Ours must be taken within so many metres; INF where it goes on. */
        public float $withinMetres,
        /** @var list<Neighbour> in the lane beyond the one we want */
        public array $beyond = [],
    ) {
    }

    /** Something asks for the change: our lane ends, or a junction comes. */
    public function isNeeded(): bool
    {
        return is_finite($this->withinMetres);
    }

    /** What those in the lane we want drive, m/s; our own speed where nobody is near. */
    public function streamMps(): float
    {
        $near = array_filter($this->target, static fn (Neighbour $other): bool => abs($other->metres) <= self::STREAM_WITHIN_M);

        return $near === [] ? $this->speedMps : array_sum(array_map(static fn (Neighbour $other): float => $other->speedMps, $near)) / count($near);
    }

    /** @return list<Neighbour> who could come into the same place from beyond while we do */
    public function rivals(Change $change): array
    {
        $ours = $change->metresAt($change->seconds + self::MOVE_S);

        return array_values(array_filter($this->beyond, fn (Neighbour $other): bool => $this->room->spareMetres(
            $ours, $change->endMps, $other->frontMetresAt($change->seconds + self::MOVE_S), $other,
        ) < 0.0));
    }

    /** @return list<Change> faster into the gap ahead, easier into the one behind, waiting as we are, and staying where we are */
    public function options(): array
    {
        return [$this->best('faster-ahead'), $this->best('easier-behind'), $this->best('wait'), $this->stay()];
    }

    /** @param  list<Change>  $options */
    public static function choose(array $options): ?Change
    {
        $best = null;
        foreach ($options as $option) {
            if ($option->feasible && ($best === null || $option->cost() < $best->cost() - 1e-9)) {
                $best = $option;
            }
        }

        return $best;
    }

    private function stay(): Change
    {
        return new Change(
            'stay', 0.0, $this->speedMps, $this->speedMps, self::CHECKS_S, $this->speedMps * self::WHOLE_S, INF, null, null, ! $this->isNeeded(),
            shortMps: 0.0, staying: self::STAYING,
        );
    }

    private function best(string $kind): Change
    {
        $best = $this->tried($kind, $this->accelerations($kind)[0], self::CHECKS_S);
        for ($t = self::CHECKS_S; $t <= self::LONGEST; $t += self::EVERY) {
            foreach ($this->accelerations($kind) as $a) {
                $change = $this->tried($kind, $a, $t);
                if ($change->shortMps > Joining::FAULT_MPS) {
                    continue;
                }
                if (
                    ($change->feasible && (! $best->feasible || $change->cost() < $best->cost() - 1e-9))
                    || (! $best->feasible && ! $change->feasible && $change->spareMetres > $best->spareMetres)
                ) {
                    $best = $change;
                }
            }
            // Longer waits only cost more, but for what they gain on those we join.
            if ($best->feasible && $best->shortMps <= Joining::GOOD_MPS) {
                break;
            }
        }

        return $best;
    }

    /** @return non-empty-list<float> */
    private function accelerations(string $kind): array
    {
        $found = [];
        if ($kind === 'faster-ahead') {
            for ($a = self::TRIED; $a <= $this->availableMps2 + 1e-9; $a += self::TRIED) {
                $found[] = $a;
            }
        }
        if ($kind === 'easier-behind') {
            for ($a = -self::TRIED; $a >= -Room::MOST_EASING - 1e-9; $a -= self::TRIED) {
                $found[] = $a;
            }
        }

        return $found === [] ? [0.0] : $found;
    }

    private function tried(string $kind, float $a, float $seconds): Change
    {
        // The speed changes while the checks are made, up to the limit or down to a crawl.
        $reach = $a > 0.0 ? max(0.0, $this->limitMps - $this->speedMps) / $a : ($a < 0.0 ? max(0.0, $this->speedMps - self::SLOWEST) / -$a : INF);
        $v = $this->speedMps + ($a === 0.0 ? 0.0 : $a * min($seconds, $reach));
        $short = max(0.0, min($this->streamMps(), $this->limitMps) - $v);
        $change = fn (float $whole, float $spare, ?float $ahead, ?float $behind, bool $inRoom): Change => new Change(
            $kind, $a, $this->speedMps, $v, $seconds, $whole, $spare, $ahead, $behind, $inRoom, $short,
        );
        $ours = $change(0.0, 0.0, null, null, true)->metresAt($seconds);
        $whole = $ours + $v * self::MOVE_S;
        $spare = INF;
        $ahead = $behind = null;
        foreach ($this->target as $other) {
            // Both when we begin to move over and when we are in.
            foreach ([[$ours, $seconds], [$whole, $seconds + self::MOVE_S]] as [$at, $when]) {
                $spare = min($spare, $this->room->spareMetres($at, $v, $other->frontMetresAt($when), $other));
            }
            $gap = $this->room->seconds($ours, $v, $other->frontMetresAt($seconds), $other);
            $other->frontMetresAt($seconds) >= $ours ? $ahead = min($ahead ?? INF, $gap) : $behind = min($behind ?? INF, $gap);
        }
        foreach ($this->own as $other) {
            if ($other->metres > 0.0) {
                // Behind the one ahead in our own lane until we are out of it: half the gap will do for so long.
                $spare = min($spare, ($other->frontMetresAt($seconds) - $other->lengthMetres - $ours) - 0.5 * $v);
            } else {
                // Who follows us keeps the room they have, or half the gap where they have more.
                $now = -$this->room->ourLengthMetres() - $other->metres;
                $then = $ours - $this->room->ourLengthMetres() - $other->frontMetresAt($seconds);
                $spare = min($spare, $then - min($now, 0.5 * $other->speedMps));
            }
        }

        return $change($whole, $spare, $ahead, $behind, $whole <= $this->withinMetres);
    }
}
