<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/**
 * An ordinary junction with several lanes: no lane is changed inside it. Turning to the kerb's side or going ahead, lane
 * leads into lane counted from the nearside; turning across, counted from the off side.
 */
final class JunctionPlanner
{
    /** @return array<int, Route> the way from each approach lane that leads there */
    public static function routes(Arm $own, Arm $target, Trip $trip): array
    {
        $found = [];
        $lanes = count($own->approach);
        foreach ($own->approach as $i => $painted) {
            $lane = $i + 1;
            if ($target->exitLanes < 1 || in_array($lane, $own->busLanes, true) || ($painted !== [] && ! in_array($target->name, $painted, true))) {
                continue;
            }
            $exit = self::exitLane($lane, $lanes, $target->exitLanes, $trip->clock());
            $found[$lane] = new Route($lane, [['sector' => 0, 'lane' => $lane, 'to' => $lane]], $exit, array_filter([
                ...$trip->exitCosts($exit, $target->exitRoomMetres),
                'against_clock' => $painted === [] && $lanes > 1 ? self::against($lane, $lanes, $trip) : 0.0,
            ]));
        }

        return $found;
    }

    private static function exitLane(int $lane, int $of, int $exits, int $clock): int
    {
        return $clock > 0 ? max(1, $exits - ($of - $lane)) : min($lane, $exits);
    }

    /** Where nothing is painted: the nearside lane to turn to the kerb's side, the furthest one to turn across. */
    private static function against(int $lane, int $of, Trip $trip): float
    {
        $fits = match ($trip->clock()) {
            -1 => $lane === 1,
            0 => true,
            default => $lane === $of,
        };

        return $fits ? 0.0 : $trip->costs->of('against_clock');
    }
}
