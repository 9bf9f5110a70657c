<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules\Questions;

use NobleTurn\Core\Rules\Option;
use NobleTurn\Core\Rules\Question;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Step;

/** Waiting at the kerb, standing at it, and going backwards to it. */
final class AtTheKerb
{
    /** @return non-empty-list<Question> */
    public static function all(): array
    {
        return [
            new Question('kerb_signal', 'Signal while waiting at the {kerb}', Step::Signal, [R::MoveOff, R::LongMoveOff], [
                new Option(
                    'near-gap', 'When a gap is near; early where boxed in', 'A signal with no gap makes those behind brake for nothing.',
                    'Waiting, the signal comes when a gap is near; early only where one is boxed in and can hardly be seen.',
                ),
                new Option(
                    'gap-only', 'Only when a gap is near', 'It always says the same: we are coming now.',
                    'Waiting, no signal before the gap that will be taken.',
                ),
                new Option(
                    'early', 'Early where one can hardly be seen', 'Those who come round the parked cars learn in time that somebody sits in one of them.',
                    'Where we can hardly be seen the signal comes early, and is taken off again if the wait grows long.',
                ),
            ]),
            new Question('neutral', 'Neutral after stopping at the {kerb}', Step::Speed, [R::PullUpLeft, R::PullUpRight, R::PullUpRightReverse], [
                new Option(
                    'neutral', 'Yes, with the parking brake', 'Feet and hands rest, and nothing moves when the clutch comes up.',
                    'Parking brake, neutral, then the feet come off.',
                ),
                new Option(
                    'in-gear', 'Never during an assessment', 'Under nerves a car in neutral revs and does not move.',
                    'Parking brake; in an assessment first stays in, the clutch down, until we go on.',
                ),
            ], needsClutch: true),
            new Question('reversing', 'Speed and eyes in reverse', Step::Speed, [R::PullUpRightReverse, R::BayOut, R::BayIn, R::BackUp], [
                new Option(
                    'by-slope', 'By slope[ and clutch|]', 'What sets the speed is what moves the car: the hill, or the engine.',
                    'Where it rolls by itself the brake alone sets the speed; else [the clutch|a covered brake]. Eyes back, mirrors between.',
                ),
                new Option(
                    'brake-and-back', 'Brake alone where it rolls, looking back over the seat', 'One foot, one thought, and the eyes where the car goes.',
                    'The brake alone where it rolls; eyes through the rear window over the seat.',
                ),
                new Option(
                    'clutch-and-mirrors', '[Clutch control and mirrors|A covered brake and mirrors] as well', 'Mirrors show the {kerb} that the window hides.',
                    '[The biting point sets|A covered brake holds] a slow walk; mirrors for the {kerb}, round and back between.',
                ),
            ]),
        ];
    }
}
