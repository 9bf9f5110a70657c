<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Skill\Difficulty;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Ladder;
use NobleTurn\Core\Skill\Level;
use NobleTurn\Core\Skill\Model;
use NobleTurn\Core\Skill\Record;
use NobleTurn\Core\Skill\Trend;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Vehicle\Transmission;

/** What the marks say a learner can do unaided today, how surely, and what holds back most. */
final class SkillTool implements Tool
{
    public function name(): string
    {
        return 'skill';
    }

    public function about(): string
    {
        return 'From marks to abilities: for each step of each routine the chance of “unaided” in the reference conditions today with its 80 % range, the '
            .'evidence behind it, its trend, what holds back most, and the chances of the next mark.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new TextField('today', 'date the estimates are for, such as 2026-05-20', 25))->required(),
            SkillFields::marks(),
            ChoiceField::of('transmission', 'learned on; default manual: what such a car cannot do was never left out', Transmission::class),
            SkillFields::overrulings(),
            new ListField('own_ratings', 'how the learner rated a step of a lesson, oldest lesson first', new ObjectField('rating', 'one', new Shape(
                (new TextField('lesson', 'of marks', 60))->required(),
                ChoiceField::of('step', 'rated', Step::class)->required(),
                ChoiceField::of('outcome', 'said', Outcome::class)->required(),
            )), 2_000),
            new ListField('predict', 'marks to come', new ObjectField('next', 'one', new Shape(
                (new TextField('at', 'when', 35))->required(),
                ChoiceField::of('routine', 'driven', RoutineCode::class)->required(),
                ChoiceField::of('step', 'marked', Step::class)->required(),
                new TextField('place', 'where', 60),
                SkillFields::conditions(),
            )), 500),
        );
    }

    public function output(): array
    {
        $chance = static fn (string $about): array => Out::number("{$about}, 0 to 1");
        $routine = Out::choice(RoutineCode::class);
        $step = Out::choice(Step::class);

        return [
            'cells' => Out::list(Out::object([
                'routine' => $routine, 'step' => $step, 'estimate' => $chance('unaided in the reference conditions today'),
                'low' => $chance('lower end of the 80 % range'), 'high' => $chance('its upper end'),
                'evidence' => Out::integer('marks behind it'), 'lessons' => Out::integer('in so many lessons'), 'last' => Out::text('when it was last marked'),
                'level' => ['enum' => array_column(Level::cases(), 'value'), 'description' => 'the estimate in a word'],
                'unsure' => Out::flag('whether the range is so wide that it is a guess'),
                'trend' => Out::choice(Trend::class, 'over the last lessons, by the marks alone'),
                'fading' => Out::flag('whether its routine was not driven for long'), 'faded_by' => $chance('what it lost since'),
                'said' => Out::choice(Level::class, 'the level of the last overruling', nullable: true),
                'marks_alone' => ['type' => ['number', 'null'], 'description' => 'the estimate without it'],
            ])),
            'weakest' => Out::list(Out::object(['routine' => $routine, 'step' => $step]), 'the cells that stand lowest, lowest first'),
            'holds_back' => Out::list(Out::object([
                'step' => Out::choice(Step::class, 'null where it is about a routine', nullable: true),
                'section' => Out::choice(Section::class, 'of the catalogue; null where it is everywhere', nullable: true),
                'routine' => Out::choice(RoutineCode::class, 'null where it is about a step', nullable: true),
                'condition' => Out::choice(array_merge(...array_values(Conditions::KINDS)), 'where it is about conditions', nullable: true),
                'side' => Out::choice(Side::class, 'where it is about every turn to that side', nullable: true),
                'fault' => Out::text('its kind of fault, where one stands out', nullable: true), 'message' => Out::text('as a heading'),
                'deficit' => Out::number('below its like, logits'), 'gain' => Out::number('by which the average chance would rise'),
                'evidence' => Out::integer('marks it rests on'),
            ]), 'most first'),
            'leaning' => Out::maybe(Out::object([
                'estimate' => Out::number('-1 all timid to +1 all bold, of what went wrong one way or the other'),
                'low' => Out::number('lower end of the 80 % range'),
                'high' => Out::number('its upper end'), 'evidence' => Out::integer('signs of it, five or more'), 'timid' => Out::integer('of them'),
                'bold' => Out::integer('of them'), 'message' => Out::text('as a sentence'),
            ]), 'timid or bold; null under five signs'),
            'markers' => Out::list(Out::object([
                'marker' => Out::text('who'), 'lenient' => Out::number('logits by which a mark of theirs says too much; below 0 where they are strict'),
                'within' => Out::number('half of the 80 % range'),
            ]), 'how each of those who marked does, beside one another'),
            'faults' => Out::list(Out::object([
                'routine' => $routine, 'step' => $step, 'fault' => Out::text('its code'),
                'side' => Out::choice(Side::class, 'of the way driven', nullable: true),
                'count' => Out::integer('rounds in which it was seen'), 'rounds' => Out::integer('of so many in which the step was marked'),
                'last' => Out::text('when it was last seen'), 'worst_effect' => Out::choice(Effect::class, 'on others', nullable: true),
            ]), 'kinds of fault, most often seen first'),
            'never_done' => Out::list($routine, 'of the pack, nobody marked or showed it'), 'only_shown' => Out::list($routine),
            'not_for_long' => Out::list(Out::object(['routine' => $routine, 'days' => Out::integer('since')]), 'longest first'),
            'own_ratings' => Out::list(Out::object([
                'step' => $step, 'lessons' => Out::integer('compared'), 'said' => Out::number('average rung, 0 intervened to 4 unaided'),
                'marked' => Out::number('the same of the marks'),
                'leans' => ['enum' => ['lower', 'alike', 'higher'], 'description' => 'of the learner beside the marks'],
            ])),
            'predicted' => Out::list(Out::object(array_combine(self::outcomes(), array_map($chance, self::outcomes()))), 'for each entry of predict'),
        ];
    }

    public function effort(Values $input): float
    {
        return Effort::QUICK + 6.0 * (count($input->objects('marks')) + count($input->objects('predict')));
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $today = SkillReader::day($input->text('today') ?? '', 'today');
        [$evidence, $ignored] = SkillReader::marks($input, $pack, $today);
        $overrulings = SkillReader::overrulings($input, $pack, $today);
        $fit = Fit::of($evidence, $pack, $today, overrulings: $overrulings);

        return new Answer($pack->code(), $pack->version(), SkillPresenter::body(
            new Record(
                $evidence, $pack, $today, $overrulings, SkillReader::ratings($input), $fit,
                $input->choice('transmission', Transmission::class) ?? Transmission::Manual,
            ),
        ) + [
            'predicted' => array_map(static function (Values $next) use ($fit): array {
                $routine = $next->choice('routine', RoutineCode::class) ?? RoutineCode::EmergeRight;
                $step = $next->choice('step', Step::class) ?? Step::Mirrors;
                $at = SkillReader::day($next->text('at') ?? '', 'predict.at');

                return array_combine(self::outcomes(), array_map(
                    static fn (float $p): float => round($p, 9), $fit->foretells($routine, $step, SkillReader::conditions($next), $next->text('place'), $at),
                ));
            }, $input->objects('predict')),
        ], self::assumptions(), $ignored === 0 ? [] : [Warning::future($ignored)]);
    }

    /** @return non-empty-list<string> worst to best, as the ladder ranks them */
    private static function outcomes(): array
    {
        return array_map(static fn (Outcome $outcome): string => $outcome->value, Outcome::cases());
    }

    /** @return list<Assumption> */
    private static function assumptions(): array
    {
        $model = new Model;
        $assumed = Source::assumed();

        return [
            new Assumption('cumulative logit, '.(Ladder::TOP + 1).' rungs', 'McCullagh 1980', '', Source::fromMemory('Regression models for ordinal data')),
            new Assumption(
                'busy traffic, night, wet: harder by',
                implode(
                    ', ',
                    array_map(
                        static fn (Conditions $one): string => (string) Difficulty::of($one),
                        [new Conditions('busy'), new Conditions(light: 'night'), new Conditions(surface: 'wet')],
                    ),
                ),
                'logits', $assumed,
            ),
            new Assumption('easier than unaided: missed, prompted, reminded', implode(', ', Ladder::EASIER), 'logits', $assumed),
            new Assumption('a learner nobody has marked', $model->start, 'logits', $assumed),
            new Assumption('spread of learners', $model->learner, 'logits', $assumed),
            new Assumption('spread of places of one kind', $model->place, 'logits', $assumed),
            new Assumption('spread of a step in a section', $model->stepInSection, 'logits', $assumed),
            new Assumption('slips and luck', $model->slips, 'of the marks foretold', $assumed),
            new Assumption('gained with practice', $model->practice, 'logits for each factor e', $assumed),
            new Assumption('lost without it', $model->fading, 'logits for each factor e of months', $assumed),
            new Assumption('learners differ in that by', $model->fadingDiffers, 'logits for each factor e of months', $assumed),
            new Assumption('an instructor’s own word is taken to within', $model->overruling, 'logits', $assumed),
            new Assumption('a mark counts less after', $model->lessons, 'lessons', $assumed),
        ];
    }
}
