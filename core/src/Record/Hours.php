<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/**
 * Time at the wheel by what it was driven in. A lesson's minutes are spread evenly over its rounds; a lesson without rounds,
 * and a round whose conditions were not noted, count as not noted, so that each kind adds up to the whole.
 */
final readonly class Hours
{
    public const NOT_NOTED = 'not-noted';

    /** @param  array<string, array<string, float>>  $minutes  by kind and condition */
    private function __construct(public float $totalHours, public array $minutes)
    {
    }

    /** @param  list<array{minutes: float, rounds: list<Conditions>}>  $lessons  that were driven */
    public static function of(array $lessons): self
    {
        $minutes = array_map(static fn (array $names): array => array_fill_keys([...$names, self::NOT_NOTED], 0.0), Conditions::KINDS);
        foreach ($lessons as ['minutes' => $lasted, 'rounds' => $rounds]) {
            $rounds = $rounds === [] ? [new Conditions] : $rounds;
            foreach ($rounds as $conditions) {
                foreach ($conditions->noted() as $kind => $said) {
                    $minutes[$kind][$said ?? self::NOT_NOTED] += $lasted / count($rounds);
                }
            }
        }

        return new self((float) array_sum(array_column($lessons, 'minutes')), $minutes);
    }
}
