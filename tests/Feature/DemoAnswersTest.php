<?php

use App\Models\Assessment;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Round;
use App\Models\Site;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\Artisan;
use Tests\Recording;
use Tests\Routes;

/*
 * A day of the demo as the application answers it, recorded for the components of the interface (tests/answers): held against what is
 * answered now, field by field and type by type. NOBLE_TURN_RECORD=1 records it anew.
 */

it('answers a day of the demo as it was recorded', function (): void {
    $this->travelTo('2026-05-20 09:10:00');
    Artisan::call('db:seed', ['--class' => DemoSeeder::class, '--force' => true]);
    $instructor = User::query()->where('email', DemoSeeder::EMAIL)->firstOrFail();
    $this->actingAs($instructor);
    config(['queue.default' => 'sync']);
    $this->postJson('api/school/records')->assertOk();
    $today = $this->getJson('api/today')->assertOk()->json();
    $driven = Lesson::query()
        ->where('instructor_id', $instructor->id)
        ->where('state', 'done')
        ->withCount('rounds')
        ->orderByDesc('starts_at')
        ->get()
        ->firstWhere('rounds_count', '>', 5);
    $learner = $driven->learner_id;
    $cell = collect($this->getJson("api/learners/{$learner}/skill")->json('cells'))->sortByDesc('evidence')->first();
    $tested = Assessment::query()->whereHas('learner', static fn ($learner) => $learner->whereNull('deleted_at'))
        ->where('kind', 'test')->where('result', 'fail')->firstOrFail()->learner_id;
    $site = Site::query()->where('name', 'Ropewalk at Mole Street')->firstOrFail()->id;
    $drivenAt = Site::query()->where('name', 'Chandlers Row into Quay Street')->firstOrFail()->id;
    $few = static fn (int $many): Closure => static fn (array $list): array => array_slice($list, 0, $many);
    $asks = [
        'today' => ['today', null], 'lesson-planned' => ["lessons/{$today['next']['id']}", null], 'lesson-driven' => ["lessons/{$driven->id}", null],
        'changed' => ["lessons/{$driven->id}/changed", null],
        'proposal' => ["lessons/{$today['next']['id']}/proposal", null],
        'learners' => ['learners', null], 'learner' => ["learners/{$learner}", null], 'skill' => ["learners/{$learner}/skill", null],
        'ready' => ["learners/{$learner}/ready", null], 'assessments' => ["learners/{$tested}/assessments", null],
        'hours' => ["learners/{$learner}/hours", null], 'hours-asked' => ['learners/'.Learner::query()->where('pack', 'na')->sole()->id.'/hours', null],
        'habits' => ["learners/{$learner}/habits", null],
        'needs' => ["learners/{$learner}/needs", null],
        'cell' => ["learners/{$learner}/skill/{$cell['routine']}/{$cell['step']}", null],
        'marks-behind' => ["learners/{$learner}/marks?step={$cell['step']}", null],
        'sites' => ['sites', null], 'site' => ["sites/{$site}", null], 'site-driven' => ["sites/{$drivenAt}", null],
        'sites-near' => ['sites/near?latitude_deg=49.2&longitude_deg=-8.1', null], 'past' => ["sites/{$drivenAt}/past", null], 'places' => ['places', null],
        'vehicles' => ['vehicles', null], 'vehicle-kinds' => ['vehicle-kinds', null], 'rules' => ['rules', null],
        'circuits' => ['circuits', null], 'centres' => ['centres', null], 'legs' => ['legs', null], 'week' => ['week?from=2026-05-18', null],
        'texts' => ['texts', null],
        'routines' => ['routines?pack=gb', $few(12)], 'school-learners' => ['school/learners', null], 'teaching' => ['school/teaching', null],
        'school-tests' => ['school/tests', null], 'school-remedies' => ['school/remedies', null],
    ];
    foreach ($asks as $name => [$address, $cut]) {
        $said = json_decode((string) $this->getJson("api/{$address}")->assertOk()->getContent());
        Recording::hold("demo-{$name}", $cut === null ? $said : $cut($said));
    }
    // The plan of the lesson as a circuit from the school and back, each way asked for as its plan says.
    $lies = collect($this->getJson('api/sites')->json())->keyBy('id');
    $ways = array_map(function (array $item) use ($lies): array {
        $plan = $this->postJson('api/compute/approach', $item['plan']['inputs'])->assertOk()->json();

        return [
            'id' => $item['id'], 'name' => $item['place']['name'], 'routine' => $item['routine'], 'rounds' => 1, 'brief_s' => 0, 'round_s' => 1, 'again_s' => 0,
            'in' => array_intersect_key($lies[$item['place']['site_id']], ['latitude_deg' => 0, 'longitude_deg' => 0]),
            'direction' => $plan['direction'], 'say_at_m' => $plan['say_at_m'],
        ];
    }, $this->getJson("api/lessons/{$today['next']['id']}")->json('items'));
    Recording::hold('demo-onward', json_decode((string) $this->postJson('api/compute/circuit', [
        'pack' => 'gb', 'order' => 'as-given', 'minutes' => 55, 'start' => ['latitude_deg' => 49.197842, 'longitude_deg' => -8.102477], 'ways' => $ways,
    ])->assertOk()->getContent()));
    $kept = collect($this->getJson('api/circuits')->json())->firstWhere('mine', true);
    Recording::hold('demo-circuit-plans', json_decode((string) $this->postJson('api/circuits/plans', ['ways' => $kept['ways']])->assertOk()->getContent()));
    $this->actingAs(User::query()->where('email', 'owner@harbourschool.test')->firstOrFail());
    Recording::hold('demo-school-texts', json_decode((string) $this->getJson('api/school/texts')->assertOk()->getContent()));
    // Its lessons use all of the log.
    $said = static fn (string $column): array => Mark::query()->whereNotNull($column)->distinct()->pluck($column)->all();
    expect($said('stage'))->toContain('approach', 'move-off')->and($said('what'))->toContain('rear-looks', 'counted-gap', 'gaps-let-go', 'gap-taken')
        ->and($said('effect'))->toContain('nobody', 'potential', 'affected', 'intervened')->and(count($said('decision')))->toBeGreaterThan(2)
        ->and($said('kind'))->toContain('step', 'taught', 'moment', 'decision', 'count')->and($said('fault'))->not->toBe([]);
    foreach (['elsewhere', 'moment_id', 'side'] as $column) {
        expect(Round::query()->whereNotNull($column)->exists())->toBeTrue($column);
    }
});

