<?php

declare(strict_types=1);

use NobleTurn\Core\Plan\Difficulty;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Site\Sites;

/*
 * What an instructor would call harder (common practice, no source): compared, never asserted as a figure.
 */

/**
 * @param  array<string, mixed>  $stem  more about the road one comes in by
 * @param  array<string, mixed>  $main  more about the road met
 * @return array{score: float, words: string, reasons: list<string>}
 */
function difficulty(array $stem = [], array $main = [], string $way = 's>e', string $site = 'crossroads', string $pack = 'gb'): array
{
    $arms = Sites::arms($site);
    foreach ($arms as $id => $said) {
        $arms[$id] = $said + ($id === 's' ? $stem : ($id === 'n' ? [] : $main));
    }

    return Sites::ways(Sites::of($arms, pack: $pack))[$way]['difficulty'];
}

it('finds it harder, and says why', function (array $stem, array $main, string $reason): void {
    $plain = difficulty();
    $harder = difficulty($stem, $main);
    expect($harder['score'])->toBeGreaterThan($plain['score'])->and($harder['reasons'])->toContain($reason)->and($plain['reasons'])->not->toContain($reason);
})->with([
    [['view' => 'closed'], [], 'a view that opens late'],
    [['view_beyond_m' => 3], [], 'a view that opens late'],
    [['sight_left_m' => 20], [], 'too little to be seen from the line'],
    [['gradient' => 0.08], [], 'uphill: a start without rolling back'],
    [['gradient' => -0.08], [], 'downhill: more braking'],
    [['limit_mph' => 60], [], 'speed to lose before it'],
    [['room_m' => 40], [], 'little room before the line'],
    [['path_before_m' => 10], [], 'a path to cross before the line'],
    [['parked' => [['side' => 'left', 'from_m' => 40, 'to_m' => 20]]], [], 'cars parked before the line'],
    [[], ['limit_mph' => 50], 'fast traffic on the road you meet'],
    [[], ['lanes_in' => 2, 'lanes_out' => 2], 'more than one lane each way'],
    [[], ['parked_along' => 'left'], 'cars parked along the road you meet'],
]);

it('puts the ways of one junction in the order in which they are taught', function (): void {
    foreach (['gb' => ['s>w', 's>e', 'e>s', 'e>n'], 'na' => ['s>e', 's>w', 'e>n', 'e>s']] as $pack => [$near, $off, $turnNear, $turnAcross]) {
        $score = static fn (string $way): float => difficulty(way: $way, pack: $pack)['score'];
        expect($score($turnNear))->toBeLessThan($score($near))->and($score($near))->toBeLessThan($score('s>n'))
            ->and($score('s>n'))->toBeLessThan($score($off))->and($score($turnNear))->toBeLessThan($score($turnAcross))
            ->and($score('e>w'))->toBe(0.0);
    }
});

it('grows with the slope and the speed met without a jump, and stays under 1', function (): void {
    $last = null;
    for ($slope = -0.12; $slope <= 0.12; $slope += 0.004) {
        $score = difficulty(['gradient' => round($slope, 3)])['score'];
        expect(abs($score - ($last ?? $score)))->toBeLessThan(0.02);
        $last = $score;
    }
    $last = 0.0;
    for ($mph = 20; $mph <= 70; $mph += 5) {
        $score = difficulty([], ['limit_mph' => $mph])['score'];
        expect($score)->toBeGreaterThanOrEqual($last);
        $last = $score;
    }
    $worst = difficulty(['view' => 'closed', 'gradient' => 0.2, 'room_m' => 20, 'sight_left_m' => 1, 'sight_right_m' => 1, 'limit_mph' => 60],
        ['limit_mph' => 70]);
    expect($worst['score'])->toBeLessThan(1.0)->and($worst['words'])->toBe('hard');
});

it('calls the plain ways easy and the closed ones onto a fast road hard', function (): void {
    expect(difficulty(way: 'e>s')['words'])->toBe('easy')->and(difficulty(['view' => 'closed'], ['limit_mph' => 60])['words'])->toBe('hard');
});

