<?php

/**
 * php bin/bench.php core | all BASE_URL
 *
 * Every figure is a ratio to something measured in the same run, so that runs on different machines can be
 * compared: the core against a fixed loop of arithmetic, requests against an empty signed-in request of the same
 * server, sent in turns with it.
 */

declare(strict_types=1);

use Database\Seeders\DemoSeeder;
use Database\Seeders\ManyLearnersSeeder;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\RoutineCode;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePacks;

require dirname(__DIR__).'/vendor/autoload.php';

/** @return list<array<string, string>> made-up marks, a lesson a week, five steps a round, the same every time */
function lessonsOfMarks(int $lessons, int $rounds): array
{
    $routines = ['turn-left', 'turn-right', 'emerge-left', 'emerge-right', 'cross', 'lights-left', 'lights-right', 'roundabout', 'pass-parked', 'pull-up-left'];
    $outcomes = ['intervened', 'missed', 'prompted', 'reminded', 'unaided'];
    $marks = [];
    $steps = ['mirrors', 'speed', 'look'];
    for ($lesson = 0; $lesson < $lessons; $lesson++) {
        for ($round = 0; $round < $rounds; $round++) {
            for ($mark = 0; $mark < 5; $mark++) {
                $n = ($lesson * 31 + $round * 17 + $mark * 7) % 97;
                $marks[] = ['at' => (new DateTimeImmutable('2025-01-06T10:00:00Z'))->modify('+'.(7 * $lesson).' days')->format('Y-m-d\TH:i:s\Z'), 'routine' => $routines[$n % 10], 'step' => $steps[$mark % 3], 'outcome' => $outcomes[min(4, intdiv($n, 12))]];
            }
        }
    }

    return $marks;
}

/** A fixed piece of work: 1000 rounds of square root, division and comparison. */
function fixedLoop(): float
{
    $sum = 0.0;
    for ($i = 1; $i <= 1000; $i++) {
        $sum += sqrt($i * 1.37) / ($i + 0.5);
        if ($sum > 1e6) {
            $sum = 0.0;
        }
    }

    return $sum;
}

/** @return float median seconds of one call, over runs of at least 20 ms each */
function medianSeconds(callable $work): float
{
    $runs = [];
    for ($calls = 1; ; $calls *= 2) {
        $start = hrtime(true);
        for ($i = 0; $i < $calls; $i++) {
            $work();
        }
        if (hrtime(true) - $start >= 20_000_000) {
            break;
        }
    }
    for ($run = 0; $run < 15; $run++) {
        $start = hrtime(true);
        for ($i = 0; $i < $calls; $i++) {
            $work();
        }
        $runs[] = (hrtime(true) - $start) / 1e9 / $calls;
    }
    sort($runs);

    return $runs[7];
}

/** @param  list<string>  $cells */
function row(array $cells): void
{
    printf("%-46s %12s %12s %12s   %s\n", ...array_pad($cells, 5, ''));
}

