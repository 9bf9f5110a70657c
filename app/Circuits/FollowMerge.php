<?php

namespace App\Circuits;

use App\Models\Centre;
use App\Models\Circuit;
use App\Models\Leg;
use App\Models\Site;

/** Where two drawings become one site, circuits, measured drives and traps of the other follow it. */
final class FollowMerge
{
    /**
     * @param  array<string, string>  $arms  of the other drawing, and which of this one each is
     */
    public static function of(Site $other, Site $into, array $arms): void
    {
        foreach (Circuit::query()->get() as $circuit) {
            $circuit->ways = array_map(static fn (array $way): array => self::way($way, $other, $into, $arms), $circuit->ways);
            if ($circuit->isDirty('ways')) {
                $circuit->save();
            }
        }
        foreach (['from_site_id', 'to_site_id'] as $end) {
            Leg::withTrashed()->where($end, $other->id)->update([$end => $into->id]);
        }
        // From one drawing of a place to the other nobody drives.
        Leg::query()->whereColumn('from_site_id', 'to_site_id')->delete();
        foreach (Centre::query()->get() as $centre) {
            $sites = array_column($centre->traps, 'site');
            $centre->traps = array_values(array_map(
                static fn (array $trap): array => $trap['site'] === $other->id ? [...$trap, 'site' => $into->id] : $trap,
                array_filter($centre->traps, static fn (array $trap): bool => $trap['site'] !== $other->id || ! in_array($into->id, $sites, true)),
            ));
            if ($centre->isDirty('traps')) {
                $centre->save();
            }
        }
    }

    /**
     * @param  array{site: string, from: string, to: string, routine: string, rounds: int}  $way
     * @param  array<string, string>  $arms
     * @return array{site: string, from: string, to: string, routine: string, rounds: int} as it was where nobody has said which arms those are
     */
    private static function way(array $way, Site $other, Site $into, array $arms): array
    {
        $isKnown = $way['site'] === $other->id && isset($arms[$way['from']], $arms[$way['to']]);

        return $isKnown ? [...$way, 'site' => $into->id, 'from' => $arms[$way['from']], 'to' => $arms[$way['to']]] : $way;
    }
}
