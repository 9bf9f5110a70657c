<?php

declare(strict_types=1);

use NobleTurn\Core\Next\Learner;
use NobleTurn\Core\Next\Practised;
use NobleTurn\Core\Next\Serious;
use NobleTurn\Core\Next\Worth;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Overruling;
use NobleTurn\Core\Skill\Stages;
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
        ->and($worth->alone($of('turn-left')))->toBeGreaterThan($worth->alone($of('emerge-left')));
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

it('stands for as much practice as there was only where somebody has got as far by it', function (): void {
    foreach ([0.0, 1.0, 4.0, 20.0, 200.0] as $driven) {
        $last = 0.0;
        for ($risen = -2.0; $risen < 9.0; $risen += 0.01) {
            $rounds = Practised::rounds($driven, $risen, 1.3);
            // More of it for who is farther, never more than there was, and never by a jump.
            expect($rounds)->toBeGreaterThanOrEqual($last)->toBeLessThanOrEqual($driven + 1e-9)
                ->and($risen === -2.0 || $rounds - $last < 0.02 * (1.0 + $driven))->toBeTrue();
            $last = $rounds;
        }
        expect($last)->toEqualWithDelta($driven, 1e-9)
            ->and(Practised::rounds($driven, -1.0, 1.3))->toEqualWithDelta(sqrt(1.0 + $driven) - 1.0, 1e-9);
    }
    // So what goes least well comes before what goes well, after as many rounds of either; and after few rounds before many that led as far.
    $prompted = array_fill(0, 6, 'prompted');
    $worth = worth(['emerge-left' => $prompted, 'turn-left' => array_slice($prompted, 0, 2), 'cross' => array_fill(0, 6, 'unaided')]);
    $brings = static fn (string $code): float => array_sum($worth->rounds(Catalogue::routine(RoutineCode::from($code), new GreatBritain), 4));
    expect($brings('turn-left'))->toBeGreaterThan($brings('emerge-left'))->and($brings('emerge-left'))->toBeGreaterThan(2.0 * $brings('cross'));
});

it('counts what was forgotten among what a round brings back', function (): void {
    $said = ['emerge-left' => ['unaided', 'unaided', 'unaided', 'reminded']];
    $of = Catalogue::routine(RoutineCode::EmergeLeft, new GreatBritain);
    expect(worth($said, '2026-09-20T10:00:00Z')->rounds($of, 1)[0])->toBeGreaterThan(worth($said, '2026-05-20T10:00:00Z')->rounds($of, 1)[0]);
});

it('takes fewer serious faults away with every round, from whoever is held back all the time to whoever needs nothing', function (): void {
    foreach (['intervened', 'missed', 'prompted', 'unaided'] as $outcome) {
        $worth = worth(['emerge-left' => array_fill(0, 6, $outcome)]);
        $safer = $worth->safer(Catalogue::routine(RoutineCode::EmergeLeft, new GreatBritain), 8);
        for ($i = 1; $i < 8; $i++) {
            expect($safer[$i])->toBeGreaterThan(0.0)->toBeLessThan($safer[$i - 1], "{$outcome} {$i}");
        }
    }
});

it('puts what is dangerous before what only takes a word, though more chances would rise there', function (): void {
    $of = static fn (string $code): mixed => Catalogue::routine(RoutineCode::from($code), new GreatBritain);
    $worth = worth(['emerge-left' => array_fill(0, 6, 'intervened'), 'cross' => array_fill(0, 6, 'reminded')]);
    $four = static fn (string $how, string $code): float => array_sum($worth->{$how}($of($code), 4));
    expect($four('safer', 'emerge-left'))->toBeGreaterThan($four('safer', 'cross'))
        ->and($four('rounds', 'cross'))->toBeGreaterThan($four('rounds', 'emerge-left'));
    // As the faults of a mark fall, so a lesson is chosen: nothing of it is a fault for who does all of it alone.
    expect(Serious::of([0.0, 0.0, 0.0, 0.0, 1.0]))->toBe(0.0)->and(Serious::of([1.0, 0.0, 0.0, 0.0, 0.0]))->toBe(1.0)
        ->and(Serious::of([0.2, 0.2, 0.2, 0.2, 0.2]))->toEqualWithDelta((1.0 + 0.32 + 0.02 + 0.02) / 5, 1e-12);
});

