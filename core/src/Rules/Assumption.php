<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** One figure an answer rests on, named so that a reader can find it, doubt it and change it. */
final readonly class Assumption
{
    public function __construct(
        public string $name,
        public float|int|string|bool $value,
        public string $unit,
        public Source $source,
    ) {
    }

    /** @return array{name: string, value: float|int|string|bool, unit: string, status: string, source?: string} */
    public function toArray(): array
    {
        $row = ['name' => $this->name, 'value' => $this->value, 'unit' => $this->unit, 'status' => $this->source->status->value];

        return $this->source->document === null ? $row : $row + ['source' => $this->source->document];
    }
}
