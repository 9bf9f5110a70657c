<?php

use App\Contract\Document;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Promise;
use App\Models\Round;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** What the server does so that a page can go on without it. */
beforeEach(function (): void {
    $this->instructor = $this->user($this->school());
    $this->at = $this->lesson($this->instructor);
    $this->actingAs($this->instructor);
    $this->travelTo(Carbon::parse('2026-05-20T06:00:00Z'));
    $this->at['lesson']->update(['starts_at' => '2026-05-20T09:00:00Z', 'minutes' => 60]);
    $this->lessonAt = function (string $starts, int $minutes = 60, string $state = 'booked'): Lesson {
        $lesson = $this->at['lesson']->replicate();
        $lesson->fill(['starts_at' => $starts, 'minutes' => $minutes, 'state' => $state])->save();

        return $lesson;
    };
});

it('tells every lesson of the day in as many words as the next one, so that the day goes on without being asked again', function (): void {
    $first = $this->at['lesson'];
    $this->postJson("api/lessons/{$first->id}/items", ['place_id' => $this->at['place']->id])->assertCreated();
    $second = ($this->lessonAt)('2026-05-20T11:00:00Z');
    $this->postJson("api/lessons/{$second->id}/items", ['place_id' => $this->at['place']->id])->assertCreated();
    $done = ($this->lessonAt)('2026-05-20T07:00:00Z', state: 'done');
    $cancelled = ($this->lessonAt)('2026-05-20T10:00:00Z', state: 'cancelled');
    $tomorrow = ($this->lessonAt)('2026-05-21T09:00:00Z');
    Promise::query()->create(['lesson_id' => $done->id, 'learner_id' => $this->at['learner']->id, 'kind' => 'promise', 'text' => 'Look both ways']);
    $today = $this->getJson('api/today?day=2026-05-20')->assertOk()->json();
    expect($today['next']['id'])->toBe($first->id)->and(array_column($today['later'], 'id'))->toBe([$second->id])
        ->and($today['later'][0]['items'][0]['place']['id'])->toBe($this->at['place']->id)
        ->and(array_column($today['later'][0]['promised'], 'text'))->toBe(['Look both ways'])
        ->and(array_column($today['lessons'], 'id'))->not->toContain($cancelled->id)->not->toContain($tomorrow->id);
    // When both are over, the next one is on another day, and nothing is later.
    $this->travelTo('2026-05-20 12:00:01');
    $evening = $this->getJson('api/today?day=2026-05-20')->json();
    expect($evening['next']['id'])->toBe($tomorrow->id)->and($evening['later'])->toBe([]);
});

it('tells a day to come as it will stand on its morning', function (): void {
    ($this->lessonAt)('2026-05-21T13:00:00Z');
    $early = ($this->lessonAt)('2026-05-21T09:00:00Z');
    $tomorrow = $this->getJson('api/today?day=2026-05-21')->assertOk()->json();
    expect($tomorrow['next']['id'])->toBe($early->id)->and($tomorrow['later'])->toHaveCount(1)
        ->and(array_column($tomorrow['lessons'], 'id'))->not->toContain($this->at['lesson']->id);
});

it('is asked for a day as often as it holds lessons: no more questions to the database for eight than for two', function (): void {
    $asked = function (): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->getJson('api/today?day=2026-05-20')->assertOk();

        return count(DB::getQueryLog());
    };
    ($this->lessonAt)('2026-05-20T11:00:00Z');
    $asked();
    $two = $asked();
    foreach (range(12, 17) as $hour) {
        ($this->lessonAt)("2026-05-20T{$hour}:00:00Z");
    }
    expect($asked())->toBe($two);
});

it('says with every answer of the API in which form it speaks, refusals too', function (): void {
    $form = substr(hash('sha256', (string) file_get_contents(Document::path())), 0, 12);
    expect($form)->toMatch('/^[0-9a-f]{12}$/');
    $this->getJson('api/today')->assertHeader('X-Contract', $form);
    $this->getJson('api/nothing')->assertNotFound()->assertHeader('X-Contract', $form);
    $this->postJson('api/sync', [])->assertUnprocessable()->assertHeader('X-Contract', $form);
    // The page itself, built or not.
    $this->withoutVite();
    expect($this->get('/')->assertOk()->headers->has('X-Contract'))->toBeFalse();
});

