<?php

declare(strict_types=1);

use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Vehicle\BayWay;
use NobleTurn\Core\Vehicle\DemoVehicles;
use NobleTurn\Core\Vehicle\ReversePlan;
use NobleTurn\Core\Vehicle\ReversingExercise;

function reversing(RulePack $pack, ReversingExercise $exercise, float $slope = 0.0, string $car = 'small-petrol-hatch'): ReversePlan
{
    return new ReversePlan($pack, DemoVehicles::byId($car), $exercise, Gradient::ofRiseOverRun($slope));
}

it('looks all round from ahead over the kerb’s side to the rear window, the kerb where it is', function (RulePack $pack, ReversingExercise $exercise,
    string $kerb): void {
    $road = $kerb === 'left' ? 'right' : 'left';
    expect(reversing($pack, $exercise)->looks())
        ->toBe(['ahead', "{$kerb}-shoulder", "{$kerb}-mirror", 'interior', "{$road}-mirror", "{$road}-shoulder", 'rear']);
})->with([
    [new GreatBritain, ReversingExercise::AlongTheFarKerb, 'right'], [new GreatBritain, ReversingExercise::Bay, 'left'],
    [new NorthAmerica, ReversingExercise::AlongTheFarKerb, 'left'], [new NorthAmerica, ReversingExercise::Ramp, 'right'],
]);

it('holds the pace by what the car has and the hill asks: a road that rises ahead falls behind', function (): void {
    $control = static fn (float $slope, string $car = 'small-petrol-hatch'): string => reversing(new GreatBritain, ReversingExercise::Ramp, $slope,
        $car)->control();
    expect($control(0.08))->toContain('Downhill backwards')->toContain('foot brake')
        ->and($control(-0.08))->toContain('Uphill backwards')->toContain('biting point')
        ->and($control(0.0))->toContain('On the level')
        ->and($control(0.009))->toBe($control(0.0))
        ->and($control(-0.08, 'small-automatic'))->not->toContain('clutch')->not->toContain('biting')
        ->and($control(0.08, 'small-automatic'))->not->toContain('clutch');
});

it('enters a bay in one arc that is as smooth as the wheel, and ends square to it with the axle at its mouth', function (string $car): void {
    $chassis = DemoVehicles::byId($car)->chassis;
    $bay = new BayWay($chassis, BayWay::usualRadiusMetres($chassis));
    [$step, $last] = [$bay->lengthMetres / 400.0, $bay->at(0.0)];
    expect($last)->toEqual(['x' => 0.0, 'y' => 0.0, 'heading' => 0.0]);
    for ($i = 1; $i <= 400; $i++) {
        $now = $bay->at($i * $step);
        // As far as the wheels rolled, and never a turn sharper than the radius.
        expect(hypot($now['x'] - $last['x'], $now['y'] - $last['y']))->toEqualWithDelta($step, 1e-3)
            ->and($now['heading'] - $last['heading'])->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual($step / $bay->radiusMetres * 180.0 / M_PI + 1e-9);
        $last = $now;
    }
    expect($last['heading'])->toEqualWithDelta(90.0, 1e-9)
        ->and($last['x'])->toEqualWithDelta(-$bay->pastMetres, 1e-9)
        // The tail stands at the end of the bay.
        ->and($last['y'] + $chassis->rearOverhangMetres)->toEqualWithDelta($bay->offMetres + $bay->depthMetres, 1e-9)
        ->and($bay->fits($bay->aisleMetres))->toBeTrue()->and($bay->fits($bay->aisleMetres - 0.01))->toBeFalse()
        ->and($bay->sideMetres)->toEqualWithDelta((BayWay::WIDTH_M - $chassis->widthMetres) / 2.0, 1e-9);
})->with(['small-petrol-hatch', 'loaded-van', 'small-electric']);
