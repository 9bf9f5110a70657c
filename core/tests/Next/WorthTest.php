<?php

declare(strict_types=1);

use NobleTurn\Core\Next\Worth;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/* What rounds are expected to bring. */

function worth(array $outcomes, string $on = '2026-05-20T10:00:00Z'): Worth
{
    $marks = $driven = [];
    foreach ($outcomes as $routine => $said) {
        foreach ($said as $i => $outcome) {
            foreach (Step::cases() as $step) {
                if (Catalogue::routine(RoutineCode::from($routine), new GreatBritain)->has($step)) {
                    $marks[] = $one = new Evidence('a', new DateTimeImmutable("2026-05-19T10:{$i}0:00Z"), RoutineCode::from($routine), $step,
                        new StepMark(Outcome::from($outcome)));
                    $driven[$one->cell()] = ($driven[$one->cell()] ?? 0) + 1;
                }
            }
        }
    }

    return new Worth(Fit::of($marks, new GreatBritain, new DateTimeImmutable($on)), $driven, new DateTimeImmutable($on));
}

it('falls with every round, and is never less than nothing', function (): void {
    $worth = worth(['emerge-left' => ['prompted', 'reminded'], 'turn-left' => ['unaided', 'unaided', 'unaided', 'unaided']]);
    foreach (['emerge-left', 'turn-left', 'roundabout'] as $code) {
        $rounds = $worth->rounds(Catalogue::routine(RoutineCode::from($code), new GreatBritain), 8);
        for ($i = 1; $i < 8; $i++) {
            expect($rounds[$i])->toBeGreaterThan(0.0)->toBeLessThan($rounds[$i - 1]);
        }
    }
});

it('is more where there is more to gain, and is the model’s own sum', function (): void {
    $worth = worth(['emerge-left' => ['prompted', 'prompted', 'prompted'], 'turn-left' => ['unaided', 'unaided', 'unaided']]);
    $of = static fn (string $code): mixed => Catalogue::routine(RoutineCode::from($code), new GreatBritain);
    expect($worth->rounds($of('emerge-left'), 1)[0])->toBeGreaterThan($worth->rounds($of('turn-left'), 1)[0])
        ->and($worth->now($of('turn-left')))->toBeGreaterThan($worth->now($of('emerge-left')));
    $fit = Fit::of([], new GreatBritain, new DateTimeImmutable('2026-05-20'));
    $blank = new Worth($fit, [], new DateTimeImmutable('2026-05-20'));
    $sum = 0.0;
    foreach (Step::cases() as $step) {
        if ($of('cross')->has($step)) {
            $belief = $fit->belief(RoutineCode::Cross, $step);
            $sum += (new Belief($belief->mean + $fit->model->practice * log(2.0), $belief->variance))->unaided() - $belief->unaided();
        }
    }
    expect($blank->rounds($of('cross'), 1)[0])->toEqualWithDelta($sum, 1e-12);
});

it('counts what was forgotten among what a round brings back', function (): void {
    $said = ['emerge-left' => ['unaided', 'unaided', 'unaided', 'reminded']];
    $of = Catalogue::routine(RoutineCode::EmergeLeft, new GreatBritain);
    expect(worth($said, '2026-09-20T10:00:00Z')->rounds($of, 1)[0])->toBeGreaterThan(worth($said, '2026-05-20T10:00:00Z')->rounds($of, 1)[0]);
    [$step, $gain] = worth(['emerge-left' => ['prompted']])->step($of, 3);
    expect($of->has($step))->toBeTrue()->and($gain)->toBeGreaterThan(0.0);
});
