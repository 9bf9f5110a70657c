<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

/** A gap as one side gives it. */
final readonly class SideGap
{
    public function __construct(
        /** `left`, `right`, or `ahead` for oncoming traffic. */
        public string $from,
        public bool $joined,
        /** Least gap that is enough, s. */
        public float $neededSeconds,
        /** Until the other reaches the meeting point, s. */
        public float $availableSeconds,
        /** Deceleration of the other if we went, m/s2. */
        public float $askedMps2,
    ) {
    }

    public function marginSeconds(): float
    {
        return $this->availableSeconds - $this->neededSeconds;
    }

    public function verdict(): string
    {
        return match (true) {
            $this->marginSeconds() >= Gap::CLEAR => 'go',
            $this->marginSeconds() >= 0.0 => 'marginal',
            default => 'wait',
        };
    }
}
