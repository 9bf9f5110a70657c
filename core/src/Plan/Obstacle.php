<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Vehicle\Handling;

/** Why a routine cannot be done at the speed asked for. The order is the order in which they are named. */
enum Obstacle: string
{
    /** The tyres cannot hold the car on this slope. */
    case Grip = 'no-grip';
    /** Parked cars leave less than a door's width. */
    case Narrow = 'narrow';
    /** Less is seen ahead than stopping takes. */
    case Sight = 'sight-too-short';
    /** The bend on the way is tighter than this speed allows. */
    case Curve = 'bend-too-tight';
    /** Less is seen round the bend on the way than stopping takes. */
    case Hidden = 'bend-hides-the-road';
    /** Less is seen over the crest on the way than stopping takes. */
    case Crest = 'crest-hides-the-road';
    /** Less is seen before the dip on the way than stopping takes. */
    case Dip = 'dip-hides-the-road';
    /** The room before the line is shorter than the routine. */
    case Room = 'room-too-short';
    /** An opening on our side is nearer than the latest place for the signal. */
    case Opening = 'opening-too-near';
    /** Parked cars end nearer than the place where the sideways move must begin. */
    case Parked = 'parked-too-near';

    /** Whether the road itself asks for less speed, however short the routine. */
    public function isOfTheRoad(): bool
    {
        return in_array($this, [self::Narrow, self::Sight, self::Curve, self::Hidden, self::Crest, self::Dip], true);
    }

    /** Whether too little is seen for this speed. */
    public function isOfSight(): bool
    {
        return in_array($this, [self::Sight, self::Hidden, self::Crest, self::Dip], true);
    }

    /** @return list<self> what stands in the way of a chain, with its margins spent */
    public static function before(Chain $chain): array
    {
        $found = [];
        if (! $chain->slowing->tyresHold) {
            $found[] = self::Grip;
        }
        $mps = static fn (float $metres): float => $chain->profile->mpsAt($metres) - 1e-6;
        foreach (Corridor::along($chain->approach) as $corridor) {
            if ($mps($corridor->fromMetres) > $corridor->mps($chain->approach->limit->inMetresPerSecond())) {
                $found[] = self::Narrow;
                break;
            }
        }
        if ($chain->profile->approachMps() - 1e-6 > RoadSpeed::stopsWithin($chain->approach)) {
            $found[] = self::Sight;
        }
        $curve = $chain->approach->ahead->curve;
        if ($curve !== null) {
            // Whichever of the two asks for less.
            $round = RoadSpeed::round($curve->radiusMetres, $chain->approach->surface, Handling::of($chain->approach->vehicle)->sidewaysMps2);
            $seen = RoadSpeed::stopsInside($curve, $chain->approach);
            if ($mps($curve->farMetres) > min($round, $seen)) {
                $found[] = $seen < $round ? self::Hidden : self::Curve;
            }
        }
        $crest = $chain->approach->ahead->crest;
        if ($crest !== null && $mps($crest->farMetres) > RoadSpeed::stopsOver($crest, $chain->approach)) {
            $found[] = self::Crest;
        }
        $dip = $chain->approach->ahead->dip;
        $from = $dip?->leastFromMetres(Handling::of($chain->approach->vehicle)->eyeMetres);
        if ($dip !== null && $from !== null && $mps($from) > RoadSpeed::stopsBefore($dip, $chain->approach)) {
            $found[] = self::Dip;
        }
        $room = $chain->approach->room?->inMetres();
        if ($room !== null && $chain->metres($chain->mirrorsStartSeconds()) > $room + 1e-6) {
            $found[] = self::Room;
        }
        $opening = Chain::lastOpening($chain->approach);
        if ($opening !== null && $chain->metres($chain->signalLatestSeconds()) > $opening->nearMetres + 1e-6) {
            $found[] = self::Opening;
        }
        $clear = $chain->clearOfParkedMetres();
        if ($clear !== null && $chain->metres($chain->positionSeconds) > $clear + 1e-6) {
            $found[] = self::Parked;
        }

        return $found;
    }
}
