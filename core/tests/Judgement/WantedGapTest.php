<?php

declare(strict_types=1);

use NobleTurn\Core\Judgement\WantedGap;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\Ireland;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\DemoVehicles;

function wantedGap(RulePack $pack, string $vehicle, float $mph, Surface $surface = Surface::Dry): float
{
    return WantedGap::of($pack, $surface, DemoVehicles::byId($vehicle), Speed::ofMilesPerHour($mph))->seconds;
}

it('wants of a car what the pack teaches, at whatever speed', function (RulePack $pack): void {
    foreach (Surface::cases() as $surface) {
        foreach ([10.0, 38.0, 70.0] as $mph) {
            expect(wantedGap($pack, 'small-petrol-hatch', $mph, $surface))->toBe($pack->followingGap($surface)->inSeconds())
                ->and(wantedGap($pack, 'loaded-van', $mph, $surface))->toBe($pack->followingGap($surface)->inSeconds());
        }
    }
})->with([[new GreatBritain], [new Ireland], [new NorthAmerica]]);

it('wants of a lorry what its brakes take longer, worked by hand', function (): void {
    // 50 mph = 22.352 m/s; 6.557 m/s2 of the Highway Code, 5.0/6.43 of it in a lorry after 0.6 s: 0.6 + 22.352 / 2 x (1 / 5.0987 - 1 / 6.557) = 1.087 s more.
    expect(wantedGap(new GreatBritain, 'articulated-lorry', 50.0))->toEqualWithDelta(3.087, 0.002)
        ->and(wantedGap(new Ireland, 'rigid-lorry', 50.0))->toEqualWithDelta(3.087, 0.002)
        // In the wet the brakes take twice as long: 4 s + 0.6 + 2 x 0.487.
        ->and(wantedGap(new GreatBritain, 'articulated-lorry', 50.0, Surface::Wet))->toEqualWithDelta(5.575, 0.004);
});

it('wants by its length where that is taught: a second for ten feet, one more at speed', function (): void {
    // Model commercial driver’s manual, from memory: 54 ft of lorry at 30 mph want 5.4 s, at 40 mph and above 6.4 s.
    $feet = DemoVehicles::byId('articulated-lorry')->length->inMetres() / 0.3048;
    expect(wantedGap(new NorthAmerica, 'articulated-lorry', 30.0))->toEqualWithDelta($feet / 10.0, 1e-9)
        ->and(wantedGap(new NorthAmerica, 'articulated-lorry', 40.0))->toEqualWithDelta($feet / 10.0 + 1.0, 1e-9)
        ->and(wantedGap(new NorthAmerica, 'articulated-lorry', 65.0))->toEqualWithDelta($feet / 10.0 + 1.0, 1e-9);
});

it('never wants less of a lorry than of a car, nor jumps with the speed, whatever is under the tyres', function (RulePack $pack, string $vehicle): void {
    foreach (Surface::cases() as $surface) {
        $last = null;
        for ($mph = 2.0; $mph <= 70.0; $mph += 0.1) {
            $now = wantedGap($pack, $vehicle, $mph, $surface);
            expect($now)->toBeGreaterThanOrEqual($pack->followingGap($surface)->inSeconds())
                ->and($now)->toBeGreaterThanOrEqual($last ?? 0.0)->and($now - ($last ?? $now))->toBeLessThan(0.03, "{$surface->value}, {$mph} mph");
            $last = $now;
        }
    }
})->with([[new GreatBritain], [new NorthAmerica]])->with(['rigid-lorry', 'articulated-lorry']);

it('holds a counted gap against what the vehicle wants', function (): void {
    $of = static fn (string $vehicle): array => Ask::tool('following', ['speed_mph' => 50, 'gap_s' => 2.5, 'vehicle' => $vehicle]);
    expect($of('small-petrol-hatch')['short_by_s'])->toEqual(0.0)->and($of('articulated-lorry')['short_by_s'])->toEqualWithDelta(0.587, 0.003)
        ->and($of('articulated-lorry')['our_length_m'])->toEqual(16.5)->and($of('articulated-lorry')['seconds_to_open_gap'])->toBeGreaterThan(0.0)
        ->and(array_column($of('articulated-lorry')['assumptions'], 'status', 'name')['gap wanted'])->toBe('assumed')
        ->and(array_column($of('small-petrol-hatch')['assumptions'], 'status', 'name')['gap wanted'])->toBe('published');
});
