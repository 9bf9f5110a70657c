<?php

use App\Models\Mark;
use App\Models\Round;
use App\Privacy\Erasure;
use Illuminate\Support\Str;

/** Right decisions, counts by the key, stages of a step, and rounds told of a moment. */
beforeEach(function (): void {
    $this->instructor = $this->user($this->school());
    $this->at = $this->lesson($this->instructor);
    $this->actingAs($this->instructor);
    $this->round = fn (array $what = []): array => [
        'id' => (string) Str::uuid7(), 'lesson_id' => $this->at['lesson']->id, 'place_id' => null, 'routine' => 'emerge-right',
        'device_at' => '2026-05-20T10:00:00.250Z', ...$what,
    ];
    $this->mark = fn (array $round, array $what): array => [
        'id' => (string) Str::uuid7(), 'round_id' => $round['id'], 'device_at' => '2026-05-20T10:02:00.500Z', ...$what,
    ];
    $this->send = fn (array $rounds, array $marks) => $this->postJson('api/sync', ['rounds' => $rounds, 'marks' => $marks]);
    $this->record = fn (): array => $this->getJson("api/learners/{$this->at['learner']->id}")->assertOk()->json('tallies');
});

it('takes each right decision once, and lets holding back count as a look whichever way it was said', function (): void {
    $round = ($this->round)();
    $held = ($this->mark)($round, ['kind' => 'decision', 'decision' => 'held-back-rightly']);
    $old = ($this->mark)($round, ['kind' => 'held-back-rightly', 'device_at' => '2026-05-20T10:02:01Z']);
    $letGo = ($this->mark)($round, ['kind' => 'decision', 'decision' => 'let-go']);
    ($this->send)([$round], [$held, $old, $letGo])->assertOk();
    expect(Mark::query()->orderBy('slot')->pluck('slot')->all())->toBe(['decision let-go', 'held-back-rightly', 'held-back-rightly']);
    $look = collect(($this->record)())->firstWhere(fn (array $one): bool => $one['routine'] === 'emerge-right' && $one['step'] === 'look');
    expect($look['counts']['unaided'])->toBe(1);
    $behind = $this->getJson("api/learners/{$this->at['learner']->id}/skill/emerge-right/look")->json('marks');
    expect($behind)->toHaveCount(1)->and($behind[0]['held_back'])->toBeTrue();
    // One way of saying it takes the other back.
    ($this->send)([], [($this->mark)($round, ['kind' => 'decision', 'corrects_id' => $old['id'], 'withdrawn' => true])])->assertOk();
    expect(($this->record)())->toBe([]);
});

it('says of a step that was marked in several stages what it comes to, in every view the same', function (): void {
    $round = ($this->round)(['routine' => 'pull-up-right']);
    $marks = array_map(fn (array $one): array => ($this->mark)($round, ['kind' => 'step', 'step' => 'look', ...$one]), [
        ['outcome' => 'unaided'], ['outcome' => 'missed', 'stage' => 'move-off', 'fault' => 'late'], ['outcome' => 'reminded', 'stage' => 'rejoin'],
    ]);
    ($this->send)([$round], $marks)->assertOk();
    $look = collect(($this->record)())->firstWhere(fn (array $one): bool => $one['routine'] === 'pull-up-right' && $one['step'] === 'look');
    expect([$look['marked'], $look['counts']['missed']])->toBe([1, 1]);
    $behind = $this->getJson("api/learners/{$this->at['learner']->id}/skill/pull-up-right/look")->json('marks');
    expect(array_column($behind, 'outcome'))->toBe(['missed']);
    $school = collect((new App\School\DrivenRounds($this->instructor->school_id))->steps())->firstWhere('step', 'look');
    expect([$school['marks'], $school['helped']])->toBe([1, 1]);
});

