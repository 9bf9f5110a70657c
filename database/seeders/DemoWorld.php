<?php

namespace Database\Seeders;

use NobleTurn\Core\Compute\Toolbox;

/** Who and what there is in invented Skerrivane. */
final class DemoWorld
{
    /** @return non-empty-list<array{name: string, routine: string, road: array<string, mixed>, note?: string}> */
    public static function places(): array
    {
        return [
            [
                'name' => 'Chandlers Row into Quay Street', 'routine' => 'emerge-right',
                'road' => [
                    'limit_mph' => 30, 'control' => 'give-way', 'view' => 'open', 'openings' => [['side' => 'right', 'from_m' => 72, 'to_m' => 66]],
                    'parked' => [['side' => 'left', 'from_m' => 96, 'to_m' => 90]],
                ],
                'note' => 'A boatyard gate on the right just before the signal’s place.',
            ],
            [
                'name' => 'Ropewalk into Quay Street', 'routine' => 'emerge-left',
                'road' => ['limit_mph' => 20, 'control' => 'give-way', 'view' => 'restricted', 'road_width_m' => 6],
            ],
            [
                'name' => 'Tarpot Lane into Battery Hill', 'routine' => 'emerge-right',
                'road' => ['limit_mph' => 30, 'control' => 'stop', 'view' => 'closed', 'gradient' => 0.08],
                'note' => 'Uphill to a stop line; a high wall both sides.',
            ],
            ['name' => 'Quay Street into Chandlers Row', 'routine' => 'turn-left', 'road' => ['limit_mph' => 30, 'turn_radius_m' => 7]],
            [
                'name' => 'Quay Street into Herring Yard', 'routine' => 'turn-right',
                'road' => ['limit_mph' => 30, 'openings' => [['side' => 'right', 'from_m' => 54, 'to_m' => 48]]],
                'note' => 'The chandlery’s drive comes first on the same side.',
            ],
            ['name' => 'Battery Hill into Signal Close', 'routine' => 'turn-left', 'road' => ['limit_mph' => 30, 'gradient' => -0.06, 'turn_radius_m' => 9]],
            [
                'name' => 'Fishgate (one-way) into Market Rise', 'routine' => 'emerge-right',
                'road' => ['limit_mph' => 20, 'control' => 'give-way', 'view' => 'open', 'one_way' => true, 'road_width_m' => 7],
            ],
            [
                'name' => 'Lantern Steps Road into Skerry Way', 'routine' => 'emerge-left',
                'road' => ['limit_mph' => 40, 'control' => 'give-way', 'view' => 'open', 'gradient' => -0.04],
            ],
            ['name' => 'Skerry Way into Gannet Drive', 'routine' => 'turn-right', 'road' => ['limit_mph' => 40, 'road_width_m' => 9]],
            ['name' => 'Gannet Drive into Puffin Close, second at once', 'routine' => 'turn-left', 'road' => ['limit_mph' => 30, 'room_m' => 60]],
            [
                'name' => 'Salters Path into Lower Mole', 'routine' => 'emerge-left',
                'road' => ['limit_mph' => 30, 'control' => 'give-way', 'view_from_m' => 6, 'parked' => [['side' => 'left', 'from_m' => 52, 'to_m' => 40]]],
            ],
            ['name' => 'Lower Mole into Net Loft Square', 'routine' => 'turn-right', 'road' => ['limit_mph' => 20, 'road_width_m' => 5.5]],
            [
                'name' => 'Quay Street lights, straight on', 'routine' => 'lights-ahead', 'road' => ['limit_mph' => 30, 'light' => 'green-long'],
                'note' => 'Green for long as one comes round the bend.',
            ],
            [
                'name' => 'Quay Street lights into Ferry Rise', 'routine' => 'lights-right',
                'road' => ['limit_mph' => 30, 'light' => 'red', 'road_width_m' => 9], 'note' => 'Oncoming from the ferry in waves.',
            ],
            [
                'name' => 'Ferry Rise lights into Quay Street', 'routine' => 'lights-left',
                'road' => ['limit_mph' => 30, 'light' => 'green', 'gradient' => -0.04],
            ],
            [
                'name' => 'Lifeboat roundabout to Gull Road', 'routine' => 'roundabout',
                'road' => ['limit_mph' => 40, 'exit' => 'right', 'road_width_m' => 11, 'sign' => ['at_m' => 130, 'legible_m' => 70]],
            ],
            ['name' => 'Lifeboat roundabout, straight over', 'routine' => 'roundabout', 'road' => ['limit_mph' => 40, 'exit' => 'ahead', 'road_width_m' => 11]],
            [
                'name' => 'Capstan Cross mini-roundabout', 'routine' => 'mini-roundabout',
                'road' => ['limit_mph' => 30, 'exit' => 'right', 'view' => 'restricted', 'sign' => ['at_m' => 25, 'legible_m' => 30]],
                'note' => 'Paint worn; the sign stands behind a tree.',
            ],
            ['name' => 'Mast Lane over Gull Road', 'routine' => 'cross', 'road' => ['limit_mph' => 30, 'control' => 'stop', 'view' => 'closed']],
            ['name' => 'Cannery Street, both sides parked', 'routine' => 'pass-parked', 'road' => ['limit_mph' => 30, 'road_width_m' => 7.5]],
            ['name' => 'Cannery Street, the narrow end', 'routine' => 'meet', 'road' => ['limit_mph' => 20, 'road_width_m' => 5.5]],
            ['name' => 'Ferry stop on Quay Street', 'routine' => 'pass-bus', 'road' => ['limit_mph' => 30]],
            ['name' => 'Tern Primary, Gannet Drive', 'routine' => 'people', 'road' => ['limit_mph' => 20], 'note' => 'Ice cream on Fridays.'],
            ['name' => 'Gannet Drive humps', 'routine' => 'hump', 'road' => ['limit_mph' => 30]],
            ['name' => 'Old harbour line, rail crossing', 'routine' => 'rail-crossing', 'road' => ['limit_mph' => 30]],
            ['name' => 'Signal Close, long kerb on the right', 'routine' => 'pull-up-right-reverse', 'road' => ['limit_mph' => 30]],
            [
                'name' => 'Market Rise, opposite the pump', 'routine' => 'pull-up-left',
                'road' => ['limit_mph' => 30, 'gradient' => 0.05, 'openings' => [['side' => 'left', 'from_m' => 58, 'to_m' => 52]]],
            ],
            [
                'name' => 'Gull Road slip to Skerry Way', 'routine' => 'join',
                'road' => [
                    'slip_length_m' => 220, 'entry_speed_mph' => 30, 'main_speed_mph' => 56, 'limit_change_m' => 40, 'solid_line_m' => 90,
                    'slip_angle_deg' => 5, 'gradient' => 0.03,
                ],
                'note' => 'Uphill; the ferry lorries are slow here.',
            ],
            [
                'name' => 'Skerry Way, off at Gannet Drive', 'routine' => 'leave',
                'road' => [
                    'slip_length_m' => 230, 'main_speed_mph' => 60, 'end_speed_mph' => 15, 'bend_radius_m' => 60, 'bend_from_m' => 140, 'lanes' => 2,
                    'next_turn' => 'right',
                ],
            ],
            ['name' => 'Skerry Way, the long straight', 'routine' => 'lane-change-right', 'road' => ['limit_mph' => 50]],
            ['name' => 'Lighthouse Road', 'routine' => 'overtake', 'road' => ['limit_mph' => 60]],
            ['name' => 'Chandlers Row, from the kerb', 'routine' => 'move-off', 'road' => ['limit_mph' => 30]],
        ];
    }

