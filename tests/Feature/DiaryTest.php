<?php

use App\Diary\Bookings;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\School;
use App\Models\User;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/* A diary without clashes: the database holds the time of instructor, learner and car, and who books too late is told who is taken. */

beforeEach(function (): void {
    Carbon::setTestNow('2027-03-01T08:00:00Z');
    $this->owner = $this->user($this->school(), 'owner');
    $this->school = School::query()->findOrFail($this->owner->school_id);
    $this->school->update(['latitude_deg' => 49.2, 'longitude_deg' => -8.1]);
    [$this->wanda, $this->piet] = [$this->user($this->school), $this->user($this->school)];
    $this->wanda->forceFill(['name' => 'Wanda Orme'])->save();
    $this->piet->forceFill(['name' => 'Piet Lund'])->save();
    $this->actingAs($this->wanda);
    $learner = fn (string $name, float $east = 0.0): Learner => app(CurrentSchool::class)->within($this->school, fn () => Learner::query()->create([
        'name' => $name, 'transmission' => 'manual', 'level' => 'developing', 'pick_up' => "{$name}’s door", 'pick_up_latitude_deg' => 49.2,
        'pick_up_longitude_deg' => -8.1 + $east,
    ]));
    [$this->ada, $this->gus] = [$learner('Ada'), $learner('Gus', 0.06)];
    [$this->blue, $this->grey] = array_map(fn (string $name): Vehicle => app(CurrentSchool::class)->within($this->school, fn () => Vehicle::query()->create([
        'name' => $name, 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 1.8,
    ])), ['The blue one', 'The grey one']);
    $this->asked = fn (string $at, array $more = []): array => [
        'learner_id' => $this->ada->id, 'vehicle_id' => $this->blue->id, 'starts_at' => "2027-03-10T{$at}:00Z", 'minutes' => 60, ...$more,
    ];
    $this->book = fn (string $at, array $more = []) => $this->postJson('api/lessons', ($this->asked)($at, $more));
    $this->held = fn (string $lesson): array => DB::table('bookings')->where('lesson_id', $lesson)->orderBy('who')->pluck('who_id', 'who')->all();
});
afterEach(fn () => Carbon::setTestNow());

it('holds the time of instructor, learner and car', function (): void {
    $lesson = ($this->book)('10:00')->assertCreated()->json();
    expect($lesson)->toMatchArray(['state' => 'booked', 'lasts_minutes' => 60, 'pick_up' => 'Ada’s door'])
        ->and(($this->held)($lesson['id']))->toEqualCanonicalizing(
            ['instructor' => $this->wanda->id, 'learner' => $this->ada->id, 'car' => $this->blue->id],
        );
});

it('lets the owner book for a colleague, whose time it takes, and nobody else', function (): void {
    $owner = $this->user($this->school, 'owner');
    $for = fn (User $giver): array => ['instructor_id' => $giver->id];
    ($this->book)('10:00', $for($this->piet))->assertForbidden();
    ($this->book)('10:00', $for($this->wanda))->assertCreated();
    $this->actingAs($owner);
    // What it would mean is asked of the colleague's day, too.
    $means = $this->getJson('api/fit?'.http_build_query(['learner_id' => $this->gus->id, 'vehicle_id' => $this->grey->id, 'minutes' => 60,
        'starts_at' => '2027-03-10T10:30:00Z', ...$for($this->wanda)]))->assertOk()->json();
    expect(json_encode($means))->toContain('Wanda Orme');
    ($this->book)('10:30', ['learner_id' => $this->gus->id, 'vehicle_id' => $this->grey->id, ...$for($this->wanda)])->assertUnprocessable();
    $lesson = ($this->book)('12:00', $for($this->piet))->assertCreated()->json('id');
    expect(($this->held)($lesson)['instructor'])->toBe($this->piet->id)
        ->and(array_column(array_merge(...array_column($this->actingAs($this->piet)->getJson('api/week?from=2027-03-08')->json('days'), 'lessons')),
            'id'))->toBe([$lesson]);
    $free = $this->actingAs($owner)->getJson('api/free?'.http_build_query(['learner_id' => $this->gus->id, 'vehicle_id' => $this->grey->id, 'minutes' => 60,
        'from' => '2027-03-10', 'days' => 1, ...$for($this->piet)]))->assertOk()->json();
    foreach ($free as $gap) {
        expect($gap['starts_at'] >= '2027-03-10T13:00:00Z' || $gap['latest_at'] <= '2027-03-10T11:00:00Z')->toBeTrue();
    }
    // Neither somebody of another school nor somebody who was suspended.
    foreach ([$this->user($this->school('Theirs')), tap($this->user($this->school),
        fn (User $user) => $user->forceFill(['suspended_at' => now()])->save())] as $nobody) {
        ($this->book)('15:00', $for($nobody))->assertUnprocessable()->assertJsonValidationErrors('instructor_id');
    }
    expect(DB::table('lessons')->where('starts_at', '2027-03-10 15:00:00')->count())->toBe(0);
});

