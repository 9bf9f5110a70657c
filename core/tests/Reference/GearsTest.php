<?php

declare(strict_types=1);

use NobleTurn\Core\Quantity\EngineSpeed;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Vehicle\Gearbox;
use NobleTurn\Core\Vehicle\Tyre;

function workedGearbox(): Gearbox
{
    return Gearbox::of([3.6, 1.95, 1.3, 0.97, 0.78], 4.06, Tyre::fromMarking('195/65R15'));
}

it('takes a tyre’s size from its ISO marking', function (): void {
    // Arithmetic of the marking: 15 x 25.4 + 2 x 195 x 0.65 = 634.5 mm across, 1.9933 m round.
    expect(Tyre::fromMarking('195/65R15')->circumferenceInMetres())->toEqualWithDelta(M_PI * 0.6345, 1e-9);
});

it('finds the worked engine speeds', function (): void {
    $box = workedGearbox();
    // Worked by hand: 2000 rpm in third, 1.3 x 4.06, is 12.59 m/s, 28.2 mph; second then turns at 2000 x 1.95 / 1.3 = 3000.
    $speed = $box->speed(EngineSpeed::ofRevolutionsPerMinute(2000), 3);
    expect($speed->inMilesPerHour())->toEqualWithDelta(28.2, 0.05)
        ->and($box->engineSpeed($speed, 2)->inRevolutionsPerMinute())->toEqualWithDelta(3000, 1e-6);
});

it('shows where the rules of thumb for revs clash with the ratios', function (): void {
    $box = workedGearbox();
    $added = fn (float $rpm): float => $box->engineSpeed($box->speed(EngineSpeed::ofRevolutionsPerMinute($rpm), 3), 2)->inRevolutionsPerMinute() - $rpm;
    // Common practice, no source: down from 2000 add about 1000, which these ratios give; from 1000 add 200 to 300, where they ask 500.
    expect($added(2000))->toEqualWithDelta(1000, 1)->and($added(1000))->toEqualWithDelta(500, 1)->and($added(1000))->toBeGreaterThan(300);
});

it('takes the gear that a town speed wants', function (): void {
    $gear = fn (float $mph): int => workedGearbox()->highestGearAbove(EngineSpeed::ofRevolutionsPerMinute(1750), Speed::ofMilesPerHour($mph));
    expect([$gear(5), $gear(20), $gear(30), $gear(40), $gear(60)])->toBe([1, 2, 3, 4, 5]);
});
