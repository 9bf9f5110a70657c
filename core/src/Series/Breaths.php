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
     * Before which of the row a breath is said: before the first it tells of, or, where no room is left there, before what is close in front of that and
     * needs no word itself, of which nobody keeps more than two in mind besides.
     *
     * @param  list<Ahead>  $row
     * @param  non-empty-list<int>  $breath
     */
    public static function saidBefore(array $row, array $breath): int
    {
        $at = $breath[0];
        while ($at > 0 && $row[$at]->sayTogether && $row[$at - 1]->direction === null && self::MOST - 1 > $breath[0] - $at) {
            $at--;
        }

        return $at;
    }

    /**
     * By where a breath must have been said, metres before that which it is said before begins.
     *
     * @param  list<Ahead>  $row
     * @param  non-empty-list<int>  $breath
     */
    public static function sayAtMetres(array $row, array $breath, float $furtherSeconds): float
    {
        $before = $row[self::saidBefore($row, $breath)];
        $parts = 0;
        foreach (array_slice($breath, 1) as $at => $i) {
            $parts += $row[$i]->direction === $row[$breath[$at]]->direction ? 0 : 1;
        }

        return $before->sayAtMetres + $parts * $furtherSeconds * $before->reachedMps;
    }
}
