<?php

declare(strict_types=1);

use NobleTurn\Core\FastRoad\LeaveEvent;
use NobleTurn\Core\FastRoad\LeaveEventKind;
use NobleTurn\Core\FastRoad\LeavePlan;
use NobleTurn\Core\FastRoad\Leaving;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\DemoVehicles;
use NobleTurn\Core\Vehicle\Handling;

/** @param  array<string, string>  $answers */
function leaving(Leaving $leaving, array $answers = [], ?Side $next = null, int $lanes = 1, string $car = 'small-petrol-hatch',
    ?RulePack $pack = null): LeavePlan
{
    $pack ??= new GreatBritain;

    return new LeavePlan($leaving, $pack, new Practice($answers, $pack), DemoVehicles::byId($car), Gradient::ofRiseOverRun(0.0), $lanes, $next);
}

/** @return array<string, float> the first place of each kind, m from the beginning of the slip road */
function placesOf(LeavePlan $plan): array
{
    $places = [];
    foreach ($plan->events() as $event) {
        $places[$event->kind->value] ??= $event->placeMetres;
    }

    return $places;
}

it('meets everything in one order: mirrors before their signal, the brake only on the slip road, the line last', function (): void {
    for ($seed = 1; $seed <= 200; $seed++) {
        $draw = new Approaches($seed);
        $main = $draw->number(14, 35);
        $length = $draw->number(40, 600);
        $bend = $draw->one([null, $draw->number(10, 120)]);
        $plan = leaving(
            new Leaving($main, $length, $draw->number(0.5, $main), $bend === null ? null : $draw->number(0, $length), 40.0, $bend),
            ['leave_signal' => $draw->one(['half-way', 'at-once']), 'leave_marker' => $draw->one(['300', '200'])],
            $draw->one([null, Side::Left, Side::Right]), $draw->one([1, 2]),
        );
        $events = $plan->events();
        $at = array_map(static fn (LeaveEvent $event): float => round($event->placeMetres, 1), $events);
        $sorted = $at;
        sort($sorted);
        $places = placesOf($plan);
        expect($at)->toBe($sorted, "seed {$seed}")
            ->and($places['mirrors'])->toBeLessThan($places['signal'])
            ->and($places['brake'] ?? 1.0)->toBeGreaterThanOrEqual(0.0, "seed {$seed}: never on the main road")
            ->and($places['cancel'])->toBeGreaterThan(0.0)
            ->and($events[count($events) - 1]->kind)->toBe(LeaveEventKind::End);
        if (isset($places['next-signal'])) {
            expect($places['cancel'])->toBeLessThan($places['next-mirrors'], "seed {$seed}")
                ->and($places['next-mirrors'])->toBeLessThan($places['next-signal']);
        }
    }
});

it('reckons seconds from the beginning of the slip road that only fall, and that agree with the speed', function (): void {
    $plan = leaving(new Leaving(30.0, 250.0, 5.0, null, 40.0, null));
    // On the main road at a steady 30 m/s; on the slip road by the speed there.
    expect($plan->secondsTo(-300.0))->toBe(10.0)->and($plan->secondsTo(0.0))->toBe(0.0);
    $before = 0.0;
    for ($place = 5.0; $place <= 250.0; $place += 5.0) {
        $took = $before - $plan->secondsTo($place);
        $mean = ($plan->leaving->mpsAt($place - 5.0) + $plan->leaving->mpsAt($place)) / 2.0;
        expect($took)->toBeGreaterThan(0.0)->toEqualWithDelta(5.0 / $mean, 0.02);
        $before = $plan->secondsTo($place);
    }
});

it('takes the lane of the turn to come where it is to the off side and no room is left to change', function (): void {
    $long = new Leaving(30.0, 300.0, 5.0, null, 40.0, null);
    $short = new Leaving(30.0, 150.0, 5.0, null, 40.0, null);
    $lane = static fn (Leaving $leaving, ?Side $next, int $lanes, array $answers = []): int => leaving($leaving, $answers, $next, $lanes)->lane()[0];
    expect($lane($long, Side::Right, 2))->toBe(1)
        ->and($lane($short, Side::Right, 2))->toBe(2)
        ->and($lane($long, Side::Right, 2, ['slip_lane' => 'straight']))->toBe(2)
        ->and($lane($short, Side::Left, 2))->toBe(1)
        ->and($lane($short, null, 3))->toBe(1)
        ->and($lane($short, Side::Right, 1))->toBe(1);
});

it('changes down once before the line, and never without a clutch', function (): void {
    $leaving = new Leaving(31.0, 250.0, 4.0, null, 40.0, null);
    $gears = static fn (string $car): array => array_values(array_filter(leaving($leaving, car: $car)->events(),
        static fn (LeaveEvent $event): bool => $event->kind === LeaveEventKind::Gear));
    expect($gears('small-petrol-hatch'))->toHaveCount(1)
        ->and($gears('small-petrol-hatch')[0]->gear)->toBe(2)
        ->and($gears('small-petrol-hatch')[0]->placeMetres)->toBeLessThan(250.0)
        ->and($gears('small-automatic'))->toBe([]);
});

