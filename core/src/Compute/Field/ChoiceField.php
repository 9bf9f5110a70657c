<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;

/** One of a few words. */
final class ChoiceField extends BaseField
{
    /** @param  list<string|int>  $values */
    public function __construct(string $key, string $about, private readonly array $values)
    {
        parent::__construct($key, $about);
    }

    /** @param  class-string<\BackedEnum>  $enum */
    public static function of(string $key, string $about, string $enum): self
    {
        return new self($key, $about, array_map(static fn (\BackedEnum $case): string|int => $case->value, $enum::cases()));
    }

    public function schema(string $property): array
    {
        return ['enum' => $this->values, 'description' => $this->about];
    }

    public function read(mixed $raw, string $property, string $path, Findings $findings): string|int|null
    {
        if ((is_string($raw) || is_int($raw)) && in_array($raw, $this->values, true)) {
            return $raw;
        }
        $findings->add($path, 'must be one of '.implode(', ', $this->values).'.');

        return null;
    }
}
