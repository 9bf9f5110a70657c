<?php

namespace App\Diary;

use App\Models\Lesson;
use App\Models\School;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Diary\Between;
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
    public static function light(?Sun $sun, Lesson $lesson): array
    {
        $at = static fn (Carbon $moment): ?string => $sun?->light((float) $moment->getTimestamp())->value;

        return ['light_at_start' => $at($lesson->starts_at), 'light_at_end' => $at($lesson->ends())];
    }

    public static function moment(?int $at): ?string
    {
        return $at === null ? null : Carbon::createFromTimestampUTC($at)->toIso8601ZuluString();
    }

    /** Rounded up: nobody is late for a minute too many. */
    public static function minutes(?int $seconds): ?int
    {
        return $seconds === null ? null : (int) ceil($seconds / 60);
    }
}