it('calls the brake harsh by what the surface bears, without a jump on the way', function (): void {
    $order = ['even' => 0, 'firm' => 1, 'harsh' => 2];
    $worst = 0;
    for ($length = 400.0; $length >= 60.0; $length -= 2.0) {
        $leaving = new Leaving(31.0, $length, 5.0, null, 40.0, null);
        $now = $order[$leaving->braking()];
        expect($now)->toBeGreaterThanOrEqual($worst, "{$length} m: shorter is never gentler")->toBeLessThanOrEqual($worst + 1)
            ->and($order[(new Leaving(31.0, $length, 5.0, null, 40.0, null, Surface::Ice))->braking()])->toBeGreaterThanOrEqual($now);
        $worst = $now;
    }
    expect($worst)->toBe(2);
});

it('brakes a lorry as a lorry: unhurried is less, harsh begins sooner, a bend takes less', function (): void {
    $lorry = Handling::of(DemoVehicles::byId('articulated-lorry'));
    $order = ['even' => 0, 'firm' => 1, 'harsh' => 2];
    for ($length = 60.0; $length <= 400.0; $length += 10.0) {
        $car = new Leaving(25.0, $length, 5.0, null, 40.0, null);
        $long = new Leaving(25.0, $length, 5.0, null, 40.0, null, Surface::Dry, $lorry);
        expect($order[$long->braking()])->toBeGreaterThanOrEqual($order[$car->braking()])
            ->and($long->stages[0]['from'])->toBeLessThanOrEqual($car->stages[0]['from'])
            ->and($long->shedBeforeMps())->toBeGreaterThanOrEqual($car->shedBeforeMps());
    }
    // 1.3 of a car's 2.0 m/s2 is comfortable (assumed), so 0.65 of what is harsh in a car; 1.0 m/s2 sideways (assumed).
    expect($long->harshFromMps2())->toEqualWithDelta(2.6, 1e-9)->and($car->harshFromMps2())->toEqualWithDelta(4.0, 1e-9)
        ->and((new Leaving(25.0, 200.0, 5.0, 100.0, 40.0, 49.0, Surface::Dry, $lorry))->bendMps())->toEqualWithDelta(7.0, 1e-9);
});

it('says where no tyre holds what the slip road would ask for', function (): void {
    $says = static fn (array $more): string => implode(' ', array_column(
        array_filter(
            Ask::tool('leave', $more + ['main_speed_mph' => 70, 'end_speed_mph' => 15])['warnings'],
            static fn (array $one): bool => $one['code'] === 'harsh-braking',
        ),
        'message',
    ));
    // 31.3 m/s to 6.7 m/s on 200 m of ice: a peak of 2.8 m/s2, where 0.1 of the weight (assumed) is 0.98.
    expect($says(['slip_length_m' => 200, 'surface' => 'ice']))->toContain('2.8 m/s²: more than holds here at all')
        ->and($says(['slip_length_m' => 110]))->toContain('harsh here')->not->toContain('holds')
        ->and($says(['slip_length_m' => 300, 'vehicle' => 'articulated-lorry', 'main_speed_mph' => 56]))->toBe('');
    $holds = true;
    for ($length = 900; $length >= 60; $length -= 20) {
        $now = ! str_contains($says(['slip_length_m' => $length, 'surface' => 'wet', 'vehicle' => 'rigid-lorry', 'main_speed_mph' => 56]), 'more than holds');
        expect($holds || ! $now)->toBeTrue("{$length} m: what does not hold does not hold on less");
        $holds = $now;
    }
    expect($holds)->toBeFalse();
});

it('calls it harsh where a hill on ice leaves nothing to brake with, however little would be asked, and comes to it without a jump', function (): void {
    $at = static fn (float $slope): array => Ask::tool(
        'leave', ['main_speed_mph' => 30, 'slip_length_m' => 400, 'end_speed_mph' => 20, 'surface' => 'ice', 'gradient' => $slope],
    );
    expect($at(0.0)['verdict'])->toBe('even')->and($at(-0.12)['verdict'])->toBe('harsh')->and($at(-0.12)['message'])->toContain('more than holds here at all')
        // Nothing holds: all of it would have to go before.
        ->and($at(-0.12)['shed_before_mps'])->toEqualWithDelta((30.0 - 20.0) * 0.44704, 0.1);
    $last = null;
    for ($slope = 0.0; $slope >= -0.14; $slope -= 0.0005) {
        $now = $at(round($slope, 5))['shed_before_mps'];
        expect($now - ($last ?? $now))->toBeGreaterThanOrEqual(0.0)->toBeLessThan(0.25, "{$slope}");
        $last = $now;
    }
});

it('brakes nowhere where the end of the slip road is as fast as the main road', function (): void {
    $leaving = new Leaving(26.0, 250.0, 26.0, null, 40.0, null);

    expect($leaving->braking())->toBe('even')->and($leaving->peakMps2())->toBe(0.0)->and($leaving->shedBeforeMps())->toBe(0.0)
        ->and($leaving->mpsAt(249.0))->toBe(26.0);
});

it('warns that speed feels low of who comes from a fast road and has much of it to lose, nobody else', function (): void {
    $warned = static fn (float $main, float $end): bool => in_array('speed-feels-low', array_column(Ask::tool('leave', [
        'pack' => 'gb', 'main_speed_mph' => $main, 'slip_length_m' => 400, 'end_speed_mph' => $end,
    ])['warnings'], 'code'), true);
    expect(array_map($warned, [70, 70, 50, 60], [15, 50, 30, 0]))->toBe([true, true, true, true])
        ->and(array_map($warned, [70, 30, 40, 49, 70], [65, 15, 10, 20, 70]))->toBe([false, false, false, false, false]);
});
