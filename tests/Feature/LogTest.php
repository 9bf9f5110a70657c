<?php

use App\Marks\MarksBehind;
use App\Marks\StandingMarks;
use App\Models\Mark;
use App\Models\Round;
use App\Models\SkillAnswer;
use App\School\DrivenRounds;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use NobleTurn\Core\Record\Tally;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

beforeEach(function (): void {
    $this->school = $this->school();
    $this->instructor = $this->user($this->school, 'owner');
    $this->at = $this->lesson($this->instructor);
    $this->actingAs($this->instructor);
    $this->travelTo(Carbon::parse('2026-05-20T10:30:00Z'));
    $this->round = [
        'id' => (string) Str::uuid7(), 'lesson_id' => $this->at['lesson']->id, 'place_id' => $this->at['place']->id, 'routine' => 'emerge-right',
        'device_at' => '2026-05-20T10:00:00.250Z',
    ];
    $this->mark = fn (array $what = []): array => [
        'id' => (string) Str::uuid7(), 'round_id' => $this->round['id'], 'kind' => 'step', 'step' => 'position', 'outcome' => 'prompted',
        'device_at' => '2026-05-20T10:02:00.500Z', ...$what,
    ];
    $this->sync = fn (array $marks, array $rounds = [], array $more = []) => $this->postJson('api/sync', ['rounds' => $rounds, 'marks' => $marks, ...$more]);
    $this->rounds = fn (): array => $this->getJson("api/lessons/{$this->at['lesson']->id}")->assertOk()->json('rounds');
    $this->counted = fn (string $step = 'position'): ?array => collect(
        $this->getJson("api/learners/{$this->at['learner']->id}")->json('tallies'),
    )->firstWhere('step', $step);
});

it('keeps both corrections of one mark and says which stands, whichever arrives first', function (array $order): void {
    $first = ($this->mark)(['outcome' => 'missed']);
    ($this->sync)([$first], [$this->round])->assertOk()->assertJsonPath('stands', []);
    $two = [
        'early' => ($this->mark)(['outcome' => 'reminded', 'corrects_id' => $first['id'], 'device_at' => '2026-05-20T10:03:00Z']),
        'late' => ($this->mark)(['outcome' => 'unaided', 'corrects_id' => $first['id'], 'device_at' => '2026-05-20T10:04:00Z']),
    ];
    ($this->sync)([$two[$order[0]]])->assertOk();
    $answer = ($this->sync)([$two[$order[1]]])->assertOk()->json('stands');
    // Whose press was the earlier is told what stands instead.
    expect(array_column($answer, 'outcome'))->toBe($order[1] === 'early' ? ['unaided'] : []);
    // What builds on the one that lost is later still, and stands.
    expect(($this->counted)()['counts'])->toMatchArray(['unaided' => 1, 'reminded' => 0, 'missed' => 0]);
    ($this->sync)([($this->mark)(['outcome' => 'prompted', 'corrects_id' => $two['early']['id'], 'device_at' => '2026-05-20T10:05:00Z'])])->assertOk();
    expect(($this->counted)()['counts'])->toMatchArray(['prompted' => 1, 'unaided' => 0])->and(Mark::query()->count())->toBe(4);
})->with([[['early', 'late']], [['late', 'early']]]);

it('lets the later press stand of two devices that marked the same, though the earlier arrived last', function (): void {
    ($this->sync)([($this->mark)(['outcome' => 'unaided', 'device_at' => '2026-05-20T10:05:00Z'])], [$this->round])->assertOk();
    $answer = ($this->sync)([($this->mark)(['outcome' => 'missed', 'device_at' => '2026-05-20T10:04:00Z'])])->assertOk()->json('stands');
    expect(array_column($answer, 'outcome'))->toBe(['unaided'])->and(($this->counted)())->marked->toBe(1)->counts->toMatchArray(['unaided' => 1]);
    // The same on every way that reads them.
    $this->postJson('api/school/records')->assertOk();
    expect($this->getJson('api/school/learners')->json('learners.0.skill.marks'))->toBe(1)
        ->and($this->getJson("api/learners/{$this->at['learner']->id}/marks")->json())->toHaveCount(1)
        ->and($this->getJson('api/school/teaching')->json('failures.0.helped'))->toMatchArray(['count' => 0, 'of' => 1]);
});

