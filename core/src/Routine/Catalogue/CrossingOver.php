<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Trade\RoutineCode;

/** Straight over a main road, and traffic lights. Common practice, no source. */
final class CrossingOver
{
    public static function cross(): Routine
    {
        return new Routine(
            RoutineCode::Cross, 'Straight over at {crossroads}', 'From a minor road over a main road into the minor road opposite.',
            'Mirrors on the far side; read the limit.',
            [
                Write::mirrors(
                    'Interior mirror as the line is seen; again before moving off from it.',
                    'No signal tells those behind that you may stop: the brake lights must not surprise them.',
                    'No mirror, because nothing is turned.',
                    'Straight on was taken for “nothing to do”.',
                    'Every line is a hazard, whichever way it is left.',
                    'A grid of quiet streets: mirror at every line, ten lines.',
                ),
                Write::speed(
                    'Brake gently, then more firmly, down to walking pace or a stop at the line.',
                    'Two streams and the road opposite have to be seen before the choice is made.',
                    'Arriving as for an open road because the one opposite looks like ours going on.',
                    'The line was not read as a line: nothing was looked for behind.',
                    'Find the line and the sign first; the road opposite is for later.',
                    'Name the sign, the line and the view of six {crossroads} before reaching them.',
                    'Second, or first where the view is closed.',
                    forBeginner: 'Stop at the line first[, then first gear|], then look.',
                ),
                Write::look(
                    'Both ways and back until both streams are clear in one moment; the road opposite: who comes over, who turns across; then straight and '
                        .'without a pause.',
                    'Crossing takes longer than turning towards the {kerb}, and there is nowhere to wait half-way.',
                    'Clear one way, gone, and a car from the other.',
                    'Too fast at the line for a second look.',
                    'Clear means both at once: begin again from the first side.',
                    'Parked with a view: call the gaps that would do for crossing, and count them.',
                ),
            ],
            Section::Emerging, 'Straight over at the {crossroads}, please.', Sketch::Crossroads,
            [
                new Variant('Closed view', 'Creep and look until both are seen.', ['view' => 'closed']),
                new Variant('Stop line', 'A complete stop.', ['control' => 'stop']),
                new Variant('Somebody opposite turning across', 'Neither has a right to be first that the other must know of: eye, hand, and slow.'),
            ],
            'crossroads, ahead, give way, main road',
        );
    }

    public static function lightsAhead(): Routine
    {
        return new Routine(
            RoutineCode::LightsAhead, 'Straight on at traffic lights',
            'Any set of lights that is driven straight through; each set on a roundabout too.', 'Interior mirror past them; next hazard.',
            [
                Write::mirrors(
                    'Interior mirror at each set, also on green.',
                    'Whether a change can be answered by stopping depends on who is behind.',
                    'Only on red: a change then finds nobody looked for.',
                    'Green was taken for “nothing there”.',
                    'The lights are the call for the mirror, whatever they show.',
                    'Count lights and mirrors over ten sets; the two numbers must agree.',
                ),
                Write::speed(
                    'A fresh green: hold the speed. A green seen for long: ease a little, foot ready, and fix the point beyond which you go on even if it '
                        .'changes. Red: a light brake early, so that the car may still be rolling when it changes.',
                    'Between stopping in comfort and being over in time lies a stretch where neither fits; easing takes it away.',
                    'Speeding up to get through, or a stamp on the brake at the change.',
                    'The car behind was unknown, so there was nothing to decide with.',
                    'Name the point aloud: “now I go on”.',
                    'Twenty sets with the instructor asking “if it changed now?” at random.',
                    'Second in readiness for a rolling red; the gear when it is known whether you stop.',
                ),
                Write::look(
                    'Both ways for a light-jumper, the crossing, room beyond for a whole car; then go at once if clear.',
                    'Green is not yet safe: a person still on the crossing is waited for, a queue beyond is not entered.',
                    'Moving because the car ahead does; or dawdling on a clear green.',
                    'The change was not expected, so the looking began when it should have ended.',
                    'Waiting: settle which lane, where to end, who goes first, before it changes.',
                    'At every wait the learner says what will move first and is told whether it did.',
                ),
            ],
            Section::Lights, 'Straight on at the lights, please.', Sketch::Lights,
            [
                new Variant('Green seen for long', 'Ease to a speed at which a change finds an answer.', ['light' => 'green-long']),
                new Variant('Red', 'Stop at the line, before box and crossing.', ['light' => 'red']),
                new Variant('Changing', '{Amber}: stop if it can be done without harsh braking.', ['light' => 'changing']),
                new Variant('Close follower on a long green', 'A touch of brake early shows the lights.', ['light' => 'green-long', 'close_follower' => true]),
                new Variant('Cycle box, box {junction}, keep-clear', 'All of them stay empty: stop before, also when the car ahead stands beyond.'),
            ],
            'amber, red, green, point of no return, jump, hesitates',
        );
    }

