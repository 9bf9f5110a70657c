<?php

namespace App\Diary;

use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\Round;
use App\Models\School;
use App\Models\User;
use App\Telling\Outbox;
use App\Telling\TextSettings;
use App\Telling\TextWords;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Diary\Appointment;
use NobleTurn\Core\Diary\LateDay;
use NobleTurn\Core\Diary\Later;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Diary\Period;
use NobleTurn\Core\Diary\TextKind;

/**
 * The rest of a day that runs late: who begins when, whose lesson is cut, what cannot be kept, and what each of them is told. Tests and
 * whatever else is held do not wait. Nothing is written before the instructor has agreed to it, lesson by lesson.
 */
final readonly class RunningLate
{
    private const A_MINUTE = 60;

    /** A lesson in which nothing was driven so many minutes after it should have begun is still to come (assumed). */
    private const BEGUN = 30;

    /** What is noted of a lesson that could not be kept. */
    private const WHY = 'The day ran late';

    private TextSettings $texts;

    private Outbox $outbox;

    public function __construct(private School $school, private User $instructor)
    {
        $this->texts = TextSettings::of($school);
        $this->outbox = new Outbox($school);
    }

    /**
     * @param  int  $minutes  by which what is on ends later; where nothing is on, by which one is late for what comes next
     * @return array{fills_outbox: bool, on: ?string, rest: list<array<string, mixed>>}
     */
    public function told(int $minutes): array
    {
        [$on, $rest, $later] = $this->day($minutes);
        // All their plans in one go.
        (new EloquentCollection($rest->filter(static fn (Lesson|BusyTime $one): bool => $one instanceof Lesson)))->load(['items.place', 'instructor']);
        $moved = [];
        foreach ($later as $one) {
            $lesson = $rest[$one->appointment->id];
            if ($lesson instanceof Lesson && $one->period !== null && ! $one->isAsPlanned()) {
                $moved[$lesson->id] = self::moved($lesson, $one);
            }
        }
        $clashes = array_combine(array_keys($moved), Clash::ofEach(array_values($moved), array_keys($moved)));

        return [
            'fills_outbox' => $this->texts->isOn,
            'on' => $on === null ? null : Appointments::name($on),
            'rest' => array_map(fn (Later $one): array => $this->line($rest[$one->appointment->id], $one, $clashes), $later),
        ];
    }

    /**
     * Writes what was agreed to, all of it or nothing: those that can be kept go on later, the others are cancelled.
     *
     * @param  array<string, ?Carbon>  $agreed  by lesson when it was said to begin; null where it was said that it cannot be kept
     *
     * @throws ValidationException where the day has gone on since it was said, or somebody who is needed is taken later
     */
    public function write(int $minutes, array $agreed): void
    {
        [, $rest, $later] = $this->day($minutes);
        $said = [];
        foreach ($later as $one) {
            $said[$one->appointment->id] = $one->period?->from;
        }
        foreach ($agreed as $id => $starts) {
            if (! array_key_exists($id, $said) || $said[$id] !== $starts?->getTimestamp()) {
                throw ValidationException::withMessages(['lessons' => 'The day has gone on meanwhile: look at it once more.']);
            }
        }
        Bookings::inTurn(function () use ($rest, $later, $agreed): void {
            // From the last to the first: each moves into time that is free by then.
            foreach (array_reverse($later) as $one) {
                $lesson = $rest[$one->appointment->id];
                if (! $lesson instanceof Lesson || $one->isAsPlanned() && $one->period !== null || ! array_key_exists($lesson->id, $agreed)) {
                    continue;
                }
                $changes = $one->period === null
                    ? ['state' => LessonState::Cancelled->value, 'ended_by' => 'instructor', 'ended_at' => now(), 'ended_why' => self::WHY]
                    : self::moved($lesson, $one)->only(['starts_at', 'minutes']);
                $text = $this->text($lesson, $one->period === null ? null : self::moved($lesson, $one));
                Bookings::with($lesson, static fn (Lesson $lesson): bool => $lesson->update($changes));
                $this->outbox->late($lesson, $text);
            }
        });
    }

    /** @return array{Lesson|BusyTime|null, Collection<string, Lesson|BusyTime>, list<Later>} what is on, what is still to come today, and what becomes of it */
    private function day(int $minutes): array
    {
        $now = Carbon::now();
        $end = $now->copy()->setTimezone($this->school->time_zone)->endOfDay()->utc();
        $all = Appointments::taking($this->instructor->id, $now, $end)->keyBy('id');
        // What was done, or nobody came to, is over whatever the clock says.
        $isOpen = static fn (Lesson|BusyTime $one): bool => ! $one instanceof Lesson || $one->state() === LessonState::Booked;
        $driven = Round::query()->toBase()->whereIn('lesson_id', $all->keys())->distinct()->pluck('lesson_id')->flip();
        // The clock has begun a lesson for which one is late; the lesson itself has not.
        $isComing = static fn (Lesson|BusyTime $one): bool => $one->starts() > $now || $one instanceof Lesson && ! isset($driven[$one->id])
            && $one->starts() > $now->copy()->subMinutes(self::BEGUN);
        $rest = $all->filter(static fn (Lesson|BusyTime $one): bool => $isComing($one) && $isOpen($one));
        $on = $all->filter(static fn (Lesson|BusyTime $one): bool => ! $isComing($one) && $isOpen($one))->last();
        $appointments = array_values($rest->map(Appointments::of(...))->all());
        if ($appointments === []) {
            return [$on, $rest, []];
        }
        $fixed = array_values($rest->filter(static fn (Lesson|BusyTime $one): bool => $one instanceof BusyTime)->keys()->all());

        return [$on, $rest, (new LateDay(Appointments::travel($this->school), whole: self::A_MINUTE))->of(
            $on === null ? self::beforeAll($appointments[0]) : Appointments::of($on), self::A_MINUTE * $minutes, $appointments, $fixed,
        )];
    }

    /** Somewhere where one is in good time for the first: so many minutes late for that is what one is. */
    private static function beforeAll(Appointment $first): Appointment
    {
        return new Appointment('now', new Period($first->period->from - self::A_MINUTE, $first->period->from), $first->starts, $first->starts);
    }

    /** A lesson as it would be. */
    private static function moved(Lesson $lesson, Later $later): Lesson
    {
        $period = $later->period ?? $later->appointment->period;

        return (clone $lesson)->fill([
            'starts_at' => Carbon::createFromTimestampUTC($period->from), 'minutes' => intdiv($period->seconds(), self::A_MINUTE),
        ]);
    }

    /**
     * @param  array<string, list<string>>  $clashes
     * @return array<string, mixed>
     */
    private function line(Lesson|BusyTime $one, Later $later, array $clashes): array
    {
        $isLesson = $one instanceof Lesson;
        $moved = $isLesson && $later->period !== null ? self::moved($one, $later) : null;
        $isAsPlanned = $later->isAsPlanned() && $later->period !== null;
        $until = $moved ?? ($later->period === null ? null : $one);

        return [
            'id' => $one->id, 'name' => Appointments::name($one), 'is_lesson' => $isLesson, 'is_as_planned' => $isAsPlanned,
            'starts_at' => $one->starts()->toIso8601ZuluString(), 'ends_at' => $one->ends()->toIso8601ZuluString(),
            'minutes' => $isLesson ? $one->minutes : null,
            'now_starts_at' => $until?->starts()->toIso8601ZuluString(), 'now_ends_at' => $until?->ends()->toIso8601ZuluString(),
            'cut_minutes' => $isLesson && $moved !== null ? $one->minutes - $moved->minutes : 0,
            'leaves_out' => $isLesson && $moved !== null ? self::leavesOut($one, $moved->minutes) : [],
            'clashes' => $clashes[$one->id] ?? [],
            'phone' => $isLesson && ! $isAsPlanned ? $one->learner->phone : null, 'may_text' => $isLesson && $one->learner->wants_texts,
            'is_told' => $isLesson && ! $isAsPlanned && $this->isTold($one, $moved),
            'text' => $isLesson && ! $isAsPlanned ? $this->text($one, $moved) : null,
        ];
    }

    /** Whether a text in the outbox tells the learner: where the school writes one of it, to whoever wants texts and has a number. */
    private function isTold(Lesson $lesson, ?Lesson $moved): bool
    {
        return $this->texts->isOn && $this->texts->words[self::kind($moved)->value] !== null && $lesson->learner->wants_texts
            && ! in_array($lesson->learner->phone, [null, ''], true);
    }

    private static function kind(?Lesson $moved): TextKind
    {
        return $moved === null ? TextKind::Cancelled : TextKind::Late;
    }

    /** What the learner is told: in the words of the school where it has its own, else as the instructor would write it. */
    private function text(Lesson $lesson, ?Lesson $moved): string
    {
        $kind = self::kind($moved);
        $words = $this->texts->isOn ? $this->texts->words[$kind->value] : null;
        if ($words !== null && $words !== TextWords::usual($kind)) {
            return TextWords::filled($words, $moved ?? $lesson, $this->school, $lesson->starts());
        }
        $time = fn (Carbon $at): string => $at->setTimezone($this->school->time_zone)->format('H:i');
        $first = explode(' ', $lesson->learner->name)[0];
        $was = $time($lesson->starts());
        if ($moved === null) {
            return "{$first}, my day is running late and I cannot keep our {$was} lesson today. I am sorry; I will ring you to find another time.";
        }
        [$starts, $ends] = [$time($moved->starts()), $time($moved->ends())];
        $late = "{$first}, I am running late: our lesson today begins at {$starts} instead of {$was} and";

        return match (true) {
            $starts === $was => "{$first}, our lesson today begins at {$was} as planned, but has to end at {$ends}. I am sorry.",
            $moved->minutes < $lesson->minutes => "{$late} has to end at {$ends}. I am sorry.",
            default => "{$late} ends at {$ends}. I am sorry.",
        };
    }

    /** @return list<string> places at the end of the plan for which the minutes that are left do not reach */
    private static function leavesOut(Lesson $lesson, int $minutes): array
    {
        $left = $minutes - $lesson->brief_minutes - $lesson->debrief_minutes;
        $out = [];
        foreach ($lesson->items as $item) {
            $left -= $item->minutes;
            if ($left < 0) {
                $out[] = $item->place->name;
            }
        }

        return $minutes < $lesson->minutes ? $out : [];
    }
}
