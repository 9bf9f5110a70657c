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
        public float $needed,
        /** Until the other reaches the meeting point, s. */
        public float $available,
        /** Deceleration of the other if we went, m/s2. */
        public float $asked,
    ) {
    }

    public function margin(): float
    {
        return $this->available - $this->needed;
    }

    public function verdict(): string
    {
        return match (true) {
            $this->margin() >= Gap::CLEAR => 'go',
            $this->margin() >= 0.0 => 'marginal',
            default => 'wait',
        };
    }
}
