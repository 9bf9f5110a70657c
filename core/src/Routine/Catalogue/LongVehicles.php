<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Direction;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Sketch;
use NobleTurn\Core\Trade\RoutineCode;

/** The same routine in other places: vehicles whose tail goes its own way. Common practice, no source. */
final class LongVehicles
{
    public static function turn(RoutineCode $code, bool $towardsKerb): Routine
    {
        return new Routine(
            $code, 'Long vehicle: turn {turn}', 'Any {junction} where the trailer does not follow the cab.',
            'Straight until the last axle is round; cancel; both mirrors.',
            [
                Write::mirrors(
                    'All mirrors scanned, not stared at; {turn} mirror before, during and after; the wide-angle one in the turn.',
                    'What comes into the gap beside a long vehicle is under it a moment later.',
                    'One mirror held on to while the other side swings.',
                    'The turn was chosen before the sides were known.',
                    'Near wheel, far corner, near wheel.',
                    'Standing: the instructor puts cones around; the learner names them from mirrors alone.',
                ),
                Write::signal(
                    'Signal {turn} long before, also when moving {away} first.',
                    'The move the other way reads as a turn the other way.',
                    'Moved {away} without a signal, and somebody came inside.',
                    'The inside mirror was not asked again.',
                    'Signal before the first sideways foot.',
                    'Say what the one behind believes at each metre.',
                ),
                Write::position(
                    $towardsKerb
                        ? 'In lane where there is room ahead and a wide way out; otherwise over two lanes, checked and signalled, so that nobody comes '
                            .'alongside. Unit deep and wide.'
                        : 'Not into a lane too narrow for the trailer; islands close to the {turn} shoulder; deep before the wheel.',
                    'The last axle cuts in: how much, the bench says.',
                    'Wide before instead of deep in.',
                    'Lanes not announced, so the room was taken by others.',
                    'Aim points: {kerb} side, then {centre} line; for the first hour that is all.',
                    'Cones as the inner {kerb}: how deep until the last axle clears?',
                ),
                Write::speed(
                    'Arrive when the queue has just cleared; ease to a red so as to keep rolling; walk round.',
                    'Each stop costs [gears and gaps|time and gaps].',
                    'A stop in the mouth with the tail across two lanes.',
                    'Place half taken when the brake came.',
                    'Slow so early that nothing has to stop.',
                    'Five lights without standing still.',
                    'The gear before the turn, none in it.',
                ),
                Write::look(
                    'Inside wheels and tail swing in the mirrors all the way; people at the inner {kerb}; the far corner.',
                    'Tail swing leaves the lane before the cab has turned.',
                    'Eyes ahead once round, trailer on the {kerb}.',
                    'Too fast to leave the front.',
                    'The turn ends with the last axle.',
                    'Say “on the {kerb} side, clear; tail, clear; straight” at each turn.',
                ),
            ],
            Section::LongVehicles, 'At the next {junction} turn {turn}, please.', Sketch::Crossroads, [],
            'trailer, {lorry}, truck, off-tracking, tail swing, cuts in',
        );
    }

    public static function laneChange(): Routine
    {
        return new Routine(
            RoutineCode::LongLaneChange, 'Long vehicle: change lane', 'From lane to lane with a trailer.', 'Cancel when the last axle is in.',
            [
                Write::mirrors(
                    'Far back first: how long until whoever it is would be alongside.',
                    'Seventeen metres need a long gap at any speed.',
                    'Looking beside the cab only.',
                    'The lane was needed too soon.',
                    'Far, near, wide-angle.',
                    'Count seconds from first sight to alongside for ten cars.',
                ),
                Write::signal(
                    'Signal, keep rolling, hold the lane.',
                    'It is a question; the answer takes time.',
                    'Signal and over.',
                    'No gap was seen, so one was to be made.',
                    'Wait for the answer.',
                    'Signal and do not move for ten seconds.',
                ),
                Write::position(
                    'Move only when somebody holds back; slowly, over the length of the vehicle.',
                    'The trailer follows later than the eye believes.',
                    'Back in too soon after passing.',
                    'The answer was assumed.',
                    'Headlamps of the passed car in the far mirror.',
                    'Pass a parked row leaving a trailer’s length.',
                ),
                Write::look(
                    'Trailer’s tail in both mirrors until it is in.',
                    'It is the last thing to arrive.',
                    'Ahead as soon as the cab is over.',
                    'Moved before the tail was thought of.',
                    'Tail in? Then ahead.',
                    'Say “tail” when it is in.',
                ),
            ],
            Section::LongVehicles, 'Change to the other lane when you have room.', Sketch::Lanes, [], 'trailer, {lorry}, truck, cut in, gap',
        );
    }

    public static function height(): Routine
    {
        return new Routine(
            RoutineCode::Height, 'Low bridge', 'A posted height on the way.', 'On the other way round: read the next sign as well.',
            [
                Write::mirrors(
                    'As soon as the sign is read: turning off needs the lane beside.',
                    'The last place to turn off is often far before.',
                    'Nothing until the bridge is in sight.',
                    'Own height not known, so the sign said nothing.',
                    'Own height written where it is seen.',
                    'What is ours in feet and inches, and in metres?',
                ),
                Write::speed(
                    'In doubt stop before it, {hazards} on, in a place seen from behind.',
                    'A bridge does not move.',
                    'Slower, hoping.',
                    'No way round was looked for in time.',
                    'Lower than ours means not at all.',
                    'Ten signs: passes or not, with the margin.',
                ),
                Write::look(
                    'Sign, bridge, road surface under it; where the arch is highest is not where the lane is.',
                    'A new surface costs centimetres.',
                    'Judging by eye from the cab.',
                    'Still rolling towards it.',
                    'The sign, not the eye.',
                    'Measure one bridge at its lane edge and in the middle.',
                ),
            ],
            Section::LongVehicles, Direction::AHEAD, Sketch::Bridge, [], 'clearance, height, bridge, {lorry}, truck',
        );
    }
}