it('counts the exits of a roundabout', function (): void {
    $ways = Sites::ways(Sites::of(Sites::arms('ring of five'), 'roundabout'));
    $scores = array_map(static fn (string $to): float => $ways["s>{$to}"]['difficulty']['score'], ['w', 'nw', 'n', 'e']);
    $sorted = $scores;
    sort($sorted);
    expect($scores)->toBe($sorted)->and(array_unique($scores))->toHaveCount(4);
});

/**
 * @param  array<string, mixed>  $more  about the slip road, or the direction driven
 * @return array{score: float, words: string, reasons: list<string>}
 */
function along(string $kind, string $name, string $routine, array $more = []): array
{
    $arms = Sites::arms($name);
    $arms['w'] = $more + $arms['w'];

    return array_column(Ask::tool('site', Sites::of($arms, $kind))['ways'], 'difficulty', 'routine')[$routine];
}

it('finds a short slip uphill harder than a long level one, and a fast road harder than a slow one', function (): void {
    $long = along('slip', 'slip on', 'join', ['slip_length_m' => 400]);
    $short = along('slip', 'slip on', 'join', ['slip_length_m' => 100]);
    $uphill = along('slip', 'slip on', 'join', ['slip_length_m' => 100, 'gradient' => 0.05]);
    expect($long['score'])->toBeLessThan($short['score'])->and($short['score'])->toBeLessThan($uphill['score'])
        ->and($short['reasons'])->toContain('a short slip road')->and($uphill['reasons'])->toContain('uphill: less to gain speed with')
        ->and(along('stretch', 'two lanes', 'lane-change-right', ['limit_mph' => 70])['score'])
        ->toBeGreaterThan(along('stretch', 'two lanes', 'lane-change-right', ['limit_mph' => 30])['score']);
    $last = null;
    for ($metres = 60; $metres <= 500; $metres += 10) {
        $score = along('slip', 'slip on', 'join', ['slip_length_m' => $metres])['score'];
        expect($last === null || ($score <= $last && $last - $score < 0.02))->toBeTrue("at {$metres} m");
        $last = $score;
    }
});

it('puts what lies along a road in the order in which it is taught', function (): void {
    $score = static fn (string $kind, string $name, string $routine): float => along($kind, $name, $routine)['score'];
    expect($score('stretch', 'narrow lane', 'hump'))->toBeLessThan($score('stretch', 'shops', 'pass-parked'))
        ->and($score('stretch', 'shops', 'pass-parked'))->toBeLessThan($score('stretch', 'narrow lane', 'meet'))
        ->and($score('stretch', 'two lanes', 'lane-change-right'))->toBeLessThan($score('stretch', 'long road', 'overtake'))
        ->and($score('kerb', 'free kerb', 'pull-up-left'))->toBeLessThan($score('kerb', 'free kerb', 'pull-up-right-reverse'))
        ->and($score('kerb', 'car park', 'bay-out'))->toBeGreaterThan(0.0)->and($score('stretch', 'bare road', 'between-hazards'))->toBe(0.0);
});

it('finds the two turns of a staggered crossroads harder the closer they are, and each harder than the turn alone', function (): void {
    $score = static function (float $metres, string $to): float {
        $arms = Sites::arms('crossroads');
        $arms['n']['stagger_m'] = $metres;

        return Sites::ways(Sites::of($arms))["s>{$to}"]['difficulty']['score'];
    };
    expect($score(-12.0, 'n'))->toBeGreaterThan($score(-50.0, 'n'))->and($score(-50.0, 'n'))->toBeGreaterThan($score(-50.0, 'e'))
        ->and($score(-12.0, 'e'))->toBe($score(-50.0, 'e'));
});

it('puts an instructor’s word in the middle of what is called that', function (): void {
    expect(array_map(Difficulty::middleOf(...), ['easy', 'middling', 'hard', 'dreadful']))->toEqualWithDelta([0.175, 0.5, 0.825, null], 1e-12);
});
