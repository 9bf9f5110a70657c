<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/** What a round was driven in. The reference is a quiet town by day on a dry road: it takes nothing off. */
final readonly class Conditions
{
    /** What each takes off, logits (assumed). */
    private const HARDER = [
        'moderate' => 0.3, 'busy' => 0.7, 'dusk' => 0.15, 'night' => 0.35, 'wet' => 0.2, 'ice' => 0.8, 'rural' => 0.1, 'dual' => 0.3, 'motorway' => 0.4,
    ];

    public const TRAFFIC = ['quiet', 'moderate', 'busy'];

    public const LIGHT = ['day', 'dusk', 'night'];

    public const SURFACE = ['dry', 'wet', 'ice'];

    public const ROAD = ['residential', 'town', 'rural', 'dual', 'motorway'];

    public function __construct(public ?string $traffic = null, public ?string $light = null, public ?string $surface = null, public ?string $road = null)
    {
    }

    /** Logits taken off; what was not noted takes nothing. */
    public function difficulty(): float
    {
        return array_sum(array_map(static fn (?string $said): float => self::HARDER[$said ?? ''] ?? 0.0, [$this->traffic, $this->light, $this->surface, $this->road]));
    }
}
