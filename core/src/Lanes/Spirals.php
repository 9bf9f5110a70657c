<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/**
 * Lanes on a roundabout as its paint would lead them: each of our approach lanes ends where the furthest exit painted
 * for it leaves, and the lanes inside it move outward by as many as have ended. Somebody who stays in the lane painted
 * for the exit then needs no change of lane.
 */
final class Spirals
{
    /**
     * @param  non-empty-list<Arm>  $arms  in driving order, ours first
     * @return array{array<string, int>, array<string, true>} spirals and ends as `Ring` takes them, by "sector.lane"
     */
    public static function byPaint(array $arms, int $lanes): array
    {
        $names = array_map(static fn (Arm $arm): string => $arm->name, $arms);
        $place = [];
        foreach ($arms[0]->approach as $i => $painted) {
            $place[min($i + 1, $lanes)] = $painted === [] ? null : max(
                array_map(static fn (string $name): int => (int) array_search($name, $names, true) ?: count($names), $painted),
            );
        }
        $spirals = $ends = [];
        $gone = 0;
        for ($arm = 1; $arm < count($arms); $arm++) {
            $by = 0;
            while (($place[$gone + $by + 1] ?? null) === $arm) {
                $by++;
                $ends[sprintf('%d.%d', $arm - 1, $by)] = true;
            }
            if ($by > 0) {
                for ($lane = $by + 1; $lane <= $lanes; $lane++) {
                    $spirals[sprintf('%d.%d', $arm, $lane)] = $lane - $by;
                }
            }
            $gone += $by;
        }

        return [$spirals, $ends];
    }
}
