<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Scenes;

/**
 * A roundabout of four arms, a quarter of the circle from one to the next.
 *
 * @param  array<string, mixed>  $home  of the arm we come from
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function ringScene(string $to, array $home = [], array $more = []): array
{
    $arms = array_map(
        static fn (string $name, int $angle): array => ['name' => $name, 'angle_deg' => $angle, ...($name === 'home' ? $home : [])],
        ['home', 'A', 'B', 'C'], [0, 90, 180, 270],
    );

    return Ask::tool('lanes', ['arms' => $arms, 'from' => 'home', 'to' => $to, ...$more]);
}

/**
 * A junction of two roads, the one turned into with so many lanes.
 *
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function crossScene(string $to, mixed $exits, array $more = []): array
{
    return Ask::tool('lanes', [
        'layout' => 'junction', 'from' => 'home', 'to' => $to,
        'arms' => [
            ['name' => 'home', 'angle_deg' => 0, 'approach_lanes' => $more['approach'] ?? [[]]],
            ...array_map(
                static fn (string $name, int $angle): array => ['name' => $name, 'angle_deg' => $angle, 'exit_lanes' => $exits],
                ['left', 'ahead', 'right'], [90, 180, 270],
            ),
        ],
        ...array_diff_key($more, ['approach' => 0]),
    ]);
}

/**
 * @param  array<string, mixed>  $way
 * @return list<array{string, string|null}> kinds in order, with the side
 */
function onIt(array $way): array
{
    return array_map(
        static fn (array $row): array => [$row['kind'], $row['side']],
        array_values(array_filter($way['met'], static fn (array $row): bool => $row['angle_deg'] !== null)),
    );
}

Scenes::show('with two unmarked lanes, third exit: stay in the right lane past the second exit; then mirrors, left signal, over, mirrors '
    .'again, out', function (): void {
        foreach (['gb', 'ie'] as $pack) {
            $way = ringScene('C', ['approach_lanes' => [[], []]], ['pack' => $pack]);
            expect($way['approach_lane'])->toBe(2)->and($way['signals'][0]['side'])->toBe('right')
                ->and(onIt($way))->toBe([['mirrors', null], ['signal', 'left'], ['move', 'left'], ['leave', null]]);
            foreach ($way['met'] as $row) {
                expect($row['angle_deg'] === null || $row['angle_deg'] >= 180.0)->toBeTrue();
            }
        }
    });

Scenes::show('painted for A on the left and for B and C on the right: going to B from the right lane one moves out past A, not across those '
    .'leaving there', function (): void {
        $way = ringScene('B', ['approach_lanes' => [['to' => ['A']], ['to' => ['B', 'C']]]]);
        $move = array_column($way['met'], null, 'kind')['move'];
        expect($way['approach_lane'])->toBe(2)->and($move['angle_deg'])->toBeGreaterThan(95.0)
            ->and($way['path'][0]['action'])->toBe('keep')->and($way['path'][1]['action'])->toBe('move-out');
    });

Scenes::show('a lane led outward by its paint has its left mirror before it moves, and its exit signal just past the exit before ours', function (): void {
    $paint = ['approach_lanes' => [['to' => ['A']], ['to' => ['B']], ['to' => ['C']]]];
    $way = ringScene('C', $paint, ['spirals_by_paint' => true]);
    expect(onIt($way))->toBe([
        ['mirrors', null], ['spiral', 'left'], ['mirrors', null], ['signal', 'left'], ['spiral', 'left'], ['leave', null],
    ]);
    expect(array_column(array_filter($way['met'], static fn (array $row): bool => $row['kind'] === 'signal' && $row['angle_deg'] !== null), 'angle_deg'))
        ->toHaveCount(1)->and($way['signals'][1])->toMatchArray(['where' => 'B', 'side' => 'left']);
});

