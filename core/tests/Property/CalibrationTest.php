<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Calibration;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Foretold;
use NobleTurn\Core\Skill\Ladder;
use NobleTurn\Core\Skill\LessonTold;
use NobleTurn\Core\Skill\Marking;
use NobleTurn\Core\Skill\Strictness;
use NobleTurn\Core\Skill\Trust;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\SimulatedLearner;
use NobleTurn\Core\Tests\Simulation;

/* Foretold against come: whether the record can be relied on, learner by learner; and how strictly each instructor marks. */

/** @return list<Foretold> of a learner's latest lessons */
function foretold(array $evidence, int $lessons = Calibration::LESSONS): array
{
    $all = array_values(array_unique(array_map(static fn (Evidence $one): string => $one->lesson, $evidence)));

    return array_values(array_filter(array_map(
        static fn (string $lesson): ?Foretold => LessonTold::of($lesson, $evidence, [], new GreatBritain)?->foretold, array_slice($all, -$lessons),
    )));
}

/** The same marks, as somebody would make them who pays no heed to how it was done: all right, or the hand at the wheel. */
function tossed(array $evidence, int $from): array
{
    $draw = new Approaches(5);

    return array_map(static fn (Evidence $one): Evidence => (int) substr($one->lesson, 1) < $from ? $one : new Evidence(
        $one->lesson, $one->at, $one->routine, $one->step, new StepMark($draw->one([Outcome::Unaided, Outcome::Intervened])), $one->conditions,
        place: $one->place,
    ), $evidence);
}

it('doubts few records of learners it can follow, and each whose marks go by the toss of a coin', function (): void {
    $doubted = ['followed' => 0, 'tossed' => 0];
    $pooled = [];
    for ($i = 0; $i < 12; $i++) {
        $learner = new SimulatedLearner(new Approaches(Simulation::UNSEEN + 60_000 + $i), SimulatedLearner::KINDS[$i % 5]);
        for ($lesson = 0; $lesson < 9; $lesson++) {
            $learner->drive(10);
        }
        $followed = foretold($learner->evidence);
        array_push($pooled, ...$followed);
        $doubted['followed'] += (int) Calibration::of($followed)->trust()->isDoubted();
        $doubted['tossed'] += (int) Calibration::of(foretold(tossed($learner->evidence, 4)))->trust()->isDoubted();
    }
    $school = Calibration::of($pooled);
    Simulation::printed(sprintf('doubted: of those it can follow %.2f, of those marked by a coin %.2f', $doubted['followed'] / 12, $doubted['tossed'] / 12));
    Simulation::printed(sprintf('a school of 12: %d marks, loss %.4f, expected %.4f, counting %.4f', $school->marks, $school->loss, $school->expected,
        $school->counting));
    expect($doubted['followed'])->toBeLessThanOrEqual(2)->and($doubted['tossed'])->toBeGreaterThanOrEqual(11)
        ->and($school->loss)->toBeLessThan($school->counting)->and($school->loss - $school->expected)->toBeLessThan(0.05);
    foreach ($school->bins as $bin => ['marks' => $marks, 'foretold' => $sum, 'unaided' => $unaided]) {
        Simulation::printed(sprintf('foretold %.2f of %d, came %.2f', $sum / $marks, $marks, $unaided / $marks));
        expect($sum / $marks)->toBeGreaterThanOrEqual($bin / 10)->toBeLessThanOrEqual(($bin + 1) / 10);
        // Within three standard deviations of independent marks, and somewhat more for the days that lessons have in common.
        expect(abs($sum - $unaided) / $marks)->toBeLessThan(3.0 * sqrt(0.25 / $marks) + 0.07);
    }
});

