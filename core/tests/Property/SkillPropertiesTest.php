<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Decision;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Record\Taught;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\HeldBackWords;
use NobleTurn\Core\Skill\History;
use NobleTurn\Core\Skill\HoldsBack;
use NobleTurn\Core\Skill\LessonTold;
use NobleTurn\Core\Skill\Level;
use NobleTurn\Core\Skill\OwnRating;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\SimulatedLearner;
use NobleTurn\Core\Tests\Simulation;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

it('holds the truth in its ranges, and foretells the next mark better than counting does', function (): void {
    $pack = new GreatBritain;
    $in = $of = $markers = [];
    $loss = ['model' => 0.0, 'last mark' => 0.0, 'moving average' => 0.0, 'all marks' => 0.0];
    $marks = 0;
    foreach (SimulatedLearner::KINDS as $k => $kind) {
        $in[$kind] = $of[$kind] = 0;
        for ($i = 0; $i < 12; $i++) {
            $learner = new SimulatedLearner(new Approaches(Simulation::UNSEEN + 1000 * $k + $i), $kind);
            for ($lesson = 0; $lesson < 2 + $i % 10; $lesson++) {
                $learner->drive(15);
            }
            $today = $learner->now->modify('+3 days');
            $fit = Fit::of($learner->evidence, $pack, $today);
            foreach ($fit->marked() as $cell) {
                [$routine, $step] = explode('.', $cell);
                [$low, $high] = $fit->belief(RoutineCode::from($routine), Step::from($step))->range();
                $truth = $learner->truth(RoutineCode::from($routine), Step::from($step), $today);
                $of[$kind]++;
                $held = (int) ($truth >= $low && $truth <= $high);
                $in[$kind] += $held;
                $markers[$learner->bias > 0.0 ? 'lenient marker' : ($learner->bias < 0.0 ? 'strict marker' : 'even marker')][] = $held;
            }
            $before = $learner->evidence;
            $next = $learner->drive(15);
            $fit = Fit::of($before, $pack, $next[0]->at);
            $seen = $byCell = [];
            foreach ($before as $one) {
                $byCell[$one->cell()][] = $one->rank;
                $seen[] = $one->rank;
            }
            foreach ($next as $one) {
                $history = $byCell[$one->cell()] ?? [];
                foreach ([
                    'model' => $fit->foretells($one->routine, $one->step, $one->conditions, $one->place)[$one->rank],
                    'last mark' => Simulation::smoothed(array_slice($history, -1), $seen, 1.0)[$one->rank],
                    'moving average' => Simulation::smoothed(array_slice($history, -6), $seen, 2.0)[$one->rank],
                    'all marks' => Simulation::smoothed($history, $seen, 2.0)[$one->rank],
                ] as $name => $p) {
                    $loss[$name] -= log($p);
                }
                $marks++;
            }
        }
    }
    $pooled = array_sum($in) / array_sum($of);
    foreach ($markers as $kind => $held) {
        [$in[$kind], $of[$kind]] = [array_sum($held), count($held)];
    }
    foreach ($in as $kind => $held) {
        Simulation::printed(sprintf('%-15s %.3f of %d in the 80 %% range', $kind, $held / $of[$kind], $of[$kind]));
        expect($held / $of[$kind])->toBeGreaterThan(0.6, $kind);
    }
    Simulation::printed(
        sprintf(
            'pooled %.3f; log-loss a mark: %s', $pooled,
            implode(', ', array_map(fn (string $name, float $sum): string => sprintf('%s %.4f', $name, $sum / $marks), array_keys($loss), $loss)),
        ),
    );
    expect($pooled)->toBeGreaterThanOrEqual(0.75)->toBeLessThanOrEqual(0.85)
        ->and($loss['model'])->toBeLessThan(min($loss['last mark'], $loss['moving average'], $loss['all marks']));
});

