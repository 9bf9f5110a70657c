<?php

/** Requests, against an empty signed-in request of the same server sent in turns with them; and the weight of the first page. */

declare(strict_types=1);

use Database\Seeders\BusyDiarySeeder;
use Database\Seeders\DemoSeeder;

/** @param  non-empty-string  $base */
function benchServer(string $base): void
{
    $client = (new Client($base))->signIn(DemoSeeder::EMAIL);
    $lesson = $client->read('/api/today')['next']['id'];
    $learners = $client->read('/api/learners');
    usort($learners, static fn (array $a, array $b): int => $b['lessons_done'] <=> $a['lessons_done']);
    $plan = ['pack' => 'gb', 'routine' => 'emerge-right', 'limit_mph' => 30];
    $requests = [
        'plan' => ['POST', '/api/compute/approach', $plan],
        'sweep of 60 plans' => ['POST', '/api/compute/approach', $plan + ['sweep' => ['field' => 'speed_mph', 'from' => 5, 'to' => 64, 'step' => 1]]],
        'page: any (the shell)' => ['GET', '/', null],
        'page: Today' => ['GET', '/api/today', null],
        'page: Week' => ['GET', '/api/week?from='.date('Y-m-d', strtotime('next monday')), null, 1.8],
        'free times of two weeks' => [
            'GET', "/api/free?lesson={$lesson}&from=".date('Y-m-d', strtotime('tomorrow')).'&days=14', null,
        ],
        'page: Lesson' => ['GET', "/api/lessons/{$lesson}", null],
        'page: Learners' => ['GET', '/api/learners', null],
        "page: Learner with {$learners[0]['lessons_done']} lessons" => ['GET', "/api/learners/{$learners[0]['id']}", null, 1.8],
        'page: Learner, what the marks say' => ['GET', "/api/learners/{$learners[0]['id']}/skill", null, 1.8],
        'bench: gears' => ['POST', '/api/compute/engine', ['sweep' => ['field' => 'speed_mph', 'from' => 2, 'to' => 70, 'step' => 2]]],
        'bench: gap' => ['POST', '/api/compute/gap', ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 30, 'other_distance_m' => 90]],
        'bench: roundabout' => [
            'POST', '/api/compute/lanes',
            [
                'from' => 'a0', 'to' => 'a2',
                'arms' => array_map(
                    static fn (int $i): array => [
                        'name' => "a{$i}", 'angle_deg' => $i * 90, 'approach_lanes' => [['to' => []], ['to' => []]], 'exit_lanes' => 2,
                    ],
                    range(0, 3),
                ),
            ],
        ],
        'bench: join' => [
            'POST', '/api/compute/join',
            [
                'slip_length_m' => 250, 'entry_speed_mph' => 30, 'main_speed_mph' => 56,
                'vehicles' => [['distance_m' => 45, 'speed_mph' => 54], ['distance_m' => -95, 'speed_mph' => 58], ['distance_m' => -190, 'speed_mph' => 60]],
            ],
        ],
        'bench: leave' => ['POST', '/api/compute/leave', ['main_speed_mph' => 70, 'slip_length_m' => 250, 'end_speed_mph' => 15]],
        'bench: lane change' => [
            'POST', '/api/compute/lane-change',
            ['speed_mph' => 35, 'limit_mph' => 40, 'to' => 'right', 'vehicles' => [['distance_m' => 25, 'speed_mph' => 33]]],
        ],
        'bench: overtake' => ['POST', '/api/compute/overtake', ['limit_mph' => 60, 'other_speed_mph' => 40, 'sight_m' => 400]],
        'bench: steering' => ['POST', '/api/compute/steering', ['kerb_radius_m' => 6, 'lane_width_m' => 3.65]],
        'bench: reversing' => ['POST', '/api/compute/reverse', ['exercise' => 'bay']],
        'bench: clearance' => ['POST', '/api/compute/clearance', ['vehicle_height_m' => 4, 'sign_height_m' => 4.2]],
        'bench: long vehicle, best line' => [
            'POST', '/api/compute/swept-path',
            ['vehicle' => 'articulated-lorry', 'bend' => ['kerb_radius_m' => 8, 'entry_width_m' => 4, 'exit_width_m' => 7.3]],
        ],
        'page: Places' => ['GET', '/api/places', null],
        'page: Routines' => ['GET', '/api/routines', null],
    ];
    $record = $client->read("/api/learners/{$learners[0]['id']}");
    $first = $record['tallies'][0];
    $last = $record['lessons'][count($record['lessons']) - 1]['id'];
    $requests += [
        'page: Learner, behind a square' => ['GET', "/api/learners/{$learners[0]['id']}/skill/{$first['routine']}/{$first['step']}", null, 2.5],
        'page: Learner, what the key counted' => ['GET', "/api/learners/{$learners[0]['id']}/habits", null, 1.8],
        'page: Learner, hours' => ['GET', "/api/learners/{$learners[0]['id']}/hours", null, 1.8],
        'page: Learner, foretold' => ['GET', "/api/learners/{$learners[0]['id']}/foretelling", null, 1.8],
        'page: Debrief' => ['GET', "/api/lessons/{$last}", null, 1.8],
        'page: Debrief, whether a remedy helped' => ['GET', '/api/remedies/helped/look', null],
        'page: Debrief, what the lesson changed' => ['GET', "/api/lessons/{$last}/changed", null, 1.8],
    ];
    row(['Requests, one after another', 'p50 ms', 'p95 ms', 'p95 / empty', '(goal: at most 2, or as said)']);
    compareRequests($client, $requests);
    $school = (new Client($base))->signIn(DemoSeeder::OWNERS_EMAIL);
    compareRequests($school, ['page: School, how well it foretells' => ['GET', '/api/school/foretelling', null, 1.8]]);
    $busy = (new Client($base))->signIn(BusyDiarySeeder::EMAIL);
    $monday = date('Y-m-d', strtotime('next monday'));
    $one = $busy->read("/api/week?from={$monday}")['days'][0]['lessons'][0]['id'];
    $feed = json_decode($busy->ask('POST', '/api/calendar', '{"calendar_names":"nobody"}')[1], true, 8, JSON_THROW_ON_ERROR)['address'];
    compareRequests($busy, [
        'diary: week of 40 lessons, 20 instructors' => ['GET', "/api/week?from={$monday}", null, 1.8],
        'diary: free times of two weeks' => ['GET', "/api/free?lesson={$one}&from={$monday}&days=14", null, 5.0],
        'diary: feed of two years' => ['GET', (string) parse_url($feed, PHP_URL_PATH), null, 1.8],
    ]);
}

