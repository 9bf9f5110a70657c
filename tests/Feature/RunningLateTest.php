<?php

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Place;
use App\Models\PlannedItem;
use App\Models\School;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/* A day that runs late: who is told what, what is cut, what cannot be kept; and nothing of it before it was agreed to. */

beforeEach(function (): void {
    Carbon::setTestNow('2027-03-10T09:40:00Z');
    $this->wanda = $this->user($this->school());
    $this->wanda->forceFill(['name' => 'Wanda Orme'])->save();
    $this->school = School::query()->findOrFail($this->wanda->school_id);
    app(CurrentSchool::class)->within($this->school, function (): void {
        $this->learners = collect(['Ada Finn', 'Gus Pell', 'Orla Penn'])->map(fn (string $name, int $i): Learner => Learner::query()->create([
            'name' => $name, 'transmission' => 'manual', 'level' => 'developing', 'phone' => "0700 000{$i}", 'pick_up' => 'Their door',
            'pick_up_latitude_deg' => 49.2, 'pick_up_longitude_deg' => -8.1,
        ]));
        $this->car = Vehicle::query()->create([
            'name' => 'The blue one', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 2,
        ]);
        $this->place = Place::query()->create([
            'name' => 'Ropewalk', 'routine' => 'emerge-left', 'road' => ['kind' => 'junction', 'version' => 1, 'limit_mph' => 30],
        ]);
    });
    $this->actingAs($this->wanda);
    $this->book = fn (int $learner, string $at, array $more = []): string => $this->postJson('api/lessons', [
        'learner_id' => $this->learners[$learner]->id, 'vehicle_id' => $this->car->id, 'starts_at' => "2027-03-10T{$at}:00Z", 'minutes' => 60, ...$more,
    ])->assertCreated()->json('id');
    $this->test = fn (string $from, string $until): string => $this->postJson('api/busy-times', [
        'kind' => 'test', 'learner_id' => $this->learners[2]->id, 'vehicle_id' => $this->car->id, 'starts_at' => "2027-03-10T{$from}:00Z",
        'ends_at' => "2027-03-10T{$until}:00Z",
    ])->assertCreated()->json('id');
    $this->late = fn (int $minutes): array => $this->getJson("api/late?minutes={$minutes}")->assertOk()->json();
    // Agrees to what was said of some lessons, or of all.
    $this->agree = function (int $minutes, ?array $lessons = null) {
        $said = array_column(($this->late)($minutes)['rest'], 'now_starts_at', 'id');
        $agreed = $lessons === null ? $said : array_intersect_key($said, array_flip($lessons));

        return $this->postJson('api/late', [
            'minutes' => $minutes,
            'lessons' => array_map(static fn (string $id, ?string $at): array => ['id' => $id, 'starts_at' => $at], array_keys($agreed), $agreed),
        ]);
    };
    $this->begins = fn (): array => Lesson::withoutGlobalScopes()->orderBy('id')->get()
        ->mapWithKeys(fn (Lesson $one): array => [$one->id => $one->starts_at->format('H:i').' '.$one->minutes])->all();
});
afterEach(fn () => Carbon::setTestNow());

it('tells who begins when, until a break takes it up, and writes nothing', function (): void {
    $on = ($this->book)(0, '09:00');
    $next = ($this->book)(1, '10:00');
    $later = ($this->book)(2, '13:00');
    $before = ($this->begins)();
    $said = ($this->late)(20);
    expect($said['on'])->toBe('Ada Finn')->and(array_column($said['rest'], 'id'))->toBe([$next, $later])
        ->and($said['rest'][0])->toMatchArray([
            'now_starts_at' => '2027-03-10T10:20:00Z', 'now_ends_at' => '2027-03-10T11:20:00Z', 'cut_minutes' => 0, 'is_as_planned' => false,
            'text' => 'Gus, I am running late: our lesson today begins at 10:20 instead of 10:00 and ends at 11:20. I am sorry.', 'phone' => '0700 0001',
        ])->and($said['rest'][1])->toMatchArray(['is_as_planned' => true, 'text' => null, 'phone' => null, 'now_starts_at' => '2027-03-10T13:00:00Z'])
        ->and(($this->begins)())->toBe($before)->and($on)->not->toBeIn(array_column($said['rest'], 'id'));
});

