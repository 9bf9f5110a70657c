<?php

use App\Models\Learner;
use App\Models\School;
use App\Privacy\Retention;
use App\School\CurrentSchool;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Opis\JsonSchema\Validator;

const WRITTEN = 'Written by hand about Wanda Wren';

beforeEach(function (): void {
    $world = $this->world('Ours');
    [$this->owner, $this->ids] = [$world['owner'], $world['ids']];
    $this->actingAs($this->owner);
    $this->putJson(
        "api/learners/{$this->ids['learner']}",
        [
            'name' => 'Wanda Wren', 'transmission' => 'manual', 'level' => 'developing', 'phone' => '0123 456', 'email' => 'wanda@example.test',
            'pick_up' => '3 Wren Row', 'is_minor' => true, 'guardian_name' => 'Walter Wren', 'guardian_contact' => '0123 457',
            'reference_points' => [['what' => WRITTEN, 'where' => 'x']],
        ],
    )->assertOk();
    $this->patchJson("api/lessons/{$this->ids['lesson']}", ['aim' => WRITTEN, 'went_well' => WRITTEN, 'worked_on' => WRITTEN])->assertOk();
    $this->postJson("api/lessons/{$this->ids['lesson']}/promises", ['kind' => 'promise', 'text' => WRITTEN])->assertCreated();
    $this->postJson(
        "api/learners/{$this->ids['learner']}/overrulings", ['routine' => 'emerge-right', 'step' => 'look', 'level' => 'mostly', 'reason' => WRITTEN],
    )->assertSuccessful();
    $this->mark = (string) Str::uuid7();
    $this->batch = [
        'rounds' => [],
        'marks' => [['id' => $this->mark, 'round_id' => $this->ids['round'], 'kind' => 'moment', 'note' => WRITTEN, 'device_at' => '2026-05-20T10:00:05Z']],
    ];
    $this->postJson('api/sync', $this->batch)->assertOk();
    /** Every text of the school's tables, to search through. */
    $this->everything = fn (): string => json_encode(
        collect(DB::select('SHOW TABLES'))->map(fn ($row) => current((array) $row))->reject(
            fn ($table) => in_array($table, ['sessions', 'cache', 'migrations'], true),
        )->map(fn ($table) => DB::table($table)->get())->all(),
        JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
    );
});

it('hands out everything that is kept of a learner, as its schema says', function (): void {
    $answer = $this->getJson("api/learners/{$this->ids['learner']}/data")->assertOk();
    $data = $answer->json();
    $schema = (string) file_get_contents(base_path('docs/schemas/learner-data.json'));
    $valid = (new Validator)->validate(json_decode($answer->getContent()), $schema);
    expect($valid->isValid())->toBeTrue((string) $valid->error());
    expect($data['learner'])->toMatchArray(['name' => 'Wanda Wren', 'guardian_name' => 'Walter Wren', 'phone' => '0123 456'])
        ->and($data['lessons'][0]['rounds'][0]['marks'])->toHaveCount(2)->and($data['lessons'][0]['instructor'])->toBe($this->owner->name)
        ->and(array_column($data['promises'], 'text'))->toContain(WRITTEN)->and(array_column($data['overrulings'], 'reason'))->toContain(WRITTEN);
    // Whatever else the database holds of them by name or hand is in it.
    expect(substr_count(json_encode($data), WRITTEN))->toBe(substr_count(($this->everything)(), WRITTEN));
});

it('erases whom it is about and what was written by hand, and keeps what was driven', function (): void {
    $counts = fn (): array => [
        DB::table('marks')->count(), DB::table('rounds')->count(), DB::table('lessons')->count(),
        DB::table('marks')->where('outcome', 'missed')->count(),
    ];
    $before = $counts();
    $uri = "api/learners/{$this->ids['learner']}/erasure";
    $this->postJson($uri, ['name' => 'Wanda'])->assertUnprocessable()->assertJsonValidationErrors('name');
    $this->postJson($uri, ['name' => 'Wanda Wren'])->assertNoContent();
    foreach (['Wanda', 'Wren', 'Walter', '0123', 'wanda@example.test', WRITTEN] as $text) {
        expect(($this->everything)())->not->toContain($text);
    }
    expect($counts())->toBe($before);
    // No one now: neither found, nor brought back, nor erased twice.
    $this->getJson("api/learners/{$this->ids['learner']}")->assertNotFound();
    $this->getJson("api/learners/{$this->ids['learner']}/data")->assertNotFound();
    $this->postJson("api/learners/{$this->ids['learner']}/restore")->assertNotFound();
    $this->postJson($uri, ['name' => 'Erased learner'])->assertNotFound();
    expect(
        $this->getJson('api/archived')->json('learners'),
    )->toBe([])->and($this->getJson('api/changes')->json('changes.0'))->toMatchArray(['what' => 'erased', 'name' => 'Erased learner']);
    // The lesson is still there to be read, and names nobody.
    $this->getJson("api/lessons/{$this->ids['lesson']}")->assertOk()->assertJsonPath('learner.name', 'Erased learner');
    $this->getJson('api/school/teaching')->assertOk();
    // And nobody writes anything more about them.
    $this->patchJson("api/lessons/{$this->ids['lesson']}", ['aim' => 'Wanda again'])->assertForbidden();
    $this->postJson("api/lessons/{$this->ids['lesson']}/promises", ['kind' => 'promise', 'text' => 'Wanda again'])->assertForbidden();
    $this->postJson(
        "api/learners/{$this->ids['learner']}/overrulings",
        ['routine' => 'emerge-right', 'step' => 'look', 'level' => 'mostly', 'reason' => 'Wanda again'],
    )->assertNotFound();
});