it('refuses a second thing at the same time, and says who is taken and until when', function (array $who, string $said): void {
    ($this->book)('10:00')->assertCreated();
    [$instructor, $more] = [$who['as'] ?? 'wanda', array_map(fn (string $name): string => $this->{$name}->id, $who['with'])];
    $refused = $this->actingAs($this->{$instructor})->postJson('api/lessons', ($this->asked)('10:30', $more))->assertUnprocessable();
    expect($refused->json('errors.starts_at'))->toBe([$said])->and(Lesson::withoutGlobalScopes()->count())->toBe(1)
        ->and(DB::table('bookings')->count())->toBe(3);
})->with([
    'the instructor' => [['with' => ['learner_id' => 'gus', 'vehicle_id' => 'grey']], 'Wanda Orme is taken from 10:00 to 11:00: a lesson with Ada.'],
    'the car' => [['as' => 'piet', 'with' => ['learner_id' => 'gus']], 'The blue one is taken from 10:00 to 11:00: a lesson with Ada.'],
    'the learner' => [['as' => 'piet', 'with' => ['vehicle_id' => 'grey']], 'Ada is taken from 10:00 to 11:00: a lesson with Wanda Orme.'],
    'all three' => [['with' => []], 'Wanda Orme, Ada and the blue one are taken from 10:00 to 11:00: a lesson with Wanda Orme.'],
]);

it('says no more of a colleague’s lesson than that it is one, where the school lets nobody read it', function (): void {
    ($this->book)('10:00')->assertCreated();
    $this->school->update(['colleagues_read' => false]);
    $asked = ($this->asked)('10:30', ['learner_id' => $this->gus->id]);
    $refused = fn (User $who): array => $this->actingAs($who->refresh())->postJson('api/lessons', $asked)->assertUnprocessable()->json('errors.starts_at');
    expect($refused($this->piet))->toBe(['The blue one is taken from 10:00 to 11:00: a colleague’s lesson.'])
        ->and($refused($this->owner))->toBe(['The blue one is taken from 10:00 to 11:00: a lesson with Ada.']);
});

it('calls a car as it is called', function (): void {
    $this->blue->update(['name' => 'ZT 40']);
    ($this->book)('10:00')->assertCreated();
    expect(($this->book)('10:30')->json('errors.starts_at.0'))->toBe('Wanda Orme, Ada and ZT 40 are taken from 10:00 to 11:00: a lesson with Wanda Orme.');
});

it('takes what only touches, and whoever has nothing to do with it', function (): void {
    ($this->book)('10:00')->assertCreated();
    ($this->book)('11:00')->assertCreated();
    ($this->book)('09:00')->assertCreated();
    $this->actingAs($this->piet)->postJson('api/lessons', ($this->asked)('10:00', ['learner_id' => $this->gus->id, 'vehicle_id' => $this->grey->id]))
        ->assertCreated();
});

