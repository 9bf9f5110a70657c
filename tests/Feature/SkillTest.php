<?php

use App\Models\Learner;
use App\Models\Overruling;
use App\Models\SkillAnswer;
use App\School\CurrentSchool;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->school = $this->school();
    $this->instructor = $this->user($this->school);
    $this->at = $this->lesson($this->instructor);
    $this->actingAs($this->instructor);
    $this->learner = $this->at['learner']->id;
    // Rounds an hour ago, each with its marks as step => outcome.
    $this->drive = function (array $rounds, array $at, array $conditions = [], array $more = []): array {
        $said = ['rounds' => [], 'marks' => []];
        foreach ($rounds as $marks) {
            $round = (string) Str::uuid7();
            $said['rounds'][] = [
                'id' => $round, 'lesson_id' => $at['lesson']->id, 'place_id' => $at['place']->id, 'routine' => 'emerge-right',
                'conditions' => $conditions, 'device_at' => now()->subHour()->toIso8601ZuluString(),
            ];
            foreach ($marks as $step => $outcome) {
                $said['marks'][] = [
                    'id' => (string) Str::uuid7(), 'round_id' => $round, 'kind' => 'step', 'step' => $step, 'outcome' => $outcome,
                    'device_at' => now()->subHour()->toIso8601ZuluString(),
                ];
            }
            foreach ($more as $mark) {
                $said['marks'][] = ['id' => (string) Str::uuid7(), 'round_id' => $round, 'device_at' => now()->subHour()->toIso8601ZuluString(), ...$mark];
            }
        }
        $this->postJson('api/sync', $said)->assertOk();

        return $said;
    };
    $this->cell = fn (string $step = 'position'): ?array => collect(
        $this->getJson("api/learners/{$this->learner}/skill")->assertOk()->json('cells'),
    )->firstWhere('step', $step);
});

it('keeps an answer until the record changes: a new mark, a correction, a word of the instructor, a rating', function (): void {
    ($this->drive)([['position' => 'prompted']], $this->at);
    $first = ($this->cell)();
    $kept = json_decode((string) DB::table('skill_answers')->where('learner_id', $this->learner)->value('body'), true);
    $kept['cells'][0]['estimate'] = 0.123;
    DB::table('skill_answers')->where('learner_id', $this->learner)->update(['body' => json_encode($kept)]);
    expect(($this->cell)()['estimate'])->toBe(0.123);
    $said = ($this->drive)([['position' => 'unaided']], $this->at);
    $second = ($this->cell)();
    expect($second['evidence'])->toBe(2)->and($second['estimate'])->toBeGreaterThan($first['estimate']);
    $this->postJson(
        'api/sync',
        [
            'rounds' => [],
            'marks' => [
                [
                    'id' => (string) Str::uuid7(), 'round_id' => $said['rounds'][0]['id'], 'kind' => 'step', 'step' => 'position',
                    'outcome' => 'missed', 'corrects_id' => $said['marks'][0]['id'], 'device_at' => now()->toIso8601ZuluString(),
                ],
            ],
        ],
    )->assertOk();
    $third = ($this->cell)();
    expect($third['evidence'])->toBe(2)->and($third['estimate'])->toBeLessThan($second['estimate']);
    $marks = $this->getJson("api/learners/{$this->learner}/skill/emerge-right/position")->json('marks');
    expect(array_column($marks, 'was'))->toContain('unaided')->and($marks)->toHaveCount(2);
    $this->patchJson("api/lessons/{$this->at['lesson']->id}", ['self_rating' => ['position' => 'unaided']])->assertOk();
    expect($this->getJson("api/learners/{$this->learner}/skill")->json('own_ratings.0.leans'))->toBe('higher');
});

