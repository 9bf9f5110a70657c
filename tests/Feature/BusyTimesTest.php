<?php

use App\Models\BusyTime;
use App\Models\Centre;
use App\Models\Learner;
use App\Models\School;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/* What takes time and is no lesson: an hour one is busy, a test, a car that is away. It holds its time as lessons do, and drives go round it. */

beforeEach(function (): void {
    Carbon::setTestNow('2027-03-01T08:00:00Z');
    $this->owner = $this->user($this->school(), 'owner');
    $this->school = School::query()->findOrFail($this->owner->school_id);
    $this->school->update(['latitude_deg' => 49.2, 'longitude_deg' => -8.1]);
    [$this->wanda, $this->piet] = [$this->user($this->school), $this->user($this->school)];
    $this->wanda->forceFill(['name' => 'Wanda Orme'])->save();
    $this->piet->forceFill(['name' => 'Piet Lund'])->save();
    app(CurrentSchool::class)->within($this->school, function (): void {
        $this->ada = Learner::query()->create([
            'name' => 'Ada', 'transmission' => 'manual', 'level' => 'developing', 'pick_up' => 'Her door', 'pick_up_latitude_deg' => 49.2,
            'pick_up_longitude_deg' => -8.1,
        ]);
        $this->gus = Learner::query()->create(['name' => 'Gus', 'transmission' => 'manual', 'level' => 'developing']);
        [$this->blue, $this->grey] = array_map(static fn (string $name): Vehicle => Vehicle::query()->create([
            'name' => $name, 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 2,
        ]), ['The blue one', 'The grey one']);
        $this->centre = Centre::query()->create(['name' => 'Harbour test centre', 'latitude_deg' => 49.2, 'longitude_deg' => -8.04]);
    });
    $this->actingAs($this->wanda);
    $this->at = fn (string $from, string $until): array => ['starts_at' => "2027-03-10T{$from}:00Z", 'ends_at' => "2027-03-10T{$until}:00Z"];
    $this->test = [
        'kind' => 'test', 'learner_id' => $this->ada->id, 'vehicle_id' => $this->blue->id, 'centre_id' => $this->centre->id, ...($this->at)('10:00', '11:00'),
    ];
    $this->busy = ['kind' => 'busy', 'title' => 'Dentist', ...($this->at)('10:00', '11:00')];
    $this->away = ['kind' => 'away', 'title' => 'service', 'vehicle_id' => $this->blue->id, ...($this->at)('09:00', '12:00')];
    $this->book = fn (string $at, array $more = []) => $this->postJson('api/lessons', [
        'learner_id' => $this->gus->id, 'vehicle_id' => $this->grey->id, 'starts_at' => "2027-03-10T{$at}:00Z", 'minutes' => 60, ...$more,
    ]);
    $this->why = fn ($refused) => $refused->assertUnprocessable()->json('errors.starts_at.0');
});
afterEach(fn () => Carbon::setTestNow());

it('holds the time of whoever it takes, and says why to whom it may be said', function (): void {
    $this->postJson('api/busy-times', $this->busy)->assertCreated()->assertJsonPath('title', 'Dentist');
    expect(($this->why)(($this->book)('10:30')))->toBe('Wanda Orme is taken from 10:00 to 11:00: Dentist.');
    // Somebody's dentist is nobody else's business, not even the owner's.
    $this->actingAs($this->owner);
    expect($this->getJson("api/week?from=2027-03-08&person={$this->wanda->id}")->json('days.2.busy.0'))->toMatchArray(['title' => null, 'may_change' => true]);
    $theirs = ['instructor_id' => $this->wanda->id] + $this->busy;
    expect(($this->why)($this->postJson('api/busy-times', $theirs)))->toBe('Wanda Orme is taken from 10:00 to 11:00: busy.');
});

