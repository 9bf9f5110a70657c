<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;

/** A short text. */
final class TextField extends BaseField
{
    private bool $mayBeNull = false;

    public function __construct(string $key, string $about, private readonly int $most = 80)
    {
        parent::__construct($key, $about);
    }

    /** Null says the same as nothing. */
    public function orNull(): self
    {
        $field = clone $this;
        $field->mayBeNull = true;

        return $field;
    }

    public function schema(string $property): array
    {
        return ['type' => $this->mayBeNull ? ['string', 'null'] : 'string', 'minLength' => 1, 'maxLength' => $this->most, 'description' => $this->about];
    }

    public function read(mixed $raw, string $property, string $path, Findings $findings): ?string
    {
        if ($raw === null && $this->mayBeNull) {
            return null;
        }
        if (is_string($raw) && $raw !== '' && mb_strlen($raw) <= $this->most) {
            return $raw;
        }
        $findings->add($path, "must be a text of 1 to {$this->most} characters.");

        return null;
    }
}
