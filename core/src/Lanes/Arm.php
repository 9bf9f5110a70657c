<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/** One road that meets a roundabout. Lanes count from 1 at the nearside. */
final readonly class Arm
{
    /**
     * @param  list<list<string>>  $approach  for each approach lane the names painted on it; an empty list: nothing painted
     * @param  list<int>  $busLanes  approach lanes that are for buses now
     */
    public function __construct(
        public string $name,
        /** In driving order from the arm we come from, degrees. */
        public float $angleDegrees,
        public array $approach,
        public int $exitLanes,
        public array $busLanes,
        /** Room beyond the exit before its lanes become one, m; null where they do not. */
        public ?float $exitRoomMetres,
    ) {
    }
}
