<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Scenes;
use NobleTurn\Core\Vehicle\Corner;
use NobleTurn\Core\Vehicle\DemoVehicles;

/**
 * @param  array<string, string>  $practice
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function lineScene(array $practice = [], array $more = []): array
{
    return Ask::tool('approach', ['routine' => 'emerge-right', 'limit_mph' => 60, 'speed_mph' => 30, 'practice' => $practice, ...$more]);
}

Scenes::show('a block change to second at 25 or 30 mph is done while second still turns freely, after the brake and in as good time as down through '
    .'the gears', function (): void {
        foreach ([25, 30, 35, 40, 50, 60] as $mph) {
            [$block, $through] = array_map(static fn (string $gears): array => lineScene(['gears' => $gears], ['speed_mph' => $mph]), ['block', 'sequential']);
            $last = static fn (array $plan): array => $plan['gear_changes'][count($plan['gear_changes']) - 1];
            $car = DemoVehicles::byId('small-petrol-hatch');
            expect($last($block)['to'])->toBe(2)->and($last($block)['up_m'])->toBeGreaterThanOrEqual($last($through)['up_m'] - 0.05)
                ->and($last($block)['down_m'])->toBeLessThan(Ask::step($block, 'speed')['best_m'])
                ->and(Ask::mpsAt($block, $last($block)['down_m']))->toBeLessThan(20.5 * 0.44704);
            foreach ([$block, $through] as $plan) {
                foreach ($plan['gear_changes'] as $change) {
                    $rpm = $car->gearbox->rpmAt(Ask::mpsAt($plan, $change['up_m']), $change['to']);
                    expect($rpm)->toBeGreaterThan($car->engine->idleRpm * 0.99, "{$mph} mph");
                }
            }
        }
    });

Scenes::show('first on the move, first only after stopping, or second and then first: gears, clutch and what one goes on in follow '
    .'the choice', function (): void {
        $taken = static fn (string $choice, array $more): array => array_column(lineScene(['gear_at_line' => $choice], $more)['gear_changes'], 'to');
        $rolls = [];
        $stops = ['control' => 'stop'];
        expect([$taken('second-then-first', $rolls), $taken('first-on-the-move', $rolls)])->toBe([[2], [2, 1]])
            ->and([$taken('second-then-first', $stops), $taken('first-on-the-move', $stops), $taken('first-after-stop', $stops)])->toBe([[2], [2, 1], []])
            ->and(lineScene(['gear_at_line' => 'first-after-stop'], $stops)['gear_after_line'])->toBe(1);
        // A gear is in and the clutch up with time left to look.
        $plan = lineScene(['gear_at_line' => 'first-on-the-move']);
        expect($plan['profile']['clutch'][count($plan['profile']['clutch']) - 1])->toBe('up')->and($plan['gear_changes'][1]['up_m'])->toBeGreaterThan(1.2);
        // What stops, stops by its own question.
        foreach (['second-then-first', 'first-on-the-move', 'first-after-stop'] as $choice) {
            expect(lineScene(['gear_at_line' => $choice])['line_speed_mps'])->toBe(2.0)
                ->and(lineScene(['gear_at_line' => $choice, 't_junction' => 'stop-first'])['line_speed_mps'])->toBe(0.0);
        }
    });

Scenes::show('the clutch is down for the last two or three car lengths where that is taught, and otherwise only when the engine '
    .'asks for it', function (): void {
        $down = static function (string $clutch, array $more): float {
            $plan = lineScene(['clutch' => $clutch, 'gear_at_line' => 'first-after-stop'], $more);
            $rows = array_filter(array_keys($plan['profile']['clutch']), static fn (int $i): bool => $plan['profile']['clutch'][$i] === 'down');

            return $plan['profile']['distance_m'][min($rows)];
        };
        $stop = ['control' => 'stop', 'speed_mph' => 20];
        expect($down('last-lengths', $stop))->toBeGreaterThan(9.0)->toBeLessThan(13.5)->and($down('fault-if-fast', $stop))->toBeLessThan(5.0);
        // Where the car rolls on, the change comes that late too.
        $change = static fn (string $clutch): float => lineScene(['clutch' => $clutch])['gear_changes'][0]['down_m'];
        expect($change('last-lengths'))->toBeLessThan(13.5)->and($change('last-lengths'))->toBeLessThan($change('fault-if-fast') - 1.0);
    });

Scenes::show('stopping from 60 nobody coasts: a gear is taken on the way, and the clutch goes down for the stop below 10 mph', function (): void {
    foreach (['block', 'sequential'] as $gears) {
        $plan = lineScene(['gears' => $gears, 'gear_at_line' => 'first-after-stop'], ['control' => 'stop', 'speed_mph' => 60]);
        expect($plan['gear_changes'])->not->toBe([]);
        $last = $plan['gear_changes'][count($plan['gear_changes']) - 1];
        foreach ($plan['profile']['clutch'] as $i => $clutch) {
            if ($clutch === 'down' && $plan['profile']['distance_m'][$i] < $last['up_m'] - 0.01) {
                expect($plan['profile']['speed_mps'][$i])->toBeLessThan(10.0 * 0.44704);
            }
        }
    }
});

Scenes::show('second holds 10 and 15 mph; first is for walking pace', function (): void {
    $gear = static fn (float $mph): int => array_column(Ask::tool('engine', ['speed_mph' => $mph])['choices'], 'gear', 'purpose')['cruise'];
    expect([$gear(10), $gear(15), $gear(20), $gear(3)])->toBe([2, 2, 2, 1]);
});

Scenes::show('one looks as long as the plan itself says, three seconds where looks alternate, whatever the routine, the speed and the number '
    .'of steps', function (): void {
        $seen = 0;
        foreach (['emerge-left', 'emerge-right', 'cross', 'turn-left', 'turn-right', 'lights-left', 'lights-right', 'roundabout',
            'mini-roundabout'] as $routine) {
            foreach ([15, 20, 25, 30, 40] as $mph) {
                foreach (['five', 'six'] as $steps) {
                    foreach (['alternate' => 3.0, 'right-left-right' => 2.5] as $look => $seconds) {
                        foreach (['second-then-first', 'first-on-the-move'] as $gear) {
                            $plan = lineScene(['steps' => $steps, 'look' => $look, 'gear_at_line' => $gear], ['routine' => $routine, 'speed_mph' => $mph]);
                            if ($plan['line_speed_mps'] <= 0.0) {
                                continue;
                            }
                            $seen++;
                            expect(Ask::step($plan, 'look')['best_s'])->toBeGreaterThanOrEqual($seconds - 0.02, "{$routine} {$mph} {$steps} {$look} {$gear}")
                                ->and(Ask::step($plan, 'look')['best_s'])->toBeLessThanOrEqual(Ask::step($plan, 'speed')['best_s'] + 0.01);
                        }
                    }
                }
            }
        }
        expect($seen)->toBeGreaterThan(200);
    });

Scenes::show('where traffic keeps right a turn asks for a look over the shoulder too, for cycles; at the lights one short look goes to where a light-jumper '
    .'would come from', function (): void {
        $card = static fn (string $routine, string $pack): array => Ask::tool('approach', ['pack' => $pack, 'routine' => $routine])['steps'];
        foreach (['turn-left' => 'left', 'turn-right' => 'right', 'emerge-left' => 'left', 'lights-right' => 'right'] as $routine => $side) {
            expect($card($routine, 'na')[0]['do'])->toContain("{$side} shoulder")->and($card($routine, 'gb')[0]['do'])->not->toContain('shoulder');
        }
        $look = static fn (string $routine, string $pack): string => array_column($card($routine, $pack), 'do', 'step')['look'];
        expect($look('lights-right', 'gb'))->toContain('one short look to the left')->and($look('lights-left', 'gb'))->toContain('one short look to the right')
            ->and($look('lights-left', 'na'))->toContain('one short look to the right')->and($look('lights-right',
                'na'))->toContain('one short look to the left');
    });

Scenes::show('up to a red at 30 or 40: second in readiness on the move, or the clutch down late and the gear when it is known that we go; from 60 nobody '
    .'coasts', function (): void {
        $red = static fn (int $mph, string $choice, array $more = []): array => Ask::tool('approach', [
            'routine' => 'lights-ahead', 'limit_mph' => $mph, 'light' => 'red', 'practice' => ['red' => $choice], ...$more,
        ]);
        $says = static fn (array $plan): string => array_column($plan['warnings'], 'message', 'code')['rolling-up-to-red'] ?? '';
        foreach ([30, 40] as $mph) {
            [$ready, $waits] = [$red($mph, 'second-ready'), $red($mph, 'when-it-changes')];
            expect(array_column($ready['gear_changes'], 'to'))->toBe([2])->and($waits['gear_changes'])->toBe([])
                ->and($says($ready))->toContain('second is in by then')->and($says($waits))->toContain('when it is known that we go');
        }
        expect($red(60, 'when-it-changes')['gear_changes'])->not->toBe([])
            ->and($says($red(30, 'second-ready', ['vehicle' => 'small-automatic'])))->toBe('Ease off early, so as to be still rolling when it changes.')
            ->and($says($red(30, 'second-ready', ['light' => 'green'])))->toBe('');
    });

Scenes::show('round a mini-roundabout in second as long as it turns freely at the speed the circle allows; first below that, and wherever it is tight by '
    .'another practice', function (): void {
        $car = DemoVehicles::byId(DemoVehicles::DEFAULT);
        $first = static fn (float $radius, string $choice = 'by-speed'): bool => in_array(1, array_column(Ask::tool('approach', [
            'routine' => 'mini-roundabout', 'limit_mph' => 30, 'exit' => 'right', 'turn_radius_m' => $radius, 'practice' => ['mini_gear' => $choice],
        ])['gear_changes'], 'to'), true);
        // Comfortable sideways: v = sqrt(a r); second is below its idling speed under r = v^2 / a.
        $least = (1.05 * $car->idlesAt(2)) ** 2 / Corner::COMFORTABLE_SIDEWAYS;
        expect([$first($least - 0.1), $first($least + 0.1)])->toBe([true, false])
            ->and([$first(7.9, 'first-where-tight'), $first(8.1, 'first-where-tight')])->toBe([true, false])
            ->and([$first(3.0, 'second'), $first(12.0, 'second')])->toBe([false, false]);
    });

Scenes::show('an opening just before ours: the signal waits for it, or comes in good time and whoever waits there is watched', function (): void {
    $past = static fn (string $choice, array $openings): array => Ask::tool('approach', [
        'routine' => 'turn-left', 'limit_mph' => 30, 'openings' => $openings, 'practice' => ['opening' => $choice],
    ]);
    $near = [['side' => 'left', 'from_m' => 70, 'to_m' => 61.5]];
    $codes = static fn (array $plan, string $of): array => array_column($plan[$of], 'code');
    [$after, $early, $none] = [$past('after', $near), $past('in-good-time', $near), $past('in-good-time', [])];
    expect(Ask::step($after, 'signal')['best_m'])->toBeLessThanOrEqual(61.5)->and($codes($after, 'conflicts'))->toContain('signal-waits-for-opening')
        ->and(Ask::step($early, 'signal')['best_m'])->toBe(Ask::step($none, 'signal')['best_m'])
        ->and($codes($early, 'conflicts'))->not->toContain('signal-waits-for-opening')
        ->and($codes($early, 'warnings'))->toContain('signal-before-opening')->and($codes($none, 'warnings'))->not->toContain('signal-before-opening')
        // One on the other side, or far back, nobody could take it for.
        ->and($codes($past('in-good-time', [['side' => 'right', 'from_m' => 70, 'to_m' => 61.5]]), 'warnings'))->not->toContain('signal-before-opening')
        ->and($codes($past('in-good-time', [['side' => 'left', 'from_m' => 160, 'to_m' => 150]]), 'warnings'))->not->toContain('signal-before-opening');
});