it('lets an instructor overrule with a reason, both kept, taken back only by who said it or the owner', function (): void {
    ($this->drive)([['position' => 'missed'], ['position' => 'missed']], $this->at);
    $alone = ($this->cell)()['estimate'];
    $word = ['routine' => 'emerge-right', 'step' => 'position', 'level' => 'nearly-always'];
    $this->postJson("api/learners/{$this->learner}/overrulings", $word)->assertUnprocessable()->assertJsonValidationErrors('reason');
    $this->postJson(
        "api/learners/{$this->learner}/overrulings", ['level' => 'splendid', 'reason' => 'x'] + $word,
    )->assertUnprocessable()->assertJsonValidationErrors('level');
    $this->postJson("api/learners/{$this->learner}/overrulings", ['routine' => 'hump', 'step' => 'signal', 'reason' => 'x'] + $word)->assertUnprocessable();
    $id = $this->postJson("api/learners/{$this->learner}/overrulings", $word + ['reason' => 'A lorry hid the line both times.'])->assertCreated()->json('id');
    $said = ($this->cell)();
    expect($said)->said->toBe('nearly-always')->estimate->toBeGreaterThan($alone + 0.3)->and($said['marks_alone'])->toEqualWithDelta($alone, 0.001);
    $this->actingAs($this->user($this->school))->patchJson("api/overrulings/{$id}", ['withdrawn' => true])->assertForbidden();
    $this->actingAs($this->user($this->school, 'owner'))->patchJson("api/overrulings/{$id}", ['withdrawn' => true])->assertOk();
    $kept = $this->getJson("api/learners/{$this->learner}/skill/emerge-right/position")->json('overrulings.0');
    expect(($this->cell)())
        ->said
        ->toBeNull()
        ->estimate
        ->toEqualWithDelta($alone, 0.001)
        ->and($kept['reason'])
        ->toBe('A lorry hid the line both times.')
        ->and($kept['withdrawn_at'])
        ->not
        ->toBeNull();
});

it('takes conditions with the round or beside it, refuses unknown ones by name, and counts the hours in them', function (): void {
    $said = ($this->drive)([['position' => 'prompted']], $this->at, ['traffic' => 'quiet', 'road' => 'town']);
    $quiet = ($this->cell)()['estimate'];
    $conditions = fn (array $what): array => [
        'rounds' => [],
        'marks' => [
            [
                'id' => (string) Str::uuid7(), 'round_id' => $said['rounds'][0]['id'], 'kind' => 'conditions',
                'device_at' => now()->toIso8601ZuluString(), ...$what,
            ],
        ],
    ];
    $this->postJson('api/sync', $conditions([]))->assertUnprocessable()->assertJsonValidationErrors('marks.0.conditions');
    $this->postJson(
        'api/sync', $conditions(['conditions' => ['traffic' => 'loud']]),
    )->assertUnprocessable()->assertJsonValidationErrors('marks.0.conditions.traffic');
    $this->postJson('api/sync', $conditions(['conditions' => ['traffic' => 'busy', 'light' => 'night']]))->assertOk();
    expect(($this->cell)()['estimate'])->toBeGreaterThan($quiet);
    $hours = $this->getJson("api/learners/{$this->learner}")->json('hours');
    expect($hours['minutes']['traffic']['busy'])->toEqual($hours['total'])->and($hours['minutes']['road']['not-noted'])->toEqual($hours['total']);
});

it('shows the marks behind what holds back, by step, section, routine or conditions', function (): void {
    ($this->drive)([['position' => 'missed', 'look' => 'unaided']], $this->at, ['traffic' => 'busy']);
    ($this->drive)([['position' => 'prompted']], $this->at, ['traffic' => 'quiet']);
    $marks = fn (string $asked): array => array_column($this->getJson("api/learners/{$this->learner}/marks?{$asked}")->assertOk()->json(), 'outcome');
    expect($marks(''))->toHaveCount(3)->and($marks('step=position&section=emerging'))->toEqualCanonicalizing(['missed', 'prompted'])
        ->and($marks('condition=busy'))
        ->toEqualCanonicalizing(['missed', 'unaided'])
        ->and($marks('routine=turn-left'))
        ->toBe([])
        ->and($marks('section=turning'))
        ->toBe([]);
    $this->getJson("api/learners/{$this->learner}/marks?condition=loud")->assertUnprocessable()->assertJsonValidationErrors('condition');
});

it('says what a lesson changed', function (): void {
    ($this->drive)([['position' => 'missed'], ['position' => 'missed', 'look' => 'unaided']], $this->at);
    $changed = $this->getJson("api/lessons/{$this->at['lesson']->id}/changed")->assertOk()->json();
    expect(array_column($changed, 'before'))->toBe([null, null])->and(array_column($changed, 'marks', 'step'))->toBe(['look' => 1, 'position' => 2]);
});

