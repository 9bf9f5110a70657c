<?php

declare(strict_types=1);

use NobleTurn\Core\Record\MarkLog;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Skill\GapThreshold;
use NobleTurn\Core\Skill\Rate;
use NobleTurn\Core\Skill\RemedyEffect;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\Stage;
use NobleTurn\Core\Trade\Step;

/*
 * What must hold of everything that is counted, whatever the figures are.
 */

it('moves a rate and its range with every look and every second, and narrows it with time', function (): void {
    $before = null;
    for ($looks = 0; $looks <= 60; $looks++) {
        $rate = Rate::of($looks, 240.0);
        expect($rate->low)->toBeLessThanOrEqual($rate->estimate)->and($rate->high)->toBeGreaterThan($rate->estimate);
        if ($before !== null) {
            // Never a jump: one look more is at most a look a stretch more, at either end.
            expect($rate->low)->toBeGreaterThanOrEqual($before->low)->and($rate->high)->toBeGreaterThan($before->high)
                ->and($rate->low - $before->low)->toBeLessThan(1.6 * 60 / 240)->and($rate->high - $before->high)->toBeLessThan(1.8 * 60 / 240);
        }
        $before = $rate;
    }
    // The same rate for longer is known better; a hair more time moves it by a hair.
    $wide = [];
    foreach ([1, 2, 4, 8] as $times) {
        $wide[] = Rate::of(6 * $times, 120.0 * $times)->high - Rate::of(6 * $times, 120.0 * $times)->low;
    }
    expect($wide[0])->toBeGreaterThan($wide[1])->and($wide[1])->toBeGreaterThan($wide[2])->and($wide[2])->toBeGreaterThan($wide[3])
        ->and(abs(Rate::of(9, 180.0)->high - Rate::of(9, 180.1)->high))->toBeLessThan(0.01);
});

it('moves a threshold by a hair for a hair, the same whatever the order of the gaps, and in step with all of them', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(19));
    for ($i = 0; $i < 12; $i++) {
        $gaps = [];
        $real = 4.0 + $chance->getInt(0, 50) / 10;
        for ($k = 0; $k < 10; $k++) {
            $seconds = 2.0 + $chance->getInt(0, 110) / 10;
            $gaps[] = [$seconds, $seconds + $chance->getInt(-8, 8) / 10 > $real];
        }
        $found = GapThreshold::of($gaps, 6.5);
        if ($found === null) {
            continue;
        }
        expect($found->low)->toBeLessThanOrEqual($found->estimate)->and($found->high)->toBeGreaterThanOrEqual($found->estimate);
        $moved = $gaps;
        $moved[3][0] += 0.01;
        expect(abs(GapThreshold::of($moved, 6.5)->estimate - $found->estimate))->toBeLessThan(0.02)
            ->and(abs(GapThreshold::of($gaps, 6.6)->estimate - $found->estimate))->toBeLessThan(0.1);
        $turned = array_reverse($gaps);
        expect(GapThreshold::of($turned, 6.5)->estimate)->toEqualWithDelta($found->estimate, 1e-9);
        // Everything a second longer, the belief too: the threshold a second longer.
        $longer = array_map(static fn (array $gap): array => [$gap[0] + 1.0, $gap[1]], $gaps);
        expect(GapThreshold::of($longer, 7.5)->estimate)->toEqualWithDelta($found->estimate + 1.0, 0.02);
    }
});

it('says of a step the stage that took most help, whichever came first, and of one stage that stage', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(5));
    for ($i = 0; $i < 200; $i++) {
        $rows = $marks = [];
        foreach (Stage::cases() as $n => $stage) {
            if ($chance->getInt(0, 2) === 0) {
                continue;
            }
            $row = (object) [
                'id' => "m{$n}", 'kind' => 'step', 'step' => 'look', 'stage' => $stage->value, 'outcome' => Outcome::cases()[$chance->getInt(0, 4)]->value,
                'taught' => null, 'out_of_order' => $chance->getInt(0, 5) === 0, 'fault' => $chance->getInt(0, 3) === 0 ? 'late' : null,
                'effect' => $chance->getInt(0, 4) === 0 ? 'affected' : null, 'conditions' => null, 'withdrawn' => false,
                'slot' => MarkLog::slot('step', 'look', "m{$n}", null, $stage->value),
            ];
            $rows[] = $row;
            $marks[] = new StepMark(Outcome::from($row->outcome), $row->out_of_order, $row->fault, Effect::tryFrom((string) $row->effect));
        }
        $said = static fn (array $rows): ?StepMark => MarkLog::round('l', new DateTimeImmutable, 'pull-up-right', null, [], $rows)?->says(Step::Look);
        $most = $marks === [] ? null : max(array_map(static fn (StepMark $mark): int => $mark->support(), $marks));
        expect($said($rows)?->support())->toBe($most)->and($said(array_reverse($rows))?->support())->toBe($most);
    }
});

it('takes the mean of what changed, in whatever order, and a wider range from fewer or from learners who differ more', function (): void {
    $changes = [0.1, 0.3, -0.1, 0.4, 0.2, 0.0, 0.25];
    $effect = RemedyEffect::of($changes);
    shuffle($changes);
    expect(RemedyEffect::of($changes)->change)->toEqualWithDelta($effect->change, 1e-12)
        ->and(RemedyEffect::of($changes)->high)->toEqualWithDelta($effect->high, 1e-12);
    $width = static fn (RemedyEffect $of): float => $of->high - $of->low;
    $twice = RemedyEffect::of([...$changes, ...$changes]);
    $apart = RemedyEffect::of(array_map(static fn (float $change): float => $effect->change + 2 * ($change - $effect->change), $changes));
    expect($width($twice))->toBeLessThan($width($effect))->and($width($apart))->toEqualWithDelta(2 * $width($effect), 1e-9)
        ->and($apart->change)->toEqualWithDelta($effect->change, 1e-12);
});
