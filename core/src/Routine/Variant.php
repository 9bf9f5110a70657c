<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

/** A place or moment in which the same routine runs otherwise. */
final readonly class Variant
{
    /** @param  array<string, mixed>  $inputs  of the approach tool that show it on a strip; empty where it does not move one */
    public function __construct(public string $name, public string $changes, public array $inputs = [])
    {
    }
}
