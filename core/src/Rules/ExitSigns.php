<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Quantity\Distance;

/** What stands before a way off a fast road, and by what the signal is given there. */
final readonly class ExitSigns
{
    /** @param  list<int>  $markers  numbers on the posts, farthest first */
    private function __construct(
        public Distance $first,
        /** As the first sign says it. */
        public string $firstInWords,
        /** By where one is in the lane that leaves. */
        public Distance $laneBy,
        /** As it is spoken. */
        public string $laneByInWords,
        public array $markers,
        /** What the numbers on the posts are, short. */
        public string $markerUnit,
        private float $metresOfMarkerUnit,
        /** Where no posts stand: the signal is given by time, and never later than this. */
        public ?Distance $signalAtLeast,
        public Source $source,
    ) {
    }

    /** @param  non-empty-list<int>  $markers  farthest first */
    public static function withMarkers(
        Distance $first, string $firstInWords, Distance $laneBy, string $laneByInWords, array $markers, string $unit, float $metresOfUnit,
        Source $source,
    ): self {
        return new self($first, $firstInWords, $laneBy, $laneByInWords, $markers, $unit, $metresOfUnit, null, $source);
    }

    public static function withoutMarkers(
        Distance $first, string $firstInWords, Distance $laneBy, string $laneByInWords, Distance $signalAtLeast, Source $source,
    ): self {
        return new self($first, $firstInWords, $laneBy, $laneByInWords, [], '', 0.0, $signalAtLeast, $source);
    }

    /** How far before the exit the post with this number stands. */
    public function markerMetres(float $number): float
    {
        return $number * $this->metresOfMarkerUnit;
    }

    /** The post the routine counts as its first, second or third, as it is said: "300 yd". */
    public function markerInWords(int $nth): string
    {
        return isset($this->markers[$nth - 1]) ? "{$this->markers[$nth - 1]} {$this->markerUnit}" : '';
    }

    public function inWords(): string
    {
        return $this->markers === [] ? 'none: exit signs' : implode(', ', $this->markers)." {$this->markerUnit}";
    }
}
