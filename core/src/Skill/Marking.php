<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/**
 * How leniently those who marked one learner mark, beside one another: logits by which a mark of theirs says too much, with what is not known of them
 * together.
 */
final readonly class Marking
{
    /**
     * @param  list<string>  $who
     * @param  list<float>  $means
     * @param  list<list<float>>  $covariance
     * @param  list<int>  $lessons  that each marked
     */
    public function __construct(public array $who, public array $means, public array $covariance, public array $lessons)
    {
    }

    /** @param  array<string, mixed>  $said  its own fields, through JSON or not */
    public static function fromArray(array $said): self
    {
        return new self(
            array_values($said['who']), array_map(floatval(...), array_values($said['means'])),
            array_map(static fn (array $row): array => array_map(floatval(...), array_values($row)), array_values($said['covariance'])),
            array_values($said['lessons']),
        );
    }
}
