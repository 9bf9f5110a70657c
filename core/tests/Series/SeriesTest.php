<?php

declare(strict_types=1);

use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\RoadMet;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Routine\WhoWaits;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\MirroredBritain;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Side;

/*
 * Several in a row. A row equals its parts where they do not touch, goes over without a jump where they do, and two lines in a row are what the approach
 * tool says of them.
 */

/** @param  array<string, mixed>  ...$parts */
function inARow(array ...$parts): array
{
    return Ask::tool('series', ['pack' => 'gb', 'parts' => $parts]);
}

function aLine(string $routine, float $metres = 0.0, string $exit = 'ahead', int $limit = 30): array
{
    return ['tool' => 'approach', 'routine' => $routine, 'distance_m' => $metres, 'limit_mph' => $limit]
        + (in_array($routine, ['roundabout', 'mini-roundabout'], true) ? ['exit' => $exit] : []);
}

function slipOn(float $metres = 0.0, array $more = []): array
{
    return $more + ['tool' => 'join', 'distance_m' => $metres, 'slip_length_m' => 300, 'main_speed_mph' => 60];
}

function slipOff(float $metres, array $more = []): array
{
    return $more + ['tool' => 'leave', 'distance_m' => $metres, 'slip_length_m' => 300];
}

/** @return array<string, float> where each step of a plan is best */
function bestOf(array $plan): array
{
    return array_column($plan['steps'], 'best_m', 'step');
}

/** @return array<string, float> where each event of a way off comes */
function eventsOf(array $plan): array
{
    return array_column($plan['events'], 'at_m', 'kind');
}

it('is its parts where they do not touch', function (): void {
    $row = inARow(aLine('emerge-left'), aLine('turn-right', 1500.0, limit: 40), aLine('roundabout', 1800.0, 'right', 40));
    $alone = [
        Ask::tool('approach', ['pack' => 'gb', 'routine' => 'emerge-left', 'limit_mph' => 30]),
        Ask::tool('approach', ['pack' => 'gb', 'routine' => 'turn-right', 'limit_mph' => 40]),
        Ask::tool('approach', ['pack' => 'gb', 'routine' => 'roundabout', 'exit' => 'right', 'limit_mph' => 40]),
    ];
    foreach ($alone as $i => $plan) {
        expect(bestOf($row['plans'][$i]['plan']))->toBe(bestOf($plan))->and($row['plans'][$i]['plan']['say_at_m'])->toBe($plan['say_at_m']);
    }
    expect(array_column($row['plans'], 'at_m'))->toEqual([0, 1500, 3300])->and(array_column($row['directions'], 'parts'))->toBe([[0], [1], [2]])
        ->and($row['fits'])->toBeTrue()->and($row['length_m'])->toEqual(3300);
});

it('is the slip roads alone where they are far apart', function (): void {
    $row = inARow(
        aLine('roundabout', exit: 'left', limit: 40), slipOn(400.0), slipOff(4000.0, ['end_speed_mph' => 30]), slipOn(10.0, ['main_speed_mph' => 50]),
    );
    $join = Ask::tool('join', ['pack' => 'gb', 'slip_length_m' => 300, 'main_speed_mph' => 60, 'entry_speed_mps' => 40 * 0.44704]);
    $leave = Ask::tool('leave', ['pack' => 'gb', 'slip_length_m' => 300, 'main_speed_mph' => 60, 'end_speed_mph' => 30]);

    expect($row['plans'][1]['plan']['options'])->toBe($join['options'])->and($row['plans'][1]['plan']['decide_by_m'])->toBe($join['decide_by_m'])
        ->and($row['plans'][2]['plan']['events'])->toBe($leave['events'])->and($row['plans'][2]['plan']['profile'])->toBe($leave['profile'])
        // What is left at the end of one slip road is what the next begins with.
        ->and($row['plans'][3]['reached_mps'])->toEqualWithDelta(30 * 0.44704, 1.2);
});

