<?php

declare(strict_types=1);

use NobleTurn\Core\FastRoad\OvertakePlan;
use NobleTurn\Core\FastRoad\Overtaking;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\DemoVehicles;

function overtaking(float $other, float $limit = 26.8, float $slope = 0.0, bool $changes = true, string $car = 'small-petrol-hatch'): Overtaking
{
    return new Overtaking(DemoVehicles::byId($car), Gradient::ofRiseOverRun($slope), 3, $other, 4.5, $limit, $limit, $changes);
}

function overtakePlan(Overtaking $overtaking, ?float $sight, bool $rehearsal = false, ?RulePack $pack = null): OvertakePlan
{
    return new OvertakePlan($overtaking, $pack ??= new GreatBritain, $sight, $rehearsal, new Practice([], $pack));
}

it('says go, then wait, then drop back as the view grows shorter, each once', function (): void {
    $needed = overtakePlan(overtaking(18.0), null)->sightNeededMetres ?? 0.0;
    $seen = [];
    for ($sight = 1.4 * $needed; $sight > 0.5 * $needed; $sight -= 1.0) {
        $verdict = overtakePlan(overtaking(18.0), $sight)->verdict;
        if ($seen === [] || $seen[count($seen) - 1] !== $verdict) {
            $seen[] = $verdict;
        }
    }
    expect($needed)->toBeGreaterThan(300.0)->and($seen)->toBe(['go', 'marginal', 'drop-back'])
        ->and(overtakePlan(overtaking(18.0), null)->verdict)->toBe('unknown')
        ->and(overtakePlan(overtaking(18.0), null, rehearsal: true)->verdict)->toBe('go')
        ->and(overtakePlan(overtaking(18.0), null, rehearsal: true)->sightNeededMetres)->toBeNull();
});

it('falls back later in a lorry: air comes to its brakes first, and they hold less', function (): void {
    $back = static fn (string $car, Surface $surface): float => (new Overtaking(
        DemoVehicles::byId($car), Gradient::ofRiseOverRun(0.0), 3, 8.0, 4.5, 20.0, 20.0, true, surface: $surface,
    ))->secondsToFallBack(0.0);
    foreach (Surface::cases() as $surface) {
        expect($back('articulated-lorry', $surface))->toBeGreaterThan($back('small-petrol-hatch', $surface));
    }
    $lorry = overtaking(8.0, 20.0, car: 'articulated-lorry');
    expect($lorry->reactionSeconds())->toEqualWithDelta(1.4, 1e-9)->and($lorry->brakeMps2())->toEqualWithDelta(4.0 * 5.0 / 6.43, 1e-9)
        ->and(overtaking(8.0)->brakeMps2())->toEqualWithDelta(4.0, 1e-9)->and(overtaking(8.0)->reactionSeconds())->toEqualWithDelta(0.8, 1e-9);
});

it('drops back from what is never done, whatever is seen', function (): void {
    // Up a steep hill in a loaded van with hardly a difference to the limit.
    $plan = overtakePlan(overtaking(21.5, 22.0, 0.14, car: 'loaded-van'), 3000.0);
    expect($plan->overtaking->seconds)->toBeNull()->and($plan->verdict)->toBe('drop-back')->and($plan->rpmAtEnd())->toBeNull()->and($plan->overRevs())
        ->toBeFalse()
        ->and(array_column($plan->steps(), 'step'))->toBe(['mirrors', 'position', 'gear', 'mirrors', 'signal', 'speed']);
});

it('keeps the order of the steps in time, on the side that traffic there leaves the lane to', function (): void {
    foreach ([[new GreatBritain, 'right', 'left'], [new NorthAmerica, 'left', 'right']] as [$pack, $off, $near]) {
        foreach ([12.0, 16.0, 20.0] as $other) {
            $steps = overtakePlan(overtaking($other), 900.0, pack: $pack)->steps();
            $seconds = array_column($steps, 'seconds');
            $sorted = $seconds;
            sort($sorted);
            expect($seconds)->toBe($sorted)
                ->and($steps[4]['step'])->toBe('signal')->and($steps[4]['text'])->toBe($off)
                ->and($steps[3]['seconds'])->toBeLessThan($steps[4]['seconds'], 'looks before the signal')
                ->and($steps[count($steps) - 1]['text'])->toContain("back {$near}")
                ->and($steps[count($steps) - 2]['text'])->toContain($near);
        }
    }
});

it('says where the gear held runs out, and that little is gained by little more speed', function (): void {
    expect(overtakePlan(new Overtaking(DemoVehicles::byId('small-petrol-hatch'), Gradient::ofRiseOverRun(0.0), 2, 15.0, 16.5, 31.0, 26.8, false),
        null)->overRevs())->toBeTrue()
        ->and(overtakePlan(overtaking(15.0), null)->overRevs())->toBeFalse()
        ->and(overtakePlan(overtaking(22.4), null)->gainsLittle())->toBeTrue()
        ->and(overtakePlan(overtaking(22.2), null)->gainsLittle())->toBeFalse();
});

it('refuses whom nobody passes lawfully, and says how much slower they must be', function (): void {
    $of = static fn (float $other): array => Ask::tool('overtake', ['pack' => 'gb', 'limit_mps' => 20, 'other_speed_mps' => $other]);
    expect($of(19.4)['verdict'])->toBe('drop-back');
    foreach ([19.5, 19.9, 20.0, 25.0] as $other) {
        expect(fn () => $of($other))->toThrow(BadInput::class, 'other_speed_mps: must be below the limit, by more than 0.5 m/s');
    }
});