it('moves a lesson with all that hangs on it, and nothing else; moved back it is as it was', function (): void {
    $lesson = ($this->book)('10:00', ['aim' => 'Right turns'])->json();
    $other = ($this->book)('13:00')->json();
    $rows = fn (): array => DB::table('bookings')->orderBy('lesson_id')->orderBy('who')->get(['lesson_id', 'who', 'who_id', 'starts_at', 'ends_at'])->all();
    $before = $rows();
    $this->patchJson("api/lessons/{$lesson['id']}", ['starts_at' => '2027-03-10T12:30:00Z'])->assertUnprocessable()
        ->assertJsonPath('errors.starts_at.0', 'Wanda Orme, Ada and the blue one are taken from 13:00 to 14:00: a lesson with Wanda Orme.');
    expect($rows())->toEqual($before)->and($this->getJson("api/lessons/{$lesson['id']}")->json('starts_at'))->toBe('2027-03-10T10:00:00Z');
    $this->patchJson("api/lessons/{$lesson['id']}", ['starts_at' => '2027-03-10T10:30:00Z', 'minutes' => 90])->assertOk()->assertJsonPath('aim', 'Right turns');
    expect(DB::table('bookings')->where('lesson_id', $lesson['id'])->pluck('ends_at')->unique()->all())->toBe(['2027-03-10 12:00:00'])
        ->and($this->getJson("api/lessons/{$other['id']}")->json('starts_at'))->toBe($other['starts_at']);
    $this->patchJson("api/lessons/{$lesson['id']}", ['starts_at' => '2027-03-10T10:00:00Z', 'minutes' => 60])->assertOk();
    expect($rows())->toEqual($before);
});

it('frees the hour of a lesson that is cancelled, with who, when and why; booked again only while the hour is free', function (): void {
    $lesson = ($this->book)('10:00')->json('id');
    $this->patchJson("api/lessons/{$lesson}", ['state' => 'cancelled'])->assertUnprocessable()->assertJsonValidationErrors('ended_by');
    $why = ['state' => 'cancelled', 'ended_by' => 'learner', 'ended_why' => 'A cold', 'charged' => false];
    $this->patchJson("api/lessons/{$lesson}", $why)->assertOk();
    expect(($this->held)($lesson))->toBe([])->and($this->getJson('api/week?from=2027-03-08')->json('days.2.lessons.0.ended'))
        ->toBe(['by' => 'learner', 'at' => '2027-03-01T08:00:00Z', 'why' => 'A cold', 'charged' => false]);
    $instead = ($this->book)('10:15', ['learner_id' => $this->gus->id, 'moved_from_id' => $lesson])->assertCreated()->json('id');
    $this->patchJson("api/lessons/{$lesson}", ['state' => 'booked'])->assertUnprocessable()->assertJsonValidationErrors('starts_at');
    $this->patchJson("api/lessons/{$instead}", ['state' => 'cancelled', 'ended_by' => 'other'])->assertOk();
    $this->patchJson("api/lessons/{$lesson}", ['state' => 'booked'])->assertOk();
    // Nothing of its cancelling is left.
    expect($this->getJson('api/week?from=2027-03-08')->json('days.2.lessons.0.ended'))->toBeNull();
});

it('lets a wish take nobody’s time, until it is booked', function (): void {
    $wish = ($this->book)('10:00', ['state' => 'wished'])->assertCreated()->json('id');
    $lesson = ($this->book)('10:00')->assertCreated()->json('id');
    expect(($this->held)($wish))->toBe([]);
    $this->patchJson("api/lessons/{$wish}", ['state' => 'booked'])->assertUnprocessable();
    $this->patchJson("api/lessons/{$lesson}", ['state' => 'no-show'])->assertOk();
    // Who did not come was waited for.
    $this->patchJson("api/lessons/{$wish}", ['state' => 'booked'])->assertUnprocessable();
    $this->patchJson("api/lessons/{$wish}", ['state' => 'booked', 'starts_at' => '2027-03-10T11:00:00Z'])->assertOk();
});

