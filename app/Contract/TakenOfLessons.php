<?php

namespace App\Contract;

use App\Rules\NotTooLarge;
use Illuminate\Validation\Rule;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Assessment\Severity;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Counted;
use NobleTurn\Core\Record\Decision;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\Taught;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Stage;
use NobleTurn\Core\Trade\Step;

/** What addresses of lessons take: their minutes and aim, the places on their plan, promises, remedies, and the rounds and marks of a device's queue. */
final class TakenOfLessons
{
    /** What a clock may say and a row can keep. */
    public const TIME = ['bail', 'string', 'date', 'after:2000-01-01', 'before:2100-01-01'];

    /** The most a plan's inputs take, bytes of JSON: a long place has about two thousand. */
    private const A_PLAN = 20_000;

    /** @return array<string, list<mixed>> */
    public static function lesson(): array
    {
        return [
            'learner_id' => ['required', 'uuid'], 'vehicle_id' => ['required', 'uuid'], 'starts_at' => ['required', 'date'],
            'minutes' => ['required', 'numeric', 'integer', 'between:15,480'], 'aim' => ['nullable', 'string', 'max:300'],
            'state' => ['sometimes', 'in:wished,booked'], 'moved_from_id' => ['sometimes', 'nullable', 'uuid'], ...self::addresses(),
            'instructor_id' => ['sometimes', 'nullable', 'uuid'],
        ];
    }

    /** @return array<string, list<mixed>> ways ("site~from~to~routine") and routines, with commas between them */
    public static function proposal(): array
    {
        return ['pinned' => ['sometimes', 'string', 'max:4000'], 'excluded' => ['sometimes', 'string', 'max:4000']];
    }

    /** @return array<string, list<mixed>> */
    public static function lessonChanges(): array
    {
        return [
            'aim' => ['sometimes', 'nullable', 'string', 'max:300'], 'starts_at' => ['sometimes', 'date'],
            'minutes' => ['sometimes', 'numeric', 'integer', 'between:15,480'],
            'brief_minutes' => ['sometimes', 'numeric', 'integer', 'between:0,60'],
            'debrief_minutes' => ['sometimes', 'numeric', 'integer', 'between:0,60'],
            // As it was called before there was a diary: a device that was without signal since still says so.
            'state' => ['sometimes', Rule::in([...array_column(LessonState::cases(), 'value'), 'planned'])],
            'cut_to_minutes' => ['required_if:state,cut-short', 'prohibited_unless:state,cut-short', 'numeric', 'integer', 'min:1'],
            'ended_by' => ['required_if:state,cancelled', 'prohibited_unless:state,cancelled', 'in:learner,instructor,other'],
            'ended_why' => ['prohibited_unless:state,cancelled', 'nullable', 'string', 'max:300'],
            'charged' => ['prohibited_unless:state,cancelled', 'nullable', 'boolean'],
            ...self::addresses(),
            'aim_routine' => ['sometimes', 'nullable', Rule::enum(RoutineCode::class)],
            'aim_step' => ['sometimes', 'nullable', Rule::enum(Step::class)],
            'went_well' => ['sometimes', 'nullable', 'string', 'max:500'], 'worked_on' => ['sometimes', 'nullable', 'string', 'max:500'],
            'self_rating' => ['sometimes', 'array:'.implode(',', array_column(Step::cases(), 'value'))],
            'self_rating.*' => [Rule::enum(Outcome::class)->except([Outcome::Intervened])],
        ];
    }

    /** @return array<string, list<mixed>> where a lesson begins and ends, where that is not as usual */
    private static function addresses(): array
    {
        return [
            'pick_up' => ['sometimes', 'nullable', 'string', 'max:200'], ...Taken::position('pick_up_'),
            'drop_off' => ['sometimes', 'nullable', 'string', 'max:200'], ...Taken::position('drop_off_'),
        ];
    }

    /** @return array<string, list<mixed>> */
    public static function remedy(): array
    {
        return [
            'routine' => ['required', Rule::enum(RoutineCode::class)], 'step' => ['required', Rule::enum(Step::class)], ...self::helped(),
            'what' => ['required', 'in:remedy,drill'],
        ];
    }

    /** @return array<string, list<mixed>> of an address: the kind of fault, where one was seen */
    public static function helped(): array
    {
        return ['fault' => ['sometimes', 'nullable', Rule::in(Faults::codes())]];
    }

