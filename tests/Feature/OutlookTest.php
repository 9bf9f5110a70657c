<?php

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\SkillAnswer;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/* Who needs a word: how far everybody is from their test, whether they gain, and what is booked, worked out in the background. */

beforeEach(function (): void {
    Carbon::setTestNow('2027-03-01 08:00:00');
    $school = $this->school();
    [$this->owner, $this->instructor] = [$this->user($school, 'owner'), $this->user($school)];
    $at = $this->lesson($this->instructor);
    [$this->learner, $this->car, $this->place] = [$at['learner'], $at['vehicle'], $at['place']];
    Lesson::query()->whereKey($at['lesson']->id)->forceDelete();
    $this->book = fn (string $at, string $state = 'booked'): Lesson => Lesson::query()->forceCreate([
        'school_id' => $this->owner->school_id, 'learner_id' => $this->learner->id, 'instructor_id' => $this->instructor->id, 'vehicle_id' => $this->car->id,
        'starts_at' => $at, 'minutes' => 60, 'state' => $state,
    ]);
    // A lesson of three rounds, every step of them alike.
    $this->drive = function (string $at, string $outcome): void {
        Carbon::setTestNow($at);
        $this->flushSession();
        $this->actingAs($this->instructor);
        $lesson = ($this->book)($at, 'done');
        $said = ['rounds' => [], 'marks' => []];
        foreach ([0, 1, 2] as $i) {
            $when = Carbon::parse($at)->addMinutes(3 * $i)->toIso8601ZuluString();
            $said['rounds'][] = [
                'id' => $round = (string) Str::uuid7(), 'lesson_id' => $lesson->id, 'place_id' => $this->place->id, 'routine' => 'emerge-right',
                'conditions' => [], 'device_at' => $when,
            ];
            foreach (['mirrors', 'signal', 'position', 'speed', 'look'] as $step) {
                $said['marks'][] = [
                    'id' => (string) Str::uuid7(), 'round_id' => $round, 'kind' => 'step', 'step' => $step, 'outcome' => $outcome, 'device_at' => $when,
                ];
            }
        }
        Carbon::setTestNow(Carbon::parse($at)->addHour());
        $this->postJson('api/sync', $said)->assertOk();
    };
    $this->found = function (): array {
        $this->flushSession();
        $this->actingAs($this->owner)->postJson('api/school/records')->assertOk()->assertJsonPath('stale', 0);

        return collect($this->getJson('api/school/learners')->assertOk()->json('learners'))->firstWhere('id', $this->learner->id);
    };
});
afterEach(fn () => Carbon::setTestNow());

it('says of somebody without marks that nobody can say, and what is booked', function (): void {
    $found = ($this->found)();
    expect($found['outlook'])->toMatchArray(['verdict' => 'unknown', 'chance' => null, 'lessons' => null, 'standstill' => null])
        ->and($found['next_lesson_at'])->toBeNull()->and($found['test_at'])->toBeNull();
    ($this->book)('2027-03-09 10:00:00', 'cancelled');
    ($this->book)('2027-03-10 10:00:00');
    ($this->book)('2027-03-12 10:00:00');
    ($this->book)('2027-02-12 10:00:00');

    expect(($this->found)()['next_lesson_at'])->toBe('2027-03-10T10:00:00Z');
});

it('sees who stands still, and forgets it once they climb', function (): void {
    $day = Carbon::parse('2027-03-01 10:00:00');
    for ($i = 0; $i < 9; $i++) {
        ($this->drive)($day->toDateTimeString(), 'prompted');
        $day->addWeek();
    }
    $still = ($this->found)()['outlook']['standstill'];
    expect($still)->toMatchArray(['lessons' => 5, 'steps' => 5, 'marks' => 75])->and($still['gain'])->toBeLessThan(0.03)
        ->and($still['message'])->toEndWith('.');
    foreach (['reminded', 'unaided', 'unaided', 'unaided'] as $outcome) {
        ($this->drive)($day->toDateTimeString(), $outcome);
        $day->addWeek();
    }

    expect(($this->found)()['outlook']['standstill'])->toBeNull();
});

