<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

use NobleTurn\Core\Site\Position;

/** A way that is driven in a circuit so many times, and how long that takes: whole seconds. */
final readonly class Stop
{
    /** Talking at the kerb before the first round, s (assumed, adjustable). */
    public const BRIEF_S = 90;

    /** What an approach takes beyond the driving: setting up, waiting at a line, s (assumed). */
    private const STANDING_S = 45.0;

    /** A loop has at least so many sides as long as the way itself (assumed): three more of a block. */
    private const SIDES = 3.0;

    public int $briefSeconds;

    public int $roundSeconds;

    public int $againSeconds;

    public float $roundMetres;

    public float $againMetres;

    /**
     * @param  string  $name  as it is said
     * @param  float  $difficulty  0 easy to 1 hard
     * @param  int  $rounds  wanted, from 1
     * @param  ?float  $brief  as said, s; so round and again: null where nobody said
     * @param  ?string  $direction  how its way is asked for; null where nobody said
     * @param  float  $sayAtMetres  so far before its line it must have been said
     */
    public function __construct(
        public string $id,
        public string $name,
        public Position $in,
        public Position $out,
        public KindOfRoad $road,
        public float $difficulty,
        public int $rounds,
        Drive $drive,
        ?float $brief = null,
        ?float $round = null,
        ?float $again = null,
        public ?string $direction = null,
        public float $sayAtMetres = 0.0,
    ) {
        $this->roundMetres = $drive->metres($in, $out);
        $this->againMetres = max($road->leastLoopMetres(), self::SIDES * $this->roundMetres);
        $this->briefSeconds = (int) round($brief ?? self::BRIEF_S);
        $this->roundSeconds = (int) round($round ?? self::STANDING_S + $drive->at($road, $this->roundMetres));
        $this->againSeconds = (int) round($again ?? $drive->at($road, $this->againMetres));
    }

    /** Talked over and driven once, s. */
    public function onceSeconds(): int
    {
        return $this->briefSeconds + $this->roundSeconds;
    }

    /** The loop back and driven again, s. */
    public function furtherSeconds(): int
    {
        return $this->againSeconds + $this->roundSeconds;
    }

    public function seconds(int $rounds): int
    {
        return $this->onceSeconds() + ($rounds - 1) * $this->furtherSeconds();
    }
}
