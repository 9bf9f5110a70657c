<?php

namespace App\Lessons;

use App\Diary\Appointments;
use App\Marks\LearnerSkill;
use App\Marks\SkillEvidence;
use App\Marks\StandingMarks;
use App\Marks\WhatHelped;
use App\Models\BusyTime;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Promise;
use App\Models\Round;
use App\School\CurrentSchool;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Circuit\BusyHours;
use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Compute\Tool\NextLessonPresenter;
use NobleTurn\Core\Next\Learner as Known;
use NobleTurn\Core\Next\NextLesson;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Position;
use NobleTurn\Core\Skill\RemedyEffect;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Vehicle\Transmission;

/** What a lesson could be for, and what it could drive for that: from the learner's record, where it begins, and the ways of the school. */
final readonly class Proposed
{
    public function __construct(private CurrentSchool $current, private LearnerSkill $skill, private WhatHelped $helped)
    {
    }

    /**
     * @param  list<string>  $pinned  ways, as an address names them, and routines
     * @param  list<string>  $excluded  the same
     * @return array<string, mixed>
     *
     * @throws ValidationException where one is neither a way near the lesson nor a routine
     */
    public function for(Lesson $lesson, array $pinned = [], array $excluded = []): array
    {
        $lesson->loadMissing(['learner', 'vehicle']);
        $learner = $lesson->learner;
        $pack = $this->skill->pack($learner);
        $at = $lesson->starts_at->copy()->setTimezone($this->current->school()->time_zone)->toDateTimeImmutable();
        $seconds = 60 * $lesson->lasts();
        $debrief = min(60 * $lesson->debrief_minutes, intdiv($seconds, 3)) + 60 * min($lesson->brief_minutes, intdiv($lesson->lasts(), 3));
        [$start, $end] = Appointments::places($lesson);
        $school = $this->current->school();
        $start ??= $school->latitude_deg === null || $school->longitude_deg === null ? null
            : Position::ofDegrees($school->latitude_deg, $school->longitude_deg);
        $drive = new Drive(busy: BusyHours::over($at, (float) $seconds));
        $around = $start === null ? null : WaysAround::of($pack, $start, $drive, [...$pinned, ...$excluded]);
        $legs = $around === null ? null : $around->legs($start, $end ?? $start, $drive);
        // Where the way from one to the other takes the whole lesson there is none to drive besides.
        if ($legs !== null && $legs->along([]) + $debrief > $seconds) {
            [$around, $legs] = [null, null];
        }
        $pins = $this->named('pinned', $around?->ids($pinned) ?? $pinned, $around, $pack);
        $outs = $this->named('excluded', $around?->ids($excluded) ?? $excluded, $around, $pack);
        $known = $this->known($learner, $lesson, $pack, $at);
        $next = NextLesson::of(
            $known, $at, $seconds, $debrief, self::agreed($lesson, $pack), $pins, $outs, $this->testOf($learner, $lesson), $around->stops ?? [],
            $around->routines ?? [], $legs, $start,
        );
        $hasClutch = $lesson->vehicle->transmission === 'manual' && $lesson->vehicle->controls === 'standard';
        $helped = fn (Step $step, ?string $fault): RemedyEffect => $this->helped->of($step, $fault)['remedy'];
        $body = NextLessonPresenter::body($next, $known, $hasClutch, $helped);

        return self::told($body, $around, $debrief);
    }

    /** Up to the moment of the lesson, or now where it is still to come. */
    private function known(Learner $learner, Lesson $lesson, RulePack $pack, \DateTimeImmutable $at): Known
    {
        $marked = array_filter(StandingMarks::of($learner), static fn ($round): bool => $round->lesson !== $lesson->id && $round->at <= $at);

        return new Known(
            SkillEvidence::of($learner, array_values($marked), $pack), $pack, $at, SkillEvidence::words($learner),
            Transmission::from($learner->transmission), LearnerLevel::from($learner->level),
        );
    }

    /**
     * What was agreed for this lesson in those before it, and is neither kept nor driven since; what is not taught under these rules is left out.
     *
     * @return list<array{routine: RoutineCode, step: ?Step}>
     */
    private static function agreed(Lesson $lesson, RulePack $pack): array
    {
        $promises = Promise::query()->where('learner_id', $lesson->learner_id)->where('kind', 'promise')->whereNull('kept_at')->whereNotNull('routine')
            ->whereIn('lesson_id', Lesson::query()->where('starts_at', '<', $lesson->starts_at)->select('id'))->orderBy('created_at')->orderBy('id')->get();
        $agreedAt = Lesson::query()->whereIn('id', $promises->pluck('lesson_id'))->toBase()->pluck('starts_at', 'id');
        $driven = Round::query()->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')->where('lessons.learner_id', $lesson->learner_id)
            ->where('lessons.starts_at', '<', $lesson->starts_at)->whereIn('routine', $promises->pluck('routine')->unique())->orderBy('lessons.starts_at')
            ->pluck('lessons.starts_at', 'routine');
        $agreed = [];
        foreach ($promises as $promise) {
            $routine = RoutineCode::from((string) $promise->routine);
            $isDriven = ($driven[$routine->value] ?? '') > $agreedAt[$promise->lesson_id];
            if (! $isDriven && ! in_array($routine, $pack->lacks(), true)) {
                $step = Step::tryFrom((string) $promise->step);
                $agreed[] = ['routine' => $routine, 'step' => $step !== null && Catalogue::routine($routine, $pack)->has($step) ? $step : null];
            }
        }

        return $agreed;
    }

    private function testOf(Learner $learner, Lesson $lesson): ?\DateTimeImmutable
    {
        return BusyTime::query()->where('kind', 'test')->where('learner_id', $learner->id)->where('starts_at', '>=', $lesson->starts_at)->oldest('starts_at')
            ->first()?->starts_at->toDateTimeImmutable();
    }

    /**
     * @param  list<string>  $named
     * @return list<string>
     *
     * @throws ValidationException
     */
    private function named(string $field, array $named, ?WaysAround $around, RulePack $pack): array
    {
        foreach ($named as $one) {
            $routine = RoutineCode::tryFrom($one);
            if (! isset($around->ways[$one]) && ($routine === null || in_array($routine, $pack->lacks(), true))) {
                throw ValidationException::withMessages([
                    $field => "must be ways of the school that lie somewhere, or routines that are taught here: not {$one}.",
                ]);
            }
        }

        return $named;
    }

    /**
     * @param  array<string, mixed>  $body  as the core says it, ways by number
     * @return array<string, mixed> ways as the school has them
     */
    private static function told(array $body, ?WaysAround $around, int $talked): array
    {
        $rounds = $seconds = [];
        foreach ($body['parts'] as $part) {
            if ($part['way'] !== null) {
                $seconds[$part['way']] = ($seconds[$part['way']] ?? 0) + $part['until_s'] - $part['from_s'];
                $rounds[$part['way']] = ($rounds[$part['way']] ?? 0) + (int) ($part['kind'] === 'round');
            }
        }

        return [
            'aims' => $body['aims'],
            'ways' => array_map(static fn (string $way): array => [
                ...$around->ways[(int) $way] ?? [], 'rounds' => $rounds[$way] ?? 0, 'minutes' => max(1, (int) round(($seconds[$way] ?? 0) / 60)),
            ], $body['order']),
            'driven_m' => $body['driven_m'], 'spare_s' => $body['spare_s'], 'talked_s' => $talked, 'exact' => $body['exact'], 'value' => $body['value'],
            'is_placed' => $around !== null, 'farther' => $around->farther ?? 0,
            'lacking' => $body['lacking'],
            'left_out' => array_map(static fn (array $one): array => [
                ...$around->ways[(int) $one['way']] ?? [], 'reason' => $one['reason'], 'message' => $one['message'],
            ], $body['left_out']),
        ];
    }
}
