<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\Step;

dataset('packs to be marked in', fn (): array => array_combine(array_map(static fn (RulePack $pack): string => $pack->code(), RulePacks::all()),
    array_map(static fn (RulePack $pack): array => [$pack], RulePacks::all())));

it('has three to six kinds of fault for every step of every routine, each of its step and with words of its own', function (RulePack $pack): void {
    $words = Faults::words();
    $seen = 0;
    foreach (Catalogue::codes($pack) as $code) {
        $routine = Catalogue::routine($code, $pack);
        foreach (array_filter(Step::cases(), $routine->has(...)) as $step) {
            foreach ([true, false] as $clutch) {
                $likely = Faults::likely($code, $routine->section, $step, $clutch);
                expect(count($likely))->toBeGreaterThanOrEqual(3, "{$code->value} {$step->value}")->toBeLessThanOrEqual(Faults::MOST)
                    ->and(array_unique($likely))->toBe($likely);
                foreach ($likely as $fault) {
                    expect(Faults::isOf($fault, $step))->toBeTrue("{$code->value} {$step->value} {$fault}")
                        ->and($words[$step->value][$fault])->not->toBe('');
                }
                $clutch || expect(array_intersect($likely, ['clutch-first', 'coasting', 'stall', 'jerk', 'gear-wrong', 'gear-late']))->toBe([]);
                $seen++;
            }
        }
    }
    expect($seen)->toBeGreaterThan(300);
    foreach (Step::cases() as $step) {
        // Two kinds of one step are never said alike.
        expect(array_unique($words[$step->value]))->toBe($words[$step->value]);
    }
})->with('packs to be marked in');

it('knows every kind the trade names, each at its step', function (): void {
    // Common practice, no source: as the trade writes them down.
    $named = [
        'mirrors' => 'missing late one-only wrong-side not-used not-again no-shoulder pulls-wheel stares',
        'signal' => 'missing late with-the-move early wrong left-on knocked-off misleads',
        'position' => 'late too-left too-right wide cut not-regained straddles too-near over-paint not-the-lane contact blocks cuts-in swings leaves-alongside',
        'speed' => 'late harsh too-fast too-slow clutch-first coasting gear-wrong gear-late jerk stall surges rolls slows-before-slip joins-slow brakes-at-end '
            .'dives-on hurries half-hearted stops-needlessly over-line not-stopped',
        'look' => 'one-way-only first-look late eyes-off goes-unsafe held-needlessly not-seen other-light half-way-stop trusts-signal rear-not-watched',
    ];
    foreach ($named as $step => $codes) {
        foreach ([...explode(' ', $codes), 'gave-up', 'misread', 'not-ready', 'bad-place', 'wheel-not-straight', 'veers', 'steadiness'] as $code) {
            expect(Faults::isOf($code, Step::from($step)))->toBeTrue("{$step} {$code}");
        }
    }
    expect(Faults::isOf('wide', Step::Signal))->toBeFalse()->and(Faults::isOf('none', Step::Signal))->toBeFalse();
});

it('counts a fault beside an unaided step as a reminder, and one that others had to answer as missed', function (): void {
    $support = static fn (Outcome $outcome, ?string $fault, ?Effect $effect): int => (new StepMark($outcome, false, $fault, $effect))->support();
    expect($support(Outcome::Unaided, null, null))->toBe(0)->and($support(Outcome::Unaided, 'late', null))->toBe(1)
        ->and($support(Outcome::Unaided, 'late', Effect::Nobody))->toBe(1)->and($support(Outcome::Prompted, 'late', Effect::Potential))->toBe(2)
        ->and($support(Outcome::Reminded, 'late', Effect::Affected))->toBe(3)->and($support(Outcome::Unaided, null, Effect::Affected))->toBe(3)
        ->and($support(Outcome::Intervened, 'late', Effect::Intervened))->toBe(4)
        ->and((new StepMark(Outcome::Unaided, false, 'late'))->isClean())->toBeFalse()->and((new StepMark(Outcome::Unaided))->isClean())->toBeTrue();
});

it('lists the faults of a record by side, most often seen first, with the last and the worst they did', function (): void {
    $mark = static fn (int $day, array $more): array => [
        'at' => sprintf('2026-05-%02dT10:00:00Z', $day), 'routine' => 'emerge-right', 'step' => 'position', 'outcome' => 'missed', ...$more,
    ];
    $skill = Ask::tool('skill', ['today' => '2026-05-20', 'marks' => [
        $mark(1, ['fault' => 'wide', 'effect' => 'potential']), $mark(2, ['fault' => 'wide']), $mark(3, ['fault' => 'cut', 'effect' => 'affected']),
        $mark(4, ['fault' => 'wide', 'effect' => 'nobody']), $mark(5, ['outcome' => 'unaided']), $mark(6, ['fault' => 'wide', 'side' => 'left']),
        $mark(7, ['fault' => 'wide', 'taught' => 'shown']),
    ]]);
    expect($skill['faults'])->toBe([
        ['routine' => 'emerge-right', 'step' => 'position', 'fault' => 'wide', 'side' => 'right', 'count' => 3, 'rounds' => 5, 'last' => '2026-05-04T10:00:00Z',
            'worst_effect' => 'potential'],
        ['routine' => 'emerge-right', 'step' => 'position', 'fault' => 'wide', 'side' => 'left', 'count' => 1, 'rounds' => 1, 'last' => '2026-05-06T10:00:00Z',
            'worst_effect' => null],
        ['routine' => 'emerge-right', 'step' => 'position', 'fault' => 'cut', 'side' => 'right', 'count' => 1, 'rounds' => 5, 'last' => '2026-05-03T10:00:00Z',
            'worst_effect' => 'affected'],
    ]);
    $refused = static fn (array $more): array => Ask::refusal('skill', ['today' => '2026-05-20', 'marks' => [$mark(1, $more)]]);
    expect($refused(['fault' => 'left-on']))->toHaveKey('marks.0.fault')->and($refused(['effect' => 'intervened']))->toHaveKey('marks.0.effect')
        ->and($refused(['outcome' => 'intervened', 'effect' => 'intervened', 'fault' => 'cut']))->toBe([]);
});
