<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\Conditions;

/** What conditions take off, logits. The reference is a quiet town by day on a dry road: it takes nothing off. */
final class Difficulty
{
    /** All assumed. */
    private const HARDER = [
        'traffic' => ['moderate' => 0.3, 'busy' => 0.7],
        'light' => ['dusk' => 0.15, 'night' => 0.35],
        'surface' => ['wet' => 0.2, 'ice' => 0.8],
        'road' => ['rural' => 0.1, 'dual' => 0.3, 'motorway' => 0.4],
    ];

    /** @return array<string, float> by kind, only what takes something off; what was not noted takes nothing */
    public static function byKind(Conditions $conditions): array
    {
        $by = [];
        foreach ($conditions->noted() as $kind => $said) {
            $by[$kind] = self::HARDER[$kind][$said ?? ''] ?? 0.0;
        }

        return array_filter($by);
    }

    public static function of(Conditions $conditions): float
    {
        return array_sum(self::byKind($conditions));
    }
}
