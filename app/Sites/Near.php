<?php

namespace App\Sites;

use App\Models\Site;
use Illuminate\Support\Collection;
use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Site\Position;

/** The sites that lie somewhere, by how long one drives to them from a position, outside the busy hours. */
final class Near
{
    /**
     * @param  Collection<int, Site>  $sites
     * @return list<array{site: string, distance_m: int, driven_m: int, time_s: int}> the nearest first
     */
    public static function to(Position $from, Collection $sites): array
    {
        $drive = new Drive;
        $near = [];
        foreach ($sites as $site) {
            if ($site->latitude_deg !== null && $site->longitude_deg !== null) {
                $to = Position::ofDegrees($site->latitude_deg, $site->longitude_deg);
                $metres = $drive->metres($from, $to);
                $near[] = [
                    'site' => $site->id, 'distance_m' => (int) round($from->metresTo($to)), 'driven_m' => (int) round($metres),
                    'time_s' => (int) round($drive->seconds($metres)),
                ];
            }
        }
        usort($near, static fn (array $one, array $other): int => [$one['distance_m'], $one['site']] <=> [$other['distance_m'], $other['site']]);

        return $near;
    }
}
