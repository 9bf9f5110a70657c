<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Quantity\Bounds;

/** A place on the earth as a receiver tells it (WGS84). */
final readonly class Position
{
    /** Exact by the definition of WGS84: half the long axis, m, and by how much the earth is flattened. */
    private const EQUATOR_M = 6_378_137.0;

    private const FLATTENING = 1.0 / 298.257_223_563;

    /** The radius of a sphere of the same surface, m. */
    private const SPHERE_M = 6_371_007.2;

    /** Nearer than this on the auxiliary sphere is the same, radians: less than a hundredth of a millimetre. */
    private const SAME = 1e-12;

    private function __construct(public float $latitudeDegrees, public float $longitudeDegrees)
    {
    }

    /** @throws \NobleTurn\Core\Fault\InvalidQuantity beyond a pole, or beyond 180 degrees east or west */
    public static function ofDegrees(float $latitude, float $longitude): self
    {
        return new self(Bounds::check('latitude', $latitude, -90.0, 90.0, 'degrees'), Bounds::check('longitude', $longitude, -180.0, 180.0, 'degrees'));
    }

    /** As the crow flies, m: within a millimetre but for two places at opposite ends of the earth, where it is within 0.6 %. */
    public function metresTo(self $other): float
    {
        return $this->inverse($other)[0];
    }

    /** The direction in which to set off, degrees clockwise from north, from 0 to under 360; 0 at the place itself. */
    public function bearingTo(self $other): float
    {
        return $this->inverse($other)[1];
    }

    /**
     * Published: T. Vincenty, "Direct and inverse solutions of geodesics on the ellipsoid with application of nested equations", Survey
     * Review 23 (1975), the inverse formula.
     *
     * @return array{float, float} metres and bearing in degrees
     */
    private function inverse(self $other): array
    {
        $apart = deg2rad(fmod($other->longitudeDegrees - $this->longitudeDegrees + 540.0, 360.0) - 180.0);
        $minor = self::EQUATOR_M * (1.0 - self::FLATTENING);
        [$sinA, $cosA] = self::reduced($this->latitudeDegrees);
        [$sinB, $cosB] = self::reduced($other->latitudeDegrees);
        $lambda = $apart;
        for ($round = 0; $round < 200; $round++) {
            $east = $cosB * sin($lambda);
            $north = $cosA * $sinB - $sinA * $cosB * cos($lambda);
            $sinArc = hypot($east, $north);
            if ($sinArc < self::SAME) {
                return abs($apart) < 1.0 && abs($this->latitudeDegrees - $other->latitudeDegrees) < 1.0 ? [0.0, 0.0] : $this->onASphere($other);
            }
            $cosArc = $sinA * $sinB + $cosA * $cosB * cos($lambda);
            $arc = atan2($sinArc, $cosArc);
            $sinAzimuth = $cosA * $cosB * sin($lambda) / $sinArc;
            $cosAzimuth2 = 1.0 - $sinAzimuth ** 2;
            // Along the equator the middle of the arc is nowhere north of it.
            $cosMiddle2 = $cosAzimuth2 < self::SAME ? 0.0 : $cosArc - 2.0 * $sinA * $sinB / $cosAzimuth2;
            $c = self::FLATTENING / 16.0 * $cosAzimuth2 * (4.0 + self::FLATTENING * (4.0 - 3.0 * $cosAzimuth2));
            $last = $lambda;
            $lambda = $apart + (1.0 - $c) * self::FLATTENING * $sinAzimuth
                * ($arc + $c * $sinArc * ($cosMiddle2 + $c * $cosArc * (2.0 * $cosMiddle2 ** 2 - 1.0)));
            if (abs($lambda - $last) < self::SAME) {
                $u2 = $cosAzimuth2 * (self::EQUATOR_M ** 2 - $minor ** 2) / $minor ** 2;
                $a = 1.0 + $u2 / 16_384.0 * (4_096.0 + $u2 * (-768.0 + $u2 * (320.0 - 175.0 * $u2)));
                $b = $u2 / 1_024.0 * (256.0 + $u2 * (-128.0 + $u2 * (74.0 - 47.0 * $u2)));
                $less = $b * $sinArc * ($cosMiddle2 + $b / 4.0 * ($cosArc * (2.0 * $cosMiddle2 ** 2 - 1.0)
                    - $b / 6.0 * $cosMiddle2 * (4.0 * $sinArc ** 2 - 3.0) * (4.0 * $cosMiddle2 ** 2 - 3.0)));

                return [$minor * $a * ($arc - $less), self::compass(atan2($east, $north))];
            }
        }

        return $this->onASphere($other);
    }

    /** @return array{float, float} metres and bearing in degrees, where the formula of the ellipsoid does not settle */
    private function onASphere(self $other): array
    {
        [$a, $b] = [deg2rad($this->latitudeDegrees), deg2rad($other->latitudeDegrees)];
        $apart = deg2rad($other->longitudeDegrees - $this->longitudeDegrees);
        $east = sin($apart) * cos($b);
        $north = cos($a) * sin($b) - sin($a) * cos($b) * cos($apart);

        return [self::SPHERE_M * atan2(hypot($east, $north), sin($a) * sin($b) + cos($a) * cos($b) * cos($apart)), self::compass(atan2($east, $north))];
    }

    /** @return array{float, float} sine and cosine of the reduced latitude */
    private static function reduced(float $degrees): array
    {
        $reduced = atan((1.0 - self::FLATTENING) * tan(deg2rad($degrees)));

        return [sin($reduced), cos($reduced)];
    }

    private static function compass(float $radians): float
    {
        return fmod(rad2deg($radians) + 360.0, 360.0);
    }
}
