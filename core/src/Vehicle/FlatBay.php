<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/**
 * A right-angle bay entered nose first, and left backwards: the same way, once forwards and once back. Straight between the neighbours, then an arc of a
 * quarter. Distances along the bay count from the neighbours' tails, outwards; places are those of the rear axle's middle.
 */
final readonly class FlatBay
{
    /** The driver's eyes behind the front bumper, m (assumed). */
    public const EYES_M = 2.1;

    /** Our side to a neighbour's, m. */
    public float $gapMetres;

    /** The rear axle past the neighbours' tails where the wheel may be turned on the way out; negative before them. */
    public float $turnsAtMetres;

    /** Straight back until the driver sees past the neighbours' tails, m: our tail, level with theirs before, is out so far by then. */
    public float $viewAfterMetres;

    /** Straight back before the wheel is turned, m: until the view is open, and until neither side touches. */
    public float $straightMetres;

    /** The room the tail needs, from the neighbours' tails to the far side of the aisle, m. */
    public float $aisleMetres;

    /**
     * @param  float  $radiusMetres  of the rear axle's middle
     * @param  float  $bayMetres  from the middle of one bay to the middle of the next; neighbours are as wide as we and stand in the middle
     */
    public function __construct(private Chassis $chassis, public float $radiusMetres, public float $bayMetres = BayWay::WIDTH_M)
    {
        $this->gapMetres = $bayMetres - $chassis->widthMetres;
        $this->turnsAtMetres = max($this->innerSideClears(), $this->noseClears());
        $this->viewAfterMetres = max(0.0, $chassis->lengthMetres() - self::EYES_M);
        $this->straightMetres = max($this->viewAfterMetres, $this->turnsAtMetres + $chassis->rearOverhangMetres);
        $this->aisleMetres = $this->straightMetres - $chassis->rearOverhangMetres
            + hypot($radiusMetres + $chassis->widthMetres / 2.0, $chassis->rearOverhangMetres);
    }

    /**
     * The side the tail goes to runs on a circle about the middle of the turn: the neighbour's tail there has to lie within it. With r' its radius, the
     * tail may be sqrt(r'^2 - (r' - g)^2) behind the axle.
     */
    private function innerSideClears(): float
    {
        $side = $this->radiusMetres - $this->chassis->widthMetres / 2.0;

        return -sqrt(max(0.0, $side ** 2 - max(0.0, $side - $this->gapMetres) ** 2));
    }

    /**
     * The nose swings to the other side: when it has come as far aside as there is room, it has to be past the neighbour's tail. After an angle t its corner
     * is a sin t + b cos t - b aside and b sin t - a cos t past the axle, with a from the axle to the nose and b from the middle of the turn to that side.
     */
    private function noseClears(): float
    {
        $a = $this->chassis->wheelbaseMetres + $this->chassis->frontOverhangMetres;
        $b = $this->radiusMetres + $this->chassis->widthMetres / 2.0;
        $reach = hypot($a, $b);
        if ($reach - $b <= $this->gapMetres) {
            return -INF;
        }
        // a sin t + b cos t = reach cos(t - atan(a / b)).
        $turned = atan2($a, $b) - acos(($b + $this->gapMetres) / $reach);

        return $a * cos($turned) - $b * sin($turned);
    }

    /** @return array{x: float, y: float, heading: float} after so much of the way out: past the neighbours' tails, to the side of the tail; degrees turned */
    public function at(float $goneMetres): array
    {
        $turned = min(M_PI_2, max(0.0, $goneMetres - $this->straightMetres) / $this->radiusMetres);
        $beyond = max(0.0, $goneMetres - $this->straightMetres - $this->radiusMetres * M_PI_2);
        $from = -$this->chassis->rearOverhangMetres + min($goneMetres, $this->straightMetres);

        return [
            'x' => $from + $this->radiusMetres * sin($turned), 'y' => $this->radiusMetres * (1.0 - cos($turned)) + $beyond,
            'heading' => $turned * 180.0 / M_PI,
        ];
    }

    /** Out from the neighbours' tails to the middle of our way along the aisle, m. */
    public function turnsOutMetres(): float
    {
        return $this->straightMetres - $this->chassis->rearOverhangMetres + $this->radiusMetres;
    }

    public function lengthMetres(): float
    {
        return $this->straightMetres + $this->radiusMetres * M_PI_2;
    }
}
