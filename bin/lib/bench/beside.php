<?php

/** How long an empty request waits while the dearest requests that are taken come four at a time: nobody is to stop the others. */

declare(strict_types=1);

use Database\Seeders\DemoSeeder;

/** So many of one kind are under way all the time, and so many empty requests are sent meanwhile. */
const AT_ONCE = 4;

const EMPTY_ONES = 30;

/** @param  non-empty-string  $base */
function benchBeside(string $base): void
{
    $reader = (new Client($base))->signIn(DemoSeeder::EMAIL);
    $lesson = $reader->read('/api/today')['next']['id'];
    $round = uuid();
    $place = $reader->read('/api/places')[0];
    $reader->ask(
        'POST', '/api/sync',
        json_encode(
            [
                'rounds' => [['id' => $round, 'lesson_id' => $lesson, 'place_id' => $place['id'], 'routine' => $place['routine'], 'device_at' => gmdate('c')]],
                'marks' => [],
            ],
            JSON_THROW_ON_ERROR,
        ),
    );
    $dear = [
        'the best line of five units through a bend' => [
            'POST', '/api/compute/swept-path',
            ['units' => array_fill(0, 5, ['wheelbase_m' => 3, 'width_m' => 2.5]), 'bend' => ['kerb_radius_m' => 10, 'entry_width_m' => 6, 'exit_width_m' => 7]],
        ],
        'a path at the limit of what is taken' => [
            'POST', '/api/compute/swept-path',
            ['vehicle' => 'articulated-lorry', 'step_m' => 0.01, 'path' => ['pieces' => array_fill(0, 4, ['length_m' => 200])]],
        ],
        'a sweep at the limit: join, 75 of twenty vehicles' => [
            'POST', '/api/compute/join',
            [
                'slip_length_m' => 300, 'entry_speed_mph' => 30,
                'vehicles' => array_map(static fn (int $i): array => ['distance_m' => 100 - $i * 30, 'speed_mph' => 58], range(0, 19)),
                'sweep' => ['field' => 'main_speed_mph', 'from' => 40, 'to' => 46, 'step' => 0.1],
            ],
        ],
        'a sweep of 240 plans' => [
            'POST', '/api/compute/approach',
            ['pack' => 'gb', 'routine' => 'emerge-right', 'limit_mph' => 30, 'sweep' => ['field' => 'speed_mph', 'from' => 5, 'to' => 28.9, 'step' => 0.1]],
        ],
        'skill of 20,000 marks' => ['POST', '/api/compute/skill', ['today' => '2026-06-01', 'marks' => lessonsOfMarks(133, 30)]],
        'five hundred marks arrive' => ['POST', '/api/sync', null],
        'an order of a thousand ids' => ['PUT', "/api/lessons/{$lesson}/order", ['items' => array_map(uuid(...), range(1, 1000))]],
        'a learner of twenty reference points' => [
            'POST', '/api/learners',
            [
                'name' => 'x', 'transmission' => 'manual', 'level' => 'beginner',
                'reference_points' => array_fill(0, 20, ['what' => str_repeat('x', 120), 'where' => str_repeat('y', 200)]),
            ],
        ],
    ];
    $clients = array_map(static fn (): Client => (new Client($base))->signIn('owner@harbourschool.test'), range(1, AT_ONCE));
    $pinger = (new Client($base))->signIn(DemoSeeder::EMAIL);
    row([
        'An empty request beside the dearest, four at a time', 'p50 ms', 'longest ms', 'alone: p95',
        '(goal: none waits longer than 1 s; last: answers of the dear one, and its median)',
    ]);
    foreach ($dear as $name => [$method, $path, $input]) {
        $body = static fn (): string => json_encode(
            $input ?? [
                'rounds' => [],
                'marks' => array_map(
                    static fn (int $i): array => ['id' => uuid(), 'round_id' => $round, 'kind' => 'moment', 'note' => 'x', 'device_at' => gmdate('c')],
                    range(1, 500),
                ),
            ],
            JSON_THROW_ON_ERROR,
        );
        $alone = array_map(static fn (): float => $pinger->ask('GET', '/api/ping')[0], range(1, 20));
        [$waited, $answers, $took] = beside($clients, $method, $path, $body, $pinger);
        row([
            $name, number_format(percentile($waited, 0.5) * 1000, 1), number_format(percentile($waited, 1.0) * 1000, 1),
            number_format(percentile($alone, 0.95) * 1000, 1),
            implode(
                ' ', array_map(static fn (int $status, int $often): string => "{$status}: {$often}", array_keys($answers), $answers),
            ).', '.number_format(percentile($took, 0.5) * 1000).' ms',
        ]);
    }
}

/**
 * @param  list<Client>  $clients
 * @param  'POST'|'PUT'  $method
 * @param  callable(): string  $body
 * @return array{list<float>, array<int, int>, list<float>} seconds of the empty requests, answers of the dear ones by status, and their seconds
 */
function beside(array $clients, string $method, string $path, callable $body, Client $pinger): array
{
    $multi = curl_multi_init();
    $begin = static function (Client $client) use ($multi, $method, $path, $body): void {
        curl_multi_add_handle($multi, $client->prepared($method, $path, $body()));
    };
    array_map($begin, $clients);
    $ping = $pinger->prepared('GET', '/api/ping');
    curl_multi_add_handle($multi, $ping);
    $waited = $took = $answers = [];
    while (count($waited) < EMPTY_ONES || count($took) < 2 * AT_ONCE) {
        curl_multi_exec($multi, $running);
        curl_multi_select($multi, 0.05);
        while ($done = curl_multi_info_read($multi)) {
            $handle = $done['handle'];
            $seconds = (float) curl_getinfo($handle, CURLINFO_TOTAL_TIME);
            curl_multi_remove_handle($multi, $handle);
            if ($handle === $ping) {
                $waited[] = $seconds;
                usleep(20_000);
                curl_multi_add_handle($multi, $pinger->prepared('GET', '/api/ping'));

                continue;
            }
            $took[] = $seconds;
            $status = (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
            $answers[$status] = ($answers[$status] ?? 0) + 1;
            foreach ($clients as $client) {
                $client->handle() === $handle && $begin($client);
            }
        }
    }
    foreach ([$pinger, ...$clients] as $client) {
        curl_multi_remove_handle($multi, $client->handle());
    }
    curl_multi_close($multi);
    // What was given up is still being worked on.
    sleep(3);

    return [$waited, $answers, $took];
}
