<?php

declare(strict_types=1);

use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\MirroredBritain;
use NobleTurn\Core\Trade\Step;

define('CASES', (int) (getenv('NOBLE_TURN_CASES') ?: 600));

/** Runs a check over many approaches and names the seed of the one that fails. */
function forApproaches(int $seed, callable $check, int $cases = CASES): void
{
    $checked = 0;
    foreach (Approaches::many($cases, $seed) as $at => $input) {
        try {
            $checked += (int) ($check($input) !== false);
        } catch (Throwable $failed) {
            throw new RuntimeException("seed {$at}: {$failed->getMessage()}\n".json_encode($input), 0, $failed);
        }
    }
    // A property that no case reached has shown nothing.
    expect($checked)->toBeGreaterThan($cases / 20);
}

it('keeps the practice’s order and each best point inside its window', function (): void {
    forApproaches(1, function (array $input): void {
        $before = INF;
        $plan = Ask::plan($input);
        foreach ($plan->steps as $step) {
            $window = $step->window;
            expect($window->bestMetres)->toBeLessThanOrEqual($before + 1e-9)
                ->and($window->earliestMetres)->toBeGreaterThanOrEqual($window->bestMetres)
                ->and($window->latestMetres)->toBeLessThanOrEqual($window->bestMetres)
                ->and($window->endMetres)->toBeLessThanOrEqual($window->bestMetres)
                ->and($window->latestMetres)->toBeGreaterThanOrEqual(0.0)
                ->and($window->endMetres)->toBeGreaterThanOrEqual($step->step === Step::Look ? -($plan->chain->creep->metres ?? 0.0) : 0.0);
            $before = $window->bestMetres;
        }
    });
});

it('keeps every rule of the routine in a plan that fits', function (): void {
    forApproaches(2, function (array $input): ?bool {
        $plan = Ask::plan($input);
        if (! $plan->fits) {
            return false;
        }
        $at = fn (Step $step): float => $plan->step($step)->bestSeconds;
        $window = fn (Step $step) => $plan->step($step)->window;
        // Seen for two seconds before brake light or sideways move, also at the end of its window.
        expect($at(Step::Signal) - $at(Step::Position))->toBeGreaterThanOrEqual(2.0 - 1e-6)
            ->and($at(Step::Signal) - $at(Step::Speed))->toBeGreaterThanOrEqual(2.0 - 1e-6)
            // Mirrors done, and two seconds to think, before the signal.
            ->and($plan->chain->profile->secondsAt($window(Step::Mirrors)->endMetres) - $at(Step::Signal))->toEqualWithDelta(2.0, 1e-6)
            // Position done before firm braking.
            ->and($plan->chain->profile->secondsAt($window(Step::Position)->endMetres))->toBeGreaterThanOrEqual($plan->chain->firmSeconds - 1e-6);
        if ($plan->gears !== null) {
            foreach ($plan->gears->changes as $change) {
                expect($change->downSeconds)->toBeLessThan($plan->chain->brakeSeconds)->and($change->upSeconds)->toBeGreaterThanOrEqual(0.29);
            }
        }

        return null;
    });
});

it('has a profile whose speed adds up to its distance and whose ends are the speeds asked', function (): void {
    forApproaches(3, function (array $input): void {
        $plan = Ask::plan($input);
        $profile = $plan->profile();
        $distance = 0.0;
        for ($i = 1; $i < count($profile['time_s']); $i++) {
            $seconds = $profile['time_s'][$i - 1] - $profile['time_s'][$i];
            $metres = ($profile['speed_mps'][$i - 1] + $profile['speed_mps'][$i]) / 2.0 * $seconds;
            $distance += $metres;
            expect($profile['distance_m'][$i])->toBeLessThanOrEqual($profile['distance_m'][$i - 1]);
        }
        expect($distance)->toEqualWithDelta($profile['distance_m'][0], 0.02 + 2e-4 * $profile['distance_m'][0])
            ->and(end($profile['distance_m']))->toBe(0.0)
            ->and(end($profile['speed_mps']))->toEqualWithDelta($plan->chain->lineSpeed->metresPerSecond, 1e-3)
            ->and($profile['speed_mps'][0])->toEqualWithDelta($plan->chain->profile->approachMps(), 1e-3);
        foreach ($profile as $column) {
            expect(count($column))->toBe(count($profile['time_s']));
        }
    }, 300);
});

it('never puts the signal nearer the line for a faster approach', function (): void {
    forApproaches(4, function (array $input): ?bool {
        $input['speed_mph'] = min(60.0, $input['speed_mph']);
        $slow = Ask::plan($input);
        $fast = Ask::plan(['speed_mph' => $input['speed_mph'] + 7] + $input);
        if (! $slow->fits || ! $fast->fits) {
            return false;
        }
        expect($fast->step(Step::Signal)->window->bestMetres)->toBeGreaterThanOrEqual($slow->step(Step::Signal)->window->bestMetres - 1e-6);

        return null;
    });
});

