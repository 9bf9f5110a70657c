<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;

/**
 * An ordinary junction with several lanes: no lane is changed inside it. Lanes that go the same way keep their order. The
 * nearest suitable lane is taken: towards the kerb's side and ahead counted from the nearside, across as the pack says;
 * another only where that one is for buses, does not move, or the next junction asks for it at once.
 */
final class JunctionPlanner
{
    /** @return array<int, Route> the way from each approach lane that leads there */
    public static function routes(Arm $own, Arm $target, Trip $trip, RulePack $pack): array
    {
        $ours = self::ours($own, $target, $trip);
        $found = [];
        foreach ($ours as $lane => $against) {
            $exit = self::exit($lane, $ours, $target, $trip, $pack);
            if ($exit === null) {
                continue;
            }
            $found[$lane] = new Route($lane, [['sector' => 0, 'lane' => $lane, 'to' => $lane]], $exit[0], array_filter([
                ...$exit[1], 'against_clock' => $against ? $trip->costs->of('against_clock') : 0.0,
            ]));
        }

        return $found;
    }

    /** @return array<int, bool> lanes that may go there; whether against the clock, where nothing is painted */
    private static function ours(Arm $own, Arm $target, Trip $trip): array
    {
        $lanes = count($own->approach);
        $found = [];
        foreach ($own->approach as $i => $painted) {
            $lane = $i + 1;
            if (in_array($lane, $own->busLanes, true) || ($painted !== [] && ! in_array($target->name, $painted, true))) {
                continue;
            }
            $found[$lane] = $painted === [] && ! match ($trip->clock()) {
                -1 => $lane === 1,
                0 => true,
                default => $lane === $lanes,
            };
        }

        return $found;
    }

    /**
     * @param  array<int, bool>  $ours
     * @return ?array{int, array<string, float>} the lane that counts least of those the order leaves to this one, and what it counts
     */
    private static function exit(int $lane, array $ours, Arm $target, Trip $trip, RulePack $pack): ?array
    {
        $open = $target->openExits();
        if ($open === []) {
            return null;
        }
        if ($trip->clock() === 0) {
            return self::ahead(min($lane, $target->exitLanes), $open, $target, $trip);
        }
        $beside = array_keys(array_filter($ours, static fn (bool $against, int $other): bool => ! $against || $other === $lane, ARRAY_FILTER_USE_BOTH));
        $at = (int) array_search($lane, $beside, true);
        $after = count($beside) - 1 - $at;
        // In order: as many lanes stay free on either side as there are others of ours that go there.
        $free = array_slice($open, min($at, count($open) - 1), max(1, count($open) - $at - $after));
        $nearest = $trip->clock() > 0 && $pack->turnsAcrossInto() === Flank::Off ? $free[count($free) - 1] : $free[0];

        // Another turn at once: among lanes that count alike the one that leads to it.
        $wanted = $trip->turnsSoon() ? $free[$trip->turnsOff === true ? count($free) - 1 : 0] : $nearest;

        return self::least($free, $wanted, static fn (int $exit): array => $trip->exitCosts($target, $exit, $nearest));
    }

    /**
     * Ahead a lane leads into the one it faces; only where that is not ours or does not move, into another.
     *
     * @param  list<int>  $open  one at least
     * @return array{int, array<string, float>}
     */
    private static function ahead(int $facing, array $open, Arm $target, Trip $trip): array
    {
        if (in_array($facing, $open, true) && ! in_array($facing, $trip->blocked, true)) {
            $open = [$facing];
        }

        return self::least($open, $facing, static fn (int $exit): array => [
            ...$trip->exitCosts($target, $exit), ...($exit === $facing ? [] : ['lane_change' => $trip->costs->of('lane_change')]),
        ]);
    }

    /**
     * @param  list<int>  $exits  one at least
     * @param  callable(int): array<string, float>  $counting
     * @return array{int, array<string, float>} among equals the one next to that wanted
     */
    private static function least(array $exits, int $wanted, callable $counting): array
    {
        usort($exits, static fn (int $a, int $b): int => abs($a - $wanted) <=> abs($b - $wanted));
        $best = [$exits[0], $counting($exits[0])];
        foreach ($exits as $exit) {
            $counts = $counting($exit);
            if (array_sum($counts) < array_sum($best[1]) - 1e-9) {
                $best = [$exit, $counts];
            }
        }

        return $best;
    }
}
