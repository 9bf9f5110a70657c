<?php

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\School;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/* The waiting list: an hour that came free is offered to those whom it fits, best first, with the reasons. */

beforeEach(function (): void {
    Carbon::setTestNow('2027-03-08T08:00:00Z');
    $this->owner = $this->user($this->school(), 'owner');
    $this->school = School::query()->findOrFail($this->owner->school_id);
    $this->school->update(['latitude_deg' => 49.2, 'longitude_deg' => -8.1]);
    $this->wanda = $this->user($this->school);
    $car = fn (string $name, string $kind): Vehicle => Vehicle::query()->create([
        'name' => $name, 'transmission' => $kind, 'controls' => 'standard', 'length_m' => 4, 'width_m' => 2,
    ]);
    $learner = fn (string $name, float $east, string $kind = 'manual'): Learner => Learner::query()->create([
        'name' => "{$name} Finn", 'transmission' => $kind, 'level' => 'developing', 'phone' => '0700 1', 'pick_up' => 'x', 'pick_up_latitude_deg' => 49.2,
        'pick_up_longitude_deg' => -8.1 + $east,
    ]);
    app(CurrentSchool::class)->within($this->school, function () use ($car, $learner): void {
        [$this->blue, $this->auto] = [$car('Blue', 'manual'), $car('Grey', 'automatic')];
        $this->learners = [
            'Ada' => $learner('Ada', 0), 'Gus' => $learner('Gus', 0.01), 'Orla' => $learner('Orla', 0.012), 'Jun' => $learner('Jun', 0, 'automatic'),
        ];
    });
    $this->actingAs($this->wanda);
    $this->book = fn (string $who, string $at, array $more = []): string => $this->postJson('api/lessons', [
        'learner_id' => $this->learners[$who]->id, 'vehicle_id' => $this->blue->id, 'starts_at' => "2027-03-{$at}:00Z", 'minutes' => 60, ...$more,
    ])->assertCreated()->json('id');
    $this->off = function (string $who = 'Ada', string $at = '10T10:00'): string {
        $lesson = ($this->book)($who, $at);
        $this->patchJson("api/lessons/{$lesson}", ['state' => 'cancelled', 'ended_by' => 'learner'])->assertOk();

        return $lesson;
    };
    $this->waits = fn (string $who, array $more = []) => $this->putJson("api/learners/{$this->learners[$who]->id}/waiting", ['minutes' => 60, ...$more]);
    $this->offered = fn (string $lesson): array => $this->getJson("api/lessons/{$lesson}/offers")->assertOk()->json();
    $this->names = fn (string $lesson): array => array_map(
        static fn (array $one): string => explode(' ', $one['learner']['name'])[0], ($this->offered)($lesson),
    );
});
afterEach(fn () => Carbon::setTestNow());

it('is kept for the whole school, each learner once, and puts back who was taken off', function (): void {
    ($this->waits)('Gus', ['note' => 'Before the test'])->assertOk();
    Carbon::setTestNow('2027-03-08T09:00:00Z');
    ($this->waits)('Ada', ['wishes' => [['days' => [2, 4], 'from' => '17:00', 'until' => '19:30']]])->assertOk();
    ($this->waits)('Gus', ['minutes' => 90])->assertOk();
    $this->actingAs($this->owner);
    expect($this->getJson('api/waiting')->json())->toBe([
        ['learner' => ['id' => $this->learners['Gus']->id, 'name' => 'Gus Finn'], 'minutes' => 90, 'wishes' => [], 'note' => null,
            'since' => '2027-03-08T08:00:00Z'],
        ['learner' => ['id' => $this->learners['Ada']->id, 'name' => 'Ada Finn'], 'minutes' => 60,
            'wishes' => [['days' => [2, 4], 'from' => '17:00', 'until' => '19:30']], 'note' => null, 'since' => '2027-03-08T09:00:00Z'],
    ]);
    $this->deleteJson("api/learners/{$this->learners['Gus']->id}/waiting")->assertNoContent();
    $this->deleteJson("api/learners/{$this->learners['Gus']->id}/waiting")->assertNotFound();
    expect($this->getJson('api/waiting')->json('*.learner.name'))->toBe(['Ada Finn']);
    $this->postJson("api/learners/{$this->learners['Gus']->id}/waiting/restore")->assertOk()->assertJsonPath('minutes', 90);
    // Who is archived waits for nothing.
    $this->learners['Ada']->delete();
    expect($this->getJson('api/waiting')->json('*.learner.name'))->toBe(['Gus Finn']);
});

