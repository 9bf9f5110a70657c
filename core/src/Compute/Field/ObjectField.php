<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;

/** An object of fields, or, where names are known, the name of a ready-made one. */
final class ObjectField extends BaseField
{
    /** @param  list<string>  $names */
    public function __construct(string $key, string $about, private readonly Shape $shape, private readonly array $names = [])
    {
        parent::__construct($key, $about);
    }

    public function schema(string $property): array
    {
        $object = $this->shape->schema() + ['description' => $this->about];

        return $this->names === [] ? $object : ['description' => $this->about, 'oneOf' => [['enum' => $this->names], $this->shape->schema()]];
    }

    public function read(mixed $raw, string $property, string $path, Findings $findings): string|Values|null
    {
        if ($this->names !== [] && is_string($raw)) {
            if (in_array($raw, $this->names, true)) {
                return $raw;
            }
            $findings->add($path, 'must be one of '.implode(', ', $this->names).', or an object.');

            return null;
        }

        return $this->shape->read($raw, $path, $findings);
    }
}
