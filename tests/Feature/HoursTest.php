<?php

use App\Models\AccompaniedDrive;
use App\Models\School;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;

/* Time at the wheel: with an instructor and accompanied, by what it was driven in, held against the law, the drives behind it, and as a file. */

beforeEach(function (): void {
    Carbon::setTestNow('2026-11-20T12:00:00Z');
    $this->tutor = $this->user($this->school());
    $this->school = School::query()->findOrFail($this->tutor->school_id);
    $this->school->update(['latitude_deg' => 49.2, 'longitude_deg' => -8.1]);
    $at = $this->lesson($this->tutor);
    [$this->learner, $this->car, $this->place] = [$at['learner'], $at['vehicle'], $at['place']];
    $this->actingAs($this->tutor);
    // Over already, with so many rounds driven in it, each with what was noted.
    $this->drive = function (string $at, int $minutes, array $rounds = [], string $state = 'done'): string {
        $lesson = $this->postJson('api/lessons', [
            'learner_id' => $this->learner->id, 'vehicle_id' => $this->car->id, 'starts_at' => $at, 'minutes' => $minutes,
        ])->assertCreated()->json('id');
        foreach ($rounds as $conditions) {
            $round = (string) Str::uuid7();
            $this->postJson('api/sync', [
                'rounds' => [[
                    'id' => $round, 'lesson_id' => $lesson, 'place_id' => $this->place->id, 'routine' => 'emerge-right', 'conditions' => $conditions,
                    'device_at' => $at,
                ]],
                'marks' => [[
                    'id' => (string) Str::uuid7(), 'round_id' => $round, 'kind' => 'step', 'step' => 'look', 'outcome' => 'unaided', 'device_at' => $at,
                ]],
            ])->assertOk();
        }
        $this->patchJson("api/lessons/{$lesson}", $state === 'cut-short' ? ['state' => $state, 'cut_to_minutes' => intdiv($minutes, 2)] : ['state' => $state])
            ->assertOk();

        return $lesson;
    };
    $this->tell = fn (string $at, int $minutes, array $more = []) => $this->postJson(
        "api/learners/{$this->learner->id}/accompanied", ['starts_at' => $at, 'minutes' => $minutes, ...$more],
    );
    $this->hours = fn (): array => $this->getJson("api/learners/{$this->learner->id}/hours")->assertOk()->json();
    $this->part = fn (string $kind, string $condition): array => array_values(array_filter(
        ($this->hours)()['parts'], static fn (array $part): bool => [$part['kind'], $part['condition']] === [$kind, $condition],
    ))[0] ?? ['instructor' => 0, 'accompanied' => 0];
});
afterEach(fn () => Carbon::setTestNow());

it('adds up lessons and what was driven besides, each kind to the whole, with the drives behind it', function (): void {
    $short = ($this->drive)('2026-05-20T10:00:00Z', 60, [['light' => 'day', 'surface' => 'wet'], ['surface' => 'dry']], 'cut-short');
    ($this->drive)('2026-05-21T10:00:00Z', 90);
    ($this->tell)('2026-05-22T18:00:00Z', 40, ['conditions' => ['surface' => 'wet', 'road' => 'rural'], 'note' => 'With her mother'])->assertCreated();
    // Booked, cancelled, and not come: nobody drove.
    foreach (['2026-05-23', '2026-05-24'] as $i => $day) {
        $id = ($this->drive)("{$day}T10:00:00Z", 60, [], 'booked');
        $this->patchJson("api/lessons/{$id}", [['state' => 'cancelled', 'ended_by' => 'learner'], ['state' => 'no-show']][$i])->assertOk();
    }
    $hours = ($this->hours)();
    expect($hours['total'])->toEqual(160)->and(array_column($hours['with'], 'minutes', 'with'))->toEqual(['instructor' => 120, 'accompanied' => 40])
        ->and(($this->part)('surface', 'wet'))->toMatchArray(['instructor' => 15, 'accompanied' => 40])
        ->and(($this->part)('surface', 'not-noted')['instructor'])->toEqual(90)
        ->and(($this->part)('light', 'day'))->toMatchArray(['instructor' => 120, 'accompanied' => 40]);
    foreach (['light', 'surface', 'road', 'traffic'] as $kind) {
        $of = array_filter($hours['parts'], static fn (array $part): bool => $part['kind'] === $kind);
        expect(array_sum(array_column($of, 'instructor')) + array_sum(array_column($of, 'accompanied')))->toEqualWithDelta(160, 1e-6);
    }
    expect(array_column($hours['drives'], 'minutes'))->toEqual([40, 90, 30])
        ->and($hours['drives'][2])->toMatchArray(['id' => $short, 'with' => 'instructor', 'instructor' => 'A instructor', 'by_sun' => 15, 'note' => null])
        ->and($hours['drives'][0])->toMatchArray(['with' => 'accompanied', 'instructor' => null, 'note' => 'With her mother',
            'conditions' => ['surface' => 'wet', 'road' => 'rural']]);
});

