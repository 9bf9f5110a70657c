<?php

use NobleTurn\Core\Compute\Toolbox;

/*
 * A rule of thumb clashes with the plan only where somebody teaches it: a school that chose nothing sees the plan's own figure for the signal.
 */

it('sends the plan’s own figure for the signal where nobody chose a rule, and the number with its clash where it is taught', function (): void {
    $school = $this->school();
    $owner = $this->user($school, 'owner');
    ['lesson' => $lesson, 'place' => $place] = $this->lesson($owner);
    $this->actingAs($owner)->postJson("api/lessons/{$lesson->id}/items", ['place_id' => $place->id])->assertCreated();
    $asked = fn (): array => $this->getJson("api/lessons/{$lesson->id}")->assertOk()->json('items.0.plan.inputs');
    $codes = static fn (array $plan): array => array_column($plan['conflicts'], 'code');
    $bestOfSignal = static fn (array $plan): float => collect($plan['steps'])->firstWhere('step', 'signal')['best_m'];
    expect($asked()['practice'])->toBe(['signal' => 'braking-lead']);
    $own = Toolbox::run('approach', $asked());
    expect($codes($own))->not->toContain('signal-rule-after-brake-lights');

    $this->putJson('api/rules/school', ['pack' => 'gb', 'practice' => ['signal' => 'limit-number']])->assertOk();
    $taught = Toolbox::run('approach', $asked());
    expect($asked()['practice'])->toBe(['signal' => 'limit-number'])->and($codes($taught))->toContain('signal-rule-after-brake-lights')
        ->and(collect($taught['conflicts'])->firstWhere('code', 'signal-rule-after-brake-lights')['message'])
        ->toStartWith('At 30 mph, signalling 30 m before is too late: you would be braking already. Signal at about ')
        // What gave way is the number: the signal comes where the plan's own figure puts it.
        ->and($bestOfSignal($taught))->toEqualWithDelta($bestOfSignal($own), 0.5);
});

it('shows that figure as the usual answer, and leaves the law where it asks for so much at the least', function (): void {
    $owner = $this->user($this->school(), 'owner');
    $this->actingAs($owner);
    $signal = fn (): array => collect($this->getJson('api/rules')->assertOk()->json('questions'))->firstWhere('key', 'signal');
    expect($signal()['default'])->toBe('braking-lead')
        ->and(collect($signal()['options'])->firstWhere('value', 'braking-lead')['reason'])->toContain('Others teach the limit’s number');
    $this->putJson('api/rules/school', ['pack' => 'na', 'practice' => []])->assertOk();
    expect($signal()['default'])->toBe('limit-number')->and($this->getJson('api/session')->json('rules.practice'))->toBe([]);
    $this->putJson('api/rules/school', ['pack' => 'ie', 'practice' => []])->assertOk();
    expect($signal()['default'])->toBe('braking-lead');
});

it('lets an instructor teach the number in a school that chose nothing', function (): void {
    $school = $this->school();
    $instructor = $this->user($school);
    ['lesson' => $lesson, 'place' => $place] = $this->lesson($instructor);
    $this->actingAs($instructor)->postJson("api/lessons/{$lesson->id}/items", ['place_id' => $place->id])->assertCreated();
    $this->putJson('api/rules/mine', ['pack' => null, 'practice' => ['signal' => 'car-lengths']])->assertOk();
    expect($this->getJson("api/lessons/{$lesson->id}")->json('items.0.plan.inputs.practice'))->toBe(['signal' => 'car-lengths'])
        ->and($this->getJson('api/session')->json('rules.practice'))->toBe(['signal' => 'car-lengths']);
});
