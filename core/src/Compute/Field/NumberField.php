<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;

/** A plain number between two bounds, its unit said in the description. */
final class NumberField extends BaseField
{
    public function __construct(string $key, string $about, private readonly float $least, private readonly float $most)
    {
        parent::__construct($key, $about);
    }

    public function schema(string $property): array
    {
        return ['type' => 'number', 'minimum' => $this->least, 'maximum' => $this->most, 'description' => $this->about];
    }

    public function read(mixed $raw, string $property, string $path, Findings $findings): ?float
    {
        return self::number($raw, $path, $findings, $this->least, $this->most);
    }

    /** A finite number within bounds; anything else is named and answered with null. */
    public static function number(mixed $raw, string $path, Findings $findings, float $least, float $most): ?float
    {
        if (! is_int($raw) && ! is_float($raw)) {
            $findings->add($path, 'must be a number.');

            return null;
        }
        $value = (float) $raw;
        if (! is_finite($value)) {
            $findings->add($path, 'must be a finite number.');

            return null;
        }
        if ($value < $least || $value > $most) {
            $findings->add($path, sprintf('must lie between %s and %s.', round($least, 3), round($most, 3)));

            return null;
        }

        return $value;
    }
}