it('takes in what still waited on a device, without a word about who is erased', function (): void {
    $late = (string) Str::uuid7();
    $this->postJson("api/learners/{$this->ids['learner']}/erasure", ['name' => 'Wanda Wren'])->assertNoContent();
    $this->batch['marks'][] = ['id' => $late, 'round_id' => $this->ids['round'], 'kind' => 'moment', 'note' => WRITTEN, 'device_at' => '2026-05-20T10:00:09Z'];
    $this->postJson('api/sync', $this->batch)->assertOk()->assertJsonPath('marks', [$this->mark, $late]);
    expect(($this->everything)())->not->toContain(WRITTEN)->and(DB::table('marks')->where('id', $late)->exists())->toBeTrue();
});

it('lets nobody else blank a mark, nor anything but a note of one who is erased', function (): void {
    expect(fn () => DB::table('marks')->where('id', $this->mark)->update(['note' => null]))->toThrow(QueryException::class, 'append-only');
    DB::table('learners')->where('id', $this->ids['learner'])->update(['erased_at' => now()]);
    foreach ([['note' => 'another'], ['note' => null, 'withdrawn' => true], ['note' => null, 'pressed_at' => '2026-01-01 00:00:00'], ['note' => null,
        'user_id' => $this->ids['person']]] as $change) {
        expect(fn () => DB::table('marks')->where('id', $this->mark)->update($change))->toThrow(QueryException::class, 'append-only');
    }
    expect(fn () => DB::table('marks')->where('id', $this->mark)->delete())->toThrow(QueryException::class, 'append-only');
    expect(DB::table('marks')->where('id', $this->mark)->update(['note' => null]))->toBe(1);
});

it('tells who goes soon, minors first, and erases them on their day and not before', function (): void {
    $school = School::query()->findOrFail($this->owner->school_id);
    $grown = app(CurrentSchool::class)->within(
        $school, fn () => Learner::query()->create(['name' => 'Grown Up', 'transmission' => 'manual', 'level' => 'developing']),
    );
    DB::table('lessons')->update(['starts_at' => now()]);
    $this->putJson('api/retention', ['keep_months' => 12, 'keep_minors_months' => 24])->assertUnprocessable()->assertJsonValidationErrors('keep_minors_months');
    $this->putJson('api/retention', ['keep_months' => 24, 'keep_minors_months' => 12])->assertOk()->assertJsonPath('coming', []);
    $run = fn (): int => Retention::run(app(CurrentSchool::class));

    $later = function (Closure $travel): void {
        $travel();
        // A session would have ended long ago.
        $this->flushSession();
    };
    $later(fn () => $this->travelTo(now()->addMonthsNoOverflow(12)->subDays(30)));
    expect($this->getJson('api/retention')->json('coming.0'))->toMatchArray(['name' => 'Wanda Wren', 'is_minor' => true])->and($run())->toBe(0);
    // Kept for a reason, the day moves.
    $this->putJson("api/learners/{$this->ids['learner']}/keep", ['until' => now()->addMonths(4)->toDateString()])->assertOk();
    $later(fn () => $this->travel(31)->days());
    expect($run())->toBe(0);
    $this->putJson("api/learners/{$this->ids['learner']}/keep", ['until' => null])->assertOk();
    expect($run())->toBe(1)->and(
        DB::table('learners')->where('id', $this->ids['learner'])->value('name'),
    )->toBe('Erased learner')->and($grown->refresh()->name)->toBe('Grown Up');
    // And once more changes nothing.
    expect($run())->toBe(0);
    $this->travel(13)->months();
    expect($run())->toBe(1)->and(DB::table('learners')->where('id', $grown->id)->value('name'))->toBe('Erased learner');
});

it('keeps everybody where no school has said how long, and whoever has a lesson ahead', function (): void {
    $this->travel(10)->years();
    expect(Retention::run(app(CurrentSchool::class)))->toBe(0);
    $this->flushSession();
    $this->putJson('api/retention', ['keep_months' => 1, 'keep_minors_months' => null])->assertOk();
    DB::table('lessons')->update(['starts_at' => now()->addWeek()]);
    expect(Retention::run(app(CurrentSchool::class)))->toBe(0);
});
