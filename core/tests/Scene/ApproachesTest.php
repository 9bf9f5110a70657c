<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Scenes;
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
