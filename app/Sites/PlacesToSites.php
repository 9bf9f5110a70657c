<?php

namespace App\Sites;

use App\Models\Site;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use NobleTurn\Core\Road\RoadKind;
use NobleTurn\Core\Road\SiteOfRoad;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;

/**
 * Places that were described one by one become ways of sites, each of a site of its own that is planned exactly as the place was. Their lessons,
 * rounds and kept pages go on with them. One that no site is planned like, or that is taught under several laws, stays as it is.
 */
final class PlacesToSites
{
    /** @return int how many were drawn */
    public static function all(): int
    {
        $drawn = 0;
        $places = DB::table('places')->whereNull('site_id')->whereNull('deleted_at')->orderBy('id')
            ->get(['id', 'school_id', 'name', 'routine', 'road', 'note']);
        foreach ($places as $place) {
            $pack = self::law($place);
            $drawn += $pack !== null && self::draw($place, $pack) !== null ? 1 : 0;
        }

        return $drawn;
    }

    /**
     * @param  \stdClass  $place  a row of `places`
     * @return ?string the id of its site; null where it stays as it is
     */
    public static function draw(\stdClass $place, RulePack $pack): ?string
    {
        $facts = array_diff_key((array) json_decode((string) $place->road, true), ['kind' => 0, 'version' => 0]);
        $routine = RoutineCode::from($place->routine);
        $drawn = SiteOfRoad::of($routine, $facts, self::roads($place->name, $routine), $pack);
        if ($drawn === null) {
            return null;
        }
        $site = new Site(['name' => $place->name, 'kind' => $drawn['kind'], 'pack' => $pack->code(), 'arms' => $drawn['arms']]);
        $row = [
            'id' => (string) Str::uuid7(), 'school_id' => $place->school_id, 'name' => $place->name, 'kind' => $drawn['kind'], 'pack' => $pack->code(),
            'note' => $place->note, 'arms' => self::json($drawn['arms']), 'ways' => self::json(SiteWays::of($site)->lines()), 'created_at' => now(),
            'updated_at' => now(),
        ];
        DB::transaction(static function () use ($place, $row, $drawn): void {
            DB::table('sites')->insert($row);
            DB::table('places')->where('id', $place->id)->update(['site_id' => $row['id'], 'from_arm' => $drawn['from'], 'to_arm' => $drawn['to']]);
        });

        return $row['id'];
    }

    /** The law under which it is taught, as far as that is one: that of the lessons it was used in, else that of all who could use it. */
    private static function law(\stdClass $place): ?RulePack
    {
        $used = DB::table('lessons')->join('schools', 'schools.id', '=', 'lessons.school_id')->join('learners', 'learners.id', '=', 'lessons.learner_id')
            ->join('users', 'users.id', '=', 'lessons.instructor_id')->where('lessons.school_id', $place->school_id)
            ->where(static fn ($of) => $of
                ->whereIn('lessons.id', DB::table('planned_items')->where('place_id', $place->id)->select('lesson_id'))
                ->orWhereIn('lessons.id', DB::table('rounds')->where('place_id', $place->id)->select('lesson_id')))
            ->distinct()->selectRaw('COALESCE(learners.pack, users.pack, schools.pack) AS pack')->pluck('pack')->all();
        $any = DB::table('users')->join('schools', 'schools.id', '=', 'users.school_id')->where('schools.id', $place->school_id)
            ->distinct()->selectRaw('COALESCE(users.pack, schools.pack) AS pack')->pluck('pack')->all();
        $known = array_filter(
            array_map(RulePacks::byCode(...), array_values(array_intersect($used === [] ? $any : $used, RulePacks::codes()))),
            static fn (RulePack $pack): bool => in_array(RoutineCode::from($place->routine), Catalogue::codes($pack), true),
        );

        return count($known) === 1 ? array_values($known)[0] : null;
    }

    /**
     * The road one comes by and the other, as far as the place is called after them: "Ropewalk into Quay Street, uphill", "Cannery Street, the narrow
     * end", "Lifeboat roundabout to Gull Road".
     *
     * @return array{string, string}
     */
    private static function roads(string $name, RoutineCode $routine): array
    {
        $unknown = ['The road in', 'The other road'];
        $kind = RoadKind::of($routine);
        if (preg_match('/^(.{1,80}?) (?:into|over|to) (.{1,80}?)(?:,.*)?$/u', $name, $found) === 1) {
            return [$kind === RoadKind::Roundabout ? $unknown[0] : $found[1], $found[2]];
        }
        $isAlong = $kind === RoadKind::Stretch || $kind === RoadKind::Kerb;

        return $isAlong && preg_match('/^(.{1,80}?),/u', $name, $found) === 1 ? [$found[1], $unknown[1]] : $unknown;
    }

    /** @param  list<array<string, mixed>>  $rows */
    private static function json(array $rows): string
    {
        return json_encode($rows, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE);
    }
}
