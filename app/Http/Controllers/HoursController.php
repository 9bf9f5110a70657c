<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfLessons;
use App\Marks\LearnerHours;
use App\Models\AccompaniedDrive;
use App\Models\Learner;
use App\Models\Lesson;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Diary\LessonState;

/** Time at the wheel: what the law asks of it, every drive behind it, and what was driven with somebody other than an instructor. */
final class HoursController extends Controller
{
    public function show(Request $request, Learner $learner, CurrentSchool $current): JsonResponse
    {
        $school = $current->school();

        return response()->json((new LearnerHours($learner, $school))->told(ChosenRules::of($school, $this->user($request), $learner)->pack()));
    }

    public function file(Learner $learner, CurrentSchool $current): JsonResponse
    {
        return response()->json(['csv' => (new LearnerHours($learner, $current->school()))->csv()]);
    }

    public function store(Request $request, Learner $learner): JsonResponse
    {
        return response()->json(self::write((new AccompaniedDrive)->fill(['learner_id' => $learner->id]), $request), 201);
    }

    public function update(Request $request, AccompaniedDrive $accompaniedDrive): JsonResponse
    {
        return response()->json(self::write($accompaniedDrive, $request));
    }

    public function destroy(AccompaniedDrive $accompaniedDrive): Response
    {
        $accompaniedDrive->delete();

        return response()->noContent();
    }

    public function restore(string $accompaniedDrive): JsonResponse
    {
        $found = AccompaniedDrive::withTrashed()->findOrFail($accompaniedDrive);
        self::refuseTwice($found);
        $found->restore();

        return response()->json(self::shown($found));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws ValidationException where it is still to come, or the learner drove elsewhere then
     */
    private static function write(AccompaniedDrive $drive, Request $request): array
    {
        $said = $request->validate(TakenOfLessons::accompanied());
        $drive->fill([...$said, 'starts_at' => Carbon::parse($said['starts_at'])->utc(), 'conditions' => array_filter($said['conditions'] ?? [])]);
        if ($drive->ends()->isFuture()) {
            throw ValidationException::withMessages(['starts_at' => 'must be so long ago that the drive is over.']);
        }
        self::refuseTwice($drive);
        $drive->save();

        return self::shown($drive);
    }

    /** @throws ValidationException nobody drives in two cars at once */
    private static function refuseTwice(AccompaniedDrive $drive): void
    {
        // Nothing is longer than twelve hours.
        $near = static fn ($rows) => $rows->where('learner_id', $drive->learner_id)
            ->whereBetween('starts_at', [$drive->starts_at->copy()->subHours(12), $drive->ends()]);
        $over = static fn (Lesson|AccompaniedDrive $one): bool => $one->id !== $drive->id
            && $one->ends() > $drive->starts_at && $one->starts_at < $drive->ends();
        // Whoever did not come drove nowhere; a lesson that nobody has closed yet was one.
        $was = static fn (Lesson $one): bool => $one->state()->holds() && $one->state() !== LessonState::NoShow && $over($one);
        if (Lesson::query()->tap($near)->get()->contains($was)) {
            throw ValidationException::withMessages(['starts_at' => 'is in a lesson that the learner had then.']);
        }
        if (AccompaniedDrive::query()->tap($near)->get()->contains($over)) {
            throw ValidationException::withMessages(['starts_at' => 'is in another drive that is noted already.']);
        }
    }

    /** @return array<string, mixed> */
    private static function shown(AccompaniedDrive $drive): array
    {
        return [
            ...$drive->only(['id', 'learner_id', 'minutes', 'note']), 'starts_at' => $drive->starts_at->toIso8601ZuluString(),
            'conditions' => (object) $drive->conditions,
        ];
    }
}
