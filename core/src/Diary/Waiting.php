<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use NobleTurn\Core\Site\Position;

/** Somebody on the waiting list. */
final readonly class Waiting
{
    /**
     * @param  int  $seconds  how long a lesson they want
     * @param  list<Wish>  $wishes  when they can; at any time where there is none
     * @param  ?int  $testAt  moment of their test
     * @param  ?int  $lastAt  when they drove last; null where never
     * @param  bool  $needsDark  whether they have still to drive in the dark
     */
    public function __construct(
        public string $id, public int $seconds, public ?Position $at, public array $wishes = [], public ?int $testAt = null, public ?int $lastAt = null,
        public bool $needsDark = false,
    ) {
    }
}
