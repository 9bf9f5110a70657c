<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Rules\GearHabit;
use NobleTurn\Core\Rules\JunctionHabit;
use NobleTurn\Core\Rules\LookHabit;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\SignalRule;

/** The practice of an input; what is not said takes the default. */
final class PracticeField
{
    public static function field(): ObjectField
    {
        return new ObjectField('practice', 'the doctrine in use', new Shape(
            ChoiceField::of('signal', 'where the signal for a turn is put; default limit-number', SignalRule::class),
            ChoiceField::of('gears', 'default block', GearHabit::class),
            ChoiceField::of('t_junction', 'default by-level: stop first for beginners', JunctionHabit::class),
            ChoiceField::of('look', 'default alternate', LookHabit::class),
            new ChoiceField('leave_marker', 'no effect on a junction', [300, 200]),
            new ChoiceField('shoulder', 'no effect on a junction', ['before-signal', 'after-signal']),
        ));
    }

    public static function read(Values $input): Practice
    {
        $asked = $input->object('practice') ?? new Values([]);
        $default = new Practice;

        return new Practice(
            $asked->choice('signal', SignalRule::class) ?? $default->signal,
            $asked->choice('gears', GearHabit::class) ?? $default->gears,
            $asked->choice('t_junction', JunctionHabit::class) ?? $default->junction,
            $asked->choice('look', LookHabit::class) ?? $default->look,
        );
    }
}