it('shows neither a wish nor what was cancelled on the day’s line', function (): void {
    Carbon::setTestNow('2027-03-10T08:00:00Z');
    $booked = ($this->book)('10:00')->json('id');
    ($this->book)('12:00', ['state' => 'wished']);
    $off = ($this->book)('14:00')->json('id');
    $this->patchJson("api/lessons/{$off}", ['state' => 'cancelled', 'ended_by' => 'other']);
    expect(array_column($this->getJson('api/today')->json('lessons'), 'id'))->toBe([$booked]);
});

it('gives back what a lesson that was cut short leaves, and counts what was driven', function (): void {
    $lesson = ($this->book)('10:00')->json('id');
    foreach ([['state' => 'cut-short'], ['state' => 'cut-short', 'cut_to_minutes' => 61], ['state' => 'done', 'cut_to_minutes' => 30]] as $wrong) {
        $this->patchJson("api/lessons/{$lesson}", $wrong)->assertUnprocessable()->assertJsonValidationErrors('cut_to_minutes');
    }
    $this->patchJson("api/lessons/{$lesson}", ['state' => 'cut-short', 'cut_to_minutes' => 25])->assertOk()->assertJsonPath('lasts_minutes', 25);
    $this->patchJson("api/lessons/{$lesson}", ['minutes' => 20])->assertUnprocessable()->assertJsonValidationErrors('minutes');
    ($this->book)('10:25', ['minutes' => 30])->assertCreated();
    expect($this->getJson("api/learners/{$this->ada->id}")->json('hours.total'))->toEqualWithDelta(25.0, 0.01);
});

it('writes on a lesson that clashes since before there was a diary, shows it to the owner, and holds its time once it is moved', function (): void {
    $lesson = ($this->book)('10:00')->json('id');
    $old = app(CurrentSchool::class)->within($this->school, function (): Lesson {
        $old = new Lesson(['learner_id' => $this->gus->id, 'vehicle_id' => $this->grey->id, 'starts_at' => '2027-03-10 10:30:00', 'minutes' => 60]);
        $old->instructor_id = $this->wanda->id;
        $old->save();
        Bookings::fill();

        return $old;
    });
    expect(($this->held)($old->id))->toBe([])->and(($this->held)($lesson))->toHaveCount(3);
    $this->patchJson("api/lessons/{$old->id}", ['aim' => 'Looking'])->assertOk();
    foreach ([[$this->wanda, 1], [$this->owner, 1], [$this->piet, 0]] as [$who, $number]) {
        expect($this->actingAs($who)->getJson('api/week?from=2027-03-08')->json('clashes'))->toHaveCount($number);
    }
    // Whoever looks: a colleague who reads the owner’s week is told of their own all the same.
    expect($this->actingAs($this->piet)->getJson("api/week?person={$this->owner->id}")->json('clashes'))->toBe([]);
    expect($this->actingAs($this->owner)->getJson('api/week')->json('clashes.0'))->toMatchArray([
        'instructor' => 'Wanda Orme', 'why' => ['Wanda Orme is taken from 10:00 to 11:00: a lesson with Ada.'],
    ]);
    $this->actingAs($this->wanda)->patchJson("api/lessons/{$old->id}", ['starts_at' => '2027-03-10T11:30:00Z'])->assertOk();
    expect(($this->held)($old->id))->toHaveCount(3)->and($this->getJson('api/week')->json('clashes'))->toBe([]);
});

