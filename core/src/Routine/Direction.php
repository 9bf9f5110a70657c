<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

/** How the instructor says where to go. */
final class Direction
{
    /** Where nothing is asked for but to go on. */
    public const AHEAD = 'Follow the road ahead.';

    /**
     * Several that have to be said before the first of them; what is the same as the one before is not said twice.
     *
     * @param  non-empty-list<string>  $said  as each is said alone, in the order driven
     */
    public static function inOneBreath(array $said): string
    {
        $text = rtrim($said[0], '. ');
        foreach (array_slice($said, 1) as $i => $next) {
            $text .= $next === $said[$i] ? '' : '; then: '.rtrim(lcfirst($next), '. ');
        }

        return "{$text}.";
    }
}
