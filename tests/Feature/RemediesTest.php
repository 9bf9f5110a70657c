<?php

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Remedy;
use App\Models\Round;
use App\Privacy\Erasure;
use App\School\CurrentSchool;
use App\School\SchoolRemedies;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->instructor = $this->user($this->school());
    $this->at = $this->lesson($this->instructor);
    $this->actingAs($this->instructor);
    $this->lessonId = $this->at['lesson']->id;
    $this->give = fn (array $what) => $this->postJson("api/lessons/{$this->lessonId}/remedies", [
        'routine' => 'emerge-right', 'step' => 'position', 'fault' => 'wide', 'what' => 'remedy', ...$what,
    ]);
    /** Rounds of a lesson of somebody, each step clean or missed. */
    $this->drive = function (Learner $learner, int $day, array $rounds): Lesson {
        $lesson = new Lesson([
            'learner_id' => $learner->id, 'vehicle_id' => $this->at['vehicle']->id, 'minutes' => 60,
            'starts_at' => Carbon::parse('2026-03-01 10:00:00')->addDays($day), 'state' => 'done',
        ]);
        $lesson->instructor_id = $this->instructor->id;
        $lesson->save();
        foreach ($rounds as $i => $steps) {
            $at = $lesson->starts_at->copy()->addMinutes($i);
            $round = Round::query()->create([
                'id' => (string) Str::uuid7(), 'lesson_id' => $lesson->id, 'place_id' => null, 'routine' => 'emerge-right', 'conditions' => [],
                'device_at' => $at, 'began_at' => $at, 'server_at' => $at,
            ]);
            foreach ($steps as $step => $outcome) {
                (new Mark([
                    'id' => (string) Str::uuid7(), 'round_id' => $round->id, 'kind' => 'step', 'slot' => $step, 'step' => $step, 'outcome' => $outcome,
                    'out_of_order' => false, 'withdrawn' => false, 'user_id' => $this->instructor->id, 'device_at' => $at, 'pressed_at' => $at,
                    'server_at' => $at,
                ]))->save();
            }
        }

        return $lesson;
    };
});

it('notes a remedy or drill once in a lesson, for the step and the kind of fault, and takes it off again', function (): void {
    $given = ($this->give)([])->assertCreated()->json();
    expect(($this->give)([])->assertCreated()->json('id'))->toBe($given['id']);
    ($this->give)(['what' => 'drill'])->assertCreated();
    ($this->give)(['fault' => null])->assertCreated();
    expect($this->getJson("api/lessons/{$this->lessonId}")->json('remedies'))->toHaveCount(3);
    $this->deleteJson("api/remedies/{$given['id']}")->assertNoContent();
    expect($this->getJson("api/lessons/{$this->lessonId}")->json('remedies'))->toHaveCount(2);
    // Put back, or given anew: it is the same.
    $this->postJson("api/remedies/{$given['id']}/restore")->assertOk();
    $this->deleteJson("api/remedies/{$given['id']}")->assertNoContent();
    expect(($this->give)([])->assertCreated()->json('id'))->toBe($given['id'])
        ->and($this->getJson("api/lessons/{$this->lessonId}")->json('remedies'))->toHaveCount(3);
});

it('refuses what is no remedy for anything', function (array $what, string $field): void {
    ($this->give)($what)->assertUnprocessable()->assertJsonValidationErrors($field);
    expect(Remedy::query()->count())->toBe(0);
})->with([
    'a fault of another step' => [['fault' => 'left-on'], 'fault'], 'a step there is not' => [['step' => 'gear'], 'step'],
    'neither remedy nor drill' => [['what' => 'talk'], 'what'], 'no routine' => [['routine' => ''], 'routine'],
]);