    /** @return array<string, list<mixed>> */
    public static function item(): array
    {
        return ['place_id' => ['required', 'uuid'], 'minutes' => ['sometimes', 'numeric', 'integer', 'between:1,240']];
    }

    /** @return array<string, list<mixed>> */
    public static function itemMinutes(): array
    {
        return ['minutes' => ['required', 'numeric', 'integer', 'between:1,240']];
    }

    /** @return array<string, list<mixed>> all ids of the lesson's items in their new order */
    public static function order(): array
    {
        return ['items' => ['required', 'array', 'max:60'], 'items.*' => ['uuid', 'distinct']];
    }

    /** @return array<string, list<mixed>> */
    public static function promise(): array
    {
        return [
            'id' => ['sometimes', 'uuid'], 'kind' => ['required', 'in:promise,homework'], 'text' => ['required', 'string', 'max:300'],
            // What the next lesson is to be about: the one that is proposed takes it up.
            'routine' => ['sometimes', 'nullable', Rule::enum(RoutineCode::class)], 'step' => ['sometimes', 'nullable', Rule::enum(Step::class)],
        ];
    }

    /** @return array<string, list<mixed>> */
    public static function promiseKept(): array
    {
        return ['kept' => ['required', 'boolean']];
    }

    /** @return array{rounds: array<string, true>, marks: array<string, true>} the fields a round and a mark may have */
    public static function saidOf(): array
    {
        $said = ['rounds' => [], 'marks' => []];
        foreach (array_keys(self::batch()) as $field) {
            if (preg_match('/^(rounds|marks)\.\*\.([a-z_]+)$/', $field, $found) === 1) {
                $said[$found[1]][$found[2]] = true;
            }
        }

        return $said;
    }

    /** @return array<string, list<mixed>> rounds and marks from a device's queue */
    public static function batch(): array
    {
        return [
            // The device's clock at this moment: how far it is off is taken off its times.
            'sent_at' => ['sometimes', ...self::TIME],
            'rounds' => ['present', 'array', 'max:100'],
            'rounds.*.id' => ['required', 'uuid'],
            'rounds.*.lesson_id' => ['required', 'uuid'],
            'rounds.*.place_id' => ['sometimes', 'nullable', 'uuid'],
            // A word of where, for what has no place of its own.
            'rounds.*.elsewhere' => ['sometimes', 'nullable', 'string', 'max:120'],
            // The moment it was told of.
            'rounds.*.moment_id' => ['sometimes', 'nullable', 'uuid'],
            'rounds.*.side' => ['sometimes', 'nullable', Rule::enum(Side::class)],
            'rounds.*.routine' => ['required', Rule::enum(RoutineCode::class)],
            ...self::conditions('rounds.*.conditions'),
            // What it was driven against, as the device had it: kept, whatever has become of the tool since.
            'rounds.*.plan' => ['sometimes', 'nullable', 'array:tool,inputs,version', new NotTooLarge(self::A_PLAN)],
            'rounds.*.plan.tool' => ['required_with:rounds.*.plan', 'string', 'max:40'],
            'rounds.*.plan.inputs' => ['required_with:rounds.*.plan', 'array'],
            'rounds.*.plan.version' => ['required_with:rounds.*.plan', 'string', 'max:40'],
            'rounds.*.device_at' => ['required', ...self::TIME],
            'rounds.*.made_by' => ['sometimes', 'uuid'],
            'marks' => ['present', 'array', 'max:500'],
            'marks.*.id' => ['required', 'uuid'],
            'marks.*.round_id' => ['required', 'uuid'],
            'marks.*.kind' => ['required', 'in:step,held-back-rightly,taught,moment,conditions,place,decision,count'],
            'marks.*.step' => ['nullable', Rule::enum(Step::class)],
            'marks.*.stage' => ['nullable', Rule::enum(Stage::class)],
            'marks.*.decision' => ['nullable', Rule::enum(Decision::class)],
            'marks.*.what' => ['nullable', Rule::enum(Counted::class)],
            'marks.*.number' => ['nullable', 'numeric', 'integer', 'between:0,10000'],
            'marks.*.seconds' => ['nullable', 'numeric', 'between:0.1,36000'],
            'marks.*.outcome' => ['nullable', Rule::enum(Outcome::class)],
            'marks.*.taught' => ['nullable', Rule::enum(Taught::class)],
            ...self::conditions('marks.*.conditions'),
            'marks.*.out_of_order' => ['sometimes', 'boolean'],
            'marks.*.fault' => ['nullable', Rule::in(Faults::codes())],
            'marks.*.effect' => ['nullable', Rule::enum(Effect::class)],
            'marks.*.place_id' => ['nullable', 'uuid'],
            'marks.*.note' => ['nullable', 'string', 'max:300'],
            'marks.*.corrects_id' => ['nullable', 'uuid'],
            'marks.*.withdrawn' => ['sometimes', 'boolean'],
            'marks.*.device_at' => ['required', ...self::TIME],
            'marks.*.made_by' => ['sometimes', 'uuid'],
        ];
    }

