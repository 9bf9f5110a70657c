<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;

/**
 * A figure moves by a hair when what it is worked out from moves by a hair, as long as the choice in it (a gear, a gap, a lane, whether it
 * fits) stays the same. Each quantity has its stated bound: how far it may move for a step of a thousandth of its range.
 */

/** A step of each input, in its own unit: a thousandth of what is usual. */
const HAIR = ['speed_mph' => 0.03, 'road_width_m' => 0.007, 'gradient' => 0.0002, 'comfort_decel_mps2' => 0.002, 'turn_radius_m' => 0.01];

/**
 * @param  array<string, mixed>  $plan
 * @return array<string, mixed> what is chosen, not measured
 */
function chosenIn(array $plan): array
{
    return [
        $plan['fits'], array_column($plan['conflicts'], 'code'), array_column($plan['gear_changes'], 'to'), array_column($plan['phases'], 'phase'),
        array_column($plan['warnings'], 'code'), $plan['line_speed_mps'] > 0.0,
    ];
}

it('moves no best place of an approach by more than a metre and a fiftieth for a hair of speed, width, slope, braking or radius', function (): void {
    $seen = 0;
    foreach (Approaches::many(250, 31_000) as $seed => $input) {
        // Reckoned to the margins of a room too short there is a search, not a plan: it has a property of its own.
        unset($input['room_m']);
        $plan = Ask::tool('approach', $input);
        if ($plan['not_planned'] !== null) {
            continue;
        }
        foreach (HAIR as $name => $step) {
            $now = $input[$name] ?? ['turn_radius_m' => 9.0, 'comfort_decel_mps2' => 2.0][$name] ?? 0.0;
            $base = $plan['not_planned'] === null && isset($input[$name]) ? $plan : Ask::tool('approach', [$name => $now] + $input);
            $moved = Ask::tool('approach', [$name => $now + $step] + $input);
            if ($moved['not_planned'] !== null || chosenIn($moved) !== chosenIn($base)) {
                continue;
            }
            $seen++;
            foreach ($base['steps'] as $i => $one) {
                $there = $moved['steps'][$i];
                expect(abs($there['best_m'] - $one['best_m']))->toBeLessThan(1.0 + 0.02 * $one['best_m'], "seed {$seed}, {$name}, {$one['step']}")
                    ->and(abs($there['speed_mps'] - $one['speed_mps']))->toBeLessThan(0.5, "seed {$seed}, {$name}, {$one['step']}");
            }
            expect(abs($moved['peak_decel_mps2'] - $base['peak_decel_mps2']))->toBeLessThan(0.05, "seed {$seed}, {$name}")
                ->and(abs($moved['ease_off_m'] - $base['ease_off_m']))->toBeLessThan(1.0 + 0.02 * $base['ease_off_m'], "seed {$seed}, {$name}");
        }
    }
    expect($seen)->toBeGreaterThan(800);
});

it('changes the speed between parked cars, through a bend, round a hedge, over a crest, before a dip and within a view without a jump', function (): void {
    $plan = static fn (array $more): array => Ask::tool('approach', ['routine' => 'pass-parked', 'limit_mph' => 30, ...$more]);
    $both = [['side' => 'left', 'from_m' => 60, 'to_m' => 30], ['side' => 'right', 'from_m' => 60, 'to_m' => 30]];
    $last = null;
    for ($width = 6.12; $width < 8.2; $width += 0.005) {
        // Where the cars begin, the speed for between them is reached.
        $now = Ask::mpsAt($plan(['road_width_m' => round($width, 4), 'parked' => $both]), 60.0);
        expect(abs($now - ($last ?? $now)))->toBeLessThan(0.25, "{$width} m");
        $last = $now;
    }
    $walks = [
        'sight_ahead_m' => [5.0, 80.0, 0.1], 'radius' => [10.0, 120.0, 0.1], 'offset' => [0.6, 8.0, 0.01],
        'crest' => [0.01, 0.4, 0.001], 'rounded' => [0.0, 150.0, 0.5],
        'deep' => [0.6, 6.0, 0.004], 'long' => [0.0, 150.0, 0.2],
    ];
    foreach ($walks as $what => [$from, $to, $step]) {
        $last = null;
        for ($value = $from; $value < $to; $value += $step) {
            $at = round($value, 4);
            $now = $plan(['routine' => 'cross', 'limit_mph' => 60] + match ($what) {
                'radius' => ['bend' => ['radius_m' => $at, 'from_m' => 120, 'to_m' => 90]],
                'offset' => ['bend' => ['radius_m' => 150, 'offset_m' => $at, 'from_m' => 220, 'to_m' => 100]],
                'crest' => ['crest' => ['from_m' => 220, 'to_m' => 160, 'gradient_change' => $at]],
                'rounded' => ['crest' => ['from_m' => 160 + $at, 'to_m' => 160, 'gradient_change' => 0.12]],
                'deep' => ['dip' => ['from_m' => 220, 'to_m' => 160, 'depth_m' => $at]],
                'long' => ['dip' => ['from_m' => 100 + $at, 'to_m' => 100, 'depth_m' => 2.0]],
                default => [$what => $at],
            })['approach_speed_mps'];
            expect(abs($now - ($last ?? $now)))->toBeLessThan(0.12, "{$what} {$value}");
            $last = $now;
        }
    }
});

