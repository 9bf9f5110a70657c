<?php

namespace App\Lessons;

use App\Http\Resources\Show;
use App\Marks\StandingMarks;
use App\Models\Drawing;
use App\Models\Lesson;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\Remedy;
use App\Models\Round;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use NobleTurn\Core\Record\Aim;
use NobleTurn\Core\Record\Debrief;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** The lesson as one page: what Plan, Drive and Debrief read. */
final class LessonPage
{
    public function __construct(private readonly CurrentSchool $current)
    {
    }

    /** @return array<string, mixed> */
    public function of(Lesson $lesson): array
    {
        $lesson->load(['learner', 'vehicle', 'instructor', 'items.place.drawings', 'items.place.site', 'rounds.marks.place', 'rounds.place', 'promises',
            'remedies']);
        $chosen = ChosenRules::of($this->current->school(), $lesson->instructor, $lesson->learner);
        $plans = new Plans($lesson, $chosen);
        $aim = self::aim($lesson);
        $driven = array_filter($lesson->rounds->mapWithKeys(fn (Round $round): array => [$round->id => StandingMarks::round($round)])->all());
        $debrief = Debrief::of(
            array_values($driven), $chosen->pack(), $lesson->vehicle->transmission === 'manual' && $lesson->vehicle->controls === 'standard', $aim,
        );
        $aimed = array_filter($driven, static fn (MarkedRound $round): bool => $round->isEvidence() && $aim?->isSaidBy($round) === true);

        return [
            ...Show::lessonLine($lesson),
            ...$lesson->only(['brief_minutes', 'debrief_minutes']),
            'number' => Lesson::query()
                ->where('learner_id', $lesson->learner_id)
                ->whereNotIn('state', ['wished', 'cancelled', 'no-show'])
                ->where('starts_at', '<=', $lesson->starts_at)
                ->count(),
            'instructor' => $lesson->instructor->only(['id', 'name']),
            'went_well' => $lesson->went_well,
            'worked_on' => $lesson->worked_on,
            'self_rating' => (object) $lesson->self_rating,
            'items' => $lesson->items->map(fn (PlannedItem $item): array => self::shown($item, $plans)),
            // What this learner goes by in this car: points kept for another car would mislead.
            'reference_points' => array_values(
                array_filter(
                    $lesson->learner->reference_points,
                    fn (array $point): bool => in_array($point['vehicle_id'] ?? null, [null, $lesson->vehicle_id], true),
                ),
            ),
            'rounds' => $this->numbered($lesson),
            'promises' => $lesson->promises->map(fn (Promise $promise): array => Show::promise($promise))->values(),
            'promised_before' => Promise::query()->where('learner_id', $lesson->learner_id)->where('lesson_id', '!=', $lesson->id)->whereNull('kept_at')
                ->latest()->get()->map(fn (Promise $promise): array => Show::promise($promise)),
            'works_on' => $aim === null ? null : ['routine' => $aim->routine?->value, 'step' => $aim->step?->value],
            'remedies' => $lesson->remedies->map(fn (Remedy $remedy): array => Show::remedy($remedy))->values(),
            'debrief' => [
                ...$this->debrief($debrief), 'aim_rounds' => array_keys($aimed),
                'aim_clean' => count(array_filter($aimed, static fn (MarkedRound $round): bool => $aim?->isCleanIn($round) === true)),
            ],
            'rules' => Show::rules($chosen),
        ];
    }

    private static function aim(Lesson $lesson): ?Aim
    {
        return $lesson->aim_routine === null && $lesson->aim_step === null ? null
            : new Aim(RoutineCode::tryFrom((string) $lesson->aim_routine), Step::tryFrom((string) $lesson->aim_step));
    }

    /** @return array<string, mixed> one place on the plan, as the page shows it */
    public function item(PlannedItem $item): array
    {
        $lesson = Lesson::query()->with(['learner', 'vehicle', 'instructor'])->findOrFail($item->lesson_id);

        return self::shown($item->load('place.drawings'), new Plans($lesson, ChosenRules::of($this->current->school(), $lesson->instructor, $lesson->learner)));
    }

    /** @return array<string, mixed> */
    private static function shown(PlannedItem $item, Plans $plans): array
    {
        return [
            ...Show::item($item),
            'plan' => $plans->at($item->place),
            'drawings' => $item->place->drawings->whereIn('lesson_id', [null, $item->lesson_id])->values()->map(
                fn (Drawing $drawing): array => Show::drawing($drawing),
            ),
        ];
    }

    /** @return list<array<string, mixed>> in the order in which they were driven; one emptied by undoing has no number */
    private function numbered(Lesson $lesson): array
    {
        $number = 0;

        return array_values($lesson->rounds->map(static function (Round $round) use (&$number): array {
            return [...Show::round($round), 'ordinal' => StandingMarks::round($round) === null ? null : ++$number];
        })->all());
    }

    /** @return array<string, mixed> */
    private function debrief(Debrief $debrief): array
    {
        return [
            'well' => $debrief->well?->value,
            'well_rounds' => $debrief->wellRounds,
            'held_back_rightly' => $debrief->heldBackRightly, 'of_the_aim' => $debrief->ofTheAim,
            'fault' => $debrief->fault === null ? null : [
                'routine' => $debrief->routine?->value,
                'step' => $debrief->fault->step->value,
                'rounds' => $debrief->faultRounds,
                'of' => $debrief->faultOf,
                'kind' => $debrief->kind, 'kind_rounds' => $debrief->kindRounds,
                'cause_step' => $debrief->cause?->in?->value,
                'cause_seen' => $debrief->causeSeen,
                'usual_mistake' => $debrief->fault->usualMistake,
                'likely_cause' => $debrief->cause?->cause,
                'remedy' => $debrief->cause?->remedy,
                'drill' => $debrief->fault->drill,
                'source' => $debrief->fault->source()->words(),
            ],
        ];
    }
}
