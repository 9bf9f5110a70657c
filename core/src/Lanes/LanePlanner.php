<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/**
 * The cheapest way from each approach lane to an exit. The graph runs one way, sector after sector, so the best
 * continuation is found from the exit backwards (Bellman): each (sector, lane) once, at most three choices in each.
 */
final class LanePlanner
{
    /** @return array<int, Route> the cheapest route by approach lane; lanes that do not lead there are left out */
    public static function routes(Ring $ring, Trip $trip): array
    {
        $arm = $ring->arms[0];
        $name = $ring->arms[$trip->sectors % count($ring->arms)]->name;
        $known = [];
        $found = [];
        foreach ($arm->approach as $i => $painted) {
            $lane = $i + 1;
            if (in_array($lane, $arm->busLanes, true) || ($painted !== [] && ! in_array($name, $painted, true))) {
                continue;
            }
            $onward = self::onward($ring, $trip, 0, $ring->into(0, $ring->entered($lane)), $known);
            if ($onward !== null) {
                $entry = $trip->entryCost($lane, $painted !== []);
                $found[$lane] = new Route($lane, $onward->moves, $onward->exitLane, array_filter([...$onward->counts, 'against_clock' => $entry]));
            }
        }

        return $found;
    }

    /** @param  array<string, ?Route>  $known  best continuations found already, by sector and lane */
    private static function onward(Ring $ring, Trip $trip, int $sector, int $lane, array &$known): ?Route
    {
        $key = "{$sector}.{$lane}";
        if (array_key_exists($key, $known)) {
            return $known[$key];
        }
        $best = null;
        $last = $sector === $trip->sectors - 1;
        foreach ([$lane, $lane - 1, $lane + 1] as $to) {
            if ($to < 1 || $to > $ring->lanes) {
                continue;
            }
            $rest = $last
                ? self::leaving($ring, $trip, $to)
                : ($ring->goesOn($sector, $to) ? self::onward($ring, $trip, $sector + 1, $ring->into($sector + 1, $to), $known) : null);
            if ($rest === null) {
                continue;
            }
            $counts = ['sector' => $trip->costs->of('sector')];
            if ($to !== $lane) {
                $counts['lane_change'] = $trip->costs->of('lane_change');
                $counts += $last
                    ? ['late_change' => $trip->costs->of('late_change') * $trip->crampedShare]
                    : ($to < $lane ? ['early_change' => $trip->costs->of('early_change')] : []);
            }
            $route = $rest->after($sector, $lane, $to, $counts);
            if ($best === null || $route->cost() < $best->cost() - 1e-12) {
                $best = $route;
            }
        }

        return $known[$key] = $best;
    }

    private static function leaving(Ring $ring, Trip $trip, int $lane): ?Route
    {
        $exit = $ring->out($trip->sectors, $lane);

        return $exit === null ? null : new Route(0, [], $exit, $trip->exitCosts($ring->arms[$trip->sectors % count($ring->arms)], $exit));
    }
}
