<?php

use App\Models\Mark;
use App\Models\Round;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->instructor = $this->user($this->school());
    $this->at = $this->lesson($this->instructor);
    $this->actingAs($this->instructor);
    $this->roundId = (string) Str::uuid7();
    $this->round = [
        'id' => $this->roundId, 'lesson_id' => $this->at['lesson']->id, 'place_id' => $this->at['place']->id, 'routine' => 'emerge-right',
        'device_at' => '2026-05-20T10:00:00.250Z',
    ];
    $this->mark = fn (array $what = []): array => [
        'id' => (string) Str::uuid7(), 'round_id' => $this->roundId, 'kind' => 'step', 'step' => 'position', 'outcome' => 'prompted',
        'device_at' => '2026-05-20T10:02:00.500Z', ...$what,
    ];
});

it('takes a batch in, and the same batch again changes nothing', function (): void {
    $batch = ['rounds' => [$this->round], 'marks' => [($this->mark)(), ($this->mark)(['step' => 'look', 'outcome' => 'unaided'])]];
    $first = $this->postJson('api/sync', $batch)->assertOk()->json();
    $before = DB::table('marks')->orderBy('id')->get();
    expect($this->postJson('api/sync', $batch)->assertOk()->json())->toBe($first)
        ->and(DB::table('marks')->orderBy('id')->get())->toEqual($before)
        ->and(Round::query()->count())->toBe(1);
    $lesson = $this->getJson("api/lessons/{$this->at['lesson']->id}")->json();
    expect($lesson['rounds'][0]['marks'])->toHaveCount(2)
        ->and($lesson['rounds'][0]['marks'][0]['device_at'])->toBe('2026-05-20T10:02:00.500Z')
        ->and($lesson['debrief']['fault']['step'])->toBe('position')
        ->and($lesson['debrief']['fault']['cause_step'])->toBe('signal');
});

it('refuses an id that comes back with another content', function (): void {
    $mark = ($this->mark)();
    $this->postJson('api/sync', ['rounds' => [$this->round], 'marks' => [$mark]])->assertOk();
    $this->postJson('api/sync', ['rounds' => [], 'marks' => [['outcome' => 'unaided'] + $mark]])->assertUnprocessable()->assertJsonValidationErrors('marks');
    expect(Mark::query()->sole()->outcome)->toBe('prompted');
});

it('keeps a correction beside the original, and counts what stands', function (): void {
    $wrong = ($this->mark)();
    $right = ($this->mark)(['outcome' => 'unaided', 'corrects_id' => $wrong['id']]);
    $gone = ($this->mark)(['step' => 'look']);
    // A withdrawal need not repeat what it withdraws.
    $withdrawn = ($this->mark)(['step' => null, 'outcome' => null, 'corrects_id' => $gone['id'], 'withdrawn' => true]);
    $this->postJson('api/sync', ['rounds' => [$this->round], 'marks' => [$wrong, $right, $gone, $withdrawn]])->assertOk();
    expect(Mark::query()->count())->toBe(4);
    $record = $this->getJson("api/learners/{$this->at['learner']->id}")->json('tallies');
    $cell = fn (string $step): array => collect($record)->firstWhere(
        fn (array $tally): bool => $tally['routine'] === 'emerge-right' && $tally['step'] === $step,
    );
    expect($cell('position')['counts']['unaided'])->toBe(1)->and($cell('position')['marked'])->toBe(1)->and($cell('look')['marked'])->toBe(0);
});

it('lets nobody change or remove what was logged, not even past the application', function (string $table): void {
    $this->postJson('api/sync', ['rounds' => [$this->round], 'marks' => [($this->mark)()]])->assertOk();
    expect(fn () => DB::table($table)->update(['device_at' => now()]))->toThrow(QueryException::class, 'append-only')
        ->and(fn () => DB::table($table)->delete())->toThrow(QueryException::class, 'append-only');
})->with(['marks', 'rounds']);

it('refuses marks that say nothing or too much, by field', function (array $what, string $field): void {
    $this->postJson('api/sync', ['rounds' => [$this->round], 'marks' => [($this->mark)($what)]])->assertUnprocessable()->assertJsonValidationErrors($field);
    expect(Mark::query()->count())->toBe(0);
})->with([
    [['outcome' => null], 'marks.0.outcome'],
    [['step' => null], 'marks.0.step'],
    [['step' => 'gear'], 'marks.0.step'],
    [['outcome' => 'brilliant'], 'marks.0.outcome'],
    [['kind' => 'taught', 'step' => null, 'outcome' => null], 'marks.0.taught'],
    [['kind' => 'held-back-rightly'], 'marks.0.outcome'],
    [['taught' => 'shown'], 'marks.0.taught'],
    [['withdrawn' => true, 'outcome' => null], 'marks.0.corrects_id'],
    [['device_at' => 'yesterday-ish'], 'marks.0.device_at'],
    [['id' => '1'], 'marks.0.id'],
    [['note' => str_repeat('x', 301)], 'marks.0.note'],
]);