it('offers an hour that came free to those it fits, with what speaks for each', function (): void {
    $lesson = ($this->off)();
    foreach (['Gus', 'Orla'] as $who) {
        ($this->book)($who, $who === 'Gus' ? '07T10:00' : '01T10:00');
        ($this->waits)($who);
    }
    // Another lesson before it, at the school.
    ($this->book)('Ada', '10T08:00');
    ($this->waits)('Ada');
    [$first, $second] = ($this->offered)($lesson);
    // Whose lesson it was is not asked; who waits longer since the last comes first, unless the drive weighs more.
    expect([$first['learner']['name'], $second['learner']['name']])->toBe(['Orla Finn', 'Gus Finn'])
        ->and($first['reasons'])->toContain('last drove 9 days before')
        ->and($second['reasons'])->toContain('last drove 3 days before')
        ->and($first['vehicle']['name'])->toBe('Blue')
        ->and($first['text'])->toStartWith('Orla, an hour has come free: would you like a lesson on Wednesday 10 March at ');
});

it('counts what they drive until then, too', function (): void {
    $lesson = ($this->off)();
    ($this->waits)('Gus');
    expect(($this->offered)($lesson)[0]['reasons'])->toContain('has not driven yet');
    ($this->book)('Gus', '02T10:00');
    expect(($this->offered)($lesson)[0]['reasons'])->toContain('last drove 8 days before');
    ($this->book)('Gus', '09T10:00');
    expect(($this->offered)($lesson)[0]['reasons'])->toContain('drives 1 day before, too');
    ($this->book)('Gus', '10T07:00');
    expect(($this->offered)($lesson)[0]['reasons'])->toContain('drives that day already');
});

it('puts first whose test is soon, and leaves out whose wishes, car or time it does not fit', function (): void {
    $lesson = ($this->off)();
    $this->postJson('api/busy-times', [
        'kind' => 'test', 'learner_id' => $this->learners['Gus']->id, 'vehicle_id' => $this->blue->id, 'starts_at' => '2027-03-15T09:00:00Z',
        'ends_at' => '2027-03-15T10:00:00Z',
    ])->assertCreated();
    foreach (['Gus', 'Orla', 'Jun'] as $who) {
        ($this->waits)($who)->assertOk();
    }
    expect(($this->names)($lesson)[0])->toBe('Gus')->and(($this->offered)($lesson)[0]['reasons'][0])->toBe('test in 5 days');
    // Jun drives an automatic: there is one.
    $jun = collect(($this->offered)($lesson))->firstWhere('learner.name', 'Jun Finn');
    expect($jun['vehicle']['name'])->toBe('Grey');
    $this->auto->delete();
    expect(($this->names)($lesson))->not->toContain('Jun');
    ($this->waits)('Gus', ['wishes' => [['days' => [4], 'from' => '08:00', 'until' => '20:00']]]);
    ($this->waits)('Orla', ['minutes' => 240]);
    expect(($this->names)($lesson))->toBe([]);
    ($this->waits)('Gus', ['wishes' => [['days' => [4], 'from' => '08:00', 'until' => '20:00'], ['days' => [3], 'from' => '10:30', 'until' => '23:59']]]);
    expect(($this->offered)($lesson)[0]['starts_at'])->toBe('2027-03-10T10:30:00Z');
    // The hour itself, where it fits, though an earlier one would too.
    ($this->waits)('Gus', ['wishes' => [['days' => [3], 'from' => '09:00', 'until' => '13:00']]]);
    expect(($this->offered)($lesson)[0])->toMatchArray(['starts_at' => '2027-03-10T10:00:00Z', 'earliest_at' => '2027-03-10T09:00:00Z',
        'latest_at' => '2027-03-10T11:00:00Z'])->and(($this->offered)($lesson)[0]['text'])->toContain('at 10:00 for 60 minutes');
    ($this->waits)('Gus', ['wishes' => [['days' => [3], 'from' => '10:30', 'until' => '23:59']]]);
    // Elsewhere with a colleague at that time.
    $this->actingAs($this->owner);
    ($this->book)('Gus', '10T10:30', ['vehicle_id' => app(CurrentSchool::class)->within($this->school, fn () => Vehicle::query()->create([
        'name' => 'Red', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 2,
    ]))->id]);
    $this->actingAs($this->wanda);
    expect(($this->names)($lesson))->toBe([]);
});