it('says of two lines what the approach tool says of one and the next', function (): void {
    foreach ([15.0, 40.0, 70.0, 120.0, 260.0] as $metres) {
        foreach ([['emerge-left', 'turn-right'], ['turn-right', 'emerge-right'], ['mini-roundabout', 'mini-roundabout']] as [$first, $second]) {
            $row = inARow(aLine($first), aLine($second, $metres));
            $then = Ask::tool('approach', [
                'pack' => 'gb', 'routine' => $first, 'limit_mph' => 30, 'then' => ['routine' => $second, 'distance_m' => $metres],
            ])['then'];
            expect($row['plans'][1]['verdict'])->toBe($then['verdict'])->and($row['plans'][1]['message'])->toBe($then['message'])
                ->and($row['plans'][1]['reached_mps'])->toBe($then['reached_mps'])->and(count($row['directions']))->toBe($then['say_together'] ? 1 : 2);
            if ($then['plan'] !== null) {
                expect(bestOf($row['plans'][1]['plan']))->toBe(bestOf($then['plan']));
            }
        }
    }
});

it('moves the mirrors and the signal of an exit with the room before it, never by a jump, and its verdict only to the better', function (): void {
    $order = ['both-in-one' => 0, 'plan-second-first' => 1, 'one-after-the-other' => 2];
    $before = null;
    foreach (range(40, 1200, 10) as $metres) {
        $leave = inARow(slipOn(0.0, ['entry_speed_mph' => 50]), slipOff((float) $metres))['plans'][1];
        $at = eventsOf($leave['plan']);
        expect($at['mirrors'])->toBeGreaterThanOrEqual($at['signal'])->and($at['signal'])->toBeGreaterThanOrEqual(0.0)
            ->and($at['mirrors'])->toBeLessThanOrEqual($leave['room_m'] + 0.1);
        if ($before !== null) {
            expect($order[$leave['verdict']])->toBeGreaterThanOrEqual($order[$before['verdict']])
                ->and(abs($at['signal'] - eventsOf($before['plan'])['signal']))->toBeLessThan(11.0)
                ->and(abs($at['mirrors'] - eventsOf($before['plan'])['mirrors']))->toBeLessThan(11.0)
                ->and(abs($leave['reached_mps'] - $before['reached_mps']))->toBeLessThan(0.6);
        }
        $before = $leave;
    }
    expect($before['verdict'])->toBe('one-after-the-other');
});

it('brings what comes at the end of a slip road onto it, without a jump as the line moves away from its end', function (): void {
    $before = null;
    foreach (range(0, 400, 10) as $metres) {
        [$leave, $line] = inARow(slipOff(0.0, ['main_speed_mph' => 70]), aLine('roundabout', (float) $metres, 'right', 50))['plans'];
        $end = $leave['plan']['profile']['speed_mps'][count($leave['plan']['profile']['speed_mps']) - 1];
        expect($line['verdict'])->toBe('one-after-the-other')->and(bestOf($line['plan'])['mirrors'])->toBeLessThan(300.0 + $metres);
        if ($before !== null) {
            // Over ten metres no more than what a firm brake takes there.
            expect($end)->toBeGreaterThanOrEqual($before[0] - 1e-6)->and($end ** 2 - $before[0] ** 2)->toBeLessThan(2.0 * 3.0 * 10.0)
                ->and(abs($line['reached_mps'] - $before[1]))->toBeLessThan(1.5);
        }
        $before = [$end, $line['reached_mps']];
    }
    // At its end one is at the line; far behind it still fast.
    $end = static fn (float $metres): float => inARow(slipOff(0.0, ['main_speed_mph' => 70]), aLine('roundabout', $metres, 'right', 50))['plans'][0]['plan'][
        'profile']['speed_mps'][140];
    expect($end(0.0))->toBeLessThan(4.0)->and($end(400.0))->toEqualWithDelta(50 * 0.44704, 0.1);
});

