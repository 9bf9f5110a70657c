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
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Next\Aims;
use NobleTurn\Core\Next\Choosing;
use NobleTurn\Core\Next\Learner;
use NobleTurn\Core\Next\LessonProposal;
use NobleTurn\Core\Next\NextLesson;
use NobleTurn\Core\Next\Practised;
use NobleTurn\Core\Next\Serious;
use NobleTurn\Core\Next\Weighed;
use NobleTurn\Core\Next\Worth;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** What a lesson is for, and the ways it drives for that. */
final class NextLessonTool implements Tool
{
    public const MOST_WAYS = 80;

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
            CircuitReader::ways(self::MOST_WAYS, NextLesson::ROUNDS, 'that could be driven'),
            CircuitReader::measuredLegs(),
            new NumberField('detour_factor', 'roads against the crow’s line; default '.Drive::DETOUR, 1.0, 5.0),
            new QuantityField('debrief', 'talking at the end; default '.CircuitTool::DEBRIEF_S.', or 15 % of a short lesson', Kind::Duration, 0.0, 7200.0),
            new ObjectField('speeds', 'paces that are not the usual ones', new Shape(...CircuitReader::paces())),
        );
    }

    public function output(): array
    {
        return NextLessonPresenter::schema();
    }

    public function effort(Values $input): float
    {
        $ways = count($input->objects('ways'));
        $sets = $ways <= Choosing::EXACT ? 2 ** $ways * 8.0 : 0.0;

        return Effort::QUICK + self::STEPS_OF_A_RECORD + 6.0 * count($input->objects('marks')) + $ways * self::STEPS_OF_A_WAY + $sets;
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
        $stops = CircuitReader::stops($input, $pack, $drive, NextLesson::ROUNDS);
        $routines = NextLessonReader::routines($input, $pack);
        $ids = array_map(static fn (Stop $stop): string => $stop->id, $stops);
        $pinned = NextLessonReader::named($input, 'pinned', $ids, $pack);
        $excluded = NextLessonReader::named($input, 'excluded', $ids, $pack);
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
        $lesson = NextLesson::of(
            $learner, $at, $seconds, $debrief, NextLessonReader::agreed($input, $pack), $pinned, $excluded, $testOn, $stops, $routines, $legs, $start,
        );

        return new Answer(
            $pack->code(), $pack->version(), NextLessonPresenter::body($lesson, $learner, $vehicle->hasClutch()),
            [
                ...CommonFields::defaults(
                    $input, CommonFields::default('learner_level', LearnerLevel::Developing->value), CommonFields::default('debrief', $debrief, 's'),
                ),
                ...$stops === [] ? [] : [...CircuitPresenter::paces($input, $drive, $stops), ...CircuitPresenter::unsaid($input, NextLesson::ROUNDS)],
                new Assumption('rounds of an aim count', LessonProposal::AIM, 'times as much as others', Source::assumed()),
                new Assumption('an aim is driven for', Aims::ROUNDS, 'rounds', Source::assumed()),
                new Assumption('come back to before it fades, at the most', LessonProposal::REVISITS, 'routines', Source::assumed()),
                new Assumption('come back to one that has lost', LessonProposal::FADES, 'logits since it was driven', Source::assumed()),
                new Assumption('to more of those that have lost', LessonProposal::FADED, 'logits', Source::assumed()),
                new Assumption('the hardest way is harder than the easiest by', Weighed::HARDEST, 'logits', Source::assumed()),
                new Assumption('something new weighs half after', Aims::PAUSE_DAYS, 'days without a lesson', Source::assumed()),
                new Assumption('what nobody has seen counts as missing, by how well the worst goes, to the power', Worth::UNSEEN, '', Source::assumed()),
                new Assumption('gained by practice at the least', Practised::LEAST_GAIN, 'logits for each factor e of rounds', Source::assumed()),
                new Assumption('as much as all others say of a step', Worth::OWN, 'mark of its own, more of them more', Source::assumed()),
                new Assumption('a step left out would be a serious fault', Serious::LEFT_OUT, 'of the times', Source::assumed()),
            ],
            $ignored === 0 ? [] : [Warning::future($ignored)],
        );
    }
}
