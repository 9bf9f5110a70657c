<?php

declare(strict_types=1);

use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Site\Sites;

/* Whose turn it is on a way is what the tool `priority` says of those who stand at the other lines. */

it('asks only where nothing else says who goes: all stop, or nothing at a crossroads', function (string $name, string $kind, bool $asks): void {
    $ways = Ask::tool('site', Sites::of(Sites::arms($name), $kind, $name === 'all stop' ? 'na' : 'gb'))['ways'];
    foreach ($ways as $way) {
        expect($way['turn'] !== null)->toBe($asks, "{$name} {$way['from']}>{$way['to']}");
    }
})->with([
    ['all stop', 'junction', true], ['unmarked crossroads', 'junction', true], ['crossroads', 'junction', false], ['lights', 'junction', false],
    ['T', 'junction', false], ['unmarked T', 'junction', false], ['alley', 'junction', false], ['ring', 'roundabout', false], ['shops', 'stretch', false],
]);

it('says who stands at which line as it is seen from ours, and every question it makes can be answered under every pack', function (): void {
    foreach (RulePacks::codes() as $pack) {
        foreach (Ask::tool('site', Sites::of(Sites::arms('unmarked crossroads'), 'junction', $pack))['ways'] as $way) {
            expect(array_column($way['turn']['vehicles'], 'line'))->toEqualCanonicalizing(['left', 'opposite', 'right'])
                ->and($way['turn']['goes'])->toBe($way['out'])->and(Ask::tool('priority', $way['turn'])['place'])->toBe('unmarked');
        }
    }
    $ways = Sites::ways(Sites::of(Sites::arms('all stop'), 'junction', 'na'));
    // Everybody at once, straight on: the one on the right before us, the one opposite with us.
    $said = Ask::tool('priority', $ways['s>n']['turn']);
    expect($said['rule'])->toBe('arrival')->and($said['before'])->toBe(['right'])->and($said['together'])->toContain('opposite');
});

it('lets those who cannot go straight on go the way there is, and asks nothing where two come from one side', function (): void {
    $t = array_fill_keys(['w', 'e', 's'], ['control' => 'all-way-stop']);
    $turn = Sites::ways(Sites::of($t, 'junction', 'na'))['w>e']['turn'];
    // From the west: the one opposite comes straight on, the one on the right turns one way or the other.
    $lines = array_column($turn['vehicles'], 'goes', 'line');
    expect($lines['opposite'])->toBe('ahead')->and($lines['right'])->toBeIn(['left', 'right'])->and($lines)->toHaveCount(2);
    $five = array_fill_keys(['n', 'e', 's', 'w', 'nw'], ['control' => 'all-way-stop']);
    expect(Sites::ways(Sites::of($five, 'junction', 'na'))['s>e']['turn'])->toBeNull();
    // Nobody comes out of a road that is one-way inwards.
    $oneWay = ['n' => ['lanes_in' => 0, 'control' => 'all-way-stop']] + array_fill_keys(['e', 's', 'w'], ['control' => 'all-way-stop']);
    expect(array_column(Sites::ways(Sites::of($oneWay, 'junction', 'na'))['s>e']['turn']['vehicles'], 'line'))->toEqualCanonicalizing(['left', 'right']);
});

it('asks alike in a mirror', function (): void {
    $arms = Sites::arms('unmarked crossroads');
    $left = Sites::ways(Sites::of($arms, 'junction', 'gb'))['s>w']['turn'];
    $right = Sites::ways(Sites::of($arms, 'junction', 'na'))['s>e']['turn'];
    $mirror = ['left' => 'right', 'right' => 'left'];
    $lines = static fn (array $turn): array => array_column($turn['vehicles'], 'line');
    expect(array_map(static fn (string $line): string => $mirror[$line] ?? $line, $lines($left)))->toEqualCanonicalizing($lines($right))
        ->and($mirror[$left['goes']])->toBe($right['goes']);
});