it('is held against the law of the pack that the learner drives under, and of minors only where they are', function (): void {
    ($this->drive)('2026-10-20T17:30:00Z', 120);
    // An evening of November: the sun says that it is dark.
    ($this->tell)('2026-11-19T20:00:00Z', 90)->assertCreated();
    expect(($this->hours)())->asked->toBe([])->pack->toBe('Great Britain')->asks_of_minors->toBeFalse();
    $this->putJson("api/learners/{$this->learner->id}/rules", ['pack' => 'ie', 'practice' => (object) []])->assertOk();
    expect(($this->hours)()['asked'][0])->toMatchArray(['code' => 'essential-training', 'have' => 2, 'wanted' => 12, 'is_met' => false]);
    $this->putJson("api/learners/{$this->learner->id}/rules", ['pack' => 'na', 'practice' => (object) []])->assertOk();
    expect(($this->hours)())->asked->toBe([])->asks_of_minors->toBeTrue();
    $this->learner->update(['is_minor' => true, 'guardian_name' => 'x']);
    [$practice, $night] = ($this->hours)()['asked'];
    expect($practice['message'])->toBe('3 h 30 min of 50 h: 46 h 30 min to go.')->and($night)->light->toBe('night')->have->toBeGreaterThan(89.9);
    // Where nobody has said where the school lies the sun is not asked.
    $this->school->update(['latitude_deg' => null, 'longitude_deg' => null]);
    expect(($this->hours)()['asked'][1]['have'])->toEqual(0)
        ->and(($this->part)('light', 'not-noted'))->toMatchArray(['instructor' => 120, 'accompanied' => 90]);
});

it('takes what was driven with somebody else, says it anew, takes it away and puts it back', function (): void {
    $id = ($this->tell)('2026-05-22T18:00:00+01:00', 40, ['conditions' => ['light' => 'dusk']])->assertCreated()->json('id');
    $this->putJson("api/accompanied/{$id}", ['starts_at' => '2026-05-22T17:30:00Z', 'minutes' => 55])->assertOk()
        ->assertJson(['starts_at' => '2026-05-22T17:30:00Z', 'minutes' => 55, 'note' => null]);
    expect(($this->hours)())->total->toEqual(55)->drives->{0}->conditions->toEqual([]);
    $this->deleteJson("api/accompanied/{$id}")->assertNoContent();
    expect(($this->hours)()['total'])->toEqual(0);
    $this->postJson("api/accompanied/{$id}/restore")->assertOk();
    expect(($this->hours)()['total'])->toEqual(55);
});

it('refuses what cannot have been, and names the field', function (): void {
    ($this->drive)('2026-05-20T10:00:00Z', 60);
    ($this->tell)('2026-05-22T18:00:00Z', 40)->assertCreated();
    foreach ([
        'starts_at' => [['2026-05-20T10:59:00Z', 5], ['2026-05-20T09:00:00Z', 61], ['2026-05-22T18:39:00Z', 1], ['2026-11-20T11:30:00Z', 31], ['x', 30]],
        'minutes' => [['2026-05-25T18:00:00Z', 0], ['2026-05-25T18:00:00Z', 721]],
    ] as $field => $cases) {
        foreach ($cases as [$at, $minutes]) {
            ($this->tell)($at, $minutes)->assertStatus(422)->assertJsonValidationErrors([$field]);
        }
    }
    // One that nobody has closed yet counts as soon as something was marked in it.
    ($this->drive)('2026-05-27T10:00:00Z', 60, [['surface' => 'wet']], 'booked');
    ($this->tell)('2026-05-27T10:30:00Z', 30)->assertJsonValidationErrors(['starts_at']);
    ($this->tell)('2026-05-25T18:00:00Z', 30, ['conditions' => ['surface' => 'muddy']])->assertJsonValidationErrors(['conditions.surface']);
    // Right before and right after is nothing at once.
    foreach ([['2026-05-20T11:00:00Z', 30], ['2026-05-20T09:00:00Z', 60], ['2026-05-22T18:40:00Z', 20], ['2026-11-20T11:30:00Z', 30]] as [$at, $minutes]) {
        ($this->tell)($at, $minutes)->assertCreated();
    }
    // What was taken away does not come back beside what was noted in its place.
    $first = AccompaniedDrive::query()->where('starts_at', '2026-05-22 18:00:00')->firstOrFail();
    $first->delete();
    ($this->tell)('2026-05-22T18:10:00Z', 20)->assertCreated();
    $this->postJson("api/accompanied/{$first->id}/restore")->assertJsonValidationErrors(['starts_at']);
});

