<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

/** What a learner was last told of a lesson. */
final readonly class Known
{
    /**
     * @param  ?Period  $period  when it is; null where they were told that it is off
     * @param  int  $at  when they were told, moment of the epoch, s
     * @param  bool  $isReminded  whether they were reminded of it at that time
     * @param  ?string  $where  the address at which they are met; null where it is as usual
     */
    public function __construct(public ?Period $period, public int $at, public bool $isReminded = false, public ?string $where = null)
    {
    }
}
