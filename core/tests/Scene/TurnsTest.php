<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Scenes;

/** @return array<string, mixed> */
function turnScene(string $goes, array $others, float $wait = 0.0, array $more = []): array
{
    return Ask::tool('priority', [
        'pack' => 'na', 'place' => 'all-way-stop', 'goes' => $goes, 'wait_s' => $wait,
        'vehicles' => array_map(static function (string $said): array {
            [$line, $way, $seconds] = explode(' ', $said);

            return ['line' => $line, 'goes' => $way, 'wait_s' => (float) $seconds];
        }, $others),
        ...$more,
    ]);
}

Scenes::show('at an all-way stop who came first goes first, with the reason; at once the one on the right; people before all', function (): void {
    expect(turnScene('ahead', ['left ahead 4']))->toMatchArray([
        'verdict' => 'wait', 'before' => ['left'], 'message' => 'Wait for the one on the left: came first.',
    ])
        ->and(turnScene('ahead', ['right ahead 0'])['message'])
        ->toBe('Wait for the one on the right: of those who came together the one on the right goes first.')
        ->and(turnScene('ahead', ['left ahead 0'])['verdict'])->toBe('go')
        ->and(turnScene('ahead', ['right ahead 0'], 5.0)['verdict'])->toBe('go')
        ->and(turnScene('ahead', ['right ahead 0'], 5.0, ['people' => true]))
        ->toMatchArray(['verdict' => 'wait', 'message' => 'Wait: people go before everybody.'])
        ->and(turnScene('ahead', ['left ahead 4', 'right ahead 0'])['message'])
        ->toBe('Wait for the one on the left: came first; and for the one on the right: of those who came together the one on the right goes first.');
});

Scenes::show('at an all-way stop the one opposite and we, both straight on, go both; who turns left yields to the one opposite', function (): void {
    expect(turnScene('ahead', ['opposite ahead 0']))->toMatchArray(['verdict' => 'go', 'together' => ['opposite'], 'order' => [['ours', 'opposite']]])
        ->and(turnScene('ahead', ['opposite ahead 0'])['message'])->toBe('Our turn. The one opposite may go at the same time.')
        ->and(turnScene('ahead', ['opposite ahead 0', 'left ahead 0'])['message'])
        ->toBe('Our turn, once they are seen to wait. The one opposite may go at the same time.')
        ->and(turnScene('left', ['opposite ahead 0']))->toMatchArray(['verdict' => 'wait', 'before' => ['opposite'], 'order' => [['opposite'], ['ours']]])
        ->and(turnScene('ahead', ['opposite left 0']))->toMatchArray(['verdict' => 'go', 'together' => []])
        ->and(turnScene('left', ['opposite left 0'])['together'])->toBe(['opposite']);
});

Scenes::show('four at once at an all-way stop: nobody’s turn by rule, agreed by eye; three are in an order', function (): void {
    expect(turnScene('ahead', ['right ahead 0', 'opposite ahead 0', 'left ahead 0']))->toMatchArray(['verdict' => 'agree', 'order' => []])
        ->and(turnScene('ahead', ['right ahead 0', 'left ahead 0'])['order'])->toBe([['right'], ['ours'], ['left']]);
});

Scenes::show('who came hardly before another goes only once they wait', function (): void {
    expect(turnScene('ahead', ['right ahead 0'], 1.0)['verdict'])->toBe('agree')
        ->and(turnScene('ahead', ['right ahead 0'], 1.0)['message'])->toContain('may see it otherwise');
});

