<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;

/*
 * Forty junctions with the lane a driver belongs in, written down by hand from rules and paint, not from our planner. Rules from memory: Highway
 * Code 133 (keep left unless signs say otherwise), 179 to 183 (turning right and left), 184 and 186 (roundabouts: the approach lane and its signal by
 * the way out), 143 (one-way streets). Where paint says where a lane goes, paint decides (rule 184: "get into the correct lane"). `na` sides mirrored:
 * a left turn ends in the lane nearest the middle, a right turn nearest the kerb (state handbooks, from memory).
 */

/**
 * @param  list<list<string>>  $lanes  of our arm, nearside first, with the painted ways
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function junctionOf(string $pack, string $to, array $lanes, array $more = []): array
{
    $keepsLeft = $pack !== 'na';
    // Angles run in driving order: clockwise where traffic keeps left.
    $names = $keepsLeft ? ['left' => 90, 'ahead' => 180, 'right' => 270] : ['right' => 90, 'ahead' => 180, 'left' => 270];
    $exits = $more['exits'] ?? [];
    $arms = [['name' => 'home', 'angle_deg' => 0, 'approach_lanes' => array_map(static fn (array $to): array => $to === [] ? [] : ['to' => $to], $lanes)]];
    foreach ($names as $name => $angle) {
        $arms[] = ['name' => $name, 'angle_deg' => $angle, 'exit_lanes' => $exits[$name] ?? 1];
    }

    return Ask::tool('lanes', ['pack' => $pack, 'arms' => $arms, 'from' => 'home', 'to' => $to, ...array_diff_key($more, ['exits' => 0])]);
}

/** The signal on the approach and the last one on the way out. @param  array<string, mixed>  $way @return list<?string> */
function signalsOf(array $way): array
{
    return array_map(static fn (array $signal): ?string => $signal['side'], $way['signals']);
}

$cross = ['layout' => 'junction'];
$two = [[], []];
$three = [[], [], []];

