<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfCircuits;
use App\Http\Resources\ShowCircuits;
use App\Models\Centre;
use App\Models\Site;
use App\Sites\WholePosition;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** The file of each test centre: what one must know there, kept by the whole school. */
final class CentreController extends Controller
{
    public function index(): JsonResponse
    {
        return response()->json(Centre::query()->orderBy('name')->orderBy('id')->get()->map(ShowCircuits::centre(...)));
    }

    public function store(Request $request): JsonResponse
    {
        return response()->json($this->write(new Centre, $request), 201);
    }

    public function update(Request $request, Centre $centre): JsonResponse
    {
        return response()->json($this->write($centre, $request));
    }

    public function destroy(Centre $centre): Response
    {
        $centre->delete();

        return response()->noContent();
    }

    public function restore(string $centre): JsonResponse
    {
        $found = Centre::withTrashed()->findOrFail($centre);
        $found->restore();

        return response()->json(ShowCircuits::centre($found));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws ValidationException where a trap is no site of the school
     */
    private function write(Centre $centre, Request $request): array
    {
        /** @var array{traps?: list<array{site: string, note?: ?string}>} $said */
        $said = $request->validate(TakenOfCircuits::centre());
        $known = Site::query()->whereKey(array_column($said['traps'] ?? [], 'site'))->pluck('id')->all();
        foreach ($said['traps'] ?? [] as $i => $trap) {
            if (! in_array($trap['site'], $known, true)) {
                throw ValidationException::withMessages(["traps.{$i}.site" => 'must be a site of this school.']);
            }
        }
        $blank = array_fill_keys(['latitude_deg', 'longitude_deg', 'arrival', 'bays', 'ways_in_and_out', 'note'], null);
        $centre->fill([...$blank, 'checks' => [], 'traps' => [], ...$said]);
        WholePosition::of($centre->only(['latitude_deg', 'longitude_deg']));
        $centre->save();

        return ShowCircuits::centre($centre);
    }
}