    public static function lightsTurn(RoutineCode $code, bool $across): Routine
    {
        $wait = $across
            ? 'Over the line on green to just before the turning point, straight wheels; oncoming traffic, the light, the lane ahead, people on the road '
                .'you enter; one short look to the {near}, where a light-jumper would come from, before steering; clear the {junction} before '
                .'the lights change.'
            : 'People crossing the road you enter; cycles on the {turn} once more; one short look to the {off}, where a light-jumper would come from, then '
                .'eyes into the new road.';

        return new Routine(
            $code, 'Turn {turn} at traffic lights',
            $across
                ? 'At a crossing of roads or a {T-junction} under lights, across oncoming traffic.'
                : 'At a crossing of roads or a {T-junction} under lights, to the {kerb}’s side.',
            'Cancel; mirrors; any red met now is not ours.',
            [
                Write::mirrors(
                    'Interior, {turn} mirror{and shoulder} at the lane; both door mirrors again before the green is used.',
                    'Cycles and motorcycles come up on both sides of a queue.',
                    'No look before moving off: the cycle that came up meanwhile is hit on the turn.',
                    'The wait was spent looking at the light.',
                    'Last thing before moving: the {turn} mirror.',
                    'At ten reds: what came up beside us since we stopped?',
                ),
                Write::signal(
                    'Signal {turn} after the mirrors, before the lane is taken, and leave it on through the wait.',
                    'Those waiting opposite plan by it.',
                    'Cancelled by straightening in the lane, not noticed in the wait.',
                    'Mirrors and signal were done together, and neither was looked at again.',
                    'First thing once stopped: is it still ticking?',
                    'Instructor switches it off during waits; the learner must notice.',
                ),
                Write::position(
                    $across
                        ? 'The lane with the {turn} arrow, its {turn} edge; inside the {junction} just before the turning point, wheels straight.'
                        : 'The lane with the {turn} arrow, an ordinary distance from the {kerb}.',
                    'Lights have lanes: the wrong one is a promise to everybody.',
                    $across ? 'Half-way across the line, or with the wheels already turned.' : 'Out to the {away}, so that a cycle comes up on the inside.',
                    'The signal was late, and the lane was what was left.',
                    'Read the arrows before the queue covers them.',
                    'Name the lane for each arm of five {junctions} from the signs alone.',
                ),
                Write::speed(
                    'Green: brake to the turning speed. Red: a light early brake; a stop at the line.',
                    'Arriving slowly often means arriving on green.',
                    'Hurrying on a green that is nearly over.',
                    'Lane not yet settled, so the foot waited for the hand.',
                    'Lane, then brake, then light.',
                    'Same {junction} from red, fresh green and long green; say which speed belongs to which.',
                    'Second; first from the line.',
                ),
                Write::look(
                    $wait,
                    'Green gives the right to go, never the right to hit somebody.',
                    $across
                        ? 'The {crossroads} habit at a T under lights: waiting in the middle for nobody; or stopping for the other flow’s red.'
                        : 'A long late look to the {away}: the turn goes wide.',
                    'Came in too fast to settle beforehand who goes first.',
                    $across ? 'Before it changes: is there anybody opposite at all?' : 'The short look before steering, eyes in the new road while steering.',
                    'Stand beside the {junction}: name which flow goes next and whose red can be seen from inside.',
                ),
            ],
            Section::Lights, 'At the lights turn {turn}, please.', Sketch::Lights,
            [
                new Variant('Red', 'The lane and the signal stand through the wait; settle before it changes.', ['light' => 'red']),
                new Variant('Green seen for long', 'Expect the change: the turning speed helps.', ['light' => 'green-long']),
                new Variant(
                    '{T-junction} under lights',
                    $across
                        ? 'Nobody opposite: no waiting in the middle. Another flow’s red met inside is not ours; stopping there is dangerous.'
                        : 'Towards the {kerb} goes wide if the look back is long; eyes in the new road.',
                ),
                ...(
                    $across
                        ? [
                            new Variant('Filter arrow', 'Green arrow: the oncoming flow is held; go, and still look.'),
                            new Variant('Oncoming turner', 'Pass near side to near side where the marks say so; the view past them is short: creep.'),
                        ]
                        : [new Variant('Filter arrow', 'Own lane, own light; those on the main green may still come over.')]
                ),
            ],
            'lights, filter, waiting point, box junction, T under lights',
        );
    }
}
