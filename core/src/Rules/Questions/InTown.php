<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules\Questions;

use NobleTurn\Core\Rules\Option;
use NobleTurn\Core\Rules\Question;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Step;

/** Openings, lights, tight rings, lanes for buses, and how briskly a town is driven. */
final class InTown
{
    /** @return non-empty-list<Question> */
    public static function all(): array
    {
        return [
            new Question('opening', 'Signal for a turn with an opening just before it', Step::Signal, Where::TURNS, [
                new Option(
                    'after', 'A little later, once nobody there could misread it', 'Whoever waits in that opening may pull out before us.',
                ),
                new Option(
                    'in-good-time', 'In good time whatever', 'Those behind need it more than anybody in the opening; the speed tells the rest.',
                    'Signal in good time, opening or not; watch who waits there.',
                ),
            ], changes: ['approach']),
            new Question('red', 'Rolling up to a red', Step::Speed, Where::LIGHTS, [
                new Option(
                    'second-ready', 'Second in readiness at each', 'When it changes only the {accelerator} is missing.',
                    'Up to a red: ease off early, second on the move, first only just before a stop.',
                ),
                new Option(
                    'when-it-changes', 'Clutch down, the gear chosen when it changes', 'One change for what is really wanted, not one for each light.',
                    'Up to a red: ease off early, clutch down late, the gear when it changes.',
                ),
            ], changes: ['approach'], needsClutch: true),
            new Question('mini_gear', 'Gear on a {mini-roundabout}', Step::Speed, [R::MiniRoundabout], [
                new Option(
                    'by-speed', 'By radius and speed', 'Second as long as it turns freely at the speed the circle allows; first below that.',
                    'Second; first where the circle is so tight that second would not turn freely.',
                ),
                new Option('second', 'Second, first only if nearly stopped', 'It is smoother, and one change less.', 'Second; first only if nearly stopped.'),
                new Option(
                    'first-where-tight', 'First where it is tight', 'The car pulls at once and is held back at once.',
                    'First, taken before the line, where the circle is tight.',
                ),
            ], changes: ['approach'], needsClutch: true),
            new Question('bus_lane', 'A lane for buses outside its hours', Step::Position, [R::LaneChangeLeft, R::LaneChangeRight, R::Merge], [
                new Option(
                    'if-long-enough', 'Used where it goes on for long enough', 'Two changes for a few car lengths gain nothing.',
                    'Outside its hours the lane for buses is used where it goes on for long enough.',
                ),
                new Option(
                    'any-lane', 'Used as any lane', 'It is lawful, and an empty lane helps everybody.',
                    'Outside its hours the lane for buses is a lane like any other.',
                ),
                new Option(
                    'left-alone', 'Left alone', 'It ends, buses stop in it, and cars park there.',
                    'The lane for buses is left alone, hours or not, unless the turn is from it.',
                ),
            ], changes: ['lane-change']),
            new Question('pace', 'Pace in town with a clear road', Step::Speed, [R::BetweenHazards, R::Independent], [
                new Option(
                    'near-limit', 'Near the limit where the view allows', 'Hesitation is read, and passed, by those behind.',
                    'With a clear road and view: near the limit, and steady.',
                ),
                new Option(
                    'own-pace', 'Below the limit is fine while it is smooth', 'A learner who is ahead of the car is safer than one who keeps up.',
                    'Below the limit is fine as long as it is smooth and nobody is held up for long.',
                ),
            ]),
        ];
    }
}
