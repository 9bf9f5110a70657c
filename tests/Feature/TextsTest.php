<?php

use App\Jobs\TellLearners;
use App\Models\Lesson;
use App\Models\School;
use App\Models\Text;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use NobleTurn\Core\Diary\TextKind;

/* Texts to learners: in the school's words, once, never at night, and not to those who want none. */

beforeEach(function (): void {
    Carbon::setTestNow('2027-03-01 12:00:00');
    $this->owner = $this->user($this->school(), 'owner');
    $this->school = School::query()->findOrFail($this->owner->school_id);
    $this->wanda = $this->user($this->school);
    $at = $this->lesson($this->wanda);
    [$this->learner, $this->car, $this->first] = [$at['learner'], $at['vehicle'], $at['lesson']];
    $this->learner->update(['name' => 'Ada Finn', 'phone' => '01632 960 1', 'pick_up' => 'Mole Street']);
    $this->wanda->update(['name' => 'Wanda Reed']);
    $this->first->update(['starts_at' => '2027-03-20 10:00:00']);
    $this->settings = [
        'on' => true, 'quiet_from' => '21:00', 'quiet_until' => '08:00', 'reminds_at' => '17:00',
        'words' => array_combine(array_column(TextKind::cases(), 'value'), array_map(
            static fn (TextKind $kind): string => "{$kind->value}: {learner} {day} {time} {minutes} {place}".($kind === TextKind::Moved ? ' was {was}' : ''),
            TextKind::cases(),
        )),
    ];
    $this->turnOn = fn (array $more = []) => $this->actingAs($this->owner)->putJson('api/school/texts', array_replace_recursive($this->settings, $more));
    $this->book = fn (string $at): string => $this->actingAs($this->wanda)->postJson('api/lessons', [
        'learner_id' => $this->learner->id, 'vehicle_id' => $this->car->id, 'starts_at' => $at, 'minutes' => 60,
    ])->assertCreated()->json('id');
    $this->change = fn (string $lesson, array $changes) => $this->actingAs($this->wanda)->patchJson("api/lessons/{$lesson}", $changes)->assertOk();
    // The clock goes on, and the worker looks.
    $this->at = function (string $moment): void {
        Carbon::setTestNow($moment);
        app()->call([new TellLearners, 'handle']);
    };
    $this->outbox = fn (): array => Text::query()->withoutGlobalScopes()->orderBy('made_at')->pluck('body')->all();
    $this->passOn = function (): void {
        foreach ($this->actingAs($this->wanda)->getJson('api/texts')->json() as $text) {
            $this->patchJson("api/texts/{$text['id']}", ['passed_on' => true])->assertOk();
        }
    };
});
afterEach(fn () => Carbon::setTestNow());

it('tells nobody anything until the owner says so, and then only what is new', function (): void {
    ($this->at)('2027-03-02 12:00:00');
    expect(($this->outbox)())->toBe([]);
    ($this->turnOn)()->assertOk()->assertJson(['on' => true]);
    ($this->at)('2027-03-02 13:00:00');
    // What was booked before was told by mouth.
    expect(($this->outbox)())->toBe([]);
    ($this->book)('2027-03-10T10:00:00Z');
    ($this->at)('2027-03-02 13:09:00');
    expect(($this->outbox)())->toBe([]);
    ($this->at)('2027-03-02 13:10:00');
    ($this->at)('2027-03-02 13:11:00');
    expect(($this->outbox)())->toBe(['booked: Ada Wednesday 10 March 10:00 60 Mole Street']);
    // Moved before it was told, but told by mouth before: by the clock of the school, which has changed by then.
    ($this->change)($this->first->id, ['starts_at' => '2027-03-30T10:00:00Z']);
    ($this->at)('2027-03-02 14:00:00');
    expect(($this->outbox)()[1])->toBe('moved: Ada Tuesday 30 March 11:00 60 Mole Street was Saturday 20 March, 10:00');
    ($this->turnOn)(['on' => false])->assertOk();
    $silent = ($this->book)('2027-03-11T10:00:00Z');
    ($this->change)($this->first->id, ['starts_at' => '2027-03-29T10:00:00Z']);
    ($this->at)('2027-03-03 13:00:00');
    // What changed meanwhile was told by mouth.
    ($this->turnOn)()->assertOk();
    ($this->at)('2027-03-03 14:00:00');
    expect(($this->outbox)())->toHaveCount(2);
    ($this->change)($silent, ['starts_at' => '2027-03-12T10:00:00Z']);
    ($this->at)('2027-03-03 15:00:00');
    expect(($this->outbox)()[2])->toEndWith('was Thursday 11 March, 10:00');
});

