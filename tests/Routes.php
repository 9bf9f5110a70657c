<?php

namespace Tests;

use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use stdClass;

/** Every route of the API that asks for a sign-in, with a body that it takes: for walks over all of them. */
final class Routes
{
    /** Two points a minute apart. */
    public const TRACK = '<?xml version="1.0"?><gpx xmlns="http://www.topografix.com/GPX/1/1" version="1.1" creator="x"><trk><trkseg>'
        .'<trkpt lat="49.2" lon="-8.1"><time>2026-05-20T09:00:00Z</time></trkpt><trkpt lat="49.201" lon="-8.1"><time>2026-05-20T09:01:00Z</time></trkpt>'
        .'</trkseg></trk></gpx>';

    /** One direction of a fast road with a slip road on to it. */
    public const SLIP = [
        ['id' => 'w', 'name' => 'Skerry Way', 'bearing_deg' => 270, 'lanes_in' => 2, 'lanes_out' => 0, 'limit_mph' => 70],
        ['id' => 'e', 'name' => 'Skerry Way', 'bearing_deg' => 90, 'lanes_in' => 0, 'lanes_out' => 2, 'limit_mph' => 70],
        ['id' => 's', 'name' => 'Gull Road', 'bearing_deg' => 240, 'slip' => true, 'lanes_out' => 0, 'slip_length_m' => 260],
    ];

    /** A JPEG of 6 x 4 pixels, drawn for this. */
    public const JPEG = '/9j/4AAQSkZJRgABAQAAAQABAAD/4gHYSUNDX1BST0ZJTEUAAQEAAAHIAAAAAAQwAABtbnRyUkdCIFhZWiAH4AABAAEAAAAAAABhY3NwAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA'
        .'AQAA9tYAAQAAAADTLQAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAlkZXNjAAAA8AAAACRyWFlaAAABFAAAABRnWFlaAAABKAAAABRiWFla'
        .'AAABPAAAABR3dHB0AAABUAAAABRyVFJDAAABZAAAAChnVFJDAAABZAAAAChiVFJDAAABZAAAAChjcHJ0AAABjAAAADxtbHVjAAAAAAAAAAEAAAAMZW5VUwAAAAgAAAAcAHMAUgBHAEJY'
        .'WVogAAAAAAAAb6IAADj1AAADkFhZWiAAAAAAAABimQAAt4UAABjaWFlaIAAAAAAAACSgAAAPhAAAts9YWVogAAAAAAAA9tYAAQAAAADTLXBhcmEAAAAAAAQAAAACZmYAAPKnAAANWQAA'
        .'E9AAAApbAAAAAAAAAABtbHVjAAAAAAAAAAEAAAAMZW5VUwAAACAAAAAcAEcAbwBvAGcAbABlACAASQBuAGMALgAgADIAMAAxADb/2wBDABQODxIPDRQSEBIXFRQYHjIhHhwcHj0sLiQy'
        .'SUBMS0dARkVQWnNiUFVtVkVGZIhlbXd7gYKBTmCNl4x9lnN+gXz/2wBDARUXFx4aHjshITt8U0ZTfHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8'
        .'fHz/wAARCAAEAAYDASIAAhEBAxEB/8QAFQABAQAAAAAAAAAAAAAAAAAAAAP/xAAcEAACAQUBAAAAAAAAAAAAAAAAAgEDERIiYRP/xAAUAQEAAAAAAAAAAAAAAAAAAAAE/8QAFhEAAwAA'
        .'AAAAAAAAAAAAAAAAAAEx/9oADAMBAAIRAxEAPwCtOn55bu2TS203tyOAAM6KUP/Z';

    /** A T: its bar from west to east, its stem from the south. */
    public const ARMS = [
        ['id' => 'w', 'name' => 'Mole Street', 'bearing_deg' => 270, 'limit_mph' => 40], ['id' => 'e', 'name' => 'Mole Street', 'bearing_deg' => 90,
            'limit_mph' => 40],
        ['id' => 's', 'name' => 'Ropewalk', 'bearing_deg' => 180, 'limit_mph' => 30, 'control' => 'give-way'],
    ];