it('takes what a test can ask and nobody has seen for missing, the better all else goes; and nothing else', function (): void {
    $of = static fn (string $code): mixed => Catalogue::routine(RoutineCode::from($code), new GreatBritain);
    $on = new DateTimeImmutable('2026-05-20');
    $last = -1.0;
    foreach ([['missed', 'prompted'], ['prompted', 'reminded'], ['reminded', 'unaided'], ['unaided', 'unaided']] as $outcomes) {
        $driven = [];
        foreach (range(1, 14) as $i) {
            foreach (['turn-right', 'emerge-left', 'cross'] as $routine) {
                foreach (array_filter(Step::cases(), $of($routine)->has(...)) as $step) {
                    $outcome = new StepMark(Outcome::from($outcomes[$i % 2]));
                    $driven[] = new Evidence('a', $on->modify("-{$i} hours"), RoutineCode::from($routine), $step, $outcome);
                }
            }
        }
        $counts = array_count_values(array_map(static fn (Evidence $one): string => $one->cell(), $driven));
        $fit = Fit::of($driven, new GreatBritain, $on);
        $four = static fn (array $asked, string $code): float => array_sum((new Worth($fit, $counts, $on, $asked))->safer($of($code), 4));
        $begun = $four([RoutineCode::TurnLeft], 'turn-left') - $four([], 'turn-left');
        // Hardly anything while something needs help, and more than what goes well brings once nothing does.
        expect($begun)->toBeGreaterThanOrEqual(0.0)->and($begun)->toBeGreaterThanOrEqual($last)
            ->and($four([RoutineCode::TurnLeft], 'cross'))->toBe($four([], 'cross'));
        if ($outcomes[0] === 'missed') {
            expect($begun)->toBeLessThan(1e-3);
        }
        $last = $begun;
    }
    expect($four([RoutineCode::TurnLeft], 'turn-left'))->toBeGreaterThan(3.0 * $four([], 'cross'));
});

it('brings less to whoever needs help where it is harder, more to whoever has little left to learn, and changes a little at a time', function (): void {
    $of = static fn (string $code): mixed => Catalogue::routine(RoutineCode::from($code), new GreatBritain);
    $all = worth(['emerge-left' => ['missed', 'prompted', 'missed', 'prompted'], 'turn-left' => ['unaided', 'unaided', 'unaided', 'unaided', 'unaided',
        'unaided']]);
    foreach (['emerge-left' => -1, 'turn-left' => 1] as $code => $way) {
        $before = $all->where($of($code), 0.0);
        expect($before)->toEqualWithDelta(1.0, 1e-12);
        foreach (range(1, 20) as $tenths) {
            $now = $all->where($of($code), $tenths / 10.0);
            expect(abs($now - $before))->toBeLessThan(0.15)->and($now)->toBeGreaterThan(0.0);
            if ($tenths <= 8) {
                expect($way * ($now - $before))->toBeGreaterThan(0.0);
            }
            $before = $now;
        }
    }
});

it('names the step of which most serious faults go', function (): void {
    $marks = [];
    foreach (range(0, 5) as $i) {
        foreach (Step::cases() as $step) {
            $marks[] = new Evidence('a', new DateTimeImmutable("2026-05-19T10:0{$i}:00Z"), RoutineCode::EmergeLeft, $step,
                new StepMark($step === Step::Look ? Outcome::Missed : Outcome::Reminded));
        }
    }
    $on = new DateTimeImmutable('2026-05-20');
    $worth = new Worth(Fit::of($marks, new GreatBritain, $on), array_fill_keys(array_map(static fn (Evidence $one): string => $one->cell(), $marks), 6), $on);
    expect($worth->step(Catalogue::routine(RoutineCode::EmergeLeft, new GreatBritain), 4))->toBe(Step::Look);
});