function benchCore(): void
{
    $loop = medianSeconds(fixedLoop(...));
    row(['Core', 'per second', 'of the loop', '', '(the loop: '.round($loop * 1e6, 1).' us)']);
    $cases = [
        'stopping' => ['stopping', ['speed_mph' => 30]],
        'following' => ['following', ['speed_mph' => 50, 'gap_s' => 3.2, 'surface' => 'wet']],
        'engine: gear table' => ['engine', ['speed_mph' => 30, 'from_gear' => 2, 'to_gear' => 3]],
        'swept path: articulated, roundabout, 1 cm' => ['swept-path', ['vehicle' => 'articulated-lorry', 'step_m' => 0.01, 'path' => ['pieces' => [['length_m' => 20], ['radius_m' => 20, 'angle_deg' => -40], ['radius_m' => 14, 'angle_deg' => 180], ['radius_m' => 20, 'angle_deg' => -40], ['length_m' => 20]]]]],
        'swept path: best line through a bend' => ['swept-path', ['vehicle' => 'articulated-lorry', 'bend' => ['kerb_radius_m' => 8, 'entry_width_m' => 4, 'exit_width_m' => 7.3]]],
        'approach: emerge right at 30' => ['approach', ['routine' => 'emerge-right', 'limit_mph' => 30]],
        'approach: no room, speed has to be found' => ['approach', ['routine' => 'turn-left', 'limit_mph' => 30, 'room_m' => 60]],
        'approach: two hazards close together' => ['approach', ['routine' => 'turn-left', 'limit_mph' => 30, 'then' => ['routine' => 'turn-right', 'distance_m' => 90]]],
        'amber' => ['amber', ['speed_mph' => 30, 'distance_m' => 42]],
        'crossing' => ['crossing', ['road_width_m' => 14, 'person_at_m' => 0, 'towards_us' => true]],
        'lanes: eight arms, four lanes' => ['lanes', ['from' => 'a0', 'to' => 'a7', 'arms' => array_map(static fn (int $i): array => ['name' => "a{$i}", 'angle_deg' => $i * 45, 'approach_lanes' => [['to' => []], ['to' => []], ['to' => []], ['to' => []]], 'exit_lanes' => 2], range(0, 7))]],
        'gap' => ['gap', ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 30, 'other_distance_m' => 90]],
        'gap: sweep of 60' => ['gap', ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 30, 'sweep' => ['field' => 'other_distance_m', 'from' => 5, 'to' => 300, 'step' => 5]]],
        'join: twenty vehicles' => ['join', ['slip_length_m' => 300, 'entry_speed_mph' => 30, 'main_speed_mph' => 60, 'vehicles' => array_map(static fn (int $i): array => ['distance_m' => 100 - $i * 30, 'speed_mph' => 58], range(0, 19))]],
        'leave' => ['leave', ['main_speed_mph' => 70, 'slip_length_m' => 250, 'end_speed_mph' => 15, 'next_turn' => 'right']],
        'lane change' => ['lane-change', ['speed_mph' => 35, 'limit_mph' => 40, 'to' => 'right', 'vehicles' => [['distance_m' => 25, 'speed_mph' => 33], ['distance_m' => -12, 'speed_mph' => 38]]]],
        'overtake' => ['overtake', ['limit_mph' => 60, 'other_speed_mph' => 40, 'sight_m' => 400]],
        'skill: 60 lessons of 75 marks' => ['skill', ['today' => '2026-06-01', 'marks' => lessonsOfMarks(60, 15)]],
        'skill: 10 lessons of 150 marks' => ['skill', ['today' => '2026-06-01', 'marks' => lessonsOfMarks(10, 30)]],
        'approach: sweep of 60' => ['approach', ['routine' => 'emerge-right', 'limit_mph' => 30, 'sweep' => ['field' => 'speed_mph', 'from' => 5, 'to' => 64, 'step' => 1]]],
    ];
    foreach ($cases as $name => [$tool, $input]) {
        $took = medianSeconds(static fn () => Toolbox::run($tool, $input));
        row([$name, number_format(1 / $took), number_format($took / $loop, 1)]);
    }
    $pack = RulePacks::byCode('gb');
    foreach ([
        'one card of the catalogue' => static fn () => Card::of(RoutineCode::EmergeRight, $pack, new Practice([], $pack)),
        'the whole catalogue' => static fn () => array_map(static fn (RoutineCode $code): Card => Card::of($code, $pack, new Practice([], $pack)), Catalogue::codes($pack)),
    ] as $name => $work) {
        $took = medianSeconds($work);
        row([$name, number_format(1 / $took), number_format($took / $loop, 1)]);
    }
}

final class Client
{
    private readonly CurlHandle $curl;

    /** @param  non-empty-string  $base */
    public function __construct(private readonly string $base)
    {
        $this->curl = curl_init() ?: throw new RuntimeException('No curl.');
        curl_setopt_array($this->curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_ENCODING => 'gzip']);
    }

    /**
     * @param  'GET'|'POST'  $method
     * @return array{float, string} seconds and body
     */
    public function ask(string $method, string $path, ?string $json = null): array
    {
        $headers = ['Accept: application/json', 'Content-Type: application/json'];
        foreach ((array) curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $parts = explode("\t", (string) $cookie);
            if (($parts[5] ?? '') === 'XSRF-TOKEN') {
                $headers[] = 'X-XSRF-TOKEN: '.urldecode($parts[6]);
            }
        }
        curl_setopt_array($this->curl, [CURLOPT_URL => $this->base.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_HTTPHEADER => $headers, CURLOPT_POSTFIELDS => $json ?? '']);
        $start = hrtime(true);
        $body = curl_exec($this->curl);
        $took = (hrtime(true) - $start) / 1e9;
        $status = (int) curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        if ($body === false || $status >= 400) {
            throw new RuntimeException("{$method} {$path} answered {$status}.");
        }

        return [$took, (string) $body];
    }

    public function read(string $path): mixed
    {
        return json_decode($this->ask('GET', $path)[1], true, 64, JSON_THROW_ON_ERROR);
    }
}

/** @param  list<float>  $values */
function percentile(array $values, float $share): float
{
    sort($values);

    return $values[(int) min(count($values) - 1, ceil($share * count($values)) - 1)];
}

