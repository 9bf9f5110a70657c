<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules\Questions;

use NobleTurn\Core\Rules\Option;
use NobleTurn\Core\Rules\Question;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Step;

/** Roundabouts, slip roads and overtaking. */
final class BigRoads
{
    /** @return non-empty-list<Question> */
    public static function all(): array
    {
        return [
            new Question('roundabout_signal', 'Approach signal where there are several lanes or lights', Step::Signal, [R::Roundabout], [
                new Option(
                    'rule-with-check', 'By the rule, unless it would suggest the wrong lane', 'A rule others expect, kept where it tells the truth.',
                    'Signal by the rule, unless it would suggest a lane we are not in.',
                ),
                new Option('rule', 'By the clock rule', 'Everybody expects it.', 'Signal by the clock, always.'),
                new Option(
                    'none-if-misleading', 'None on multi-lane or signal-controlled ones', 'The lane says it already.',
                    'With several lanes or lights: no signal on the approach, the lane says it.',
                ),
            ], changes: ['lanes']),
            new Question('mini_exit', 'Exit signal on a mini-roundabout', Step::Signal, [R::MiniRoundabout], [
                new Option(
                    'by-time', 'By the time spent on it', 'Under about three seconds there is no time for one.',
                    'An exit signal only where there are about three seconds on it.',
                ),
                new Option('never', 'Never, no time', 'Both hands are busy with the wheel.', 'No exit signal.'),
                new Option('larger', 'On larger ones', 'Those waiting can go sooner.', 'An exit signal on the larger ones.'),
            ], changes: ['lanes']),
            new Question('joining', 'Joining', Step::Speed, [R::Join], [
                new Option(
                    'whole-slip', 'Stay {near}, use the whole {slip}, join near its end', 'Time for everybody to see everybody.',
                    'Stay {near} and use the whole {slip road}; the speed is matched as early as it allows.',
                ),
                new Option(
                    'first-gap', 'Reach traffic speed first and take the first clear gap', 'The gap seen is the gap used.',
                    'Traffic speed first, then the first clear gap; never over a solid line.',
                ),
            ], changes: ['join']),
            new Question('leave_marker', 'Signal to leave', Step::Signal, [R::Leave], [
                new Option('300', 'At the {marker:1} {marker}', 'Those behind know it before they have to act.', 'Signal at the {marker:1} {marker}.'),
                new Option('200', 'At the {marker:2} {marker}', 'Near enough to be meant.', 'Signal at the {marker:2} {marker}.'),
            ], changes: ['leave'], needsMarkers: true),
            new Question('leave_signal', 'Next signal on the leaving {slip}', Step::Signal, [R::Leave], [
                new Option(
                    'half-way', 'Cancel at once, wait, signal half-way along; at once on a short one', 'Two signals that touch are read as one.',
                    'Cancel at once; the signal for the {junction} comes half-way along, at once where the {slip road} is short.',
                ),
                new Option('at-once', 'Cancel, mirrors, signal anew at once', 'Nothing is left to remember.', 'Cancel, mirrors, and signal anew at once.'),
            ], changes: ['leave']),
            new Question('overtake_place', 'Place before {overtaking}', Step::Position, [R::Overtake], [
                new Option(
                    'kept-back', 'Kept back, for a longer view', 'From further back more of the road past it is seen, and giving up is only easing off.',
                    'Stay back there: the view past it is longest; the speed is gathered before leaving the lane.',
                ),
                new Option(
                    'closed-up', 'Closed up to about half a second for the moment of decision', 'The way past is shorter, and so is the time out there.',
                    'When a chance is likely, up to about half a second, only for the moment of decision.',
                ),
            ], changes: ['overtake']),
            new Question('return_signal', 'Signal on the way back after {overtaking}', Step::Signal, [R::Overtake], [
                new Option(
                    'where-it-helps', '{near} signal where somebody behind gains by it', 'It is for those behind; where nobody is, it says nothing.',
                    'Back in: {near} mirror, and the {near} signal where somebody behind gains by it.',
                ),
                new Option(
                    'always', '{near} signal after the {near} mirror', 'A habit that never has to be decided is never forgotten.',
                    'Back in: {near} mirror, then the {near} signal.',
                ),
                new Option('mirror-only', 'Mirror only', 'Going back is what everybody expects.', 'Back in: {near} mirror, no signal.'),
            ], changes: ['overtake']),
            new Question('slip_lane', 'Lane on the {slip} when turning {off} soon', Step::Position, [R::Leave], [
                new Option(
                    'by-length', '{near} first and over later; straight into the {off} one only where it is short', 'A lane change needs room.',
                    '{near} lane of the {slip road} first, over with a full routine; straight into the {off} one only where it is short.',
                ),
                new Option(
                    'straight', 'Straight into the {off} lane always', 'One decision fewer at speed.',
                    'Straight into the {off} lane of the {slip road}.',
                ),
            ], changes: ['leave']),
        ];
    }
}
