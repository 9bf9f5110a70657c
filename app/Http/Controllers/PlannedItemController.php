<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfLessons;
use App\Lessons\LessonPage;
use App\Models\Lesson;
use App\Models\Place;
use App\Models\PlannedItem;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** The places on the plan of a lesson: added, put in order, taken off and put back. */
final class PlannedItemController extends Controller
{
    public function store(Request $request, Lesson $lesson, LessonPage $page): JsonResponse
    {
        Gate::authorize('update', $lesson);
        $said = $request->validate(TakenOfLessons::item());
        $place = Place::query()->whereKey($said['place_id'])->firstOrFail();
        $item = PlannedItem::query()->create([
            'lesson_id' => $lesson->id,
            'place_id' => $place->id,
            'ordinal' => (int) $lesson->items()->max('ordinal') + 1,
            'minutes' => $said['minutes'] ?? 12,
        ]);

        return response()->json($page->item($item), 201);
    }

    public function update(Request $request, PlannedItem $item, LessonPage $page): JsonResponse
    {
        Gate::authorize('update', $item);
        $item->update($request->validate(TakenOfLessons::itemMinutes()));

        return response()->json($page->item($item));
    }

    /** All ids of the lesson's items in their new order. */
    public function order(Request $request, Lesson $lesson): Response
    {
        Gate::authorize('update', $lesson);
        $said = $request->validate(TakenOfLessons::order());
        DB::transaction(function () use ($said, $lesson): void {
            foreach ($said['items'] as $i => $id) {
                $lesson->items()->whereKey($id)->firstOrFail()->update(['ordinal' => $i + 1]);
            }
        });

        return response()->noContent();
    }

    public function destroy(PlannedItem $item): Response
    {
        Gate::authorize('update', $item);
        $item->delete();

        return response()->noContent();
    }

    public function restore(LessonPage $page, string $item): JsonResponse
    {
        $found = PlannedItem::withTrashed()->findOrFail($item);
        Gate::authorize('update', $found);
        $found->restore();

        return response()->json($page->item($found));
    }
}