it('refuses a fault of another step, of no step, and a hand of ours that was no outcome', function (array $what, string $field): void {
    $this->postJson('api/sync', ['rounds' => [$this->round], 'marks' => [($this->mark)($what)]])->assertUnprocessable()
        ->assertJsonValidationErrors("marks.0.{$field}");
    expect(Mark::query()->count())->toBe(0);
})->with([
    'of another step' => [['fault' => 'left-on'], 'fault'],
    'none there is' => [['fault' => 'sloppy'], 'fault'],
    'beside a moment' => [['kind' => 'moment', 'step' => null, 'outcome' => null, 'fault' => 'late'], 'fault'],
    'an effect of a decision' => [['kind' => 'held-back-rightly', 'step' => null, 'outcome' => null, 'effect' => 'nobody'], 'effect'],
    'stepped in, yet prompted' => [['effect' => 'intervened'], 'effect'],
    'an effect there is not' => [['effect' => 'everybody'], 'effect'],
]);

it('takes all of a batch or nothing', function (): void {
    $this->postJson(
        'api/sync', ['rounds' => [$this->round], 'marks' => [($this->mark)(), ($this->mark)(['round_id' => (string) Str::uuid7()])]],
    )->assertUnprocessable();
    expect(Round::query()->count())->toBe(0)->and(Mark::query()->count())->toBe(0);
});

it('keeps with a round the plan it was driven against, and takes one that has none', function (): void {
    $plan = $this->postJson("api/lessons/{$this->at['lesson']->id}/items", ['place_id' => $this->at['place']->id])->assertCreated()->json('plan');
    $old = ['id' => (string) Str::uuid7()] + $this->round;
    $batch = ['rounds' => [['plan' => $plan] + $this->round, $old], 'marks' => []];
    $this->postJson('api/sync', $batch)->assertOk();
    expect(Round::query()->findOrFail($this->roundId)->plan)->toBe($plan)->and(Round::query()->findOrFail($old['id'])->plan)->toBeNull();
    // The same again is known; another plan for it is not.
    $this->postJson('api/sync', $batch)->assertOk();
    $this->postJson(
        'api/sync', ['rounds' => [['plan' => ['version' => '9.9.9'] + $plan] + $this->round], 'marks' => []],
    )->assertUnprocessable()->assertJsonValidationErrors('rounds');
    // A plan of a tool that is gone is kept as it is: a round is never refused for what it was driven against.
    $gone = ['id' => (string) Str::uuid7(), 'plan' => ['tool' => 'crystal-ball', 'inputs' => ['x' => 1], 'version' => '0.0.1']] + $this->round;
    $this->postJson('api/sync', ['rounds' => [$gone], 'marks' => []])->assertOk();
    foreach ([['tool' => 'approach'], ['tool' => 'approach', 'inputs' => ['x' => str_repeat('y', 20_000)], 'version' => '1'], ['tool' => 'approach',
        'inputs' => [], 'version' => '1', 'more' => 1]] as $bad) {
        $this->postJson('api/sync', ['rounds' => [['id' => (string) Str::uuid7(), 'plan' => $bad] + $this->round], 'marks' => []])->assertUnprocessable();
    }
});

it('keeps which kind of fault it was and what it did to others, and finds both again in the lesson and the record', function (): void {
    $first = ($this->mark)(['outcome' => 'missed', 'fault' => 'wide', 'effect' => 'affected']);
    $corrected = ($this->mark)(['outcome' => 'missed', 'fault' => 'cut', 'effect' => 'potential', 'corrects_id' => $first['id']]);
    $unsaid = ($this->mark)(['step' => 'look', 'outcome' => 'unaided']);
    $this->postJson('api/sync', ['rounds' => [$this->round], 'marks' => [$first, $corrected, $unsaid]])->assertOk();
    $marks = $this->getJson("api/lessons/{$this->at['lesson']->id}")->json('rounds.0.marks');
    expect(array_column($marks, 'fault'))->toBe(['wide', null, 'cut'])->and(array_column($marks, 'effect'))->toBe(['affected', null, 'potential']);
    $skill = $this->getJson("api/learners/{$this->at['learner']->id}/skill")->assertOk()->json();
    expect($skill['faults'])->toHaveCount(1)->and($skill['faults'][0])->toMatchArray([
        'routine' => 'emerge-right', 'step' => 'position', 'fault' => 'cut', 'side' => 'right', 'count' => 1, 'rounds' => 1, 'worst_effect' => 'potential',
    ]);
    // The same id with another fault is another content.
    $this->postJson('api/sync', ['rounds' => [], 'marks' => [['fault' => 'too-near'] + $first]])->assertUnprocessable();
});

it('counts a step that others had to answer as failed at its place, however it was done', function (): void {
    $owner = $this->user($this->instructor->school, role: 'owner');
    $this->postJson('api/sync', ['rounds' => [$this->round], 'marks' => [($this->mark)(['outcome' => 'unaided', 'effect' => 'affected'])]])->assertOk();
    $this->actingAs($owner);
    $places = $this->getJson('api/school/teaching')->assertOk()->json('places');
    expect($places)->toHaveCount(1)->and([$places[0]['failed']['count'], $places[0]['failed']['of']])->toBe([1, 1]);
});

