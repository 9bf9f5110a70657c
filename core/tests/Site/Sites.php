<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests\Site;

use NobleTurn\Core\Tests\Ask;

/** Sites for tests, as the site tool takes them; arms are called after where they lie. */
final class Sites
{
    private const BEARINGS = ['n' => 0, 'ne' => 45, 'e' => 90, 'se' => 120, 's' => 180, 'w' => 270, 'nw' => 315];

    /**
     * @param  array<string, array<string, mixed>>  $arms  by where they lie; what is said of each
     * @return array<string, mixed>
     */
    public static function of(array $arms, string $kind = 'junction', string $pack = 'gb'): array
    {
        return ['pack' => $pack, 'kind' => $kind, 'arms' => array_map(
            static fn (string $id, array $said): array => ['id' => $id, 'name' => strtoupper($id).' Road', 'bearing_deg' => self::BEARINGS[$id]] + $said,
            array_keys($arms), $arms,
        )];
    }

    /** @return array<string, array<string, mixed>> arms by name of the site */
    public static function arms(string $name): array
    {
        $line = static fn (string $control): array => ['control' => $control];

        return match ($name) {
            'T' => ['w' => [], 'e' => [], 's' => $line('give-way')],
            'skewed T' => ['w' => [], 'e' => [], 'se' => $line('stop')],
            'unmarked T' => ['w' => [], 'e' => [], 's' => []],
            'T under lights' => array_fill_keys(['w', 'e', 's'], $line('signals')),
            'crossroads' => ['w' => [], 'e' => [], 'n' => $line('stop'), 's' => $line('give-way')],
            'lights' => array_fill_keys(['n', 'e', 's', 'w'], $line('signals')),
            'all stop' => array_fill_keys(['n', 'e', 's', 'w'], $line('all-way-stop')),
            'unmarked crossroads' => array_fill_keys(['n', 'e', 's', 'w'], []),
            // The main road comes from the south and bends to the east.
            'bend' => ['s' => [], 'e' => [], 'n' => $line('give-way'), 'w' => $line('give-way')],
            'one-way met' => ['w' => ['lanes_out' => 0], 'e' => ['lanes_in' => 0], 'n' => $line('give-way'), 's' => $line('give-way')],
            'alley' => ['w' => [], 'e' => [], 's' => ['alley' => true]],
            'centre lane' => ['w' => ['centre_lane' => true], 'e' => ['centre_lane' => true], 'n' => $line('stop')],
            'ring' => array_fill_keys(['n', 'e', 's', 'w'], []),
            'ring of five' => array_fill_keys(['n', 'e', 's', 'w', 'nw'], []),
            default => throw new \LogicException("No site {$name}."),
        };
    }

    /**
     * @param  array<string, mixed>  $site
     * @return array<string, array<string, mixed>> ways by `from>to`
     */
    public static function ways(array $site): array
    {
        $ways = Ask::tool('site', $site)['ways'];

        return array_combine(array_map(static fn (array $way): string => "{$way['from']}>{$way['to']}", $ways), $ways);
    }
}