it('never puts the signal nearer the line for a close follower', function (): void {
    forApproaches(5, function (array $input): ?bool {
        unset($input['follower_gap_s'], $input['close_follower']);
        $alone = Ask::plan($input);
        $followed = Ask::plan($input + ['close_follower' => true]);
        if (! $alone->fits || ! $followed->fits) {
            return false;
        }
        expect($followed->step(Step::Signal)->window->bestMetres)->toBeGreaterThanOrEqual($alone->step(Step::Signal)->window->bestMetres - 1e-6);

        return null;
    });
});

it('never brakes harder in the wet than on the dry', function (): void {
    forApproaches(6, function (array $input): void {
        $dry = Ask::plan(['surface' => 'dry'] + $input);
        $wet = ApproachPlanner::plan(Ask::approach(['surface' => 'wet'] + $input)->atSpeed(Speed::ofMetresPerSecond($dry->chain->profile->approachMps())));
        if ($dry->fits && $wet->fits) {
            expect($wet->chain->profile->peakMps2())->toBeLessThanOrEqual($dry->chain->profile->peakMps2() + 1e-6);
        }
    });
});

it('gives the mirrored plan for a pack that flips the side and nothing else', function (): void {
    forApproaches(7, function (array $input): void {
        $flip = ['left' => 'right', 'right' => 'left'];
        $mirrored = $input;
        $mirrored['routine'] = strtr($input['routine'], $flip);
        foreach (['openings', 'parked'] as $list) {
            foreach ($input[$list] ?? [] as $i => $stretch) {
                $mirrored[$list][$i]['side'] = $flip[$stretch['side']];
            }
        }
        if (isset($input['passing_on'])) {
            $mirrored['passing_on'] = $flip[$input['passing_on']];
        }
        foreach ($flip as $one => $other) {
            unset($mirrored["sight_{$other}_m"]);
            $mirrored += isset($input["sight_{$one}_m"]) ? ["sight_{$other}_m" => $input["sight_{$one}_m"]] : [];
        }
        $left = Ask::plan($input);
        $right = ApproachPlanner::plan(MirroredBritain::approach($mirrored));
        expect($right->profile())->toBe($left->profile())
            ->and($right->path->targetMetres)->toBe($left->path->targetMetres)
            ->and(array_map(fn ($conflict) => $conflict->code, $right->conflicts))->toBe(array_map(fn ($conflict) => $conflict->code, $left->conflicts));
        foreach (Step::cases() as $step) {
            $swap = fn (string $text): string => preg_replace_callback(
                '/left|right/i', fn (array $side): string => ctype_upper($side[0][0]) ? ucfirst($flip[lcfirst($side[0])]) : $flip[$side[0]], $text,
            );
            expect($right->step($step)->window)->toEqual($left->step($step)->window)
                ->and($right->step($step)->instruction->do)->toBe($swap($left->step($step)->instruction->do));
        }
    }, 200);
});

it('stays sane at the edges', function (array $input): void {
    $plan = Ask::plan($input);
    $profile = $plan->profile();
    foreach (['distance_m', 'time_s', 'speed_mps', 'decel_mps2', 'lateral_m'] as $column) {
        foreach ($profile[$column] as $value) {
            expect(is_finite($value))->toBeTrue()->and($value)->toBeGreaterThanOrEqual(0.0);
        }
    }
    expect($plan->step(Step::Mirrors)->window->bestMetres)->toBeLessThan(3000.0)
        ->and(max($profile['speed_mps']))->toBeLessThanOrEqual($plan->approach->speed->inMetresPerSecond() + 1e-3);
    if (! $plan->fits) {
        expect($plan->conflicts)->not->toBeEmpty();
    }
})->with(function (): iterable {
    foreach ([-0.15, 0.15] as $gradient) {
        foreach (['dry', 'wet', 'ice'] as $surface) {
            foreach ([5, 30, 70] as $speed) {
                yield "{$gradient} {$surface} {$speed} mph" => [['gradient' => $gradient, 'surface' => $surface, 'speed_mph' => $speed, 'limit_mph' => 70]];
            }
        }
    }
    foreach (['emerge-left', 'emerge-right', 'turn-left', 'turn-right'] as $routine) {
        yield "20 m of room, {$routine}" => [['routine' => $routine, 'room_m' => 20]];
        yield "5 m of room, {$routine}" => [['routine' => $routine, 'room_m' => 5]];
        yield "an opening at the line, {$routine}" => [
            ['routine' => $routine, 'openings' => [['side' => 'left', 'from_m' => 3, 'to_m' => 0], ['side' => 'right', 'from_m' => 3, 'to_m' => 0]]],
        ];
    }
});

it('keeps within the room, and names the speed at which the routine fits', function (): void {
    forApproaches(8, function (array $input): ?bool {
        unset($input['openings'], $input['parked']);
        if ($input['surface'] === 'ice') {
            $input['surface'] = 'wet';
        }
        $plan = Ask::plan(['room_m' => 60 + $input['speed_mph']] + $input);
        if ($plan->fits) {
            return false;
        }
        $fitting = Ask::plan(
            [
                'room_m' => 60 + $input['speed_mph'], 'speed_mps' => max(1.5, $plan->chain->profile->approachMps() - 1e-3),
            ] + array_diff_key($input, ['speed_mph' => 0]),
        );
        expect($plan->step(Step::Mirrors)->window->bestMetres)->toBeLessThanOrEqual(60.01 + $input['speed_mph'])
            ->and($fitting->fits)->toBeTrue();

        return null;
    }, 300);
});

