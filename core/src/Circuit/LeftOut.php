<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** Rounds that do not fit, and by how much. */
final readonly class LeftOut
{
    /** @param  int  $rounds  of it that are not driven */
    public function __construct(public Stop $stop, public int $rounds, public bool $isOutOfReach, public float $shortSeconds)
    {
    }

    public function message(): string
    {
        $name = $this->stop->name;
        $short = self::minutes($this->shortSeconds);
        if ($this->isOutOfReach) {
            return "{$name} is out of reach: there, one round and back take {$short} more than there is.";
        }
        if ($this->rounds === $this->stop->rounds) {
            return "{$name} does not fit: {$short} too long.";
        }

        return sprintf('%s: %d of %d rounds, the rest is %s too long.', $name, $this->stop->rounds - $this->rounds, $this->stop->rounds, $short);
    }

    /** Never said to be less than it is. */
    private static function minutes(float $seconds): string
    {
        return (int) ceil($seconds / 60.0 - 1e-9).' min';
    }
}