it('names a planted weakness: one step over one section, three lessons of fifteen rounds, otherwise an even learner', function (): void {
    $curve = [];
    foreach ([1.5, 2.5, 3.5] as $logits) {
        [$first, $firstTwo, $learners] = [0, 0, 60];
        for ($i = 0; $i < $learners; $i++) {
            $draw = new Approaches(Simulation::UNSEEN + 50_000 + $i);
            [$step, $section] = [$draw->one(Step::cases()), $draw->one([Section::Turning, Section::Emerging, Section::Lights])];
            // The generator's scale is normal, not logistic: a logit is 1 / 1.7 of it.
            $learner = new SimulatedLearner($draw, 'ordinary', $step, $section, $logits / 1.7, 0.5);
            for ($lesson = 0; $lesson < 3; $lesson++) {
                $learner->drive(15, ['turn-left', 'turn-right', 'emerge-left', 'emerge-right', 'lights-left', 'lights-right']);
            }
            $named = array_map(
                fn (HoldsBack $one): bool => $one->step === $step && $one->section === $section,
                HoldsBack::of(Fit::of($learner->evidence, new GreatBritain, $learner->now->modify('+1 day')), $learner->evidence),
            );
            $first += (int) ($named[0] ?? false);
            $firstTwo += (int) (($named[0] ?? false) || ($named[1] ?? false));
        }
        $curve[(string) $logits] = [$first / $learners, $firstTwo / $learners];
        Simulation::printed(sprintf('planted %.1f logits: named first %.2f, among two %.2f', $logits, ...$curve[(string) $logits]));
    }
    expect($curve['2.5'][0])->toBeGreaterThanOrEqual(0.8)->and($curve['2.5'][1])->toBeGreaterThanOrEqual(0.9)
        ->and($curve['3.5'][0])->toBeGreaterThanOrEqual($curve['1.5'][0]);
});

/** @return array<string, mixed> */
function markedAs(string $outcome, string $at, array $more = []): array
{
    return ['at' => $at, 'routine' => 'emerge-right', 'step' => 'position', 'outcome' => $outcome] + $more;
}

it('names a planted weakness: one step over all turns to one side, or over everything, four lessons of fifteen rounds', function (): void {
    $curve = [];
    foreach (['side', 'everywhere'] as $kind) {
        foreach ([1.5, 2.5, 3.5] as $logits) {
            [$first, $firstTwo, $learners] = [0, 0, 60];
            for ($i = 0; $i < $learners; $i++) {
                $draw = new Approaches(Simulation::UNSEEN + 70_000 + $i);
                [$step, $side] = [$draw->one(Step::cases()), $kind === 'side' ? $draw->one(Side::cases()) : null];
                $learner = new SimulatedLearner($draw, 'ordinary', $step, null, $logits / 1.7, 0.5, $side);
                for ($lesson = 0; $lesson < 4; $lesson++) {
                    $learner->drive(15, ['turn-left', 'turn-right', 'emerge-left', 'emerge-right', 'lights-left', 'lights-right']);
                }
                $named = array_map(
                    static fn (HoldsBack $one): bool => $one->step === $step && $one->side === $side && $one->section === null,
                    HoldsBack::of(Fit::of($learner->evidence, new GreatBritain, $learner->now->modify('+1 day')), $learner->evidence),
                );
                $first += (int) ($named[0] ?? false);
                $firstTwo += (int) (($named[0] ?? false) || ($named[1] ?? false));
            }
            $curve["{$kind} {$logits}"] = $first / $learners;
            Simulation::printed(sprintf('planted %.1f logits, %s: named first %.2f, among two %.2f', $logits, $kind, $first / $learners,
                $firstTwo / $learners));
        }
        expect($curve["{$kind} 2.5"])->toBeGreaterThanOrEqual(0.85)->and($curve["{$kind} 3.5"])->toBeGreaterThanOrEqual($curve["{$kind} 1.5"]);
    }
});

