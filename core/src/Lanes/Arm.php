<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/** One road that meets a roundabout or junction. Lanes count from 1 at the nearside. */
final readonly class Arm
{
    /**
     * @param  list<list<string>>  $approach  for each approach lane the names painted on it; an empty list: nothing painted
     * @param  list<int>  $busLanes  approach lanes that are for buses now
     * @param  array<int, float>  $exitsForBuses  metres beyond the far edge at which an exit lane becomes one for buses, now, by lane
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
        public array $exitsForBuses = [],
        /** Whether lights govern its line. */
        public bool $lights = false,
    ) {
    }

    public function from(float $angleDegrees): self
    {
        return new self(
            $this->name, $angleDegrees, $this->approach, $this->exitLanes, $this->busLanes, $this->exitRoomMetres, $this->exitsForBuses, $this->lights,
        );
    }

    /** Whether a lane that leads out is ours to leave in: where it soon belongs to buses one would have to come out of it again at once. */
    public function opens(int $exitLane): bool
    {
        return $exitLane >= 1 && $exitLane <= $this->exitLanes && ($this->exitsForBuses[$exitLane] ?? INF) >= Trip::ROOM_M;
    }

    /** @return list<int> the lanes that lead out and are ours */
    public function openExits(): array
    {
        return array_values(array_filter($this->exitLanes < 1 ? [] : range(1, $this->exitLanes), $this->opens(...)));
    }
}
