<?php

namespace Database\Seeders;

use App\Models\Centre;
use App\Models\Circuit;
use App\Models\Leg;
use App\Models\Site;
use App\Models\User;

/** Circuits of the demo school, the file of its invented test centre, and drives that were measured between its sites. */
final class DemoCircuits
{
    private const RIGHT = ['s', 'e', 'emerge-right'];

    /** From, to, seconds and metres of each drive; null is where the school lies. */
    private const DRIVES = [
        [null, 'Windlass Lane at Tarpot Lane', [[74, 410], [81, 412], [69, 409]]],
        ['Windlass Lane at Tarpot Lane', 'Chandlers Row into Quay Street', [[152, 1_130], [141, 1_126]]],
        ['Chandlers Row into Quay Street', 'The closed T by the chapel', [[118, 640]]],
        ['The closed T by the chapel', 'Ropewalk at Mole Street', [[109, 720], [126, 724], [121, 719]]],
        ['Ropewalk at Mole Street', null, [[88, 480]]],
    ];

    public static function create(User $owner, User $tutor): void
    {
        $sites = Site::query()->get()->keyBy('name');
        $id = static fn (?string $name): ?string => $name === null ? null : $sites[$name]->id;
        $ways = static fn (array $ways): array => array_map(static fn (array $way): array => [
            'site' => $id($way[0]), 'from' => $way[1][0], 'to' => $way[1][1], 'routine' => $way[1][2], 'rounds' => $way[2],
        ], $ways);
        $centre = Centre::query()->create([
            'name' => 'Lantern Hill test centre', 'latitude_deg' => 49.2112, 'longitude_deg' => -8.1148,
            'arrival' => 'Five minutes before the time, not earlier: the yard holds six cars. Wait in the lay-by on Beacon Road.',
            'bays' => 'Nose in, the row by the hedge. The two nearest the door are kept for tests coming back.',
            'ways_in_and_out' => 'In from Beacon Road only. Out to the left, whichever way the test goes.',
            'checks' => [
                'How would you make sure that the tyres are safe to drive on?', 'Show me how you would wash and wipe the windscreen.',
                'Where is the fluid for the brakes, and how do you see that there is enough?',
            ],
            'traps' => [
                ['site' => $id('Beacon Road at Cairn Lane'), 'note' => 'The view opens late: a second look at the line, or others brake hard.'],
                ['site' => $id('Northgate at Tanners Hill'), 'note' => 'Steep up to the line. Rolling back a car’s length ends it.'],
            ],
        ]);
        $rows = [
            [$tutor, 'Right turns, quiet first', 60, 'easy-to-hard', true, false, null, [
                ['Windlass Lane at Tarpot Lane', self::RIGHT, 2], ['Chandlers Row into Quay Street', self::RIGHT, 3],
                ['The closed T by the chapel', self::RIGHT, 2], ['Ropewalk at Mole Street', self::RIGHT, 2],
            ], 'The chapel only once the quiet ones go without help.'],
            [$tutor, 'Rings: from the mini to the large one', 90, 'easy-to-hard', false, false, null, [
                ['Mini at the fish quay', ['s', 'e', 'mini-roundabout'], 3], ['Tidewell roundabout', ['s', 'n', 'roundabout'], 3],
                ['Long Strand roundabout', ['s', 'w', 'roundabout'], 3],
            ], null],
            [$owner, 'Lantern Hill, the north loop', 40, 'as-given', true, true, $centre->id, [
                ['Beacon Road lights', ['s', 'n', 'lights-ahead'], 1], ['Beacon Road at Cairn Lane', self::RIGHT, 1],
                ['Tidewell roundabout', ['s', 'n', 'roundabout'], 1], ['Northgate at Tanners Hill', self::RIGHT, 1],
            ], 'In silence, directions only; told at the kerb afterwards.'],
            [$owner, 'Half an hour by the kerb', 30, 'shortest', true, false, null, [
                ['Chandlers Row, from the kerb', ['w', 'e', 'move-off'], 3], ['Chandlers Row, from the kerb', ['w', 'e', 'pull-up-left'], 3],
            ], null],
        ];
        foreach ($rows as [$by, $name, $minutes, $order, $shared, $rehearsal, $at, $of, $note]) {
            $circuit = new Circuit(compact('name', 'minutes', 'order', 'shared', 'rehearsal', 'note') + ['ways' => $ways($of), 'centre_id' => $at]);
            $circuit->user_id = $by->id;
            $circuit->save();
        }
        foreach (self::DRIVES as $i => [$from, $to, $times]) {
            foreach ($times as $day => [$seconds, $metres]) {
                Leg::query()->create([
                    'from_site_id' => $id($from), 'to_site_id' => $id($to), 'time_s' => $seconds, 'distance_m' => $metres,
                    'driven_at' => now()->subDays(3 + 4 * $day)->setTime(10, 5 + 7 * $i),
                ]);
            }
        }
    }
}