it('says three things at once at the most, the same thing once, and nothing where one only goes on', function (): void {
    $close = inARow(aLine('turn-left'), aLine('turn-right', 30.0), aLine('turn-left', 30.0), aLine('turn-right', 30.0), aLine('turn-right', 30.0));
    expect(array_column($close['directions'], 'parts'))->toBe([[0, 1, 2], [3, 4]])->and(array_column($close['directions'], 'in_time'))->toBe([true, false]);
    $alone = Ask::tool('approach', ['pack' => 'gb', 'routine' => 'turn-left', 'limit_mph' => 30]);
    $speed = $close['plans'][0]['reached_mps'];
    expect($close['directions'][0]['say_at_m'])->toEqualWithDelta($alone['say_at_m'] + 2 * 2.0 * $speed, 0.2)
        ->and($close['directions'][0]['at_m'])->toEqualWithDelta(-$close['directions'][0]['say_at_m'], 0.11);
    // Humps are driven, not asked for; what follows close behind them is asked for before them.
    $humps = inARow(aLine('hump'), aLine('hump', 60.0), aLine('hump', 60.0), aLine('turn-left', 25.0));
    expect(array_column($humps['directions'], 'parts'))->toBe([[3]])->and($humps['directions'][0]['say_at_m'])->toBeGreaterThan(25.0 + 60.0);
    // Further parts cost time only where they are others.
    $twice = inARow(aLine('turn-left'), aLine('turn-left', 25.0), aLine('turn-left', 25.0));
    expect($twice['directions'])->toHaveCount(1)->and($twice['directions'][0]['say_at_m'])->toEqualWithDelta($alone['say_at_m'], 0.1);
});

it('gathers no needless speed between humps that are close, whatever their number', function (): void {
    $row = inARow(...array_map(static fn (int $i): array => aLine('hump', $i === 0 ? 0.0 : 50.0), range(0, 11)));
    expect($row['plans'])->toHaveCount(12);
    foreach (array_slice($row['plans'], 1) as $plan) {
        // Each has its own mirrors, behind the hump before it.
        expect($plan['verdict'])->toBe('one-after-the-other')->and(bestOf($plan['plan'])['mirrors'])->toBeLessThan($plan['room_m'])
            ->and($plan['reached_mps'])->toBeLessThan($row['plans'][0]['reached_mps'])
            ->and($plan['reached_mps'])->toBe($row['plans'][1]['reached_mps']);
    }
});

it('names who waits for whom with its rule, mirrored where traffic is', function (): void {
    $swap = ['left' => 'right', 'right' => 'left'];
    $said = static fn (array $found): array => array_map(static fn (WhoWaits $one): array => [$one->isUs, $one->message], $found);
    $there = static fn (array $found): array => array_map(
        static fn (array $one): array => [
            $one[0], (string) preg_replace_callback('/\b(left|right)\b/', static fn (array $side): string => $swap[$side[1]], $one[1]),
        ],
        $said($found),
    );
    $waysOut = [WayOut::Left->value => WayOut::Right, WayOut::Right->value => WayOut::Left, 'ahead' => WayOut::Ahead, 'back' => WayOut::Back];
    foreach ([
        [R::EmergeLeft, R::EmergeRight], [R::TurnLeft, R::TurnRight], [R::Cross, R::Cross], [R::Roundabout, R::Roundabout], [R::LightsLeft, R::LightsRight],
        [R::PassParked, R::PassParked], [R::Join, R::Join]] as [$one, $other]) {
        foreach ([Control::GiveWay, Control::Stop, Control::Signals, Control::None] as $control) {
            foreach (WayOut::cases() as $exit) {
                expect($there(WhoWaits::at($one, $control, new MirroredBritain, $waysOut[$exit->value])))
                    ->toBe($said(WhoWaits::at($other, $control, new GreatBritain, $exit)));
            }
        }
    }
    $na = $said(WhoWaits::at(R::AllWayStop, Control::AllWayStop, new NorthAmerica, WayOut::Left));
    expect($na[0][1])->toContain('came before us')->toContain('on the right')->and($na[1][1])->toContain('opposite')
        ->and($na[count($na) - 1][1])->toBe('For people in the crossing of the road we turn into.')
        // Who crosses nobody's way waits for nobody opposite.
        ->and(count(WhoWaits::at(R::AllWayStop, Control::AllWayStop, new NorthAmerica, WayOut::Right)))->toBe(count($na) - 1)
        ->and(WhoWaits::at(R::Hump, Control::None, new GreatBritain, WayOut::Ahead))->toBe([]);
    // Along a one-way road they come from one side.
    $oneWay = static fn (Side $to): string => $said(
        WhoWaits::at(R::EmergeLeft, Control::GiveWay, new GreatBritain, WayOut::Ahead, new RoadMet(runsTo: $to)),
    )[0][1];
    expect($oneWay(Side::Left))->toEndWith('from the right.')->and($oneWay(Side::Right))->toEndWith('from the left.');
});

