<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfDiary;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The hours that whoever is signed in works: free times are looked for in them, and what lies outside is said before it is booked. */
final class WorkingHoursController extends Controller
{
    public function show(Request $request): JsonResponse
    {
        return response()->json(self::told($this->user($request)));
    }

    public function update(Request $request): JsonResponse
    {
        $said = $request->validate(TakenOfDiary::workingHours());
        if ($said['works_until'] <= $said['works_from']) {
            throw ValidationException::withMessages(['works_until' => 'must be later than the day begins.']);
        }
        $user = $this->user($request);
        $user->forceFill(['most_minutes' => null, ...$said])->save();

        return response()->json(self::told($user));
    }

    /** @return array{works_from: string, works_until: string, most_minutes: ?int} */
    private static function told(User $user): array
    {
        $day = $user->workingDay();

        return ['works_from' => $day->from, 'works_until' => $day->until, 'most_minutes' => $day->most];
    }
}
