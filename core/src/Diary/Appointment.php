<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use NobleTurn\Core\Site\Position;

/** Something an instructor is at: a lesson, a test, a dentist. */
final readonly class Appointment
{
    /**
     * @param  ?Position  $starts  where one has to be when it begins; null where nobody has said
     * @param  ?Position  $ends  where it leaves one
     */
    public function __construct(public string $id, public Period $period, public ?Position $starts, public ?Position $ends)
    {
    }
}
