<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

/** Something a learner is to be told, and from when on. */
final readonly class Due
{
    /** @param  ?int  $at  moment of the epoch, s; null where the lesson begins before anybody may be written to: they are to be rung */
    public function __construct(public TextKind $kind, public ?int $at)
    {
    }

    public function isNow(int $now): bool
    {
        return $this->at === null || $this->at <= $now;
    }
}
