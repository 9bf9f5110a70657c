<?php

use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;

it('names every routine there is, under the rules in force or under those that teach it', function (string $code): void {
    $school = $this->school();
    $school->update(['pack' => $code]);
    $this->actingAs($this->user($school));
    $rules = $this->getJson('api/session')->assertOk()->json('rules');
    expect($rules['pack'])->toBe($code);
    $here = array_column($rules['routines'], 'code');
    $elsewhere = array_column($rules['elsewhere'], 'code');
    expect(array_intersect($here, $elsewhere))->toBe([])
        ->and([...$here, ...$elsewhere])->toEqualCanonicalizing(array_column(RoutineCode::cases(), 'value'));
    foreach ($rules['elsewhere'] as $one) {
        // In the words of a pack that has it: no brace is left, and no code.
        expect($one['title'])->not->toContain('{')->not->toBe($one['code']);
        $packs = array_filter(RulePacks::all(), static fn ($pack): bool => $pack->name() === $one['pack_name']);
        expect(in_array(RoutineCode::from($one['code']), Catalogue::codes(array_values($packs)[0]), true))->toBeTrue();
    }
})->with(['gb', 'ie', 'na']);
