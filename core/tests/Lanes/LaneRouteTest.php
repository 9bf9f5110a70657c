<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Tool\ApproachReader;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Lanes\Arm;
use NobleTurn\Core\Lanes\Costs;
use NobleTurn\Core\Lanes\LaneQuestion;
use NobleTurn\Core\Lanes\LaneRoute;
use NobleTurn\Core\Lanes\Layout;
use NobleTurn\Core\Lanes\Met;
use NobleTurn\Core\Lanes\MetKind;
use NobleTurn\Core\Lanes\Onward;
use NobleTurn\Core\Lanes\Ring;
use NobleTurn\Core\Lanes\SignsBefore;
use NobleTurn\Core\Lanes\Trip;
use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\Practice;

/** A roundabout of four arms with two unmarked lanes, gone round from the first arm to another. */
function laneRoute(int $exit, int $inLane = 1, ?Onward $onward = null, SignsBefore $signs = new SignsBefore): LaneRoute
{
    $arms = array_map(static fn (string $name, float $angle): Arm => new Arm($name, $angle, [[], []], 2, [], null), ['home', 'A', 'B', 'C'], [0.0, 90.0,
        180.0, 270.0]);
    $pack = new GreatBritain;
    $question = new LaneQuestion(
        $pack, new Ring($arms, 2, [], []), new Trip($exit, 90.0 * $exit, false, null, null, new Costs([]), $onward), 18.0, false, Layout::Roundabout,
        Speed::ofMilesPerHour(30.0), $inLane,
    );
    $way = ['left', 'ahead', 'right'][$exit - 1];
    $plan = ApproachPlanner::plan(ApproachReader::read(new Values(['routine' => 'roundabout', 'exit' => $way, 'pack' => 'gb',
        'limit' => Speed::ofMilesPerHour(30.0)])));
    $routes = $question->routes();

    return new LaneRoute($question, $routes[array_key_first($routes)], new Practice([], $pack), $plan, $signs);
}

it('meets everything in the order of time, from the first sign to the exit', function (int $exit): void {
    $met = laneRoute($exit)->met();
    $at = array_map(static fn (Met $one): float => $one->atMetres, $met);
    $seconds = array_map(static fn (Met $one): float => $one->seconds, $met);
    [$falls, $sinks] = [$at, $seconds];
    rsort($falls);
    rsort($sinks);
    $kinds = array_map(static fn (Met $one): MetKind => $one->kind, $met);
    expect($at)->toBe($falls)->and($seconds)->toBe($sinks)
        ->and(in_array(MetKind::DirectionSign, $kinds, true))->toBeTrue()
        ->and($kinds[count($kinds) - 1])->toBe(MetKind::Leave)
        ->and(array_search(MetKind::Mirrors, $kinds, true))->toBeLessThan(array_search(MetKind::Line, $kinds, true));
    foreach ($met as $one) {
        expect($one->angleDegrees === null)->toBe($one->atMetres >= 0.0, $one->kind->value);
    }
})->with([1, 2, 3]);

it('signals for the exit past the one before it, and on the approach by the clock', function (): void {
    $signals = static fn (int $exit): array => array_map(static fn (array $signal): array => [$signal['where'], $signal['side']?->value],
        laneRoute($exit)->signals);
    expect($signals(1))->toBe([['approach', 'left']])
        ->and($signals(2))->toBe([['approach', null], ['A', 'left']])
        ->and($signals(3))->toBe([['approach', 'right'], ['B', 'left']]);
});

it('changes lanes one after the other before the mirrors for the junction, each with its looks', function (): void {
    $over = laneRoute(3, inLane: 1);
    $changes = array_values(array_filter($over->met(), static fn (Met $one): bool => $one->kind === MetKind::ChangeLane));
    expect($over->route->approachLane)->toBe(2)->and($changes)->toHaveCount(1)
        ->and($changes[0]->mirrors)->toBe(['interior', 'right-mirror', 'right-shoulder'])
        ->and($changes[0]->atMetres)->toBeGreaterThan($over->way->laneByMetres)
        ->and($over->way->decideByMetres())->toBeGreaterThan($changes[0]->atMetres)
        ->and(array_filter(laneRoute(1)->met(), static fn (Met $one): bool => $one->kind === MetKind::ChangeLane))->toBe([]);
});

it('says whether the sign comes in time for the lane, without a jump as it stands further off', function (): void {
    $in = array_map(static fn (int $metres): bool => laneRoute(3, signs: new SignsBefore((float) $metres))->signComesInTime(), range(10, 400, 5));
    // Once it is in time it stays so.
    $first = array_search(true, $in, true);
    expect($first)->not->toBeFalse()->and(in_array(false, array_slice($in, (int) $first), true))->toBeFalse();
});

it('reckons the next junction from the lane it comes out in', function (): void {
    $ahead = static fn (float $metres): ?bool => laneRoute(3, onward: new Onward([['x'], ['x'], ['y']], 'y', $metres, 13.4))->ahead()?->fits;
    expect(laneRoute(3)->ahead())->toBeNull()->and($ahead(40.0))->toBeFalse()->and($ahead(900.0))->toBeTrue();
});