it('names the kind of fault that stands out, and none where they are of several kinds or few', function (): void {
    $at = static fn (int $i): DateTimeImmutable => new DateTimeImmutable("2026-05-01T10:00:00Z +{$i} minutes");
    $with = static function (array $faults) use ($at): ?HoldsBack {
        $evidence = [];
        foreach (['turn-right', 'emerge-right', 'turn-left', 'emerge-left'] as $routine) {
            for ($i = 0; $i < 8; $i++) {
                foreach ([Step::Mirrors, Step::Position, Step::Look] as $step) {
                    $isWeak = $step === Step::Position && str_ends_with($routine, 'right');
                    $mark = $isWeak ? new StepMark(Outcome::Missed, fault: $faults[$i] ?? null) : new StepMark(Outcome::Unaided);
                    $evidence[] = new Evidence('l', $at($i), RoutineCode::from($routine), $step, $mark);
                }
            }
        }

        return HoldsBack::of(Fit::of($evidence, new GreatBritain, $at(2_000)), $evidence)[0] ?? null;
    };
    expect($with(['wide', 'wide', 'late', 'wide']))->step->toBe(Step::Position)->side->toBe(Side::Right)->fault->toBe('wide')
        ->and($with(['wide', 'late', 'wide', 'late'])->fault)->toBeNull()->and($with(['wide'])->fault)->toBeNull()->and($with([])->fault)->toBeNull();
    $one = $with(['wide', 'wide', 'wide']);
    foreach (RulePacks::all() as $pack) {
        expect(HeldBackWords::of($one, $pack))->toBe('Position, on every right turn: wide');
    }
});

it('names conditions that trouble a learner, and few who are not troubled', function (): void {
    $named = fn (string $kind, int $seed): array => (function () use ($kind, $seed): array {
        $learner = new SimulatedLearner(new Approaches(Simulation::UNSEEN + 70_000 + $seed), $kind);
        foreach (range(1, 8) as $lesson) {
            $learner->drive(15);
        }

        return array_filter(
            array_map(
                fn (HoldsBack $one): ?string => $one->condition,
                HoldsBack::of(Fit::of($learner->evidence, new GreatBritain, $learner->now->modify('+1 day')), $learner->evidence),
            ),
        );
    })();
    $share = fn (string $kind): float => count(array_filter(range(1, 25), fn (int $seed): bool => in_array('busy', $named($kind, $seed), true))) / 25;
    [$weak, $other] = [$share('condition-weak'), $share('ordinary')];
    Simulation::printed(sprintf('busy traffic named: of the condition-weak %.2f, of the others %.2f', $weak, $other));
    expect($weak)->toBeGreaterThanOrEqual(0.6)->and($other)->toBeLessThanOrEqual(0.2);
});

it('takes an instructor’s word as a weighty look: towards it, gone on from by later marks, beside the marks alone', function (): void {
    $ask = fn (array $marks, array $words = [], string $today = '2026-06-01'): array => Ask::tool(
        'skill', ['today' => $today, 'marks' => $marks, 'overrulings' => $words],
    )['cells'][0];
    $word = fn (string $level, string $at = '2026-05-31T18:00:00Z'): array => [
        'at' => $at, 'routine' => 'emerge-right', 'step' => 'position', 'level' => $level,
    ];
    $marks = array_fill(0, 6, markedAs('prompted', '2026-05-30T10:00:00Z'));
    $alone = $ask($marks)['estimate'];
    $before = -1.0;
    foreach (Level::cases() as $level) {
        $said = $ask($marks, [$word($level->value)]);
        expect($said['estimate'])->toBeGreaterThan($before)->and($said['said'])->toBe($level->value)->and($said['marks_alone'])->toBe($alone)
            ->and(abs($said['estimate'] - $level->chance()))->toBeLessThan(0.2 * abs($alone - $level->chance()) + 0.08);
        $before = $said['estimate'];
    }
    // A word is no progress: the trend is that of the marks.
    $even = [];
    foreach (range(1, 8) as $n) {
        array_push($even, ...array_fill(0, 4, markedAs('prompted', sprintf('2026-05-%02dT10:00:00Z', 3 * $n))));
    }
    expect($ask($even, [$word('nearly-always')])['trend'])->toBe($ask($even)['trend']);
    $later = [...$marks, ...array_fill(0, 12, markedAs('missed', '2026-06-10T10:00:00Z'))];
    expect($ask($later, [$word('nearly-always')], '2026-06-11')['estimate'])->toBeLessThan($ask($marks, [$word('nearly-always')])['estimate'] - 0.2)
        // One of tomorrow's is not of today; one of a step the routine has not is refused by name.
        ->and($ask($marks, [$word('nearly-always', '2026-06-09T10:00:00Z')])['said'])->toBeNull()
        ->and(
            Ask::refusal('skill', ['today' => '2026-06-01', 'marks' => [], 'overrulings' => [['routine' => 'hump', 'step' => 'signal'] + $word('seldom')]]),
        )->toHaveKey('overrulings.0.step');
});

