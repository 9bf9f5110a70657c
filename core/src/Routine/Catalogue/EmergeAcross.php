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

/** Out of a side road across the nearer lane into the farther one. Common practice, no source. */
final class EmergeAcross
{
    public static function routine(RoutineCode $code): Routine
    {
        return new Routine(
            $code,
            'Emerge {turn}',
            'From a side road over a {give-way} or stop line, across the nearer lane into the farther one.',
            'Regain the {near} at once; {accelerator} as the wheel comes straight; cancel; mirrors.',
            [
                new Instruction(
                    Step::Mirrors,
                    'Interior mirror, then the {turn} door mirror{and shoulder}; both again before moving off from the line.',
                    'You are about to move to the middle: somebody impatient may be coming past there.',
                    'Mirrors and signal in one movement.',
                    'The direction was taken in late, and the hand was quicker than the eyes.',
                    'Mirrors, a breath, then the stalk; say what is behind.',
                    'Approach and stop, without the turn: mirrors at the sign every time, three times.',
                ),
                new Instruction(
                    Step::Signal,
                    'Check mirrors, decide, then signal {turn}, before the brake lights or the move towards the middle.',
                    'Those behind can pass on the {away} if they mean to turn that way; the brake lights then surprise nobody.',
                    'At the number learned by heart, although the car is braking by then.',
                    'The mirrors were done where the signal belongs.',
                    'The faster the road, the earlier both: the strip shows by how much.',
                    'Two approaches at two speeds, the learner calling the signal; compare the places.',
                ),
                new Instruction(
                    Step::Position,
                    'Move up to the {centre} line, close to it but not on it; in a one-way street to its {turn} edge.',
                    'It leaves room on the {away} and squares the car to the road it will cross.',
                    'Still in the middle of the lane at the line, or on the ordinary place in a one-way street.',
                    'The signal was late, so braking began before the place was taken.',
                    'Move during the first light braking, be done before it becomes firm.',
                    'Roll up to a quiet line five times with the {turn} wheels a hand from the paint.',
                ),
                new Instruction(
                    Step::Speed,
                    'Brake gently, then more firmly, then ease, down to walking pace or a stop at the line.',
                    'Crossing a lane needs the longer look; walking pace gives you the time for it.',
                    'Late, hard braking[, with the clutch down first|].',
                    'The move to the middle was late and used up the room for the brake.',
                    'Off the {accelerator} as soon as the mirrors are done; the brake is then light.',
                    'Same line at 30 and at 20: feel how much sooner the {accelerator} goes off.',
                    'Clutch and gear when the brake has done its work: second, or first for a closed view or a stop.',
                ),
                new Instruction(
                    Step::Look,
                    '{off}, {near}, {off} at the least and on until both are clear together; straight forward until the front meets the middle of the new '
                        .'road, then steer.',
                    'Two streams have to be clear in one moment; the first look only shows what is there.',
                    'Deciding on the first look; or clear to the {off}, gone, and a car from the {near}.',
                    'Too fast at the line for a second look.',
                    'Nobody goes on a first look: say “{off} clear, {near} clear, {off} clear”.',
                    'Parked with a view of a {junction}: the learner calls “now” for each gap that would do, and counts it.',
                ),
            ],
            Section::Emerging,
            'At the end of the road turn {turn}, please.',
            Sketch::TJunction,
            [
                new Variant('Closed view', '[First gear, creep|Creep] and look, creep and look; two streams to see before crossing one.', ['view' => 'closed']),
                new Variant('Stop line', 'A complete stop at the line, then creep to where both ways are seen.', ['control' => 'stop']),
                new Variant(
                    'One-way street',
                    'The {turn} edge of the road: nobody can come in, and the ordinary place counts as the lane for the other turn.',
                    ['one_way' => true],
                ),
                new Variant('Cars parked opposite', 'Steer a little earlier so as not to meet them, and regain the {near} at once.'),
                new Variant(
                    'Two things at once',
                    'A crossing or lights right behind the turn: go when both can be done in one, or if a whole car fits between them, one after the other.',
                ),
                new Variant('Uphill line', 'The brake comes later and lighter; [the biting point holds the car while looking|foot and brake hold the car '
                    .'while looking].', ['gradient' => 0.08]),
            ],
            '{T-junction}, side road, give way, stop line, one-way, looks once, cuts the corner',
        );
    }
}