it('tells what is so in the end: what nobody has passed on was never heard', function (): void {
    ($this->turnOn)();
    $lesson = ($this->book)('2027-03-10T10:00:00Z');
    ($this->at)('2027-03-01 13:00:00');
    ($this->change)($lesson, ['starts_at' => '2027-03-11T10:00:00Z']);
    ($this->at)('2027-03-01 14:00:00');
    expect(($this->outbox)())->toBe(['booked: Ada Thursday 11 March 10:00 60 Mole Street']);
    // Cancelled before anybody heard of it: there is nothing to be told.
    ($this->change)($lesson, ['state' => 'cancelled', 'ended_by' => 'learner']);
    ($this->at)('2027-03-01 15:00:00');
    expect(($this->outbox)())->toBe([])->and(DB::table('told')->where('lesson_id', $lesson)->exists())->toBeFalse();

    $lesson = ($this->book)('2027-03-12T10:00:00Z');
    ($this->at)('2027-03-01 16:00:00');
    ($this->passOn)();
    foreach (['13', '14', '15'] as $i => $day) {
        ($this->change)($lesson, ['starts_at' => "2027-03-{$day}T10:00:00Z"]);
        ($this->at)('2027-03-01 '.(17 + $i).':00:00');
    }
    expect(($this->outbox)())->toHaveCount(2)->{1}->toBe('moved: Ada Monday 15 March 10:00 60 Mole Street was Friday 12 March, 10:00');
    // Back to what they know: nothing.
    ($this->change)($lesson, ['starts_at' => '2027-03-12T10:00:00Z']);
    ($this->at)('2027-03-01 20:00:00');
    expect(($this->outbox)())->toHaveCount(1);
    ($this->change)($lesson, ['state' => 'cancelled', 'ended_by' => 'learner']);
    ($this->at)('2027-03-01 20:30:00');
    expect(($this->outbox)()[1])->toBe('cancelled: Ada Friday 12 March 10:00 60 Mole Street');
});

it('tells who is met somewhere else, and not where only the plan changed', function (): void {
    ($this->turnOn)();
    $lesson = ($this->book)('2027-03-10T10:00:00Z');
    ($this->at)('2027-03-01 13:00:00');
    ($this->passOn)();
    ($this->change)($lesson, ['aim' => 'Right turns', 'drop_off' => 'Station']);
    ($this->at)('2027-03-01 14:00:00');
    expect(($this->outbox)())->toHaveCount(1);
    ($this->change)($lesson, ['pick_up' => 'College gate']);
    ($this->at)('2027-03-01 15:00:00');
    expect(($this->outbox)()[1])->toBe('moved: Ada Wednesday 10 March 10:00 60 College gate was Wednesday 10 March, 10:00');
    ($this->change)($lesson, ['pick_up' => null]);
    ($this->at)('2027-03-01 16:00:00');
    expect(($this->outbox)())->toHaveCount(1);
});

it('is quiet at night, and says whom to ring where the morning is too late', function (): void {
    ($this->turnOn)();
    $early = ($this->book)('2027-03-10T07:30:00Z');
    ($this->at)('2027-03-01 20:00:00');
    ($this->passOn)();
    Carbon::setTestNow('2027-03-09 20:55:00');
    ($this->change)($early, ['starts_at' => '2027-03-10T07:00:00Z']);
    $later = ($this->book)('2027-03-10T12:00:00Z');
    ($this->at)('2027-03-09 21:05:00');
    expect($this->getJson('api/texts')->json())->toHaveCount(1)->{0}->toMatchArray(['lesson_id' => $early, 'kind' => 'moved', 'unsent' => 'quiet']);
    ($this->at)('2027-03-10 07:59:00');
    expect($this->getJson('api/texts')->json())->toBe([]);
    ($this->at)('2027-03-10 08:00:00');
    expect($this->getJson('api/texts')->json())->toHaveCount(1)->{0}->toMatchArray(['lesson_id' => $later, 'kind' => 'booked', 'unsent' => null]);
});

it('reminds on the evening before, once', function (): void {
    ($this->turnOn)();
    foreach (['2027-03-19 16:59:00' => 0, '2027-03-19 17:00:00' => 1, '2027-03-19 17:01:00' => 1, '2027-03-20 09:00:00' => 1] as $moment => $count) {
        ($this->at)($moment);
        expect(($this->outbox)())->toHaveCount($count, $moment);
    }
    expect(($this->outbox)())->toBe(['day-before: Ada Saturday 20 March 10:00 60 Mole Street']);
});

