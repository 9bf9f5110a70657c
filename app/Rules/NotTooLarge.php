<?php

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** For values of any shape that are kept as they come: no more of them than so many bytes of JSON. */
final readonly class NotTooLarge implements ValidationRule
{
    public function __construct(private int $bytes)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (strlen((string) json_encode($value, JSON_PARTIAL_OUTPUT_ON_ERROR)) > $this->bytes) {
            $fail("This is larger than the {$this->bytes} bytes that are kept of it.");
        }
    }
}
