<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;

/** Fields as read: quantities as value objects, everything else as it came. Null is "not given". */
final readonly class Values
{
    /**
     * @param  array<string, mixed>  $values by field key
     * @param  array<string, mixed>  $said  the same as it was given, by property: in the unit in which it was said
     */
    public function __construct(private array $values, private array $said = [])
    {
    }

    /** @return array<string, mixed> what was given, as it was given; empty where the values were made otherwise */
    public function said(): array
    {
        return $this->said;
    }

    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    /** @param  list<string>  $keys */
    public function without(array $keys): self
    {
        return new self(array_diff_key($this->values, array_flip($keys)));
    }

    /** Another's values over these. */
    public function and(self $other): self
    {
        return new self([...$this->values, ...$other->values]);
    }

    public function speed(string $key): ?Speed
    {
        return $this->a(Speed::class, $key);
    }

    public function distance(string $key): ?Distance
    {
        return $this->a(Distance::class, $key);
    }

    public function duration(string $key): ?Duration
    {
        return $this->a(Duration::class, $key);
    }

    public function acceleration(string $key): ?Acceleration
    {
        return $this->a(Acceleration::class, $key);
    }

    public function object(string $key): ?self
    {
        return $this->a(self::class, $key);
    }

    public function number(string $key): ?float
    {
        $value = $this->values[$key] ?? null;

        return is_float($value) ? $value : null;
    }

    public function whole(string $key): ?int
    {
        $value = $this->values[$key] ?? null;

        return is_int($value) ? $value : null;
    }

    public function flag(string $key): ?bool
    {
        $value = $this->values[$key] ?? null;

        return is_bool($value) ? $value : null;
    }

    public function text(string $key): ?string
    {
        $value = $this->values[$key] ?? null;

        return is_string($value) ? $value : null;
    }

    /**
     * @template E of \BackedEnum
     *
     * @param  class-string<E>  $enum
     * @return ?E
     */
    public function choice(string $key, string $enum): ?\BackedEnum
    {
        $value = $this->values[$key] ?? null;

        return is_string($value) || is_int($value) ? $enum::from($value) : null;
    }

    /** @return list<self> */
    public function objects(string $key): array
    {
        $list = $this->values[$key] ?? [];

        return is_array($list) ? array_values(array_filter($list, static fn (mixed $entry): bool => $entry instanceof self)) : [];
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        $list = $this->values[$key] ?? [];

        return is_array($list) ? array_values(array_filter($list, is_string(...))) : [];
    }

    /** @return list<list<float>> */
    public function lists(string $key): array
    {
        $lists = $this->values[$key] ?? [];

        return is_array($lists) ? array_values(
            array_map(static fn (mixed $list): array => is_array($list) ? array_values(array_filter($list, is_float(...))) : [], $lists),
        ) : [];
    }

    /** @return list<float> */
    public function numbers(string $key): array
    {
        $list = $this->values[$key] ?? [];

        return is_array($list) ? array_values(array_filter($list, is_float(...))) : [];
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @return ?T
     */
    private function a(string $class, string $key): ?object
    {
        $value = $this->values[$key] ?? null;

        return $value instanceof $class ? $value : null;
    }
}