it('tells a week day by day: lessons, what is driven between, when it gets dark', function (): void {
    ($this->book)('10:00');
    ($this->book)('11:02', ['learner_id' => $this->gus->id]);
    ($this->book)('17:45', ['minutes' => 90]);
    $week = $this->getJson('api/week?from=2027-03-08')->assertOk()->json();
    expect(array_column($week['days'], 'day'))->toBe(array_map(static fn (int $day): string => sprintf('2027-03-%02d', $day), range(8, 14)));
    $day = $week['days'][2];
    expect(array_column($day['lessons'], 'starts_at'))->toBe(['2027-03-10T10:00:00Z', '2027-03-10T11:02:00Z', '2027-03-10T17:45:00Z'])
        ->and($day['taught_minutes'])->toBe(210)->and($day['between'])->toHaveCount(2);
    // Gus lives some four kilometres away: two minutes are too few by all the others.
    [$between] = $day['between'];
    expect($between['free_minutes'])->toBe(2)->and($between['travel_minutes'])->toBeGreaterThan(5)
        ->and($between['short_minutes'])->toBe($between['travel_minutes'] - 2);
    // Against PHP's own sun, half a degree west of the zone's middle: the lesson ends in the dark.
    $sun = date_sun_info(strtotime('2027-03-10T12:00:00Z'), 49.2, -8.1);
    expect(abs(strtotime($day['sun']['sunset']) - $sun['sunset']))->toBeLessThan(120)
        ->and(abs(strtotime($day['sun']['last_light']) - $sun['civil_twilight_end']))->toBeLessThan(120)
        ->and($day['lessons'][2])->toMatchArray(['light_at_start' => 'day', 'light_at_end' => 'night'])
        ->and($day['lessons'][0])->toMatchArray(['light_at_start' => 'day', 'light_at_end' => 'day']);
    $this->school->update(['latitude_deg' => null, 'longitude_deg' => null]);
    expect($this->getJson('api/week?from=2027-03-08')->json('days.2.sun'))->toBeNull();
});

it('keeps to the clock of the school: a day of 23 hours, and whoever asks late in the evening', function (): void {
    ($this->book)('10:00', ['starts_at' => '2027-03-28T22:30:00Z', 'minutes' => 60]);
    $week = $this->getJson('api/week?from=2027-03-28&days=2')->json('days');
    // By the clock of that day it is half past eleven at night, an hour later than in UTC.
    expect($week[0]['lessons'])->toHaveCount(1)->and($week[1]['lessons'])->toBe([]);
    ($this->book)('10:00', ['starts_at' => '2027-03-28T23:30:00Z', 'minutes' => 60]);
    expect($this->getJson('api/week?from=2027-03-28&days=2')->json('days.1.lessons'))->toHaveCount(1);
});

it('says before it is written what a time would mean', function (): void {
    $gus = ($this->book)('11:00', ['learner_id' => $this->gus->id])->json('id');
    $ask = fn (array $of): array => $this->getJson('api/fit?'.http_build_query($of))->assertOk()->json();
    $new = ['learner_id' => $this->ada->id, 'vehicle_id' => $this->blue->id, 'minutes' => 60];
    expect($ask([...$new, 'starts_at' => '2027-03-10T10:30:00Z'])['clashes'])
        ->toBe(['Wanda Orme and the blue one are taken from 11:00 to 12:00: a lesson with Gus.']);
    $fit = $ask([...$new, 'starts_at' => '2027-03-10T09:58:00Z']);
    expect($fit['clashes'])->toBe([])->and($fit['before'])->toBeNull()->and($fit['after'])->toMatchArray(['free_minutes' => 2, 'name' => 'Gus'])
        ->and($fit['after']['short_minutes'])->toBeGreaterThan(3);
    // A lesson does not stand in its own way.
    expect($ask(['lesson' => $gus, 'starts_at' => '2027-03-10T11:30:00Z']))->toMatchArray(['clashes' => [], 'before' => null, 'after' => null]);
    $this->getJson('api/fit?starts_at=2027-03-10T10:00:00Z')->assertUnprocessable()->assertJsonValidationErrors(['learner_id', 'vehicle_id', 'minutes']);
});