Scenes::show('a first exit straight ahead: no signal on the approach, left just before it; a first exit on the right: right, then left '
    .'before it', function (): void {
        foreach ([180 => null, 270 => 'right', 90 => 'left'] as $angle => $side) {
            $way = Ask::tool('lanes', ['arms' => [['name' => 'home', 'angle_deg' => 0], ['name' => 'on', 'angle_deg' => $angle]], 'from' => 'home',
                'to' => 'on']);
            $sides = array_column(array_filter($way['met'], static fn (array $row): bool => $row['kind'] === 'signal'), 'side');
            expect($way['signals'][0]['side'])->toBe($side)
                ->and(array_column($way['signals'], 'side'))->toBe($side === 'left' ? ['left'] : [$side, 'left'])
                ->and($sides)->toBe(array_values(array_filter(array_column($way['signals'], 'side'))));
        }
    });

Scenes::show('third exit from the middle of three lanes: no right signal on the approach, it would promise the right lane; who signals by the clock '
    .'always, does', function (): void {
        $three = ['approach_lanes' => [['to' => ['A']], ['to' => ['B', 'C']], ['to' => ['home']]]];
        $side = static fn (string $choice, array $home, string $to = 'C'): ?string => ringScene(
            $to, $home, ['practice' => ['roundabout_signal' => $choice]],
        )['signals'][0]['side'];
        expect([$side('rule-with-check', $three), $side('rule', $three), $side('none-if-misleading', $three)])->toBe([null, 'right', null]);
        // From the furthest lane the rule tells the truth; where lanes say it, or lights stand, some give none.
        $two = ['approach_lanes' => [[], []]];
        expect([$side('rule-with-check', $two), $side('rule', $two), $side('none-if-misleading', $two)])->toBe(['right', 'right', null])
            ->and([$side('rule', ['lights' => true]), $side('none-if-misleading', ['lights' => true]), $side('none-if-misleading', [])])
            ->toBe(['right', null, 'right']);
    });

Scenes::show('waiting at the lights of a roundabout: both door mirrors before green, for those who ride up', function (): void {
    $line = static fn (array $home): array => array_column(ringScene('B', $home)['met'], null, 'kind')['line'];
    expect($line(['lights' => true])['mirrors'])->toBe(['left-mirror', 'right-mirror'])->and($line([])['mirrors'])->toBe([]);
});

Scenes::show('straight on over a mini-roundabout of 4 m takes two to three seconds: no exit signal; over a wide one there is time', function (): void {
    $mini = static fn (array $more = []): array => ringScene('B', [], ['mini' => true, ...$more]);
    expect($mini()['seconds_on_it'])->toBeGreaterThanOrEqual(2.0)->toBeLessThan(3.0)->and(array_column($mini()['signals'], 'where'))->toBe(['approach'])
        ->and($mini(['ring_radius_m' => 7])['signals'])->toHaveCount(2)
        // Who never gives one, gives none; who goes by its size, whatever the time.
        ->and($mini(['ring_radius_m' => 7, 'practice' => ['mini_exit' => 'never']])['signals'])->toHaveCount(1)
        ->and(ringScene('C', [], ['mini' => true])['signals'])->toHaveCount(2)
        ->and(ringScene('C', [], ['mini' => true, 'practice' => ['mini_exit' => 'larger']])['signals'])->toHaveCount(1);
    // Wider takes longer, without a jump.
    $before = 0.0;
    foreach (range(25, 100) as $tenths) {
        $seconds = $mini(['ring_radius_m' => $tenths / 10])['seconds_on_it'];
        expect($seconds)->toBeGreaterThanOrEqual($before)->toBeLessThan($before === 0.0 ? INF : $before + 0.25);
        $before = $seconds;
    }
});

Scenes::show('a sign may stand after the line: it is read and decided on the roundabout', function (): void {
    $way = ringScene('C', [], ['direction_signs' => [['after' => 'A', 'at_m' => 10]]]);
    $signs = array_values(array_filter($way['met'], static fn (array $row): bool => $row['kind'] === 'direction-sign'));
    expect($signs)->toHaveCount(2)->and($signs[1]['at_m'])->toBeLessThan(0.0)->and($signs[1]['angle_deg'])->toBeGreaterThan(90.0)->toBeLessThan(180.0)
        ->and(Ask::refusal('lanes', [
            'arms' => [['name' => 'a', 'angle_deg' => 0], ['name' => 'b', 'angle_deg' => 90]], 'from' => 'a', 'to' => 'b',
            'direction_signs' => [['after' => 'nowhere', 'at_m' => 3]],
        ]))->toHaveKey('direction_signs.0.after');
});