it('is a file that another program reads as it was meant: oldest first, by the clock of the school, no formulas', function (): void {
    ($this->drive)('2026-05-20T10:00:00Z', 60, [['light' => 'day', 'surface' => 'wet'], []]);
    $wild = "=cmd|' /C calc'!A0, \"and\" more\nof it";
    ($this->tell)('2026-05-22T18:00:00Z', 45, ['note' => $wild, 'conditions' => ['light' => 'night']])->assertCreated();
    $csv = $this->getJson("api/learners/{$this->learner->id}/hours/file")->assertOk()->json('csv');
    // Read by Python's own module for it, which the references use, too.
    if (trim((string) shell_exec('command -v python3')) === '') {
        if (getenv('CI')) {
            throw new RuntimeException('python3 is missing: bin/test installs it.');
        }
        $this->markTestSkipped('python3 is not installed.');
    }
    $read = Process::input($csv)->run(['python3', '-c', 'import csv, io, json, sys
sys.stdin.reconfigure(newline="", encoding="utf-8")
print(json.dumps(list(csv.DictReader(sys.stdin, strict=True))))'])->throw();
    $lines = json_decode($read->output(), true);
    expect($lines)->toHaveCount(2)->and($lines[0])->toMatchArray([
        'date' => '2026-05-20', 'starts' => '11:00', 'minutes' => '60', 'with' => 'instructor', 'person' => 'A instructor', 'light_day_min' => '60',
        'surface_wet_min' => '30', 'surface_not-noted_min' => '30', 'light_by_sun_min' => '30', 'note' => '',
    ])->and($lines[1])->toMatchArray(['starts' => '19:00', 'with' => 'accompanied', 'light_night_min' => '45', 'light_by_sun_min' => '0', 'note' => "'{$wild}"])
        ->and(substr_count($csv, "\r\n"))->toBe(3);
});

it('goes into all that is kept of a learner, and is gone when they are erased', function (): void {
    ($this->tell)('2026-05-22T18:00:00Z', 45, ['note' => 'With her mother'])->assertCreated();
    expect($this->getJson("api/learners/{$this->learner->id}/data")->assertOk()->json('accompanied_drives'))
        ->toEqual([['starts_at' => '2026-05-22T18:00:00Z', 'minutes' => 45, 'note' => 'With her mother', 'conditions' => [], 'taken_away' => false]]);
    $owner = $this->user($this->school, 'owner');
    $this->actingAs($owner)->deleteJson("api/learners/{$this->learner->id}")->assertNoContent();
    $this->postJson("api/learners/{$this->learner->id}/erasure", ['name' => $this->learner->name])->assertSuccessful();
    expect(DB::table('accompanied_drives')->count())->toBe(0);
});

it('belongs to the school: another neither sees nor changes it', function (): void {
    $id = ($this->tell)('2026-05-22T18:00:00Z', 45)->assertCreated()->json('id');
    $this->actingAs($this->user($this->school('Another School')));
    $this->getJson("api/learners/{$this->learner->id}/hours")->assertNotFound();
    $this->putJson("api/accompanied/{$id}", ['starts_at' => '2026-05-22T17:30:00Z', 'minutes' => 55])->assertNotFound();
    $this->deleteJson("api/accompanied/{$id}")->assertNotFound();
    expect(DB::table('accompanied_drives')->value('minutes'))->toBe(45);
});
