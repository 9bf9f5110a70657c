<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

/** What the tools are asked in tests of their contract. */
final class Inputs
{
    /** The least each tool takes. */
    public const LEAST = [
        'stopping' => ['pack' => 'gb', 'speed_mph' => 30],
        'following' => ['pack' => 'gb', 'speed_mph' => 50, 'gap_s' => 3.2, 'surface' => 'wet'],
        'approach' => ['pack' => 'gb', 'routine' => 'emerge-right', 'limit_mph' => 30, 'control' => 'give-way', 'view' => 'open'],
        'amber' => ['pack' => 'gb', 'speed_mph' => 30, 'distance_m' => 42],
        'crossing' => ['pack' => 'na', 'road_width_m' => 14, 'island_at_m' => 7, 'person_at_m' => 0, 'towards_us' => true],
        'gap' => ['pack' => 'gb', 'manoeuvre' => 'emerge-right', 'other_speed_mph' => 30, 'other_distance_m' => 90],
        'lanes' => [
            'pack' => 'gb',
            'arms' => [
                ['name' => 'home', 'angle_deg' => 0, 'approach_lanes' => [['to' => ['first', 'second']], ['to' => ['second', 'third']]]],
                ['name' => 'first', 'angle_deg' => 90], ['name' => 'second', 'angle_deg' => 180], ['name' => 'third', 'angle_deg' => 270],
            ],
            'from' => 'home', 'to' => 'third',
        ],
        'lane-change' => [
            'pack' => 'na', 'speed_mph' => 35, 'limit_mph' => 45, 'to' => 'right',
            'vehicles' => [['lane' => 'right', 'distance_m' => -5, 'speed_mph' => 40]],
        ],
        'join' => ['pack' => 'gb', 'slip_length_m' => 180, 'entry_speed_mph' => 30, 'main_speed_mph' => 50, 'gradient' => 0],
        'leave' => ['pack' => 'gb', 'main_speed_mph' => 70, 'slip_length_m' => 250, 'end_speed_mph' => 15, 'next_turn' => 'right'],
        'lights' => ['pack' => 'gb', 'stands' => 'inside', 'seen_to_stop' => true],
        'mark-test' => ['pack' => 'gb', 'scheme' => 'gb-car', 'faults' => [['step' => 'mirrors', 'routine' => 'emerge-right', 'fault' => 'late',
            'effect' => 'nobody']]],
        'next-lesson' => [
            'pack' => 'gb', 'today' => '2026-05-20', 'starts_at' => '2026-05-20T09:00:00Z', 'minutes' => 60, 'learner_level' => 'developing',
            'vehicle' => ['transmission' => 'manual'], 'marks' => [], 'overrulings' => [], 'agreed' => [['routine' => 'turn-right', 'step' => 'mirrors']],
            'pinned' => [], 'excluded' => [], 'start' => ['latitude_deg' => 49.2, 'longitude_deg' => -8.1], 'ways' => [],
        ],
        'overtake' => ['pack' => 'gb', 'limit_mph' => 60, 'other_speed_mph' => 40, 'oncoming_speed_mph' => 60, 'sight_m' => 400],
        'priority' => ['pack' => 'na', 'place' => 'all-way-stop', 'vehicles' => [['line' => 'right'], ['line' => 'opposite', 'wait_s' => 4]]],
        'ready' => [
            'pack' => 'gb', 'today' => '2026-05-20', 'scheme' => 'gb-car', 'marks' => [], 'overrulings' => [],
            'hours' => [['at' => '2026-05-01T10:00:00Z', 'minutes' => 60, 'light' => 'day', 'with' => 'instructor']],
            'mock_tests' => [['on' => '2026-05-12', 'result' => 'pass']], 'test_on' => '2026-07-01', 'lesson_minutes' => 60, 'lesson_minutes_a_week' => 120,
            'practice_minutes_a_week' => 0, 'seed' => 1,
        ],
        'series' => ['pack' => 'gb', 'parts' => [
            ['tool' => 'approach', 'routine' => 'roundabout', 'exit' => 'left', 'limit_mph' => 40],
            ['tool' => 'join', 'distance_m' => 60, 'slip_length_m' => 300, 'main_speed_mph' => 60],
            ['tool' => 'leave', 'distance_m' => 900, 'slip_length_m' => 250],
            ['tool' => 'approach', 'routine' => 'mini-roundabout', 'exit' => 'back', 'limit_mph' => 40],
        ]],
        'sight' => ['pack' => 'gb', 'limit_mph' => 50, 'bend_radius_m' => 120, 'offset_m' => 3],
        'site' => [
            'pack' => 'gb', 'kind' => 'junction',
            'arms' => [
                ['id' => 'w', 'name' => 'Mole Street', 'bearing_deg' => 270], ['id' => 'e', 'name' => 'Mole Street', 'bearing_deg' => 90],
                ['id' => 's', 'name' => 'Ropewalk', 'bearing_deg' => 180, 'control' => 'give-way'],
            ],
        ],
        'skill' => [
            'pack' => 'gb', 'today' => '2026-05-20',
            'marks' => [
                [
                    'at' => '2026-05-01T10:02:00Z', 'routine' => 'emerge-right', 'step' => 'position', 'outcome' => 'prompted',
                    'conditions' => ['traffic' => 'quiet', 'light' => 'day', 'surface' => 'dry', 'road' => 'town'],
                ],
            ],
            'predict' => [['at' => '2026-05-21T10:00:00Z', 'routine' => 'emerge-left', 'step' => 'position']],
        ],
        'circuit' => [
            'pack' => 'gb', 'minutes' => 60, 'starts_at' => '2026-05-20T09:00:00Z', 'start' => ['latitude_deg' => 49.2, 'longitude_deg' => -8.1],
            'order' => 'easy-to-hard',
            'ways' => [
                [
                    'id' => 'a', 'routine' => 'emerge-right', 'in' => ['latitude_deg' => 49.204, 'longitude_deg' => -8.104],
                    'out' => ['latitude_deg' => 49.205, 'longitude_deg' => -8.103], 'difficulty' => 0.3, 'rounds' => 3,
                ],
            ],
        ],
        'engine' => [
            'tyre' => '195/65R15', 'final_drive' => 4.06, 'ratios' => [3.6, 1.95, 1.3, 0.97, 0.78], 'speed_mph' => 30, 'from_gear' => 2,
            'to_gear' => 3,
        ],
        'steering' => ['wheelbase_m' => 2.6, 'steering_ratio' => 15.5, 'radius_m' => 8],
        'swept-path' => [
            'units' => [
                ['wheelbase_m' => 3.8, 'front_overhang_m' => 1.4, 'rear_overhang_m' => 0.9, 'width_m' => 2.5, 'hitch_offset_m' => -0.6],
                ['wheelbase_m' => 7.7, 'rear_overhang_m' => 3.3, 'width_m' => 2.55],
            ],
            'path' => ['radius_m' => 12.5, 'angle_deg' => 90],
        ],
        'reverse' => ['pack' => 'gb', 'exercise' => 'pull-up-right-reverse', 'distance_m' => 9, 'kerb_gap_m' => 0.3, 'angle_deg' => 2],
        'clearance' => ['vehicle_height_m' => 4.2, 'sign_height_ft_in' => "13'9\""],
    ];