it('tells lesson by lesson what was to be believed, and by how much a lesson changed it', function (): void {
    $learner = new SimulatedLearner(new Approaches(21), 'fast');
    foreach (range(1, 15) as $lesson) {
        $learner->drive(12);
    }
    $pack = new GreatBritain;
    $evidence = $learner->evidence;
    $told = array_map(
        static fn (int $lesson): LessonTold => LessonTold::of("l{$lesson}", $evidence, [], $pack), range(1, 15),
    );
    $history = History::of($told, RoutineCode::TurnLeft, Step::Speed);
    $marked = array_filter($evidence, static fn (Evidence $one): bool => $one->cell() === 'turn-left.speed');
    expect(array_column($history, 'lesson'))->toBe(array_values(array_unique(array_column($marked, 'lesson'))));
    // Kept and read again it is the same.
    foreach ($told as $one) {
        expect(LessonTold::fromArray(json_decode(json_encode($one->toArray()), true)))->toEqual($one);
    }
    $last = $history[count($history) - 1];
    $fit = Fit::of(array_values(array_filter($evidence, fn (Evidence $one): bool => $one->at <= $last->at)), $pack, $last->at);
    expect($last->belief)->toEqual($fit->belief(RoutineCode::TurnLeft, Step::Speed))
        ->and(array_sum(array_map(fn (History $one): int => $one->of, $history)))->toBeLessThanOrEqual(count($evidence));
    // What a lesson was is not changed by what came after it.
    $early = array_values(array_filter($evidence, fn (Evidence $one): bool => (int) substr($one->lesson, 1) <= 6));
    $sixth = LessonTold::of('l6', $evidence, [], $pack);
    expect($sixth)->toEqual(LessonTold::of('l6', $early, [], $pack))->and(LessonTold::of('nowhere', $evidence, [], $pack))->toBeNull();
    $changed = $sixth->changed;
    $ended = max(array_map(fn (Evidence $one): DateTimeImmutable => $one->at, $early));
    $after = Fit::of($early, $pack, $ended);
    foreach ($changed as $i => $one) {
        expect($one->after)->toEqual($after->belief($one->routine, $one->step))->and($one->unaided)->toBeLessThanOrEqual($one->marks);
        if ($i > 0 && $one->before !== null) {
            expect(abs($one->by()))->toBeLessThanOrEqual(abs($changed[$i - 1]->by()));
        }
    }
});

it('counts a right decision to hold back as good as a right go, and teaching as practice alone', function (): void {
    $at = new DateTimeImmutable('2026-05-30T10:00:00Z');
    $routine = Catalogue::routine(RoutineCode::EmergeRight, new GreatBritain);
    $round = fn (array $marks, ?Taught $taught = null, bool $held = false): array => Evidence::ofRound(
        new MarkedRound('a', $at, RoutineCode::EmergeRight, $marks, $taught, $held ? [Decision::HeldBack] : []), $routine,
    );
    $ranks = fn (array $evidence): array => array_map(fn (Evidence $one): array => [$one->step->value, $one->rank, $one->taught], $evidence);
    expect($ranks($round([], held: true)))->toBe([['look', 4, false]])
        ->and($ranks($round(['look' => new StepMark(Outcome::Prompted)], held: true)))->toBe([['look', 2, false]])
        ->and(array_unique(array_column($ranks($round([], Taught::Shown)), 2)))->toBe([true])->and($round([], Taught::Shown))->toHaveCount(5);
});