it('offers times that can be booked as they are offered, one after the other, until there are none', function (): void {
    ($this->book)('09:30', ['learner_id' => $this->gus->id]);
    $this->actingAs($this->piet)->postJson('api/lessons', ($this->asked)('15:00', ['vehicle_id' => $this->grey->id]))->assertCreated();
    $this->actingAs($this->wanda);
    $free = fn (): array => $this->getJson('api/free?'.http_build_query([
        'learner_id' => $this->ada->id, 'vehicle_id' => $this->blue->id, 'minutes' => 60, 'from' => '2027-03-10', 'days' => 1,
    ]))->assertOk()->json();
    expect($free()[0])->toMatchArray(['starts_at' => '2027-03-10T08:00:00Z', 'before' => 'Gus', 'after' => null]);
    for ($n = 0; ($times = $free()) !== []; $n++) {
        ($this->book)('', ['starts_at' => $times[0]['starts_at']])->assertCreated();
    }
    // Never while Ada is with Piet, whose hour is hers as well.
    expect($n)->toBeGreaterThan(6)->toBeLessThan(12);
    $day = $this->getJson('api/week?from=2027-03-10&days=1')->json('days.0');
    expect(array_sum(array_column($day['between'], 'short_minutes')))->toBe(0);
});

it('finds in eight weeks at once what it finds in them two at a time, and looks no farther', function (): void {
    foreach (range(0, 55, 3) as $n) {
        $day = Carbon::parse('2027-03-10')->addDays($n)->toDateString();
        ($this->book)('', ['starts_at' => "{$day}T".sprintf('%02d:30:00Z', 8 + $n % 9), 'learner_id' => $n % 2 === 0 ? $this->ada->id : $this->gus->id])
            ->assertCreated();
    }
    $free = fn (string $from, int $days): array => $this->getJson('api/free?'.http_build_query([
        'learner_id' => $this->gus->id, 'vehicle_id' => $this->blue->id, 'minutes' => 90, 'from' => $from, 'days' => $days,
    ]))->assertOk()->json();
    $fortnights = array_map(static fn (int $n): array => $free(Carbon::parse('2027-03-10')->addDays(14 * $n)->toDateString(), 14), range(0, 3));
    expect($free('2027-03-10', 56))->toBe(array_merge(...$fortnights))->and(count($fortnights[3]))->toBeGreaterThan(14);
    $this->getJson('api/free?'.http_build_query(['learner_id' => $this->gus->id, 'vehicle_id' => $this->blue->id, 'minutes' => 90, 'days' => 57]))
        ->assertJsonValidationErrors(['days' => 'between 1 and 56']);
});

it('looks for free times within the hours that are worked and the most that is given, and says what lies outside', function (): void {
    $this->getJson('api/working-hours')->assertOk()->assertExactJson(['works_from' => '08:00', 'works_until' => '20:00', 'most_minutes' => null]);
    $this->putJson('api/working-hours', ['works_from' => '10:00', 'works_until' => '14:00', 'most_minutes' => 120])->assertOk();
    $asked = ['learner_id' => $this->gus->id, 'vehicle_id' => $this->grey->id, 'minutes' => 60];
    $free = fn (): array => $this->getJson('api/free?'.http_build_query([...$asked, 'from' => '2027-03-10', 'days' => 1]))->assertOk()->json();
    $notes = fn (string $at): array => $this->getJson('api/fit?'.http_build_query([...$asked, 'starts_at' => "2027-03-10T{$at}:00Z"]))
        ->assertOk()->json('notes');
    expect($free())->toHaveCount(1)->{0}->toMatchArray(['starts_at' => '2027-03-10T10:00:00Z', 'latest_at' => '2027-03-10T13:00:00Z'])
        ->and($notes('13:00'))->toBe([])->and($notes('13:30'))->toBe(['It ends at 14:30: the day is over at 14:00.']);
    $first = ($this->book)('11:00')->assertCreated()->json('id');
    expect($notes('12:30'))->toBe([]);
    $later = ($this->book)('16:00')->assertCreated()->json('id');
    // Two hours are given: no more is offered, and a third is said to be one too many; a lesson that is there does not count twice.
    expect($free())->toBe([])->and($notes('12:30'))->toBe(['3 h of lessons that day, where 2 h is the most.'])
        ->and($this->getJson("api/fit?lesson={$first}&starts_at=2027-03-10T12:00:00Z")->json('notes'))->toBe([]);
    $this->patchJson("api/lessons/{$later}", ['state' => 'cancelled', 'ended_by' => 'learner'])->assertOk();
    expect($free())->not->toBe([]);
    // It is said and not forbidden: each has their own.
    ($this->book)('07:00')->assertCreated();
    $this->putJson('api/working-hours', ['works_from' => '10:00', 'works_until' => '10:00'])->assertJsonValidationErrors(['works_until']);
    $this->actingAs($this->piet)->getJson('api/working-hours')->assertJson(['works_from' => '08:00']);
});