    /** A field of each tool that can be swept, with values. */
    public const SWEPT = [
        'lane-change' => ['speed_mph', 25, 40, 5], 'join' => ['slip_length_m', 100, 250, 50], 'leave' => ['slip_length_m', 100, 250, 50],
        'overtake' => ['sight_m', 200, 500, 100],
        'stopping' => ['speed_mph', 10, 40, 10], 'amber' => ['distance_m', 10, 70, 20], 'gap' => ['other_distance_m', 30, 120, 30],
        'lanes' => ['next_turn_in_m', 50, 200, 50], 'crossing' => ['person_at_m', 0, 12, 4], 'following' => ['speed_mph', 10, 40, 10],
        'approach' => ['speed_mph', 10, 40, 10], 'engine' => ['speed_mph', 10, 40, 10],
        'steering' => ['radius_m', 5, 20, 5], 'swept-path' => ['step_m', 0.2, 0.8, 0.2], 'reverse' => ['angle_deg', -2, 4, 2],
        'clearance' => ['vehicle_height_m', 3, 4.5, 0.5], 'circuit' => ['minutes', 15, 60, 15], 'lights' => ['room_m', 2, 14, 4],
        'priority' => ['wait_s', 0, 6, 2], 'sight' => ['offset_m', 1, 4, 1],
    ];
}
