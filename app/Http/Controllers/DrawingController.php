<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Resources\Show;
use App\Models\Drawing;
use App\Models\Lesson;
use App\Models\Place;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;

/** Pages of the bench kept with a place, or for one lesson's brief at that place. */
final class DrawingController extends Controller
{
    public function store(Request $request, Place $place): JsonResponse
    {
        $said = $request->validate(Taken::drawing());
        $asked = self::asked($said['asked']['tool'], $request->json()->all()['asked']['inputs'] ?? []);
        if (isset($said['lesson_id'])) {
            $lesson = Lesson::query()->whereKey($said['lesson_id'])->firstOrFail();
            Gate::authorize('update', $lesson);
            if (! $lesson->items()->where('place_id', $place->id)->exists()) {
                throw ValidationException::withMessages(['lesson_id' => 'must have this place on its plan.']);
            }
        }

        return response()->json(
            Show::drawing(Drawing::query()->create([...$said, 'state' => $said['state'] ?? '', 'asked' => $asked, 'place_id' => $place->id])), 201,
        );
    }

    /** Lessons to come of the signed-in instructor that have this place on their plan. */
    public function lessons(Request $request, Place $place): JsonResponse
    {
        $lessons = Lesson::query()->where('state', 'booked')->where('starts_at', '>=', now()->subHours(12))
            ->when(! $request->user()?->isOwner(), fn ($own) => $own->where('instructor_id', $request->user()?->id))
            ->whereHas('items', fn ($items) => $items->where('place_id', $place->id))->with(['learner', 'vehicle'])->orderBy('starts_at')->limit(20)->get();

        return response()->json($lessons->map(fn (Lesson $lesson): array => Show::lessonLine($lesson)));
    }

    public function destroy(Drawing $drawing): Response
    {
        Gate::authorize('update', $drawing);
        $drawing->delete();

        return response()->noContent();
    }

    public function restore(string $drawing): JsonResponse
    {
        $found = Drawing::withTrashed()->findOrFail($drawing);
        Gate::authorize('update', $found);
        $found->restore();

        return response()->json(Show::drawing($found));
    }

    /**
     * What the page's tool is asked, sound under the rules of today.
     *
     * @return array{tool: string, inputs: mixed, version: string}
     */
    private static function asked(string $tool, mixed $inputs): array
    {
        try {
            Toolbox::ask($tool, $inputs);
        } catch (BadInput $bad) {
            throw ValidationException::withMessages(
                array_combine(array_map(static fn (string $field): string => "asked.inputs.{$field}", array_keys($bad->errors)), array_values($bad->errors)),
            );
        }

        return ['tool' => $tool, 'inputs' => $inputs, 'version' => Toolbox::VERSION];
    }
}