    /**
     * @return non-empty-list<array{name: string, routine: string, road: array<string, mixed>, note?: string}> of the branch overseas, where traffic keeps right
     */
    public static function placesKeepingRight(): array
    {
        return [
            ['name' => 'Breakwater Avenue at Third, right on red', 'routine' => 'right-on-red', 'road' => ['limit_mph' => 35]],
            ['name' => 'Third at Pelican, all-way stop', 'routine' => 'all-way-stop', 'road' => ['limit_mph' => 25, 'exit' => 'left']],
            ['name' => 'Breakwater Avenue, boatshed driveway', 'routine' => 'centre-lane-left', 'road' => ['limit_mph' => 35, 'road_width_m' => 13]],
            ['name' => 'Alley behind Pelican', 'routine' => 'alley', 'road' => ['limit_mph' => 15, 'road_width_m' => 5]],
            ['name' => 'Pelican Street, straight curb', 'routine' => 'back-up', 'road' => ['limit_mph' => 25]],
            ['name' => 'Third into Pelican Street', 'routine' => 'turn-left', 'road' => ['limit_mph' => 25, 'road_width_m' => 9]],
            ['name' => 'Heron Court into Breakwater Avenue', 'routine' => 'emerge-right', 'road' => ['limit_mph' => 25, 'control' => 'stop']],
        ];
    }

