<?php

/** The core, against a fixed loop of arithmetic in the same run. */

declare(strict_types=1);

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;

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
                $marks[] = [
                    'at' => (new DateTimeImmutable('2025-01-06T10:00:00Z'))->modify('+'.(7 * $lesson).' days')->format('Y-m-d\TH:i:s\Z'),
                    'routine' => $routines[$n % 10], 'step' => $steps[$mark % 3], 'outcome' => $outcomes[min(4, intdiv($n, 12))],
                ];
            }
        }
    }

    return $marks;
}

/** @return array<string, mixed> an hour and ways around its start, the same every time */
function circuitOf(int $number): array
{
    $at = static fn (int $east, int $north): array => ['latitude_deg' => 49.2 + $north / 1e4, 'longitude_deg' => -8.1 + $east / 1e4];

    return [
        'minutes' => 60, 'start' => $at(0, 0), 'order' => 'least-left-over',
        'ways' => array_map(static fn (int $i): array => [
            'id' => "w{$i}", 'routine' => 'emerge-right', 'in' => $at($i * 97 % 400 - 200, $i * 61 % 300 - 150), 'difficulty' => $i % 5 / 4, 'rounds' => 1 + $i % 3,
            'brief_s' => 40 + $i * 13 % 90, 'round_s' => 45 + $i * 7 % 40,
        ], range(1, $number)),
    ];
}

/** @return array<string, mixed> a lesson of an hour for somebody with a record, among so many ways of what they have driven */
function nextLessonOf(int $ways): array
{
    $routines = ['emerge-right', 'emerge-left', 'turn-right', 'turn-left', 'roundabout', 'lights-right', 'cross'];

    return [
        'today' => '2026-06-01', 'minutes' => 60, 'marks' => lessonsOfMarks(10, 15), 'start' => ['latitude_deg' => 49.2, 'longitude_deg' => -8.1],
        'ways' => array_map(static fn (array $way): array => ['routine' => $routines[(int) substr($way['id'], 1) % 7]] + $way, circuitOf($ways)['ways']),
    ];
}

