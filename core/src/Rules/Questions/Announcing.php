<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules\Questions;

use NobleTurn\Core\Rules\Option;
use NobleTurn\Core\Rules\Question;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Step;

/** What is announced before it is done: mirrors, signal, and the steps themselves. */
final class Announcing
{
    /** @return non-empty-list<Question> */
    public static function all(): array
    {
        return [
            new Question('signal', 'When to signal for a turn', Step::Signal, Where::TURNS, [
                new Option(
                    'limit-number', 'The rule’s number before the line',
                    'Easily remembered; it is raised where physics or a close follower asks for more.',
                ),
                new Option('car-lengths', 'Eight to ten car lengths', 'Can be judged by eye on any road; nine are planned with.'),
                new Option(
                    'braking-lead', 'Two seconds before brake light or sideways move',
                    'The signal is tied to what it announces. Others teach the limit’s number in metres, or eight to ten car lengths.',
                ),
            ], changes: ['approach']),
            new Question('order', 'Mirrors or signal first', Step::Mirrors, Where::LANES, [
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
            new Question('shoulder', 'Shoulder glance', Step::Look, [...Where::LANES, R::MoveOff, R::PullUpRightReverse], [
                new Option(
                    'after-signal', 'After the signal, just before moving', 'The last thing seen is the newest.',
                    'The shoulder glance comes last of all, just before the move.',
                ),
                new Option(
                    'before-signal', 'Before the signal', 'Somebody in the blind spot is not startled by a signal.',
                    'The shoulder glance belongs to the mirrors, before the signal; once more if the move had to wait.',
                ),
            ], changes: ['lane-change']),
            new Question('passed', 'Being passed before a lane change', Step::Signal, [...Where::LANES, R::PassParked, R::LongLaneChange], [
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
}
