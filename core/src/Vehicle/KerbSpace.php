<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/**
 * Forwards into a space at the kerb between two parked cars: an S of two equal arcs, past the one behind and alongside the kerb. Distances along the kerb count
 * from the nose of the car behind the space; places are those of the rear axle's middle.
 */
final readonly class KerbSpace
{
    /** Parked cars reach so far from the kerb, m (assumed). */
    public const PARKED_M = 1.9;

    /** At a creep one passes them this close, m (assumed). */
    public const PAST_M = 0.6;

    public const KERB_GAP_M = 0.3;

    /** The front wheel comes no nearer to the kerb on the way, m (assumed); the nose before it may reach over it. */
    private const OFF_KERB_M = 0.05;

    /** Left to the car in front, to leave by and to see past, m (assumed). */
    public const LEFT_AHEAD_M = 0.6;

    /** Of the rear axle's middle in both arcs. */
    public float $radiusMetres;

    /** How far each arc turns, radians. */
    public float $turned;

    /** The wheel is turned when the rear axle is so far before the nose of the car behind; negative past it. */
    public float $turnsBeforeMetres;

    /** From that car's nose to where ours ends, and what is left ahead. */
    public float $spaceMetres;

    public function __construct(private Chassis $chassis, private float $parkedMetres = self::PARKED_M, private float $pastMetres = self::PAST_M)
    {
        $this->radiusMetres = $this->radius();
        $this->turned = $this->turnedFor($this->radiusMetres);
        $side = $this->radiusMetres - $chassis->widthMetres / 2.0;
        $this->turnsBeforeMetres = sqrt(max(0.0, $side ** 2 - max(0.0, $side - $pastMetres) ** 2));
        $this->spaceMetres = -$this->turnsBeforeMetres + 2.0 * $this->radiusMetres * sin($this->turned)
            + $chassis->wheelbaseMetres + $chassis->frontOverhangMetres + self::LEFT_AHEAD_M;
    }

    /** From the middle of the way past the parked cars to the middle at the kerb, m. */
    public function asideMetres(): float
    {
        return $this->parkedMetres + $this->pastMetres - self::KERB_GAP_M;
    }

    public function lengthMetres(): float
    {
        return 2.0 * $this->radiusMetres * $this->turned;
    }

    /** @return array{x: float, y: float, heading: float} after so much of the way: past the nose of the car behind, from the kerb; degrees turned towards it */
    public function at(float $goneMetres): array
    {
        return $this->on($this->radiusMetres, $goneMetres);
    }

    /** The tightest two arcs the car steers on which its front wheel does not touch the kerb. */
    private function radius(): float
    {
        $low = max(BayWay::usualRadiusMetres($this->chassis), $this->asideMetres() / 2.0);
        if ($this->nearestToKerb($low) >= self::OFF_KERB_M) {
            return $low;
        }
        $high = 2.0 * $low;
        while ($this->nearestToKerb($high) < self::OFF_KERB_M && $high < 1000.0) {
            $high *= 2.0;
        }
        for ($i = 0; $i < 40; $i++) {
            $middle = ($low + $high) / 2.0;
            $this->nearestToKerb($middle) < self::OFF_KERB_M ? $low = $middle : $high = $middle;
        }

        return $high;
    }

    private function turnedFor(float $radius): float
    {
        return acos(max(-1.0, 1.0 - $this->asideMetres() / (2.0 * $radius)));
    }

    private function nearestToKerb(float $radius): float
    {
        $least = INF;
        for ($i = 0; $i <= 60; $i++) {
            $at = $this->on($radius, 2.0 * $radius * $this->turnedFor($radius) * $i / 60);
            $heading = $at['heading'] * M_PI / 180.0;
            $least = min($least, $at['y'] - $this->chassis->wheelbaseMetres * sin($heading) - $this->chassis->trackMetres / 2.0 * cos($heading));
        }

        return $least;
    }

    /** @return array{x: float, y: float, heading: float} */
    private function on(float $radius, float $gone): array
    {
        $turned = $this->turnedFor($radius);
        $side = $radius - $this->chassis->widthMetres / 2.0;
        $begin = -sqrt(max(0.0, $side ** 2 - max(0.0, $side - $this->pastMetres) ** 2));
        $end = self::KERB_GAP_M + $this->chassis->widthMetres / 2.0;
        $angle = $gone / $radius;
        if ($angle <= $turned) {
            return [
                'x' => $begin + $radius * sin($angle), 'y' => $end + $this->asideMetres() - $radius * (1.0 - cos($angle)), 'heading' => $angle * 180.0 / M_PI,
            ];
        }
        $left = max(0.0, 2.0 * $turned - $angle);

        return [
            'x' => $begin + $radius * (2.0 * sin($turned) - sin($left)), 'y' => $end + $radius * (1.0 - cos($left)), 'heading' => $left * 180.0 / M_PI,
        ];
    }
}