it('leaves those alone who want none, and says whom to ring of what they have to hear', function (string $unsent, array $facts): void {
    ($this->turnOn)();
    $this->learner->update($facts);
    $lesson = ($this->book)('2027-03-10T10:00:00Z');
    ($this->at)('2027-03-01 13:00:00');
    ($this->at)('2027-03-09 18:00:00');
    expect(($this->outbox)())->toBe([]);
    ($this->change)($lesson, ['state' => 'cancelled', 'ended_by' => 'instructor']);
    ($this->at)('2027-03-09 18:30:00');
    expect($this->getJson('api/texts')->json())->toHaveCount(1)->{0}->toMatchArray(['kind' => 'cancelled', 'unsent' => $unsent, 'passed_on_at' => null]);
    ($this->passOn)();
    expect($this->getJson('api/texts')->json())->toBe([]);
})->with([['no-texts', ['wants_texts' => false]], ['no-number', ['phone' => null]]]);

it('tells by mouth what the school has no words for', function (): void {
    ($this->turnOn)(['words' => ['booked' => null]]);
    $lesson = ($this->book)('2027-03-10T10:00:00Z');
    ($this->at)('2027-03-01 13:00:00');
    ($this->change)($lesson, ['starts_at' => '2027-03-11T10:00:00Z']);
    ($this->at)('2027-03-01 14:00:00');
    expect(($this->outbox)())->toBe(['moved: Ada Thursday 11 March 10:00 60 Mole Street was Wednesday 10 March, 10:00']);
});

it('tells of a late day as it is agreed to, in the school’s words, and not a second time by the clock', function (): void {
    ($this->turnOn)();
    $next = ($this->book)('2027-03-02T10:00:00Z');
    $last = ($this->book)('2027-03-02T11:30:00Z');
    ($this->at)('2027-03-01 13:00:00');
    ($this->passOn)();
    // Nobody has passed on what was moved this morning: what runs late takes its place.
    ($this->change)($next, ['starts_at' => '2027-03-02T10:05:00Z']);
    ($this->at)('2027-03-02 08:30:00');
    expect(array_column($this->getJson('api/texts')->json(), 'kind'))->toBe(['moved']);
    ($this->change)($next, ['starts_at' => '2027-03-02T10:00:00Z']);
    Carbon::setTestNow('2027-03-02 09:55:00');
    $said = $this->getJson('api/late?minutes=20')->assertOk()->json();
    expect($said['fills_outbox'])->toBeTrue()->and($said['rest'][0]['text'])->toBe('late: Ada Tuesday 2 March 10:20 60 Mole Street');
    $this->postJson('api/late', ['minutes' => 20, 'lessons' => [['id' => $next, 'starts_at' => $said['rest'][0]['now_starts_at']]]])->assertNoContent();
    ($this->at)('2027-03-02 10:06:00');
    $texts = $this->getJson('api/texts')->json();
    expect(array_column($texts, 'kind'))->toBe(['late'])->and($texts[0]['lesson_id'])->toBe($next);
    expect(DB::table('texts')->where('lesson_id', $next)->count())->toBe(2);
    // Taken back before it was passed on: nobody has to hear of it.
    ($this->change)($next, ['starts_at' => '2027-03-02T10:00:00Z']);
    Carbon::setTestNow('2027-03-02 09:57:00');
    Lesson::query()->whereKey($next)->toBase()->update(['updated_at' => '2027-03-02 09:40:00']);
    ($this->at)('2027-03-02 09:57:00');
    expect($this->getJson('api/texts')->json())->toBe([])->and(DB::table('texts')->where('lesson_id', $last)->count())->toBe(1);
});

it('is put into the queue by the clock of the server, every minute', function (): void {
    Queue::fake();
    foreach (['2027-03-01 12:00:00', '2027-03-01 12:01:00'] as $minute) {
        Carbon::setTestNow($minute);
        expect(Artisan::call('schedule:run'))->toBe(0)->and(Artisan::output())->not->toContain('FAIL');
        Queue::assertPushed(TellLearners::class);
        Queue::fake();
        // The worker has done it.
        Cache::lock('laravel_unique_job:'.TellLearners::class.':')->forceRelease();
    }
});