it('says over learners whether a remedy helped, less what their other steps gained, and nothing from too few', function (): void {
    $clean = ['position' => 'unaided', 'signal' => 'unaided'];
    $wide = ['position' => 'missed', 'signal' => 'unaided'];
    for ($i = 0; $i < 6; $i++) {
        $learner = Learner::query()->create(['name' => "Learner {$i}", 'transmission' => 'manual', 'level' => 'developing']);
        ($this->drive)($learner, 0, [$wide, $wide, $wide, $clean]);
        // The lesson itself is left out, however it went.
        $lesson = ($this->drive)($learner, 7, array_fill(0, 6, $wide));
        ($this->drive)($learner, 14, [$clean, $clean, $clean, $i % 2 === 0 ? $clean : $wide]);
        $this->lessonId = $lesson->id;
        ($this->give)([])->assertCreated();
        $helped = $this->getJson('api/remedies/helped/position?fault=wide')->assertOk()->json('remedy');
        expect($helped['learners'])->toBe($i + 1);
        if ($i < 4) {
            expect($helped['change'])->toBeNull()->and($helped['message'])->toContain('not known yet');
        }
    }
    // From one in four to four in four or three in four; the signal was clean throughout.
    expect($helped['change'])->toEqualWithDelta(0.625, 0.001)->and($helped['low'])->toBeGreaterThan(0.5)->and($helped['high'])->toBeLessThan(0.75)
        ->and($helped['message'])->toStartWith('Helped: clean +63 in 100 more');
    // Neither another kind of fault nor the drill was given to anybody.
    expect($this->getJson('api/remedies/helped/position')->json('remedy.learners'))->toBe(0)
        ->and($this->getJson('api/remedies/helped/position?fault=wide')->json('drill.learners'))->toBe(0);
});

it('lists what was given in the school, what is known to help first, each with how many it was given to; nothing of another school', function (): void {
    $clean = ['position' => 'unaided', 'look' => 'unaided', 'signal' => 'unaided'];
    $missed = ['position' => 'missed', 'look' => 'missed', 'signal' => 'unaided'];
    for ($i = 0; $i < 5; $i++) {
        $learner = Learner::query()->create(['name' => "Learner {$i}", 'transmission' => 'manual', 'level' => 'developing']);
        ($this->drive)($learner, 0, array_fill(0, 4, $missed));
        $this->lessonId = ($this->drive)($learner, 7, [$missed])->id;
        // Position gets better with everybody, the look with one.
        ($this->drive)($learner, 14, array_fill(0, 4, $i === 0 ? $clean : ['look' => 'missed'] + $clean));
        ($this->give)([])->assertCreated();
        ($this->give)(['step' => 'look', 'fault' => null])->assertCreated();
        if ($i < 2) {
            ($this->give)(['what' => 'drill'])->assertCreated();
        }
    }
    $told = $this->getJson('api/school/remedies')->assertOk()->json();
    expect(array_map(static fn (array $one): array => [$one['step'], $one['fault'], $one['what'], $one['given_to']], $told))->toBe([
        ['position', 'wide', 'remedy', 5], ['look', null, 'remedy', 5], ['position', 'wide', 'drill', 2],
    ])->and($told[0]['effect'])->toEqual($this->getJson('api/remedies/helped/position?fault=wide')->json('remedy'))
        ->and($told[2]['effect'])->toMatchArray(['learners' => 2, 'change' => null]);
    $this->flushSession();
    $this->actingAs($this->user($this->school(), role: 'owner'))->getJson('api/school/remedies')->assertOk()->assertExactJson([]);
});

it('reads what was given and the marks after it once, however many kinds of fault there are', function (): void {
    $queries = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->app->make(SchoolRemedies::class)->told();

        return count(DB::getQueryLog());
    };
    $learner = $this->at['learner'];
    ($this->drive)($learner, 0, array_fill(0, 4, ['position' => 'missed', 'signal' => 'missed']));
    $this->lessonId = ($this->drive)($learner, 7, [['position' => 'missed']])->id;
    ($this->give)([])->assertCreated();
    $within = fn (): int => $this->app->make(CurrentSchool::class)->within($this->instructor->school, $queries);
    $of = $within();
    foreach ([['position', null], ['look', null], ['signal', 'late'], ['signal', null], ['speed', null]] as [$step, $fault]) {
        ($this->give)(['step' => $step, 'fault' => $fault])->assertCreated();
    }
    expect($within())->toBe($of);
});

