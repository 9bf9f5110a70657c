<?php

namespace App\Http\Controllers;

use App\Http\Resources\Show;
use App\Models\Drawing;
use App\Models\Place;
use App\School\CurrentSchool;
use App\School\Doctrine;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Routine\RoutineCode;

/** Places to teach at. What the core cannot plan is not kept: its own sentence says why. */
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
        $found->restore();

        return response()->json(Show::place($found));
    }

    /** @return array<string, mixed> */
    private function facts(Request $request, CurrentSchool $current): array
    {
        /** @var array{name: string, routine: string, note?: ?string} $said */
        $said = $request->validate([
            'name' => ['required', 'string', 'max:160'],
            'routine' => ['required', Rule::enum(RoutineCode::class)],
            'note' => ['nullable', 'string', 'max:500'],
            'approach' => ['present', 'array'],
        ]);
        $routine = RoutineCode::from($said['routine']);
        $tool = PlannedBy::tool($routine) ?? throw ValidationException::withMessages(['routine' => 'This routine belongs to no place: it has its card.']);
        $request->validate(['approach' => ['array:'.implode(',', PlannedBy::fields($routine))]]);
        /** @var array<string, mixed> $approach */
        $approach = $request->json()->all()['approach'] ?? [];
        try {
            Toolbox::run($tool, PlannedBy::inputs($routine, $approach, Doctrine::of($current->school(), $this->user($request))->pack()));
        } catch (BadInput $bad) {
            throw ValidationException::withMessages(array_combine(array_map(static fn (string $field): string => "approach.{$field}", array_keys($bad->errors)), array_values($bad->errors)));
        }

        return ['name' => $said['name'], 'routine' => $said['routine'], 'note' => $said['note'] ?? null, 'approach' => $approach];
    }
}