it('finds where a learner’s own rating parts from the marks', function (): void {
    $marks = $ratings = [];
    foreach (range(1, 7) as $n) {
        $at = sprintf('2026-05-%02dT10:00:00Z', $n);
        foreach (['speed' => 'prompted', 'look' => 'unaided', 'signal' => 'reminded'] as $step => $outcome) {
            $marks[] = ['at' => $at, 'routine' => 'emerge-right', 'step' => $step, 'outcome' => $outcome, 'lesson' => "l{$n}"];
        }
        foreach (['speed' => 'unaided', 'look' => 'reminded', 'signal' => 'reminded', 'mirrors' => 'missed'] as $step => $outcome) {
            $ratings[] = ['lesson' => "l{$n}", 'step' => $step, 'outcome' => $outcome];
        }
    }
    $found = Ask::tool('skill', ['today' => '2026-06-01', 'marks' => $marks, 'own_ratings' => $ratings])['own_ratings'];
    // A step that was never marked has nothing to be compared with.
    expect(array_column($found, 'leans', 'step'))->toBe(['signal' => 'alike', 'speed' => 'higher', 'look' => 'lower'])
        ->and($found[1])->toMatchArray(['said' => 4, 'marked' => 2, 'lessons' => OwnRating::LESSONS])
        // It is talked about, never counted.
        ->and(Ask::tool('skill', ['today' => '2026-06-01', 'marks' => $marks])['cells'])->toBe(
            Ask::tool('skill', ['today' => '2026-06-01', 'marks' => $marks, 'own_ratings' => $ratings])['cells'],
        );
});

it('says what was never done, only shown, and not for long; a long vehicle is no hole in a car driver’s record', function (): void {
    $mark = fn (string $routine, string $at, array $more = []): array => ['at' => $at, 'routine' => $routine, 'step' => 'look', 'outcome' => 'unaided'] + $more;
    $answer = Ask::tool('skill', ['today' => '2026-06-01', 'marks' => [
        $mark('turn-left', '2026-03-01T10:00:00Z'), $mark('turn-right', '2026-05-30T10:00:00Z'),
        $mark('roundabout', '2026-05-30T11:00:00Z', ['taught' => 'shown']),
    ]]);
    $cell = fn (string $routine): array => array_values(array_filter($answer['cells'], fn (array $cell): bool => $cell['routine'] === $routine))[0];
    expect($answer['not_for_long'])->toBe([['routine' => 'turn-left', 'days' => 92]])->and($answer['only_shown'])->toBe(['roundabout'])
        ->and($answer['never_done'])->toContain('emerge-left')->not->toContain('turn-left', 'roundabout', 'long-left')
        ->and([$cell('turn-left')['fading'], $cell('turn-right')['fading']])->toBe([true, false])->and($cell('turn-left')['faded_by'])->toBeGreaterThan(0.02);
});

it('stays sane over a hundred lessons and contradictory marks', function (): void {
    $marks = [];
    foreach (range(0, 99) as $lesson) {
        foreach (['unaided', 'intervened', 'unaided', 'intervened'] as $outcome) {
            $marks[] = markedAs($outcome, (new DateTimeImmutable('2024-06-03T10:00:00Z'))->modify("+{$lesson} weeks")->format('Y-m-d\TH:i:s\Z'));
        }
    }
    $cell = Ask::tool('skill', ['today' => '2026-05-01', 'marks' => $marks])['cells'][0];
    // Half on their own, half by the instructor's hand: the ladder sees somebody in between, and is none too sure.
    expect($cell['estimate'])
        ->toBeGreaterThan(0.1)
        ->toBeLessThan(0.6)
        ->and($cell['high'] - $cell['low'])
        ->toBeGreaterThan(0.1)
        ->toBeLessThan(0.6)
        ->and($cell['evidence'])
        ->toBe(400);
});

it('gives the same answer in whatever order marks arrive', function (): void {
    $learner = new SimulatedLearner(new Approaches(7), 'fast');
    foreach (range(1, 4) as $lesson) {
        $learner->drive(10);
    }
    $marks = array_map(
        fn (Evidence $one): array => [
            'at' => $one->at->format('Y-m-d\TH:i:s\Z'), 'routine' => $one->routine->value, 'step' => $one->step->value,
            'outcome' => ['intervened', 'missed', 'prompted', 'reminded', 'unaided'][$one->rank],
        ],
        $learner->evidence,
    );
    $ask = fn (array $marks): string => json_encode(Ask::tool('skill', ['today' => '2026-06-01', 'marks' => $marks]), JSON_THROW_ON_ERROR);
    $shuffled = $marks;
    mt_srand(3);
    shuffle($shuffled);
    expect($ask($shuffled))->toBe($ask($marks));
});

