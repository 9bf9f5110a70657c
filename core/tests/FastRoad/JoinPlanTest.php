<?php

declare(strict_types=1);

use NobleTurn\Core\FastRoad\Glance;
use NobleTurn\Core\FastRoad\Joining;
use NobleTurn\Core\FastRoad\JoinPlan;
use NobleTurn\Core\FastRoad\Neighbour;
use NobleTurn\Core\FastRoad\Room;
use NobleTurn\Core\FastRoad\Slip;
use NobleTurn\Core\FastRoad\WayIn;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Vehicle\DemoVehicles;

/** @param  list<Neighbour>  $seen */
function joinPlan(float $length = 250.0, float $entry = 13.4, float $main = 25.0, array $seen = [], string $car = 'small-petrol-hatch',
    ?RulePack $pack = null): JoinPlan
{
    $slip = new Slip($length, Gradient::ofRiseOverRun(0.0), 0.0, min($length, 170.0), $length, true);
    $vehicle = DemoVehicles::byId($car);

    return new JoinPlan(new Joining($slip, $vehicle, min(3, $vehicle->gearbox->topGear()), $entry, $main, $main, new Room(1.0, $vehicle->length->inMetres()),
        $seen), $pack ?? new GreatBritain);
}

it('looks into the mirror first and over the shoulder three times, each nearer to where we join', function (): void {
    foreach ([[new GreatBritain, 'right'], [new NorthAmerica, 'left']] as [$pack, $off]) {
        for ($length = 80.0; $length <= 500.0; $length += 30.0) {
            $plan = joinPlan($length, pack: $pack);
            $glances = $plan->glances();
            $places = array_map(static fn (Glance $glance): float => $glance->placeMetres, $glances);
            $seconds = array_map(static fn (Glance $glance): float => $glance->seconds, $glances);
            $falls = $places;
            rsort($falls);
            $grows = $seconds;
            sort($grows);
            expect($places)->toBe($falls, "{$length} m")->and($seconds)->toBe($grows)
                ->and(array_map(static fn (Glance $glance): string => $glance->at, $glances))->toBe(["{$off}-mirror", "{$off}-shoulder", "{$off}-shoulder",
                    "{$off}-shoulder"])
                ->and($places[3])->toBeGreaterThanOrEqual($plan->joining->slip->joinAtMetres());
            foreach ($glances as $glance) {
                expect($glance->coversMetres)->toEqualWithDelta(JoinPlan::GLANCE_S * $plan->run->mpsAt($glance->placeMetres), 1e-9);
            }
        }
    }
});

it('drives the run it draws: places, speeds and seconds of one motion, gears that only rise', function (): void {
    for ($seed = 1; $seed <= 60; $seed++) {
        $draw = new Approaches($seed);
        $plan = joinPlan($draw->number(90, 500), $draw->number(6, 18), $draw->number(19, 31), car: $draw->one(['small-petrol-hatch', 'loaded-van',
            'small-electric']));
        $columns = $plan->run->columns;
        for ($i = 1, $n = count($columns['time_s']); $i < $n; $i++) {
            $took = $columns['time_s'][$i] - $columns['time_s'][$i - 1];
            $went = $columns['distance_m'][$i - 1] - $columns['distance_m'][$i];
            expect($went)->toEqualWithDelta(($columns['speed_mps'][$i] + $columns['speed_mps'][$i - 1]) / 2.0 * $took, 0.08, "seed {$seed}, row {$i}")
                ->and($columns['gear'][$i])->toBeGreaterThanOrEqual($columns['gear'][$i - 1]);
        }
        expect($plan->run->secondsAt($plan->joining->slip->chooseFromMetres()))->toEqualWithDelta($plan->run->choiceSeconds, 1e-9);
    }
});

it('decides by where the first way worth choosing closes, and not at all where none is open', function (): void {
    $far = [new Neighbour('a', 60.0, 25.0), new Neighbour('b', -70.0, 25.0)];
    $plan = joinPlan(seen: $far);
    $open = array_filter($plan->waysIn, static fn (WayIn $wayIn): bool => $wayIn->feasible);
    expect($plan->best)->not->toBeNull()->and($open)->not->toBe([])
        ->and($plan->decideByMetres())->toBeLessThanOrEqual($plan->joining->slip->chooseFromMetres())->toBeGreaterThanOrEqual($plan->joining->slip
        ->joinAtMetres());
    // Bumper to bumper beside us: nothing opens.
    $wall = array_map(static fn (int $i): Neighbour => new Neighbour("car {$i}", 9.0 * $i, 25.0), range(-14, 12));
    $shut = joinPlan(seen: $wall);
    expect($shut->best)->toBeNull()->and($shut->decideByMetres())->toBeNull()
        ->and($shut->stopFromMetres())->toBeGreaterThan(0.0)->toBeLessThanOrEqual(250.0);
});

it('names the neighbours on both sides of every way in', function (): void {
    $plan = joinPlan(seen: [new Neighbour('ahead', 90.0, 25.0), new Neighbour('behind', -90.0, 25.0)]);
    foreach ($plan->waysIn as $wayIn) {
        $between = $plan->between($wayIn);
        expect([$between['behind_of'], $between['ahead_of']])->not->toBe([null, null]);
        if ($wayIn->feasible && $wayIn->which === 0 && $wayIn->ahead === false) {
            expect($between)->toBe(['behind_of' => 'ahead', 'ahead_of' => 'behind']);
        }
    }
});

it('tells a road that is too fast for the car from a way in that is merely slow', function (): void {
    $short = joinPlan(70.0, 8.0, 31.0);
    expect($short->isTooSlowForTheRoad())->toBeTrue()->and($short->joinsSlowly())->toBeFalse()
        ->and($short->reachedMetresPerSecond())->toBeLessThan(31.0 - 4.47)
        ->and(joinPlan(400.0)->isTooSlowForTheRoad())->toBeFalse()->and(joinPlan(400.0)->joinsSlowly())->toBeFalse();
});
