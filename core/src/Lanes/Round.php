<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/**
 * The way driven round a roundabout: its length and an unhurried speed on it. An ordinary one is gone round on the circle of
 * its lanes. A mini-roundabout is passed: in past the give-way line, beside the paint, out again. Where the circle of the
 * paint is not touched at all, as on the way left, the way is the straight between where one enters and leaves.
 */
final readonly class Round
{
    /** Unhurried: v = sqrt(a r) with this much sideways, m/s2 (assumed); past a mini-roundabout it lasts a moment only. */
    private const SIDEWAYS_MPS2 = 2.0;

    private const FOR_A_MOMENT_MPS2 = 2.5;

    /** No faster past a give-way line than second gear at low revs, m/s (assumed). */
    private const PAST_THE_LINE_MPS = 5.0;

    /** From the circle driven to the line of a mini-roundabout, and from the middle of its road to where we come in, m (assumed). */
    private const LINE_BEYOND_M = 2.0;

    private const BESIDE_THE_MIDDLE_M = 1.75;

    public float $metres;

    public float $mps;

    /** @param  float  $degrees  from our arm to the exit, over 0 to 360 */
    public function __construct(float $radiusMetres, bool $mini, private float $degrees)
    {
        [$this->metres, $bend] = $mini ? self::past($radiusMetres, deg2rad($degrees)) : [deg2rad($degrees) * $radiusMetres, $radiusMetres];
        $this->mps = $mini ? min(self::PAST_THE_LINE_MPS, sqrt(self::FOR_A_MOMENT_MPS2 * $bend)) : sqrt(self::SIDEWAYS_MPS2 * $bend);
    }

    /** Driven from our line to so many degrees on, m. */
    public function metresTo(float $degrees): float
    {
        return $this->metres * $degrees / $this->degrees;
    }

    public function seconds(): float
    {
        return $this->metres / $this->mps;
    }

    /**
     * Past the paint: the straights that touch its circle and the arc between; the radius is that of the one arc through entry,
     * paint and exit.
     *
     * @return array{float, float} length and radius, m
     */
    private static function past(float $radius, float $turned): array
    {
        $line = hypot($radius + self::LINE_BEYOND_M, self::BESIDE_THE_MIDDLE_M);
        $half = max(1e-3, $turned / 2.0 - atan2(self::BESIDE_THE_MIDDLE_M, $radius + self::LINE_BEYOND_M));
        $chord = 2.0 * $line * sin($half);
        $arc = 2.0 * ($half - acos(min(1.0, $radius / $line)));
        $metres = $arc <= 0.0 ? $chord : 2.0 * sqrt($line ** 2 - $radius ** 2) + $arc * $radius;
        $bulge = $radius - $line * cos($half);
        // On the way left the corner itself is the bend: the arc that enters and leaves along the roads.
        $corner = $chord / (2.0 * max(1e-3, abs(cos($turned / 2.0))));
        $beside = $bulge <= 0.0 ? INF : (($chord / 2.0) ** 2 + $bulge ** 2) / (2.0 * $bulge);

        return [$metres, max($radius, $turned >= M_PI ? $beside : min($corner, $beside))];
    }
}