it('answers sanely to odd records', function (): void {
    $ask = fn (array $marks, string $today = '2026-06-01'): array => Ask::tool(
        'skill', ['today' => $today, 'marks' => $marks, 'predict' => [['at' => $today, 'routine' => 'emerge-right', 'step' => 'position']]],
    );
    $one = fn (array $marks, string $today = '2026-06-01'): array => $ask($marks, $today)['cells'][0];
    expect($ask([])['cells'])
        ->toBe([])
        ->and(array_sum($ask([])['predicted'][0]))
        ->toEqualWithDelta(1.0, 1e-6)
        ->and(min($ask([])['predicted'][0]))
        ->toBeGreaterThan(0.0);
    $day = '2026-05-30T10:00:00Z';
    // Better outcomes, a higher estimate; every rung counts.
    $before = 0.0;
    foreach (['intervened', 'missed', 'prompted', 'reminded', 'unaided'] as $outcome) {
        $now = $one([markedAs($outcome, $day)])['estimate'];
        expect($now)->toBeGreaterThan($before);
        $before = $now;
    }
    // More of the same, a narrower range; unaided among busy traffic is worth more than on an empty road.
    $width = fn (array $cell): float => $cell['high'] - $cell['low'];
    $mixed = fn (int $times): array => array_merge(...array_fill(0, $times, [markedAs('prompted', $day), markedAs('reminded', $day)]));
    expect($width($one($mixed(6))))->toBeLessThan($width($one($mixed(1))))
        ->and($one([markedAs('unaided', $day, ['conditions' => ['traffic' => 'busy']])])['estimate'])->toBeGreaterThan(
            $one([markedAs('unaided', $day, ['conditions' => ['traffic' => 'quiet']])])['estimate'],
        );
    // Shown says nothing of ability; a year away fades and widens; tomorrow's marks wait, a clock some hours ahead does not.
    expect($ask([markedAs('unaided', $day, ['taught' => 'shown'])])['cells'])->toBe([]);
    $fresh = $one(array_fill(0, 8, markedAs('unaided', $day)));
    $year = $one(array_fill(0, 8, markedAs('unaided', $day)), '2027-06-01');
    expect($year['estimate'])->toBeLessThan($fresh['estimate'])->and($width($year))->toBeGreaterThan($width($fresh));
    $early = $ask([markedAs('unaided', '2026-06-09T10:00:00Z')]);
    expect($early['cells'])->toBe([])->and(array_column($early['warnings'], 'code'))->toBe(['future-marks'])
        ->and($ask([markedAs('unaided', '2026-06-02T05:00:00Z')])['cells'])->toHaveCount(1);
    // A slip in the order counts as a prompt at the least.
    expect($one([markedAs('unaided', $day, ['out_of_order' => true])])['estimate'])->toBe($one([markedAs('prompted', $day)])['estimate']);
    expect(Ask::refusal('skill', ['today' => 'soon', 'marks' => []]))->toHaveKey('today')
        ->and(
            Ask::refusal('skill', ['today' => '2026-06-01', 'marks' => [['at' => $day, 'routine' => 'hump', 'step' => 'signal', 'outcome' => 'missed']]]),
        )->toHaveKey('marks.0.step');
});

it('lets evidence of one skill inform related ones', function (): void {
    $at = '2026-05-30T10:00:00Z';
    $predict = fn (string $outcome): float => Ask::tool(
        'skill',
        [
            'today' => '2026-06-01', 'marks' => array_fill(0, 6, ['at' => $at, 'routine' => 'turn-left', 'step' => 'mirrors', 'outcome' => $outcome]),
            'predict' => [
                ['at' => '2026-06-01', 'routine' => 'roundabout', 'step' => 'mirrors'],
                ['at' => '2026-06-01', 'routine' => 'turn-right', 'step' => 'mirrors'],
            ],
        ],
    )['predicted'][0]['unaided'];
    expect($predict('unaided'))->toBeGreaterThan($predict('prompted') + 0.1);
});
