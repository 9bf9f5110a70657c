<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;

/** An object that is one of several kinds: one of its properties names the kind, and that says what else it may hold. */
final class KindsField extends BaseField
{
    /**
     * @param  string  $naming  the property that names the kind
     * @param  non-empty-array<string, Shape>  $kinds  what each holds besides, by name
     */
    public function __construct(string $key, string $about, private readonly string $naming, private readonly array $kinds)
    {
        parent::__construct($key, $about);
    }

    public function schema(string $property): array
    {
        return ['description' => $this->about, 'oneOf' => array_map(
            fn (string $kind): array => $this->of($kind)->schema(), array_keys($this->kinds),
        )];
    }

    public function read(mixed $raw, string $property, string $path, Findings $findings): ?Values
    {
        $kind = is_array($raw) ? $raw[$this->naming] ?? null : null;
        if (is_array($raw) && (! is_string($kind) || ! isset($this->kinds[$kind]))) {
            $findings->add("{$path}.{$this->naming}", 'must be one of '.implode(', ', array_keys($this->kinds)).'.');

            return null;
        }

        return $this->of((string) ($kind ?? array_key_first($this->kinds)))->read($raw, $path, $findings);
    }

    private function of(string $kind): Shape
    {
        return new Shape((new ChoiceField($this->naming, 'what it is', [$kind]))->required(), ...$this->kinds[$kind]->fields);
    }
}
