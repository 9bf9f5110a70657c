<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;

/** What may be said by one value, or by a list that says more: a number of lanes, or each of them. */
final class OneOrListField extends BaseField
{
    public function __construct(private readonly Field $one, private readonly ListField $list)
    {
        parent::__construct($one->key(), '');
    }

    public function schema(string $property): array
    {
        return ['oneOf' => [$this->one->schema($property), $this->list->schema($property)]];
    }

    public function read(mixed $raw, string $property, string $path, Findings $findings): mixed
    {
        return (is_array($raw) && array_is_list($raw) ? $this->list : $this->one)->read($raw, $property, $path, $findings);
    }
}