Scenes::show('at a crossroads without signs nobody has priority in Great Britain; in Ireland whoever comes from the right; an all-way '
    .'stop is in neither', function (): void {
        $at = static fn (string $pack, string $line, string $goes = 'ahead'): array => Ask::tool('priority', [
            'pack' => $pack, 'place' => 'unmarked', 'goes' => $goes, 'vehicles' => [['line' => $line]],
        ]);
        expect($at('gb', 'right')['verdict'])->toBe('agree')->and($at('gb', 'left')['verdict'])->toBe('agree')
            ->and($at('gb', 'right')['message'])->toContain('Neither we nor the one on the right')
            ->and($at('ie', 'right'))->toMatchArray(['verdict' => 'wait', 'message' => 'Wait for the one on the right: who comes from the right goes first.'])
            ->and($at('ie', 'left')['verdict'])->toBe('go')
            ->and($at('gb', 'opposite', 'right')['message'])->toContain('who turns across waits')
            ->and(Ask::refusal('priority', ['pack' => 'gb', 'place' => 'all-way-stop']))->toHaveKey('place')
            ->and(Ask::refusal('priority', ['pack' => 'gb', 'place' => 'unmarked', 'vehicles' => [['line' => 'left'], ['line' => 'left']]]))
            ->toHaveKey('vehicles.1.line');
    });

/** @return array<string, mixed> */
function lightsScene(array $more): array
{
    return Ask::tool('lights', $more);
}

Scenes::show('inside the lights to turn across: only as many as the space holds, usually one', function (): void {
    expect(lightsScene([]))->toMatchArray(['verdict' => 'enter', 'holds' => 1])
        ->and(lightsScene(['inside' => 1])['verdict'])->toBe('wait')
        ->and(lightsScene(['inside' => 1])['message'])->toContain('no room for one more')
        ->and(lightsScene(['inside' => 1, 'room_m' => 12])['verdict'])->toBe('enter')
        ->and(lightsScene(['room_m' => 2])['message'])->toContain('no room to wait inside')
        ->and(lightsScene(['vehicle' => 'articulated-lorry', 'room_m' => 9])['verdict'])->toBe('wait');
});

Scenes::show('inside the lights nobody goes before those who come towards us are seen to stop, whatever shows and however much time there '
    .'would be', function (): void {
        foreach ([0.0, 2.0, 6.0] as $allRed) {
            foreach ([['arrow' => 'right', 'shows' => 'green'], ['shows' => 'green'], ['shows' => 'red']] as $head) {
                $at = ['stands' => 'inside', 'all_red_s' => $allRed, 'heads' => [$head]];
                expect(lightsScene($at)['verdict'])->toBe('wait')->and(lightsScene($at)['message'])->toContain('seen to stop')
                    ->and(lightsScene([...$at, 'seen_to_stop' => true])['verdict'])->toBe('go')
                    ->and(lightsScene([...$at, 'seen_to_stop' => true, 'people' => true])['verdict'])->toBe('wait');
            }
        }
        expect(lightsScene(['stands' => 'inside'])['red_is'])->toContain('behind the line')->and(lightsScene(['stands' => 'inside'])['watch'])->toHaveCount(3);
    });

Scenes::show('inside the lights the seconds after the change are counted: amber, the last who cannot stop, our way out, the first '
    .'from the side', function (): void {
        foreach ([20, 30, 40] as $mph) {
            ['red_s' => $red, 'last_passes_s' => $last, 'out_s' => $out, 'green_s' => $green, 'they_come_s' => $come, 'spare_s' => $spare]
                = lightsScene(['other_speed_mph' => $mph])['budget'];
            expect($red)->toBe(3.0)->and($green)->toBe(5.0)->and($out)->toBeGreaterThan($last + 2.0)->and($come)->toBeGreaterThan($green)
                ->and($spare)->toEqualWithDelta($come - $out, 0.11);
        }
        $stops = static fn (array $more): array => lightsScene(['stands' => 'inside', 'seen_to_stop' => true, ...$more]);
        expect($stops(['other_speed_mph' => 20, 'side_m' => 20, 'all_red_s' => 4])['message'])->toContain('without hurry')
            ->and($stops(['other_speed_mph' => 50, 'all_red_s' => 0])['message'])->toContain('may have green')
            ->and(lightsScene(['goes' => 'left', 'stands' => 'inside']))->toMatchArray(['verdict' => 'go', 'budget' => null, 'holds' => null]);
    });