    /**
     * Every route with the body it takes, by method and address.
     *
     * @param  array<string, string>  $ids
     */
    public static function withBodies(array $ids): array
    {
        $learner = ['name' => 'x', 'transmission' => 'manual', 'level' => 'beginner'];
        $car = ['name' => 'x', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 1.8];
        $place = ['name' => 'x', 'routine' => 'emerge-left', 'road' => ['limit_mph' => 30]];
        $site = ['name' => 'x', 'kind' => 'junction', 'arms' => self::ARMS];
        $chosen = ['pack' => 'gb', 'practice' => new stdClass];
        $test = [
            'kind' => 'test', 'taken_at' => '2026-05-04T10:00:00Z', 'result' => 'fail', 'centre_id' => $ids['centre'],
            'faults' => [['step' => 'look', 'routine' => 'emerge-right', 'effect' => 'affected']],
        ];
        $driven = (string) Str::uuid7();
        $mockTest = [
            'id' => (string) Str::uuid7(), 'taken_at' => '2026-05-20T08:10:00Z',
            'ways' => [['id' => $driven, 'place_id' => $ids['place'], 'routine' => 'emerge-right', 'at' => '2026-05-20T08:12:00Z']],
            'faults' => [['step' => 'look', 'way' => $driven, 'effect' => 'affected', 'at' => '2026-05-20T08:12:30Z']],
        ];
        $drive = ['starts_at' => '2026-05-02T18:00:00Z', 'minutes' => 40, 'conditions' => ['surface' => 'wet'], 'note' => 'x'];
        $busy = ['kind' => 'busy', 'title' => 'x', 'starts_at' => '2026-05-24T10:00:00Z', 'ends_at' => '2026-05-24T11:00:00Z'];
        $newRound = (string) Str::uuid7();

        return [
            'GET today' => [], 'GET routines' => [], 'GET rules' => [], 'GET ping' => [], 'PUT rules/school' => $chosen,
            'PUT rules/mine' => $chosen, 'PUT learners/{learner}/rules' => $chosen,
            'POST compute/{tool}' => ['speed_mph' => 30],
            'POST sync' => [
                'rounds' => [
                    [
                        'id' => $newRound, 'lesson_id' => $ids['lesson'], 'place_id' => $ids['place'], 'routine' => 'emerge-right',
                        'plan' => ['tool' => 'approach', 'inputs' => ['routine' => 'emerge-right'], 'version' => '0.2.0'],
                        'device_at' => '2026-05-20T10:00:00Z',
                    ],
                ],
                'marks' => [
                    [
                        'id' => (string) Str::uuid7(), 'round_id' => $ids['round'], 'kind' => 'step', 'step' => 'look', 'outcome' => 'missed',
                        'corrects_id' => $ids['mark'], 'device_at' => '2026-05-20T10:00:01Z',
                    ],
                ],
            ],
            'POST lessons' => ['learner_id' => $ids['learner'], 'vehicle_id' => $ids['vehicle'], 'starts_at' => '2026-05-20T10:00:00Z', 'minutes' => 60],
            'GET week' => [], 'GET fit' => ['lesson' => $ids['lesson'], 'starts_at' => '2026-05-21T10:00:00Z'], 'GET free' => ['lesson' => $ids['lesson']],
            'GET waiting' => [], 'GET lessons/{lesson}/offers' => [], 'PUT learners/{learner}/waiting' => ['minutes' => 60],
            'DELETE learners/{learner}/waiting' => [], 'POST learners/{learner}/waiting/restore' => [],
            'GET working-hours' => [], 'PUT working-hours' => ['works_from' => '09:00', 'works_until' => '18:00', 'most_minutes' => 480],
            'GET calendar' => [], 'POST calendar' => ['calendar_names' => 'nobody'], 'PUT calendar' => ['calendar_names' => 'all'], 'DELETE calendar' => [],
            'GET lessons/{lesson}/calendar' => [],
            'POST busy-times/import' => ['ics' => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nEND:VCALENDAR\r\n", 'keep' => true],
            'GET late' => ['minutes' => 20], 'POST late' => ['minutes' => 20, 'lessons' => []], 'POST busy-times' => $busy, 'PUT busy-times/{busyTime}' => ['starts_at' => '2026-05-25T10:00:00Z', 'ends_at' => '2026-05-25T11:00:00Z'] + $busy, 'DELETE busy-times/{busyTime}' => [],
            'POST busy-times/{busyTime}/restore' => [],
            'GET series' => ['lesson' => $ids['lesson'], 'weeks' => 1, 'times' => 3], 'POST lessons/{lesson}/series' => ['weeks' => 2, 'times' => 2],
            'GET lessons/{lesson}' => [], 'PATCH lessons/{lesson}' => ['aim' => 'x'], 'GET lessons/{lesson}/changed' => [],
            'GET lessons/{lesson}/proposal' => ['excluded' => 'hump'],
            'POST lessons/{lesson}/items' => ['place_id' => $ids['place']], 'PUT lessons/{lesson}/order' => ['items' => [$ids['item']]],
            'PATCH items/{item}' => ['minutes' => 12], 'DELETE items/{item}' => [], 'POST items/{item}/restore' => [],
            'POST lessons/{lesson}/remedies' => ['routine' => 'emerge-right', 'step' => 'look', 'fault' => 'late', 'what' => 'drill'],
            'DELETE remedies/{remedy}' => [], 'POST remedies/{remedy}/restore' => [], 'GET remedies/helped/{step}' => [],
            'POST lessons/{lesson}/promises' => ['kind' => 'promise', 'text' => 'x'], 'PATCH promises/{promise}' => ['kept' => true],
            'DELETE promises/{promise}' => [], 'POST promises/{promise}/restore' => [],
            'GET school/learners' => [], 'GET school/foretelling' => [], 'GET school/teaching' => [], 'GET school/tests' => [],
            'GET school/remedies' => [], 'POST school/records' => [],
            'GET learners' => [],
            'POST learners' => $learner + ['reference_points' => [['what' => 'x', 'where' => 'y', 'vehicle_id' => $ids['vehicle']]]],
            'GET learners/{learner}/hours' => [], 'GET learners/{learner}/hours/file' => [],
            'GET learners/{learner}/ready' => [], 'GET learners/{learner}/assessments' => [], 'POST learners/{learner}/assessments' => $test,
            'POST lessons/{lesson}/mock-test' => $mockTest, 'PUT assessments/{assessment}' => $test, 'DELETE assessments/{assessment}' => [], 'POST assessments/{assessment}/restore' => [],
            'POST learners/{learner}/accompanied' => $drive, 'PUT accompanied/{accompaniedDrive}' => ['starts_at' => '2026-05-03T18:00:00Z'] + $drive,
            'DELETE accompanied/{accompaniedDrive}' => [], 'POST accompanied/{accompaniedDrive}/restore' => [],
            'GET learners/{learner}' => [], 'GET learners/{learner}/needs' => [], 'GET learners/{learner}/habits' => [], 'GET learners/{learner}/foretelling' => [], 'GET learners/{learner}/skill' => [],
            'GET learners/{learner}/marks' => [],
            'GET learners/{learner}/skill/{routine}/{step}' => [],
            'POST learners/{learner}/overrulings' => ['routine' => 'emerge-right', 'step' => 'look', 'level' => 'mostly', 'reason' => 'x'],
            'PATCH overrulings/{overruling}' => ['withdrawn' => true],
            'PUT learners/{learner}' => $learner, 'DELETE learners/{learner}' => [], 'POST learners/{learner}/restore' => [],
            'GET vehicle-kinds' => [], 'GET vehicles' => [], 'POST vehicles' => $car, 'PUT vehicles/{vehicle}' => $car,
            'DELETE vehicles/{vehicle}' => [], 'POST vehicles/{vehicle}/restore' => [],
            'GET sites' => [], 'GET sites/{site}' => [], 'GET sites/{site}/past' => [], 'POST sites' => $site, 'GET sites/geojson' => [], 'GET sites/near' => ['latitude_deg' => 1, 'longitude_deg' => 1],
            'POST sites/import' => ['type' => 'FeatureCollection', 'features' => [], 'keep' => true], 'PUT sites/{site}' => $site, 'POST sites/{site}/ways' => ['from' => 's',
                'to' => 'e'],
            'POST sites/{site}/merge' => ['other' => $ids['twin'], 'ways' => []],
            'GET sites/{site}/pictures' => [], 'GET pictures/{picture}' => [], 'POST sites/{site}/pictures' => ['arm' => 's', 'image' => self::JPEG],
            'PUT pictures/{picture}' => ['arm' => 's', 'note' => 'x', 'lines' => [[[0, 0.5], [1, 0.5]]]], 'DELETE pictures/{picture}' => [],
            'POST pictures/{picture}/restore' => [],
            ...self::circuits($ids),
            'DELETE sites/{site}' => [], 'POST sites/{site}/restore' => [],
            'GET places' => [], 'POST places' => $place, 'GET places/{place}/lessons' => [],
            'POST places/{place}/drawings' => [
                'title' => 'x', 'page' => 'gap', 'state' => '',
                'asked' => ['tool' => 'gap', 'inputs' => ['manoeuvre' => 'cross', 'other_speed_mph' => 30, 'other_distance_m' => 90]],
                'lesson_id' => $ids['lesson'],
            ],
            'DELETE drawings/{drawing}' => [], 'POST drawings/{drawing}/restore' => [],
            'PUT places/{place}' => $place, 'DELETE places/{place}' => [], 'POST places/{place}/restore' => [],
            'PUT school/position' => ['latitude_deg' => 1, 'longitude_deg' => 1],
            'GET school/texts' => [], 'PUT school/texts' => [
                'on' => true, 'quiet_from' => '20:00', 'quiet_until' => '09:00', 'reminds_at' => '18:00',
                'words' => ['booked' => '{learner}: {day}', 'moved' => null, 'cancelled' => null, 'day-before' => null, 'late' => null],
            ],
            'GET texts' => [], 'PATCH texts/{text}' => ['passed_on' => true],
            'PUT school/reading' => ['colleagues_read' => false],
            'GET people' => [], 'POST people' => ['name' => 'x', 'email' => Str::random(8).'@example.test', 'role' => 'instructor'],
            'PUT people/{person}' => ['name' => 'x', 'email' => Str::random(8).'@example.test', 'role' => 'owner'],
            'POST people/{person}/letter' => [], 'POST people/{person}/suspension' => [], 'DELETE people/{person}/suspension' => [],
            'GET people/{person}/lessons-ahead' => [],
            'POST people/{person}/hand-over' => ['to' => $ids['successor'], 'learners' => [$ids['learner']]],
            'GET letters' => [], 'GET changes' => [], 'GET archived' => [], 'GET retention' => [],
            'PUT retention' => ['keep_months' => 36, 'keep_minors_months' => 12], 'PUT learners/{learner}/keep' => ['until' => null],
            'GET learners/{learner}/data' => [], 'POST learners/{learner}/erasure' => ['name' => 'Test Learner'],
            'GET sessions' => [], 'DELETE sessions/{session}' => [],
            // The own session and password take no id; tried last, for they end it.
            'PUT password' => ['current_password' => 'long-enough-1', 'password' => 'another-long-1'], 'DELETE session' => [], 'DELETE sessions' => [],
        ];
    }

    /**
     * @param  array<string, string>  $ids
     * @return array<string, array<string, mixed>>
     */
    private static function circuits(array $ids): array
    {
        $ways = [['site' => $ids['site'], 'from' => 's', 'to' => 'e', 'routine' => 'emerge-right', 'rounds' => 2]];
        $circuit = ['name' => 'x', 'minutes' => 60, 'order' => 'shortest', 'shared' => true, 'centre_id' => $ids['centre'], 'ways' => $ways];
        $here = ['name' => 'x', 'latitude_deg' => 49.2, 'longitude_deg' => -8.1];
        $centre = ['name' => 'x', 'checks' => ['x'], 'traps' => [['site' => $ids['site'], 'note' => 'x']]];

        return [
            'GET circuits' => [], 'POST circuits' => $circuit, 'PUT circuits/{circuit}' => $circuit, 'DELETE circuits/{circuit}' => [],
            'POST circuits/{circuit}/restore' => [], 'POST circuits/plans' => ['ways' => $ways],
            'POST circuits/gpx' => ['name' => 'x', 'start' => $here, 'end' => $here, 'ways' => $ways],
            'GET legs' => [], 'POST legs/track' => ['gpx' => self::TRACK, 'keep' => true], 'DELETE legs/{leg}' => [], 'POST legs/{leg}/restore' => [],
            'GET centres' => [], 'POST centres' => $centre, 'PUT centres/{centre}' => $centre, 'DELETE centres/{centre}' => [],
            'POST centres/{centre}/restore' => [],
        ];
    }

    /** @return list<string> every route of the API that asks for a sign-in, as "METHOD address" */
    public static function guarded(): array
    {
        $found = [];
        foreach (Route::getRoutes() as $route) {
            if (in_array('auth', $route->gatherMiddleware(), true)) {
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    $found[] = $method.' '.substr($route->uri(), strlen('api/'));
                }
            }
        }

        return $found;
    }

    /**
     * The method and the address with its ids in place.
     *
     * @param  array<string, string>  $ids
     * @return array{string, string}
     */
    public static function addressed(string $route, array $ids): array
    {
        [$method, $uri] = explode(' ', $route);
        $known = $ids + ['tool' => 'stopping', 'routine' => 'emerge-right', 'step' => 'look'];

        return [$method, 'api/'.preg_replace_callback('/\{(\w+)\}/', fn (array $name): string => $known[$name[1]], $uri)];
    }
}
