<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Judgement\AmberStretch;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Vehicle\Handling;

/**
 * Under lights that may change: nearer than this we go on even if they do, because stopping would take more than an unhurried
 * brake. Stopping takes v t_r + v^2 / (2 a) at the speed the plan has there; of a long vehicle air has to come to the brakes first, and they are used
 * the more gently by as much as ever.
 */
final class PointOfNoReturn
{
    /** Places looked at along the plan; between two of them it is found by halving. */
    private const PLACES = 100;

    /** @return ?float metres to the line; null where no lights are, where one stops anyway, or where nothing would stop us */
    public static function metres(Chain $chain): ?float
    {
        $approach = $chain->approach;
        if ($approach->control !== Control::Signals || $approach->light->stops() || $chain->lineSpeed->metresPerSecond <= 0.0) {
            return null;
        }
        $from = self::stretch($approach, $chain->profile->approachMps());
        $takes = static fn (float $mps): float => (new AmberStretch(
            $mps, $from->amberSeconds, $from->reactionSeconds, $from->decelerationMps2,
        ))->stoppingMetres();
        $fromFar = $from->stoppingMetres();
        $length = $chain->profile->lengthInMetres();
        if (is_infinite($fromFar) || $fromFar >= $length) {
            return is_infinite($fromFar) ? null : $fromFar;
        }
        $stops = static fn (float $metres): bool => $takes($chain->profile->mpsAt($metres)) <= $metres;
        $near = $length;
        for ($i = self::PLACES - 1; $i >= 0 && $stops($near); $i--) {
            $near = $length * $i / self::PLACES;
        }
        $far = min($length, $near + $length / self::PLACES);
        for ($i = 0; $i < 24; $i++) {
            $middle = ($near + $far) / 2.0;
            $stops($middle) ? $far = $middle : $near = $middle;
        }

        return $far;
    }

    /** Where a change finds no good answer at such a speed, in the vehicle that comes, m/s. */
    public static function stretch(Approach $approach, float $mps): AmberStretch
    {
        $pack = $approach->pack;
        $handling = Handling::of($approach->vehicle);

        return new AmberStretch(
            $mps, $pack->amber($approach->speed)->inSeconds(), $pack->amberReaction()->inSeconds() + $handling->brakeLagSeconds,
            AmberStretch::slowingMps2(
                $handling->unhurried($pack->amberDeceleration())->inMetresPerSecondSquared(), $approach->gradient, $handling->grip($approach->surface),
                $approach->surface->shareOfComfort(),
            ),
        );
    }
}
