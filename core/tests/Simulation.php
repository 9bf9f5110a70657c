<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

/** What tests on made-up learners have in common. */
final class Simulation
{
    /** Seeds from here on were not looked at while the model's figures were chosen. */
    public const UNSEEN = 900_000;

    /** Printed where somebody asks for it: NOBLE_TURN_PRINT=1. */
    public static function printed(string $line): void
    {
        if (getenv('NOBLE_TURN_PRINT') !== false) {
            fwrite(STDERR, $line."\n");
        }
    }

    /**
     * Counts over the ladder, drawn towards all marks of the learner by so many of them (a Dirichlet prior).
     *
     * @param  list<int>  $history
     * @param  list<int>  $all
     * @return list<float>
     */
    public static function smoothed(array $history, array $all, float $by): array
    {
        $of = array_count_values($all) + array_fill(0, 5, 0);
        $here = array_count_values($history) + array_fill(0, 5, 0);

        return array_map(fn (int $rank): float => ($here[$rank] + $by * ($of[$rank] + 1) / (count($all) + 5)) / (count($history) + $by), range(0, 4));
    }
}
