<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Step;

/**
 * Where good instructors disagree. All of it is common practice with no source; the first option is the default
 * unless the pack has its own. Texts are written for cards: sides by `{near}`, `{off}`, `{turn}`.
 */
final class Practices
{
    private const TURNS = [R::TurnLeft, R::TurnRight, R::EmergeLeft, R::EmergeRight, R::LightsLeft, R::LightsRight, R::RightOnRed, R::CentreLaneLeft];

    private const LINES = [R::EmergeLeft, R::EmergeRight, R::Cross];

    private const GAPS = [
        ...self::LINES, R::TurnLeft, R::TurnRight, R::LightsLeft, R::LightsRight, R::CentreLaneLeft, R::RightOnRed,
    ];

    private const LANES = [R::LaneChangeLeft, R::LaneChangeRight, R::Merge, R::Join];

    private const LIGHTS = [R::LightsAhead, R::LightsLeft, R::LightsRight];

    /** @var array<string, Question> by key, built once: they never change */
    private static array $known = [];

    /** @return non-empty-list<Question> */
    public static function all(): array
    {
        $all = self::known();

        return $all === [] ? throw new \LogicException('There are no questions.') : array_values($all);
    }

    /** @return list<Question> those that can be asked there */
    public static function under(RulePack $pack): array
    {
        return array_values(array_filter(self::known(), static fn (Question $question): bool => $question->isAskedUnder($pack)));
    }

    public static function question(string $key): Question
    {
        return self::known()[$key] ?? throw new \LogicException("There is no question {$key}.");
    }

    /** @return array<string, Question> */
    private static function known(): array
    {
        if (self::$known === []) {
            self::$known = array_column([...self::announcing(), ...self::controls(), ...self::looking(), ...self::bigRoads()], null, 'key');
        }

        return self::$known;
    }

    /** @return non-empty-list<Question> */
    private static function announcing(): array
    {
        return [
            new Question('signal', 'When to signal for a turn', Step::Signal, self::TURNS, [
                new Option(
                    'limit-number', 'The rule’s number before the line',
                    'Easily remembered; it is raised where physics or a close follower asks for more.',
                ),
                new Option('car-lengths', 'Eight to ten car lengths', 'Can be judged by eye on any road; nine are planned with.'),
                new Option('braking-lead', 'Two seconds before brake light or sideways move', 'The signal is tied to what it announces.'),
            ], changes: ['approach']),
            new Question('order', 'Mirrors or signal first', Step::Mirrors, self::LANES, [
                new Option(
                    'mirrors-first', 'Mirrors, time to think, then signal', 'Nothing is announced that what is behind forbids.',
                    'Mirrors first and time to think; only then the signal.',
                ),
                new Option(
                    'signal-first', 'Signal, then interior, ahead, side, ahead, shoulder',
                    'The wish is announced, the move is decided by what is then seen.',
                    'Signal first, then interior, ahead, door mirror, ahead, shoulder, and only then the move.',
                ),
            ], changes: ['lane-change']),
            new Question('steps', 'Steps of the routine', Step::Speed, [], [
                new Option('five', 'Five[, the gear inside Speed|]', '[Gear follows from the speed reached; one thought.|One thought.]'),
                new Option('six', 'Six, the gear a step of its own', 'A beginner finds the gear easier as its own step after the brake.'),
                new Option('three', 'Three: mirrors, signal, manoeuvre', 'Short enough to be said aloud; the manoeuvre holds position, speed and look.'),
            ], changes: ['approach']),
            new Question('shoulder', 'Shoulder glance', Step::Look, [...self::LANES, R::MoveOff, R::PullUpRightReverse], [
                new Option(
                    'after-signal', 'After the signal, just before moving', 'The last thing seen is the newest.',
                    'The shoulder glance comes last of all, just before the move.',
                ),
                new Option(
                    'before-signal', 'Before the signal', 'Somebody in the blind spot is not startled by a signal.',
                    'The shoulder glance belongs to the mirrors, before the signal; once more if the move had to wait.',
                ),
            ], changes: ['lane-change']),
            new Question('passed', 'Being passed before a lane change', Step::Signal, [...self::LANES, R::PassParked, R::LongLaneChange], [
                new Option(
                    'let-pass', 'Let it pass, look again, then signal', 'Nobody has to wonder what we are about to do.',
                    'Somebody passing: let them pass, look again, then signal.',
                ),
                new Option(
                    'signal-meanwhile', 'Signal while it passes', 'It cannot be taken for pushing in, and those further back make room.',
                    'Somebody passing: signal meanwhile, so that those behind them make room; a long vehicle signals and waits to be let in.',
                ),
            ], changes: ['lane-change']),
            new Question('moving_off_signal', 'Moving-off check and signal', Step::Signal, [R::MoveOff], [
                new Option(
                    'if-it-helps', 'Full round; signal if it helps somebody', 'A signal nobody sees teaches nothing; deciding does.',
                    'Signal if anybody, on wheels or on foot, is helped by it.',
                ),
                new Option(
                    'always', 'Full round, always signal', 'A habit that never has to be decided is never forgotten.',
                    'Signal every time, whoever is there.',
                ),
                new Option(
                    'relevant', 'Relevant mirrors and shoulder, signal if it helps',
                    'Looking where the danger can be leaves the eyes more time there.',
                    'The mirrors that matter here and the shoulder; signal if it helps.',
                ),
            ]),
        ];
    }