/** @param  array<string, array{0: 'GET'|'POST'|'PUT', 1: string, 2: array<string, mixed>|null, 3?: float}>  $requests with the goal, where it is not 2 */
function compareRequests(Client $client, array $requests): void
{
    foreach ($requests as $name => $request) {
        [$method, $path, $input] = $request;
        $json = $input === null ? null : json_encode($input, JSON_THROW_ON_ERROR);
        $took = $empty = [];
        for ($i = 0; $i < 220; $i++) {
            $one = $client->ask($method, $path, $json)[0];
            $none = $client->ask('GET', '/api/ping')[0];
            if ($i >= 20) {
                $took[] = $one;
                $empty[] = $none;
            }
        }
        row([
            $name, number_format(percentile($took, 0.5) * 1000, 1), number_format(percentile($took, 0.95) * 1000, 1),
            number_format(percentile($took, 0.95) / percentile($empty, 0.95), 2),
            sprintf('(empty: p50 %.1f, p95 %.1f%s)', percentile($empty, 0.5) * 1000, percentile($empty, 0.95) * 1000,
                isset($request[3]) ? sprintf('; goal %.1f', $request[3]) : ''),
        ]);
    }
}

function benchFirstPage(): void
{
    $build = dirname(__DIR__, 3).'/public/build';
    /** @var array<string, array{file: string, imports?: list<string>}> $manifest */
    $manifest = json_decode((string) file_get_contents("{$build}/manifest.json"), true, 16, JSON_THROW_ON_ERROR);
    $files = [];
    $take = static function (string $entry) use (&$take, &$files, $manifest): void {
        $files[$manifest[$entry]['file']] = true;
        foreach ($manifest[$entry]['imports'] ?? [] as $import) {
            isset($files[$manifest[$import]['file']]) || $take($import);
        }
    };
    $take('resources/js/main.tsx');
    $bytes = array_sum(
        array_map(static fn (string $file): int => strlen((string) gzencode((string) file_get_contents("{$build}/{$file}"), 5)), array_keys($files)),
    );
    row(['JavaScript of the first page, compressed', number_format($bytes / 1000, 1).' kB', '', '', '(goal: at most 180 kB)']);
}
