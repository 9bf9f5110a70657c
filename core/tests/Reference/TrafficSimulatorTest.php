<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;

/*
 * Held against SUMO (Eclipse, Debian's package), a traffic simulator of others: how a car brakes to a stop, and how those behind take it when we
 * join as planned. `sigma` 0 and no spread of speeds: every run is the same. bin/test installs it.
 */

/**
 * @param  non-empty-list<array<string, mixed>>  $asked
 * @return list<array<string, mixed>>
 */
function simulated(array $asked): array
{
    if (trim((string) shell_exec('command -v sumo')) === '') {
        if (getenv('CI')) {
            throw new RuntimeException('SUMO is missing: bin/test installs it.');
        }
        test()->markTestSkipped('SUMO is not installed: bin/test core installs it.');
    }
    $process = proc_open(['python3', __DIR__.'/sumo/drive.py'], [['pipe', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']], $pipes, null,
        ['SUMO_HOME' => getenv('SUMO_HOME') ?: '/usr/share/sumo', 'PATH' => (string) getenv('PATH')]);
    if ($process === false) {
        throw new RuntimeException('Python did not start.');
    }
    fwrite($pipes[0], json_encode($asked, JSON_THROW_ON_ERROR));
    fclose($pipes[0]);
    $said = stream_get_contents($pipes[1]);
    proc_close($process);

    return json_decode((string) $said, true, 8, JSON_THROW_ON_ERROR);
}

it('brakes over the metres in which a car of the simulator brakes as hard', function (): void {
    $firm = [];
    foreach ([[30, 'dry'], [50, 'dry'], [40, 'wet']] as [$mph, $surface]) {
        $plan = Ask::tool('approach', ['routine' => 'emerge-right', 'limit_mph' => 60, 'speed_mph' => $mph, 'surface' => $surface, 'control' => 'stop']);
        $firm[] = array_values(array_filter($plan['phases'], static fn (array $phase): bool => $phase['phase'] === 'firm'))[0] + ['plan' => $plan];
    }
    $said = simulated(array_map(static fn (array $phase): array => [
        'brake' => ['from_mps' => Ask::mpsAt($phase['plan'], $phase['from_m']), 'mps2' => $phase['decel_mps2'], 'stop_m' => 400.0],
    ], $firm));
    foreach ($firm as $i => $phase) {
        [$from, $to] = [Ask::mpsAt($phase['plan'], $phase['from_m']), Ask::mpsAt($phase['plan'], $phase['to_m'])];
        // Where its speed passes ours at both ends of the firm part.
        $where = static function (float $mps) use ($said, $i): float {
            foreach ($said[$i]['rows'] as $row => [$metres, $speed]) {
                if ($speed <= $mps) {
                    [$before, $faster] = $said[$i]['rows'][$row - 1];

                    return $faster - $speed < 1e-9 ? $metres : $before + ($metres - $before) * ($faster - $mps) / ($faster - $speed);
                }
            }

            return 0.0;
        };
        $ours = $phase['from_m'] - $phase['to_m'];
        expect($where($from - 0.05) - $where($to + 0.05))->toEqualWithDelta($ours, 1.0 + 0.03 * $ours);
    }
});

it('joins so that nobody behind has to brake harder than unhurried, and nobody is touched', function (): void {
    $scenes = [];
    foreach ([[220, 30, 50, [-150, 60]], [220, 30, 50, [-130, 0]], [300, 35, 60, [-190, 20, 90]], [260, 30, 55, [-160, 45]], [350, 40, 70, [-200, -5, 80]],
        [180, 30, 45, [-120]], [250, 30, 50, [-140, 5]], [320, 30, 60, [-180, -20, 60]], [300, 35, 60, [-40, 20, 90]]] as [$slip, $entry, $main, $others]) {
        $answer = Ask::tool('join', [
            'slip_length_m' => $slip, 'entry_speed_mph' => $entry, 'main_speed_mph' => $main,
            'vehicles' => array_map(static fn (int $metres): array => ['distance_m' => $metres, 'speed_mph' => $main], $others),
        ]);
        if ($answer['best'] === null || ! $answer['feasible']) {
            continue;
        }
        ['time_s' => $times, 'distance_m' => $places] = $answer['profile'];
        $joins = $times[count(array_filter($places, static fn (float $metres): bool => $metres > $answer['join_at_m']))];
        $scenes[] = [
            'ramp_m' => $slip, 'step_s' => 0.1, 'joins_s' => $joins, 'length_m' => 4.5,
            'ours' => array_map(static fn (float|int $time, float|int $metres): array => [$time, $slip - $metres], $times, $places),
            'others' => array_map(static fn (array $other): array => ['at_m' => $slip - $other['distance_m'][0], 'mps' => $main * 0.44704], $answer['others']),
        ];
    }
    // One that cuts in: the same drive, with somebody five metres behind our tail as we change lane.
    $beside = $scenes[0];
    $there = array_values(array_filter($beside['ours'], static fn (array $row): bool => $row[0] >= $beside['joins_s']))[0][1];
    $mps = $beside['others'][0]['mps'];
    $beside['others'] = [['at_m' => $there - 9.5 - $mps * $beside['joins_s'], 'mps' => $mps]];
    $said = simulated([...$scenes, $beside]);
    $cutIn = array_pop($said);
    expect(max($cutIn['hardest_mps2'], 100.0 * $cutIn['collisions']))->toBeGreaterThan(2.0, 'the simulator would notice');
    $behind = array_filter($said, static fn (array $one): bool => $one['nearest_s'] !== null);
    expect(count($behind))->toBeGreaterThan(7);
    foreach ($said as $i => $one) {
        $where = json_encode($scenes[$i]['others'])." slip {$scenes[$i]['ramp_m']}";
        expect($one['collisions'])->toBe(0, $where)
            // Less than coming off the gas, and two seconds behind us.
            ->and($one['hardest_mps2'])->toBeLessThan(0.5, $where)
            ->and($one['nearest_s'] ?? INF)->toBeGreaterThan(2.0, $where);
    }
});
