<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** What is said on the way round a circuit, and before which line: early enough for the whole routine, together where there is no room between. */
final class Directions
{
    /** To say one and have it taken in takes so long, s (assumed). */
    private const SAYING_S = 4.0;

    /**
     * @param  list<Stop>  $driven  in their order
     * @param  list<float>  $metres  driven to each from the one before it, or from the start
     * @return list<Told> of those whose direction is known
     */
    public static function along(array $driven, array $metres, Drive $drive): array
    {
        $told = [];
        foreach ($driven as $i => $stop) {
            if ($stop->direction === null) {
                continue;
            }
            $before = $driven[$i - 1] ?? null;
            $saying = self::SAYING_S * $drive->kmh($stop->road) / 3.6;
            // To another way of the same place one comes round again.
            $there = $metres[$i] < 1.0 ? $stop->againMetres : $metres[$i];
            // Not after the one before: there is nothing to say it with where that has no direction of its own.
            $isClose = $before?->direction !== null && $there < $stop->sayAtMetres + $saying;
            $last = $isClose ? array_pop($told) : null;
            $told[] = $last === null ? new Told([$stop], $before, $there) : new Told([...$last->stops, $stop], $last->after, $last->metres);
        }

        return $told;
    }
}