it('takes off a clock that is hours off, keeps what it said, and lets a correction follow what it corrects whatever the clock says', function (): void {
    // Another tablet, three hours ahead, marked first; this one, right, marked later.
    ($this->sync)(
        [($this->mark)(['outcome' => 'missed', 'device_at' => '2026-05-20T13:10:00Z'])], [$this->round], ['sent_at' => '2026-05-20T13:30:00Z'],
    )->assertOk();
    $right = ($this->mark)(['outcome' => 'unaided', 'device_at' => '2026-05-20T10:20:00Z']);
    ($this->sync)([$right], [], ['sent_at' => '2026-05-20T10:30:00Z'])->assertOk();
    expect(($this->counted)()['counts']['unaided'])->toBe(1);
    [$wrong] = ($this->rounds)()[0]['marks'];
    expect($wrong)->device_at->toBe('2026-05-20T13:10:00.000Z')->pressed_at->toBe('2026-05-20T10:10:05.000Z');
    // The clock was set back between a mark and its correction.
    ($this->sync)([($this->mark)(['outcome' => 'reminded', 'corrects_id' => $right['id'], 'device_at' => '2026-05-20T08:00:00Z'])])->assertOk();
    expect(($this->counted)()['counts']['reminded'])->toBe(1);
});

it('shows marks of a clock days ahead with a warning, and counts them', function (): void {
    ($this->sync)([($this->mark)(['device_at' => '2026-05-25T10:00:00Z'])], [['device_at' => '2026-05-25T10:00:00Z'] + $this->round])->assertOk();
    [$round] = ($this->rounds)();
    expect($round)->clock_ahead->toBeTrue()->began_at->toBe('2026-05-20T10:30:00.000Z')->and($round['marks'][0]['clock_ahead'])->toBeTrue()
        ->and(($this->counted)()['marked'])->toBe(1)
        ->and($this->getJson("api/learners/{$this->at['learner']->id}/marks")->json('0.clock_ahead'))->toBeTrue();
});

it('numbers rounds as they were driven, whichever device made them, and gives none to a round emptied by undoing', function (): void {
    $round = fn (string $at): array => ['id' => (string) Str::uuid7(), 'device_at' => $at] + $this->round;
    [$second, $first, $emptied] = [$round('2026-05-20T10:08:00Z'), $round('2026-05-20T10:01:00Z'), $round('2026-05-20T10:05:00Z')];
    $slip = ($this->mark)(['round_id' => $emptied['id']]);
    ($this->sync)([($this->mark)(['round_id' => $second['id']])], [$second])->assertOk();
    ($this->sync)(
        [($this->mark)(['round_id' => $first['id']]), $slip, ($this->mark)(['round_id' => $emptied['id'], 'corrects_id' => $slip['id'], 'withdrawn' => true])],
        [$first, $emptied],
    )->assertOk();
    expect(
        array_map(fn (array $round): array => [$round['id'], $round['ordinal']], ($this->rounds)()),
    )->toBe([[$first['id'], 1], [$emptied['id'], null], [$second['id'], 2]]);
    $record = $this->getJson("api/learners/{$this->at['learner']->id}")->json();
    expect($record['rounds'])->toBe(2)->and($record['lessons'][0]['rounds'])->toBe(2)->and(Round::query()->count())->toBe(3);
});

it('leaves no history of a slip put right before anybody read it, and keeps what was read', function (): void {
    $was = fn (): array => array_column($this->getJson("api/learners/{$this->at['learner']->id}/skill/emerge-right/position")->json('marks'), 'was');
    $slip = ($this->mark)(['outcome' => 'missed']);
    $said = ($this->mark)(['outcome' => 'prompted', 'corrects_id' => $slip['id']]);
    ($this->sync)([$slip], [$this->round])->assertOk();
    // Drive itself reads the lesson: that is no reading of the record.
    ($this->rounds)();
    ($this->sync)([$said])->assertOk();
    $this->travel(1)->minutes();
    expect($was())->toBe([null]);
    $this->travel(1)->minutes();
    $later = ($this->mark)(['outcome' => 'reminded', 'corrects_id' => $said['id'], 'device_at' => '2026-05-20T10:31:00Z']);
    ($this->sync)([$later])->assertOk();
    // A slip of this correction, put right in the same breath: the history is what was read.
    ($this->sync)([($this->mark)(['outcome' => 'unaided', 'corrects_id' => $later['id'], 'device_at' => '2026-05-20T10:31:01Z'])])->assertOk();
    expect($was())->toBe(['prompted']);
});

