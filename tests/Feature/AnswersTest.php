<?php

use App\Models\Learner;
use App\Models\School;
use App\School\CurrentSchool;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Recording;

/*
 * Answers of the real application, recorded in tests/answers, on which the components of the interface are tested. Here they are held
 * against what is answered today, field by field and type by type; NOBLE_TURN_RECORD=1 records them anew.
 */

beforeEach(function (): void {
    $this->travelTo('2026-05-20 12:00:00');
    $world = $this->world('Saltmarsh School');
    [$this->owner, $ids] = [$world['owner'], $world['ids']];
    $this->ids = $ids;
    $school = School::query()->findOrFail($this->owner->school_id);
    $this->owner->update(['name' => 'Una Ridge']);
    [$leaving, $stays] = [$this->user($school, 'instructor', 'leaving@example.test'), $this->user($school, 'instructor', 'stays@example.test')];
    $leaving->update(['name' => 'Lev Heath']);
    $stays->update(['name' => 'Sunniva Oar']);
    foreach ([[$leaving, '10:00', 'Ada Ebb'], [$leaving, '14:00', 'Bo Tern'], [$stays, '10:30', 'Cy Dune']] as [$who, $at, $name]) {
        $lesson = $this->lesson($who)['lesson'];
        $lesson->update(['starts_at' => "2026-05-21 {$at}:00"]);
        $lesson->learner()->update(['name' => $name]);
    }
    $this->leaving = $leaving;
    $this->stays = $stays;
    $this->actingAs($this->owner);
    $this->postJson('api/people', ['name' => 'Nia New', 'email' => 'nia@example.test', 'role' => 'instructor'])->assertCreated();
    $this->travel(1)->seconds();
    $this->postJson("api/people/{$stays->id}/letter")->assertOk();
    $this->postJson("api/people/{$ids['person']}/suspension")->assertOk();
    DB::table('sessions')->where('user_id', $this->owner->id)->update([
        'user_agent' => 'Mozilla/5.0 (iPad) Safari/605', 'ip_address' => '192.0.2.7', 'last_activity' => now()->getTimestamp(),
    ]);
    $this->travel(1)->seconds();
    $this->putJson(
        "api/learners/{$ids['learner']}",
        [
            'name' => 'Wanda Wren', 'transmission' => 'manual', 'level' => 'developing', 'phone' => '0123 456', 'is_minor' => true,
            'guardian_name' => 'Walter Wren', 'reference_points' => [['what' => 'kerb under the mirror', 'where' => '0.5 m']],
        ],
    )->assertOk();
    $away = app(CurrentSchool::class)->within(
        $school, fn () => Learner::query()->create(['name' => 'Gus Away', 'transmission' => 'manual', 'level' => 'beginner']),
    );
    $this->deleteJson("api/learners/{$away->id}")->assertNoContent();
    $this->travel(1)->seconds();
    $this->deleteJson("api/places/{$ids['place']}")->assertNoContent();
    $this->postJson("api/places/{$ids['place']}/restore")->assertOk();
    $this->putJson('api/retention', ['keep_months' => 24, 'keep_minors_months' => 1])->assertOk();
});

it('answers as it was recorded for the components', function (string $name, Closure $ask): void {
    /** @var TestResponse $answer */
    $answer = $ask($this)->assertOk();
    Recording::hold($name, json_decode((string) $answer->getContent(), flags: JSON_THROW_ON_ERROR));
})->with([
    'people' => ['people', fn ($test) => $test->getJson('api/people')],
    'letters' => ['letters', fn ($test) => $test->getJson('api/letters')],
    'changes' => ['changes', fn ($test) => $test->getJson('api/changes')],
    'archived' => ['archived', fn ($test) => $test->getJson('api/archived')],
    'sessions' => ['sessions', fn ($test) => $test->getJson('api/sessions')],
    'retention' => ['retention', fn ($test) => $test->getJson('api/retention')],
    'lessons ahead' => ['lessons-ahead', fn ($test) => $test->getJson("api/people/{$test->leaving->id}/lessons-ahead?to={$test->stays->id}")],
    'all that is kept of a learner' => ['learner-data', fn ($test) => $test->getJson("api/learners/{$test->ids['learner']}/data")],
    'session' => ['session', fn ($test) => $test->getJson('api/session')],
]);
