<?php

/** Records: a lesson of marks that arrives, and a school of two thousand learners in the background. */

declare(strict_types=1);

use Database\Seeders\DemoSeeder;
use Database\Seeders\ManyLearnersSeeder;

function uuid(): string
{
    return implode(
        '-',
        [
            bin2hex(random_bytes(4)), bin2hex(random_bytes(2)), '4'.substr(bin2hex(random_bytes(2)), 1), '8'.substr(bin2hex(random_bytes(2)), 1),
            bin2hex(random_bytes(6)),
        ],
    );
}

/**
 * A lesson of 150 marks arrives for the learner with the most lessons, and the record is read: what the next page waits for.
 *
 * @param  non-empty-string  $base
 */
function benchUpdate(string $base): void
{
    $client = (new Client($base))->signIn(DemoSeeder::EMAIL);
    $learners = $client->read('/api/learners');
    usort($learners, static fn (array $a, array $b): int => $b['lessons_done'] <=> $a['lessons_done']);
    $place = $client->read('/api/places')[0];
    $car = $client->read('/api/vehicles')[0]['id'];
    $sent = $read = $empty = [];
    for ($run = 0; $run < 8; $run++) {
        $lesson = json_decode(
            $client->ask(
                'POST', '/api/lessons',
                json_encode(['learner_id' => $learners[0]['id'], 'vehicle_id' => $car, 'starts_at' => gmdate('c'), 'minutes' => 60], JSON_THROW_ON_ERROR),
            )[1],
            true,
        )['id'];
        $rounds = $marks = [];
        for ($i = 0; $i < 30; $i++) {
            $rounds[] = ['id' => uuid(), 'lesson_id' => $lesson, 'place_id' => $place['id'], 'routine' => $place['routine'], 'device_at' => gmdate('c')];
            foreach (['mirrors', 'signal', 'position', 'speed', 'look'] as $step) {
                $marks[] = [
                    'id' => uuid(), 'round_id' => $rounds[$i]['id'], 'kind' => 'step', 'step' => $step,
                    'outcome' => ['missed', 'prompted', 'unaided'][$i % 3], 'device_at' => gmdate('c'),
                ];
            }
        }
        $sent[] = $client->ask('POST', '/api/sync', json_encode(['rounds' => $rounds, 'marks' => $marks], JSON_THROW_ON_ERROR))[0];
        $read[] = $client->ask('GET', "/api/learners/{$learners[0]['id']}/skill")[0];
        $empty[] = $client->ask('GET', '/api/ping')[0];
    }
    $none = percentile($empty, 0.5);
    row([
        'A lesson of 150 marks arrives', number_format(percentile($sent, 0.5) * 1000, 1), '', number_format(percentile($sent, 0.5) / $none, 1),
        '(of an empty request)',
    ]);
    row(['the record is worked out anew and read', number_format(percentile($read, 0.5) * 1000, 1), '', number_format(percentile($read, 0.5) / $none, 1)]);
}

/**
 * Two thousand learners aged to today in the background, with the progress that is shown and what a request takes meanwhile.
 *
 * @param  non-empty-string  $base
 */
function benchSchool(string $base): void
{
    $client = (new Client($base))->signIn(ManyLearnersSeeder::EMAIL);
    $quiet = array_map(static fn (): float => $client->ask('GET', '/api/ping')[0], range(1, 40));
    $start = hrtime(true);
    $begun = $client->ask('POST', '/api/school/records')[0];
    $meanwhile = $seen = [];
    do {
        usleep(500_000);
        $meanwhile[] = $client->ask('GET', '/api/ping')[0];
        $state = $client->read('/api/school/learners');
        $seen[] = $state['progress']['done'] ?? 0;
    } while ($state['stale'] > 0 && hrtime(true) - $start < 1_800_000_000_000);
    $took = (hrtime(true) - $start) / 1e9;
    $empty = percentile($quiet, 0.95);
    row([
        '2,000 learners of 100 marks, in the background', number_format($took, 1).' s', number_format(2000 / $took, 0).'/s',
        number_format($took / 2000 / percentile($quiet, 0.5), 2), '(last column: a learner, of an empty request)',
    ]);
    row([
        'begun in', number_format($begun * 1000, 1), '', number_format($begun / $empty, 1),
        'progress seen: '.implode(' ', array_slice(array_values(array_unique($seen)), 0, 8)).' ...',
    ]);
    row([
        'an empty request meanwhile', number_format(percentile($meanwhile, 0.5) * 1000, 1), number_format(percentile($meanwhile, 0.95) * 1000, 1),
        number_format(percentile($meanwhile, 0.95) / $empty, 2),
    ]);
    benchSchoolPages($client);
}

/** Pages of all records: made once, then from what is kept. */
function benchSchoolPages(Client $client): void
{
    $pages = ['page: School, 2,000 learners' => '/api/school/learners', 'page: School, teaching' => '/api/school/teaching'];
    foreach ($pages as $name => $path) {
        row(["{$name}: made", number_format($client->ask('GET', $path)[0] * 1000, 1), '', '']);
    }
    compareRequests($client, array_map(static fn (string $path): array => ['GET', $path, null, 1.8], $pages));
}
