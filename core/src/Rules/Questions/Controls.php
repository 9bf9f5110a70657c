<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules\Questions;

use NobleTurn\Core\Rules\Option;
use NobleTurn\Core\Rules\Question;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Step;

/** Gears, clutch, brakes and waiting. */
final class Controls
{
    /** @return non-empty-list<Question> */
    public static function all(): array
    {
        return [
            new Question('gears', 'Gears on the approach', Step::Speed, [], [
                new Option('block', 'One block change to the gear needed', 'One change leaves more attention for the road.'),
                new Option('sequential', 'Down through the gears, second while still rolling', 'Each lower gear helps to hold the speed just reached.'),
            ], changes: ['approach'], needsClutch: true),
            new Question('gear_at_line', 'Gear at a {T-junction}', Step::Speed, Where::LINES, [
                new Option(
                    'second-then-first', 'Second, then first if the view is closed; after stopping for beginners',
                    'Second rolls quietly; first is needed only where the car all but stands.',
                    'Second as a rule, first after a stop.',
                ),
                new Option(
                    'first-on-the-move', 'First, ready on the move', 'Whatever the decision, the gear for it is there.',
                    'First is taken on the move, below walking pace, before the last look.',
                ),
                new Option('first-after-stop', 'First only after stopping', 'A moving gear change never disturbs the looking.', 'Stop, then first, then look.'),
            ], changes: ['approach'], needsClutch: true),
            new Question('clutch', 'Clutch down while rolling', Step::Speed, [], [
                new Option(
                    'fault-if-fast', 'A fault before braking, or longer than a change above about {mph:10}',
                    'With the clutch down the engine no longer helps to slow.',
                    'The clutch stays up while the car is fast: a fault before the brake, or for longer than a change.',
                ),
                new Option(
                    'last-lengths', 'The last two or three car lengths are fine', 'Before a stop the engine has nothing left to give.',
                    'Before a stop the clutch may be down for the last two or three car lengths; on a slope it is the way to creep.',
                ),
            ], changes: ['approach'], needsClutch: true),
            new Question('t_junction', 'At any {T-junction}', Step::Speed, Where::LINES, [
                new Option(
                    'by-level', 'By level: stop first for beginners, roll later',
                    'A beginner looks better from a standstill; later a clear line is rolled over slowly.',
                ),
                new Option(
                    'stop-first', 'Stop at the line first, then gear, observe, go',
                    'From rest there is time for gear, looks and decision one after the other.',
                ),
                new Option('ready-to-roll', 'First gear ready on the move, roll if clear', 'A {give-way line} asks for readiness, not for a stop.'),
            ], changes: ['approach']),
            new Question('waiting', 'Waiting', Step::Speed, [...Where::LIGHTS, R::QueueStop, R::RailCrossing], [
                new Option(
                    'by-length', 'A short wait [in gear|on the brake], a long one secured', 'The feet rest where the wait is long and are ready where '
                        .'it is not.',
                    'A short wait: [in gear, |]foot brake. A long one: parking brake[ and neutral|].',
                ),
                new Option('in-gear', '[In gear, foot|Foot] brake', 'Ready at once when it changes.', 'Waiting [in gear |]with the foot brake held.'),
                new Option(
                    'secured', 'Parking brake at every full stop', 'Nobody is pushed into the car ahead by a foot that slips.',
                    'Parking brake at every full stop; neutral too where it lasts.',
                ),
            ]),
            new Question('setting_off', 'Setting off', Step::Speed, [R::MoveOff, R::Ramp, R::QueueStop], [
                new Option(
                    'gas-on-a-hill', '{Accelerator} first on a hill, either on the flat', 'Uphill the engine must already pull when the brake goes.',
                    'Uphill the {accelerator} comes before the biting point; on the flat either way.',
                ),
                new Option(
                    'biting-first', 'Biting point, then {accelerator}', 'Less noise, and the clutch is felt.',
                    'Find the biting point first, then the {accelerator}.',
                ),
                new Option(
                    'gas-first', '{Accelerator}, then biting point', 'It never stalls.', 'A little {accelerator} first and held, then the biting point.',
                ),
            ], needsClutch: true),
            new Question('parking_brake', 'Parking brake off', Step::Speed, [R::MoveOff, R::Ramp], [
                new Option('last', 'Last of all', 'Until it goes the car cannot.', 'The parking brake comes off last of all.'),
                new Option(
                    'preparing', 'While preparing', 'One thing fewer at the moment of moving.',
                    'The parking brake comes off while preparing, the foot brake holding.',
                ),
            ]),
            new Question('changing_up', 'Changing up', Step::Speed, [R::GearChange, R::MoveOff, R::Join], [
                new Option(
                    'by-the-car', 'By the car: how fast its revs fall', 'What is smooth in one car jerks in the next.',
                    'Gas and clutch by the car: together where the revs fall fast, clutch first where they hang.',
                ),
                new Option('gas-first', '{Accelerator} off, then clutch', 'The engine never screams.', '{Accelerator} off, then the clutch.'),
                new Option(
                    'clutch-first', 'Clutch, then {accelerator} off at once', 'The car does not nod.',
                    'Clutch down briskly, and the {accelerator} off straight after.',
                ),
            ], needsClutch: true),
            new Question('wheel', 'Wheel through the hands', Step::Position, [R::SeatAndHands], [
                new Option(
                    'push-and-pull', 'Push, pull and hold, thumbs up', 'One hand always holds, and both are ready for more.',
                    'Push, pull and hold: no hand crosses the top.',
                ),
                new Option(
                    'as-it-comes', 'As it comes, both hands on it', 'Smoothness and both hands count, not their path.',
                    'As it comes, both hands on the wheel, smoothly.',
                ),
            ]),
            new Question('steering_back', 'Steering back', Step::Speed, [...Where::TURNS, R::SeatAndHands], [
                new Option(
                    'by-hand', 'Unwound by hand at low speed', 'The driver, not the road, says when it is straight.',
                    'Unwind the wheel by hand while slow.',
                ),
                new Option(
                    'let-run', 'Let it run back under a light hold', 'The castor does it more smoothly than hands.',
                    'Let the wheel run back through a light hold.',
                ),
            ]),
            new Question('hands', 'Hands', Step::Position, [R::SeatAndHands], [
                new Option(
                    'either', 'Either, chosen once', 'What is chosen once is kept under stress.',
                    'Hands level or a little above, as chosen on the first day.',
                ),
                new Option('quarter-to-three', 'Quarter to three', 'Level hands pull and push alike.', 'Hands at quarter to three.'),
                new Option('ten-to-two', 'Ten to two', 'Higher hands rest the shoulders on long wheels.', 'Hands at ten to two.'),
            ]),
        ];
    }
}
