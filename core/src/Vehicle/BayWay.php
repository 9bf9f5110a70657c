<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/** A right-angle bay entered backwards in one arc that ends with the rear axle at its mouth. Places are those of the rear axle's middle. */
final readonly class BayWay
{
    /** A bay as it is painted (assumed), m. */
    public const WIDTH_M = 2.4;

    public const DEPTH_M = 4.8;

    /** Of the smallest radius the car steers: a little in hand (assumed). */
    private const RADIUS_SHARE = 1.1;

    /** How far past the bay's middle it stands at the start, and as far off the mouth. */
    public float $pastMetres;

    public float $offMetres;

    /** The room the front needs from the mouth. */
    public float $aisleMetres;

    /** Left on each side of the car in the bay; negative where it is wider than the bay. */
    public float $sideMetres;

    /** Of the way. */
    public float $lengthMetres;

    public function __construct(
        private Chassis $chassis, public float $radiusMetres, public float $widthMetres = self::WIDTH_M, public float $depthMetres = self::DEPTH_M,
    ) {
        $this->pastMetres = $radiusMetres;
        $this->offMetres = $radiusMetres;
        $this->aisleMetres = $chassis->outerRadiusMetres($radiusMetres);
        $this->sideMetres = ($widthMetres - $chassis->widthMetres) / 2.0;
        $this->lengthMetres = $radiusMetres * M_PI_2 + max(0.0, $depthMetres - $chassis->rearOverhangMetres);
    }

    public static function usualRadiusMetres(Chassis $chassis): float
    {
        return self::RADIUS_SHARE * $chassis->minimumRadiusMetres();
    }

    public function roadWheelDegrees(): float
    {
        return $this->chassis->roadWheelRadians($this->radiusMetres) * 180.0 / M_PI;
    }

    public function handWheelTurns(): float
    {
        return $this->chassis->handWheelRadians($this->radiusMetres) / (2.0 * M_PI);
    }

    public function fits(float $aisleMetres): bool
    {
        return $this->aisleMetres <= $aisleMetres;
    }

    /** @return array{x: float, y: float, heading: float} metres along the first direction, + ahead, and towards the bay; degrees turned */
    public function at(float $goneMetres): array
    {
        $turned = min($goneMetres / $this->radiusMetres, M_PI_2);

        return [
            'x' => -$this->radiusMetres * sin($turned),
            'y' => $this->radiusMetres * (1.0 - cos($turned)) + $goneMetres - $turned * $this->radiusMetres,
            'heading' => $turned * 180.0 / M_PI,
        ];
    }
}