it('notes a reading once, until marks come again', function (): void {
    $read = fn (): ?string => $this->getJson("api/learners/{$this->at['learner']->id}/skill")->assertOk() ? DB::table('learners')->where(
        'id', $this->at['learner']->id,
    )->value('marks_read_at') : null;
    ($this->sync)([($this->mark)(['outcome' => 'missed'])], [$this->round])->assertOk();
    $this->travel(1)->minutes();
    $first = $read();
    expect($first)->not->toBeNull();
    $this->travel(1)->minutes();
    expect($read())->toBe($first);
    ($this->sync)([($this->mark)(['step' => 'look', 'outcome' => 'missed'])])->assertOk();
    $this->travel(1)->minutes();
    $second = $read();
    expect($second)->toBeGreaterThan($first)->and($read())->toBe($second);
    // At the very moment at which a mark comes nobody can have seen it.
    $this->travel(1)->minutes();
    ($this->sync)([($this->mark)(['step' => 'speed', 'outcome' => 'missed'])])->assertOk();
    $third = $read();
    expect($third)->toBeGreaterThan($second)->and(DB::table('learners')->where('id', $this->at['learner']->id)->value('marks_came_at'))->toBe($third);
    $this->travel(1)->minutes();
    expect($read())->toBeGreaterThan($third);
});

it('stores marks under nobody’s name but their maker’s', function (): void {
    $other = $this->user($this->school);
    $mine = ['made_by' => $this->instructor->id];
    ($this->sync)([($this->mark)(['made_by' => $other->id])], [$mine + $this->round])->assertConflict();
    ($this->sync)([], [['made_by' => $other->id] + $this->round])->assertConflict();
    expect(Round::query()->count())->toBe(0);
    ($this->sync)([($this->mark)($mine)], [$mine + $this->round])->assertOk();
    expect(Mark::query()->sole()->user_id)->toBe($this->instructor->id);
});

it('refuses an id that comes back with another word, order, time or withdrawal', function (array $other, string $named): void {
    $mark = ($this->mark)(['note' => 'by the van', 'out_of_order' => true]);
    ($this->sync)([$mark], [$this->round])->assertOk();
    ($this->sync)([$other + $mark])->assertUnprocessable()->assertSee($named);
    expect(Mark::query()->count())->toBe(1);
    // The same, said in another way, is the same.
    ($this->sync)([['device_at' => '2026-05-20T11:02:00.500+01:00', 'withdrawn' => false] + $mark])->assertOk();
})->with([
    [['note' => 'by the bus'], 'another note'], [['out_of_order' => false], 'another out_of_order'],
    [['device_at' => '2026-05-20T10:02:00.501Z'], 'another device_at'], [['note' => null], 'another note'],
]);

it('refuses a correction that speaks of something else', function (): void {
    $mark = ($this->mark)();
    ($this->sync)([$mark], [$this->round])->assertOk();
    ($this->sync)([($this->mark)(['step' => 'look', 'corrects_id' => $mark['id']])])->assertUnprocessable()->assertSee('same step');
    ($this->sync)([($this->mark)(['corrects_id' => (string) Str::uuid7()])])->assertUnprocessable();
});

it('finds a kept answer only while everything it was computed from is the same', function (): void {
    ($this->sync)([($this->mark)(['outcome' => 'missed'])], [$this->round])->assertOk();
    $learner = $this->at['learner']->id;
    $estimate = fn (): float => collect($this->getJson("api/learners/{$learner}/skill")->json('cells'))->firstWhere('step', 'position')['estimate'];
    $word = fn (string $level): string => $this->postJson(
        "api/learners/{$learner}/overrulings", ['routine' => 'emerge-right', 'step' => 'position', 'level' => $level, 'reason' => 'x'],
    )->assertCreated()->json('id');
    $high = $word('nearly-always');
    $low = $word('seldom');
    $this->patchJson("api/overrulings/{$low}", ['withdrawn' => true])->assertOk();
    $before = $estimate();
    // Take back one, put the other in force: the same number of words stands.
    $this->patchJson("api/overrulings/{$high}", ['withdrawn' => true])->assertOk();
    $this->patchJson("api/overrulings/{$low}", ['withdrawn' => false])->assertOk();
    expect($estimate())->toBeLessThan($before - 0.2);
    // A page of the whole school sees it too.
    $this->postJson('api/school/records')->assertOk()->assertJson(['stale' => 0]);
    $this->patchJson("api/overrulings/{$low}", ['withdrawn' => true])->assertOk();
    expect($this->getJson('api/school/learners')->json('stale'))->toBe(1)->and(SkillAnswer::query()->count())->toBe(1);
});

