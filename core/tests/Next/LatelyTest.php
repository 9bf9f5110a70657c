<?php

declare(strict_types=1);

use NobleTurn\Core\Next\Lately;
use NobleTurn\Core\Next\Learner;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\SimulatedLearner;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** @param  list<string>  $outcomes  of every step, one for each lesson */
function lately(array $outcomes): float
{
    $evidence = [];
    $at = new DateTimeImmutable('2026-01-05T10:00:00Z');
    foreach ($outcomes as $lesson => $outcome) {
        foreach (['turn-left', 'turn-right', 'emerge-left'] as $routine) {
            foreach ([0, 1] as $round) {
                foreach (Step::cases() as $step) {
                    $evidence[] = new Evidence("lesson {$lesson}", $at = $at->modify('+20 seconds'), RoutineCode::from($routine), $step,
                        new StepMark(Outcome::from($outcome)));
                }
            }
        }
        $at = (new DateTimeImmutable('2026-01-05T10:00:00Z'))->modify(sprintf('+%d days', 7 * ($lesson + 1)));
    }

    return Lately::of(new Learner($evidence, new GreatBritain, $at))->mean;
}

it('says more of who has risen lately than of who has long been where they are', function (): void {
    $rose = lately(['intervened', 'missed', 'prompted', 'prompted', 'reminded', 'reminded', 'unaided', 'unaided']);
    $stands = lately(array_fill(0, 8, 'reminded'));
    $fell = lately(['unaided', 'unaided', 'unaided', 'reminded', 'reminded', 'prompted', 'prompted', 'missed']);

    expect($rose)->toBeGreaterThan($stands)->and($fell)->toBeLessThan($stands)->and(abs($stands))->toBeLessThan(0.6);
});

it('says nothing of somebody without marks', function (): void {
    $nobody = Lately::of(new Learner([], new GreatBritain, new DateTimeImmutable('2026-05-01T10:00:00Z')));

    expect($nobody->mean)->toBe(0.0)->and($nobody->variance)->toBe(0.0);
});

it('brings what is believed of simulated learners who climb nearer to what they can do', function (): void {
    $off = ['without' => [], 'with' => []];
    for ($i = 0; $i < 20; $i++) {
        $learner = new SimulatedLearner(new Approaches(91_000 + $i), SimulatedLearner::KINDS[$i % 5], rises: 4.5, slower: 2.0);
        $only = ['turn-left', 'turn-right', 'emerge-left', 'emerge-right'];
        for ($lesson = 0; $lesson < 10; $lesson++) {
            $learner->drive(12, $only);
        }
        $known = new Learner($learner->evidence, new GreatBritain, $learner->now);
        $lately = Lately::of($known)->mean;
        foreach ($only as $code) {
            foreach ([Step::Mirrors, Step::Position, Step::Look] as $step) {
                $routine = RoutineCode::from($code);
                $truth = min(0.995, max(0.005, $learner->truth($routine, $step, $learner->now)));
                $stands = $known->fit->stands($routine, $step)->mean;
                $off['without'][] = log($truth / (1.0 - $truth)) - $stands;
                $off['with'][] = log($truth / (1.0 - $truth)) - $stands - $lately;
            }
        }
    }
    $mean = static fn (array $one): float => array_sum($one) / count($one);

    expect($mean($off['without']))->toBeGreaterThan(0.2)->and(abs($mean($off['with'])))->toBeLessThan(0.7 * abs($mean($off['without'])));
});
