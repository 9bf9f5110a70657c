<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfDiary;
use App\Diary\Appointments;
use App\Diary\Bookings;
use App\Diary\Clash;
use App\Interchange\BusyCalendar;
use App\Interchange\DiaryCalendar;
use App\Interchange\UnreadableCalendar;
use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\User;
use App\School\CurrentSchool;
use App\School\KeptAnswers;
use DateTimeZone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** One’s diary in the calendar that one has anyway: read there at a secret address, one lesson as a file, and busy times brought in from a file. */
final class CalendarController extends Controller
{
    /** As many characters as nobody guesses. */
    private const SECRET = 48;

    /** What was before then is in nobody’s way. */
    private const WEEKS_BACK = 4;

    /** Farther ahead nobody books. */
    private const YEARS_AHEAD = 2;

    /** Busy times are brought in so far ahead. */
    private const IMPORTED_YEARS = 1;

    public function show(Request $request): JsonResponse
    {
        return response()->json(self::state($this->user($request)));
    }

    /** A new address; the one of before stops at once. */
    public function store(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $secret = Str::random(self::SECRET);
        $user->forceFill([...$request->validate(TakenOfDiary::calendar()), 'calendar_key' => hash('sha256', $secret)])->save();

        return response()->json([...self::state($user), 'address' => rtrim((string) config('app.url'), '/')."/calendar/{$secret}.ics"], 201);
    }

    public function update(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $user->forceFill($request->validate(TakenOfDiary::calendar()))->save();

        return response()->json(self::state($user));
    }

    public function destroy(Request $request): Response
    {
        $this->user($request)->forceFill(['calendar_key' => null])->save();

        return response()->noContent();
    }

    /** For a calendar, which has no session: whoever has the address may read it. */
    public function feed(string $secret, Request $request, CurrentSchool $current): Response
    {
        $person = User::query()->where('calendar_key', hash('sha256', $secret))->whereNull('suspended_at')->firstOrFail();
        $kept = KeptAnswers::of("calendar {$person->id}", $person->school_id);
        $headers = ['Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'private, max-age=300'];
        $before = $kept?->response($request, $headers);
        if ($before !== null) {
            return $before;
        }
        $ics = $current->within($person->school, static function () use ($person): string {
            [$from, $until] = [Carbon::now()->subWeeks(self::WEEKS_BACK), Carbon::now()->addYears(self::YEARS_AHEAD)];
            /** @var list<Lesson> $lessons */
            $lessons = Lesson::query()->with('learner')->where('instructor_id', $person->id)->whereNotIn('state', ['cancelled', 'no-show'])
                ->whereBetween('starts_at', [$from, $until])->oldest('starts_at')->get()->all();

            return DiaryCalendar::of($person, $lessons, Appointments::busy($person->id, $from, $until));
        });
        $kept?->put($ics);

        return response($ics, headers: $headers);
    }

    public function lesson(Request $request, Lesson $lesson): JsonResponse
    {
        Gate::authorize('view', $lesson);

        return response()->json(['ics' => DiaryCalendar::of($this->user($request), [$lesson->load('learner')])]);
    }

    /** Busy times of a file: what each would do is said, and, where that is wanted, held. */
    public function import(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(TakenOfDiary::calendarFile());
        $user = $this->user($request);
        try {
            $times = BusyCalendar::read(
                $said['ics'], Carbon::now()->toDateTimeImmutable(), Carbon::now()->addYears(self::IMPORTED_YEARS)->toDateTimeImmutable(),
                new DateTimeZone($current->school()->time_zone),
            );
        } catch (UnreadableCalendar $unreadable) {
            throw ValidationException::withMessages(['ics' => $unreadable->getMessage()]);
        }
        $all = array_map(static fn (array $one): BusyTime => new BusyTime([
            'kind' => 'busy', 'instructor_id' => $user->id, 'title' => $one['title'], 'starts_at' => $one['from'], 'ends_at' => $one['until'],
        ]), $times);
        $why = $said['keep'] ? array_map(self::hold(...), $all) : array_map(
            static fn (array $clashes): string => implode(' ', $clashes), Clash::ofEach($all),
        );
        $held = $leftOut = [];
        foreach ($all as $i => $busy) {
            $line = ['title' => $busy->title, 'starts_at' => $busy->starts_at->toIso8601ZuluString(), 'ends_at' => $busy->ends_at->toIso8601ZuluString()];
            $why[$i] === '' ? $held[] = $line : $leftOut[] = [...$line, 'why' => $why[$i]];
        }

        return response()->json(['held' => $held, 'left_out' => $leftOut]);
    }

    /** @return string why it could not be held; empty where it is */
    private static function hold(BusyTime $busy): string
    {
        try {
            Bookings::with($busy, static fn (BusyTime $busy): bool => $busy->save());

            return '';
        } catch (ValidationException $taken) {
            return implode(' ', $taken->validator->errors()->all());
        }
    }

    /** @return array{on: bool, calendar_names: string} */
    private static function state(User $user): array
    {
        return ['on' => $user->calendar_key !== null, 'calendar_names' => $user->calendar_names ?? 'adults'];
    }
}