dataset('junctions', [
    // What, pack, way out, lanes of our arm, more, the lane wanted, the lane left in, signals in order.
    '1 crossroads, one lane, left' => ['gb', 'left', [[]], $cross, 1, 1, ['left']],
    '2 crossroads, one lane, ahead' => ['gb', 'ahead', [[]], $cross, 1, 1, [null]],
    '3 crossroads, one lane, right' => ['gb', 'right', [[]], $cross, 1, 1, ['right']],
    '4 two unmarked lanes, left: keep left' => ['gb', 'left', $two, $cross, 1, 1, ['left']],
    '5 two unmarked lanes, ahead: the left one' => ['gb', 'ahead', $two, $cross, 1, 1, [null]],
    '6 two unmarked lanes, right: the right one' => ['gb', 'right', $two, $cross, 2, 1, ['right']],
    '7 left only and ahead: ahead in the second' => ['gb', 'ahead', [['left'], ['ahead']], $cross, 2, 1, [null]],
    '8 left only and ahead with right: right in the second' => ['gb', 'right', [['left'], ['ahead', 'right']], $cross, 2, 1, ['right']],
    '9 left with ahead and right only: ahead in the first' => ['gb', 'ahead', [['left', 'ahead'], ['right']], $cross, 1, 1, [null]],
    '10 three painted, ahead in the middle' => ['gb', 'ahead', [['left'], ['ahead'], ['right']], $cross, 2, 1, [null]],
    '11 three painted, left' => ['gb', 'left', [['left'], ['ahead'], ['right']], $cross, 1, 1, ['left']],
    '12 three painted, right' => ['gb', 'right', [['left'], ['ahead'], ['right']], $cross, 3, 1, ['right']],
    '13 only lane for right into two lanes: the left one of them' => ['gb', 'right', [['left', 'ahead'], ['right']],
        $cross + ['exits' => ['right' => 2]], 2, 1,
        ['right']],
    '14 only lane for right into three lanes: the left one' => ['gb', 'right', [['left', 'ahead'], ['right']],
        $cross + ['exits' => ['right' => 3]], 2, 1, ['right']],
    '15 two lanes for right into two: each keeps its own, the nearer is ours' => ['gb', 'right', [['ahead'], ['right'], ['right']],
        $cross + ['exits' => ['right' => 2]], 2, 1, ['right']],
    '16 left into two lanes: the left one' => ['gb', 'left', [['left'], ['ahead']], $cross + ['exits' => ['left' => 2]], 1, 1, ['left']],
    '17 ahead from the first into two lanes: the first' => ['gb', 'ahead', [['left', 'ahead'], ['ahead', 'right']],
        $cross + ['exits' => ['ahead' => 2]], 1, 1, [null]],
    '18 Ireland, two unmarked lanes, right' => ['ie', 'right', $two, $cross, 2, 1, ['right']],
    '19 Ireland, three painted, ahead' => ['ie', 'ahead', [['left'], ['ahead'], ['right']], $cross, 2, 1, [null]],
    '20 keep right: right turn from the kerb’s lane' => ['na', 'right', $two, $cross, 1, 1, ['right']],
    '21 keep right: ahead' => ['na', 'ahead', $two, $cross, 1, 1, [null]],
    '22 keep right: left turn from the lane at the middle' => ['na', 'left', $two, $cross, 2, 1, ['left']],
    '23 keep right: left into two lanes ends nearest the middle' => ['na', 'left', [['right', 'ahead'], ['left']],
        $cross + ['exits' => ['left' => 2]], 2, 2, ['left']],
    '24 keep right: left into three lanes ends nearest the middle' => ['na', 'left', [['right', 'ahead'], ['left']],
        $cross + ['exits' => ['left' => 3]], 2, 3, ['left']],
    '25 keep right: right into two lanes ends at the kerb' => ['na', 'right', [['right'], ['ahead']], $cross + ['exits' => ['right' => 2]], 1, 1, ['right']],
    '26 roundabout, one lane, first exit (rule 186)' => ['gb', 'left', [[]], [], 1, 1, ['left']],
    '27 roundabout, one lane, ahead: none, then left' => ['gb', 'ahead', [[]], [], 1, 1, [null, 'left']],
    '28 roundabout, one lane, right: right, then left' => ['gb', 'right', [[]], [], 1, 1, ['right', 'left']],
    '29 roundabout, one lane, all the way round' => ['gb', 'home', [[]], [], 1, 1, ['right', 'left']],
    '30 roundabout, two unmarked lanes, first exit: left lane' => ['gb', 'left', $two, [], 1, 1, ['left']],
    '31 roundabout, two unmarked lanes, ahead: left lane' => ['gb', 'ahead', $two, [], 1, 1, [null, 'left']],
    '32 roundabout, two unmarked lanes, right: right lane' => ['gb', 'right', $two, [], 2, 1, ['right', 'left']],
    '33 roundabout, two unmarked lanes, all the way round: right lane' => ['gb', 'home', $two, [], 2, 1, ['right', 'left']],
    '34 roundabout painted left | ahead and right: ahead in the second' => ['gb', 'ahead', [['left'], ['ahead', 'right']], [], 2, 1, [null, 'left']],
    '35 roundabout painted left and ahead | right: ahead in the first' => ['gb', 'ahead', [['left', 'ahead'], ['right']], [], 1, 1, [null, 'left']],
    '36 roundabout, three lanes left | ahead | right: ahead in the middle' => ['gb', 'ahead', [['left'], ['ahead'], ['right']], [], 2, 1, [null, 'left']],
    '37 roundabout painted left and ahead | right: right in the second' => ['gb', 'right', [['left', 'ahead'], ['right']], [], 2, 1, ['right', 'left']],
    '38 roundabout, three unmarked lanes, first exit: the left one' => ['gb', 'left', $three, [], 1, 1, ['left']],
    '39 Ireland, roundabout, two lanes, right' => ['ie', 'right', $two, [], 2, 1, ['right', 'left']],
    '40 mini-roundabout of 4 m, ahead: no time for an exit signal' => ['gb', 'ahead', [[]], ['mini' => true, 'ring_radius_m' => 4], 1, 1, [null]],
]);

it('takes the lane and gives the signals of', function (
    string $pack, string $to, array $lanes, array $more, int $lane, int $exit, array $signals,
): void {
    $way = junctionOf($pack, $to, $lanes, $more);
    expect([$way['approach_lane'], $way['exit_lane'], signalsOf($way)])->toBe([$lane, $exit, $signals]);
})->with('junctions');
