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

/** Out of a side road, turning into the nearer lane. Common practice, no source. */
final class EmergeTowardsKerb
{
    public static function routine(RoutineCode $code): Routine
    {
        return new Routine(
            $code,
            'Emerge {turn}',
            'From a side road over a {give-way} or stop line into the nearer lane.',
            'Gas as the wheel comes straight; cancel; mirrors; up to the speed of the new road.',
            [
                new Instruction(
                    Step::Mirrors,
                    'Interior mirror, then the {turn} door mirror{and shoulder}; the {turn} one again before moving off from the line.',
                    'A cycle can come up on the {turn} while you slow, and again while you wait.',
                    'The {turn} mirror left out: “I am only going {turn}”.',
                    'The line was noticed late; the routine began at the signal.',
                    'The {give-way} sign is the cue for the interior mirror.',
                    'Find the sign: the learner calls every {give-way} sign the moment it can be read.',
                ),
                new Instruction(
                    Step::Signal,
                    'Check mirrors, decide, then signal {turn}, before the brake lights.',
                    'Those behind see why you slow; somebody on foot at the corner sees where you will go.',
                    'Forgotten because there is “nowhere else to go”.',
                    'No mirrors, so no thought of anybody who could use the signal.',
                    'Mirrors ask the question, the signal answers it: for whom is it?',
                    'Three emerges: the learner names one person the signal is for, on foot counts.',
                ),
                new Instruction(
                    Step::Position,
                    'Place the car by the width of the lane: its middle where it is narrow, further {turn} where it is wide.',
                    'Those turning in need the other half, and the half turn of the wheel starts where the {kerb} begins to curve.',
                    'Too near the {kerb} at the curve, so that the turn swings wide into the far lane.',
                    'The signal and the place came together, late, and the {kerb} drew the car in.',
                    'Hold the distance from the {kerb} that the middle of the lane gives, to the line.',
                    'Roll to the line of a wide side road and get out to look where the wheels stand.',
                ),
                new Instruction(
                    Step::Speed,
                    'Brake gently, then more firmly, then ease, down to walking pace or a stop at the line.',
                    'Slow early opens time to look; somebody turning in may cut across your nose.',
                    '[Clutch down before the brake: the car coasts to the line.|The brake late and hard: nothing seen on the way.]',
                    'Still placing the car, the learner met the line too fast and pressed everything at once.',
                    'Right foot first, left foot only when the brake has done its work.',
                    'Quiet road, no {junction}: slow from 30 to walking pace with the left foot flat on the floor mat until told.',
                    'Clutch and gear when the brake has done its work: second, or first for a closed view or a stop.',
                ),
                new Instruction(
                    Step::Look,
                    '{off}, {near}, {off} at the least, from where the view opens, and on until you go; then eyes into the lane you will drive in.',
                    'Traffic from the {off} is on your half at once; oncoming cars may be on it too, round cars parked on theirs.',
                    'Only to the {off}: the parked car or the crossing round the corner comes as a surprise.',
                    'Arrived too fast to look both ways.',
                    'The last look before the wheel turns is where the car will end up.',
                    'At the line, parked: the learner says what was to the {near} before what was to the {off}.',
                ),
            ],
            Section::Emerging,
            'At the end of the road turn {turn}, please.',
            Sketch::TJunction,
            [
                new Variant('Closed view', '[First gear, a|A] little at a time and leaning forward, until it opens; often a stop.', ['view' => 'closed']),
                new Variant('Stop line', 'A complete stop at the line; where the view is further on, stop, then creep.', ['control' => 'stop']),
                new Variant(
                    'A path before the line', 'People or cycles cross before the line is reached: a hazard of its own, looked at and taken first.',
                    ['view_from_m' => 12],
                ),
                new Variant(
                    'Parked car just before the line', 'Pass it, regain the place, and only then brake firmly: slower from further out.',
                    ['parked' => [['side' => '{near}', 'from_m' => 52, 'to_m' => 40]]],
                ),
                new Variant(
                    'Cars parked round the corner',
                    'Is there room to end up in? Oncoming cars may be on our half: look {turn} as well as {away} until the nose is round.',
                ),
                new Variant(
                    'Medium gap',
                    'Feet ready, parking brake off only when the gap is there; wait until a turning driver has committed, not merely signalled.',
                ),
            ],
            '{T-junction}, side road, give way, stop line, closed view, looks once, rolls over',
        );
    }
}
