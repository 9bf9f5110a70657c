<?php

declare(strict_types=1);

namespace NobleTurn\Core\Series;

/** Which directions of a row are said together, and which one after the other. */
final class Breaths
{
    /** Nobody keeps more than three things in mind that are yet to be done (common practice, no source). */
    public const MOST = 3;

    /**
     * @param  list<Ahead>  $row
     * @return list<non-empty-list<int>> which of the row, in their order; what nothing need be said of is in none
     */
    public static function of(array $row): array
    {
        $breaths = [];
        $said = 0;
        $isClose = true;
        $last = null;
        foreach ($row as $i => $one) {
            // Something between them that nothing is said of parts them where it leaves room.
            $isClose = $isClose && $one->sayTogether;
            if ($one->direction === null) {
                continue;
            }
            // What is the same once more is no further part.
            $isAnother = $one->direction !== $last;
            if ($breaths !== [] && $isClose && ($said < self::MOST || ! $isAnother)) {
                $breaths[count($breaths) - 1][] = $i;
                $said += $isAnother ? 1 : 0;
            } else {
                $breaths[] = [$i];
                $said = 1;
            }
            [$isClose, $last] = [true, $one->direction];
        }

        return $breaths;
    }

    /**
     * By where a breath must have been said, metres before the first of it begins.
     *
     * @param  list<Ahead>  $row
     * @param  non-empty-list<int>  $breath
     */
    public static function sayAtMetres(array $row, array $breath, float $furtherSeconds): float
    {
        $first = $row[$breath[0]];
        $parts = 0;
        foreach (array_slice($breath, 1) as $at => $i) {
            $parts += $row[$i]->direction === $row[$breath[$at]]->direction ? 0 : 1;
        }

        return $first->sayAtMetres + $parts * $furtherSeconds * $first->reachedMps;
    }
}
