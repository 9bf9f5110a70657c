<?php

declare(strict_types=1);

namespace NobleTurn\Core\Sight;

/** What is seen of the road where several things hide it. An upper bound: it knows nothing that nobody told. */
final readonly class Sight
{
    /** Eyes of a driver in a car, and what one must see: the tail lights of a car; AASHTO Green Book, from memory, m. */
    public const EYE_M = 1.08;

    /** Of a driver in a lorry or a coach, m; the same source, from memory. */
    public const HIGH_EYE_M = 2.33;

    public const TARGET_M = 0.6;

    public const HEIGHTS = 'AASHTO Green Book, heights of eye and object';

    /** @param  non-empty-array<string, Hides>  $hides  by what they are called; those that stay in one place begin at the same one */
    public function __construct(public array $hides)
    {
    }

    /** @return float m from a place so far before where they begin; INF where nothing hides the road */
    public function seenFrom(float $toGoMetres): float
    {
        return min(array_map(static fn (Hides $one): float => $one->seenFrom($toGoMetres), $this->hides));
    }

    /** @return float the least anywhere, m; INF where nothing hides the road */
    public function leastMetres(): float
    {
        return min(array_map(static fn (Hides $one): float => $one->leastMetres(), $this->hides));
    }

    /** What leaves us the least; null where nothing hides the road. */
    public function worst(): ?string
    {
        $least = $this->leastMetres();

        return is_infinite($least) ? null : array_key_first(array_filter($this->hides, static fn (Hides $one): bool => $one->leastMetres() <= $least));
    }

    /** The longest of what stays in one place, m; 0 where all moves with us. */
    public function metresLong(): float
    {
        return max(array_map(static fn (Hides $one): float => $one->metresLong(), $this->hides));
    }

    /**
     * What is seen at even steps, from well before to the end of what hides it.
     *
     * @return non-empty-list<array{toGo: float, seen: float}> m; seen INF where nothing hides the road
     */
    public function along(float $fromMetres, int $steps): array
    {
        $whole = $fromMetres + $this->metresLong();

        return array_map(function (int $i) use ($fromMetres, $whole, $steps): array {
            $toGo = $fromMetres - $whole * $i / $steps;

            return ['toGo' => $toGo, 'seen' => $this->seenFrom($toGo)];
        }, range(0, $steps));
    }
}