it('says that a test is too early, as soon as it is booked', function (): void {
    ($this->drive)('2027-03-01 10:00:00', 'prompted');
    expect(($this->found)()['outlook']['in_time'])->toBeNull();
    $this->actingAs($this->owner)->postJson('api/busy-times', [
        'kind' => 'test', 'title' => 'Test', 'vehicle_id' => $this->car->id, 'learner_id' => $this->learner->id, 'user_id' => $this->instructor->id,
        'starts_at' => '2027-03-12T10:00:00Z', 'ends_at' => '2027-03-12T11:00:00Z',
    ])->assertCreated();
    // The record is of yesterday's marks still; the outlook is not.
    expect($this->getJson('api/school/learners')->json('stale'))->toBe(1);
    $found = ($this->found)();

    expect($found['test_at'])->toBe('2027-03-12T10:00:00Z')->and($found['outlook']['in_time'])->toBeFalse()
        ->and($found['outlook']['lessons']['middle'])->toBeGreaterThan($found['outlook']['lessons_by_test']);
});

it('counts what is booked before the test, however little was driven lately', function (): void {
    ($this->drive)('2027-03-01 10:00:00', 'prompted');
    $this->actingAs($this->owner)->postJson('api/busy-times', [
        'kind' => 'test', 'title' => 'Test', 'vehicle_id' => $this->car->id, 'learner_id' => $this->learner->id, 'user_id' => $this->instructor->id,
        'starts_at' => '2027-03-03T10:15:00Z', 'ends_at' => '2027-03-03T11:15:00Z',
    ])->assertCreated();
    $page = fn (): string => $this->getJson("api/learners/{$this->learner->id}/ready")->assertOk()->json('message');
    expect(($this->found)()['outlook']['lessons_by_test'])->toBe(0)->and($page())->toEndWith('Before the test there is time for none: it wants moving.');
    // The hour before it, and what is called off, only wished for, or after it.
    ($this->book)('2027-03-03 09:00:00');
    ($this->book)('2027-03-02 09:00:00', 'cancelled');
    ($this->book)('2027-03-02 15:00:00', 'wished');
    ($this->book)('2027-03-04 09:00:00');
    expect(($this->found)()['outlook']['lessons_by_test'])->toBe(1)
        ->and($page())->toEndWith('Until the test only 1 is booked: it wants moving, or more lessons.');
    ($this->book)('2027-03-02 17:00:00');
    expect($this->getJson('api/school/learners')->json('stale'))->toBe(1)->and(($this->found)()['outlook']['lessons_by_test'])->toBe(2);
});

it('works an outlook out once, and again only where something it hangs on has changed', function (): void {
    ($this->drive)('2027-03-01 10:00:00', 'prompted');
    ($this->found)();
    $kept = SkillAnswer::query()->sole();
    $kept->forceFill(['outlook' => ['verdict' => 'nearly'] + $kept->outlook])->save();
    expect(($this->found)()['outlook']['verdict'])->toBe('nearly');
    // A mock test that was passed changes what is missing, not the marks.
    $this->actingAs($this->owner)->postJson("api/learners/{$this->learner->id}/assessments", [
        'kind' => 'mock-test', 'taken_at' => '2027-03-01T10:30:00Z', 'faults' => [],
    ])->assertCreated();
    $before = $kept->outlook['missing'];
    $found = ($this->found)();

    expect($found['outlook']['verdict'])->toBe('not-yet')->and($found['outlook']['missing'])->toBe($before - 1)
        ->and(SkillAnswer::query()->sole()->stands_for)->toBe($kept->stands_for);
});

it('shows nobody of another school', function (): void {
    ($this->found)();
    $other = $this->user($this->school('Other'), 'owner');
    $this->flushSession();
    $this->actingAs($other);
    $this->postJson('api/school/records')->assertOk();

    expect($this->getJson('api/school/learners')->json('learners'))->toBe([])->and(Learner::query()->count())->toBe(0);
});
