<?php

declare(strict_types=1);

use NobleTurn\Core\Routine\Direction;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Inputs;

/* What is said on the way round, and before which line: with room for the whole routine, together where there is none between. */

/**
 * Ways one behind the other to the north of the start, so many metres apart as the road leads.
 *
 * @param  list<float>  $apart
 * @param  array<int, array<string, mixed>>  $other  by the way's number
 * @return list<array<string, mixed>> the directions
 */
function toldAlong(array $apart, array $other = [], array $more = []): array
{
    $at = 49.2;
    $ways = [];
    foreach ($apart as $i => $metres) {
        // A degree of latitude is 111.2 km there (GeodSolve); what rounding leaves is less than a metre.
        $at += $metres / 111_220.0;
        $ways[] = array_filter([
            'id' => "w{$i}", 'name' => "Way {$i}", 'routine' => 'turn-left', 'in' => ['latitude_deg' => $at, 'longitude_deg' => -8.1], 'rounds' => 1,
            'direction' => 'Take the '.['first', 'second', 'third', 'fourth'][$i].' road on the left, please.', 'say_at_m' => 120, ...$other[$i] ?? [],
        ], static fn (mixed $said): bool => $said !== null);
    }

    return Ask::tool('circuit', [
        ...Inputs::LEAST['circuit'], 'minutes' => 240, 'order' => 'as-given', 'detour_factor' => 1, 'ways' => $ways, ...$more,
    ])['directions'];
}

it('says each by itself where there is room between, so far before its line as its plan asks', function (): void {
    $told = toldAlong([800, 900, 1000], [1 => ['say_at_m' => 75.5]]);
    expect(array_column($told, 'ways'))->toBe([['w0'], ['w1'], ['w2']])->and(array_column($told, 'after'))->toBe([null, 'w0', 'w1'])
        ->and(array_column($told, 'say_at_m'))->toBe([120.0, 75.5, 120.0])->and(array_column($told, 'message'))->toBe([null, null, null])
        ->and(array_column($told, 'say'))->toBe(array_map(static fn (string $which): string => "Take the {$which} road on the left, please.",
            ['first', 'second', 'third']));
    foreach ([800, 900, 1000] as $i => $metres) {
        expect($told[$i]['driven_m'])->toEqualWithDelta($metres, 2);
    }
});

it('says two in one breath where the second lies closer than it takes to say it and to do it', function (): void {
    $told = toldAlong([800, 100, 1000]);
    expect(array_column($told, 'ways'))->toBe([['w0', 'w1'], ['w2']])->and($told[0]['say_at_m'])->toBe(120.0)->and($told[1]['after'])->toBe('w1')
        ->and($told[0]['say'])->toBe('Take the first road on the left, please; then: take the second road on the left, please.')
        ->and($told[0]['message'])->toBe('Way 1: too close behind to be said after Way 0. Said together, before it.');
    // Three in a row, each on the heels of the one before; in the same words twice they are said once.
    $row = toldAlong([800, 100, 100], [2 => ['direction' => 'Take the second road on the left, please.']]);
    expect(array_column($row, 'ways'))->toBe([['w0', 'w1', 'w2']])
        ->and($row[0]['say'])->toBe('Take the first road on the left, please; then: take the second road on the left, please.')
        ->and($row[0]['message'])->toStartWith('Way 1 and Way 2: too close');
});

it('goes from together to apart once, at the plan’s distance and four seconds of talking', function (): void {
    $together = [];
    for ($metres = 100; $metres <= 200; $metres += 2) {
        $together[$metres] = count(toldAlong([800, $metres])) === 1;
    }
    $last = max(array_keys(array_filter($together)));
    $first = min(array_keys(array_filter($together, static fn (bool $one): bool => ! $one)));
    // 120 m and 4 s at the pace of town roads, 26 km/h: 148.9 m.
    expect([$last, $first])->toBe([148, 150]);
    // Who drives faster needs more road to say it in.
    expect(toldAlong([800, 170]))->toHaveCount(2)->and(toldAlong([800, 170], [], ['speeds' => ['town_mph' => 40]]))->toHaveCount(1);
});

it('tells nothing of ways whose direction nobody says, and nothing of what is left out', function (): void {
    expect(toldAlong([800, 100], [0 => ['direction' => null], 1 => ['direction' => null]]))->toBe([]);
    // What comes before has no words of its own: then it stands alone, and says after what.
    $alone = toldAlong([800, 100], [0 => ['direction' => null]]);
    expect(array_column($alone, 'ways'))->toBe([['w1']])->and($alone[0]['after'])->toBe('w0');
    expect(array_column(toldAlong([800, 60_000, 900], [], ['minutes' => 30]), 'ways'))->toBe([['w0']]);
});

it('says another way of the same place by itself: one comes round to it again', function (): void {
    $told = toldAlong([800, 0, 900], [1 => ['direction' => 'At the end of the road turn right, please.']]);
    expect(array_column($told, 'ways'))->toBe([['w0'], ['w1'], ['w2']])->and($told[1]['driven_m'])->toBeGreaterThan(400);
});

it('puts any number of directions into one breath', function (array $said, string $words): void {
    expect(Direction::inOneBreath($said))->toBe($words);
})->with([
    'one' => [['At the end of the road turn right, please.'], 'At the end of the road turn right, please.'],
    'two' => [['Turn left, please.', 'At the end turn right.'], 'Turn left, please; then: at the end turn right.'],
    'the same twice, then another' => [['Go ahead.', 'Go ahead.', 'Turn left.'], 'Go ahead; then: turn left.'],
]);

it('says every way that is driven and has a direction once, in the order driven', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(11));
    for ($i = 0; $i < 40; $i++) {
        $apart = array_map(static fn (): float => (float) $chance->getInt(20, 700), range(1, $chance->getInt(1, 4)));
        $silent = $chance->getInt(0, 5);
        $told = toldAlong($apart, [$silent => ['direction' => null]]);
        $ids = array_map(static fn (int $way): string => "w{$way}", array_keys($apart));
        $all = array_values(array_diff($ids, ["w{$silent}"]));
        expect(array_merge(...array_column($told, 'ways') ?: [[]]))->toBe($all);
    }
});
