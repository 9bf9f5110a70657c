<?php

namespace App\Marks;

use App\Models\AccompaniedDrive;
use App\Models\Lesson;
use Illuminate\Support\Collection;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Hours;
use NobleTurn\Core\Record\TimeAtWheel;

/** Time at the wheel as a table for other programs: CSV after RFC 4180, UTF-8, a point in numbers, a line for each drive, oldest first. */
final class HoursFile
{
    private const END = "\r\n";

    /**
     * @param  list<TimeAtWheel>  $times
     * @param  Collection<string, Lesson|AccompaniedDrive>  $rows  by id
     */
    public static function of(array $times, Collection $rows, string $zone): string
    {
        $file = fopen('php://memory', 'r+') ?: throw new \RuntimeException('There is no memory for a file.');
        $columns = [];
        foreach (Conditions::KINDS as $kind => $names) {
            foreach ([...$names, Hours::NOT_NOTED] as $name) {
                $columns["{$kind}_{$name}_min"] = [$kind, $name];
            }
        }
        $put = static fn (array $cells): int|false => fputcsv($file, $cells, escape: '', eol: self::END);
        $put(['date', 'starts', 'minutes', 'with', 'person', ...array_keys($columns), 'light_by_sun_min', 'note']);
        foreach (array_reverse($times) as $time) {
            $row = $rows[$time->id];
            $starts = $row->starts_at->copy()->setTimezone($zone);
            $put([
                $starts->format('Y-m-d'), $starts->format('H:i'), self::figure($time->minutes), $time->with->value,
                self::text($row instanceof Lesson ? $row->instructor->name : ''),
                ...array_map(static fn (array $of): string => self::figure($time->minutesOf[$of[0]][$of[1]]), array_values($columns)),
                self::figure($time->bySun), self::text($row instanceof AccompaniedDrive ? (string) $row->note : ''),
            ]);
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    private static function figure(float $minutes): string
    {
        return (string) round($minutes, 1);
    }

    /** What somebody wrote is text: a table that took it for a formula would work it out. */
    private static function text(string $words): string
    {
        return preg_match('/^[\s]*[=+\-@\t\r]/', $words) === 1 ? "'{$words}" : $words;
    }
}
