<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfDiary;
use App\Diary\Bookings;
use App\Http\Resources\ShowDiary;
use App\Models\BusyTime;
use App\Models\Centre;
use App\Models\Learner;
use App\Models\User;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Time that no lesson takes: somebody is busy, a learner has their test, a car is away. It holds its time as a lesson does. */
final class BusyTimeController extends Controller
{
    /** Longer than any leave (assumed). */
    private const MOST_DAYS = 92;

    public function store(Request $request, CurrentSchool $current): JsonResponse
    {
        return response()->json($this->write(new BusyTime, $request, $current), 201);
    }

    public function update(Request $request, BusyTime $busyTime, CurrentSchool $current): JsonResponse
    {
        Gate::authorize('update', $busyTime);

        return response()->json($this->write($busyTime, $request, $current));
    }

    public function destroy(BusyTime $busyTime): Response
    {
        Gate::authorize('update', $busyTime);
        Bookings::with($busyTime, static fn (BusyTime $busy): ?bool => $busy->delete());

        return response()->noContent();
    }

    public function restore(Request $request, string $busyTime): JsonResponse
    {
        $found = BusyTime::withTrashed()->findOrFail($busyTime);
        Gate::authorize('update', $found);
        Bookings::with($found, static fn (BusyTime $busy): bool => $busy->restore());

        return response()->json(ShowDiary::busyTime($found, $this->user($request)));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws ValidationException where it is too long, or somebody it needs is taken
     */
    private function write(BusyTime $busy, Request $request, CurrentSchool $current): array
    {
        $said = $request->validate(TakenOfDiary::busyTime());
        [$starts, $ends] = [Carbon::parse($said['starts_at'])->utc(), Carbon::parse($said['ends_at'])->utc()];
        if ($ends <= $starts) {
            throw ValidationException::withMessages(['ends_at' => 'must be after it begins.']);
        }
        if ($starts->diffInDays($ends) > self::MOST_DAYS) {
            throw ValidationException::withMessages(['ends_at' => 'must not be more than '.self::MOST_DAYS.' days after it begins.']);
        }
        // Narrowed to the school by their scopes.
        isset($said['learner_id']) && Learner::query()->findOrFail($said['learner_id']);
        isset($said['vehicle_id']) && Vehicle::query()->findOrFail($said['vehicle_id']);
        isset($said['centre_id']) && Centre::query()->findOrFail($said['centre_id']);
        $facts = [
            'learner_id' => null, 'vehicle_id' => null, 'centre_id' => null, ...$said, 'starts_at' => $starts, 'ends_at' => $ends,
            'instructor_id' => $said['kind'] === 'away' ? null : $this->instructor($said['instructor_id'] ?? $busy->instructor_id, $request, $current),
        ];
        Bookings::with($busy, static fn (BusyTime $busy): bool => $busy->fill($facts)->save());

        return ShowDiary::busyTime($busy->load(['instructor', 'learner', 'vehicle', 'centre']), $this->user($request));
    }

    /** Whose time it is: one’s own, or anybody’s where one owns the school. */
    private function instructor(?string $id, Request $request, CurrentSchool $current): string
    {
        $user = $this->user($request);
        if ($id === null || $id === $user->id) {
            return $user->id;
        }
        $person = User::query()->where('school_id', $current->id())->findOrFail($id);
        abort_unless($user->isOwner(), 403, 'Only the owner writes in a colleague’s diary.');

        return $person->id;
    }
}