it('says of a late day whom a text will tell, and who is to be rung', function (): void {
    ($this->book)('2027-03-02T10:00:00Z');
    $said = function (): array {
        Carbon::setTestNow('2027-03-02 09:55:00');

        return array_intersect_key($this->actingAs($this->wanda)->getJson('api/late?minutes=20')->json('rest.0'), ['may_text' => 0, 'is_told' => 0]);
    };
    expect($said())->toBe(['may_text' => true, 'is_told' => false]);
    ($this->turnOn)();
    expect($said())->toBe(['may_text' => true, 'is_told' => true]);
    $this->learner->update(['wants_texts' => false]);
    expect($said())->toBe(['may_text' => false, 'is_told' => false]);
    $this->learner->update(['wants_texts' => true, 'phone' => null]);
    expect($said())->toBe(['may_text' => true, 'is_told' => false]);
    $this->learner->update(['phone' => '01632 960 1']);
    // The school tells it by mouth.
    ($this->turnOn)(['words' => ['late' => null]]);
    expect($said())->toBe(['may_text' => true, 'is_told' => false]);
});

it('takes its words from the owner alone, and names what it does not know', function (): void {
    $this->actingAs($this->wanda)->getJson('api/school/texts')->assertForbidden();
    $this->actingAs($this->owner)->getJson('api/school/texts')->assertOk()->assertJson(['on' => false, 'quiet_from' => '21:00', 'outbox' => []]);
    foreach ([
        'words.moved' => ['words' => ['moved' => 'On {dya}']], 'words.booked' => ['words' => ['booked' => 'It was {was}']],
        'words.late' => ['words' => ['late' => str_repeat('x', 481)]], 'quiet_until' => ['quiet_until' => '21:00'], 'reminds_at' => ['reminds_at' => '25:00'],
    ] as $field => $wrong) {
        ($this->turnOn)($wrong)->assertStatus(422)->assertJsonValidationErrors([$field]);
    }
    expect($this->school->refresh()->texts)->toBeNull();
    // Their usual words know what stands in them.
    $usual = $this->getJson('api/school/texts')->json('usual');
    ($this->turnOn)(['words' => $usual])->assertOk();
});

it('shows each instructor their own lessons’ texts; a colleague neither sees nor passes them on', function (): void {
    ($this->turnOn)();
    ($this->book)('2027-03-10T10:00:00Z');
    ($this->at)('2027-03-01 13:00:00');
    $text = Text::query()->withoutGlobalScopes()->sole();
    $this->actingAs($this->user($this->school));
    expect($this->getJson('api/texts')->json())->toBe([]);
    $this->patchJson("api/texts/{$text->id}", ['passed_on' => true])->assertForbidden();
    $this->actingAs($this->wanda)->patchJson("api/texts/{$text->id}", ['passed_on' => true])->assertOk()
        ->assertJson(['passed_on_at' => '2027-03-01T13:00:00Z']);
    $this->patchJson("api/texts/{$text->id}", ['passed_on' => false])->assertOk()->assertJson(['passed_on_at' => null]);
});

it('keeps schools apart, and goes with the learner', function (): void {
    ($this->turnOn)();
    ($this->book)('2027-03-10T10:00:00Z');
    ($this->at)('2027-03-01 13:00:00');
    expect($this->getJson("api/learners/{$this->learner->id}/data")->json('texts'))->toHaveCount(1);
    $other = $this->user($this->school('Another School'), 'owner');
    $this->actingAs($other)->putJson('api/school/texts', $this->settings)->assertOk()->assertJson(['outbox' => []]);
    $this->actingAs($this->owner)->deleteJson("api/learners/{$this->learner->id}")->assertNoContent();
    $this->postJson("api/learners/{$this->learner->id}/erasure", ['name' => 'Ada Finn'])->assertSuccessful();
    expect(DB::table('texts')->count())->toBe(0);
    // Their lessons are off, and there is nobody to be told.
    ($this->at)('2027-03-01 15:00:00');
    expect(DB::table('texts')->count())->toBe(0);
});

it('tells everybody else where one cannot be told', function (): void {
    ($this->turnOn)();
    $broken = ($this->book)('2027-03-10T10:00:00Z');
    $whole = ($this->book)('2027-03-11T10:00:00Z');
    Text::creating(static function (Text $text) use ($broken): void {
        if ($text->lesson_id === $broken) {
            throw new RuntimeException('The row is refused.');
        }
    });
    ($this->at)('2027-03-01 13:00:00');
    expect(Text::query()->withoutGlobalScopes()->pluck('lesson_id')->all())->toBe([$whole])
        ->and(DB::table('told')->where('lesson_id', $broken)->exists())->toBeFalse();
    Text::flushEventListeners();
    Text::clearBootedModels();
    ($this->at)('2027-03-01 13:01:00');
    expect(Text::query()->withoutGlobalScopes()->count())->toBe(2);
});
