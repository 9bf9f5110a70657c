<?php

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use NobleTurn\Core\Skill\Trust;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\SimulatedLearner;

/* What was foretold is held against what came: of a lesson, of a learner, of the school; and who marks strictly. */

beforeEach(function (): void {
    Carbon::setTestNow('2027-03-01 08:00:00');
    $this->owner = $this->user($this->school(), 'owner');
    $school = App\Models\School::query()->findOrFail($this->owner->school_id);
    [$this->wanda, $this->jon] = [$this->user($school), $this->user($school)];
    $this->wanda->update(['name' => 'Wanda']);
    $this->jon->update(['name' => 'Jon']);
    $at = $this->lesson($this->wanda);
    [$this->learner, $this->car, $this->place] = [$at['learner'], $at['vehicle'], $at['place']];
    $this->actingAs($this->wanda);
    // A lesson of so many rounds on a day, each step as given.
    $this->drive = function (string $at, array $rounds, ?User $by = null, ?Learner $learner = null): Lesson {
        Carbon::setTestNow($at);
        $lesson = Lesson::query()->forceCreate([
            'school_id' => $this->owner->school_id, 'learner_id' => ($learner ?? $this->learner)->id, 'instructor_id' => ($by ?? $this->wanda)->id,
            'vehicle_id' => $this->car->id, 'starts_at' => $at,
            'minutes' => 60, 'state' => 'done',
        ]);
        $said = ['rounds' => [], 'marks' => []];
        foreach ($rounds as $i => $outcomes) {
            $when = Carbon::parse($at)->addMinutes(3 * $i)->toIso8601ZuluString();
            $said['rounds'][] = [
                'id' => $round = (string) Str::uuid7(), 'lesson_id' => $lesson->id, 'place_id' => $this->place->id, 'routine' => 'emerge-right',
                'conditions' => [],
                'device_at' => $when,
            ];
            foreach ($outcomes as $step => $outcome) {
                $said['marks'][] = [
                    'id' => (string) Str::uuid7(), 'round_id' => $round, 'kind' => 'step', 'step' => $step, 'outcome' => $outcome, 'device_at' => $when,
                ];
            }
        }
        Carbon::setTestNow(Carbon::parse($at)->addHour());
        // Days later everybody has signed in anew.
        $this->flushSession();
        $this->actingAs($by ?? $this->wanda)->postJson('api/sync', $said)->assertOk();

        return $lesson;
    };
    $this->steps = fn (string $outcome, int $rounds): array => array_fill(
        0, $rounds, array_fill_keys(['mirrors', 'signal', 'position', 'speed', 'look'], $outcome),
    );
    $this->latest = fn (): ?array => $this->actingAs($this->wanda)->getJson("api/learners/{$this->learner->id}/foretelling")->assertOk()->json('latest');
});
afterEach(fn () => Carbon::setTestNow());

it('holds each lesson against what was foretold before it, and keeps it', function (): void {
    expect(($this->latest)())->toBeNull();
    ($this->drive)('2027-03-01 10:00:00', ($this->steps)('prompted', 4));
    // Nothing was known before the first.
    expect(($this->latest)())->toBeNull();
    ($this->drive)('2027-03-08 10:00:00', ($this->steps)('prompted', 4));
    $two = ($this->latest)();
    expect($two)->toMatchArray(['lessons' => 1, 'marks' => 20, 'trust' => Trust::TooEarly->value])
        ->and(array_sum(array_column($two['bins'], 'marks')))->toBe(20)
        ->and(array_sum(array_column($two['bins'], 'unaided')))->toBe(0);
    $kept = DB::table('told_lessons')->orderBy('ended_at')->get();
    expect($kept)->toHaveCount(2)->and($kept[0]->foretold)->toBeNull()->and($kept[1]->foretold)->not->toBeNull();
    // Read again it comes from where it was kept.
    DB::table('told_lessons')->where('lesson_id', $kept[1]->lesson_id)->update(['body' => str_replace('"marks":20', '"marks":21', $kept[1]->body)]);
    expect(($this->latest)()['marks'])->toBe(21);
});

it('relies on a record of marks as learners make them, and says so only after some lessons', function (): void {
    $learner = new SimulatedLearner(new Approaches(11), 'fast');
    $trust = [];
    for ($week = 1; $week <= 5; $week++) {
        $rounds = [];
        foreach ($learner->drive(6, ['emerge-right']) as $one) {
            $rounds[$one->at->getTimestamp()][$one->step->value] = $one->mark->outcome->value;
        }
        ($this->drive)(Carbon::parse('2027-03-01 10:00:00')->addWeeks($week)->format('Y-m-d H:i:s'), array_values($rounds));
        $trust[] = ($this->latest)()['trust'] ?? null;
    }
    expect($trust)->toBe([null, Trust::TooEarly->value, Trust::TooEarly->value, Trust::Trusted->value, Trust::Trusted->value]);
});

it('passes over lessons in which hardly anything was marked: they do not push out those that say something', function (): void {
    foreach ([1, 8, 15, 22] as $day) {
        ($this->drive)(sprintf('2027-03-%02d 10:00:00', $day), ($this->steps)('prompted', 4));
    }
    $before = ($this->latest)();
    foreach (range(1, 9) as $day) {
        ($this->drive)(sprintf('2027-04-%02d 10:00:00', $day), ($this->steps)('unaided', 1));
    }
    expect(($this->latest)())->toBe($before)->and($before['lessons'])->toBe(3);
    // The owner's page passes over the same.
    $this->actingAs($this->wanda);
    foreach (DB::table('lessons')->where('learner_id', $this->learner->id)->pluck('id') as $lesson) {
        $this->getJson("api/lessons/{$lesson}/changed")->assertOk();
    }
    expect($this->actingAs($this->owner)->getJson('api/school/foretelling')->json('school.lessons'))->toBe(3);
});

