<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Resources\Show;
use App\Interchange\SitesGeoJson;
use App\Marks\PastOfSite;
use App\Models\Site;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use App\Sites\Near;
use App\Sites\SiteMerge;
use App\Sites\SiteWays;
use App\Sites\WholePosition;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Site\Position;

/** Sites: drawn once, with every way through them. */
final class SiteController extends Controller
{
    public function index(): JsonResponse
    {
        return response()->json(Site::query()->withCount('places')->get()->sortBy('name')->values()->map(Show::siteLine(...)));
    }

    public function out(): JsonResponse
    {
        return response()->json(SitesGeoJson::out(Site::query()->orderBy('name')->get()));
    }

    /** Says what each feature would do; keeps them where that is wanted and none is refused. */
    public function in(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(Taken::sitesIn());
        $pack = ChosenRules::of($current->school(), $this->user($request))->pack;
        $in = SitesGeoJson::read(array_values($request->json()->all()['features'] ?? []), Site::query()->get(), $pack);
        $kept = ($said['keep'] ?? false) && $in->isWhole() ? DB::transaction(static fn (): int => $in->keep()) : 0;

        return response()->json(['rows' => $in->shown(), 'whole' => $in->isWhole(), 'kept' => $kept]);
    }

    public function show(Site $site): JsonResponse
    {
        return response()->json(Show::site($site));
    }

    /** By how long one drives to each from somewhere. */
    public function near(Request $request): JsonResponse
    {
        /** @var array{latitude_deg: float|string, longitude_deg: float|string} $said */
        $said = $request->validate(Taken::near());

        return response()->json(Near::to(Position::ofDegrees((float) $said['latitude_deg'], (float) $said['longitude_deg']), Site::query()->get()));
    }

    public function past(Site $site): JsonResponse
    {
        return response()->json(PastOfSite::of($site));
    }

    public function store(Request $request, CurrentSchool $current): JsonResponse
    {
        return response()->json(Show::site($this->write(new Site, $request, $current)), 201);
    }

    public function update(Request $request, Site $site, CurrentSchool $current): JsonResponse
    {
        return response()->json(Show::site($this->write($site, $request, $current)));
    }

    public function destroy(Site $site): Response
    {
        $site->delete();

        return response()->noContent();
    }

    public function restore(string $site): JsonResponse
    {
        $found = Site::withTrashed()->findOrFail($site);
        $found->restore();

        return response()->json(Show::site($found));
    }

    /** The place that lessons use of a way; made when it is first asked for. */
    public function way(Request $request, Site $site): JsonResponse
    {
        /** @var array{from: string, to: string, routine?: ?string} $said */
        $said = $request->validate(Taken::way());
        $place = DB::transaction(static fn () => SiteWays::of($site)->place($said['from'], $said['to'], $said['routine'] ?? null));

        return response()->json(Show::place($place), 201);
    }

    /** Another site that is the same one, put into this. */
    public function merge(Request $request, Site $site): JsonResponse
    {
        /** @var array{other: string, ways?: list<array{place_id: string, from: string, to: string}>} $said */
        $said = $request->validate(Taken::sitesMerged());
        $other = Site::query()->find($said['other']) ?? throw ValidationException::withMessages(['other' => 'must be a site of this school.']);
        SiteMerge::put($other, $site, $said['ways'] ?? []);

        return response()->json(Show::site($site->refresh()));
    }

    private function write(Site $site, Request $request, CurrentSchool $current): Site
    {
        $said = $request->validate(Taken::site());
        $was = $site->name;
        $site->fill([
            'pack' => $site->exists ? $site->pack : ChosenRules::of($current->school(), $this->user($request))->pack,
            'latitude_deg' => null, 'longitude_deg' => null, 'note' => null,
            ...Arr::except($said, 'archive'),
            // As they came: a number that is said as a whole one stays one.
            'arms' => $request->json()->all()['arms'] ?? [],
        ]);
        WholePosition::of($site->only(['latitude_deg', 'longitude_deg']));
        $this->refuseStrangeRemarks($site);
        $ways = SiteWays::of($site);
        if ($site->exists && ! ($said['archive'] ?? false)) {
            $this->refuseToTakeOut($ways->missed());
        }
        $site->ways = $ways->lines();
        DB::transaction(static function () use ($site, $ways, $was): void {
            $site->save();
            $ways->follow($was);
        });

        return $site;
    }

    /**
     * @param  array<string, int>  $missed  lessons to come, by the name of the way
     *
     * @throws ValidationException where a drawing would take a way out of lessons to come, and nobody has said that it may
     */
    private function refuseToTakeOut(array $missed): void
    {
        if ($missed !== []) {
            throw ValidationException::withMessages(['archive' => array_map(
                static fn (string $name, int $lessons): string => "As it is drawn now {$name} is no more, and that is planned in {$lessons} "
                    .($lessons === 1 ? 'lesson' : 'lessons').' to come.',
                array_keys($missed), $missed,
            )]);
        }
    }

    /** @throws ValidationException where something is said of a way between arms that there are not */
    private function refuseStrangeRemarks(Site $site): void
    {
        $arms = array_column($site->arms, 'id');
        foreach ($site->remarks as $i => $said) {
            foreach (['from', 'to'] as $end) {
                if (! in_array($said[$end], $arms, true)) {
                    throw ValidationException::withMessages(["remarks.{$i}.{$end}" => 'must be one of the arms.']);
                }
            }
        }
    }
}