Scenes::show('of several heads the one for our lane and way is ours, and it is said whether it clears us fully', function (): void {
    $right = static fn (array ...$heads): array => lightsScene(['goes' => 'right', 'heads' => $heads]);
    $filter = $right(['shows' => 'red'], ['arrow' => 'left', 'shows' => 'green']);
    expect($filter)->toMatchArray(['verdict' => 'wait'])->and($filter['head'])->toMatchArray(['ours' => 0, 'clears' => 'not'])
        ->and($filter['head']['message'])->toBe('Ours is the full light, and it shows red. Not ours: the arrow to the left.')
        ->and($right(['shows' => 'green'])['head'])->toMatchArray(['clears' => 'giving-way'])
        ->and($right(['shows' => 'green'], ['arrow' => 'right', 'shows' => 'green'])['head'])->toMatchArray(['ours' => 1, 'clears' => 'fully'])
        ->and($right(['shows' => 'green'], ['arrow' => 'right', 'shows' => 'green'])['verdict'])->toBe('go')
        ->and($right(['shows' => 'green'], ['shows' => 'red'])['head']['message'])->toContain('which stands for our lane?')
        ->and($right(['shows' => 'green', 'another_lane' => true], ['shows' => 'red'])['head']['ours'])->toBe(1)
        ->and(lightsScene(['pack' => 'na', 'goes' => 'right', 'heads' => [['shows' => 'red']]])['message'])->toContain('turn on red')
        ->and(lightsScene(['pack' => 'gb', 'goes' => 'left', 'heads' => [['shows' => 'red']]])['message'])->not->toContain('turn on red');
});

Scenes::show('a lorry on a ring has a best line like at a corner: out before it, wide on it, and out after it; said as distances '
    .'from kerb and line', function (): void {
        $at = static fn (float $width, string $exit = 'ahead', string $pack = 'gb'): array => Ask::tool('swept-path', [
            'pack' => $pack, 'vehicle' => 'articulated-lorry', 'path' => ['roundabout' => ['radius_m' => 14, 'exit' => $exit]], 'lane_width_m' => $width,
        ]);
        $wide = $at(6.0);
        $left = array_column($wide['aim'], 'left_m', 'where');
        // Keeping left one turns left, right round the ring, and left: out of each turn's inside.
        expect($wide['fits'])->toBeTrue()->and($wide['cover_two'])->toBeNull()->and(array_keys($left))->toBe(
            ['before the entry', 'at the entry', 'on the ring', 'at the exit', 'after it'],
        )->and($left['on the ring'])->toBeLessThan($left['before the entry'] - 1.0)->and($left['on the ring'])->toBeLessThan($left['after it'] - 1.0)
            ->and($wide['aim'][2]['message'])->toMatch('/^On the ring: [\d.]+ m from the kerb, [\d.]+ m from the line\.$/')
            ->and($at(6.0, pack: 'na')['aim'][2]['message'])->toContain('from the curb')->toContain(' ft ');
    });

Scenes::show('a lane too narrow for a lorry on a ring or through an S-bend: cover two, having looked and signalled; wide enough, nobody '
    .'covers two', function (): void {
        foreach ([['roundabout' => ['radius_m' => 14, 'exit' => 'right']], ['s_bend' => ['radius_m' => 18, 'angle_deg' => 50]]] as $way) {
            $at = static fn (float $width): array => Ask::tool('swept-path', ['vehicle' => 'articulated-lorry', 'path' => $way, 'lane_width_m' => $width]);
            expect($at(3.65)['cover_two']['message'])->toContain('cover two, having looked and signalled')
                ->and($at(3.65)['cover_two']['missing_m'])->toEqualWithDelta(-2.0 * min($at(3.65)['spare_left_m'], $at(3.65)['spare_right_m']), 0.02)
                ->and($at(9.0)['cover_two'])->toBeNull();
        }
    });