it('changes the creep, the speed at the line and the point of no return without a jump', function (): void {
    $last = null;
    for ($beyond = 0.05; $beyond < 12.0; $beyond += 0.05) {
        $plan = Ask::tool('approach', ['routine' => 'cross', 'limit_mph' => 30, 'view_beyond_m' => round($beyond, 4)]);
        $now = [$plan['line_speed_mps'], $plan['creep']['time_s'], Ask::step($plan, 'look')['best_m']];
        foreach ($last ?? $now as $i => $before) {
            expect(abs($now[$i] - $before))->toBeLessThan([0.05, 0.15, 0.4][$i], "{$beyond} m");
        }
        $last = $now;
    }
    foreach (['lights-ahead', 'lights-left', 'lights-right'] as $routine) {
        $last = null;
        for ($mph = 10.0; $mph < 45.0; $mph += 0.1) {
            $now = Ask::tool('approach', [
                'routine' => $routine, 'limit_mph' => 40, 'light' => 'green-long', 'speed_mph' => round($mph, 3),
            ])['point_of_no_return_m'];
            expect(abs($now - ($last ?? $now)))->toBeLessThan(0.6, "{$routine} {$mph} mph");
            $last = $now;
        }
    }
});

it('moves the peak and the brake of leaving, the speed of joining and the gap without a jump', function (): void {
    $walk = static function (string $tool, array $input, string $field, float $from, float $to, float $step, Closure $figures, array $bounds): void {
        $last = null;
        for ($value = $from; $value <= $to; $value += $step) {
            $answer = Ask::tool($tool, [$field => round($value, 5)] + $input);
            $now = $figures($answer);
            // The first entry is the choice: where it changes, figures may.
            if ($last !== null && $last[0] === $now[0]) {
                foreach ($bounds as $i => $bound) {
                    expect(abs($now[$i + 1] - $last[$i + 1]))->toBeLessThan($bound, "{$tool} {$field} {$value}, figure {$i}");
                }
            }
            $last = $now;
        }
    };
    $leave = static fn (array $answer): array => [
        array_column($answer['events'], 'kind'), $answer['decel_mps2'], $answer['peak_decel_mps2'], $answer['brake_from_m'] ?? 0.0,
    ];
    $leaving = ['main_speed_mph' => 60, 'slip_length_m' => 200, 'end_speed_mph' => 15];
    $walk('leave', $leaving + ['bend_from_m' => 100], 'bend_radius_m', 25.0, 200.0, 0.5, $leave, [0.3, 0.3, 3.0]);
    $walk('leave', $leaving, 'slip_length_m', 90.0, 400.0, 1.0, $leave, [0.15, 0.15, 3.0]);
    $walk('leave', $leaving, 'gradient', -0.08, 0.08, 0.001, $leave, [0.15, 0.15, 3.0]);
    $join = static fn (array $answer): array => [[$answer['best'], $answer['gear']], $answer['speed_at_end_mps']];
    $walk('join', ['slip_length_m' => 220, 'main_speed_mph' => 50, 'entry_speed_mph' => 30], 'gradient', -0.06, 0.06, 0.001, $join, [0.3]);
    $walk('join', ['main_speed_mph' => 50, 'entry_speed_mph' => 30], 'slip_length_m', 100.0, 350.0, 1.0, $join, [0.3]);
    $gap = static fn (array $answer): array => [$answer['worst'], $answer['critical_gap_s'], $answer['needed_by']['off_gas_s'], $answer['sight_distance_m']];
    foreach (['emerge-left', 'emerge-right', 'cross'] as $manoeuvre) {
        $walk('gap', ['manoeuvre' => $manoeuvre, 'other_distance_m' => 100], 'other_speed_mph', 15.0, 65.0, 0.25, $gap, [0.16, 0.16, 3.5]);
        $walk('gap', ['manoeuvre' => $manoeuvre, 'other_distance_m' => 100, 'other_speed_mph' => 40], 'gradient', -0.06, 0.06, 0.001, $gap, [0.15, 0.15, 2.5]);
    }
});
