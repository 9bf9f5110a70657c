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

/** Off the main road on the {kerb}'s side. Common practice, no source. */
final class TurnTowardsKerb
{
    public static function routine(RoutineCode $code): Routine
    {
        return new Routine(
            $code,
            'Turn {turn} off the main road',
            'From a road with priority into a side road on the {kerb}’s side.',
            'Gas as the wheel comes straight and the new road is seen; cancel; mirrors; read the limit.',
            [
                new Instruction(
                    Step::Mirrors,
                    'Interior mirror, then the {turn} door mirror{and shoulder}.',
                    'Who is behind decides how early you signal and how softly you brake; a cycle may be coming up on the {turn}.',
                    'Mirrors together with the signal, so that nothing seen can change anything.',
                    'The direction came late or was taken in late, and the hand went to the stalk first.',
                    'Say aloud what is behind before touching the stalk.',
                    'Two quiet blocks: name colour and distance of the car behind at each side road, turning into none.',
                ),
                new Instruction(
                    Step::Signal,
                    'Check mirrors, decide, then signal {turn}, once any opening before yours is behind you.',
                    'Those behind need time to read it before the brake lights come; those waiting in the side road plan by it.',
                    'Given while passing the driveway before the turn, so that it reads as that one.',
                    'The mirrors were hurried, and the signal came with them.',
                    'Mirrors, a breath, then the stalk.',
                    'Same turn three times; the learner says “past it” when the opening before is behind the car.',
                ),
                new Instruction(
                    Step::Position,
                    'Keep an ordinary distance from the {kerb}, neither tight nor wide.',
                    'It says the intention a second time and keeps the rear wheel off the {kerb}.',
                    'Swinging out to the {away} before the turn, as if the car were long.',
                    'The signal came so late that place and steering were done in one.',
                    'Hold the line in the lane until the forward point, then steer half to three quarters of a turn.',
                    'Slow turns into a wide side road, watching the {kerb} in the {turn} mirror.',
                ),
                new Instruction(
                    Step::Speed,
                    'Brake gently, then more firmly, then ease; reach the turning speed before you steer.',
                    'Slow early gives time to look into the side road; a car braked in the turn runs wide.',
                    'Braking late and steering with the brake still on.',
                    'The car was still being placed when it should have been slowing.',
                    'Off the {accelerator} right after the mirrors; feel the slowing begin before the signal clicks twice.',
                    'Stop-watch game: be at turning speed a car’s length before the mouth, three times running.',
                    'Only then the clutch: second, or first if it is very tight, clutch rising before the wheel turns.',
                ),
                new Instruction(
                    Step::Look,
                    'Look into the side road as soon as it opens: people crossing, feet at the {kerb}, parked cars; eyes where the car will go before '
                        .'you steer.',
                    'People crossing the road you enter come first, and the car follows the eyes.',
                    'Eyes still {away} or on the car behind at the moment of steering: the turn goes wide.',
                    'The car was too fast for more than one glance.',
                    'Slow sooner; head turned into the side road before the hands move.',
                    'The learner says “clear” or “wait” before each turn; saying neither means driving past.',
                ),
            ],
            Section::Turning,
            'Take the next road on the {turn}, please.',
            Sketch::SideRoad,
            [
                new Variant(
                    'Tight corner',
                    '[First gear and hardly|Hardly] more than walking pace; nearly as much wheel as there is, and feet at the {kerb} edge looked for.',
                    ['turn_radius_m' => 5.5],
                ),
                new Variant(
                    'Driveway before ours', 'The signal waits until the driveway is passed, yet must still be seen before the brake lights.',
                    ['openings' => [['side' => '{turn}', 'from_m' => 60, 'to_m' => 54]]],
                ),
                new Variant(
                    'Second turn at once',
                    'With little room the speed for the whole routine is lower; where even that fails, it is planned before the first turn.',
                    ['room_m' => 60],
                ),
                new Variant('Somebody close behind', 'Signal a second earlier, brake more lightly and for longer.', ['close_follower' => true]),
            ],
            'side road, corner, wide turn, cuts in, runs wide, cycle inside',
        );
    }
}
