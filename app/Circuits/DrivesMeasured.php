<?php

namespace App\Circuits;

use App\Interchange\TrackGpx;
use App\Models\Leg;
use App\Models\School;
use App\Models\Site;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Site\Position;
use NobleTurn\Core\Track\Measured;
use NobleTurn\Core\Track\Passings;

/** What recorded drives say of how long one drives from one site to another, or from where the school lies. */
final class DrivesMeasured
{
    /** So many drives are looked at, the last ones. */
    public const MOST = 2_000;

    /** Where the school lies, among the ids of sites. */
    private const SCHOOL = 'school';

    /**
     * @param  Collection<int, Leg>  $legs
     * @return list<array{from: ?string, to: ?string, time_s: int, distance_m: int, times: int}>
     */
    public static function of(Collection $legs): array
    {
        $of = [];
        foreach ($legs as $leg) {
            $of["{$leg->from_site_id} {$leg->to_site_id}"][] = $leg;
        }

        return array_values(array_map(static function (array $drives): array {
            $measured = Measured::of(array_map(static fn (Leg $leg): array => [$leg->time_s, $leg->distance_m], $drives));

            return [
                'from' => $drives[0]->from_site_id, 'to' => $drives[0]->to_site_id, 'time_s' => $measured->seconds, 'distance_m' => $measured->metres,
                'times' => $measured->times,
            ];
        }, $of));
    }

    /** @return array<string, mixed> what a file measures, and what of it is new */
    public static function in(TrackGpx $file, School $school, bool $keep): array
    {
        $places = [];
        $sites = Site::query()->whereNotNull('latitude_deg')->whereNotNull('longitude_deg')->get(['id', 'school_id', 'latitude_deg', 'longitude_deg']);
        foreach ($sites as $site) {
            $places[$site->id] = Position::ofDegrees((float) $site->latitude_deg, (float) $site->longitude_deg);
        }
        if ($school->latitude_deg !== null && $school->longitude_deg !== null) {
            $places[self::SCHOOL] = Position::ofDegrees($school->latitude_deg, $school->longitude_deg);
        }
        $known = self::known($file);
        $site = static fn (string $place): ?string => $place === self::SCHOOL ? null : $place;
        $rows = [];
        foreach (Passings::legs($file->track, $places) as $leg) {
            $at = $file->began->addMilliseconds((int) round($leg->began * 1000.0))->startOfSecond();
            $said = [
                'from_site_id' => $site($leg->from), 'to_site_id' => $site($leg->to), 'time_s' => (int) round($leg->seconds),
                'distance_m' => (int) round($leg->metres), 'driven_at' => $at,
            ];
            $rows[] = ['said' => $said, 'stood_s' => (int) round($leg->stood), 'known' => isset($known[self::key($said)])];
        }
        $new = array_filter($rows, static fn (array $row): bool => ! $row['known']);
        if ($keep) {
            DB::transaction(static fn () => array_map(static fn (array $row): Leg => Leg::query()->create($row['said']), $new));
        }

        return [
            'drives' => array_map(static fn (array $row): array => [
                'from' => $row['said']['from_site_id'], 'to' => $row['said']['to_site_id'], 'time_s' => $row['said']['time_s'],
                'distance_m' => $row['said']['distance_m'], 'driven_at' => $row['said']['driven_at']->toIso8601ZuluString(), 'stood_s' => $row['stood_s'],
                'known' => $row['known'],
            ], $rows),
            'points' => count($file->track->fixes), 'time_s' => (int) round($file->track->seconds()), 'left_out' => $file->left,
            'kept' => $keep ? count($new) : 0,
        ];
    }

    /** @return array<string, true> drives that came before in the time of a file, also those that were thrown out */
    private static function known(TrackGpx $file): array
    {
        $until = $file->began->addSeconds((int) ceil($file->track->seconds()));
        $before = Leg::withTrashed()->whereBetween('driven_at', [$file->began->startOfSecond(), $until])->get();

        return array_fill_keys($before->map(static fn (Leg $leg): string => self::key($leg->getAttributes()))->all(), true);
    }

    /** @param  array<string, mixed>  $drive  told apart by where from, where to and when */
    private static function key(array $drive): string
    {
        return "{$drive['from_site_id']} {$drive['to_site_id']} {$drive['driven_at']}";
    }
}