it('makes anew what hangs on a mark that is corrected, and only that', function (): void {
    $first = ($this->drive)('2027-03-01 10:00:00', ($this->steps)('prompted', 3));
    $second = ($this->drive)('2027-03-08 10:00:00', ($this->steps)('prompted', 3));
    $third = ($this->drive)('2027-03-15 10:00:00', ($this->steps)('prompted', 3));
    ($this->latest)();
    $stands = fn (): array => DB::table('told_lessons')->pluck('stands_for', 'lesson_id')->all();
    $before = $stands();
    $mark = DB::table('marks')->join('rounds', 'rounds.id', '=', 'marks.round_id')->where('rounds.lesson_id',
        $second->id)->first(['marks.id', 'marks.round_id', 'marks.step']);
    $this->postJson('api/sync', ['rounds' => [], 'marks' => [[
        'id' => (string) Str::uuid7(), 'round_id' => $mark->round_id, 'kind' => 'step', 'step' => $mark->step, 'outcome' => 'unaided',
        'corrects_id' => $mark->id,
        'device_at' => now()->toIso8601ZuluString(),
    ]]])->assertOk();
    ($this->latest)();
    $after = $stands();
    expect($after[$first->id])->toBe($before[$first->id])->and($after[$second->id])->not->toBe($before[$second->id])
        ->and($after[$third->id])->not->toBe($before[$third->id]);
    // A word that is said today changes nothing of what was to be believed then.
    $this->postJson("api/learners/{$this->learner->id}/overrulings", [
        'routine' => 'emerge-right', 'step' => 'look', 'level' => 'mostly', 'reason' => 'Saw more than was marked.',
    ])->assertCreated();
    ($this->latest)();
    expect($stands())->toBe($after);
});

it('tells of a lesson what it changed, and of a square its history, from the same', function (): void {
    $lessons = array_map(fn (int $week): Lesson => ($this->drive)(sprintf('2027-03-%02d 10:00:00', 7 * $week - 6), ($this->steps)(
        ['prompted', 'reminded', 'unaided'][$week - 1], 3,
    )), [1, 2, 3]);
    $history = $this->getJson("api/learners/{$this->learner->id}/skill/emerge-right/look")->assertOk()->json('history');
    expect(array_column($history, 'lesson'))->toBe(array_column($lessons, 'id'))->and(array_column($history, 'unaided'))->toBe([0, 0, 3]);
    foreach ($lessons as $i => $lesson) {
        $changed = collect($this->getJson("api/lessons/{$lesson->id}/changed")->assertOk()->json())->firstWhere('step', 'look');
        expect($changed['after']['estimate'])->toBe($history[$i]['estimate'])->and($changed['before'] === null)->toBe($i === 0);
    }
    expect($history[2]['estimate'])->toBeGreaterThan($history[0]['estimate']);
});

it('shows the owner alone how well the school is foretold, of whom it is not, and who marks how', function (): void {
    Bus::fake();
    $toss = fn (int $i): array => ($this->steps)(['unaided', 'intervened'][(int) ($i % 3 === 0)], 1)[0];
    $second = Learner::query()->create(['name' => 'Ben Other', 'transmission' => 'manual', 'level' => 'beginner', 'pick_up' => 'There']);
    foreach (range(1, 6) as $week) {
        $day = Carbon::parse('2027-03-01 09:00:00')->addWeeks($week)->format('Y-m-d');
        ($this->drive)("{$day} 10:00:00", array_map($toss, range($week, $week + 5)));
        // Jon marks the same learner a rung lower.
        ($this->drive)("{$day} 12:00:00", ($this->steps)($week % 2 === 0 ? 'reminded' : 'missed', 5), $week % 2 === 0 ? $this->wanda : $this->jon, $second);
    }
    $told = fn (): array => $this->actingAs($this->owner)->getJson('api/school/foretelling')->assertOk()->json();
    // Nothing is reckoned while somebody waits.
    expect($told())->toMatchArray(['learners' => 0, 'school' => null, 'doubted' => [], 'instructors' => []]);
    foreach ([$this->learner->id, $second->id] as $id) {
        $this->actingAs($this->wanda)->getJson("api/learners/{$id}/foretelling")->assertOk();
        $this->getJson("api/learners/{$id}/skill")->assertOk();
    }
    $school = $told();
    expect($school['learners'])->toBe(2)->and($school['school']['lessons'])->toBe(10)
        ->and(array_column(array_column($school['doubted'], 'learner'), 'id'))->toContain($this->learner->id)
        ->and($school['doubted'][0]['message'])->toStartWith('Not to be relied on');
    $instructors = collect($school['instructors'])->keyBy('user.name');
    expect(array_column(array_column($school['instructors'], 'user'), 'name'))->toBe(['Jon', 'Wanda'])
        ->and($instructors['Jon']['stricter'])->toBeGreaterThan($instructors['Wanda']['stricter'])->and($instructors['Jon']['learners'])->toBe(1)
        ->and($instructors['Jon']['low'])->toBeLessThan($instructors['Jon']['high']);
    $this->actingAs($this->wanda)->getJson('api/school/foretelling')->assertForbidden();
    // Who is archived is no longer counted; who is erased leaves nothing.
    $second->delete();
    expect($told()['learners'])->toBe(1);
    $kept = fn (): int => DB::table('told_lessons')->where('learner_id', $this->learner->id)->count();
    expect($kept())->toBeGreaterThan(0);
    $this->postJson("api/learners/{$this->learner->id}/erasure", ['name' => $this->learner->name])->assertSuccessful();
    expect($kept())->toBe(0)->and($told()['learners'])->toBe(0);
});