it('answers the tools of the bench as they were recorded', function (string $tool, array $inputs, string $more = ''): void {
    $this->actingAs($this->user($this->school()));
    Recording::hold("tool-{$tool}{$more}", json_decode((string) $this->postJson("api/compute/{$tool}", $inputs)->assertOk()->getContent()));
})->with([
    'gap' => [
        'gap',
        [
            'pack' => 'gb', 'manoeuvre' => 'emerge-right', 'other_speed_mph' => 30,
            'sweep' => ['field' => 'other_distance_m', 'from' => 30, 'to' => 150, 'step' => 40, 'folded' => true],
        ],
    ],
    'circuit' => [
        'circuit',
        [
            'pack' => 'gb', 'minutes' => 40, 'order' => 'easy-to-hard', 'start' => ['latitude_deg' => 49.2, 'longitude_deg' => -8.1],
            'ways' => [
                ['id' => '0', 'name' => 'Far', 'routine' => 'roundabout', 'in' => ['latitude_deg' => 49.215, 'longitude_deg' => -8.1], 'difficulty' => 0.6,
                    'direction' => 'At the roundabout take the second exit, please.', 'say_at_m' => 180],
                ['id' => '1', 'name' => 'Near', 'routine' => 'emerge-left', 'in' => ['latitude_deg' => 49.203, 'longitude_deg' => -8.1], 'difficulty' => 0.2,
                    'direction' => 'At the end of the road turn left, please.', 'say_at_m' => 90],
                ['id' => '2', 'name' => 'Beyond', 'routine' => 'join', 'in' => ['latitude_deg' => 49.5, 'longitude_deg' => -8.1], 'difficulty' => 0.9],
            ],
        ],
    ],
    'engine' => [
        'engine',
        ['pack' => 'gb', 'from_gear' => 3, 'to_gear' => 2, 'sweep' => ['field' => 'speed_mph', 'from' => 10, 'to' => 50, 'step' => 20, 'folded' => true]],
    ],
    'reverse' => [
        'reverse',
        [
            'pack' => 'gb', 'exercise' => 'pull-up-right-reverse', 'kerb_gap_m' => 0.3,
            'sweep' => ['field' => 'angle_deg', 'from' => -2, 'to' => 2, 'step' => 2, 'folded' => true],
        ],
    ],
    'approach' => [
        'approach',
        [
            'pack' => 'gb', 'routine' => 'emerge-right', 'limit_mph' => 30,
            'sweep' => ['field' => 'speed_mph', 'from' => 10, 'to' => 40, 'step' => 10, 'folded' => true],
        ],
    ],
    'join' => [
        'join',
        [
            'pack' => 'gb', 'slip_length_m' => 250, 'entry_speed_mph' => 30, 'main_speed_mph' => 60,
            'vehicles' => [['name' => 'lorry', 'distance_m' => -40, 'speed_mph' => 56]],
        ],
    ],
    'leave' => ['leave', ['pack' => 'gb', 'slip_length_m' => 250, 'main_speed_mph' => 70, 'end_speed_mph' => 15, 'next_turn' => 'right']],
    'overtake' => ['overtake', ['pack' => 'gb', 'limit_mph' => 60, 'other_speed_mph' => 40, 'oncoming_speed_mph' => 60, 'sight_m' => 400]],
    'lane-change' => [
        'lane-change',
        ['pack' => 'gb', 'speed_mph' => 50, 'limit_mph' => 60, 'to' => 'right', 'vehicles' => [['lane' => 'right', 'distance_m' => -25, 'speed_mph' => 60]]],
    ],
    'steering' => ['steering', ['pack' => 'gb', 'kerb_radius_m' => 6, 'kerb_gap_m' => 0.5, 'lane_width_m' => 3.65]],
    'swept-path' => [
        'swept-path', ['vehicle' => 'rigid-lorry', 'bend' => ['kerb_radius_m' => 6, 'entry_width_m' => 4, 'exit_width_m' => 7.3, 'angle_deg' => 90]],
    ],
    'site' => ['site', ['pack' => 'gb', 'kind' => 'junction', 'arms' => Routes::ARMS, 'from' => 's', 'to' => 'e']],
    'a slip' => ['site', ['pack' => 'gb', 'kind' => 'slip', 'arms' => Routes::SLIP, 'from' => 's', 'to' => 'e'], '-slip'],
    'a stretch' => ['site', ['pack' => 'gb', 'kind' => 'stretch', 'arms' => [
        ['id' => 'w', 'name' => 'This road', 'bearing_deg' => 270, 'holds' => ['parked', 'bus-stop']],
        ['id' => 'e', 'name' => 'This road', 'bearing_deg' => 90, 'holds' => ['humps']],
    ], 'from' => 'w', 'to' => 'e'], '-stretch'],
    'a car park' => ['site', ['pack' => 'gb', 'kind' => 'kerb', 'arms' => [['id' => 'w', 'name' => 'Car park', 'bearing_deg' => 270, 'holds' => ['bay']]],
        'from' => 'w', 'to' => 'w'], '-car-park'],
    'a corner in a lorry' => ['steering', ['pack' => 'gb', 'vehicle' => 'articulated-lorry', 'kerb_radius_m' => 12, 'kerb_gap_m' => 0.5], '-lorry'],
    'a tight bay' => ['reverse', ['pack' => 'gb', 'exercise' => 'bay', 'aisle_m' => 5.5, 'bay_width_m' => 2.1], '-bay'],
    'out of a bay' => ['reverse', ['pack' => 'gb', 'exercise' => 'out-of-bay', 'aisle_m' => 7, 'bay_width_m' => 2.4], '-bay-out'],
    'a space at the kerb' => ['reverse', ['pack' => 'gb', 'exercise' => 'kerb-space', 'space_m' => 10], '-space'],
    'from the kerb' => ['gap', ['pack' => 'gb', 'manoeuvre' => 'move-off', 'vehicle' => 'articulated-lorry', 'other_speed_mph' => 30,
        'other_distance_m' => 90, 'waited_s' => 20], '-kerb'],
    'best line round a ring' => ['swept-path', ['pack' => 'gb', 'vehicle' => 'articulated-lorry', 'lane_width_m' => 4,
        'path' => ['roundabout' => ['radius_m' => 14, 'exit' => 'ahead']]], '-lane'],
    'stopping' => ['stopping', [
        'pack' => 'gb', 'surface' => 'wet', 'gradient' => 0, 'seen_m' => 20,
        'sweep' => ['field' => 'speed_mph', 'from' => 5, 'to' => 70, 'step' => 1, 'folded' => true],
    ]],
    'following' => ['following', ['pack' => 'gb', 'speed_mph' => 50, 'gap_s' => 1.4]],
    'following at other speeds, in a lorry' => ['following', [
        'pack' => 'gb', 'vehicle' => 'articulated-lorry', 'gap_s' => 1.4,
        'sweep' => ['field' => 'speed_mph', 'from' => 20, 'to' => 70, 'step' => 10, 'folded' => true],
    ], '-swept'],
    'amber' => ['amber', [
        'pack' => 'gb', 'speed_mph' => 40, 'surface' => 'wet',
        'sweep' => ['field' => 'distance_m', 'from' => 0, 'to' => 150, 'step' => 1, 'folded' => true],
    ]],
    'crossing' => ['crossing', ['pack' => 'gb', 'road_width_m' => 7, 'person_at_m' => 2, 'towards_us' => true]],
    'wherever they are' => ['crossing', [
        'pack' => 'gb', 'road_width_m' => 7, 'towards_us' => true,
        'sweep' => ['field' => 'person_at_m', 'from' => 0, 'to' => 7, 'step' => 1, 'folded' => true],
    ], '-swept'],
    'several in a row' => ['series', ['pack' => 'gb', 'parts' => [
        ['tool' => 'approach', 'routine' => 'roundabout', 'exit' => 'left', 'limit_mph' => 40],
        ['tool' => 'join', 'distance_m' => 60, 'slip_length_m' => 320, 'main_speed_mph' => 60],
        ['tool' => 'leave', 'distance_m' => 1400, 'slip_length_m' => 300],
        ['tool' => 'approach', 'routine' => 'roundabout', 'exit' => 'right', 'distance_m' => 0, 'limit_mph' => 40],
        ['tool' => 'approach', 'routine' => 'turn-left', 'distance_m' => 90, 'limit_mph' => 30],
    ]]],
    'an exit too close' => ['series', ['pack' => 'gb', 'parts' => [
        ['tool' => 'join', 'slip_length_m' => 320, 'main_speed_mph' => 60, 'entry_speed_mph' => 39],
        ['tool' => 'leave', 'distance_m' => 90, 'slip_length_m' => 300],
    ]], '-close'],
    'whose turn' => ['priority', ['pack' => 'na', 'place' => 'all-way-stop', 'goes' => 'ahead', 'wait_s' => 4, 'vehicles' => [
        ['line' => 'right', 'goes' => 'ahead', 'wait_s' => 4], ['line' => 'opposite', 'goes' => 'ahead', 'wait_s' => 4],
    ]]],
    'four at once' => ['priority', ['pack' => 'na', 'place' => 'all-way-stop', 'vehicles' => [['line' => 'right'], ['line' => 'opposite'], ['line' => 'left']]],
        '-round'],
    'nobody’s by rule' => ['priority', ['pack' => 'gb', 'place' => 'unmarked', 'vehicles' => [['line' => 'right'], ['line' => 'opposite']]], '-unmarked'],
    'lights' => ['lights', ['pack' => 'gb', 'heads' => [['shows' => 'red'], ['arrow' => 'left', 'shows' => 'green']]]],
    'inside the lights' => ['lights', ['pack' => 'gb', 'stands' => 'inside', 'seen_to_stop' => true], '-inside'],
    'sight' => ['sight', ['pack' => 'gb', 'limit_mph' => 50, 'bend_radius_m' => 100, 'offset_m' => 3, 'bend_angle_deg' => 70]],
    'sight over a crest' => [
        'sight', ['pack' => 'gb', 'limit_mph' => 60, 'crest' => ['length_m' => 100, 'gradient_change' => 0.08]], '-crest',
    ],
    'sight past a lorry' => ['sight', ['pack' => 'gb', 'limit_mph' => 60, 'vehicle_ahead' => ['distance_m' => 20, 'width_m' => 2.5]], '-vehicle'],
    'clearance' => ['clearance', ['vehicle_height_m' => 4.0, 'sign_height_ft_in' => "13'9\""]],
    'lanes' => ['lanes', ['pack' => 'gb', 'layout' => 'roundabout', 'arms' => [
        [
            'name' => 'Ferry Rise', 'angle_deg' => 0,
            'approach_lanes' => [['to' => ['Gull Road', 'Skerry Way']], ['to' => ['Skerry Way', 'Mast Lane']]], 'exit_lanes' => 1,
        ],
        ['name' => 'Gull Road', 'angle_deg' => 90, 'approach_lanes' => [['to' => []]], 'exit_lanes' => 1],
        ['name' => 'Skerry Way', 'angle_deg' => 180, 'approach_lanes' => [['to' => []], ['to' => []]], 'exit_lanes' => 2],
        ['name' => 'Mast Lane', 'angle_deg' => 270, 'approach_lanes' => [['to' => []]], 'exit_lanes' => 1],
    ], 'from' => 'Ferry Rise', 'to' => 'Mast Lane', 'speed_mph' => 30, 'in_lane' => 1]],
]);
