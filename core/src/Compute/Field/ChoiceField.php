<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;

/** One of a few words. */
final class ChoiceField extends BaseField
{
    /** @var array<string, string|int> each by its type and itself: "1" is not 1 */
    private readonly array $known;

    /** @param  list<string|int>  $values */
    public function __construct(string $key, string $about, private readonly array $values)
    {
        parent::__construct($key, $about);
        $this->known = array_combine(array_map(static fn (string|int $value): string => is_int($value) ? "#{$value}" : "={$value}", $values), $values);
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
        if (is_string($raw) ? isset($this->known["={$raw}"]) : is_int($raw) && isset($this->known["#{$raw}"])) {
            return $raw;
        }
        $findings->add($path, 'must be one of '.implode(', ', $this->values).'.');

        return null;
    }
}
