<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;

/** A list whose entries are all read by the same field. */
final class ListField extends BaseField
{
    public function __construct(string $key, string $about, private readonly Field $entry, private readonly int $most = 20)
    {
        parent::__construct($key, $about);
    }

    public function schema(string $property): array
    {
        return ['type' => 'array', 'maxItems' => $this->most, 'items' => $this->entry->schema($this->entry->properties()[0]), 'description' => $this->about];
    }

    /** @return ?list<mixed> */
    public function read(mixed $raw, string $property, string $path, Findings $findings): ?array
    {
        if (! is_array($raw) || ! array_is_list($raw)) {
            $findings->add($path, 'must be a list.');

            return null;
        }
        if (count($raw) > $this->most) {
            $findings->add($path, "must have at most {$this->most} entries.");

            return null;
        }
        $read = [];
        $name = $this->entry->properties()[0];
        foreach ($raw as $i => $entry) {
            $read[] = $this->entry->read($entry, $name, "{$path}.{$i}", $findings);
        }

        return $read;
    }
}
