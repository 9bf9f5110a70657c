<?php

declare(strict_types=1);

namespace NobleTurn\Core\Track;

use NobleTurn\Core\Site\Position;

/** Which places a track passed, and what was driven between one and the next. */
final class Passings
{
    /** So near is there: a receiver’s error and a wide junction, m (assumed). */
    private const THERE_M = 35.0;

    /** So far is gone again: nearer, it is still the same passing, m (assumed). */
    private const GONE_M = 70.0;

    /** A degree of latitude, m: within half a per cent anywhere. */
    private const DEGREE_M = 111_130.0;

    /** A place so far from where a line begins is not passed on it, degrees: lines are of fixes a few seconds apart. */
    private const ELSEWHERE_DEG = 0.1;

    /** Two places passed within so short a time are one to a receiver, s (assumed). */
    private const AT_ONCE_S = 1.0;

    /**
     * @param  array<string, Position>  $places
     * @return list<Leg> in the order driven
     */
    public static function legs(Track $track, array $places): array
    {
        $passings = [];
        foreach ($places as $id => $place) {
            array_push($passings, ...self::of($track, (string) $id, $place));
        }
        usort($passings, static fn (Passing $one, Passing $other): int => [$one->seconds, $one->place] <=> [$other->seconds, $other->place]);
        $legs = [];
        foreach (array_slice($passings, 1) as $i => $to) {
            $from = $passings[$i];
            $stood = $to->stopped - $from->stopped;
            $seconds = $to->seconds - $from->seconds - $stood;
            if ($from->place !== $to->place && $from->stretch === $to->stretch && $seconds >= self::AT_ONCE_S) {
                $legs[] = new Leg($from->place, $to->place, $from->seconds, $seconds, $to->metres - $from->metres, $stood);
            }
        }

        return $legs;
    }

    /** @return list<Passing> */
    public static function of(Track $track, string $id, Position $place): array
    {
        $found = [];
        $nearest = INF;
        $passing = null;
        $east = cos(deg2rad($place->latitudeDegrees));
        foreach ($track->fixes as $i => $fix) {
            $isEnd = $i > 0 && $track->stretch[$i] !== $track->stretch[$i - 1];
            $from = $i > 0 && ! $isEnd ? $track->fixes[$i - 1] : $fix;
            [$metres, $share] = self::nearest($from->at, $fix->at, $place, $east);
            if ($passing !== null && $isEnd) {
                $found[] = $passing;
                [$passing, $nearest] = [null, INF];
            }
            if ($metres <= self::THERE_M && $metres < $nearest) {
                $nearest = $metres;
                $before = $from === $fix ? $i : $i - 1;
                $between = static fn (float $one, float $other): float => $one + ($other - $one) * $share;
                $passing = new Passing(
                    $id, $between($from->seconds, $fix->seconds), $between($track->metres[$before], $track->metres[$i]),
                    $between($track->stopped[$before], $track->stopped[$i]), $track->stretch[$i],
                );
            }
            if ($passing !== null && self::nearest($fix->at, $fix->at, $place, $east)[0] > self::GONE_M) {
                $found[] = $passing;
                [$passing, $nearest] = [null, INF];
            }
        }

        return $passing === null ? $found : [...$found, $passing];
    }

    /**
     * How near the straight line between two fixes comes to a place, m, and at which share of it: on a plane, which holds for so short a line.
     *
     * @return array{float, float}
     */
    private static function nearest(Position $from, Position $to, Position $place, float $east): array
    {
        // Somewhere else altogether: most of them, so told first.
        if (abs($from->latitudeDegrees - $place->latitudeDegrees) > self::ELSEWHERE_DEG) {
            return [INF, 0.0];
        }
        $plane = static fn (Position $one): array => [
            fmod($one->longitudeDegrees - $place->longitudeDegrees + 540.0, 360.0) - 180.0, $one->latitudeDegrees - $place->latitudeDegrees,
        ];
        [[$ax, $ay], [$bx, $by]] = [$plane($from), $plane($to)];
        [$ax, $bx, $dx, $dy] = [$ax * $east, $bx * $east, ($bx - $ax) * $east, $by - $ay];
        $along = $dx ** 2 + $dy ** 2;
        $share = $along < 1e-18 ? 0.0 : max(0.0, min(1.0, -($ax * $dx + $ay * $dy) / $along));

        return [hypot($ax + $share * $dx, $ay + $share * $dy) * self::DEGREE_M, $share];
    }
}
