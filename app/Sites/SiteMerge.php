<?php

namespace App\Sites;

use App\Circuits\FollowMerge;
use App\Models\Place;
use App\Models\PlannedItem;
use App\Models\Site;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * A site that was met twice becomes one: the ways that lessons use of the other become ways of this one, with their lessons, rounds and marks; what
 * only the other drawing knew of their roads comes along; the other drawing is archived.
 */
final class SiteMerge
{
    /** What belongs to how an arm lies in its own drawing, and is not taken over. */
    private const OF_THE_DRAWING = [
        'id', 'name', 'bearing_deg', 'control', 'lanes_in', 'lanes_out', 'alley', 'slip', 'stagger_m', 'centre_lane', 'holds', 'parked_along',
    ];

    /**
     * @param  list<array{place_id: string, from: string, to: string}>  $said  which way of this site each used way of the other is
     *
     * @throws ValidationException where one is left out, or is no way of this site with its routine
     */
    public static function put(Site $other, Site $into, array $said): void
    {
        if ($other->is($into)) {
            throw ValidationException::withMessages(['other' => 'must be another site than this one.']);
        }
        if ($other->pack !== $into->pack) {
            throw ValidationException::withMessages(['other' => 'lies under another law: one of the two is drawn in the wrong place.']);
        }
        $ways = SiteWays::of($into);
        $places = $other->places()->orderBy('id')->get();
        $wanted = array_column($said, null, 'place_id');
        foreach ($places as $place) {
            $way = $wanted[$place->id] ?? throw ValidationException::withMessages(['ways' => "must say which way {$place->name} is here."]);
            if (! $ways->teach($way['from'], $way['to'], $place->routine)) {
                throw ValidationException::withMessages(['ways' => "must give {$place->name} a way that is {$place->routine} here: draw its road first."]);
            }
        }
        DB::transaction(static function () use ($other, $into, $places, $wanted): void {
            $arms = array_column($other->arms, null, 'id');
            $drawn = $into->arms;
            $same = [];
            foreach ($places as $place) {
                $way = $wanted[$place->id];
                $same[(string) $place->from_arm] = $way['from'];
                $same[(string) $place->to_arm] = $way['to'];
                $drawn = self::with($drawn, $way['from'], $arms[$place->from_arm] ?? []);
                self::move($place, $into, $way['from'], $way['to']);
            }
            self::keep($into, $drawn, $other);
            FollowMerge::of($other, $into, $same);
            $other->delete();
        });
    }

    private static function move(Place $place, Site $into, string $from, string $to): void
    {
        $same = Place::query()->where(['site_id' => $into->id, 'from_arm' => $from, 'to_arm' => $to, 'routine' => $place->routine])->first();
        if ($same === null) {
            // An archived one of before gives way: its rounds keep what they were.
            Place::onlyTrashed()->where(['site_id' => $into->id, 'from_arm' => $from, 'to_arm' => $to, 'routine' => $place->routine])
                ->update(['site_id' => null, 'from_arm' => null, 'to_arm' => null]);
            $place->update(['site_id' => $into->id, 'from_arm' => $from, 'to_arm' => $to]);

            return;
        }
        // Both were used: what is planned goes to the one that stays; what was driven keeps the one it was driven at, and counts with that which stays.
        PlannedItem::query()->where('place_id', $place->id)->update(['place_id' => $same->id]);
        $place->drawings()->update(['place_id' => $same->id]);
        Place::withTrashed()->where('same_as_id', $place->id)->update(['same_as_id' => $same->id]);
        $place->update(['same_as_id' => $same->id]);
        $place->delete();
    }

    /**
     * @param  list<array<string, mixed>>  $arms
     * @param  array<string, mixed>  $known  of the other drawing's arm
     * @return list<array<string, mixed>>
     */
    private static function with(array $arms, string $id, array $known): array
    {
        return array_map(static function (array $arm) use ($id, $known): array {
            if ($arm['id'] !== $id) {
                return $arm;
            }
            $measured = array_map(static fn (array $one): string => "{$one['of']}_m", $arm['measures'] ?? []);
            $hasView = array_intersect(array_keys($arm), ['view', 'view_from_m', 'view_beyond_m']) !== [];
            $not = [...self::OF_THE_DRAWING, ...$measured, ...($hasView ? ['view', 'view_from_m', 'view_beyond_m'] : []),
                ...(isset($arm['limit_mph']) || isset($arm['limit_kmh']) ? ['limit_mph', 'limit_kmh'] : [])];
            $more = array_diff_key($known, array_flip($not));
            // A figure beside measures of the same would say it twice.
            $more['measures'] = array_values(array_filter(
                $more['measures'] ?? [], static fn (array $one): bool => ! isset($arm["{$one['of']}_m"]) && ! isset($arm['measures']),
            ));

            return $arm + array_filter($more, static fn (mixed $value): bool => $value !== []);
        }, $arms);
    }

    /** @param  list<array<string, mixed>>  $arms */
    private static function keep(Site $into, array $arms, Site $other): void
    {
        $own = $into->arms;
        $into->fill(['arms' => $arms, 'note' => $into->note ?? $other->note]);
        if ($into->latitude_deg === null) {
            $into->fill($other->only(['latitude_deg', 'longitude_deg']));
        }
        try {
            $ways = SiteWays::of($into);
        } catch (ValidationException) {
            // The two contradict each other: this drawing stands as it is.
            $into->arms = $own;
            $ways = SiteWays::of($into);
        }
        $into->ways = $ways->lines();
        $into->save();
        $ways->follow($into->name);
    }
}
