<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;
use NobleTurn\Core\Compute\Kind;

/** A quantity that carries its unit in its name; any unit of the kind may be used, exactly one of them. Bounds in SI. */
final class QuantityField extends BaseField
{
    public function __construct(
        string $key,
        string $about,
        private readonly Kind $kind,
        private readonly float $least,
        private readonly float $most,
    ) {
        parent::__construct($key, $about);
    }

    public function properties(): array
    {
        return array_map(fn (string $unit): string => "{$this->key}_{$unit}", $this->kind->units());
    }

    public function schema(string $property): array
    {
        $factor = $this->kind->factor($this->unit($property));

        return ['type' => 'number', 'minimum' => round($this->least / $factor, 4), 'maximum' => round($this->most / $factor, 4), 'description' => $this->about];
    }

    public function read(mixed $raw, string $property, string $path, Findings $findings): mixed
    {
        $factor = $this->kind->factor($this->unit($property));
        $value = NumberField::number($raw, $path, $findings, round($this->least / $factor, 4), round($this->most / $factor, 4));

        return $value === null ? null : $this->kind->make($value * $factor);
    }

    private function unit(string $property): string
    {
        return substr($property, strlen($this->key) + 1);
    }
}
