<?php

namespace App\Diary;

use App\Models\School;
use NobleTurn\Core\Diary\Between;
use NobleTurn\Core\Diary\Period;
use NobleTurn\Core\Diary\Sun;
use NobleTurn\Core\Site\Position;

/** What the core's diary says, as it is answered: whole minutes, moments in UTC. */
final class Told
{
    /** @return array{after: string, before: string, free_minutes: int, travel_minutes: ?int, leave_at: ?string, short_minutes: int} */
    public static function between(Between $one): array
    {
        return [
            'after' => $one->after, 'before' => $one->before, 'free_minutes' => intdiv($one->free, 60), 'travel_minutes' => self::minutes($one->travel),
            'leave_at' => self::moment($one->leave), 'short_minutes' => (int) self::minutes($one->short()),
        ];
    }

    /** The sun over the school; null where nobody has said where that lies. */
    public static function sun(School $school): ?Sun
    {
        return $school->latitude_deg === null || $school->longitude_deg === null ? null
            : new Sun(Position::ofDegrees($school->latitude_deg, $school->longitude_deg));
    }

    /** @return array{light_at_start: ?string, light_at_end: ?string} */
    public static function light(?Sun $sun, Period $period): array
    {
        return ['light_at_start' => $sun?->light((float) $period->from)->value, 'light_at_end' => $sun?->light((float) $period->until)->value];
    }

    public static function moment(?int $at): ?string
    {
        return $at === null ? null : gmdate('Y-m-d\TH:i:s\Z', $at);
    }

    /** Rounded up: nobody is late for a minute too many. */
    public static function minutes(?int $seconds): ?int
    {
        return $seconds === null ? null : (int) ceil($seconds / 60);
    }
}
