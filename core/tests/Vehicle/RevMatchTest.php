<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Vehicle\Foot;
use NobleTurn\Core\Vehicle\RevMatch;

/** Revs that lose each moment a share of what is above idle, in small steps: knows nothing of the closed form. */
function fallen(float $from, float $seconds, float $idle, float $falls): float
{
    for ($i = 0; $i < 20_000; $i++) {
        $from -= ($from - $idle) / $falls * $seconds / 20_000;
    }

    return $from;
}

it('falls as small steps do, and never below idle', function (float $from, float $seconds, float $falls): void {
    $match = new RevMatch($from, 2000.0, $seconds, 800.0, $falls);
    expect($match->fallsToRpm)->toEqualWithDelta(fallen($from, $seconds, 800.0, $falls), 0.5)->and($match->fallsToRpm)->toBeGreaterThanOrEqual(800.0);
})->with([[3000.0, 1.0, 1.2], [5500.0, 0.5, 0.4], [1200.0, 3.0, 2.0], [800.0, 1.0, 1.0]]);

it('has waited long enough where it says so', function (): void {
    foreach ([[4000.0, 1500.0, 1.0, 2.5], [3000.0, 1000.0, 0.6, 1.2], [2500.0, 1400.0, 0.3, 3.0]] as [$before, $after, $seconds, $falls]) {
        $match = new RevMatch($before, $after, $seconds, 800.0, $falls);
        expect($match->foot)->toBe(Foot::Nothing)->and($match->waitSeconds)->toBeGreaterThan(0.0)
            ->and(fallen($before, $seconds + $match->waitSeconds, 800.0, $falls))->toEqualWithDelta($after + RevMatch::NEAR, 1.0);
    }
    // What asks for less than idle is never come down to.
    expect((new RevMatch(1500.0, 600.0, 1.0, 800.0, 1.2))->waitSeconds)->toBeNull();
});

it('does more with the foot the faster the revs fall, the longer the change and the lower the gear, each by its turn', function (): void {
    $order = ['nothing' => 0, 'hold' => 1, 'add' => 2, 'blip' => 3];
    $more = static function (Closure $match, array $values) use ($order): int {
        $last = 0;
        foreach ($values as $value) {
            $now = $order[$match($value)->foot->value];
            // One after the other, none left out.
            expect($now)->toBeGreaterThanOrEqual($last)->toBeLessThanOrEqual($last + 1);
            $last = $now;
        }

        return $last;
    };
    expect($more(static fn (int $i): RevMatch => new RevMatch(3500.0, 2300.0, 1.0, 800.0, 6.0 - 0.05 * $i), range(0, 115)))->toBe(3)
        ->and($more(static fn (int $i): RevMatch => new RevMatch(3500.0, 2300.0, 0.2 + 0.02 * $i, 800.0, 1.2), range(0, 150)))->toBe(3)
        ->and($more(static fn (int $i): RevMatch => new RevMatch(2200.0, 1200.0 + 20.0 * $i, 1.0, 800.0, 1.2), range(0, 150)))->toBe(3);
});

it('is measured by two engine speeds and a watch, wherever on the way they were read', function (): void {
    foreach ([0.5, 1.2, 3.0] as $falls) {
        foreach ([[4000.0, 0.4], [3000.0, 1.1], [1800.0, 0.2]] as [$from, $seconds]) {
            $to = 800.0 + ($from - 800.0) * exp(-$seconds / $falls);
            expect(RevMatch::measured($from, $to, $seconds, 800.0))->toEqualWithDelta($falls, 1e-9);
        }
    }
});

it('answers every change from a gear, one or more on, both ways; what asks too much is braked for first', function (): void {
    $answer = Ask::tool('engine', ['pack' => 'gb', 'speed_mph' => 30, 'gear' => 3]);
    expect(array_column($answer['changes'], 'to_gear'))->toBe([1, 2, 4, 5])
        ->and(array_column($answer['changes'], 'foot'))->toBe([null, 'blip', 'hold', 'nothing'])
        ->and($answer['changes'][0]['message'])->toContain('Brake first')->and($answer['rev_fall_s'])->toBe(1.2);
    foreach ($answer['changes'] as $change) {
        expect($change['rpm_after'])->toBe($answer['gears'][$change['to_gear'] - 1]['rpm']);
    }
    // At a crawl the highest gears are too high, and it says so.
    $slow = array_column(Ask::tool('engine', ['pack' => 'gb', 'speed_mph' => 10, 'gear' => 2])['changes'], null, 'to_gear');
    expect($slow[5]['foot'])->toBeNull()->and($slow[5]['wait_s'])->toBeNull()->and($slow[5]['message'])->toContain('below idle');
    // Without a clutch there is nothing to match.
    expect(Ask::tool('engine', ['pack' => 'gb', 'speed_mph' => 30, 'vehicle' => 'small-automatic'])['changes'])->toBe([]);
});

it('takes a watch for the figure, and says what a watch cannot have shown', function (): void {
    $asked = ['pack' => 'gb', 'speed_mph' => 30, 'gear' => 3];
    $measured = Ask::tool('engine', $asked + ['rev_fall_measured' => ['from_rpm' => 3000, 'to_rpm' => 1500, 'time_s' => 1.6]]);
    $idle = $measured['idle_rpm'];
    expect($measured['rev_fall_s'])->toEqualWithDelta(1.6 / log((3000 - $idle) / (1500 - $idle)), 0.001)
        ->and(array_column($measured['assumptions'], 'status', 'name')['revs above idle fall by two thirds in'])->toBe('given');
    $refused = static fn (array $watch): array => array_keys(Ask::refusal('engine', $asked + $watch));
    expect($refused(['rev_fall_measured' => ['from_rpm' => 3000, 'to_rpm' => 850, 'time_s' => 1]]))->toBe(['rev_fall_measured.to_rpm'])
        ->and($refused(['rev_fall_measured' => ['from_rpm' => 1500, 'to_rpm' => 3000, 'time_s' => 1]]))->toBe(['rev_fall_measured.from_rpm'])
        ->and($refused(['rev_fall_measured' => ['from_rpm' => 3000, 'to_rpm' => 1500, 'time_s' => 1], 'rev_fall_s' => 1]))->toBe(['rev_fall_measured'])
        ->and($refused(['rev_fall_s' => 0.01]))->toBe(['rev_fall_s']);
});