it('moves what was agreed to with its time, one after the other, and nothing else', function (): void {
    [$on, $first, $second, $third] = [($this->book)(0, '09:00'), ($this->book)(1, '10:00'), ($this->book)(2, '11:00'), ($this->book)(0, '12:00')];
    $said = ($this->late)(30);
    expect(array_column($said['rest'], 'now_starts_at'))->toBe(['2027-03-10T10:30:00Z', '2027-03-10T11:30:00Z', '2027-03-10T12:30:00Z']);
    ($this->agree)(30, [$first, $second, $third])->assertNoContent();
    expect(($this->begins)())->toBe([$on => '09:00 60', $first => '10:30 60', $second => '11:30 60', $third => '12:30 60'])
        ->and(DB::table('bookings')->where('lesson_id', $second)->pluck('ends_at')->unique()->all())->toBe(['2027-03-10 12:30:00']);
});

it('writes all of it or nothing', function (): void {
    ($this->book)(0, '09:00');
    [$first, $second] = [($this->book)(1, '10:00'), ($this->book)(2, '11:00')];
    $before = ($this->begins)();
    // The second stays where it is: the first cannot go on to its end.
    ($this->agree)(30, [$first])->assertUnprocessable()
        ->assertJsonPath('errors.starts_at.0', 'Wanda Orme and the blue one are taken from 11:00 to 12:00: a lesson with Orla Penn.');
    expect(($this->begins)())->toBe($before);
    ($this->agree)(30, [$second])->assertNoContent();
    expect(($this->begins)()[$second])->toBe('11:30 60');
});

it('reaches a test: the lesson before it is cut, its plan says what it leaves out, and too little of it cannot be kept', function (): void {
    ($this->book)(0, '09:00');
    $next = ($this->book)(1, '10:00');
    $test = ($this->test)('11:00', '12:00');
    app(CurrentSchool::class)->within($this->school, function () use ($next): void {
        foreach ([20, 25] as $i => $minutes) {
            PlannedItem::query()->create(['lesson_id' => $next, 'place_id' => $this->place->id, 'ordinal' => $i + 1, 'minutes' => $minutes]);
        }
    });
    $said = ($this->late)(20);
    expect($said['rest'][0])->toMatchArray(['cut_minutes' => 20, 'now_ends_at' => '2027-03-10T11:00:00Z', 'leaves_out' => ['Ropewalk'],
        'text' => 'Gus, I am running late: our lesson today begins at 10:20 instead of 10:00 and has to end at 11:00. I am sorry.'])
        ->and($said['rest'][1])->toMatchArray(['id' => $test, 'is_lesson' => false, 'is_as_planned' => true, 'text' => null]);
    $said = ($this->late)(40);
    expect($said['rest'][0])->toMatchArray(['now_starts_at' => null, 'now_ends_at' => null, 'is_as_planned' => false,
        'text' => 'Gus, my day is running late and I cannot keep our 10:00 lesson today. I am sorry; I will ring you to find another time.']);
    ($this->agree)(40, [$next])->assertNoContent();
    expect($this->getJson('api/week?from=2027-03-10')->json('days.0.lessons.1'))->toMatchArray(['id' => $next, 'state' => 'cancelled',
        'ended' => ['by' => 'instructor', 'at' => '2027-03-10T09:40:00Z', 'why' => 'The day ran late', 'charged' => null]])
        ->and(DB::table('bookings')->where('lesson_id', $next)->count())->toBe(0)
        ->and(DB::table('busy_times')->value('starts_at'))->toBe('2027-03-10 11:00:00');
});

it('is late for what comes next where nothing is on, and has nothing to say once the day is over', function (): void {
    $next = ($this->book)(1, '10:00');
    expect(($this->late)(15))->toMatchArray(['on' => null])->and(($this->late)(15)['rest'][0]['now_starts_at'])->toBe('2027-03-10T10:15:00Z');
    // One that was closed already is not on.
    $this->patchJson('api/lessons/'.($this->book)(0, '09:00'), ['state' => 'done'])->assertOk();
    expect(($this->late)(15)['on'])->toBeNull();
    Carbon::setTestNow('2027-03-10T12:00:00Z');
    expect(($this->late)(15))->toBe(['fills_outbox' => false, 'on' => null, 'rest' => []]);
    $this->postJson('api/late', ['minutes' => 15, 'lessons' => [['id' => $next, 'starts_at' => '2027-03-10T10:15:00Z']]])->assertUnprocessable()
        ->assertJsonPath('errors.lessons.0', 'The day has gone on meanwhile: look at it once more.');
    expect(($this->begins)()[$next])->toBe('10:00 60');
    foreach ([['minutes' => 4], ['minutes' => 181], []] as $wrong) {
        $this->getJson('api/late?'.http_build_query($wrong))->assertUnprocessable()->assertJsonValidationErrors('minutes');
    }
});