it('adds up what single lessons say, exactly', function (): void {
    $learner = new SimulatedLearner(new Approaches(77), 'fast');
    foreach (range(1, 5) as $lesson) {
        $learner->drive(8);
    }
    $lessons = foretold($learner->evidence);
    // Nothing had been marked before the first.
    expect($lessons)->toHaveCount(4);
    $all = Calibration::of($lessons);
    expect($all->marks)->toBe(array_sum(array_column($lessons, 'marks')))
        ->and($all->loss * $all->marks)->toEqualWithDelta(array_sum(array_column($lessons, 'loss')), 1e-9)
        ->and(array_sum(array_column($all->bins, 'marks')))->toBe($all->marks)->and(Calibration::of([]))->toBeNull()
        ->and(Calibration::of(array_slice($lessons, 0, 2))->trust())->toBe(Trust::TooEarly);
    // One lesson written out by hand.
    $early = array_values(array_filter($learner->evidence, static fn (Evidence $one): bool => $one->lesson === 'l1'));
    $next = array_values(array_filter($learner->evidence, static fn (Evidence $one): bool => $one->lesson === 'l2'));
    $fit = Fit::of($early, new GreatBritain, $next[count($next) - 1]->at);
    $loss = array_sum(array_map(static fn (Evidence $one): float => -log($fit->foretells($one->routine, $one->step, $one->conditions,
        $one->place)[$one->rank]), $next));
    expect($lessons[0]->loss)->toEqualWithDelta($loss, 1e-9)->and(array_sum(array_column($lessons[0]->bins, 'unaided')))
        ->toBe(count(array_filter($next, static fn (Evidence $one): bool => $one->rank === Ladder::TOP)));
});

it('says that counting would do better where it would, and only by enough lessons', function (): void {
    $lesson = static fn (float $loss, float $expected, float $counting): Foretold => new Foretold(30, 30 * $loss, 30 * $expected, 30 * $counting, []);
    $trust = static fn (array ...$of): Trust => Calibration::of(array_map(static fn (array $one): Foretold => $lesson(...$one), array_values($of)))->trust();
    expect($trust([1.2, 1.2, 1.0], [1.25, 1.2, 1.0], [1.2, 1.2, 1.05]))->toBe(Trust::BehindCounting)
        ->and($trust([1.2, 1.2, 1.0], [1.25, 1.2, 1.0]))->toBe(Trust::TooEarly)
        ->and($trust([1.3, 1.0, 1.5], [1.35, 1.0, 1.5], [1.3, 1.0, 1.5]))->toBe(Trust::Surprised)
        // One bad day among good ones is no reason.
        ->and($trust([1.9, 1.0, 1.5], [1.0, 1.0, 1.5], [1.0, 1.0, 1.5]))->toBe(Trust::Trusted)
        ->and($trust([0.8, 0.9, 1.1], [0.85, 0.9, 1.1], [0.9, 0.9, 1.1]))->toBe(Trust::Trusted);
    foreach (Trust::cases() as $case) {
        expect($case->message())->toEndWith('.');
    }
});

it('says by how much everything came better or worse than was said, where that could not be chance', function (): void {
    $lesson = static fn (int $unaided): Foretold => new Foretold(40, 40.0, 40.0, 60.0, [6 => ['marks' => 40, 'foretold' => 26.0, 'unaided' => $unaided]]);
    $said = static fn (int ...$unaided): string => Calibration::of(array_map($lesson, array_values($unaided)))->message();
    expect($said(30, 31, 29, 30))->toBe('Marks came better than was said: 75 of 100 marks were unaided, 65 foretold.')
        ->and($said(21, 20, 22, 21))->toBe('Marks came worse than was said: 53 of 100 marks were unaided, 65 foretold.')
        ->and($said(26, 27, 25, 26))->toBe(Trust::Trusted->message())->and($said(38, 16, 36, 20))->toBe(Trust::Trusted->message())
        ->and($said(30, 31))->toBe(Trust::TooEarly->message());
});

/** A school whose instructors mark some learners together. */
function markedTogether(int $seed, array $bias, int $learners): array
{
    $found = [];
    for ($i = 0; $i < $learners; $i++) {
        $learner = new SimulatedLearner(new Approaches($seed + $i), SimulatedLearner::KINDS[$i % 5]);
        $evidence = [];
        foreach (range(0, 7) as $lesson) {
            $who = ['Ada', 'Ben', 'Cas'][($i + intdiv($lesson, 2)) % 3];
            $learner->bias = $bias[$who];
            foreach ($learner->drive(10) as $one) {
                $evidence[] = new Evidence($one->lesson, $one->at, $one->routine, $one->step, $one->mark, $one->conditions, $who, place: $one->place);
            }
        }
        $found[] = Fit::of($evidence, new GreatBritain, $learner->now)->marking();
    }

    return $found;
}