function benchCore(): void
{
    $loop = medianSeconds(fixedLoop(...));
    row(['Core', 'per second', 'of the loop', '', '(the loop: '.round($loop * 1e6, 1).' us)']);
    $cases = [
        'stopping' => ['stopping', ['speed_mph' => 30]],
        'following' => ['following', ['speed_mph' => 50, 'gap_s' => 3.2, 'surface' => 'wet']],
        'engine: gear table' => ['engine', ['speed_mph' => 30, 'from_gear' => 2, 'to_gear' => 3]],
        'swept path: articulated, roundabout, 1 cm' => [
            'swept-path',
            [
                'vehicle' => 'articulated-lorry', 'step_m' => 0.01,
                'path' => [
                    'pieces' => [
                        ['length_m' => 20], ['radius_m' => 20, 'angle_deg' => -40], ['radius_m' => 14, 'angle_deg' => 180],
                        ['radius_m' => 20, 'angle_deg' => -40], ['length_m' => 20],
                    ],
                ],
            ],
        ],
        'swept path: best line through a bend' => [
            'swept-path', ['vehicle' => 'articulated-lorry', 'bend' => ['kerb_radius_m' => 8, 'entry_width_m' => 4, 'exit_width_m' => 7.3]],
        ],
        'circuit: 12 ways, exact' => ['circuit', circuitOf(12)],
        'circuit: 40 ways, searched' => ['circuit', circuitOf(40)],
        'approach: emerge right at 30' => ['approach', ['routine' => 'emerge-right', 'limit_mph' => 30]],
        'approach: no room, speed has to be found' => ['approach', ['routine' => 'turn-left', 'limit_mph' => 30, 'room_m' => 60]],
        'approach: two hazards close together' => [
            'approach', ['routine' => 'turn-left', 'limit_mph' => 30, 'then' => ['routine' => 'turn-right', 'distance_m' => 90]],
        ],
        'amber' => ['amber', ['speed_mph' => 30, 'distance_m' => 42]],
        'crossing' => ['crossing', ['road_width_m' => 14, 'person_at_m' => 0, 'towards_us' => true]],
        'lanes: eight arms, four lanes' => [
            'lanes',
            [
                'from' => 'a0', 'to' => 'a7',
                'arms' => array_map(
                    static fn (int $i): array => [
                        'name' => "a{$i}", 'angle_deg' => $i * 45, 'approach_lanes' => [['to' => []], ['to' => []], ['to' => []], ['to' => []]],
                        'exit_lanes' => 2,
                    ],
                    range(0, 7),
                ),
            ],
        ],
        'gap' => ['gap', ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 30, 'other_distance_m' => 90]],
        'gap: sweep of 60' => [
            'gap',
            ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 30, 'sweep' => ['field' => 'other_distance_m', 'from' => 5, 'to' => 300, 'step' => 5]],
        ],
        'join: twenty vehicles' => [
            'join',
            [
                'slip_length_m' => 300, 'entry_speed_mph' => 30, 'main_speed_mph' => 60,
                'vehicles' => array_map(static fn (int $i): array => ['distance_m' => 100 - $i * 30, 'speed_mph' => 58], range(0, 19)),
            ],
        ],
        'leave' => ['leave', ['main_speed_mph' => 70, 'slip_length_m' => 250, 'end_speed_mph' => 15, 'next_turn' => 'right']],
        'lane change' => [
            'lane-change',
            [
                'speed_mph' => 35, 'limit_mph' => 40, 'to' => 'right',
                'vehicles' => [['distance_m' => 25, 'speed_mph' => 33], ['distance_m' => -12, 'speed_mph' => 38]],
            ],
        ],
        'overtake' => ['overtake', ['limit_mph' => 60, 'other_speed_mph' => 40, 'sight_m' => 400]],
        'next lesson: 60 ways, 10 lessons of 75 marks' => ['next-lesson', nextLessonOf(60)],
        'next lesson: 9 ways, exact' => ['next-lesson', nextLessonOf(9)],
        'marking a test: 40 faults' => [
            'mark-test',
            ['scheme' => 'gb-car', 'faults' => array_fill(0, 40, ['step' => 'mirrors', 'routine' => 'emerge-right', 'fault' => 'late', 'effect' => 'nobody'])],
        ],
        'skill: 60 lessons of 75 marks' => ['skill', ['today' => '2026-06-01', 'marks' => lessonsOfMarks(60, 15)]],
        'skill: 10 lessons of 150 marks' => ['skill', ['today' => '2026-06-01', 'marks' => lessonsOfMarks(10, 30)]],
        'approach: sweep of 60' => [
            'approach', ['routine' => 'emerge-right', 'limit_mph' => 30, 'sweep' => ['field' => 'speed_mph', 'from' => 5, 'to' => 64, 'step' => 1]],
        ],
    ];
    $arms = array_map(
        static fn (int $bearing): array => ['id' => "b{$bearing}", 'name' => "B {$bearing}", 'bearing_deg' => $bearing]
            + ($bearing % 180 === 0 ? ['control' => 'give-way'] : []),
        [0, 90, 180, 270],
    );
    $cases += [
        'site: crossroads, twelve ways' => ['site', ['kind' => 'junction', 'arms' => $arms]],
        'site: one way, what to measure first' => ['site', ['kind' => 'junction', 'arms' => $arms, 'from' => 'b180', 'to' => 'b90']],
    ];
    foreach ($cases as $name => [$tool, $input]) {
        $took = medianSeconds(static fn () => Toolbox::run($tool, $input));
        row([$name, number_format(1 / $took), number_format($took / $loop, 1)]);
    }
    $plans = static function () use ($arms): void {
        foreach (Toolbox::run('site', ['kind' => 'junction', 'arms' => $arms])['ways'] as $way) {
            if ($way['tool'] !== null) {
                Toolbox::run($way['tool'], $way['inputs']);
            }
        }
    };
    $took = medianSeconds($plans);
    row(['site: crossroads and the plan of each of its ways', number_format(1 / $took), number_format($took / $loop, 1)]);
    $pack = RulePacks::byCode('gb');
    foreach ([
        'one card of the catalogue' => static fn () => Card::of(RoutineCode::EmergeRight, $pack, new Practice([], $pack)),
        'the whole catalogue' => static fn () => array_map(
            static fn (RoutineCode $code): Card => Card::of($code, $pack, new Practice([], $pack)), Catalogue::codes($pack),
        ),
    ] as $name => $work) {
        $took = medianSeconds($work);
        row([$name, number_format(1 / $took), number_format($took / $loop, 1)]);
    }
}
