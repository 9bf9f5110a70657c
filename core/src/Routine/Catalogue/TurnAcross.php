<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Instruction;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** Off the main road across the oncoming lane. Common practice, no source. */
final class TurnAcross
{
    public static function routine(RoutineCode $code): Routine
    {
        return new Routine(
            $code,
            'Turn {turn} off the main road',
            'From a road with priority across oncoming traffic into a side road.',
            'Gas as the wheel comes straight; cancel; mirrors; read the limit.',
            [
                new Instruction(
                    Step::Mirrors,
                    'Interior mirror, then the {turn} door mirror{and shoulder}; the door mirror once more just before steering.',
                    'Somebody may be {overtaking} just as you move to the middle, and again while you wait.',
                    'Not looked again after waiting for oncoming traffic.',
                    'The whole attention went to the gap ahead once the car stood.',
                    'The last glance before the wheel turns is the {turn} mirror.',
                    'At each wait the instructor asks “who is behind?” just before the gap.',
                ),
                new Instruction(
                    Step::Signal,
                    'Check mirrors, decide, then signal {turn}, before the car moves towards the middle.',
                    'It lets those behind pass on the {away} in good time, and those ahead know why you slow.',
                    'Signal and sideways move together.',
                    'The mirrors came late, and everything after them was squeezed.',
                    'Count two clicks of the {indicator} before the hands move.',
                    'A straight quiet road: mirrors, signal, two clicks, move a foot to the {turn}; cancel; again.',
                ),
                new Instruction(
                    Step::Position,
                    'Move up to the {centre} line, or into the marked waiting box; look along it, far ahead.',
                    'It leaves room to pass on the {away} and shows oncoming drivers what you want.',
                    'Half-way to the middle: nobody can pass, and the turn starts askew.',
                    'The signal was late, and the place was taken while braking.',
                    'Eyes along the {centre} line, not down at it; finished before firm braking.',
                    'Drive a quiet road with the wheels a hand from the line for ten seconds, then back.',
                ),
                new Instruction(
                    Step::Speed,
                    'Brake gently, then more firmly, then ease to the turning speed, ready to stop at the turning point.',
                    'At turning speed you can decide while rolling; faster, the decision is made for you.',
                    'Rushing the last metres to get in before an oncoming car.',
                    'The place was still being taken, so the brake came late.',
                    'Plan to stop; going on is the exception.',
                    'Same turn with the stop always made, then only when needed.',
                    'Then the clutch: second on the move, first if you had to wait.',
                ),
                new Instruction(
                    Step::Look,
                    'Oncoming traffic, the road you enter, people crossing it; go only if nobody has to change speed or direction. Go on until about '
                        .'half-way across the mouth, then steer.',
                    'You cross their road: the gap must be theirs to keep and yours to leave.',
                    'Cutting the corner over the other side of the side road.',
                    'Arrived too fast, the car was steered before its turning point.',
                    'Name the forward point aloud, steer when level with it.',
                    'On foot at the {kerb}: stand where the turning point is, then drive to it.',
                ),
            ],
            Section::Turning,
            'Take the next road on the {turn}, please.',
            Sketch::SideRoad,
            [
                new Variant(
                    'Marked waiting box',
                    'Into the box and up to its end; straight wheels while waiting, so that a knock from behind does not push the car across.',
                ),
                new Variant(
                    'Parked cars before the turn', 'The place is taken only when clear of them, and with less time: slower.',
                    ['parked' => [['side' => '{near}', 'from_m' => 90, 'to_m' => 80]]],
                ),
                new Variant(
                    'Drive on the same side before', 'The signal waits until it is passed.',
                    ['openings' => [['side' => '{turn}', 'from_m' => 54, 'to_m' => 48]]],
                ),
                new Variant(
                    'Cars parked on their side', 'Oncoming traffic comes round them on our half: wait a little further back.',
                    ['parked' => [['side' => '{off}', 'from_m' => 70, 'to_m' => 50]]],
                ),
            ],
            'side road, across oncoming, cuts the corner, waiting in the middle, timid, hesitates',
        );
    }
}