    /**
     * @return array{layout: string, from: string, to: string, spirals: bool, speed: int, lane: int, arms: non-empty-list<array{name: string, angle: int,
     *     lanes: array<array{to: array<mixed>}>, exits: int}>} the roundabout as the bench draws it
     */
    private static function lifeboat(): array
    {
        $arm = static fn (string $name, int $angle, array $lanes, int $exits): array => [
            'name' => $name, 'angle' => $angle, 'lanes' => array_map(static fn (array $to): array => ['to' => $to], $lanes), 'exits' => $exits,
        ];

        return [
            'layout' => 'roundabout', 'from' => 'Skerry Way', 'to' => 'Gull Road', 'spirals' => true, 'speed' => 40, 'lane' => 2,
            'arms' => [
                $arm('Skerry Way', 0, [['Mole Street', 'Ferry Rise'], ['Ferry Rise', 'Gull Road']], 2), $arm('Mole Street', 75, [[]], 1),
                $arm('Ferry Rise', 180, [[], []], 2), $arm('Gull Road', 265, [[]], 1),
            ],
        ];
    }

    /**
     * @return array<string, array{title: string, page: string, state: string, asked: array{tool: string, inputs: array<string, mixed>,
     *     version: string}}> pages of the bench kept with a place, by its name
     */
    public static function drawings(): array
    {
        $asked = static fn (string $tool, array $inputs): array => ['tool' => $tool, 'inputs' => ['pack' => 'gb'] + $inputs, 'version' => Toolbox::VERSION];
        $ring = self::lifeboat();
        $arms = array_map(
            static fn (array $arm): array => [
                'name' => $arm['name'], 'angle_deg' => $arm['angle'], 'approach_lanes' => $arm['lanes'], 'exit_lanes' => $arm['exits'],
            ],
            $ring['arms'],
        );

        return [
            'Quay Street into Chandlers Row' => [
                'title' => 'How much wheel for this corner', 'page' => 'steering', 'state' => 'kerb=7',
                'asked' => $asked('steering', ['vehicle' => 'small-petrol-hatch', 'kerb_radius_m' => 7, 'kerb_gap_m' => 0.5, 'lane_width_m' => 3.65]),
            ],
            'Lifeboat roundabout to Gull Road' => [
                'title' => 'Lanes of the Lifeboat roundabout', 'page' => 'lanes', 'state' => http_build_query(['ring' => json_encode($ring)]),
                'asked' => $asked(
                    'lanes',
                    [
                        'layout' => 'roundabout', 'arms' => $arms, 'from' => $ring['from'], 'to' => $ring['to'], 'speed_mph' => $ring['speed'],
                        'in_lane' => $ring['lane'], 'spirals_by_paint' => true,
                    ],
                ),
            ],
            'Lower Mole into Net Loft Square' => [
                'title' => 'The delivery lorry that comes round here', 'page' => 'swept-path', 'state' => 'vehicle=rigid-lorry&kerb=5',
                'asked' => $asked(
                    'swept-path',
                    ['vehicle' => 'rigid-lorry', 'bend' => ['kerb_radius_m' => 5, 'entry_width_m' => 3.65, 'exit_width_m' => 7.3, 'angle_deg' => 90]],
                ),
            ],
        ];
    }