it('shows a colleague’s diary where the school lets it, and to its owner', function (): void {
    ($this->book)('10:00');
    $this->actingAs($this->piet)->getJson("api/week?from=2027-03-08&person={$this->wanda->id}")->assertOk()->assertJsonPath('person.name', 'Wanda Orme')
        ->assertJsonPath('days.2.lessons.0.learner.name', 'Ada');
    $this->school->update(['colleagues_read' => false]);
    $this->actingAs($this->piet->refresh())->getJson("api/week?person={$this->wanda->id}")->assertForbidden();
    $this->actingAs($this->owner->refresh())->getJson("api/week?person={$this->wanda->id}")->assertOk();
    $stranger = $this->user($this->school('Elsewhere'), 'owner');
    $this->actingAs($stranger)->getJson("api/week?person={$this->wanda->id}")->assertNotFound();
});

it('leaves with its instructor what a colleague has no time for', function (): void {
    ($this->book)('10:00');
    ($this->book)('12:00');
    $this->actingAs($this->piet)->postJson('api/lessons', ($this->asked)('12:30', ['learner_id' => $this->gus->id, 'vehicle_id' => $this->grey->id]));
    $this->actingAs($this->owner)->postJson("api/people/{$this->wanda->id}/hand-over", ['to' => $this->piet->id])->assertOk()
        ->assertExactJson(['moved' => 1, 'stayed' => 1]);
    expect(DB::table('bookings')->where('who_id', $this->piet->id)->count())->toBe(2)
        ->and(DB::table('bookings')->where('who_id', $this->wanda->id)->pluck('starts_at')->all())->toBe(['2027-03-10 12:00:00']);
});

it('takes the old word for a booked lesson from a device that was without signal', function (): void {
    $lesson = ($this->book)('10:00')->json('id');
    $this->patchJson("api/lessons/{$lesson}", ['state' => 'done'])->assertOk();
    $this->patchJson("api/lessons/{$lesson}", ['state' => 'planned'])->assertOk()->assertJsonPath('state', 'booked');
});

it('frees the hours ahead of somebody who is erased', function (): void {
    $lesson = ($this->book)('10:00')->json('id');
    $this->actingAs($this->owner)->postJson("api/learners/{$this->ada->id}/erasure", ['name' => 'Ada'])->assertSuccessful();
    expect(($this->held)($lesson))->toBe([]);
    ($this->book)('10:00', ['learner_id' => $this->gus->id])->assertCreated();
});

it('has a lesson again every week at the hour of the clock on the wall, each its own afterwards', function (): void {
    $first = ($this->book)('10:00', ['aim' => 'Right turns'])->json('id');
    $told = $this->getJson("api/series?lesson={$first}&weeks=1&times=4")->assertOk()->json();
    // The clocks change on the 28th.
    $starts = ['2027-03-17T10:00:00Z', '2027-03-24T10:00:00Z', '2027-03-31T09:00:00Z', '2027-04-07T09:00:00Z'];
    expect(array_column($told, 'starts_at'))->toBe($starts)->and(array_column($told, 'clashes'))->toBe([[], [], [], []])
        ->and(Lesson::withoutGlobalScopes()->count())->toBe(1);
    $booked = $this->postJson("api/lessons/{$first}/series", ['weeks' => 1, 'times' => 4])->assertCreated()->json();
    expect(array_column($booked['booked'], 'starts_at'))->toBe($starts)->and($booked['left_out'])->toBe([])
        ->and(array_unique(array_column($booked['booked'], 'aim')))->toBe([null]);
    $this->patchJson("api/lessons/{$booked['booked'][1]['id']}", ['starts_at' => '2027-03-25T15:00:00Z'])->assertOk();
    expect(Lesson::withoutGlobalScopes()->orderBy('starts_at')->pluck('starts_at')->map->toIso8601ZuluString()->all())->toBe(
        ['2027-03-10T10:00:00Z', $starts[0], '2027-03-25T15:00:00Z', $starts[2], $starts[3]],
    );
});

