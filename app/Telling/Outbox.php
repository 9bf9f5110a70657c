<?php

namespace App\Telling;

use App\Lessons\HeldLessons;
use App\Models\Lesson;
use App\Models\School;
use App\Models\Text;
use App\School\CurrentSchool;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Diary\Due;
use NobleTurn\Core\Diary\Known;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Diary\Telling;
use NobleTurn\Core\Diary\TextKind;
use Throwable;

/**
 * Writes what learners are to be told into the outbox of their school, each thing once: what they were last told of a lesson is kept
 * beside it, and both are written together. What was not passed on yet when something newer is so was never heard: it goes.
 */
final readonly class Outbox
{
    /** Longer than from the reminder to any lesson of the next day. */
    private const REMINDED_HOURS = 48;

    /** The most that is kept of a text, characters. */
    private const LONGEST = 1_000;

    private TextSettings $settings;

    private Telling $telling;

    public function __construct(private School $school)
    {
        $this->settings = TextSettings::of($school);
        $this->telling = $this->settings->telling($school->time_zone);
    }

    /** What every school’s learners are to be told by now. */
    public static function fillAll(CurrentSchool $current): void
    {
        foreach (School::query()->get()->filter(static fn (School $school): bool => $school->texts !== null) as $school) {
            $current->within($school, static fn () => (new self($school))->fill());
        }
    }

    public function fill(): void
    {
        foreach ($this->settings->isOn ? $this->open()->get() : [] as $row) {
            $lesson = (new Lesson)->newFromBuilder((array) $row);
            $known = $row->told_at === null ? null : LastTold::known(
                $row->told_starts_at, $row->told_minutes, $row->told_at, (bool) $row->is_reminded, $row->told_pick_up,
            );
            try {
                if ($this->due($known, $lesson) !== null) {
                    $this->tell($lesson->id);
                }
            } catch (Throwable $failed) {
                // One that cannot be told keeps nobody else from being told.
                report($failed);
            }
        }
    }

    /** From now on: what is so already counts as told, since it was told by mouth. */
    public function begin(): void
    {
        $ahead = Lesson::query()->where('starts_at', '>', now());
        DB::table('told')->whereIn('lesson_id', $ahead->clone()->select('id'))->delete();
        $booked = $ahead->where('state', LessonState::Booked->value)->select(['id', 'school_id', 'starts_at', 'minutes', 'pick_up'])->selectRaw('?', [now()]);
        DB::table('told')->insertUsing(['lesson_id', 'school_id', 'starts_at', 'minutes', 'pick_up', 'told_at'], $booked);
    }

    /** What was agreed to of a day that runs late, at once and within its transaction: it cannot wait until the diary has come to rest. */
    public function late(Lesson $lesson, string $words): void
    {
        if ($this->settings->isOn) {
            $kind = $lesson->state() === LessonState::Cancelled ? TextKind::Cancelled : TextKind::Late;
            $now = Carbon::now()->getTimestamp();
            $this->write($lesson, $this->heard($lesson), new Due($kind, $this->telling->isQuiet($now) ? null : $now), $words);
        }
    }

    /** Lessons of which something may be to be told, with what was told of them. */
    private function open(): Builder
    {
        return Lesson::query()->toBase()->leftJoin('told', static fn (JoinClause $join) => $join->on('told.school_id', 'lessons.school_id')
            ->on('told.lesson_id', 'lessons.id'))->where('lessons.starts_at', '>', now())->whereIn('lessons.state', ['booked', 'wished', 'cancelled'])
            ->where(static fn (Builder $some) => $some
                ->where(static fn (Builder $new) => $new->whereNull('told.lesson_id')->where('lessons.state', 'booked'))
                ->orWhere(static fn (Builder $other) => $other->whereNotNull('told.lesson_id')->whereRaw(
                    "NOT (told.starts_at <=> IF(lessons.state = 'booked', lessons.starts_at, NULL)
                        AND (lessons.state <> 'booked' OR told.minutes = lessons.minutes AND told.pick_up <=> lessons.pick_up))",
                ))
                ->orWhere(static fn (Builder $soon) => $soon->where('told.is_reminded', false)->where('lessons.state', 'booked')
                    ->where('lessons.starts_at', '<', now()->addHours(self::REMINDED_HOURS))))
            ->orderBy('lessons.starts_at')
            ->select(['lessons.*', 'told.told_at', 'told.starts_at AS told_starts_at', 'told.minutes AS told_minutes', 'told.is_reminded',
                'told.pick_up AS told_pick_up']);
    }

    private function due(?Known $known, Lesson $lesson): ?Due
    {
        $now = Carbon::now()->getTimestamp();
        $changed = Carbon::parse($lesson->getAttribute('updated_at'))->getTimestamp();
        $due = $this->telling->next($known, LastTold::now($lesson), $changed, $now, $lesson->pick_up);

        return $due?->isNow($now) === true ? $due : null;
    }

    private function tell(string $id): void
    {
        DB::transaction(function () use ($id): void {
            // Whoever else looks at it meanwhile waits, and then finds it told.
            $lesson = HeldLessons::of([$id])->first();
            if (! $lesson instanceof Lesson || $this->due(LastTold::of($id), $lesson) === null) {
                return;
            }
            $known = $this->heard($lesson);
            $due = $this->due($known, $lesson);
            if ($due === null) {
                LastTold::keep($lesson, $known);

                return;
            }
            $words = $this->settings->words[$due->kind->value];
            $was = $known?->period === null ? null : Carbon::createFromTimestampUTC($known->period->from);
            $this->write($lesson, $known, $due, $words === null ? null : TextWords::filled($words, $lesson, $this->school, $was));
        });
    }

    /** What the learner has heard: without the texts that nobody has passed on, which go. */
    private function heard(Lesson $lesson): ?Known
    {
        $waiting = Text::query()->where('lesson_id', $lesson->id)->whereNull('passed_on_at')->orderBy('made_at')->orderBy('id')->get();
        $first = $waiting->first();
        if ($first === null) {
            return LastTold::of($lesson->id);
        }
        Text::query()->whereKey($waiting->modelKeys())->delete();

        return LastTold::before($first);
    }

    /**
     * The text, and that it is told.
     *
     * @param  ?string  $words  null where the school tells it by mouth
     */
    private function write(Lesson $lesson, ?Known $known, Due $due, ?string $words): void
    {
        LastTold::keep($lesson, new Known(
            LastTold::now($lesson), Carbon::now()->getTimestamp(), $due->kind === TextKind::DayBefore, $lesson->pick_up,
        ));
        $lesson->loadMissing('learner');
        $unsent = match (true) {
            ! $lesson->learner->wants_texts => 'no-texts',
            $due->at === null => 'quiet',
            in_array($lesson->learner->phone, [null, ''], true) => 'no-number',
            default => null,
        };
        // Who cannot be written to is not reminded; that a lesson was moved or is off they have to hear all the same.
        $isNeeded = ! in_array($due->kind, [TextKind::DayBefore, TextKind::Booked], true);
        if ($words === null || $unsent !== null && ! $isNeeded) {
            return;
        }
        Text::query()->create([
            'lesson_id' => $lesson->id, 'learner_id' => $lesson->learner_id, 'kind' => $due->kind->value, 'body' => mb_substr($words, 0, self::LONGEST),
            'phone' => $lesson->learner->phone, 'unsent' => $unsent, 'made_at' => now(), ...LastTold::forText($known),
        ]);
    }
}