it('says that the signal waits for an opening only where the opening would have come after it', function (): void {
    forApproaches(17, function (array $input): ?bool {
        $plan = Ask::tool(
            'approach',
            ['openings' => [['side' => str_ends_with($input['routine'], 'left') ? 'left' : 'right', 'from_m' => 60, 'to_m' => 38]]] + $input,
        );
        foreach ($plan['conflicts'] as $conflict) {
            if ($conflict['code'] === 'signal-waits-for-opening') {
                expect($conflict['rule_m'])->toBeGreaterThan(38.0)->and($conflict['needed_m'])->toBeLessThanOrEqual(38.01);

                return null;
            }
        }

        return false;
    }, 400);
});

it('lets a sign be read before the mirrors are due, and says so where it comes too late', function (): void {
    forApproaches(31, function (array $input): ?bool {
        if (isset($input['room_m'])) {
            return false;
        }
        $with = fn (float $at, float $legible): array => Ask::tool('approach', ['sign' => ['at_m' => $at, 'legible_m' => $legible]] + $input);
        $plan = Ask::tool('approach', $input);
        $mirrors = $plan['steps'][0]['best_m'];
        $speed = $plan['approach_speed_mps'];
        // The sign stands far out: only its own passing ends the reading, two seconds at the approach speed before it.
        if ($mirrors > 450.0) {
            return false;
        }
        $far = $with($mirrors + 100.0, 40.0)['sign'];
        expect($far['by_m'])->toEqualWithDelta($far['at_m'] + 2.0 * $speed, 0.05)
            ->and($far['spare_s'])->toEqualWithDelta((40.0 - 2.0 * $speed) / $speed, 0.02)
            ->and($far['in_time'])->toBe($far['spare_s'] >= 0.0);
        // It stands at the line: the mirrors end it, and it comes too late where it is legible only behind them.
        expect($with(0.0, max(1.0, $mirrors - 1.0))['sign']['in_time'])->toBeFalse()
            ->and($with(0.0, min(500.0, $mirrors + 2.1 * $speed))['sign']['in_time'])->toBeTrue();
        // Legible from further, never later.
        $late = array_column($with(0.0, max(1.0, $mirrors - 1.0))['warnings'], 'code');

        return expect($late)->toContain('sign-too-late') !== null;
    }, 150);
});

it('plans the second of two hazards at a speed at which it fits, and a metre more between them never leaves less', function (): void {
    $tried = 0;
    foreach (['turn-right', 'emerge-right', 'roundabout', 'pass-parked'] as $routine) {
        foreach ([20, 30, 40] as $limit) {
            $before = 0.0;
            foreach (range(60, 180, 6) as $metres) {
                $then = Ask::tool('approach', [
                    'routine' => 'turn-left', 'limit_mph' => $limit, 'then' => ['routine' => $routine, 'distance_m' => $metres],
                ])['then'];
                if ($then['verdict'] !== 'one-after-the-other') {
                    continue;
                }
                expect(array_column($then['plan']['conflicts'], 'code'))->not->toContain('room-too-short')
                    ->and($then['plan']['approach_speed_mps'])->toEqualWithDelta($then['reached_mps'], 1e-3)
                    ->and($then['reached_mps'])->toBeGreaterThanOrEqual($before - 1e-3, "{$routine} {$limit} {$metres}");
                $before = $then['reached_mps'];
                $tried++;
            }
        }
    }
    expect($tried)->toBeGreaterThan(100);
});

it('says the same gear, clutch and place across of a moment asked alone as of one in a row', function (): void {
    $rows = 0;
    forApproaches(23, function (array $input) use (&$rows): void {
        $plan = Ask::plan($input);
        [$seconds, $metres, $speeds] = $plan->chain->profile->columns($plan->sayAtMetres, 0.5);
        $across = $plan->path->along($metres);
        $alone = array_map(static fn (float $one): float => $plan->path->along([$one])[0], $metres);
        expect($across)->toBe($alone);
        if ($plan->gears === null) {
            return;
        }
        [$gears, $clutch] = $plan->gears->along($seconds, $speeds);
        foreach ($seconds as $i => $toGo) {
            expect($gears[$i])->toBe($plan->gears->gearAt($toGo));
            $during = array_filter($plan->gears->changes, static fn ($change): bool => $toGo <= $change->downSeconds && $toGo > $change->upSeconds) !== [];
            $stops = $plan->gears->clutchDownToStopSeconds;
            expect($clutch[$i] === 'down')->toBe($during || ($stops !== null && $toGo <= $stops), "clutch at {$toGo} s");
            $rows++;
        }
    });
    expect($rows)->toBeGreaterThan(1000);
});