/** @param  non-empty-string  $base */
function benchServer(string $base): void
{
    $client = new Client($base);
    $client->ask('GET', '/api/session');
    $client->ask('POST', '/api/session', json_encode(['email' => DemoSeeder::EMAIL, 'password' => DemoSeeder::PASSWORD], JSON_THROW_ON_ERROR));
    $lesson = $client->read('/api/today')['next']['id'];
    $learners = $client->read('/api/learners');
    usort($learners, static fn (array $a, array $b): int => $b['lessons_done'] <=> $a['lessons_done']);
    $plan = ['pack' => 'gb', 'routine' => 'emerge-right', 'limit_mph' => 30];
    $requests = [
        'plan' => ['POST', '/api/compute/approach', $plan],
        'sweep of 60 plans' => ['POST', '/api/compute/approach', $plan + ['sweep' => ['field' => 'speed_mph', 'from' => 5, 'to' => 64, 'step' => 1]]],
        'page: any (the shell)' => ['GET', '/', null],
        'page: Today' => ['GET', '/api/today', null],
        'page: Lesson' => ['GET', "/api/lessons/{$lesson}", null],
        'page: Learners' => ['GET', '/api/learners', null],
        "page: Learner with {$learners[0]['lessons_done']} lessons" => ['GET', "/api/learners/{$learners[0]['id']}", null],
        'page: Learner, what the marks say' => ['GET', "/api/learners/{$learners[0]['id']}/skill", null],
        'bench: gears' => ['POST', '/api/compute/engine', ['sweep' => ['field' => 'speed_mph', 'from' => 2, 'to' => 70, 'step' => 2]]],
        'bench: gap' => ['POST', '/api/compute/gap', ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 30, 'other_distance_m' => 90]],
        'bench: roundabout' => ['POST', '/api/compute/lanes', ['from' => 'a0', 'to' => 'a2', 'arms' => array_map(static fn (int $i): array => ['name' => "a{$i}", 'angle_deg' => $i * 90, 'approach_lanes' => [['to' => []], ['to' => []]], 'exit_lanes' => 2], range(0, 3))]],
        'bench: join' => ['POST', '/api/compute/join', ['slip_length_m' => 250, 'entry_speed_mph' => 30, 'main_speed_mph' => 56, 'vehicles' => [['distance_m' => 45, 'speed_mph' => 54], ['distance_m' => -95, 'speed_mph' => 58], ['distance_m' => -190, 'speed_mph' => 60]]]],
        'bench: leave' => ['POST', '/api/compute/leave', ['main_speed_mph' => 70, 'slip_length_m' => 250, 'end_speed_mph' => 15]],
        'bench: lane change' => ['POST', '/api/compute/lane-change', ['speed_mph' => 35, 'limit_mph' => 40, 'to' => 'right', 'vehicles' => [['distance_m' => 25, 'speed_mph' => 33]]]],
        'bench: overtake' => ['POST', '/api/compute/overtake', ['limit_mph' => 60, 'other_speed_mph' => 40, 'sight_m' => 400]],
        'bench: steering' => ['POST', '/api/compute/steering', ['kerb_radius_m' => 6, 'lane_width_m' => 3.65]],
        'bench: reversing' => ['POST', '/api/compute/reverse', ['exercise' => 'bay']],
        'bench: clearance' => ['POST', '/api/compute/clearance', ['vehicle_height_m' => 4, 'sign_height_m' => 4.2]],
        'bench: long vehicle, best line' => ['POST', '/api/compute/swept-path', ['vehicle' => 'articulated-lorry', 'bend' => ['kerb_radius_m' => 8, 'entry_width_m' => 4, 'exit_width_m' => 7.3]]],
        'page: Places' => ['GET', '/api/places', null],
        'page: Routines' => ['GET', '/api/routines', null],
    ];
    $record = $client->read("/api/learners/{$learners[0]['id']}");
    $first = $record['tallies'][0];
    $requests += [
        'page: Learner, behind a square' => ['GET', "/api/learners/{$learners[0]['id']}/skill/{$first['routine']}/{$first['step']}", null],
        'page: Debrief, what the lesson changed' => ['GET', "/api/lessons/{$record['lessons'][count($record['lessons']) - 1]['id']}/changed", null],
    ];
    row(['Requests, one after another', 'p50 ms', 'p95 ms', 'p95 / empty', '(goal: at most 2)']);
    foreach ($requests as $name => [$method, $path, $input]) {
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
        row([$name, number_format(percentile($took, 0.5) * 1000, 1), number_format(percentile($took, 0.95) * 1000, 1), number_format(percentile($took, 0.95) / percentile($empty, 0.95), 2), sprintf('(empty: p50 %.1f, p95 %.1f)', percentile($empty, 0.5) * 1000, percentile($empty, 0.95) * 1000)]);
    }
}

function uuid(): string
{
    return implode('-', [bin2hex(random_bytes(4)), bin2hex(random_bytes(2)), '4'.substr(bin2hex(random_bytes(2)), 1), '8'.substr(bin2hex(random_bytes(2)), 1), bin2hex(random_bytes(6))]);
}

