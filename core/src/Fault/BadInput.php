<?php

declare(strict_types=1);

namespace NobleTurn\Core\Fault;

/**
 * Input to a tool that breaks its contract. Carries every finding at once, each with the path of
 * the field (`parked.0.from_m`) and a sentence that says what is allowed.
 */
final class BadInput extends \InvalidArgumentException implements CoreException
{
    /** @param  non-empty-array<string, list<string>>  $errors field path => sentences */
    private function __construct(public readonly array $errors)
    {
        $field = array_key_first($errors);
        parent::__construct($field.': '.$errors[$field][0]);
    }

    /** @param  non-empty-array<string, list<string>>  $errors field path => sentences */
    public static function of(array $errors): self
    {
        return new self($errors);
    }

    public static function field(string $field, string $sentence): self
    {
        return new self([$field => [$sentence]]);
    }

    /** The same of what stands under a path: `limit_mph` of `parts.1` is `parts.1.limit_mph`. */
    public function under(string $path): self
    {
        $fields = array_map(static fn (string $field): string => "{$path}.{$field}", array_keys($this->errors));

        return new self(array_combine($fields, array_values($this->errors)));
    }
}
