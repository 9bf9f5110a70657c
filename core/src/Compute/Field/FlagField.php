<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;

/** Yes or no. */
final class FlagField extends BaseField
{
    public function schema(string $property): array
    {
        return ['type' => 'boolean', 'description' => $this->about];
    }

    public function read(mixed $raw, string $property, string $path, Findings $findings): ?bool
    {
        if (is_bool($raw)) {
            return $raw;
        }
        $findings->add($path, 'must be true or false.');

        return null;
    }
}
