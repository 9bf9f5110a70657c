<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;

/** So much was asked, and what was said of it; null where it was taken. */
function refusal(string $tool, array $input): ?array
{
    try {
        Toolbox::ask($tool, $input);

        return null;
    } catch (BadInput $bad) {
        return $bad->errors;
    }
}

const FIVE_UNITS = [
    ['wheelbase_m' => 3, 'width_m' => 2.5], ['wheelbase_m' => 3, 'width_m' => 2.5], ['wheelbase_m' => 3, 'width_m' => 2.5],
    ['wheelbase_m' => 3, 'width_m' => 2.5], ['wheelbase_m' => 3, 'width_m' => 2.5],
];

it('refuses what would keep everybody waiting, before any of it is worked out, and names what to change', function (
    string $tool, array $input, string $field,
): void {
    $errors = refusal($tool, $input);
    expect($errors)->toHaveKey($field)->and($errors[$field][0])->toMatch('/^asks for [\d.,]+ times as much work as one request may: take /');
})->with([
    'a long way in half centimetres' => [
        'swept-path', ['vehicle' => 'articulated-lorry', 'step_m' => 0.005, 'path' => ['pieces' => array_fill(0, 40, ['length_m' => 200])]],
        '(input)',
    ],
    'circles of half a kilometre' => [
        'swept-path', ['units' => FIVE_UNITS, 'step_m' => 0.01, 'path' => ['pieces' => array_fill(0, 40, ['radius_m' => 500, 'angle_deg' => -360])]],
        '(input)',
    ],
    'to and fro across a kilometre' => [
        'swept-path',
        ['vehicle' => 'articulated-lorry', 'path' => ['points' => array_map(static fn (int $i): array => [$i % 2 === 0 ? 500 : -500, $i], range(0, 399))]],
        '(input)',
    ],
    'the best line of five units through a wide bend' => [
        'swept-path', ['units' => FIVE_UNITS, 'bend' => ['kerb_radius_m' => 100, 'entry_width_m' => 30, 'exit_width_m' => 30, 'angle_deg' => 160]],
        '(input)',
    ],
    'the best line, sixty times' => [
        'swept-path',
        [
            'vehicle' => 'articulated-lorry', 'bend' => ['kerb_radius_m' => 8, 'entry_width_m' => 4, 'exit_width_m' => 7.3],
            'sweep' => ['field' => 'step_m', 'from' => 0.1, 'to' => 0.7, 'step' => 0.01],
        ],
        'sweep.step',
    ],
    'twenty vehicles, 240 times' => [
        'join',
        [
            'slip_length_m' => 300, 'entry_speed_mph' => 30,
            'vehicles' => array_map(static fn (int $i): array => ['distance_m' => 100 - $i * 30, 'speed_mph' => 58], range(0, 19)),
            'sweep' => ['field' => 'main_speed_mph', 'from' => 40, 'to' => 63.9, 'step' => 0.1],
        ],
        'sweep.step',
    ],
]);

it('takes what an instructor asks, and more', function (string $tool, array $input): void {
    expect(refusal($tool, $input))->toBeNull();
})->with([
    'a lorry round a large roundabout in steps of a centimetre' => [
        'swept-path',
        [
            'vehicle' => 'articulated-lorry', 'step_m' => 0.01,
            'path' => [
                'pieces' => [
                    ['length_m' => 50], ['radius_m' => 20, 'angle_deg' => -40], ['radius_m' => 30, 'angle_deg' => 270],
                    ['radius_m' => 20, 'angle_deg' => -40], ['length_m' => 50],
                ],
            ],
        ],
    ],
    'the best line of a drawbar combination' => [
        'swept-path', ['units' => array_slice(FIVE_UNITS, 0, 3), 'bend' => ['kerb_radius_m' => 15, 'entry_width_m' => 4, 'exit_width_m' => 7.3]],
    ],
    'twenty vehicles on a main road' => [
        'join',
        [
            'slip_length_m' => 300, 'entry_speed_mph' => 30, 'main_speed_mph' => 60,
            'vehicles' => array_map(static fn (int $i): array => ['distance_m' => 100 - $i * 30, 'speed_mph' => 58], range(0, 19)),
        ],
    ],
    'a plan for every speed of a slider' => [
        'approach',
        [
            'routine' => 'emerge-right', 'limit_mph' => 30, 'then' => ['routine' => 'turn-right', 'distance_m' => 90],
            'sweep' => ['field' => 'speed_mph', 'from' => 5, 'to' => 64, 'step' => 0.25],
        ],
    ],
    'every sight for overtaking' => [
        'overtake', ['limit_mph' => 60, 'other_speed_mph' => 40, 'sweep' => ['field' => 'sight_m', 'from' => 50, 'to' => 1000, 'step' => 4]],
    ],
]);

it('tells the work of a path by its pieces and its units, whichever way the path is given', function (): void {
    $steps = static fn (array $input): float => Toolbox::ask('swept-path', $input)->effort - Effort::QUICK;
    $units = static fn (int $count): array => ['units' => array_slice(FIVE_UNITS, 0, $count)];
    mt_srand(13);
    for ($i = 0; $i < 40; $i++) {
        [$count, $step, $length, $radius, $angle] = [mt_rand(1, 5), mt_rand(5, 100) / 100, mt_rand(1, 200), mt_rand(5, 100), mt_rand(-360, 360)];
        $one = $steps($units($count) + ['step_m' => $step, 'path' => ['pieces' => [['length_m' => $length], ['radius_m' => $radius, 'angle_deg' => $angle]]]]);
        // What will be drawn: never less than it, and no more than the straights that an arc may have beside it.
        $drawn = $count * ($length + $radius * abs($angle) * M_PI / 180) / $step;
        expect($one)->toBeGreaterThanOrEqual($drawn)->toBeLessThanOrEqual($drawn + $count * (60.0 + 2.0 * 1.5708 * $radius) / $step);
        expect(
            $steps($units($count) + ['step_m' => $step, 'path' => ['points' => [[0, 0], [$length, 0], [$length, $radius]]]]),
        )->toBeGreaterThanOrEqual($count * ($length + $radius) / $step);
    }
    // Twice the units or half the step: twice the work.
    $arc = ['path' => ['radius_m' => 20, 'angle_deg' => 180]];
    expect($steps($units(4) + $arc))->toEqualWithDelta(2 * $steps($units(2) + $arc), 1e-6)->and(
        $steps($units(2) + $arc + ['step_m' => 0.05]),
    )->toEqualWithDelta(2 * $steps($units(2) + $arc), 1e-6);
});

it('adds up a sweep: every answer of it costs what it costs alone', function (): void {
    $least = ['slip_length_m' => 180, 'entry_speed_mph' => 30];
    $alone = Toolbox::ask('join', $least + ['main_speed_mph' => 50])->effort;
    expect(
        Toolbox::ask('join', $least + ['sweep' => ['field' => 'main_speed_mph', 'from' => 40, 'to' => 59, 'step' => 1]])->effort,
    )->toEqualWithDelta(20 * $alone, 1e-6);
});

it('takes the longest record there may be', function (): void {
    $mark = ['at' => '2026-05-01T10:02:00Z', 'routine' => 'emerge-right', 'step' => 'look', 'outcome' => 'missed'];
    expect(refusal('skill', ['today' => '2026-05-20', 'marks' => array_fill(0, 30_000, $mark)]))->toBeNull();
});