Scenes::show('the only lane for turning right into three: the left one, and a full lane change if another is wanted; turning right again at once, the one '
    .'that leads there', function (): void {
        $lane = static fn (int $exits, array $more = []): int => crossScene('right', $exits, $more)['exit_lane'];
        expect([$lane(3), $lane(2), $lane(3, ['next_turn' => 'right', 'next_turn_in_m' => 60]), $lane(3, ['next_turn' => 'left',
            'next_turn_in_m' => 60])])->toBe([1, 1, 3, 1])
            // The left one is full or slow: the one that moves.
            ->and($lane(3, ['blocked' => [1]]))->toBe(2)->and($lane(2, ['blocked' => [1, 2]]))->toBe(1)
            // Two lanes that both turn keep their order.
            ->and(array_column(crossScene('right', 3, ['approach' => [['to' => ['ahead']], ['to' => ['right']], ['to' => ['right']]]])['acceptable_lanes'],
                'exit_lane', 'lane'))
            ->toBe([2 => 1, 3 => 2]);
    });

Scenes::show('keeping right, a left turn ends in the lane nearest the middle', function (): void {
    $lane = static fn (int $exits): int => Ask::tool('lanes', [
        'pack' => 'na', 'layout' => 'junction', 'from' => 'home', 'to' => 'left',
        // In driving order: keeping right, the arm on the left is the last.
        'arms' => [['name' => 'home', 'angle_deg' => 0], ['name' => 'right', 'angle_deg' => 90], ['name' => 'left', 'angle_deg' => 270,
            'exit_lanes' => $exits]],
    ])['exit_lane'];
    expect([$lane(1), $lane(2), $lane(3)])->toBe([1, 2, 3]);
});

Scenes::show('somebody opposite turns into the same road: into one lane they go first; where traffic keeps right and there are two, both may go, each into '
    .'their own; otherwise who turns across waits', function (): void {
        $said = static fn (int $exits, string $pack = 'gb', string $to = 'right'): array => array_column(
            crossScene($to, $exits, ['pack' => $pack, 'oncoming_turner' => true])['warnings'], 'message', 'code',
        );
        expect($said(1)['oncoming-turner'])->toContain('they go first')
            ->and($said(1, 'na')['oncoming-turner'])->toContain('they go first')
            ->and($said(2)['oncoming-turner'])->toContain('waits for them')->and($said(3, 'ie')['oncoming-turner'])->toContain('waits for them')
            ->and($said(2, 'na')['oncoming-turner'])->toContain('both may go')
            ->and($said(2, to: 'left'))->not->toHaveKey('oncoming-turner');
    });

Scenes::show('straight on, and beyond the junction the left lane is for buses: stay out of it unless its hours are over; none shown means all day, and '
    .'there may be two windows', function (): void {
        $out = static fn (array $bus, string $time = '12:00'): int => crossScene(
            'ahead', [$bus, []], ['approach' => [[], []], 'time' => $time],
        )['exit_lane'];
        $peaks = ['bus_hours' => [['from' => '07:00', 'until' => '09:30'], ['from' => '16:00', 'until' => '18:30']]];
        expect([$out([]), $out(['bus_hours' => []]), $out(['bus_begins_m' => 5])])->toBe([1, 2, 2])
            ->and([$out($peaks, '08:00'), $out($peaks, '12:00'), $out($peaks, '16:00'), $out($peaks, '18:30')])->toBe([2, 1, 2, 1])
            // It begins far enough on to be left again.
            ->and($out(['bus_hours' => [], 'bus_begins_m' => 200]))->toBe(1);
    });
