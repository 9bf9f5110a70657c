<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Resources\Show;
use App\Models\Drawing;
use App\Models\Place;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Trade\RoutineCode;

/** Places to teach at. A road that the core cannot construct is not kept: its own sentence says why. */
final class PlaceController extends Controller
{
    public function index(): JsonResponse
    {
        return response()->json(Place::query()->with('drawings')->get()->sortBy('name')->values()->map(fn (Place $place): array => [
            ...Show::place($place),
            'drawings' => $place->drawings->whereNull('lesson_id')->values()->map(fn (Drawing $drawing): array => Show::drawing($drawing)),
        ]));
    }

    public function store(Request $request, CurrentSchool $current): JsonResponse
    {
        return response()->json(Show::place(Place::query()->create($this->facts($request, $current))), 201);
    }

    public function update(Request $request, Place $place, CurrentSchool $current): JsonResponse
    {
        if ($place->site_id !== null) {
            throw ValidationException::withMessages(['road' => 'is a way of a site: it is changed where it is drawn.']);
        }
        $place->update($this->facts($request, $current));

        return response()->json(Show::place($place));
    }

    public function destroy(Place $place): Response
    {
        $place->delete();

        return response()->noContent();
    }

    public function restore(string $place): JsonResponse
    {
        $found = Place::withTrashed()->findOrFail($place);
        // Taken out again it is a place of its own.
        $found->fill(['same_as_id' => null])->restore();

        return response()->json(Show::place($found));
    }

    /** @return array<string, mixed> */
    private function facts(Request $request, CurrentSchool $current): array
    {
        /** @var array{name: string, routine: string, note?: ?string} $said */
        $said = $request->validate(Taken::place());
        /** @var array<string, mixed> $facts */
        $facts = $request->json()->all()['road'] ?? [];
        try {
            $road = Road::of(RoutineCode::from($said['routine']), $facts, ChosenRules::of($current->school(), $this->user($request))->pack());
        } catch (BadInput $bad) {
            throw ValidationException::withMessages(self::ofTheRoad($bad->errors));
        }

        return ['name' => $said['name'], 'routine' => $said['routine'], 'note' => $said['note'] ?? null, 'road' => $road->toArray()];
    }

    /**
     * @param  array<string, list<string>>  $errors
     * @return array<string, list<string>>
     */
    private static function ofTheRoad(array $errors): array
    {
        return array_combine(
            array_map(static fn (string $field): string => $field === 'routine' ? $field : "road.{$field}", array_keys($errors)),
            array_values($errors),
        );
    }
}
