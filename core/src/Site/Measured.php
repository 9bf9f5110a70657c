<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Rules\LengthUnit;

/**
 * A length measured as often as anybody cared to. Measures are weighed by their doubt: the mean of those made alike (whose shared error
 * stays), then the mean of the kinds. Those that agree narrow it; those that do not widen it again, the more the farther they lie apart
 * (the usual scale factor for data that scatter more than they should: R. T. Birge, Physical Review 40 (1932), from memory).
 */
final readonly class Measured
{
    /** Farther apart than so many times their doubt they disagree: one time in twenty that is chance. */
    private const DISAGREE = 2.0;

    private function __construct(
        public float $metres,
        /** One standard error, m. */
        public float $errorMetres,
        /** How much farther apart they lie than their doubt lets expect: 1 or less is as expected. */
        public float $scatter,
        /** @var non-empty-list<Measure> */
        public array $measures,
    ) {
    }

    public static function from(Measure $first, Measure ...$more): self
    {
        $measures = [$first, ...array_values($more)];
        $kinds = [];
        foreach ($measures as $measure) {
            $kinds[$measure->by->value][] = $measure;
        }
        $scatter = 0.0;
        $means = array_values(array_map(static function (array $alike) use (&$scatter): array {
            [$metres, $error, $chi] = self::mean(array_map(static fn (Measure $one): array => [$one->metres, $one->ownErrorMetres], $alike));
            $scatter += $chi;

            return [$metres, hypot($error, $alike[0]->by->sharedError() * $metres)];
        }, $kinds));
        [$metres, $error, $chi] = self::mean($means);
        $freedom = count($measures) - 1;
        $ratio = $freedom === 0 ? 0.0 : sqrt(($scatter + $chi) / $freedom);

        return new self($metres, $error * max(1.0, $ratio), $ratio, $measures);
    }

    public function agrees(): bool
    {
        return $this->scatter <= self::DISAGREE;
    }

    /** As it is said: "21 m ± 4 m, paced once". */
    public function words(LengthUnit $unit): string
    {
        $kinds = array_count_values(array_map(static fn (Measure $measure): string => $measure->by->words(), $this->measures));
        $how = array_map(static fn (string $by, int $times): string => $by.match ($times) {
            1 => ' once', 2 => ' twice', default => " {$times} times",
        }, array_keys($kinds), $kinds);

        return "{$unit->place($this->metres)} ± {$unit->place($this->errorMetres)}, ".implode(', ', $how);
    }

    /** What to do about it, where they disagree; null where they agree. */
    public function disagreement(LengthUnit $unit): ?string
    {
        if ($this->agrees()) {
            return null;
        }
        $all = array_map(static fn (Measure $measure): float => $measure->metres, $this->measures);

        return "{$unit->place(min($all))} and {$unit->place(max($all))} cannot both be right: measure it once more, or take the wrong one out.";
    }

    /**
     * @param  non-empty-list<array{float, float}>  $values with their errors
     * @return array{float, float, float} the weighed mean, its error, and the sum of squared distances from it in errors
     */
    private static function mean(array $values): array
    {
        $weight = array_sum(array_map(static fn (array $value): float => 1.0 / $value[1] ** 2, $values));
        $mean = array_sum(array_map(static fn (array $value): float => $value[0] / $value[1] ** 2, $values)) / $weight;

        return [$mean, 1.0 / sqrt($weight), array_sum(array_map(static fn (array $value): float => (($value[0] - $mean) / $value[1]) ** 2, $values))];
    }
}