    /** @return array<string, list<mixed>> a drive with somebody other than an instructor */
    public static function accompanied(): array
    {
        return [
            'starts_at' => ['required', ...self::TIME], 'minutes' => ['required', 'numeric', 'integer', 'between:1,720'],
            'note' => ['sometimes', 'nullable', 'string', 'max:300'], ...self::conditions('conditions'),
        ];
    }

    /** @return array<string, list<mixed>> a test that was taken, or a mock test */
    public static function assessment(): array
    {
        return [
            'kind' => ['required', 'in:mock-test,test'], 'taken_at' => ['required', ...self::TIME], 'scheme' => ['sometimes', Rule::in(Scheme::codes())],
            // A mock test is marked by its scheme; of a test the examiner's word is noted.
            'result' => ['required_if:kind,test', 'in:pass,fail'], 'centre_id' => ['sometimes', 'nullable', 'uuid'],
            'note' => ['sometimes', 'nullable', 'string', 'max:500'],
            'faults' => ['sometimes', 'array', 'list', 'max:200'], 'faults.*' => ['array:step,routine,fault,effect,severity,at,where'],
            'faults.*.step' => ['required', Rule::enum(Step::class)], 'faults.*.routine' => ['sometimes', 'nullable', Rule::enum(RoutineCode::class)],
            'faults.*.fault' => ['sometimes', 'nullable', Rule::in(Faults::codes())], 'faults.*.effect' => ['sometimes', 'nullable', Rule::enum(Effect::class)],
            'faults.*.severity' => ['sometimes', 'nullable', Rule::enum(Severity::class)],
            'faults.*.at' => ['sometimes', 'nullable', ...self::TIME], 'faults.*.where' => ['sometimes', 'nullable', 'string', 'max:190'],
        ];
    }

    /** @return array<string, list<mixed>> a mock test as it was driven in a lesson and told at the kerb; ids are made on the device */
    public static function mockTest(): array
    {
        return [
            'id' => ['required', 'uuid'], 'taken_at' => ['required', ...self::TIME], 'scheme' => ['sometimes', Rule::in(Scheme::codes())],
            'note' => ['sometimes', 'nullable', 'string', 'max:500'], ...self::conditions('conditions'),
            'ways' => ['present', 'array', 'list', 'max:60'], 'ways.*' => ['array:id,place_id,routine,side,where,at'],
            'ways.*.id' => ['required', 'uuid', 'distinct'], 'ways.*.place_id' => ['sometimes', 'nullable', 'uuid'],
            'ways.*.routine' => ['required', Rule::enum(RoutineCode::class)], 'ways.*.side' => ['sometimes', 'nullable', Rule::enum(Side::class)],
            'ways.*.where' => ['sometimes', 'nullable', 'string', 'max:120'], 'ways.*.at' => ['required', ...self::TIME],
            'faults' => ['present', 'array', 'list', 'max:200'], 'faults.*' => ['array:step,way,fault,effect,at'],
            'faults.*.step' => ['required', Rule::enum(Step::class)], 'faults.*.way' => ['sometimes', 'nullable', 'uuid'],
            'faults.*.fault' => ['sometimes', 'nullable', Rule::in(Faults::codes())], 'faults.*.effect' => ['required', Rule::enum(Effect::class)],
            'faults.*.at' => ['required', ...self::TIME],
        ];
    }

    /** @return array<string, list<mixed>> */
    private static function conditions(string $field): array
    {
        $rules = [$field => ['sometimes', 'nullable', 'array:'.implode(',', array_keys(Conditions::KINDS))]];
        foreach (Conditions::KINDS as $kind => $names) {
            $rules["{$field}.{$kind}"] = ['sometimes', Rule::in($names)];
        }

        return $rules;
    }
}
