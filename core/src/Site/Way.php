<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Place\JunctionShape;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Trade\RoutineCode;

/** In by one arm and out by another, and the routine that is. */
final readonly class Way
{
    public function __construct(
        public Arm $from,
        public Arm $to,
        public RoutineCode $routine,
        public WayOut $out,
        /** How far one turns, degrees, + to the right. */
        public float $turnDegrees,
        /** Why it is that routine, as one would say it at the kerb; words that differ from place to place in braces. */
        public string $because,
        /** What the roads make with ours. */
        public ?JunctionShape $shape = null,
        /** Which exit of a roundabout, from 1 in driving order; null where none is counted. */
        public ?int $exitNumber = null,
        /**
         * The arms of the road one comes out into, left and right as seen from our line; empty where none is met.
         *
         * @var array{left?: Arm, right?: Arm}
         */
        public array $meets = [],
        /** @var ?array{routine: RoutineCode, metres: float} what follows at once, so far on: the other half of a staggered crossroads */
        public ?array $then = null,
    ) {
    }

    /** The arm that is measured and described for it: the slip road where there is one, else the road one comes in by. */
    public function road(): Arm
    {
        return $this->to->isSlip ? $this->to : $this->from;
    }
}
