<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

/** What has become of a lesson. Whether one is running, or is over and was never closed, follows from the clock and is not kept. */
enum LessonState: string
{
    case Wished = 'wished';
    case Booked = 'booked';
    case Done = 'done';
    case CutShort = 'cut-short';
    case Cancelled = 'cancelled';
    case NoShow = 'no-show';

    /** Whether its instructor, learner and car are taken by it: a wish takes nobody, and who did not come was waited for. */
    public function holds(): bool
    {
        return $this !== self::Wished && $this !== self::Cancelled;
    }

    /** Whether somebody drove in it. */
    public function isDriven(): bool
    {
        return $this === self::Done || $this === self::CutShort;
    }
}
