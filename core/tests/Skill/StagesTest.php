<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Difficulty;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Ladder;
use NobleTurn\Core\Skill\Overruling;
use NobleTurn\Core\Skill\Stages;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Passing;
use NobleTurn\Core\Tests\Simulation;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/* A learner seen step by step, each at a stage of its own. */

/** A mark of one step, so many days after the first of May at ten; shown where it is null. */
function stageMark(float $days, ?Outcome $outcome, Step $step = Step::Look, Conditions $conditions = new Conditions): Evidence
{
    $mark = new StepMark($outcome ?? Outcome::Unaided);

    return new Evidence('l', stageDay($days), RoutineCode::EmergeLeft, $step, $mark, $conditions, taught: $outcome === null);
}

function stageDay(float $days): DateTimeImmutable
{
    return new DateTimeImmutable('@'.((new DateTimeImmutable('2026-05-01T10:00:00Z'))->getTimestamp() + (int) round(86_400.0 * $days)));
}

/** @param  list<Evidence>  $marks */
function aloneByStages(array $marks, float $day, int $rounds = 0, array $words = [], Step $step = Step::Look): float
{
    return Stages::of($marks, $words)->outcomes(RoutineCode::EmergeLeft, $step, stageDay($day), $rounds)[Ladder::TOP];
}

/** Every way somebody can have gone from stage to stage, one after the other, for every kind of learner: slow, and written apart. */
function outcomesByEveryWay(array $marks, float $day): array
{
    $of = (new ReflectionClass(Stages::class))->getConstants();
    $top = count($of['ABILITIES']) - 1;
    $falls = static fn (float $idle): float => $of['FALLS'] * (1.0 - 0.5 ** (($idle / $of['PAUSE_DAYS']) ** 2));
    $goes = static fn (int $from, int $to, float $by, int $way, int $end): float => match (true) {
        $from === $end => $to === $from ? 1.0 : 0.0,
        $to === $from => 1.0 - $by,
        default => $to === $from + $way ? $by : 0.0,
    };
    $sum = array_fill(0, 5, 0.0);
    foreach ($of['BEGIN'] as $about => $share) {
        $begins = array_map(static fn (int $at): float => exp(-($at - $about) ** 2 / (2.0 * $of['APART'] ** 2)), range(0, $top));
        foreach ($of['CLIMBS'] as $climbs) {
            $walk = static function (int $mark, int $stage, float $chance, float $since) use (
                &$walk, &$sum, $marks, $day, $of, $top, $falls, $goes, $climbs
            ): void {
                $at = $marks[$mark] ?? null;
                $now = $at === null ? $day : $at[0];
                foreach (range(0, $top) as $fallen) {
                    $here = $chance * $goes($stage, $fallen, $mark === 0 ? 0.0 : $falls($now - $since), -1, 0);
                    if ($here === 0.0) {
                        continue;
                    }
                    if ($at === null) {
                        foreach (Ladder::probabilities($of['ABILITIES'][$fallen]) as $rank => $p) {
                            $sum[$rank] += $here * $p;
                        }

                        continue;
                    }
                    $seen = Ladder::probabilities($of['ABILITIES'][$fallen])[$at[1]];
                    foreach (range(0, $top) as $climbed) {
                        $go = $goes($fallen, $climbed, $climbs, 1, $top);
                        if ($go > 0.0) {
                            $walk($mark + 1, $climbed, $here * $seen * $go, $now);
                        }
                    }
                }
            };
            foreach ($begins as $stage => $p) {
                $walk(0, $stage, $share * $p / array_sum($begins), 0.0);
            }
        }
    }

    return array_map(static fn (float $one): float => $one / array_sum($sum), $sum);
}

it('is what comes of every way somebody can have gone from stage to stage', function (array $marks, float $day): void {
    $filtered = Stages::of(array_map(static fn (array $one): Evidence => stageMark($one[0], Outcome::cases()[$one[1]]), $marks))
        ->outcomes(RoutineCode::EmergeLeft, Step::Look, stageDay($day));
    foreach (outcomesByEveryWay($marks, $day) as $rank => $chance) {
        expect($filtered[$rank])->toEqualWithDelta($chance, 1e-12);
    }
    expect(array_sum($filtered))->toEqualWithDelta(1.0, 1e-12);
})->with([
    'nothing marked' => [[], 3.0],
    'one mark' => [[[0.0, 2]], 7.0],
    'up and down' => [[[0.0, 0], [7.0, 4], [14.0, 1], [14.01, 3]], 21.0],
    'a long pause' => [[[0.0, 4], [3.0, 4], [200.0, 2], [200.25, 3]], 420.0],
]);

it('knows what it was told of, and of the rest only what such learners begin with', function (): void {
    $word = new Overruling(stageDay(2), RoutineCode::EmergeLeft, Step::Signal, 0.9);
    $stages = Stages::of([stageMark(0, Outcome::Prompted), stageMark(1, null), stageMark(1, Outcome::Missed), stageMark(1, null, Step::Position)], [$word]);
    expect(array_map(static fn (Step $step): int => $stages->marks(RoutineCode::EmergeLeft, $step), Step::cases()))->toBe([0, 1, 0, 0, 2])
        ->and($stages->marks(RoutineCode::TurnLeft, Step::Look))->toBe(0);
    // Whoever begins well in one thing is likelier to be one who does.
    $well = array_map(static fn (int $i): Evidence => stageMark(0.01 * $i, Outcome::Unaided), range(0, 3));
    $badly = array_map(static fn (int $i): Evidence => stageMark(0.01 * $i, Outcome::Intervened), range(0, 3));
    expect(aloneByStages($well, 1.0, step: Step::Speed))->toBeGreaterThan(aloneByStages($badly, 1.0, step: Step::Speed) + 0.1);
});

