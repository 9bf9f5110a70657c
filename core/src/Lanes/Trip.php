<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

use NobleTurn\Core\Site\RoundWays;

/** Where somebody wants to go, and what comes after. */
final readonly class Trip
{
    /** Nearer than this a turn after the exit asks for its lane at once, m (assumed). */
    private const SOON = 150.0;

    /** Less room than this after the exit is too little to move over in, m (assumed). */
    public const ROOM_M = 60.0;

    public function __construct(
        /** Sectors driven: the exit is at the arm at their end. */
        public int $sectors,
        public float $angleDegrees,
        public bool $passing,
        /** Whether the turn after the exit goes to the off side, m away; null where none is near. */
        public ?bool $turnsOff,
        public ?float $turnInMetres,
        public Costs $costs,
        /** The next junction, where it is close enough to be planned with. */
        public ?Onward $onward = null,
        /** How much of the mirrors, signal and move out does not fit between the exit before and ours: 0 all of it does, 1 none. */
        public float $crampedShare = 0.0,
        /** @var list<int> lanes that lead out and do not move */
        public array $blocked = [],
    ) {
    }

    /** Before, at, or after twelve o'clock: -1, 0, 1. */
    public function clock(): int
    {
        return abs($this->angleDegrees - 180.0) <= RoundWays::TWELVE ? 0 : ($this->angleDegrees < 180.0 ? -1 : 1);
    }

    /** What taking this approach lane counts before anything is driven: nothing where its paint leads there. */
    public function entryCost(int $lane, bool $painted): float
    {
        $against = match ($this->clock()) {
            -1 => $lane > 1,
            0 => false,
            default => $lane === 1,
        };

        return ! $painted && $against ? $this->costs->of('against_clock') : 0.0;
    }

    public function turnsSoon(): bool
    {
        return $this->turnsOff !== null && ($this->turnInMetres ?? INF) <= self::SOON;
    }

    /**
     * @param  int  $preferred  the nearest suitable of the lanes that lead out
     * @return array<string, float> what leaving by this exit lane counts, by name: only what does count
     */
    public function exitCosts(Arm $arm, int $exitLane, int $preferred = 1): array
    {
        $found = [];
        if ($exitLane !== $preferred && ! $this->passing) {
            $found['leaving_off_side'] = $this->costs->of('leaving_off_side');
        }
        if ($exitLane > 1 && $arm->exitRoomMetres !== null && $arm->exitRoomMetres < self::ROOM_M) {
            $found['no_room_after'] = $this->costs->of('no_room_after');
        }
        if ($this->turnsSoon() && ($this->turnsOff === true ? $exitLane === 1 : $exitLane > 1)) {
            $found['turn_soon'] = $this->costs->of('turn_soon');
        }
        if (in_array($exitLane, $this->blocked, true)) {
            $found['blocked_exit'] = $this->costs->of('blocked_exit');
        }

        if ($this->onward !== null) {
            $forced = $this->onward->forced($exitLane);
            $found['change_after'] = ($this->onward->changes($exitLane) - $forced) * $this->costs->of('change_after');
            $found['forced_after'] = $forced * $this->costs->of('forced_after');
        }

        return array_filter($found);
    }
}