it('holds a test for its learner, the car and who takes them there', function (): void {
    $this->postJson('api/busy-times', $this->test)->assertCreated()
        ->assertJsonPath('centre.name', 'Harbour test centre')->assertJsonPath('instructor.name', 'Wanda Orme');
    expect(DB::table('bookings')->orderBy('who')->pluck('who')->all())->toBe(['instructor', 'learner', 'car'])
        ->and(($this->why)(($this->book)('10:30')))->toBe('Wanda Orme is taken from 10:00 to 11:00: Ada’s test.');
    $this->actingAs($this->piet);
    expect(($this->why)(($this->book)('10:30', ['vehicle_id' => $this->blue->id])))->toBe('The blue one is taken from 10:00 to 11:00: Ada’s test.')
        ->and(($this->why)(($this->book)('10:30', ['learner_id' => $this->ada->id])))->toBe('Ada is taken from 10:00 to 11:00: Ada’s test.');
    $this->school->update(['colleagues_read' => false]);
    $this->actingAs($this->piet->refresh());
    expect(($this->why)(($this->book)('10:30', ['vehicle_id' => $this->blue->id])))
        ->toBe('The blue one is taken from 10:00 to 11:00: a colleague’s test.');
});

it('keeps a car away from everybody, and says in each diary that it is', function (): void {
    $this->postJson('api/busy-times', $this->away)->assertCreated()->assertJsonPath('instructor', null);
    expect(($this->why)(($this->book)('11:30', ['vehicle_id' => $this->blue->id])))->toBe('The blue one is taken from 09:00 to 12:00: away, service.');
    ($this->book)('11:30')->assertCreated();
    $week = $this->actingAs($this->piet)->getJson('api/week?from=2027-03-08')->json('days');
    expect(array_column($week[2]['busy'], 'kind'))->toBe(['away'])->and($week[2]['busy'][0]['title'])->toBe('service')->and($week[3]['busy'])->toBe([]);
});

it('is on every day that it touches, and says of which day it is where that is another', function (): void {
    $leave = ['kind' => 'busy', 'title' => 'Leave', 'starts_at' => '2027-03-09T18:00:00Z', 'ends_at' => '2027-03-12T00:00:00Z'];
    $this->postJson('api/busy-times', $leave)->assertCreated();
    $week = $this->getJson('api/week?from=2027-03-08')->json('days');
    expect(array_map(static fn (array $day): int => count($day['busy']), $week))->toBe([0, 1, 1, 1, 0, 0, 0])
        ->and(($this->why)(($this->book)('10:00')))->toBe('Wanda Orme is taken from 9 March, 18:00 to 12 March, 00:00: Leave.');
});

it('counts the drive to the centre and from it, and offers no time that a test leaves no room for', function (): void {
    $this->postJson('api/busy-times', $this->test)->assertCreated();
    $asked = ['learner_id' => $this->ada->id, 'vehicle_id' => $this->blue->id, 'minutes' => 60];
    $fit = $this->getJson('api/fit?'.http_build_query([...$asked, 'starts_at' => '2027-03-10T08:55:00Z']))->assertOk()->json();
    $drive = $fit['after']['travel_minutes'];
    expect($fit['clashes'])->toBe([])->and($fit['after']['name'])->toBe('Ada’s test')->and($drive)->toBeGreaterThan(4)
        ->and($fit['after']['short_minutes'])->toBe($drive - 5);
    $free = collect($this->getJson('api/free?'.http_build_query([...$asked, 'from' => '2027-03-10', 'days' => 1]))->json());
    // Before it with the drive there, after it with the drive back.
    expect($free->pluck('before')->filter()->values()->all())->toBe(['Ada’s test'])
        ->and($free->pluck('after')->filter()->values()->all())->toBe(['Ada’s test']);
    $latest = Carbon::parse($free[0]['latest_at'])->addMinutes(60);
    expect($latest->diffInMinutes(Carbon::parse('2027-03-10T10:00:00Z')))->toBeGreaterThanOrEqual($drive - 1)->toBeLessThanOrEqual($drive + 1);
    foreach ($free as $time) {
        ($this->book)('x', [...$asked, 'starts_at' => $time['starts_at']])->assertCreated();
    }
});