it('still answers where broken text was stored before it was checked', function (): void {
    ($this->sync)([($this->mark)(['note' => 'sound'])], [$this->round])->assertOk();
    DB::table('learners')->where('id', $this->at['learner']->id)->update(['name' => DB::raw("CONVERT(X'426164EDA080' USING utf8mb4)")]);
    if (mb_check_encoding((string) DB::table('learners')->value('name'), 'UTF-8')) {
        DB::statement("SET SESSION sql_mode = ''");
        DB::table('learners')->update(['name' => DB::raw("X'426164EDA080'")]);
    }
    foreach (['today', 'learners', "learners/{$this->at['learner']->id}", "learners/{$this->at['learner']->id}/skill", "lessons/{$this->at['lesson']->id}",
        'school/learners'] as $path) {
        $this->getJson("api/{$path}")->assertOk();
    }
});

it('lets the same stand in the words of a query as in those of the core', function (): void {
    $cases = json_decode((string) file_get_contents(base_path('tests/answers/mark-log.json')), true, 16, JSON_THROW_ON_ERROR);
    $at = $this->lesson($user = $this->user($this->school()));
    $this->actingAs($user);
    $moment = fn (int $pressed): string => '2026-05-20 10:00:00.'.str_pad((string) $pressed, 3, '0', STR_PAD_LEFT);
    $rounds = [];
    // Those the fixture says afterwards.
    foreach (array_unique(array_filter(array_column(array_merge(...array_column($cases, 'marks')), 'place_id'))) as $place) {
        DB::table('places')->insert(['id' => $place] + (array) DB::table('places')->find($at['place']->id));
    }
    foreach ($cases as $i => $case) {
        $rounds[$i] = (string) Str::uuid7();
        DB::table('rounds')->insert([
            'id' => $rounds[$i], 'school_id' => $user->school_id, 'lesson_id' => $at['lesson']->id, 'place_id' => $at['place']->id,
            'routine' => 'emerge-right', 'conditions' => '{}', 'device_at' => $moment(0), 'began_at' => $moment($i), 'server_at' => $moment(0),
        ]);
        foreach ($case['marks'] as $mark) {
            DB::table('marks')->insert([
                ...array_diff_key($mark, ['pressed' => 0]), 'conditions' => $mark['conditions'] === null ? null : json_encode($mark['conditions']),
                'school_id' => $user->school_id, 'round_id' => $rounds[$i], 'user_id' => $user->id, 'device_at' => $moment(0),
                'server_at' => $moment(0), 'pressed_at' => $moment($mark['pressed']),
            ]);
        }
    }
    foreach ($cases as $i => $case) {
        $stands = Mark::query()->where('round_id', $rounds[$i])->tap(fn ($query) => StandingMarks::only($query->getQuery()))->pluck('id')->all();
        expect($stands)->toEqualCanonicalizing($case['stands'])
            ->and(StandingMarks::round(Round::query()->findOrFail($rounds[$i])) !== null)->toBe($case['driven']);
    }
    // And read row by row, as the record does.
    $read = StandingMarks::of($at['learner']);
    expect($read)->toHaveCount(count(array_filter($cases, fn (array $case): bool => $case['driven'])));
    // Read for what the key counted alone: the same counts, without the rest.
    $counts = static fn (array $rounds): array => array_values(array_filter(array_column($rounds, 'counts')));
    $counted = StandingMarks::of($at['learner'], static fn ($marks) => $marks->where('marks.kind', 'count'));
    expect($counts($counted))->toEqual($counts($read))->and($counts($read))->not->toBe([]);
    // What each counts as: the database's own count for the school, the record's tally, and the marks that are shown for a figure.
    $school = array_column((new DrivenRounds($user->school_id))->steps(), null, 'step');
    $heldBack = 0;
    foreach (Step::cases() as $step) {
        $tally = Tally::of(RoutineCode::EmergeRight, $step, $read);
        $shown = array_filter(MarksBehind::of($at['learner'], [RoutineCode::EmergeRight], $step), static fn (array $mark): bool => $mark['taught'] === null);
        $outcomes = array_count_values(array_column($shown, 'outcome'));
        expect($school[$step->value]['marks'])->toBe($tally->marked(), $step->value)
            ->and($outcomes)->toEqual(array_filter($tally->counts), $step->value);
        $heldBack += count(array_filter($shown, static fn (array $mark): bool => $mark['held_back']));
    }
    expect($heldBack)->toBeGreaterThan(2);
});
