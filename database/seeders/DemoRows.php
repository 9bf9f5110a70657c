<?php

namespace Database\Seeders;

use Carbon\CarbonInterface;
use Illuminate\Support\Str;
use NobleTurn\Core\Record\MarkLog;

/** Rows of the log as the demo writes them: every row names every column, so that they go in together. */
final class DemoRows
{
    /**
     * @param  array<string, mixed>  $what
     * @return array<string, mixed> a round
     */
    public static function round(string $school, string $lesson, CarbonInterface $at, array $what): array
    {
        $moment = $at->format('Y-m-d H:i:s.v');

        return [
            'id' => (string) Str::uuid7(), 'school_id' => $school, 'lesson_id' => $lesson, 'place_id' => null, 'elsewhere' => null, 'moment_id' => null,
            'side' => null,             'device_at' => $moment, 'began_at' => $moment, 'server_at' => $moment, ...$what,
        ];
    }

    /**
     * @param  array<string, mixed>  $what
     * @return array<string, mixed> a mark
     */
    public static function mark(string $school, string $round, string $user, string $at, array $what): array
    {
        $row = [
            'id' => (string) Str::uuid7(), 'school_id' => $school, 'round_id' => $round, 'kind' => 'step', 'step' => null, 'stage' => null,
            'outcome' => null, 'taught' => null, 'decision' => null, 'what' => null, 'number' => null, 'seconds' => null, 'out_of_order' => false,
            'fault' => null, 'effect' => null, 'corrects_id' => null, 'withdrawn' => false, 'user_id' => $user, 'device_at' => $at, 'pressed_at' => $at,
            'server_at' => $at, ...$what,
        ];

        return ['slot' => MarkLog::slot($row['kind'], $row['step'], $row['id'], $what['slot'] ?? null, $row['stage'], $row['decision'])] + $row;
    }
}