/** @param  array<string, list<string>>  $outcomes  by routine, a round after the other, as many minutes apart */
function worthByBoth(array $outcomes, array $words = []): Learner
{
    $marks = [];
    $minute = 0;
    foreach ($outcomes as $routine => $said) {
        foreach ($said as $outcome) {
            $minute++;
            foreach (Step::cases() as $step) {
                if (Catalogue::routine(RoutineCode::from($routine), new GreatBritain)->has($step)) {
                    $marks[] = new Evidence('a', new DateTimeImmutable("2026-05-19T10:00:00Z +{$minute} minutes"), RoutineCode::from($routine), $step,
                        new StepMark(Outcome::from($outcome)));
                }
            }
        }
    }

    return new Learner($marks, new GreatBritain, new DateTimeImmutable('2026-05-20T10:00:00Z'), $words);
}

it('falls with every round of somebody seen by their own stages too, and adds up to what they bring together', function (): void {
    $of = Catalogue::routine(RoutineCode::EmergeLeft, new GreatBritain);
    foreach (Outcome::cases() as $outcome) {
        foreach ([1, 3, 12] as $rounds) {
            $learner = worthByBoth(['emerge-left' => array_fill(0, $rounds, $outcome->value)]);
            $stages = Stages::of($learner->evidence);
            foreach (['rounds', 'safer'] as $how) {
                $each = $learner->worth->{$how}($of, 8);
                expect($each[7])->toBeGreaterThan(0.0);
                for ($i = 1; $i < 8; $i++) {
                    expect($each[$i])->toBeLessThanOrEqual($each[$i - 1] + 1e-12, "{$how} {$outcome->value} {$rounds}");
                }
                // However many are asked for, they are the same.
                expect($learner->worth->{$how}($of, 3))->toBe(array_slice($each, 0, 3));
            }
            // Of eight rounds together nothing is lost: three parts in four of three marks are by their own stages, the rest by everything.
            $rise = static fn (callable $alone): float => array_sum(array_map(
                static fn (Step $step): float => $alone($step, 8) - $alone($step, 0), array_filter(Step::cases(), $of->has(...)),
            ));
            $own = $rise(static fn (Step $step, int $more): float => $stages->outcomes($of->code, $step, $learner->on, $more)[4]);
            $driven = array_count_values(array_map(static fn (Evidence $one): string => $one->cell(), $learner->evidence));
            $all = array_sum((new Worth($learner->fit, $driven, $learner->on))->rounds($of, 8));
            $share = $rounds / ($rounds + 1);
            expect(array_sum($learner->worth->rounds($of, 8)))->toEqualWithDelta($share * $own + (1 - $share) * $all, 1e-9);
        }
    }
});

it('finds what came on and what did not among things marked as often, and hears an instructor’s word on either', function (): void {
    $code = static fn (string $of): mixed => Catalogue::routine(RoutineCode::from($of), new GreatBritain);
    $came = ['missed', 'missed', 'prompted', 'reminded', 'unaided', 'unaided', 'unaided', 'unaided'];
    $four = static fn (Learner $learner, string $of): float => array_sum($learner->worth->safer($code($of), 4));
    $learner = worthByBoth(['emerge-left' => $came, 'emerge-right' => array_reverse($came)]);
    expect($four($learner, 'emerge-right'))->toBeGreaterThan(2.0 * $four($learner, 'emerge-left'));
    $says = static fn (float $chance): array => array_map(
        static fn (Step $step): Overruling => new Overruling(new DateTimeImmutable('2026-05-19T18:00:00Z'), RoutineCode::EmergeRight, $step, $chance),
        Step::cases(),
    );
    expect($four(worthByBoth(['emerge-right' => array_reverse($came)], $says(0.95)), 'emerge-right'))
        ->toBeLessThan(0.7 * $four(worthByBoth(['emerge-right' => array_reverse($came)]), 'emerge-right'));
});
