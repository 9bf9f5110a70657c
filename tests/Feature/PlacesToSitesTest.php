<?php

use App\Models\Place;
use App\Models\PlannedItem;
use App\Models\Site;
use App\Sites\PlacesToSites;
use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;

/* Places that were described one by one become ways of sites, planned as they were. */

beforeEach(function (): void {
    $this->owner = $this->user($this->school(), 'owner');
    $this->actingAs($this->owner);
    $this->described = fn (string $name, string $routine, array $road = [], string $pack = 'gb'): Place => Place::query()->create([
        'name' => $name, 'routine' => $routine, 'road' => Road::of(RoutineCode::from($routine), $road, RulePacks::byCode($pack))->toArray(),
    ]);
    // Of a lesson only: what else there is of the school is not in the way.
    $this->lessonOf = function ($who): App\Models\Lesson {
        ['lesson' => $lesson, 'place' => $place] = $this->lesson($who);
        $place->delete();

        return $lesson;
    };
    $this->plan = function (Place $place): array {
        $lesson = ($this->lessonOf)($this->owner);
        $asked = $this->postJson("api/lessons/{$lesson->id}/items", ['place_id' => $place->id])->assertCreated()->json('plan');

        return array_diff_key($this->postJson("api/compute/{$asked['tool']}", $asked['inputs'])->assertOk()->json(), ['assumptions' => 0, 'warnings' => 0]);
    };
});

it('draws a place as a site of its own, called as it was, with the roads its name says', function (string $name, string $routine, array $road,
    array $roads): void {
    $place = ($this->described)($name, $routine, $road);
    $before = ($this->plan)($place);
    expect(PlacesToSites::all())->toBe(1);
    $site = Site::query()->sole();
    $place = Place::query()->sole();
    expect($site->name)->toBe($name)->and($place->name)->toBe($name)->and($place->site_id)->toBe($site->id)
        ->and(array_column($site->arms, 'name', 'id'))->toMatchArray($roads)->and(($this->plan)($place))->toEqual($before);
    // Drawn anew as it is: the place stays what it was.
    $drawn = $this->getJson("api/sites/{$site->id}")->json();
    $this->putJson("api/sites/{$site->id}", ['name' => 'Called otherwise', 'kind' => $drawn['kind'], 'arms' => $drawn['arms']])->assertOk();
    expect(($this->plan)(Place::query()->sole()))->toEqual($before)->and(Place::query()->sole()->name)->toBe('Called otherwise');
    expect(PlacesToSites::all())->toBe(0);
})->with([
    ['Ropewalk into Quay Street, uphill', 'emerge-right', ['limit_mph' => 30, 'gradient' => 0.05, 'control' => 'stop'],
        ['s' => 'Ropewalk', 'e' => 'Quay Street']],
    ['Quay Street into Ropewalk', 'turn-left', ['limit_mph' => 30], ['e' => 'Quay Street', 'w' => 'Quay Street', 's' => 'Ropewalk']],
    ['Cannery Street, the narrow end', 'meet', ['limit_mph' => 20, 'road_width_m' => 5.5], ['w' => 'Cannery Street', 'e' => 'Cannery Street']],
    ['Lifeboat roundabout to Gull Road', 'roundabout', ['exit' => 'right'], ['s' => 'The road in', 'e' => 'Gull Road']],
    ['Behind the mill', 'hump', [], ['w' => 'The road in']],
]);

it('leaves as it is what is taught under several laws, under one that nobody can tell, or archived already', function (): void {
    $there = $this->user($this->owner->school, 'instructor');
    $there->forceFill(['pack' => 'na'])->save();
    $unused = ($this->described)('Unused', 'turn-left');
    $both = ($this->described)('Both', 'turn-left');
    $only = ($this->described)('Overseas only', 'alley', pack: 'na');
    $theirs = ($this->described)('Theirs', 'turn-left');
    ($this->described)('Archived', 'turn-left')->delete();
    $plan = function (Place $place, $who): void {
        $lesson = ($this->lessonOf)($who);
        PlannedItem::query()->create(['lesson_id' => $lesson->id, 'place_id' => $place->id, 'ordinal' => 1, 'minutes' => 10]);
    };
    $plan($both, $this->owner);
    $plan($both, $there);
    $plan($theirs, $there);
    expect(PlacesToSites::all())->toBe(2);
    $drawn = Place::withTrashed()->whereNotNull('site_id')->orderBy('name')->pluck('name')->all();
    expect($drawn)->toBe(['Overseas only', 'Theirs'])->and(Site::query()->pluck('pack')->unique()->all())->toBe(['na'])
        ->and($unused->refresh()->site_id)->toBeNull()->and($only->refresh()->site_id)->not->toBeNull();
});
