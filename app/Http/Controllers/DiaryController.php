<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfDiary;
use App\Diary\Fit;
use App\Diary\FreeTimes;
use App\Diary\Repeated;
use App\Diary\WeekPage;
use App\Diary\WhoGives;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\User;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

/** The diary: some days of one instructor, what a time would mean for a lesson, and which times are free for it. */
final class DiaryController extends Controller
{
    private const A_WEEK = 7;

    /** Two weeks ahead, unless it is said. */
    private const AHEAD = 14;

    public function week(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(TakenOfDiary::week());
        $person = $this->person($request, $said['person'] ?? null, $current);

        return response()->json((new WeekPage($current->school()))->of(
            $person, $this->user($request), $this->from($said, $current), (int) ($said['days'] ?? self::A_WEEK), $this->people($this->user($request)),
        ));
    }

    public function fit(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(TakenOfDiary::fit());

        return response()->json(Fit::of($this->asked($request, $said), $current->school()));
    }

    public function free(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(TakenOfDiary::free());

        return response()->json(FreeTimes::of(
            $this->asked($request, $said), $current->school(), $this->from($said, $current), (int) ($said['days'] ?? self::AHEAD),
        ));
    }

    public function series(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(TakenOfDiary::repeated());
        $repeated = new Repeated($current->school());

        return response()->json($repeated->told($repeated->lessons($this->asked($request, $said), (int) $said['weeks'], (int) $said['times'])));
    }

    public function bookSeries(Request $request, Lesson $lesson, CurrentSchool $current): JsonResponse
    {
        Gate::authorize('update', $lesson);
        $said = $request->validate(TakenOfDiary::series());
        // Nobody books for a learner, or a car, that has gone.
        Learner::query()->findOrFail($lesson->learner_id);
        Vehicle::query()->findOrFail($lesson->vehicle_id);
        $repeated = new Repeated($current->school());

        return response()->json($repeated->book(
            $repeated->lessons($lesson->load('learner'), (int) $said['weeks'], (int) $said['times'], array_values($said['without'] ?? [])),
        ), 201);
    }

    /** @param  array<string, mixed>  $said */
    private function from(array $said, CurrentSchool $current): Carbon
    {
        return Carbon::parse($said['from'] ?? now($current->school()->time_zone)->toDateString());
    }

    /** Whose diary: the own, or a colleague's where the school lets them be read. */
    private function person(Request $request, ?string $id, CurrentSchool $current): User
    {
        $user = $this->user($request);
        if ($id === null || $id === $user->id) {
            return $user;
        }
        $person = User::query()->where('school_id', $current->id())->findOrFail($id);
        abort_unless(self::readsOthers($user), 403, 'In this school instructors do not read each other’s lessons.');

        return $person;
    }

    private static function readsOthers(User $user): bool
    {
        return $user->isOwner() || $user->school->colleagues_read;
    }

    /** @return list<array{id: string, name: string}> by name; nobody else where colleagues are not to be read */
    private function people(User $user): array
    {
        $people = User::query()->where('school_id', $user->school_id)->whereNull('suspended_at')->orderBy('name')->get(['id', 'name']);

        return array_values($people->filter(static fn (User $one): bool => $one->id === $user->id || self::readsOthers($user))
            ->map(static fn (User $one): array => ['id' => $one->id, 'name' => $one->name])->all());
    }

    /**
     * A lesson as it would be: one that is there at another time, or a new one of the signed-in instructor, or of a colleague for whom the owner books.
     *
     * @param  array<string, mixed>  $said
     */
    private function asked(Request $request, array $said): Lesson
    {
        if (isset($said['lesson'])) {
            $lesson = Lesson::query()->with(['learner', 'vehicle'])->whereKey($said['lesson'])->firstOrFail();
            Gate::authorize('update', $lesson);
        } else {
            // Narrowed to the school by their scopes.
            Vehicle::query()->findOrFail($said['vehicle_id']);
            $lesson = new Lesson(['learner_id' => $said['learner_id'], 'vehicle_id' => $said['vehicle_id'], 'starts_at' => now()]);
            $lesson->instructor_id = WhoGives::of($this->user($request), $said['instructor_id'] ?? null)->id;
            $lesson->setRelation('learner', Learner::query()->whereKey($said['learner_id'])->firstOrFail());
        }
        $lesson->cut_to_minutes = null;

        return $lesson->fill(array_filter([
            'minutes' => isset($said['minutes']) ? (int) $said['minutes'] : null,
            'starts_at' => isset($said['starts_at']) ? Carbon::parse($said['starts_at'])->utc() : null,
        ]));
    }
}
