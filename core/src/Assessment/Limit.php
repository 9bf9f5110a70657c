<?php

declare(strict_types=1);

namespace NobleTurn\Core\Assessment;

/** How many faults of a severity still pass. */
final readonly class Limit
{
    /** @param  int  $most  that still pass; 0: the first one fails */
    public function __construct(public Severity $severity, public int $most, public Counted $within = Counted::Drive)
    {
    }

    /** By which a scheme of one's own names it: "grade-2", "grade-2-heading". */
    public function name(): string
    {
        return $this->severity->value.($this->within === Counted::Drive ? '' : "-{$this->within->value}");
    }

    /** By which a result says that it decided. */
    public function code(): string
    {
        return match (true) {
            $this->within === Counted::Heading => 'same-heading',
            $this->within === Counted::Aspect => 'same-aspect',
            $this->most === 0 => "any-{$this->severity->value}",
            default => "too-many-{$this->severity->value}",
        };
    }

    public function with(int $most): self
    {
        return new self($this->severity, $most, $this->within);
    }
}