it('writes nothing else than what was said: a day that went on since is looked at once more', function (): void {
    ($this->book)(0, '09:00');
    $next = ($this->book)(1, '10:00');
    $said = ($this->late)(20)['rest'][0];
    Carbon::setTestNow('2027-03-10T10:35:00Z');
    $this->postJson('api/late', ['minutes' => 20, 'lessons' => [['id' => $next, 'starts_at' => $said['now_starts_at']]]])->assertUnprocessable()
        ->assertJsonValidationErrors('lessons');
    expect(($this->begins)()[$next])->toBe('10:00 60');
});

it('takes a lesson that the clock has begun for one to come, until something is driven in it', function (): void {
    ($this->book)(0, '09:00');
    $next = ($this->book)(1, '10:00');
    // Still with the first, ten minutes into the time of the next.
    Carbon::setTestNow('2027-03-10T10:10:00Z');
    expect(($this->late)(20))->toMatchArray(['on' => null])
        ->and(($this->late)(20)['rest'][0])->toMatchArray(['id' => $next, 'now_starts_at' => '2027-03-10T10:20:00Z']);
    $this->postJson('api/sync', ['marks' => [], 'rounds' => [[
        'id' => (string) Illuminate\Support\Str::uuid7(), 'lesson_id' => $next, 'place_id' => $this->place->id, 'routine' => 'emerge-left',
        'device_at' => '2027-03-10T10:09:00Z',
    ]]])->assertOk();
    expect(($this->late)(20))->toBe(['fills_outbox' => false, 'on' => 'Gus Pell', 'rest' => []]);
});

it('writes in nobody else’s lessons', function (): void {
    $mine = ($this->book)(1, '10:00');
    $asked = fn (string $id): array => ['minutes' => 15, 'lessons' => [['id' => $id, 'starts_at' => '2027-03-10T10:15:00Z']]];
    $this->actingAs($this->user($this->school))->postJson('api/late', $asked($mine))->assertForbidden();
    $this->postJson('api/late', $asked((string) Illuminate\Support\Str::uuid7()))->assertNotFound();
    expect(($this->begins)()[$mine])->toBe('10:00 60');
});

it('says whom a colleague has by then', function (): void {
    ($this->book)(0, '09:00');
    $mine = ($this->book)(1, '10:00');
    $piet = $this->user($this->school);
    $piet->forceFill(['name' => 'Piet Lund'])->save();
    $this->actingAs($piet);
    ($this->book)(2, '11:00');
    $this->actingAs($this->wanda);
    $said = ($this->late)(20)['rest'][0];
    expect($said['clashes'])->toBe(['The blue one is taken from 11:00 to 12:00: a lesson with Orla Penn.']);
    ($this->agree)(20, [$mine])->assertUnprocessable()->assertJsonValidationErrors('starts_at');
});

it('is on whole minutes, never before one is there, whatever the drives', function (): void {
    mt_srand(11);
    for ($n = 0; $n < 12; $n++) {
        DB::table('lessons')->delete();
        app(CurrentSchool::class)->within($this->school, fn () => $this->learners->each(fn (Learner $one) => $one->update([
            'pick_up_latitude_deg' => 49.2 + mt_rand(0, 40) / 1000, 'pick_up_longitude_deg' => -8.1 + mt_rand(0, 40) / 1000,
        ])));
        $at = 9 * 60;
        $booked = [];
        foreach ([0, 1, 2, 0, 1] as $learner) {
            $booked[] = ($this->book)($learner, sprintf('%02d:%02d', intdiv($at, 60), $at % 60));
            $at += 60 + mt_rand(3, 8) * 5;
        }
        $minutes = mt_rand(1, 12) * 5;
        $said = ($this->late)($minutes);
        ($this->agree)($minutes, array_slice($booked, 1))->assertNoContent();
        $day = $this->getJson('api/week?from=2027-03-10&days=1')->json('days.0');
        foreach ($day['lessons'] as $i => $lesson) {
            expect(substr($lesson['starts_at'], -4))->toBe(':00Z')->and($lesson['state'])->toBe('booked')->and($lesson['minutes'])->toBe(60);
            if ($i > 0) {
                expect($lesson['starts_at'])->toBe($said['rest'][$i - 1]['now_starts_at']);
            }
            if ($i > 1) {
                expect($day['between'][$i - 1]['short_minutes'])->toBe(0);
            }
        }
    }
});
