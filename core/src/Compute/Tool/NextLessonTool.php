<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Next\Aim;
use NobleTurn\Core\Next\AimReason;
use NobleTurn\Core\Next\Aims;
use NobleTurn\Core\Next\Choosing;
use NobleTurn\Core\Next\Lacking;
use NobleTurn\Core\Next\Learner;
use NobleTurn\Core\Next\LessonProposal;
use NobleTurn\Core\Next\NotTaken;
use NobleTurn\Core\Next\Remedied;
use NobleTurn\Core\Next\WhyNot;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\FaultSeen;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** What a lesson is for, and the ways it drives for that. */
final class NextLessonTool implements Tool
{
    public const MOST_WAYS = 80;

    /** A way is driven so often at the most where nobody says it (assumed). */
    private const ROUNDS = 4;

    /** In a short lesson no more than this share is talked away at its end (assumed). */
    private const DEBRIEF_SHARE = 0.15;

    private const MOST_NAMED = 100;

    /** What the record costs beside its marks, and a way, steps (measured): every set of few, or a search. */
    private const STEPS_OF_A_RECORD = 4_000.0;

    private const STEPS_OF_A_WAY = 600.0;

    public function name(): string
    {
        return 'next-lesson';
    }

    public function about(): string
    {
        return 'From the record and the minutes to a lesson: one or two aims with a reason each and what helps with them, the ways that serve them in a '
            .'good order with their times, what is lacking and whether the hour offers it, and why each other way is left out.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new TextField('today', 'date up to which the marks are read, such as 2026-05-20', 25))->required(),
            new TextField('starts_at', 'when the lesson begins, such as 2026-05-20T09:00:00Z; default today', 40),
            new TextField('time_zone', 'where the clock on the wall is read; default by the offset of starts_at, or the pack’s', 60),
            (new NumberField('minutes', 'of the lesson, with its debrief', 5.0, 600.0))->required(),
            ChoiceField::of('learner_level', 'as the school says; default developing: how hard a way they can bear', LearnerLevel::class),
            VehicleField::field(),
            SkillFields::marks(),
            SkillFields::overrulings(),
            new ListField('agreed', 'for this lesson, last time', new ObjectField('promise', 'one', new Shape(
                ChoiceField::of('routine', 'about', RoutineCode::class)->required(), ChoiceField::of('step', 'of it', Step::class),
            )), self::MOST_NAMED),
            new ListField('pinned', 'what is to be in it', new TextField('name', 'id of a way, or a routine', 60), self::MOST_NAMED),
            new ListField('excluded', 'what is not', new TextField('name', 'id of a way, or a routine', 60), self::MOST_NAMED),
            (new TextField('test_on', 'date of the test; null where none is booked', 25))->orNull(),
            PositionField::of('start', 'where the lesson starts; needed with ways'),
            PositionField::of('end', 'where it ends; default where it starts'),
            CircuitReader::ways(self::MOST_WAYS, self::ROUNDS, 'that could be driven'),
            CircuitReader::measuredLegs(),
            new NumberField('detour_factor', 'roads against the crow’s line; default '.Drive::DETOUR, 1.0, 5.0),
            new QuantityField('debrief', 'talking at the end; default '.CircuitTool::DEBRIEF_S.', or 15 % of a short lesson', Kind::Duration, 0.0, 7200.0),
            new ObjectField('speeds', 'paces that are not the usual ones', new Shape(...CircuitReader::paces())),
        );
    }

    public function output(): array
    {
        $circuit = CircuitPresenter::schema();

        return [
            'aims' => Out::list(Out::object([
                'routine' => Out::choice(RoutineCode::class), 'step' => Out::choice(Step::class, 'above all'),
                'side' => Out::choice(Side::class, 'of the way driven; null where it is either', nullable: true),
                'reason' => Out::choice(AimReason::class), 'gain' => Out::number('by which the chances of its steps are expected to rise, added up'),
                'evidence' => Out::integer('marks of the step'), 'message' => Out::text('as a sentence'),
                'remedy' => Out::object([
                    'text' => Out::text('what helps'), 'drill' => Out::text('to practise it'),
                    'fault' => Out::text('the kind that is seen most; null where none is', nullable: true),
                    'learners' => Out::integer('who were given it, with marks before and after; none is known to the calculation'),
                    'change' => Out::number('of how often the step is clean; null where it is not known', nullable: true),
                    'low' => Out::number('of its 80 % range', nullable: true), 'high' => Out::number('of its 80 % range', nullable: true),
                ]),
            ]), 'one or two, the main one first'),
            'order' => $circuit['order'],
            'parts' => $circuit['parts'],
            'exact' => Out::flag('no other choice of these ways is worth more; false where there are too many to look at all'),
            'value' => Out::number('what its rounds are expected to bring: chances added up'),
            'driven_m' => $circuit['driven_m'],
            'spare_s' => $circuit['spare_s'],
            'lacking' => Out::list(Out::object([
                'condition' => Out::choice(['busy', 'night', 'wet']), 'possible' => Out::flag('in this lesson'), 'message' => Out::text('as a sentence'),
            ]), 'conditions hardly driven in'),
            'left_out' => Out::list(Out::object([
                'way' => Out::text('its id'), 'reason' => Out::choice(WhyNot::class), 'message' => Out::text('as a sentence'),
            ]), 'in the order given'),
        ];
    }

    public function effort(Values $input): float
    {
        $ways = count($input->objects('ways'));

        return Effort::QUICK + self::STEPS_OF_A_RECORD + 6.0 * count($input->objects('marks')) + $ways * self::STEPS_OF_A_WAY + ($ways <= Choosing::EXACT ? 2 ** $ways * 8.0 : 0.0);
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $today = SkillReader::day($input->text('today') ?? '', 'today');
        [$evidence, $ignored] = SkillReader::marks($input, $pack, $today);
        $at = CircuitReader::startsAt($input, $pack) ?? $today->setTimezone(new \DateTimeZone($pack->timeZone()));
        $testOn = $input->text('test_on') === null ? null : SkillReader::day($input->text('test_on'), 'test_on');
        $vehicle = VehicleField::read($input);
        $learner = new Learner(
            $evidence, $pack, max($today, $at), SkillReader::overrulings($input, $pack, $today), $vehicle->transmission,
            $input->choice('learner_level', LearnerLevel::class) ?? LearnerLevel::Developing,
        );
        $seconds = (int) round(($input->number('minutes') ?? 0.0) * 60.0);
        $debrief = (int) round($input->duration('debrief')?->inSeconds() ?? min(CircuitTool::DEBRIEF_S, self::DEBRIEF_SHARE * $seconds));
        $drive = CircuitReader::drive($input, $seconds, $pack);
        $stops = CircuitReader::stops($input, $pack, $drive, self::ROUNDS);
        $routines = NextLessonReader::routines($input, $pack);
        $ids = array_map(static fn (Stop $stop): string => $stop->id, $stops);
        [$pinned, $pinnedRoutines] = NextLessonReader::named($input, 'pinned', $ids, $pack);
        [$excluded, $excludedRoutines] = NextLessonReader::named($input, 'excluded', $ids, $pack);
        $start = PositionField::read($input->object('start'));
        if ($start === null && $stops !== []) {
            throw BadInput::field('start', 'is missing: where does the lesson begin?');
        }
        $legs = $start === null ? null
            : Legs::between($start, PositionField::read($input->object('end')) ?? $start, $stops, $drive, CircuitReader::legs($input, $stops));
        if ($legs !== null && $legs->along([]) + $debrief > $seconds) {
            throw BadInput::field('minutes', sprintf(
                'must be %d or more: the drive from start to end and the debrief alone take as long.', (int) ceil(($legs->along([]) + $debrief) / 60.0),
            ));
        }
        $here = $stops === [] || $legs === null ? null : LessonProposal::within($stops, $routines, $legs, (float) ($seconds - $debrief), $excluded);
        $aims = Aims::of($learner, NextLessonReader::agreed($input, $pack), $pinnedRoutines, $excludedRoutines, $testOn, $here);
        $proposal = $legs === null || $stops === [] ? null
            : LessonProposal::of($learner, $aims, $stops, $routines, $legs, $seconds, $debrief, $pinned, $excluded);

        return new Answer(
            $pack->code(), $pack->version(),
            ['aims' => self::aims($aims, $learner, $evidence, $pack, $vehicle->hasClutch())] + self::lesson($proposal) + [
                'lacking' => array_map(static fn (Lacking $one): array => [
                    'condition' => $one->condition, 'possible' => $one->isPossible, 'message' => $one->message,
                ], $learner->level === LearnerLevel::Beginner ? [] : Lacking::of($evidence, $at, $seconds, $start)),
                'left_out' => array_map(static fn (NotTaken $one): array => [
                    'way' => $one->way, 'reason' => $one->reason->value, 'message' => $one->message,
                ], $proposal->notTaken ?? []),
            ],
            [
                ...CommonFields::defaults(
                    $input, CommonFields::default('learner_level', LearnerLevel::Developing->value), CommonFields::default('debrief', $debrief, 's'),
                ),
                ...$stops === [] ? [] : [...CircuitPresenter::paces($input, $drive, $stops), ...CircuitPresenter::unsaid($input, self::ROUNDS)],
                new Assumption('an aim’s rounds count', LessonProposal::AIM, 'times as much as others', Source::assumed()),
            ],
            $ignored === 0 ? [] : [Warning::future($ignored)],
        );
    }

    /**
     * @param  non-empty-list<Aim>  $aims
     * @param  list<Evidence>  $evidence
     * @return list<array<string, mixed>>
     */
    private static function aims(array $aims, Learner $learner, array $evidence, RulePack $pack, bool $hasClutch): array
    {
        $faults = FaultSeen::in($evidence, $pack);

        return array_map(static function (Aim $aim) use ($learner, $faults, $pack, $hasClutch): array {
            $remedy = Remedied::of($aim, $learner, $faults, $hasClutch);

            return [
                'routine' => $aim->routine->code->value, 'step' => $aim->step->value, 'side' => Demand::side($aim->routine->code, $pack)?->value,
                'reason' => $aim->reason->value, 'gain' => round($aim->gain, 4), 'evidence' => $aim->evidence, 'message' => $aim->message($learner),
                'remedy' => [
                    'text' => $remedy->text, 'drill' => $remedy->drill, 'fault' => $remedy->fault,
                    'learners' => 0, 'change' => null, 'low' => null, 'high' => null,
                ],
            ];
        }, $aims);
    }

    /** @return array<string, mixed> */
    private static function lesson(?LessonProposal $proposal): array
    {
        if ($proposal === null) {
            return ['order' => [], 'parts' => [], 'exact' => true, 'value' => 0.0, 'driven_m' => 0, 'spare_s' => 0];
        }
        $driven = CircuitPresenter::driven($proposal->circuit);

        return [
            'order' => $driven['order'], 'parts' => $driven['parts'], 'exact' => $proposal->isExact, 'value' => round($proposal->value, 4),
            'driven_m' => $driven['driven_m'], 'spare_s' => $driven['spare_s'],
        ];
    }
}
