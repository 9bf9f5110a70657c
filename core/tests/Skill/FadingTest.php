<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Model;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\SimulatedLearner;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/* How much a learner forgets of what is not driven: as all do, and as their own marks after longer and shorter pauses say. */

const LATER_ROUTINES = [RoutineCode::TurnLeft, RoutineCode::EmergeRight, RoutineCode::Roundabout];

/**
 * Lessons after short pauses and long ones, some rounds each of three routines.
 *
 * @param  Closure(int $pause, int $round): Outcome  $goes  days since the last lesson, and the round of it
 * @return array{list<Evidence>, DateTimeImmutable} with the day of the last
 */
function afterPauses(Closure $goes, array $pauses = [7, 40, 7, 42, 5, 60, 7, 35, 6, 50, 7, 40]): array
{
    $at = new DateTimeImmutable('2026-01-05T10:00:00Z');
    $marks = [];
    foreach ($pauses as $n => $pause) {
        $at = $at->modify("+{$pause} days");
        foreach (LATER_ROUTINES as $i => $routine) {
            foreach (range(0, 3) as $round) {
                foreach ([Step::Mirrors, Step::Speed, Step::Look] as $step) {
                    $marks[] = new Evidence("l{$n}", $at->modify('+'.(10 * $i + $round).' minutes'), $routine, $step, new StepMark($goes($pause, $round)));
                }
            }
        }
    }

    return [$marks, $at];
}

function fadingOf(Closure $goes): float
{
    [$marks, $last] = afterPauses($goes);

    return Fit::of($marks, new GreatBritain, $last)->fading();
}

it('is as with most where nobody has seen this learner come back, and of that nothing is sure', function (): void {
    $model = new Model;
    [$marks, $last] = afterPauses(static fn (): Outcome => Outcome::Reminded, [0]);
    $fit = Fit::of($marks, new GreatBritain, $last);
    $stands = $fit->stands(RoutineCode::TurnLeft, Step::Look);
    expect($fit->fading())->toBe($model->fading)->and(Fit::of([], new GreatBritain, $last)->fading())->toBe($model->fading);
    foreach ([0, 1, 14, 90, 400] as $days) {
        $on = $last->modify("+{$days} days");
        // The last round of it was three minutes into the lesson, that of everything 23.
        $months = log(1.0 + ($days - 3.0 / 1440.0 > 0 ? $days - 3.0 / 1440.0 : 0.0) / $model->fadingDays);
        $then = $fit->belief(RoutineCode::TurnLeft, Step::Look, $on);
        expect($then->mean)->toEqualWithDelta($stands->mean - $model->fading * $months, 1e-9)
            ->and($then->variance)->toEqualWithDelta(
                $stands->variance + $model->ofTheDay + $model->perDay * max(0.0, $days - 23.0 / 1440.0) + ($model->fadingDiffers * $months) ** 2, 1e-9,
            );
    }
});

it('is more for whoever comes back from long pauses worse than from short ones, and less for whoever does not', function (): void {
    $model = new Model;
    $alike = fadingOf(static fn (int $pause, int $round): Outcome => $round === 0 ? Outcome::Reminded : Outcome::Unaided);
    $forgets = fadingOf(static fn (int $pause, int $round): Outcome => match (true) {
        $round > 0 => Outcome::Unaided, $pause > 30 => Outcome::Missed, default => Outcome::Unaided
    });
    $keeps = fadingOf(static fn (): Outcome => Outcome::Unaided);
    expect($forgets)->toBeGreaterThan($model->fading + 0.3)->and($alike)->toBeLessThan($forgets - 0.2)->and($keeps)->toBeLessThan($model->fading);
    // Whoever comes back better after each pause does not remember more than there was.
    $better = fadingOf(static fn (int $pause): Outcome => $pause > 30 ? Outcome::Unaided : Outcome::Missed);
    expect($better)->toBeGreaterThanOrEqual(0.0)->toBeLessThan($keeps);
});

it('moves with each mark a little, the same whatever order they come in', function (): void {
    $goes = static fn (int $worse): Closure => static function (int $pause, int $round) use (&$left, $worse): Outcome {
        $left ??= $worse;

        return $pause > 30 && $round === 0 && $left-- > 0 ? Outcome::Missed : Outcome::Unaided;
    };
    $before = fadingOf($goes(0));
    foreach (range(1, 30) as $worse) {
        $now = fadingOf($goes($worse));
        expect(abs($now - $before))->toBeLessThan(0.15);
        $before = $now;
    }
    [$marks, $last] = afterPauses($goes(9));
    $fit = Fit::of($marks, new GreatBritain, $last);
    expect(Fit::of(array_reverse($marks), new GreatBritain, $last)->fading())->toBe($fit->fading());
});

it('tells simulated learners who forget quickly from the others, once they have come back often enough', function (): void {
    $mean = static function (string $kind): float {
        [$found, $routines] = [[], ['turn-left', 'emerge-right', 'roundabout', 'cross', 'lights-left', 'pass-parked']];
        foreach (range(1, 8) as $seed) {
            $learner = new SimulatedLearner(new Approaches(400 + $seed), $kind, rises: 3.5, slower: 2.0);
            foreach (range(0, 29) as $lesson) {
                // Two at once, one of them for some lessons on end: each comes back after short pauses and after long ones.
                $learner->drive(14, [$routines[$lesson % 6], $routines[intdiv($lesson, 3) % 6]]);
            }
            $found[] = Fit::of($learner->evidence, new GreatBritain, $learner->now)->fading();
        }

        return array_sum($found) / count($found);
    };
    expect($mean('forgetful'))->toBeGreaterThan(max($mean('fast'), $mean('slow'), $mean('step-weak')) + 0.05);
});