it('leaves no time free that began to be taken within the days that are asked for and is given back long after them', function (): void {
    $this->postJson('api/busy-times', [...$this->away, 'starts_at' => '2027-03-09T12:00:00Z', 'ends_at' => '2027-03-31T12:00:00Z'])->assertCreated();
    $free = fn (array $car, int $days): array => array_column($this->getJson('api/free?'.http_build_query([
        'learner_id' => $this->gus->id, 'vehicle_id' => $car['id'], 'minutes' => 60, 'from' => '2027-03-08', 'days' => $days,
    ]))->assertOk()->json(), 'latest_at');
    expect($free(['id' => $this->blue->id], 2))->toBe(['2027-03-08T19:00:00Z', '2027-03-09T11:00:00Z'])
        ->and($free(['id' => $this->grey->id], 2))->toBe(['2027-03-08T19:00:00Z', '2027-03-09T19:00:00Z'])
        ->and($free(['id' => $this->blue->id], 24))->toHaveCount(3);
});

it('is said before a lesson is booked on top of it, once or every week', function (): void {
    $this->postJson('api/busy-times', $this->busy)->assertCreated();
    $new = ['learner_id' => $this->gus->id, 'vehicle_id' => $this->grey->id, 'minutes' => 60];
    $said = 'Wanda Orme is taken from 10:00 to 11:00: Dentist.';
    expect($this->getJson('api/fit?'.http_build_query([...$new, 'starts_at' => '2027-03-10T10:30:00Z']))->json('clashes'))->toBe([$said])
        ->and($this->getJson('api/fit?'.http_build_query([...$new, 'starts_at' => '2027-03-10T11:00:00Z']))->json('clashes'))->toBe([]);
    $weeks = $this->getJson('api/series?'.http_build_query([...$new, 'starts_at' => '2027-03-03T10:30:00Z', 'weeks' => 1, 'times' => 2]))->json('*.clashes');
    expect($weeks)->toBe([[$said], []]);
});

it('stands beside the lessons of the day, with the drives between', function (): void {
    $this->postJson('api/busy-times', $this->test)->assertCreated();
    ($this->book)('12:00', ['learner_id' => $this->ada->id])->assertCreated();
    $today = $this->getJson('api/today?day=2027-03-10')->assertOk()->json();
    expect($today['busy'])->toHaveCount(1)->and($today['between'])->toHaveCount(1)
        ->and($today['between'][0])->toMatchArray(['after' => $today['busy'][0]['id'], 'before' => $today['lessons'][0]['id'], 'free_minutes' => 60])
        ->and($today['between'][0]['travel_minutes'])->toBeGreaterThan(4);
});

it('is moved, taken away and put back as a lesson is: only where there is room', function (): void {
    $id = $this->postJson('api/busy-times', $this->busy)->json('id');
    ($this->book)('13:00')->assertCreated();
    expect(($this->why)($this->putJson("api/busy-times/{$id}", [...$this->busy, ...($this->at)('12:30', '13:30')])))
        ->toBe('Wanda Orme is taken from 13:00 to 14:00: a lesson with Gus.');
    $this->putJson("api/busy-times/{$id}", [...$this->busy, ...($this->at)('11:00', '12:00')])->assertOk()->assertJsonPath('starts_at', '2027-03-10T11:00:00Z');
    $lesson = ($this->book)('10:00')->assertCreated()->json('id');
    $this->deleteJson("api/busy-times/{$id}")->assertNoContent();
    expect(DB::table('bookings')->where('busy_time_id', $id)->count())->toBe(0)->and($this->getJson('api/week?from=2027-03-08')->json('days.2.busy'))->toBe([]);
    $this->patchJson("api/lessons/{$lesson}", ['starts_at' => '2027-03-10T11:30:00Z'])->assertOk();
    $this->postJson("api/busy-times/{$id}/restore")->assertUnprocessable();
    expect(BusyTime::withoutGlobalScopes()->findOrFail($id)->deleted_at)->not->toBeNull();
    $this->patchJson("api/lessons/{$lesson}", ['starts_at' => '2027-03-10T10:00:00Z'])->assertOk();
    $this->postJson("api/busy-times/{$id}/restore")->assertOk()->assertJsonPath('title', 'Dentist');
    expect(DB::table('bookings')->where('busy_time_id', $id)->count())->toBe(1);
});

