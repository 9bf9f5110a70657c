<?php

declare(strict_types=1);

use NobleTurn\Core\Routine\FaultCauses;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Routine\Watched;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Coastland;
use NobleTurn\Core\Trade\Step;

it('says of every kind of fault why it happens and what helps, each in words of its own', function (): void {
    $remedies = [];
    foreach (Faults::words() as $step => $kinds) {
        foreach (array_keys($kinds) as $code) {
            $cause = FaultCauses::of(Step::from($step), $code);
            expect($cause)->not->toBeNull("{$step} {$code}")->and($cause->cause)->toMatch('/^[A-Z].+\.$/u')->and($cause->remedy)->toMatch('/^[A-Z].+[.?]$/u')
                ->and(mb_strlen($cause->cause))->toBeLessThan(110)->and(mb_strlen($cause->remedy))->toBeLessThan(130);
            // A cause lies one step earlier, before it all, or in what was not looked at: never in the step itself.
            expect($cause->in === Step::from($step))->toBeFalse("{$step} {$code}");
            $remedies[$cause->remedy][] = $code;
        }
    }
    // Late and hard braking are the same fault seen twice; nothing else shares its remedy.
    $shared = array_filter(array_map(array_unique(...), $remedies), static fn (array $codes): bool => count($codes) > 1);
    expect(array_values($shared))->toBe([['late', 'harsh']])
        ->and(FaultCauses::of(Step::Mirrors, 'stall'))->toBeNull();
});

it('says causes and remedies in the words of the place', function (): void {
    $pack = new Coastland;
    $foreign = '/(?<![\w-])('.implode('|', array_map(preg_quote(...), array_keys($pack->words()))).')(?![\w-])/i';
    $own = 0;
    foreach (Faults::words() as $step => $kinds) {
        foreach (array_keys($kinds) as $code) {
            $said = FaultCauses::of(Step::from($step), $code)->spoken($pack);
            expect($said->cause.' '.$said->remedy)->not->toMatch($foreign)->not->toContain('{');
            $own += preg_match('/\bq[a-z]/', $said->remedy);
        }
    }
    // The slip, the bonnet and the junction have words of their own there.
    expect($own)->toBeGreaterThan(4);
    expect(FaultCauses::of(Step::Look, 'goes-unsafe')->spoken(RulePacks::byCode('na'))->remedy)->toContain('intersection');
});

it('names the causes an instructor names', function (Step $step, string $fault, ?Step $in, string $words): void {
    $cause = FaultCauses::of($step, $fault);
    expect($cause->in)->toBe($in)->and($cause->cause)->toContain($words);
})->with([
    'wide: the eyes were still on the traffic' => [Step::Position, 'wide', Step::Look, 'eyes'],
    'cut: steered before the point' => [Step::Position, 'cut', Step::Look, 'before the point'],
    'coasting: the clutch went down early' => [Step::Speed, 'coasting', null, 'clutch'],
    'late signal: the mirrors were late' => [Step::Signal, 'late', Step::Mirrors, 'mirrors'],
    'looked late: the speed was late' => [Step::Look, 'late', Step::Speed, 'speed'],
    'too near: too fast for the room' => [Step::Position, 'too-near', Step::Speed, 'Too fast'],
]);

it('sees faults in the order of the watcher: direction, mirrors before the signal, place, pedals, looks, progress, others', function (): void {
    $order = array_flip(array_column(Watched::cases(), 'value'));
    $seen = static fn (Step $step, ?string $fault): int => $order[Watched::in($step, $fault)->value];
    expect($seen(Step::Mirrors, 'wrong-side'))->toBeLessThan($seen(Step::Mirrors, 'late'))
        ->and($seen(Step::Mirrors, 'late'))->toBeLessThan($seen(Step::Mirrors, 'one-only'))
        ->and($seen(Step::Mirrors, 'one-only'))->toBeLessThan($seen(Step::Signal, 'late'))
        ->and($seen(Step::Signal, 'late'))->toBeLessThan($seen(Step::Position, 'wide'))
        ->and($seen(Step::Position, 'wide'))->toBeLessThan($seen(Step::Speed, 'clutch-first'))
        ->and($seen(Step::Speed, 'clutch-first'))->toBeLessThan($seen(Step::Speed, 'gear-late'))
        ->and($seen(Step::Speed, 'gear-late'))->toBeLessThan($seen(Step::Look, 'one-way-only'))
        ->and($seen(Step::Look, 'one-way-only'))->toBeLessThan($seen(Step::Look, 'eyes-off'))
        ->and($seen(Step::Look, 'eyes-off'))->toBeLessThan($seen(Step::Look, 'held-needlessly'))
        ->and($seen(Step::Look, 'held-needlessly'))->toBeLessThan($seen(Step::Look, 'goes-unsafe'));
    // Every kind of every step has its place there, and so has a step whose kind was not said.
    foreach (Watched::all() as $step => $places) {
        expect(array_keys($places))->toBe(['', ...array_keys(Faults::words()[$step])]);
        foreach ($places as $place) {
            expect(Watched::tryFrom($place))->not->toBeNull();
        }
    }
});
