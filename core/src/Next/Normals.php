<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Draws of mean 0 and variance 1, the same for the same seed. Published: G. E. P. Box and M. E. Muller, "A note on the generation of random normal
 * deviates", Annals of Mathematical Statistics 29 (1958).
 */
final readonly class Normals
{
    private const PARTS = 1_000_000_000;

    private Randomizer $chance;

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    public function __invoke(): float
    {
        return sqrt(-2.0 * log($this->uniform())) * cos(2.0 * M_PI * $this->uniform());
    }

    /** Between 0 and 1, neither of them. */
    private function uniform(): float
    {
        return ($this->chance->getInt(0, self::PARTS - 1) + 0.5) / self::PARTS;
    }
}