/**
 * A lesson of 150 marks arrives for the learner with the most lessons, and the record is read: what the next page waits for.
 *
 * @param  non-empty-string  $base
 */
function benchUpdate(string $base): void
{
    $client = new Client($base);
    $client->ask('GET', '/api/session');
    $client->ask('POST', '/api/session', json_encode(['email' => DemoSeeder::EMAIL, 'password' => DemoSeeder::PASSWORD], JSON_THROW_ON_ERROR));
    $learners = $client->read('/api/learners');
    usort($learners, static fn (array $a, array $b): int => $b['lessons_done'] <=> $a['lessons_done']);
    $place = $client->read('/api/places')[0];
    $car = $client->read('/api/vehicles')[0]['id'];
    $sent = $read = $empty = [];
    for ($run = 0; $run < 8; $run++) {
        $lesson = json_decode($client->ask('POST', '/api/lessons', json_encode(['learner_id' => $learners[0]['id'], 'vehicle_id' => $car, 'starts_at' => gmdate('c'), 'minutes' => 60], JSON_THROW_ON_ERROR))[1], true)['id'];
        $rounds = $marks = [];
        for ($i = 0; $i < 30; $i++) {
            $rounds[] = ['id' => uuid(), 'lesson_id' => $lesson, 'place_id' => $place['id'], 'routine' => $place['routine'], 'device_at' => gmdate('c')];
            foreach (['mirrors', 'signal', 'position', 'speed', 'look'] as $step) {
                $marks[] = ['id' => uuid(), 'round_id' => $rounds[$i]['id'], 'kind' => 'step', 'step' => $step, 'outcome' => ['missed', 'prompted', 'unaided'][$i % 3], 'device_at' => gmdate('c')];
            }
        }
        $sent[] = $client->ask('POST', '/api/sync', json_encode(['rounds' => $rounds, 'marks' => $marks], JSON_THROW_ON_ERROR))[0];
        $read[] = $client->ask('GET', "/api/learners/{$learners[0]['id']}/skill")[0];
        $empty[] = $client->ask('GET', '/api/ping')[0];
    }
    $none = percentile($empty, 0.5);
    row(['A lesson of 150 marks arrives', number_format(percentile($sent, 0.5) * 1000, 1), '', number_format(percentile($sent, 0.5) / $none, 1), '(of an empty request)']);
    row(['the record is worked out anew and read', number_format(percentile($read, 0.5) * 1000, 1), '', number_format(percentile($read, 0.5) / $none, 1)]);
}

/**
 * Two thousand learners aged to today in the background, with the progress that is shown and what a request takes meanwhile.
 *
 * @param  non-empty-string  $base
 */
function benchSchool(string $base): void
{
    $client = new Client($base);
    $client->ask('GET', '/api/session');
    $client->ask('POST', '/api/session', json_encode(['email' => ManyLearnersSeeder::EMAIL, 'password' => DemoSeeder::PASSWORD], JSON_THROW_ON_ERROR));
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
    row(['2,000 learners of 100 marks, in the background', number_format($took, 1).' s', number_format(2000 / $took, 0).'/s', number_format($took / 2000 / percentile($quiet, 0.5), 2), '(last column: a learner, of an empty request)']);
    row(['begun in', number_format($begun * 1000, 1), '', number_format($begun / $empty, 1), 'progress seen: '.implode(' ', array_slice(array_values(array_unique($seen)), 0, 8)).' ...']);
    row(['an empty request meanwhile', number_format(percentile($meanwhile, 0.5) * 1000, 1), number_format(percentile($meanwhile, 0.95) * 1000, 1), number_format(percentile($meanwhile, 0.95) / $empty, 2)]);
    foreach (['page: School, 2,000 learners' => '/api/school/learners', 'page: School, teaching' => '/api/school/teaching'] as $name => $path) {
        $times = array_map(static fn (): float => $client->ask('GET', $path)[0], range(1, 8));
        row([$name, number_format(percentile($times, 0.5) * 1000, 1), number_format(percentile($times, 0.95) * 1000, 1), number_format(percentile($times, 0.95) / $empty, 1)]);
    }
}

function benchFirstPage(): void
{
    $build = dirname(__DIR__).'/public/build';
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
    $bytes = array_sum(array_map(static fn (string $file): int => strlen((string) gzencode((string) file_get_contents("{$build}/{$file}"), 5)), array_keys($files)));
    row(['JavaScript of the first page, compressed', number_format($bytes / 1000, 1).' kB', '', '', '(goal: at most 180 kB)']);
}

benchCore();
if (($argv[1] ?? 'core') === 'all') {
    echo "\n";
    $base = $argv[2] ?? '' ?: 'http://127.0.0.1:8080';
    benchServer($base);
    echo "\n";
    benchUpdate($base);
    benchSchool($base);
    echo "\n";
    benchFirstPage();
}