    /**
     * Who learns here. Weak: the step this learner finds hardest; weakIn: the conditions; overrates: the step they think too well of; paused: days.
     *
     * @return list<array{facts: array<string, mixed>, lessons: int, weak: string, weakIn: ?string, overrates: ?string, paused: int,
     *     overruled: list<array<string, string>>}>
     */
    public static function learners(): array
    {
        return [
            self::learner(
                'Orla Penhale', 'developing', 9, 'position', '4 Chandlers Row',
                [
                    'reference_points' => [
                        ['what' => 'About to touch the left kerb', 'where' => 'kerb meets the wiper’s pivot'],
                        ['what' => 'Turning point, emerging right', 'where' => 'middle of the new road under the mirror'],
                    ],
                ],
            ),
            self::learner(
                'Tobias Wren-Castellane', 'beginner', 3, 'signal', 'Station forecourt',
                [
                    'is_minor' => true, 'guardian_name' => 'Ines Wren-Castellane', 'guardian_contact' => '01632 960 411',
                    'guardian_consent_on' => now()->subDays(60)->toDateString(),
                ],
            ),
            self::learner('Mirela Sandoval', 'independent', 22, 'look', 'Net Loft Square'),
            self::learner('Piet Hallworthy', 'developing', 12, 'speed', 'Battery Hill, top', overrates: 'speed'),
            self::learner('Ada Finnemore', 'developing', 7, 'mirrors', '19 Gannet Drive', ['transmission' => 'automatic']),
            self::learner('Jun Okonjo-Reyes', 'beginner', 2, 'look', 'College gate'),
            self::learner(
                'Bettina Varga', 'independent', 18, 'position', 'Skerry Way surgery', ['transmission' => 'automatic'],
                overruled: [
                    [
                        'routine' => 'turn-right', 'step' => 'position', 'level' => 'mostly',
                        'reason' => 'A van stood in the way in most of those rounds; with the road clear she takes the middle on her own.',
                    ],
                ],
            ),
            self::learner('Caspian Doyle', 'developing', 10, 'signal', 'Fishgate car park', weakIn: 'busy'),
            self::learner('Wilhelmina Ashcombe-Featherstonehaugh', 'developing', 6, 'mirrors', 'The Old Customs House, Lower Mole, flat 12'),
            self::learner('Sol Adeyemi', 'beginner', 4, 'speed', 'Ropewalk'),
            self::learner('Linnea Marsh', 'independent', 15, 'look', '7 Signal Close'),
            self::learner('Gus Pellow', 'beginner', 1, 'position', 'Market Rise'),
            self::learner('Noor Haddad', 'developing', 8, 'speed', 'Puffin Close', paused: 66),
        ];
    }

    /**
     * @param  array<string, mixed>  $more
     * @param  list<array<string, string>>  $overruled
     * @return array{facts: array<string, mixed>, lessons: int, weak: string, weakIn: ?string, overrates: ?string, paused: int,
     *     overruled: list<array<string, string>>}
     */
    private static function learner(
        string $name, string $level, int $lessons, string $weak, string $pickUp, array $more = [], ?string $weakIn = null, ?string $overrates = null,
        int $paused = 0, array $overruled = [],
    ): array {
        return [
            'facts' => [
                'name' => $name, 'level' => $level, 'transmission' => 'manual', 'pick_up' => $pickUp,
                'phone' => sprintf('01632 960%03d', 100 + $lessons * 7 % 900), 'licence_seen_on' => now()->subDays(20 + $lessons * 7)->toDateString(),
                'eyesight_checked_on' => now()->subDays(20 + $lessons * 7)->toDateString(), ...$more,
            ],
            'lessons' => $lessons,
            'weak' => $weak,
            'weakIn' => $weakIn,
            'overrates' => $overrates,
            'paused' => $paused,
            'overruled' => $overruled,
        ];
    }
}
