<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/** What a round was driven in, as far as it was noted. */
final readonly class Conditions
{
    /** What may be noted, kind by kind, from what most begin with to what few are used to. */
    public const KINDS = [
        'traffic' => ['quiet', 'moderate', 'busy'],
        'light' => ['day', 'dusk', 'night'],
        'surface' => ['dry', 'wet', 'ice'],
        'road' => ['residential', 'town', 'rural', 'dual', 'motorway'],
    ];

    public function __construct(public ?string $traffic = null, public ?string $light = null, public ?string $surface = null, public ?string $road = null)
    {
    }

    /** @param  array<array-key, mixed>  $said  as it is kept; what is not known is left out */
    public static function of(array $said): self
    {
        $known = static fn (string $kind): ?string => in_array($said[$kind] ?? null, self::KINDS[$kind], true) ? $said[$kind] : null;

        return new self($known('traffic'), $known('light'), $known('surface'), $known('road'));
    }

    /** @return array<string, ?string> by kind */
    public function noted(): array
    {
        return ['traffic' => $this->traffic, 'light' => $this->light, 'surface' => $this->surface, 'road' => $this->road];
    }
}