it('offers nothing that cannot be booked as it is offered, and says in whose place it stands', function (): void {
    $lesson = ($this->off)();
    ($this->book)('Orla', '10T08:30');
    ($this->book)('Orla', '10T11:45');
    ($this->waits)('Gus', ['minutes' => 45]);
    [$offer] = ($this->offered)($lesson);
    $booked = $this->postJson('api/lessons', [
        'learner_id' => $offer['learner']['id'], 'vehicle_id' => $offer['vehicle']['id'], 'starts_at' => $offer['starts_at'], 'minutes' => $offer['minutes'],
        'moved_from_id' => $lesson,
    ])->assertCreated()->json('id');
    $day = $this->getJson('api/week?from=2027-03-10&days=1')->json('days.0');
    expect(array_column($day['between'], 'short_minutes'))->toBe([0, 0])
        ->and(collect($day['lessons'])->firstWhere('id', $booked)['moved_from_id'])->toBe($lesson);
    // So it goes on with what is left of it, until nothing is; and an hour that is over is nobody's.
    for ($n = 0; ($offers = ($this->offered)($lesson)) !== []; $n++) {
        expect($n)->toBeLessThan(5);
        ($this->book)('Gus', 'x', ['starts_at' => $offers[0]['starts_at'], 'minutes' => 45]);
    }
    expect(array_filter(array_column($this->getJson('api/week?from=2027-03-10&days=1')->json('days.0.between'), 'short_minutes')))->toBe([]);
    Carbon::setTestNow('2027-03-10T13:00:00Z');
    expect(($this->offered)($lesson))->toBe([]);
});

it('names the field that is wrong, and lets only who gives the lesson ask', function (): void {
    $wrong = fn (array $more, string $field) => ($this->waits)('Gus', $more)->assertUnprocessable()->assertJsonValidationErrors($field);
    $wrong(['minutes' => 5], 'minutes');
    $wrong(['wishes' => [['days' => [], 'from' => '10:00', 'until' => '11:00']]], 'wishes.0.days');
    $wrong(['wishes' => [['days' => [8], 'from' => '10:00', 'until' => '11:00']]], 'wishes.0.days.0');
    $wrong(['wishes' => [['days' => [1], 'from' => '10:00', 'until' => '10:00']]], 'wishes.0.until');
    $wrong(['wishes' => [['days' => [1], 'from' => 'soon', 'until' => '10:00']]], 'wishes.0.from');
    $lesson = ($this->off)();
    $this->actingAs($this->user($this->school))->getJson("api/lessons/{$lesson}/offers")->assertForbidden();
});

it('tells and forgets who waits with the learner', function (): void {
    ($this->waits)('Gus', ['note' => 'x', 'wishes' => [['days' => [1], 'from' => '10:00', 'until' => '12:00']]]);
    $this->actingAs($this->owner);
    $id = $this->learners['Gus']->id;
    expect($this->getJson("api/learners/{$id}/data")->assertOk()->json('waiting'))->toBe([[
        'minutes' => 60, 'wishes' => [['days' => [1], 'from' => '10:00', 'until' => '12:00']], 'note' => 'x', 'since' => '2027-03-08T08:00:00Z',
        'taken_away' => false,
    ]]);
    $this->postJson("api/learners/{$id}/erasure", ['name' => 'Gus Finn'])->assertSuccessful();
    expect(DB::table('waiting')->count())->toBe(0)->and(Lesson::withoutGlobalScopes()->count())->toBe(0);
});