it('takes nothing of a newer page by halves: what it does not know it refuses, and everything stays where it was made', function (string $where): void {
    $round = [
        'id' => (string) Str::uuid7(), 'lesson_id' => $this->at['lesson']->id, 'place_id' => $this->at['place']->id, 'routine' => 'emerge-right',
        'device_at' => '2026-05-20T09:10:00Z',
    ];
    $mark = [
        'id' => (string) Str::uuid7(), 'round_id' => $round['id'], 'kind' => 'step', 'step' => 'look', 'outcome' => 'missed',
        'device_at' => '2026-05-20T09:11:00Z',
    ];
    $newer = ['rounds' => [$round], 'marks' => [$mark]];
    $newer[$where][0]['heart_rate'] = 90;
    $this->postJson('api/sync', $newer)->assertStatus(426)->assertJsonPath('message', fn (string $said): bool => str_contains($said, 'newer than the server'));
    expect(Round::query()->count())->toBe(0)->and(Mark::query()->count())->toBe(0);
    // An older page says less, and is understood.
    $this->postJson('api/sync', ['rounds' => [$round], 'marks' => [$mark]])->assertOk();
    expect(Mark::query()->count())->toBe(1);
})->with(['rounds', 'marks']);

it('gives the page itself no session: fetched to be kept while somebody signs in, it would put them out again', function (): void {
    $this->withoutVite();
    foreach (['/', '/learners', '/lessons/x/plan'] as $address) {
        $this->get($address)->assertOk()->assertHeaderMissing('Set-Cookie');
    }
    $this->getJson('api/session')->assertHeader('Set-Cookie');
});

it('lets the pages be opened by a worker beside them, from its own files alone', function (): void {
    $this->withoutVite();
    $policy = (string) $this->get('/')->assertOk()->headers->get('Content-Security-Policy');
    expect($policy)->toContain("worker-src 'self'")->toContain("manifest-src 'self'")->not->toContain('unsafe-eval');
    $manifest = json_decode((string) file_get_contents(public_path('manifest.webmanifest')), true, flags: JSON_THROW_ON_ERROR);
    expect($manifest)->toMatchArray(['start_url' => '/', 'scope' => '/', 'display' => 'standalone']);
    foreach ($manifest['icons'] as $icon) {
        $file = public_path($icon['src']);
        expect($file)->toBeFile();
        if ($icon['type'] === 'image/png') {
            expect(implode('x', array_slice((array) getimagesize($file), 0, 2)))->toBe($icon['sizes']);
        }
    }
});

it('keeps what was agreed without signal once, under the number it was given there, however often it arrives', function (): void {
    $lesson = $this->at['lesson']->id;
    $said = ['id' => (string) Str::uuid7(), 'kind' => 'homework', 'text' => 'Say the mirrors aloud'];
    $this->postJson("api/lessons/{$lesson}/promises", $said)->assertCreated()->assertJsonPath('id', $said['id']);
    $this->postJson("api/lessons/{$lesson}/promises", $said)->assertCreated();
    expect(array_column($this->getJson("api/lessons/{$lesson}")->json('promises'), 'id'))->toBe([$said['id']]);
    // Taken off since, the late copy of its first arrival does not bring it back.
    $this->deleteJson("api/promises/{$said['id']}")->assertNoContent();
    $this->postJson("api/lessons/{$lesson}/promises", $said);
    expect($this->getJson("api/lessons/{$lesson}")->json('promises'))->toBe([]);
    // A number that is taken is nobody else’s, in this school or another.
    $other = ($this->lessonAt)('2026-05-20T11:00:00Z');
    $this->postJson("api/lessons/{$other->id}/promises", $said)->assertUnprocessable()->assertJsonValidationErrors('id');
    $theirs = $this->lesson($stranger = $this->user($this->school()));
    $this->actingAs($stranger)->postJson("api/lessons/{$theirs['lesson']->id}/promises", $said)->assertUnprocessable()
        ->assertJsonMissing(['text' => $said['text']]);
});
