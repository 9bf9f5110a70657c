<?php

declare(strict_types=1);

namespace NobleTurn\Core\School;

use NobleTurn\Core\Skill\Belief;

/** So many of so many, with what the share may be: Wilson's interval (Wilson 1927, from memory), 80 per cent. */
final readonly class Share
{
    public float $low;

    public float $high;

    /** @throws \InvalidArgumentException where more than all are counted */
    public function __construct(public int $count, public int $of)
    {
        if ($count < 0 || $count > $of) {
            throw new \InvalidArgumentException("{$count} of {$of} is no share.");
        }
        if ($of === 0) {
            [$this->low, $this->high] = [0.0, 1.0];

            return;
        }
        $z2 = Belief::TENTH ** 2;
        $middle = ($count + $z2 / 2.0) / ($of + $z2);
        $half = Belief::TENTH / ($of + $z2) * sqrt($count * ($of - $count) / $of + $z2 / 4.0);
        [$this->low, $this->high] = [max(0.0, $middle - $half), min(1.0, $middle + $half)];
    }

    public function share(): float
    {
        return $this->of === 0 ? 0.0 : $this->count / $this->of;
    }
}