it('leaves out what was shown or talked through, unless that was taken back', function (): void {
    $learner = $this->at['learner'];
    ($this->drive)($learner, 0, array_fill(0, 4, ['position' => 'missed']));
    $this->lessonId = ($this->drive)($learner, 7, [['position' => 'missed']])->id;
    ($this->give)([])->assertCreated();
    $after = ($this->drive)($learner, 14, array_fill(0, 3, ['position' => 'unaided']));
    $learners = fn (): int => $this->getJson('api/remedies/helped/position?fault=wide')->assertOk()->json('remedy.learners');
    expect($learners())->toBe(1);
    $taught = [
        'id' => (string) Str::uuid7(), 'round_id' => $after->rounds()->value('id'), 'kind' => 'taught', 'taught' => 'shown',
        'device_at' => now()->toIso8601ZuluString(),
    ];
    $this->postJson('api/sync', ['rounds' => [], 'marks' => [$taught]])->assertOk();
    // Two rounds are left: too few.
    expect($learners())->toBe(0);
    $back = ['id' => (string) Str::uuid7(), 'corrects_id' => $taught['id'], 'withdrawn' => true, 'taught' => null] + $taught;
    $this->postJson('api/sync', ['rounds' => [], 'marks' => [$back]])->assertOk();
    expect($learners())->toBe(1);
});

it('begins a debrief with the aim: its rounds in order, how many were clean, and what needs help of it first', function (): void {
    $missed = ['position' => 'missed', 'look' => 'intervened'];
    $lesson = ($this->drive)($this->at['learner'], 0, [$missed, ['position' => 'unaided', 'look' => 'intervened'], ['look' => 'unaided']]);
    $rounds = Round::query()->where('lesson_id', $lesson->id)->orderBy('began_at')->pluck('id')->all();
    $page = $this->getJson("api/lessons/{$lesson->id}")->json();
    expect([$page['works_on'], $page['debrief']['fault']['step'], $page['debrief']['of_the_aim'], $page['debrief']['aim_rounds']])
        ->toBe([null, 'look', false, []]);
    $page = $this->patchJson("api/lessons/{$lesson->id}", ['aim_routine' => 'emerge-right', 'aim_step' => 'position'])->assertOk()->json();
    expect($page['works_on'])->toBe(['routine' => 'emerge-right', 'step' => 'position'])->and($page['debrief']['fault']['step'])->toBe('position')
        ->and([$page['debrief']['of_the_aim'], $page['debrief']['aim_rounds'], $page['debrief']['aim_clean']])->toBe([true, array_slice($rounds, 0, 2), 1])
        ->and([$page['debrief']['fault']['rounds'], $page['debrief']['fault']['of']])->toBe([1, 2]);
    // Where the aim went well, the rest is said.
    $page = $this->patchJson("api/lessons/{$lesson->id}", ['aim_routine' => 'turn-left', 'aim_step' => null])->json();
    expect([$page['debrief']['fault']['step'], $page['debrief']['of_the_aim'], $page['debrief']['aim_rounds']])->toBe(['look', false, []]);
    $this->patchJson("api/lessons/{$lesson->id}", ['aim_step' => 'gear'])->assertUnprocessable()->assertJsonValidationErrors('aim_step');
});

it('keeps remedies with what is kept of a learner, and lets them go with the learner', function (): void {
    ($this->give)([])->assertCreated();
    $owner = $this->user($this->instructor->school, role: 'owner');
    $kept = $this->actingAs($owner)->getJson("api/learners/{$this->at['learner']->id}/data")->assertOk()->json('remedies');
    expect($kept)->toHaveCount(1)->and($kept[0])->toMatchArray(['step' => 'position', 'fault' => 'wide', 'what' => 'remedy']);
    Erasure::of($this->at['learner']);
    expect(Remedy::withTrashed()->count())->toBe(0);
});
