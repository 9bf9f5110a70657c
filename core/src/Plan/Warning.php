<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

/** Something the user should know that breaks no rule. */
final readonly class Warning
{
    /** @param  array<string, float|string|bool|null>  $data */
    public function __construct(public string $code, public string $message, public array $data = [])
    {
    }
}
