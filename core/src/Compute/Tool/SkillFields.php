<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\Taught;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Skill\Level;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Stage;
use NobleTurn\Core\Trade\Step;

/** The fields of a learner's record, as every tool that reads one takes them. */
final class SkillFields
{
    private const MOST_MARKS = 30_000;

    private const MOST_OVERRULINGS = 500;

    public static function conditions(): ObjectField
    {
        return new ObjectField('conditions', 'what it was driven in; what is not noted counts as the reference', new Shape(
            new ChoiceField('traffic', 'around', Conditions::KINDS['traffic']), new ChoiceField('light', 'of day', Conditions::KINDS['light']),
            new ChoiceField('surface', 'under the tyres', Conditions::KINDS['surface']), new ChoiceField('road', 'kind of road', Conditions::KINDS['road']),
            new ChoiceField('occasion', 'it was driven on; noted, and weighed as any other', ['lesson', 'mock-test', 'test']),
        ));
    }

    public static function marks(): ListField
    {
        return (new ListField('marks', 'every marked step', new ObjectField('mark', 'one', new Shape(
            (new TextField('at', 'when, ISO 8601', 35))->required(),
            ChoiceField::of('routine', 'driven', RoutineCode::class)->required(),
            ChoiceField::of('step', 'marked', Step::class)->required(),
            ChoiceField::of('outcome', 'how it was done', Outcome::class)->required(),
            new FlagField('out_of_order', 'a slip in the order counts as a prompt at the least'),
            new ChoiceField('fault', 'the kind that was seen, of this step: with it “unaided” counts as a reminder', Faults::codes()),
            ChoiceField::of('effect', 'on others: where they had to change something it counts as missed', Effect::class),
            ChoiceField::of('side', 'of the way driven; default the routine’s own', Side::class),
            ChoiceField::of('taught', 'shown or talked through: practice, no evidence', Taught::class),
            new TextField('lesson', 'marks of one lesson; default those of one day', 60),
            new TextField('marker', 'who marked it', 60),
            new TextField('place', 'where: some are harder than others of their kind', 60),
            ChoiceField::of('stage', 'of the round; marks of several stages each count', Stage::class),
            self::conditions(),
        )), self::MOST_MARKS))->required();
    }

    public static function overrulings(): ListField
    {
        return new ListField('overrulings', 'where an instructor knows better', new ObjectField('overruling', 'one', new Shape(
            (new TextField('at', 'when it was said', 35))->required(),
            ChoiceField::of('routine', 'about', RoutineCode::class)->required(),
            ChoiceField::of('step', 'about', Step::class)->required(),
            ChoiceField::of('level', 'how often it would be unaided', Level::class)->required(),
        )), self::MOST_OVERRULINGS);
    }
}