it('takes a round that needs no place, with a word of where, and a place that is said afterwards', function (): void {
    $round = ['place_id' => null, 'elsewhere' => 'by the quay', 'routine' => 'gear-change', 'side' => null] + $this->round;
    $this->postJson('api/sync', ['rounds' => [$round], 'marks' => [($this->mark)(['step' => 'speed', 'outcome' => 'unaided'])]])->assertOk();
    $lesson = fn (): array => $this->getJson("api/lessons/{$this->at['lesson']->id}")->assertOk()->json('rounds.0');
    expect($lesson())->toMatchArray(['place_id' => null, 'elsewhere' => 'by the quay', 'place' => 'by the quay', 'routine' => 'gear-change']);
    // Said afterwards: nothing of the round is changed, and it stands in all that is counted by place.
    $place = ($this->mark)(['kind' => 'place', 'step' => null, 'outcome' => null, 'place_id' => $this->at['place']->id]);
    $this->postJson('api/sync', ['rounds' => [], 'marks' => [$place]])->assertOk();
    expect($lesson())->toMatchArray(['place_id' => null, 'place' => $this->at['place']->name]);
    $this->actingAs($this->user($this->instructor->school, role: 'owner'));
    expect($this->getJson('api/school/teaching')->json('places.0.place'))->toBe($this->at['place']->id);
});

it('leaves a round without any place out of what is said of places, and in what is said of steps', function (): void {
    $round = ['place_id' => null, 'routine' => 'gear-change'] + $this->round;
    $this->postJson('api/sync', ['rounds' => [$round], 'marks' => [($this->mark)(['step' => 'speed', 'outcome' => 'missed'])]])->assertOk();
    $cells = $this->getJson("api/learners/{$this->at['learner']->id}/skill")->assertOk()->json('cells');
    expect(array_column($cells, 'routine'))->toBe(['gear-change']);
    $this->actingAs($this->user($this->instructor->school, role: 'owner'));
    expect($this->getJson('api/school/teaching')->assertOk()->json('places'))->toBe([]);
});

it('refuses a place of nobody or of others, and a place beside a step', function (array $round, array $mark, string $field): void {
    $theirs = $this->lesson($this->user($this->school('Theirs')))['place']->id;
    $put = static fn (array $said): array => array_map(static fn (mixed $value): mixed => $value === 'theirs' ? $theirs : $value, $said);
    $this->actingAs($this->instructor);
    $this->postJson('api/sync', ['rounds' => [$put($round) + $this->round], 'marks' => [($this->mark)($put($mark))]])->assertUnprocessable()
        ->assertJsonValidationErrors($field);
})->with([
    'a round at a place of another school' => [['place_id' => 'theirs'], [], 'rounds.0.place_id'],
    'a place of another school afterwards' => [[], ['kind' => 'place', 'step' => null, 'outcome' => null, 'place_id' => 'theirs'], 'marks.0.place_id'],
    'no place in a mark of the place' => [[], ['kind' => 'place', 'step' => null, 'outcome' => null], 'marks.0.place_id'],
    'a word too long' => [['elsewhere' => str_repeat('x', 121)], [], 'rounds.0.elsewhere'],
]);

it('can mark every routine of every pack without a place, finds it in the record, and lets it be left again', function (string $pack): void {
    $learner = $this->at['learner'];
    $learner->update(['pack' => $pack]);
    $codes = NobleTurn\Core\Routine\Catalogue\Catalogue::all(NobleTurn\Core\Rules\RulePacks::byCode($pack));
    $rounds = $marks = [];
    foreach ($codes as $i => $routine) {
        $id = (string) Str::uuid7();
        $step = collect(NobleTurn\Core\Trade\Step::cases())->first($routine->has(...))->value;
        $rounds[] = ['id' => $id, 'place_id' => null, 'routine' => $routine->code->value] + $this->round;
        $marks[] = ($this->mark)(['round_id' => $id, 'step' => $step, 'outcome' => 'unaided']);
    }
    $this->postJson('api/sync', ['rounds' => $rounds, 'marks' => $marks])->assertOk();
    $skill = fn (): array => $this->getJson("api/learners/{$learner->id}/skill")->assertOk()->json();
    expect(collect($skill()['cells'])->pluck('routine')->sort()->values()->all())->toBe(collect($rounds)->pluck('routine')->sort()->values()->all())
        ->and($skill()['never_done'])->toBe([]);
    $gone = array_map(fn (array $mark): array => ($this->mark)([
        'round_id' => $mark['round_id'], 'step' => null, 'outcome' => null, 'corrects_id' => $mark['id'], 'withdrawn' => true,
    ]), $marks);
    $this->postJson('api/sync', ['rounds' => [], 'marks' => $gone])->assertOk();
    expect($skill()['cells'])->toBe([]);
})->with(['gb', 'ie', 'na']);
