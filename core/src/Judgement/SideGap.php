<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Rules\AsksOfOthers;

/** A gap as one side gives it. */
final readonly class SideGap
{
    /** @param  array<string, float>  $neededSeconds  least gap that is enough, by what may be asked of others, s */
    public function __construct(
        /** `left`, `right`, or `ahead` for oncoming traffic. */
        public string $from,
        public bool $joined,
        private array $neededSeconds,
        /** How much of them the practice asks. */
        private AsksOfOthers $may,
        /** Until the other reaches the meeting point, s. */
        public float $availableSeconds,
        /** Deceleration of the other if we went, m/s2. */
        public float $askedMps2,
        /** Behind us at the end, the other steady, s; null where this stream is only crossed. */
        public ?float $headwaySeconds,
    ) {
    }

    public static function of(string $from, Stream $stream, AsksOfOthers $may, float $metres, float $mps, float $gripMps2): self
    {
        $needed = [];
        foreach (AsksOfOthers::cases() as $asks) {
            $needed[$asks->value] = $stream->neededSeconds($asks);
        }

        return new self($from, $stream->joined, $needed, $may, $metres / $mps, $stream->askedMps2($metres, $gripMps2), $stream->headwayAtEndSeconds($metres));
    }

    public function neededSeconds(?AsksOfOthers $asks = null): float
    {
        return $this->neededSeconds[($asks ?? $this->may)->value];
    }

    public function marginSeconds(): float
    {
        return $this->availableSeconds - $this->neededSeconds();
    }

    public function verdict(): string
    {
        return match (true) {
            $this->marginSeconds() >= Gap::CLEAR => 'go',
            $this->marginSeconds() >= 0.0 => 'marginal',
            default => 'wait',
        };
    }

    /** What going now would ask of them. */
    public function asked(): Asked
    {
        return Asked::of($this->askedMps2);
    }
}