it('finds who marks strictly and who leniently from the learners they share, within its range', function (): void {
    // In the generator's own measure a bias of one is about 1.7 logits (normal against logistic, from memory).
    $bias = ['Ada' => -0.35, 'Ben' => 0.0, 'Cas' => 0.35];
    $school = Strictness::of(markedTogether(Simulation::UNSEEN + 61_000, $bias, 24));
    foreach ($school as $who => $one) {
        Simulation::printed(sprintf('%s: stricter by %.2f (%.2f to %.2f), planted %.2f', $who, $one->estimate, $one->low, $one->high, -1.7 * $bias[$who]));
    }
    expect(array_keys($school))->toBe(['Ada', 'Ben', 'Cas'])->and($school['Ada']->message())->toBe('Marks more strictly than colleagues do.')
        ->and($school['Cas']->message())->toBe('Marks more leniently than colleagues do.')
        ->and($school['Ben']->message())->toBe('Marks much as colleagues do.');
    foreach ($school as $who => $one) {
        expect($one->learners)->toBe(24)->and($one->estimate)->toEqualWithDelta(-1.7 * $bias[$who], 0.3)->and($one->high - $one->low)->toBeLessThan(0.3);
    }
    // Who marks alike is not told apart.
    foreach (Strictness::of(markedTogether(Simulation::UNSEEN + 62_000, ['Ada' => 0.0, 'Ben' => 0.0, 'Cas' => 0.0], 12)) as $one) {
        expect($one->message())->toBe('Marks much as colleagues do.')->and(abs($one->estimate))->toBeLessThan(0.2);
    }
});

it('says nothing of who shares no learner, and takes the prior once however many learners there are', function (): void {
    $alone = Strictness::of([new Marking(['Ada'], [0.2], [[0.08]], [4]), new Marking(['Ada'], [-0.1], [[0.07]], [2])])['Ada'];
    expect($alone->estimate)->toEqualWithDelta(0.0, 1e-12)->and($alone->learners)->toBe(0)->and($alone->message())->toContain('nobody can say')
        ->and($alone->high)->toEqualWithDelta(1.2815515655 * 0.3, 1e-6);
    // Two learners who say the same: by hand, with a prior of 1 / 0.09. Apart from a shift of both, their difference has the precision of one of them, halved.
    $both = Strictness::of(array_fill(0, 2, new Marking(['Ada', 'Ben'], [0.1, -0.1], [[0.04, 0.0], [0.0, 0.04]], [3, 3])));
    // What the marks say has 25 less the prior; three days of form, of 0.3 each, widen it. The means come from all of it.
    $seen = 1 / (1 / (25 - 1 / 0.09) + 0.3 / 3);
    $precision = 1 / 0.09 + 2 * $seen;
    $mean = 0.1 * 25 / (25 - 1 / 0.09);
    // Beside their average each has half of the difference, which has twice the variance of one apart.
    $variance = 1 / $precision / 2;
    expect($both['Ada']->estimate)->toEqualWithDelta(-2 * $mean * $seen / $precision, 1e-9)
        ->and($both['Ada']->low + $both['Ben']->high)->toEqualWithDelta(0.0, 1e-9)
        ->and($both['Ada']->high - $both['Ada']->low)->toEqualWithDelta(2 * 1.2815515655 * sqrt($variance), 1e-6);
    // A better learner is no more lenient marker: the same added to all changes nothing.
    $one = markedTogether(31, ['Ada' => -0.3, 'Ben' => 0.1, 'Cas' => 0.2], 1)[0];
    $better = new Marking($one->who, array_map(static fn (float $mean): float => $mean + 0.4, $one->means), $one->covariance, $one->lessons);
    $estimates = static fn (Marking ...$of): array => array_map(static fn (Strictness $one): float => $one->estimate, Strictness::of(array_values($of)));
    expect(array_sum($estimates($one)))->toEqualWithDelta(0.0, 1e-9)
        ->and($estimates(Marking::fromArray(json_decode(json_encode($one), true))))->toBe($estimates($one));
    // With the prior taken out, adding to all moves what is between them only by what the prior had taken from it.
    expect(max(array_map(static fn (float $x, float $y): float => abs($x - $y), $estimates($one), $estimates($better))))->toBeLessThan(0.15);
    expect(Strictness::of([]))->toBe([]);
});
