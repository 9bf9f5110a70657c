<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Judgement\Stopping;
use NobleTurn\Core\Judgement\StoppingModel;
use NobleTurn\Core\Place\Crest;
use NobleTurn\Core\Place\Curve;
use NobleTurn\Core\Place\Dip;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\Corner;
use NobleTurn\Core\Vehicle\Handling;

/** How fast the road itself lets us come: what one sees, and how it bends. */
final class RoadSpeed
{
    /** Left between two cars that meet, and to each kerb (assumed), m: less than that and two do not pass each other. */
    private const BETWEEN_M = 0.5;

    private const SLOWEST_MPS = 1.5;

    /**
     * From this speed one can stop within what is seen ahead.
     *
     * @return float m/s; INF where the road is open, never below 1.5
     */
    public static function stopsWithin(Approach $approach): float
    {
        return self::within($approach->ahead->seenMetres ?? INF, $approach);
    }

    /** The same within what is seen in a bend; m/s. */
    public static function stopsInside(Curve $curve, Approach $approach): float
    {
        return self::within($curve->seenMetres(), $approach);
    }

    /** The same within what is seen over a crest; m/s. */
    public static function stopsOver(Crest $crest, Approach $approach): float
    {
        return self::within($crest->seenMetres(Handling::of($approach->vehicle)->eyeMetres), $approach);
    }

    /** The same within what is seen before a dip; m/s. */
    public static function stopsBefore(Dip $dip, Approach $approach): float
    {
        return self::within($dip->seenMetres(Handling::of($approach->vehicle)->eyeMetres), $approach);
    }

    /** In half of what is seen where the road is too narrow for two; by the stopping distances that are taught there. */
    private static function within(float $seenMetres, Approach $approach): float
    {
        $metres = self::isForOne($approach) ? $seenMetres / 2.0 : $seenMetres;

        return is_infinite($metres) ? INF : max(
            self::SLOWEST_MPS, Stopping::speedWithin($metres, StoppingModel::in($approach->vehicle, $approach->pack), $approach->surface, $approach->gradient),
        );
    }

    /** v = sqrt(a r), at a sideways acceleration that is comfortable on this surface; m/s. */
    public static function round(float $radiusMetres, Surface $surface, float $sidewaysMps2 = Corner::COMFORTABLE_SIDEWAYS): float
    {
        return max(self::SLOWEST_MPS, sqrt($sidewaysMps2 * $surface->shareOfComfort() * $radiusMetres));
    }

    public static function isForOne(Approach $approach): bool
    {
        return ! $approach->oneWay && $approach->roadWidth->inMetres() < 2.0 * Corridor::ourMetres($approach->vehicle) + self::BETWEEN_M;
    }
}
