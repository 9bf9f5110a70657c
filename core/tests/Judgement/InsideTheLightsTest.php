<?php

declare(strict_types=1);

use NobleTurn\Core\Judgement\AmberStretch;
use NobleTurn\Core\Judgement\InsideTheLights;
use NobleTurn\Core\Motion\PullAway;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Vehicle\DemoVehicles;

/** @param  array<string, float>  $more */
function inside(array $more = []): InsideTheLights
{
    $with = $more + [
        'mps' => 13.4, 'amber' => 3.0, 'red' => 2.0, 'room' => 7.0, 'length' => 4.0, 'across' => 14.0, 'out' => 16.0, 'side' => 8.0, 'ahead' => 0.0,
    ];
    $away = PullAway::run(DemoVehicles::byId('small-petrol-hatch'), Gradient::level(), 0.0, 0.5, 12.0, 5.0, 8.0, 60.0);

    return new InsideTheLights(
        new AmberStretch($with['mps'], $with['amber'], 1.0, 3.0), $with['red'], $with['room'], $with['length'], $with['across'], $with['out'],
        $with['side'], (int) $with['ahead'], $away,
    );
}

it('holds as many as there is room for, usually one', function (): void {
    expect(inside()->holds())->toBe(1)->and(inside(['room' => 3.0])->holds())->toBe(0)->and(inside(['room' => 9.5])->holds())->toBe(2)
        ->and(inside(['room' => 7.0, 'length' => 12.0])->holds())->toBe(0);
});

it('counts the budget by its parts', function (): void {
    $one = inside();
    // Who is farther than they need to stop stops: v t + v^2 / 2a, and then 14 m more.
    expect($one->lastPassesSeconds())->toEqualWithDelta((13.4 + 13.4 ** 2 / 6.0 + 14.0) / 13.4, 1e-9)
        ->and($one->theyComeSeconds())->toEqualWithDelta(3.0 + 2.0 + 1.0 + sqrt(8.0), 1e-9)
        ->and($one->outSeconds())->toBeGreaterThan($one->lastPassesSeconds() + InsideTheLights::SEES_S)
        ->and($one->spareSeconds())->toEqualWithDelta($one->theyComeSeconds() - $one->outSeconds(), 1e-9);
});

it('has less in hand the faster they come, the longer our way out and the sooner the others start, without a jump', function (
    string $what, array $worse,
): void {
    $before = null;
    foreach ($worse as $value) {
        $spare = inside([$what => $value])->spareSeconds();
        if ($before !== null) {
            expect($spare)->toBeLessThanOrEqual($before + 1e-9)->and($before - $spare)->toBeLessThan(0.6);
        }
        $before = $spare;
    }
})->with([['mps', range(9.0, 25.0, 0.5)], ['out', range(10.0, 30.0, 0.5)], ['red', range(4.0, 0.0, -0.25)], ['side', range(25.0, 0.5, -0.5)]]);

it('lets each who waits behind another begin later', function (): void {
    foreach ([1, 2, 3] as $ahead) {
        expect(inside(['ahead' => $ahead])->outSeconds() - inside(['ahead' => $ahead - 1])->outSeconds())
            ->toEqualWithDelta(InsideTheLights::EACH_LATER_S, 1e-9);
    }
});