Scenes::show('out of a flat bay backwards: straight until the view opens, and no sooner turned than both neighbours are clear; into '
    .'it nose first is the same way', function (): void {
        $at = static fn (array $more): array => Ask::tool('reverse', ['vehicle' => 'small-petrol-hatch', ...$more])['room'];
        foreach ([2.2, 2.4, 2.7, 3.2] as $bay) {
            $out = $at(['exercise' => 'out-of-bay', 'bay_width_m' => $bay]);
            expect($out['straight_m'])->toBeGreaterThanOrEqual($out['view_after_m'])
                ->and($at(['exercise' => 'nose-in', 'bay_width_m' => $bay])['needed_m'])->toBe($out['needed_m']);
        }
        expect($at(['exercise' => 'out-of-bay', 'bay_width_m' => 3.2])['straight_m'])->toBe($out['view_after_m']);
    });

Scenes::show('forwards into a space at the kerb: about two cars long is enough, one and a half is not', function (): void {
    $at = static fn (float $space): array => Ask::tool('reverse', ['vehicle' => 'small-petrol-hatch', 'exercise' => 'kerb-space', 'space_m' => $space])['room'];
    expect($at(2.1 * 4.5)['fits'])->toBeTrue()->and($at(1.5 * 4.5))->toMatchArray(['fits' => false])
        ->and($at(1.5 * 4.5)['message'])->toContain('another space, or backwards');
});

Scenes::show('where nobody has priority everybody of them is named: neither we nor this one nor that one', function (): void {
    $said = static fn (string ...$lines): string => Ask::tool('priority', [
        'pack' => 'gb', 'place' => 'unmarked', 'goes' => 'ahead', 'vehicles' => array_map(static fn (string $line): array => ['line' => $line], $lines),
    ])['message'];
    $goesOn = ' has priority: slow enough to stop, eyes meet, and be the one who waits where it is not plain.';
    expect($said('right'))->toBe('Neither we nor the one on the right'.$goesOn)
        ->and($said('right', 'left'))->toBe('Neither we nor the one on the right nor the one on the left'.$goesOn);
});

Scenes::show('round a kerb a trailer runs nearer to it than the rear wheels: it is said how far, and the room it sweeps bears it out', function (): void {
    foreach (['small-petrol-hatch', 'loaded-van', 'rigid-lorry'] as $rigid) {
        $alone = Ask::tool('steering', ['vehicle' => $rigid, 'kerb_radius_m' => 10]);
        expect(array_column($alone['warnings'], 'code'))->not->toContain('trailer-cuts-in')->and($alone['trailer_in_m'])->toBeNull();
    }
    foreach ([8, 12, 20, 40] as $kerb) {
        $steering = Ask::tool('steering', ['vehicle' => 'articulated-lorry', 'kerb_radius_m' => $kerb, 'kerb_gap_m' => 1]);
        $said = array_column($steering['warnings'], 'message', 'code')['trailer-cuts-in'];
        // Round a long bend, as the chain of units really goes: never further in, and nearly as far.
        $front = hypot($steering['radius_m'], $steering['car']['wheelbase_m']);
        $swept = Ask::tool('swept-path', ['vehicle' => 'articulated-lorry', 'path' => ['radius_m' => $front, 'angle_deg' => 400, 'straight_out' => false]]);
        expect($said)->toContain(sprintf('up to %.1f m nearer to the inside', $steering['trailer_in_m']))->and($steering['trailer_in_m'])->toBeGreaterThan(0.2)
            ->and($swept['inner_radius_min_m'] + 2.55 / 2)->toEqualWithDelta($steering['radius_m'] - $steering['trailer_in_m'], 0.1, "{$kerb} m");
    }
    expect(array_column(Ask::tool('steering', ['vehicle' => 'articulated-lorry', 'radius_m' => 5.8])['warnings'], 'message', 'code')['trailer-cuts-in'])
        ->toBe('On a circle as tight as that the trailer folds: begin wider.');
});