it('goes by what came last, by practice, by a pause and by an instructor’s word', function (): void {
    [$bad, $good] = [Outcome::Missed, Outcome::Unaided];
    $in = static fn (Outcome ...$of): array => array_map(static fn (int $i): Evidence => stageMark(7.0 * intdiv($i, 2) + 0.01 * $i, $of[$i]), array_keys($of));
    $came = $in($bad, $bad, $good, $good, $good, $good);
    expect(aloneByStages($came, 21.0))->toBeGreaterThan(aloneByStages($in($good, $good, $good, $good, $bad, $bad), 21.0) + 0.2);
    // Every round raises it; a round that was only shown is practice as well.
    for ($rounds = 1; $rounds < 12; $rounds++) {
        expect(aloneByStages($came, 21.0, $rounds))->toBeGreaterThan(aloneByStages($came, 21.0, $rounds - 1));
    }
    expect(aloneByStages([...$came, stageMark(20.9, null)], 21.0))->toBeGreaterThan(aloneByStages($came, 21.0));
    // A pause lowers it, day by day and never by a jump: in a week by next to nothing, in a year by much, and that has to be climbed again.
    $last = aloneByStages($came, 14.06);
    for ($day = 15.0; $day < 800.0; $day += 1.0) {
        $now = aloneByStages($came, $day);
        expect($now)->toBeLessThan($last)->toBeGreaterThan($last - 0.01);
        $last = $now;
    }
    expect(aloneByStages($came, 21.0))->toBeGreaterThan(aloneByStages($came, 14.06) - 0.002)
        ->and(aloneByStages($came, 379.0))->toBeLessThan(aloneByStages($came, 14.06) - 0.1)
        ->and(aloneByStages($came, 379.0, 1))->toBeLessThan(aloneByStages($came, 14.06) - 0.05);
    // A word counts as a look at that step on that day, in its place among the marks, wherever it is handed in.
    $word = static fn (float $day, float $chance): Overruling => new Overruling(stageDay($day), RoutineCode::EmergeLeft, Step::Look, $chance);
    expect(aloneByStages($came, 21.0, words: [$word(20.0, 0.95)]))->toBeGreaterThan(aloneByStages($came, 21.0))
        ->and(aloneByStages($came, 21.0, words: [$word(20.0, 0.1)]))->toBeLessThan(aloneByStages($came, 21.0) - 0.2)
        ->and(aloneByStages($came, 21.0, words: [$word(3.0, 0.1)]))->toBeGreaterThan(aloneByStages($came, 21.0, words: [$word(20.0, 0.1)]))
        ->and(aloneByStages($came, 21.0, words: [$word(20.0, 0.1), $word(3.0, 0.9)]))
        ->toBe(aloneByStages($came, 21.0, words: [$word(3.0, 0.9), $word(20.0, 0.1)]))
        ->and(aloneByStages([], 21.0, words: [$word(20.0, 0.9)]))->toBeGreaterThan(aloneByStages([], 21.0) + 0.2);
});

it('takes a mark for better where it was harder', function (): void {
    $busy = new Conditions('busy', 'night', 'wet', 'town');
    expect(aloneByStages([stageMark(0, Outcome::Unaided, conditions: $busy)], 1.0))->toBeGreaterThan(aloneByStages([stageMark(0, Outcome::Unaided)], 1.0));
    $harder = Difficulty::of($busy);
    $stages = Stages::of([stageMark(0, Outcome::Reminded)]);
    expect($stages->outcomes(RoutineCode::EmergeLeft, Step::Look, stageDay(1.0), harder: $harder)[Ladder::TOP])
        ->toBeLessThan($stages->outcomes(RoutineCode::EmergeLeft, Step::Look, stageDay(1.0))[Ladder::TOP]);
});

it('foretells the next lesson better together with the fit: much where steps jump, and where they follow a curve no worse', function (): void {
    foreach (Passing::GENERATORS as $generator) {
        $loss = ['fit' => 0.0, 'stages' => 0.0, 'both' => 0.0];
        $marks = 0;
        for ($i = 0; $i < 20; $i++) {
            $learner = Passing::learner($generator, new Approaches(Simulation::UNSEEN + 97_000 + $i), $i);
            for ($lesson = 0; $lesson < 3 + $i % 8; $lesson++) {
                $learner->drive(13);
            }
            $before = $learner->evidence;
            $next = $learner->drive(13);
            [$fit, $stages] = [Fit::of($before, new GreatBritain, $next[0]->at), Stages::of($before)];
            foreach ($next as $one) {
                $by = $fit->foretells($one->routine, $one->step, $one->conditions, $one->place)[$one->rank];
                $own = $stages->outcomes($one->routine, $one->step, $one->at, 0, Difficulty::of($one->conditions))[$one->rank];
                $loss['fit'] -= log($by);
                $loss['stages'] -= log($own);
                $loss['both'] -= log(($by + $own) / 2.0);
                $marks++;
            }
        }
        $each = array_map(static fn (float $sum): float => $sum / $marks, $loss);
        Simulation::printed(sprintf('%s: fit %.4f, stages %.4f, both %.4f', $generator, ...array_values($each)));
        expect($each['both'])->toBeLessThan($each['fit'] + ($generator === 'by steps' ? -0.02 : 0.0));
    }
});
