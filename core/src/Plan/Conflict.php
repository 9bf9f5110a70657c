<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

/** A rule of thumb and the physics, or two rules, that cannot both be kept here; said openly, with what the plan did. */
final readonly class Conflict
{
    /** @param  array<string, float|string|bool|null>  $data */
    public function __construct(
        public string $code,
        /** The rule that gave way, in words. */
        public string $rule,
        /** Where the rule would have put it, metres to the line; null where it is no place. */
        public ?float $ruleMetres,
        /** Where it has to be, metres to the line. */
        public ?float $neededMetres,
        public string $done,
        public string $message,
        public array $data = [],
    ) {
    }

    /** How far the plan moved it from the rule's place: positive is earlier. */
    public function shiftMetres(): ?float
    {
        return $this->ruleMetres === null || $this->neededMetres === null ? null : $this->neededMetres - $this->ruleMetres;
    }
}