it('counts rear looks, the gap ahead and the gaps of a junction, and says what they come to', function (): void {
    $all = ($this->round)(['routine' => 'between-hazards']);
    $junction = ($this->round)();
    $count = fn (array $round, string $what, int $number, float $seconds): array => ($this->mark)(
        $round, ['kind' => 'count', 'what' => $what, 'number' => $number, 'seconds' => $seconds],
    );
    $marks = [
        $count($all, 'rear-looks', 6, 120.0), $count($all, 'rear-looks', 4, 60.5), $count($all, 'counted-gap', 2, 1.4), $count($all, 'counted-gap', 2, 2.6),
        $count($junction, 'gaps-let-go', 2, 4.1), $count($junction, 'gaps-let-go', 1, 8.2), $count($junction, 'gap-taken', 1, 9.4),
    ];
    ($this->send)([$all, $junction], $marks)->assertOk();
    // The same again is known: seconds come back as they were said.
    ($this->send)([$all, $junction], $marks)->assertOk();
    $habits = $this->getJson("api/learners/{$this->at['learner']->id}/habits")->assertOk()->json();
    expect($habits['lessons'])->toHaveCount(1)->and($habits['lessons'][0]['rear_looks'])->toMatchArray(['number' => 10, 'seconds' => 180.5])
        ->and($habits['lessons'][0]['rear_looks']['a_minute'])->toEqualWithDelta(3.32, 0.01)
        ->and([$habits['lessons'][0]['ahead_s'], $habits['lessons'][0]['short']])->toBe([[1.4, 2.6], 1])
        ->and($habits['change']['more'])->toBeNull();
    $gaps = $habits['junctions'][0];
    // What a gap must be is the core's own figure, as the bench shows it.
    $needed = $this->postJson('api/compute/gap', ['pack' => 'gb', 'manoeuvre' => 'emerge-right', 'other_distance_m' => 200, 'other_speed_mph' => 30])
        ->json('critical_gap_s');
    expect([$gaps['routine'], $gaps['let_go'], $gaps['taken'], $gaps['needed_s']])->toBe(['emerge-right', 3, 1, $needed])
        ->and($gaps['would_have_done'])->toBe($needed <= 8.2 ? 1 : 0)->and($gaps['threshold']['gaps'])->toBe(4);
    // A count says nothing of any step.
    expect(($this->record)())->toBe([]);
});

it('keeps of which moment a round was told', function (): void {
    [$driven, $told] = [($this->round)(), ($this->round)(['routine' => 'pass-bus'])];
    $moment = ($this->mark)($driven, ['kind' => 'moment']);
    $told['moment_id'] = $moment['id'];
    $gone = ($this->mark)($driven, ['kind' => 'moment', 'corrects_id' => $moment['id'], 'withdrawn' => true]);
    $said = ($this->mark)($told, ['kind' => 'step', 'step' => 'position', 'outcome' => 'missed']);
    ($this->send)([$driven, $told], [$moment, $gone, $said])->assertOk();
    $rounds = collect($this->getJson("api/lessons/{$this->at['lesson']->id}")->json('rounds'));
    expect($rounds->firstWhere('id', $told['id']))->toMatchArray(['moment_id' => $moment['id'], 'ordinal' => 1])
        ->and($rounds->firstWhere('id', $driven['id'])['ordinal'])->toBeNull();
});

it('refuses by field what a mark of that kind cannot say', function (array $what, string $field): void {
    ($this->send)([$round = ($this->round)()], [($this->mark)($round, $what)])->assertUnprocessable()->assertJsonValidationErrors("marks.0.{$field}");
    expect(Round::query()->count())->toBe(0);
})->with([
    'a decision that says none' => [['kind' => 'decision'], 'decision'],
    'one there is not' => [['kind' => 'decision', 'decision' => 'waved'], 'decision'],
    'a decision beside a step' => [['kind' => 'step', 'step' => 'look', 'outcome' => 'unaided', 'decision' => 'let-go'], 'decision'],
    'a count of nothing' => [['kind' => 'count', 'number' => 3, 'seconds' => 60], 'what'],
    'a count without its number' => [['kind' => 'count', 'what' => 'rear-looks', 'seconds' => 60], 'number'],
    'a count without its seconds' => [['kind' => 'count', 'what' => 'rear-looks', 'number' => 3], 'seconds'],
    'a count over no time' => [['kind' => 'count', 'what' => 'wait', 'number' => 1, 'seconds' => 0], 'seconds'],
    'fewer than none' => [['kind' => 'count', 'what' => 'rear-looks', 'number' => -1, 'seconds' => 60], 'number'],
    'seconds of a moment' => [['kind' => 'moment', 'seconds' => 4], 'seconds'],
    'the stage of a decision' => [['kind' => 'decision', 'decision' => 'let-go', 'stage' => 'rejoin'], 'stage'],
    'a stage there is not' => [['kind' => 'step', 'step' => 'look', 'outcome' => 'unaided', 'stage' => 'third'], 'stage'],
]);

