<?php

namespace App\Marks;

use App\Models\AccompaniedDrive;
use App\Models\Assessment;
use App\Models\BusyTime;
use App\Models\Learner;
use App\Models\Lesson;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Compute\Tool\ReadyPresenter;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Next\Learner as Known;
use NobleTurn\Core\Next\Ready;
use NobleTurn\Core\Next\Schedule;
use NobleTurn\Core\Rules\AskedByLaw;
use NobleTurn\Core\Vehicle\Transmission;

/** How near a learner is to their test, from everything that is kept of them: marks, mock tests, hours, what they drive in a week, the test that is booked. */
final readonly class LearnerReady
{
    /** So far back is looked for how much somebody drives in a week. */
    private const WEEKS = 8;

    /** Where nothing says how much (assumed): two lessons of an hour. */
    private const LESSON_MINUTES = 60.0;

    private const A_WEEK = 120.0;

    public function __construct(private CurrentSchool $current, private LearnerSkill $skill)
    {
    }

    /**
     * @param  bool  $saysWhatShortens  it takes as long as all the rest
     * @return array<string, mixed>
     */
    public function of(Learner $learner, bool $saysWhatShortens = true): array
    {
        $pack = $this->skill->pack($learner);
        $now = Carbon::now();
        $known = new Known(
            SkillEvidence::of($learner, StandingMarks::of($learner), $pack), $pack, $now->toDateTimeImmutable(), SkillEvidence::words($learner),
            Transmission::from($learner->transmission),
        );
        [$schedule, $isKnown] = $this->schedule($learner, $now);
        $scheme = Scheme::byCode(Scheme::usual($pack));
        $hours = (new LearnerHours($learner, $this->current->school()))->book;
        $test = BusyTime::query()->where('kind', 'test')->where('learner_id', $learner->id)->where('starts_at', '>', $now)->oldest('starts_at')->first();
        $asked = array_values(array_filter($pack->askedByLaw(), static fn (AskedByLaw $one): bool => ! $one->ofMinors || $learner->is_minor));
        $ready = Ready::of(
            $known, $scheme, Transmission::from($learner->transmission), $schedule, 1, $this->passed($learner), $hours, $asked, $saysWhatShortens,
        );

        return [
            ...ReadyPresenter::body($ready, $test?->starts_at->toDateTimeImmutable(), $test === null ? 0 : $this->booked($learner, $now, $test->starts_at)),
            'scheme' => $scheme->like,
            'test_at' => $test?->starts_at->toIso8601ZuluString(),
            'lesson_minutes' => round($schedule->lessonMinutes), 'lesson_minutes_a_week' => round($schedule->minutesAWeek),
            'practice_minutes_a_week' => round($schedule->practiceMinutesAWeek), 'week_is_known' => $isKnown,
        ];
    }

    private function booked(Learner $learner, Carbon $from, Carbon $until): int
    {
        return Lesson::query()->where('learner_id', $learner->id)->where('state', LessonState::Booked->value)->where('starts_at', '>', $from)
            ->where('starts_at', '<', $until)->count();
    }

    /** @return list<\DateTimeImmutable> when mock tests were passed */
    private function passed(Learner $learner): array
    {
        return array_values(Assessment::query()->where('learner_id', $learner->id)->where('kind', 'mock-test')->where('result', 'pass')->get()
            ->map(static fn (Assessment $one): \DateTimeImmutable => $one->taken_at->toDateTimeImmutable())->all());
    }

    /** @return array{Schedule, bool} as the last weeks were; and whether they say anything */
    private function schedule(Learner $learner, Carbon $now): array
    {
        $from = $now->copy()->subWeeks(self::WEEKS);
        $lessons = Lesson::query()->where('learner_id', $learner->id)->whereBetween('starts_at', [$from, $now])->get()
            ->filter(static fn (Lesson $one): bool => in_array($one->state(), [LessonState::Done, LessonState::CutShort], true));
        $practice = (float) AccompaniedDrive::query()->where('learner_id', $learner->id)->whereBetween('starts_at', [$from, $now])->sum('minutes');
        if ($lessons->count() < 2) {
            return [new Schedule(self::LESSON_MINUTES, self::A_WEEK, $practice / self::WEEKS), false];
        }
        $minutes = (float) $lessons->sum(static fn (Lesson $one): int => $one->lasts());
        // Whoever began within the weeks is counted from then on.
        $weeks = max(1.0, (float) $lessons->min('starts_at')->diffInDays($now, true) / 7.0);

        return [new Schedule(max(20.0, $minutes / $lessons->count()), max(10.0, $minutes / $weeks), $practice / self::WEEKS), true];
    }
}