it('says which weeks of a series are taken, leaves them out, and mends it from what is there', function (): void {
    $first = ($this->book)('10:00')->json('id');
    $gus = ['learner_id' => $this->gus->id, 'starts_at' => '2027-03-24T10:30:00Z'];
    $other = ($this->book)('10:30', $gus)->assertCreated()->json('id');
    $said = 'Wanda Orme and the blue one are taken from 10:30 to 11:30: a lesson with Gus.';
    $asked = "api/series?lesson={$first}&weeks=1&times=3";
    expect(array_column($this->getJson($asked)->json(), 'clashes'))->toBe([[], [$said], []]);
    $series = fn (array $more = []): array => $this->postJson("api/lessons/{$first}/series", ['weeks' => 1, 'times' => 3, ...$more])->assertCreated()->json();
    $booked = $series(['without' => ['2027-03-31']]);
    expect(array_column($booked['booked'], 'starts_at'))->toBe(['2027-03-17T10:00:00Z'])
        ->and($booked['left_out'])->toBe([['starts_at' => '2027-03-24T10:00:00Z', 'why' => $said]]);
    $this->patchJson("api/lessons/{$other}", ['state' => 'cancelled', 'ended_by' => 'learner'])->assertOk();
    $mended = $series();
    expect(array_column($mended['booked'], 'starts_at'))->toBe(['2027-03-24T10:00:00Z', '2027-03-31T09:00:00Z'])
        ->and(array_column($mended['left_out'], 'starts_at'))->toBe(['2027-03-17T10:00:00Z']);
    expect(array_column($series()['booked'], 'starts_at'))->toBe([]);
});

it('goes on with an old series from now, and keeps whose it was', function (): void {
    $old = ($this->book)('10:00', ['starts_at' => '2027-01-06T10:00:00Z', 'minutes' => 90])->json('id');
    $this->actingAs($this->owner);
    $booked = $this->postJson("api/lessons/{$old}/series", ['weeks' => 2, 'times' => 2])->assertCreated()->json('booked');
    expect(array_column($booked, 'starts_at'))->toBe(['2027-03-03T10:00:00Z', '2027-03-17T10:00:00Z'])
        ->and(array_unique(array_column($booked, 'instructor_id')))->toBe([$this->wanda->id])->and($booked[0]['minutes'])->toBe(90);
    foreach ([['weeks' => 0, 'times' => 3], ['weeks' => 1, 'times' => 53], ['weeks' => 1, 'times' => 2, 'without' => ['soon']]] as $wrong) {
        $this->postJson("api/lessons/{$old}/series", $wrong)->assertUnprocessable();
    }
    $this->actingAs($this->piet)->postJson("api/lessons/{$old}/series", ['weeks' => 1, 'times' => 1])->assertForbidden();
    $this->actingAs($this->wanda);
    $this->ada->delete();
    $this->postJson("api/lessons/{$old}/series", ['weeks' => 1, 'times' => 1])->assertNotFound();
});

it('tells a series before there is a lesson', function (): void {
    $asked = http_build_query([...($this->asked)('18:00'), 'weeks' => 4, 'times' => 2]);
    $told = $this->getJson("api/series?{$asked}")->assertOk()->json();
    expect(array_column($told, 'day'))->toBe(['2027-04-07', '2027-05-05'])->and(array_column($told, 'light_at_end'))->toBe(['day', 'day']);
    $this->getJson('api/series?weeks=1&times=2')->assertUnprocessable()->assertJsonValidationErrors(['learner_id', 'vehicle_id', 'minutes', 'starts_at']);
});