it('refuses a correction that speaks of another stage or decision', function (array $first, array $second): void {
    $round = ($this->round)();
    $was = ($this->mark)($round, $first);
    ($this->send)([$round], [$was])->assertOk();
    ($this->send)([], [($this->mark)($round, ['corrects_id' => $was['id'], ...$second])])->assertUnprocessable()->assertJsonValidationErrors('marks');
})->with([
    'another stage' => [
        ['kind' => 'step', 'step' => 'look', 'outcome' => 'unaided'], ['kind' => 'step', 'step' => 'look', 'outcome' => 'missed', 'stage' => 'rejoin'],
    ],
    'another decision' => [['kind' => 'decision', 'decision' => 'let-go'], ['kind' => 'decision', 'decision' => 'declined']],
    'a count of a moment' => [['kind' => 'moment'], ['kind' => 'count', 'what' => 'wait', 'number' => 1, 'seconds' => 3]],
]);

it('takes the word of where away with the learner it may name, and nothing else of a round', function (): void {
    $round = ($this->round)(['elsewhere' => 'by her grandmother’s']);
    $said = ($this->mark)($round, ['kind' => 'decision', 'decision' => 'let-go']);
    ($this->send)([$round], [$said])->assertOk();
    expect(fn () => Round::query()->toBase()->update(['elsewhere' => null]))->toThrow(Illuminate\Database\QueryException::class, 'append-only');
    Erasure::of($this->at['learner']);
    expect(Round::query()->sole()->elsewhere)->toBeNull()->and(Round::query()->sole()->routine)->toBe('emerge-right')
        ->and(fn () => Round::query()->toBase()->update(['routine' => 'cross']))->toThrow(Illuminate\Database\QueryException::class, 'append-only');
    // What waited on a device arrives without it.
    ($this->send)([$late = ($this->round)(['elsewhere' => 'at her door'])], [($this->mark)($late, ['kind' => 'moment'])])->assertOk();
    expect(Round::query()->findOrFail($late['id'])->elsewhere)->toBeNull();
});

it('reminds on Today of the moments that nobody has told, until they are told or forgotten', function (): void {
    $round = ($this->round)();
    $moments = array_map(fn (int $i): array => ($this->mark)($round, ['kind' => 'moment', 'device_at' => "2026-05-20T10:02:0{$i}Z"]), [1, 2]);
    $this->at['lesson']->update(['starts_at' => now()->subHours(3)]);
    ($this->send)([$round], $moments)->assertOk();
    $untold = fn (): array => array_map(
        static fn (array $one): array => [$one['lesson'], $one['moments']], $this->getJson('api/today')->assertOk()->json('untold'),
    );
    expect($untold())->toBe([[$this->at['lesson']->id, 2]]);
    // A colleague has nothing to tell of it.
    $this->actingAs($this->user($this->instructor->school));
    expect($untold())->toBe([]);
    $this->actingAs($this->instructor);
    ($this->send)([], [($this->mark)($round, ['kind' => 'moment', 'corrects_id' => $moments[0]['id'], 'withdrawn' => true])])->assertOk();
    expect($untold())->toBe([[$this->at['lesson']->id, 1]]);
    $this->at['lesson']->update(['starts_at' => now()->subDays(20)]);
    expect($untold())->toBe([]);
});