it('is written in a colleague’s diary by the owner alone', function (): void {
    $theirs = ['instructor_id' => $this->piet->id] + $this->busy;
    $this->postJson('api/busy-times', $theirs)->assertForbidden();
    $id = $this->actingAs($this->owner)->postJson('api/busy-times', $theirs)->assertCreated()->assertJsonPath('instructor.id', $this->piet->id)->json('id');
    $this->actingAs($this->wanda)->putJson("api/busy-times/{$id}", $theirs)->assertForbidden();
    $this->deleteJson("api/busy-times/{$id}")->assertForbidden();
    // It stays whose it was where nobody says otherwise.
    $moved = [...array_diff_key($this->busy, ['title' => 0]), ...($this->at)('14:00', '15:00')];
    $this->actingAs($this->owner)->putJson("api/busy-times/{$id}", $moved)->assertOk()->assertJsonPath('instructor.id', $this->piet->id);
    // Nor is its word lost that the owner does not read.
    $this->actingAs($this->piet)->getJson('api/week?from=2027-03-08')->assertJsonPath('days.2.busy.0.title', 'Dentist');
});

it('names the field that is wrong', function (array $wrong, string $field): void {
    $kind = $wrong['kind'] ?? 'busy';
    $this->postJson('api/busy-times', array_filter([...$this->{$kind}, ...$wrong], static fn ($value): bool => $value !== 'none'))
        ->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    'before it begins' => [['ends_at' => '2027-03-10T09:00:00Z'], 'ends_at'], 'no time at all' => [['ends_at' => '2027-03-10T10:00:00Z'], 'ends_at'],
    'half a year' => [['ends_at' => '2027-09-10T09:00:00Z'], 'ends_at'], 'a test of nobody' => [['kind' => 'test', 'learner_id' => 'none'], 'learner_id'],
    'a test in no car' => [['kind' => 'test', 'vehicle_id' => 'none'], 'vehicle_id'], 'no car' => [['kind' => 'away', 'vehicle_id' => 'none'], 'vehicle_id'],
    'a dentist with a car' => [['vehicle_id' => 'f3b1a5a0-0000-4000-8000-000000000000'], 'vehicle_id'],
    'a car with a person' => [['kind' => 'away', 'instructor_id' => 'f3b1a5a0-0000-4000-8000-000000000000'], 'instructor_id'],
    'a centre of a dentist' => [['centre_id' => 'f3b1a5a0-0000-4000-8000-000000000000'], 'centre_id'], 'nothing' => [['ends_at' => 'x'], 'ends_at'],
]);

it('tells and forgets a learner’s test with the learner', function (): void {
    $this->postJson('api/busy-times', $this->test)->assertCreated();
    $this->actingAs($this->owner);
    expect($this->getJson("api/learners/{$this->ada->id}/data")->assertOk()->json('tests'))->toBe([[
        'starts_at' => '2027-03-10T10:00:00Z', 'ends_at' => '2027-03-10T11:00:00Z', 'title' => null, 'centre' => 'Harbour test centre',
        'instructor' => 'Wanda Orme', 'taken_away' => false,
    ]]);
    $this->postJson("api/learners/{$this->ada->id}/erasure", ['name' => 'Ada'])->assertSuccessful();
    expect(DB::table('busy_times')->count())->toBe(0)->and(DB::table('bookings')->count())->toBe(0);
});