    /** @return non-empty-list<Question> */
    private static function controls(): array
    {
        return [
            new Question('gears', 'Gears on the approach', Step::Speed, [], [
                new Option('block', 'One block change to the gear needed', 'One change leaves more attention for the road.'),
                new Option('sequential', 'Down through the gears, second while still rolling', 'Each lower gear helps to hold the speed just reached.'),
            ], changes: ['approach'], needsClutch: true),
            new Question('gear_at_line', 'Gear at a {T-junction}', Step::Speed, self::LINES, [
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
            new Question('t_junction', 'At any {T-junction}', Step::Speed, self::LINES, [
                new Option(
                    'by-level', 'By level: stop first for beginners, roll later',
                    'A beginner looks better from rest; later a clear line is rolled over slowly.',
                ),
                new Option(
                    'stop-first', 'Stop at the line first, then gear, observe, go',
                    'From rest there is time for gear, looks and decision one after the other.',
                ),
                new Option('ready-to-roll', 'First gear ready on the move, roll if clear', 'A {give-way line} asks for readiness, not for a stop.'),
            ], changes: ['approach']),
            new Question('waiting', 'Waiting', Step::Speed, [...self::LIGHTS, R::QueueStop, R::RailCrossing], [
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
                    'gas-on-a-hill', 'Gas first on a hill, either on the flat', 'Uphill the engine must already pull when the brake goes.',
                    'Uphill the gas comes before the biting point; on the flat either way.',
                ),
                new Option('biting-first', 'Biting point, then gas', 'Less noise, and the clutch is felt.', 'Find the biting point first, then the gas.'),
                new Option('gas-first', 'Gas, then biting point', 'It never stalls.', 'A little gas first and held, then the biting point.'),
            ], needsClutch: true),
            new Question('parking_brake', 'Parking brake off', Step::Speed, [R::MoveOff, R::Ramp], [
                new Option('last', 'Last of all', 'Until it goes the car cannot.', 'The parking brake comes off last of all.'),
                new Option(
                    'preparing', 'While preparing', 'One thing fewer at the moment of moving.',
                    'The parking brake comes off while preparing, the foot brake holding.',
                ),
            ]),
            new Question('steering_back', 'Steering back', Step::Speed, [...self::TURNS, R::SeatAndHands], [
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

    /** @return non-empty-list<Question> */
    private static function looking(): array
    {
        return [
            new Question('look', 'Looking at a {T-junction}', Step::Look, self::LINES, [
                new Option('alternate', 'Keep alternating until clear', 'Looking goes on until it is clear; both ways and back is the least.'),
                new Option('right-left-right', '{off}, {near}, {off} as the minimum', 'A fixed minimum is easy to hold on to.'),
            ], changes: ['approach']),
            new Question('near_place', 'Place when emerging {near}', Step::Position, [R::EmergeLeft, R::EmergeRight], [
                new Option('by-width', 'By width', 'A wide lane is shared with those turning in, a narrow one cannot be.'),
                new Option('middle', 'Middle of the lane', 'Nobody squeezes past on either side.'),
                new Option('to-kerb', 'Well to the {near}', 'Those turning in have room.'),
            ], changes: ['approach']),
            new Question('green', 'A light that turns green', Step::Look, self::LIGHTS, [
                new Option(
                    'while-going', 'A short look while going', 'Whoever jumps a light is seen, and nobody is kept waiting.',
                    'On green go at once, with a short look both ways meanwhile.',
                ),
                new Option('at-once', 'Go at once', 'A clear green not used is a fault of progress.', 'On green go at once.'),
                new Option(
                    'look-then-go', 'Look both ways, then go', 'The dangerous second of a green light is its first.',
                    'On green look both ways first, then go.',
                ),
            ]),
            new Question('people', 'People crossing the road being entered, moving away', Step::Look, self::TURNS, [
                new Option(
                    'until-over', 'Wait until they are over', 'Somebody on foot may turn round or stumble.',
                    'Somebody still crossing, also away from us: wait until they are over.',
                ),
                new Option(
                    'past-island', 'Go once they are past the island, as local law allows', 'Past the island they are on another road.',
                    'Somebody crossing away from us and past the island: go, where local law allows.',
                ),
            ], changes: ['crossing']),
            new Question('asks_of_others', 'How much a gap may ask of others', Step::Look, self::GAPS, [
                new Option(
                    'nothing', 'Nothing: nobody has to change anything', 'Somebody who has to react to us has not been left alone; an assessment sees it so.',
                    'A gap in which nobody has to change anything.',
                ),
                new Option(
                    'off-gas', 'They may come off the gas', 'In busy traffic nobody would ever get out otherwise, and nobody minds.',
                    'A gap may ask others to come off the gas, never to brake.',
                ),
                new Option(
                    'design', 'What road design reckons with', 'Roads are laid out for drivers who slow down a little for each other.',
                    'A gap may ask others to slow down a little, as roads are laid out for.',
                ),
            ], changes: ['gap']),
            new Question('mirror_show', 'Showing mirror checks', Step::Mirrors, [], [
                new Option(
                    'eyes', 'Eyes are enough', 'Seeing is what counts; for an assessment it may be made visible.',
                    'Eyes are enough; in an assessment a small turn of the head lets the watcher see it.',
                ),
                new Option(
                    'visible', 'Make the head movement visible', 'What is seen can be marked.',
                    'The head turns a little with every mirror, so that it can be seen.',
                ),
            ]),
            new Question('mirror_set_up', 'Side-mirror set-up', Step::Mirrors, [R::VehicleCheck], [
                new Option(
                    'sliver', 'A sliver of our own car visible', 'The own flank tells what the mirror points at.',
                    'Door mirrors: a sliver of the own flank at the inner edge, the horizon in the middle.',
                ),
                new Option(
                    'out', 'Turned further out', 'The blind spot shrinks; the own flank is seen by leaning.',
                    'Door mirrors turned out until the own flank is seen only when leaning.',
                ),
            ]),
        ];
    }

    /** @return non-empty-list<Question> */
    private static function bigRoads(): array
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