it('says by its field what cannot be', function (array $parts, string $field, string $sentence): void {
    $refused = Ask::refusal('series', ['pack' => 'gb', 'parts' => $parts]);
    expect(array_keys($refused))->toContain($field)->and(implode(' ', $refused[$field]))->toContain($sentence);
})->with([
    'one alone' => [[aLine('turn-left')], 'parts', 'at least two'],
    'another tool' => [[aLine('turn-left'), ['tool' => 'stopping']], 'parts.1.tool', 'approach, join, leave'],
    'no tool' => [[aLine('turn-left'), ['routine' => 'cross']], 'parts.1.tool', 'must be one of'],
    'no object' => [[aLine('turn-left'), 7], 'parts.1', 'object'],
    'of another tool' => [[aLine('turn-left'), aLine('cross') + ['slip_length_m' => 200]], 'parts.1.slip_length_m', 'is not a field'],
    'an exit into a line of its own speed' => [
        [slipOff(0.0, ['main_speed_mph' => 70, 'end_speed_mph' => 20]), aLine('cross')], 'parts.0.end_speed_mps', 'follows',
    ],
    'a line that a slip road leads to' => [[slipOff(0.0, ['main_speed_mph' => 70]), aLine('all-way-stop')], 'parts.1.routine', 'Great Britain'],
    'no main road' => [[aLine('turn-left'), slipOff(500.0)], 'parts.1.main_speed_mps', 'is missing'],
    'no speed onto the first' => [[slipOn(), slipOff(900.0)], 'parts.0.entry_speed_mps', 'is missing'],
    'done standing' => [[aLine('turn-left'), aLine('move-off', 80.0)], 'parts.1.routine', 'standing'],
    'too many' => [array_fill(0, 13, aLine('hump', 50.0)), 'parts', 'at most 12'],
    'of a part within' => [[aLine('turn-left'), slipOn(50.0, ['view_from_m' => 900])], 'parts.1.view_from_m', 'length of the slip road'],
]);

it('asks for what comes close behind hazards that need no word before them, at most two of them, and then in time', function (): void {
    // Two rows of parked cars and a turn right behind them.
    $row = inARow(aLine('pass-parked'), aLine('pass-parked', 40.0), aLine('turn-right', 30.0));
    $first = Ask::tool('approach', ['pack' => 'gb', 'routine' => 'pass-parked', 'limit_mph' => 30]);
    [$said] = $row['directions'];
    expect($said['parts'])->toBe([2])->and($said['in_time'])->toBeTrue()->and($said['at_m'])->toEqualWithDelta(-$first['say_at_m'], 0.2)
        ->and($said['say_at_m'])->toEqualWithDelta($row['plans'][2]['at_m'] - $said['at_m'], 0.11)->and($said['message'])->toContain('needs no word');
    // With room between them it is said where it is always said.
    $apart = inARow(aLine('pass-parked'), aLine('turn-right', 400.0));
    $alone = Ask::tool('approach', ['pack' => 'gb', 'routine' => 'turn-right', 'limit_mph' => 30]);
    expect($apart['directions'][0]['say_at_m'])->toEqualWithDelta($alone['say_at_m'], 0.2)->and($apart['directions'][0]['message'])->toBeNull();
    // Of many humps it is said between two of them: never more than two are in front of what was asked for.
    for ($humps = 1; $humps <= 6; $humps++) {
        $many = inARow(aLine('hump'), ...array_fill(0, $humps - 1, aLine('hump', 60.0)), ...[aLine('turn-left', 25.0)]);
        [$turn] = $many['directions'];
        $at = array_slice(array_column($many['plans'], 'at_m'), 0, $humps);
        $before = count(array_filter($at, static fn (float $hump): bool => $hump > $turn['at_m']));
        expect($before)->toBeGreaterThanOrEqual(min(2, $humps))->toBeLessThanOrEqual(3)->and($turn['in_time'])->toBe($humps <= 2, "{$humps} humps");
    }
});
