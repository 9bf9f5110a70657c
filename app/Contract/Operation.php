<?php

namespace App\Contract;

/** One address of the API: what it is for, what it takes and what it answers. */
final readonly class Operation
{
    /**
     * @param  ?array<string, mixed>  $answer  schema; null where it answers with nothing
     * @param  ?array<string, mixed>  $body  schema of what it takes
     * @param  array<string, list<mixed>>  $query  rules of its address
     */
    private function __construct(public string $about, public int $status, public ?array $answer, public ?array $body = null, public array $query = [])
    {
    }

    /**
     * @param  string|array<string, mixed>  $answer  a shape's name, or a schema
     * @param  array<string, list<mixed>>  $query
     */
    public static function reads(string $about, string|array $answer, array $query = []): self
    {
        return new self($about, 200, self::schema($answer), query: $query);
    }

    /**
     * @param  array<string, list<mixed>>  $takes  rules
     * @param  string|array<string, mixed>|null  $answer
     * @param  array<string, array<string, mixed>>  $inside  schemas of what the core checks
     */
    public static function writes(string $about, array $takes, string|array|null $answer, int $status = 200, array $inside = []): self
    {
        return new self(
            $about, $answer === null ? 204 : $status, $answer === null ? null : self::schema($answer),
            $takes === [] && $inside === [] ? null : RulesSchema::of($takes + array_map(static fn (): array => ['sometimes'], $inside), $inside),
        );
    }

    /**
     * @param  array<string, mixed>  $body
     * @param  array<string, mixed>  $answer
     */
    public static function computes(string $about, array $body, array $answer): self
    {
        return new self($about, 200, $answer, $body);
    }

    /**
     * @param  string|array<string, mixed>  $answer
     * @return array<string, mixed>
     */
    private static function schema(string|array $answer): array
    {
        return is_string($answer) ? Shapes::ref($answer) : $answer;
    }
}
