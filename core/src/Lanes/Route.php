<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/** One way through a roundabout, with everything it counts. */
final readonly class Route
{
    /**
     * @param  list<array{sector: int, lane: int, to: int}>  $moves  for each sector the lane it begins and ends in
     * @param  array<string, float>  $counts  by name of the cost
     */
    public function __construct(public int $approachLane, public array $moves, public int $exitLane, public array $counts)
    {
    }

    public function cost(): float
    {
        return array_sum($this->counts);
    }

    /** @param  array<string, float>  $more */
    public function after(int $sector, int $lane, int $to, array $more): self
    {
        $counts = $this->counts;
        foreach ($more as $name => $value) {
            $counts[$name] = ($counts[$name] ?? 0.0) + $value;
        }

        return new self($this->approachLane, [['sector' => $sector, 'lane' => $lane, 'to' => $to], ...$this->moves], $this->exitLane, $counts);
    }
}