it('brings the records of a school up to date in the background, its own alone, and counts what stands', function (): void {
    $others = $this->user($this->school('Others'), 'owner');
    $their = $this->lesson($others);
    $this->actingAs($others);
    ($this->drive)(array_fill(0, 30, ['position' => 'missed', 'signal' => 'missed']), $their);
    $this->actingAs($this->instructor);
    // Ten rounds with a fault and its cause, ten without either; a taught round and a corrected mark say nothing.
    ($this->drive)(array_fill(0, 10, ['signal' => 'prompted', 'position' => 'missed']), $this->at);
    ($this->drive)(array_fill(0, 10, ['signal' => 'unaided', 'position' => 'unaided']), $this->at);
    ($this->drive)([['position' => 'missed']], $this->at, [], [['kind' => 'taught', 'taught' => 'shown']]);
    $said = ($this->drive)([['position' => 'missed']], $this->at);
    $this->postJson(
        'api/sync',
        [
            'rounds' => [],
            'marks' => [
                [
                    'id' => (string) Str::uuid7(), 'round_id' => $said['rounds'][0]['id'], 'kind' => 'step', 'corrects_id' => $said['marks'][0]['id'],
                    'withdrawn' => true, 'device_at' => now()->toIso8601ZuluString(),
                ],
            ],
        ],
    )->assertOk();

    $before = $this->getJson('api/school/learners')->assertOk()->json();
    expect($before['learners'])->toHaveCount(1)->and($before['learners'][0]['skill'])->toBeNull()->and($before['stale'])->toBe(1);
    $this->postJson('api/school/records')->assertOk()->assertJson(['stale' => 0, 'progress' => null, 'failed' => 0]);
    $after = $this->getJson('api/school/learners')->json('learners.0.skill');
    expect($after['marks'])
        ->toBe(40)
        ->and($after['average'])
        ->toBeGreaterThan(0.0)
        ->and(SkillAnswer::query()->count())
        ->toBe(1)
        ->and(DB::table('skill_answers')->count())
        ->toBe(1);
    // Nothing to do: no second batch. A new day makes every answer old.
    Bus::fake();
    $this->postJson('api/school/records')->assertOk();
    Bus::assertNothingBatched();
    $this->travel(1)->days();
    expect($this->getJson('api/school/learners')->json('stale'))->toBe(1);

    $teaching = $this->getJson('api/school/teaching')->assertOk()->json();
    $position = collect($teaching['failures'])->firstWhere('step', 'position');
    expect($position['helped'])->toMatchArray(['count' => 10, 'of' => 20])->and([
        $position['cause'], $position['with']['count'], $position['with']['of'], $position['without']['count'], $position['without']['of'],
    ])->toBe(['signal', 10, 10, 0, 10])
        ->and($teaching['places'])->toHaveCount(1)->and($teaching['places'][0]['failed'])->toMatchArray(['count' => 10, 'of' => 20])
        ->and(collect($teaching['routines'])->firstWhere('routine', 'emerge-right')['learners'])->toBe(1);
});

it('says what could not be worked out, and does not try it over and over', function (): void {
    ($this->drive)([['position' => 'missed']], $this->at);
    $broken = (string) Str::uuid7();
    DB::table('rounds')->insert([
        'id' => $broken, 'school_id' => $this->school->id, 'lesson_id' => $this->at['lesson']->id, 'place_id' => $this->at['place']->id,
        'routine' => 'unicycle', 'conditions' => '{}', 'device_at' => now(), 'began_at' => now(), 'server_at' => now(),
    ]);
    $this->postJson(
        'api/sync',
        [
            'rounds' => [],
            'marks' => [['id' => (string) Str::uuid7(), 'round_id' => $broken, 'kind' => 'held-back-rightly', 'device_at' => now()->toIso8601ZuluString()]],
        ],
    )->assertOk();
    config(['queue.default' => 'database']);
    $this->postJson('api/school/records')->assertOk()->assertJson(['stale' => 1, 'progress' => ['done' => 0, 'of' => 1], 'failed' => 0]);
    Artisan::call('queue:work', ['--stop-when-empty' => true, '--sleep' => 0, '--memory' => 1024]);
    $this->postJson('api/school/records')->assertOk()->assertJson(['stale' => 1, 'progress' => null, 'failed' => 1]);
    expect(DB::table('jobs')->count())->toBe(0);
    $this->travel(11)->minutes();
    $this->postJson('api/school/records')->assertOk()->assertJson(['progress' => ['done' => 0, 'of' => 1]]);
});

it('has nothing to say of learners with nothing to say of', function (): void {
    $this->getJson("api/learners/{$this->learner}/skill")->assertOk()->assertJson(['cells' => [], 'holds_back' => []]);
    $this->getJson("api/learners/{$this->learner}/skill/emerge-right/look")->assertOk()->assertExactJson(['history' => [], 'marks' => [], 'overrulings' => []]);
    $this->getJson("api/learners/{$this->learner}/skill/emerge-right/elbow")->assertNotFound();
    expect(Overruling::query()->count())->toBe(0)->and(Learner::query()->count())->toBe(1)->and(app(CurrentSchool::class)->id())->toBe($this->school->id);
});
