<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;

/* What slows the car before a line: the brake, or the engine and the hill. Whoever follows sees brake lights only of the first. */

/** @return array<string, string> sentences by code */
function saidOfSlowing(array $asked): array
{
    return array_column(Ask::tool('approach', ['pack' => 'gb'] + $asked)['warnings'], 'message', 'code');
}

it('names the hill only where there is one to climb', function (): void {
    $seen = ['level' => 0, 'up' => 0];
    foreach (['turn-left', 'emerge-right', 'roundabout'] as $routine) {
        foreach (['dry', 'wet', 'ice'] as $surface) {
            foreach ([-0.08, 0.0, 0.03, 0.06, 0.1] as $gradient) {
                foreach ([20, 30, 40] as $limit) {
                    $said = saidOfSlowing(['routine' => $routine, 'surface' => $surface, 'gradient' => $gradient, 'limit_mph' => $limit]);
                    $words = $said['no-brake-needed'] ?? $said['brake-later-uphill'] ?? null;
                    if ($words !== null) {
                        expect(preg_match('/\bhill|uphill/i', $words) === 1)->toBe($gradient > 0.0, "{$routine} {$surface} {$gradient} {$limit}: {$words}");
                        $seen[$gradient > 0.0 ? 'up' : 'level']++;
                    }
                    expect(isset($said['downhill-runs-away']) && $gradient >= 0.0)->toBeFalse();
                }
            }
        }
    }
    expect($seen['level'])->toBeGreaterThan(5)->and($seen['up'])->toBeGreaterThan(20);
});

it('needs less of the brake the steeper it climbs: from both, by the brake later, to none, never back', function (): void {
    $order = ['' => 0, 'brake-later-uphill' => 1, 'no-brake-needed' => 2];
    foreach ([15, 20, 25, 30] as $limit) {
        $last = 0;
        for ($gradient = 0.0; $gradient <= 0.2; $gradient += 0.005) {
            $said = saidOfSlowing(['routine' => 'turn-left', 'gradient' => round($gradient, 4), 'limit_mph' => $limit]);
            $codes = array_keys(array_intersect_key($said, $order));
            expect(count($codes))->toBeLessThan(2);
            $now = $order[$codes[0] ?? ''];
            expect($now)->toBeGreaterThanOrEqual($last, "{$limit} mph, {$gradient}");
            $last = $now;
        }
        expect($last)->toBeGreaterThan(0);
    }
});

it('speaks of what slows only where something is slowed, and of the signal only where one is given', function (): void {
    $seen = 0;
    foreach ([['turn-left', 20], ['people', 20], ['hump', 20], ['meet', 20], ['pass-parked', 20], ['turn-left', 30]] as [$routine, $limit]) {
        foreach ([5, 10, 15, 20] as $mph) {
            foreach ([0.0, 0.04, 0.1] as $gradient) {
                $plan = Ask::tool('approach', ['routine' => $routine, 'limit_mph' => $limit, 'speed_mph' => $mph, 'gradient' => $gradient]);
                $said = array_column($plan['warnings'], 'message', 'code');
                $words = $said['no-brake-needed'] ?? $said['brake-later-uphill'] ?? null;
                if ($words !== null) {
                    $seen++;
                    $signals = in_array('signal', array_column($plan['steps'], 'step'), true);
                    expect($plan['peak_decel_mps2'])->toBeGreaterThan(0.0, "{$routine} {$mph} {$gradient}")
                        ->and(! $signals && str_contains($words, 'only the signal'))->toBeFalse();
                }
            }
        }
    }
    expect($seen)->toBeGreaterThan(5);
});
