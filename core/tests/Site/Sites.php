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
            static fn (string $id, array $said): array => ['id' => $id, 'name' => $said['name'] ?? strtoupper($id).' Road',
                'bearing_deg' => self::BEARINGS[$id]] + $said,
            array_keys($arms), $arms,
        )];
    }

    /** One direction of a fast road, northwards. */
    private const FAST = ['s' => ['lanes_in' => 2, 'lanes_out' => 0, 'limit_mph' => 70], 'n' => ['lanes_in' => 0, 'lanes_out' => 2, 'limit_mph' => 70]];

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
            'right-left stagger' => ['w' => [], 'e' => [], 'n' => $line('give-way') + ['stagger_m' => -9], 's' => $line('give-way') + ['stagger_m' => -9]],
            'left-right stagger' => ['w' => [], 'e' => [], 'n' => $line('give-way') + ['stagger_m' => 25], 's' => $line('stop')],
            'hardly staggered' => ['w' => [], 'e' => [], 'n' => $line('give-way') + ['stagger_m' => 6], 's' => $line('give-way') + ['stagger_m' => -3]],
            'slip on' => self::FAST + ['w' => ['slip' => true, 'lanes_out' => 0]],
            'slip off' => self::FAST + ['nw' => ['slip' => true, 'lanes_in' => 0]],
            'off and on' => self::FAST + ['nw' => ['slip' => true, 'lanes_in' => 0], 'w' => ['slip' => true, 'lanes_out' => 0]],
            'bare road' => ['w' => [], 'e' => []],
            'shops' => ['w' => ['holds' => ['crossing', 'school', 'parked', 'bus-stop']], 'e' => ['holds' => ['school']]],
            'narrow lane' => ['w' => ['holds' => ['narrow', 'humps']], 'e' => ['holds' => ['humps', 'narrow']]],
            'long road' => ['w' => ['holds' => ['long-view'], 'limit_mph' => 60], 'e' => []],
            'two lanes' => ['w' => ['lanes_in' => 2], 'e' => ['holds' => ['queue']]],
            'level crossing' => ['w' => ['holds' => ['railway']], 'e' => ['holds' => ['railway']]],
            'free kerb' => ['w' => ['holds' => ['free-kerb']], 'e' => []],
            'car park' => ['w' => ['holds' => ['bay', 'kerb-space', 'ramp']]],
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

    /**
     * @param  array<string, mixed>  $site
     * @return list<string> every routine that a way teaches
     */
    public static function taught(array $site, string $way): array
    {
        $there = array_filter(Ask::tool('site', $site)['ways'], static fn (array $one): bool => "{$one['from']}>{$one['to']}" === $way);

        return array_column($there, 'routine');
    }
}
