<?php

declare(strict_types=1);

use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Site\Sites;

/* Who turns across at lights waits inside: what the tool `lights` is asked of it follows from the lanes of the roads that meet. */

/** Four roads under lights, each as it is said. */
function underLights(array $each = [], string $pack = 'gb'): array
{
    $arms = array_fill_keys(['n', 'e', 's', 'w'], ['control' => 'signals']);

    return Sites::of(array_replace_recursive($arms, $each), 'junction', $pack);
}

it('asks of those who turn across somebody who comes towards them, under every pack, and every question is answered', function (): void {
    foreach (RulePacks::codes() as $pack) {
        $answer = Ask::tool('site', underLights(pack: $pack));
        $across = $answer['keeps'] === 'left' ? 'right' : 'left';
        foreach ($answer['ways'] as $way) {
            expect($way['lights'] !== null)->toBe($way['out'] === $across, "{$pack} {$way['from']}>{$way['to']}");
            if ($way['lights'] !== null) {
                $said = Ask::tool('lights', $way['lights']);
                expect($said['verdict'])->toBe('enter')->and($said['holds'])->toBe(1)->and($said['budget'])->not->toBeNull();
            }
        }
        expect(array_column($answer['assumptions'], 'status', 'name'))->toHaveKey('a lane under lights is wide');
    }
});

it('asks nothing without lights, at a roundabout, or where nobody comes towards us', function (): void {
    $none = static fn (array $asked): array => array_filter(array_column(Ask::tool('site', $asked)['ways'], 'lights'));
    $ring = Sites::of(array_fill_keys(['n', 'e', 's', 'w'], ['control' => 'signals']), 'roundabout', 'gb');
    expect($none(Sites::of(Sites::arms('crossroads'), 'junction', 'gb')))->toBe([])->and($none($ring))->toBe([]);
    $t = Sites::ways(Sites::of(array_fill_keys(['e', 's', 'w'], ['control' => 'signals']), 'junction', 'gb'));
    // Out of the stem nobody is opposite; from the road that goes on somebody is.
    expect($t['s>e']['lights'])->toBeNull()->and($t['e>s']['lights'] ?? null)->toBeNull()->and($t['w>s']['lights'])->not->toBeNull();
    $oneWay = Sites::ways(underLights(['n' => ['lanes_in' => 0]]));
    expect($oneWay['s>e']['lights'])->toBeNull()->and($oneWay['w>s']['lights'])->not->toBeNull();
});

it('has the room and the ways of the roads that meet: more lanes, more room and a longer way for everybody', function (): void {
    $asked = static fn (array $each): array => Sites::ways(underLights($each))['s>e']['lights'];
    $one = $asked([]);
    // Line, people, one lane; and the same again behind the middle.
    expect($one)->toMatchArray(['goes' => 'right', 'room_m' => 3.5 + 3.25, 'across_m' => 2 * (3.5 + 3.25), 'side_m' => 3.5 + 3.25 + 0.75]);
    $met = $asked(['e' => ['lanes_in' => 3, 'lanes_out' => 2]]);
    expect($met['room_m'])->toBe($one['room_m'] + 2 * 3.25)->and($met['across_m'])->toBe($one['across_m'] + 3 * 3.25)
        ->and($met['side_m'])->toBe($one['side_m'])
        ->and(Ask::tool('lights', $met)['holds'])->toBe(2);
    // What leads away from us on the other side is the same half of the road we cross.
    expect($asked(['w' => ['lanes_out' => 2]])['room_m'])->toBe($one['room_m'] + 3.25)
        ->and($asked(['w' => ['lanes_in' => 2]])['room_m'])->toBe($one['room_m'])
        // From one side they come across our lanes, from the other across those of who comes towards us: the nearer counts.
        ->and($asked(['s' => ['lanes_in' => 3]])['side_m'])->toBe($one['side_m'])
        ->and($asked(['s' => ['lanes_in' => 3], 'n' => ['lanes_in' => 2]])['side_m'])->toBe($one['side_m'] + 3.25);
});

it('takes the limit of those who come towards us, in its unit, and of two the faster', function (): void {
    $asked = static fn (array $each, string $pack = 'gb'): array => Sites::ways(underLights($each, $pack))['s>e']['lights'];
    expect($asked(['n' => ['limit_mph' => 40], 's' => ['limit_mph' => 20]]))->toMatchArray(['other_speed_mph' => 40])
        ->and($asked(['n' => ['limit_kmh' => 50]]))->toMatchArray(['other_speed_kmh' => 50])->not->toHaveKey('other_speed_mph')
        ->and(array_keys($asked([])))->toBe(['pack', 'goes', 'room_m', 'across_m', 'side_m']);
    $slow = Ask::tool('lights', $asked(['n' => ['limit_mph' => 20]]));
    $fast = Ask::tool('lights', $asked(['n' => ['limit_mph' => 100]]));
    // The faster they come, the longer the last of them takes to be past.
    expect($fast['budget']['last_passes_s'])->toBeGreaterThan($slow['budget']['last_passes_s']);
});

it('asks alike in a mirror', function (): void {
    $lanes = ['n' => ['lanes_in' => 2], 's' => ['lanes_in' => 3], 'e' => ['lanes_in' => 2, 'lanes_out' => 1], 'w' => ['lanes_in' => 1, 'lanes_out' => 3]];
    $mirrored = ['e' => $lanes['w'], 'w' => $lanes['e']] + $lanes;
    $right = Sites::ways(underLights($lanes))['s>e']['lights'];
    $left = Sites::ways(underLights($mirrored, 'na'))['s>w']['lights'];
    expect(array_diff_key($left, ['pack' => 0, 'goes' => 0]))->toBe(array_diff_key($right, ['pack' => 0, 'goes' => 0]));
});
