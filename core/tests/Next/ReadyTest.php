<?php

declare(strict_types=1);

use NobleTurn\Core\Assessment\MarkedFault;
use NobleTurn\Core\Assessment\Result;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Next\Forecast;
use NobleTurn\Core\Next\Learner;
use NobleTurn\Core\Next\Prerequisites;
use NobleTurn\Core\Next\Ready;
use NobleTurn\Core\Next\Required;
use NobleTurn\Core\Next\Schedule;
use NobleTurn\Core\Next\TestDrive;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\Ireland;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Ladder;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Vehicle\Transmission;
use Random\Engine\Mt19937;
use Random\Randomizer;

/* How near somebody is to their test. */

/** @return list<array<string, mixed>> every routine that a test can ask, each so often as said, by turns */
function everything(array $outcomes, int $rounds, string $traffic = 'busy', string $pack = 'gb', int $from = 1): array
{
    $marks = [];
    $turn = 0;
    foreach (Required::of(NobleTurn\Core\Rules\RulePacks::byCode($pack), Transmission::Manual) as $n => $routine) {
        for ($i = 0; $i < $rounds; $i++) {
            foreach (Step::cases() as $step) {
                if ($routine->has($step)) {
                    $marks[] = [
                        'at' => sprintf('2026-05-%02dT10:%02d:%02dZ', $from + $i, $n, $i), 'routine' => $routine->code->value, 'step' => $step->value,
                        'outcome' => $outcomes[$turn++ % count($outcomes)], 'conditions' => ['traffic' => $traffic],
                    ];
                }
            }
        }
    }

    return $marks;
}

/** @return list<array<string, mixed>> everything once a lesson, better from one to the next */
function learning(int $lessons): array
{
    $marks = [];
    foreach (range(0, $lessons - 1) as $lesson) {
        $outcomes = [
            ['missed', 'prompted'], ['prompted', 'reminded'], ['reminded', 'prompted', 'unaided'], ['unaided', 'reminded'],
            ['unaided', 'unaided', 'reminded'], ['unaided', 'unaided', 'unaided', 'unaided', 'reminded'],
        ][min(5, $lesson)];
        $marks = [...$marks, ...everything($outcomes, 1, from: 1 + 2 * $lesson)];
    }

    return $marks;
}

function ready(array $more): array
{
    return Ask::tool('ready', $more + ['pack' => 'gb', 'today' => '2026-05-20']);
}

it('knows nothing of somebody nobody has marked, and says what all is missing', function (): void {
    foreach (['gb', 'ie', 'na'] as $pack) {
        $answer = ready(['pack' => $pack, 'marks' => [], 'test_on' => '2026-07-01']);
        expect($answer)->toMatchArray(['verdict' => 'unknown', 'chance' => null, 'lessons' => null, 'date' => null, 'in_time' => null, 'shortens' => []])
            ->and($answer['lessons_by_test'])->toBe(12)->and(array_column($answer['missing'], 'kind'))->toContain('routine', 'condition', 'mock-test');
    }
});

it('is ready only where nothing is missing', function (): void {
    $marks = everything(['unaided'], 12);
    $almost = ready(['marks' => $marks]);
    expect($almost['verdict'])->toBe('nearly')->and(array_column($almost['missing'], 'kind'))->toBe(['mock-test'])
        ->and($almost['lessons'])->toBe(['low' => 1, 'middle' => 1, 'high' => $almost['lessons']['high']])->and($almost['lessons']['high'])->toBeLessThan(20);
    $all = ready(['marks' => $marks, 'mock_tests' => [['on' => '2026-05-12', 'result' => 'pass']], 'test_on' => '2026-05-21']);
    expect($all)->toMatchArray(['verdict' => 'ready', 'missing' => [], 'in_time' => true])->and($all['lessons']['middle'])->toBe(0)
        ->and($all['chance']['estimate'])->toBeGreaterThan(0.75)->and($all['date']['middle'])->toBe('2026-05-20');
    // One that was failed, or is long ago, is none.
    foreach ([['on' => '2026-05-12', 'result' => 'fail'], ['on' => '2026-02-12', 'result' => 'pass'], ['on' => '2026-06-12', 'result' => 'pass']] as $test) {
        expect(array_column(ready(['marks' => $marks, 'mock_tests' => [$test]])['missing'], 'kind'))->toBe(['mock-test']);
    }
    expect(array_column(ready(['marks' => everything(['unaided'], 12, 'quiet')])['missing'], 'kind'))->toBe(['condition', 'mock-test']);
    // After a year nobody knows any more.
    $later = ready(['marks' => $marks, 'today' => '2027-05-20', 'mock_tests' => [['on' => '2026-05-12', 'result' => 'pass']]]);
    expect($later['verdict'])->not->toBe('ready')->and($later['chance']['estimate'])->toBeLessThan($all['chance']['estimate']);
});

it('takes no fewer lessons than the rounds of all that nobody has seen, and busy ones are among them', function (): void {
    $all = everything(['unaided'], 6);
    $codes = array_values(array_unique(array_column($all, 'routine')));
    $last = 0;
    foreach ([count($codes), 12, 6, 3] as $driven) {
        $marks = array_values(array_filter($all, static fn (array $mark): bool => in_array($mark['routine'], array_slice($codes, 0, $driven), true)));
        $answer = ready(['marks' => $marks, 'lesson_minutes' => 60]);
        $wanted = array_sum(array_map(static fn (array $one): float => match ($one['kind']) {
            'routine' => 3.0, 'evidence' => $one['wanted'] - $one['have'], default => 0.0,
        }, array_filter($answer['missing'], static fn (array $one): bool => $one['kind'] !== 'routine' || str_contains($one['message'], 'never driven'))));
        $least = (int) ceil($wanted / (new Schedule(60.0, 60.0, 0.0))->rounds()) + 1;
        expect($answer['lessons']['low'])->toBeGreaterThanOrEqual($least)->toBeGreaterThanOrEqual($last)
            ->and($answer['verdict'] === 'nearly')->toBe($answer['lessons']['middle'] <= 3);
        $last = $answer['lessons']['low'];
    }
    // Whoever has seen three things of two dozen is not nearly there, however well those go.
    expect($last)->toBeGreaterThanOrEqual(5)->and($answer['verdict'])->toBe('not-yet');
    // Five busy rounds are driven within the others where there are any, and take a lesson where there are none.
    $quiet = everything(['unaided'], 12, 'quiet');
    $few = array_values(array_filter($quiet, static fn (array $mark): bool => in_array($mark['routine'], array_slice($codes, 0, 12), true)));
    expect(ready(['marks' => $quiet])['lessons']['low'])->toBe(2)
        ->and(ready(['marks' => $few])['lessons']['low'])->toBe(ready(['marks' => array_map(
            static fn (array $mark): array => ['conditions' => ['traffic' => 'busy']] + $mark, $few,
        )])['lessons']['low']);
});

it('asks for what comes first before what rests on it, and for what law asks', function (): void {
    foreach ([new GreatBritain, new Ireland, new NorthAmerica] as $pack) {
        $missing = array_values(array_filter(array_column(ready(['pack' => $pack->code(), 'marks' => []])['missing'], 'routine')));
        foreach ($missing as $i => $routine) {
            foreach (Prerequisites::all(RoutineCode::from($routine), $pack) as $before) {
                expect(array_slice($missing, $i + 1))->not->toContain($before->value);
            }
        }
    }
    $hours = static fn (int $lessons): array => array_values(array_filter(ready([
        'pack' => 'ie', 'marks' => [], 'hours' => array_map(
            static fn (int $i): array => ['at' => sprintf('2026-05-%02dT10:00:00Z', $i), 'minutes' => 60], range(1, $lessons),
        ),
    ])['missing'], static fn (array $one): bool => $one['kind'] === 'hours'));
    expect($hours(5)[0])->toMatchArray(['have' => 5.0, 'wanted' => 12.0, 'unit' => 'lessons'])->and($hours(12))->toBe([]);
    $minor = static fn (bool $is): array => array_column(ready(['pack' => 'na', 'marks' => [], 'minor' => $is])['missing'], 'kind');
    expect($minor(true))->toContain('hours')->and($minor(false))->not->toContain('hours');
});

it('is likelier the better it goes, moves little with one mark, and is the same again', function (): void {
    $chances = array_map(
        static fn (array $outcomes): array => ready(['marks' => everything($outcomes, 6)])['chance'],
        [
            ['prompted'], ['reminded', 'unaided', 'prompted'], ['unaided', 'reminded', 'unaided'],
            ['unaided', 'unaided', 'unaided', 'unaided', 'reminded'], ['unaided'],
        ],
    );
    $estimates = array_column($chances, 'estimate');
    $sorted = $estimates;
    sort($sorted);
    expect($estimates)->toBe($sorted)->and($estimates[4] - $estimates[0])->toBeGreaterThan(0.7);
    foreach ($chances as $chance) {
        expect($chance['low'])->toBeLessThanOrEqual($chance['estimate'])->and($chance['high'])->toBeGreaterThanOrEqual($chance['estimate']);
    }
    $marks = everything(['unaided', 'unaided', 'unaided', 'unaided', 'reminded'], 6);
    $before = ready(['marks' => $marks]);
    expect(ready(['marks' => $marks]))->toBe($before);
    $marks[40]['outcome'] = 'missed';
    $after = ready(['marks' => $marks])['chance']['estimate'];
    expect($after)->toBeLessThan($before['chance']['estimate'])->toBeGreaterThan($before['chance']['estimate'] - 0.12);
    expect(abs(ready(['marks' => $marks, 'seed' => 77])['chance']['estimate'] - $after))->toBeLessThan(0.1);
});

it('says by when, whether that is in time, and what would be sooner', function (): void {
    $asked = ['marks' => learning(4), 'test_on' => '2026-05-24'];
    $answer = ready($asked);
    expect($answer['verdict'])->toBe('not-yet')->and($answer['in_time'])->toBeFalse()->and($answer['lessons_by_test'])->toBe(1)
        ->and($answer['lessons']['low'])->toBeLessThanOrEqual($answer['lessons']['middle'])
        ->and($answer['lessons']['middle'])->toBeLessThanOrEqual($answer['lessons']['high'])
        ->and($answer['date']['low'])->toBeLessThanOrEqual($answer['date']['high'])->and($answer['message'])->toContain('only 1')
        ->and($answer['shortens'])->not->toBe([]);
    expect(ready(['test_on' => '2026-05-21'] + $asked)['message'])->toEndWith('Before the test there is time for none: it wants moving.');
    // What is booked is there, at whatever pace the last weeks were driven.
    $until = static function (string $test, int $booked) use ($asked): string {
        return strstr(ready(['test_on' => $test, 'lessons_booked' => $booked] + $asked)['message'], ' Until') ?: '';
    };
    expect($until('2026-05-21', 1))->toBe(' Until the test only 1 is booked: it wants moving, or more lessons.')
        ->and($until('2026-05-21', 2))->toBe(' Until the test only 2 are booked: it wants moving, or more lessons.')
        ->and($until('2026-05-28', 1))->toBe(' Until the test there is time for only 2, 1 of them booked: it wants moving, or more lessons.')
        ->and($until('2027-05-28', 1))->toMatch('/^ Until the test there is time for \d+, 1 of them booked\.$/')
        ->and($until('2027-05-28', 150))->toBe(' Until the test 150 are booked.');
    $by = array_map(static fn (int $booked): int => ready(['lessons_booked' => $booked] + $asked)['lessons_by_test'], [0, 1, 2, 40]);
    expect($by)->toBe([1, 1, 2, 40]);
    expect(Ask::refusal('ready', ['pack' => 'gb', 'today' => '2026-05-20', 'marks' => [], 'lessons_booked' => 1.5]))
        ->toBe(['lessons_booked' => ['must be a whole number.']]);
    // Who is ready needs no time for anything.
    expect(ready(['test_on' => '2026-05-20', 'marks' => everything(['unaided'], 12), 'mock_tests' => [['on' => '2026-05-12', 'result' => 'pass']]])['message'])
        ->not->toContain('for 0');
    foreach ($answer['shortens'] as $one) {
        expect($one['saves_days'])->toBeGreaterThan(0)->and($one['message'])->toMatch('/^An hour a week .+ sooner\.$/');
    }
    // More of it a week is never later.
    expect(ready(['lesson_minutes_a_week' => 240] + $asked)['date']['middle'])->toBeLessThanOrEqual($answer['date']['middle'])
        ->and(ready(['practice_minutes_a_week' => 240] + $asked)['date']['middle'])->toBeLessThanOrEqual($answer['date']['middle']);
});

it('gives somebody of whom nothing is known about as many lessons as learners take who pass, and says how little that is', function (): void {
    // From memory: guidance of the licensing authority of Great Britain, 45 hours of lessons and 22 of practice on average.
    $pack = new GreatBritain;
    $of = static fn (Schedule $schedule): Forecast => Forecast::of(
        new Learner([], $pack, new DateTimeImmutable('2026-05-20')), Required::of($pack, Transmission::Manual),
        new TestDrive(Scheme::byCode('gb-car')), $schedule, 1,
    );
    $at = static fn (Forecast $forecast, float $share): int => (int) Forecast::quantile($forecast->lessons, $share);
    $usual = $of(new Schedule(60.0, 60.0, 30.0));
    expect($at($usual, 0.5))->toBeGreaterThan(38)->toBeLessThan(65)->and($at($usual, 0.9))->toBe(Forecast::MOST_LESSONS)
        ->and($at($usual, 0.1))->toBeLessThan(20)->and($usual->chance())->toBeLessThan(0.02)
        ->and($at($of(new Schedule(60.0, 60.0, 0.0)), 0.5))->toBeGreaterThan($at($usual, 0.5))
        ->and($at($of(new Schedule(120.0, 120.0, 60.0)), 0.5))->toBeLessThan($at($usual, 0.5));
});

it('is less sure of how many from one lesson than from the same marks over several', function (): void {
    $pack = new GreatBritain;
    $width = static function (int $lessons) use ($pack): float {
        $marks = [];
        foreach (Required::of($pack, Transmission::Manual) as $i => $routine) {
            foreach (array_filter(Step::cases(), $routine->has(...)) as $step) {
                foreach (['prompted', 'reminded', 'unaided'] as $n => $outcome) {
                    $marks[] = new Evidence('l'.($i % $lessons), new DateTimeImmutable("2026-05-19T10:0{$n}:{$i}Z"), $routine->code, $step,
                        new StepMark(Outcome::from($outcome)));
                }
            }
        }
        $forecast = Forecast::of(
            new Learner($marks, $pack, new DateTimeImmutable('2026-05-20')), Required::of($pack, Transmission::Manual),
            new TestDrive(Scheme::byCode('gb-car')), new Schedule(60.0, 60.0, 30.0), 1,
        );

        return log(Forecast::quantile($forecast->lessons, 0.75) / Forecast::quantile($forecast->lessons, 0.1));
    };
    $before = INF;
    foreach ([1, 2, 4, 8] as $lessons) {
        expect($now = $width($lessons))->toBeLessThanOrEqual($before);
        $before = $now;
    }
    expect($width(8))->toBeLessThan($width(1));
});

it('says of today alone what a whole forecast says of today, however much is driven after it', function (): void {
    $pack = new GreatBritain;
    $test = new TestDrive(Scheme::byCode('gb-car'));
    $required = Required::of($pack, Transmission::Manual);
    $learner = new Learner([], $pack, new DateTimeImmutable('2026-05-20'));
    foreach ([new Schedule(60.0, 60.0, 0.0), new Schedule(90.0, 240.0, 120.0)] as $schedule) {
        expect(Forecast::today($learner, $required, $test, 1))->toEqualWithDelta(Forecast::of($learner, $required, $test, $schedule, 1)->chance(), 1e-12);
    }
    // Of whom nothing is marked nobody says how likely a pass is.
    expect(Ready::chance($learner, Scheme::byCode('gb-car'), Transmission::Manual))->toBeNull();
});

it('says that nobody can say where somebody gets no better, and then nothing of how much sooner; where they do, about how many', function (): void {
    $flat = ready(['marks' => everything(['missed', 'prompted', 'reminded'], 5)]);
    expect($flat['verdict'])->toBe('not-yet')->and($flat['lessons']['middle'])->toBe(Forecast::MOST_LESSONS)->and($flat['shortens'])->toBe([])
        ->and($flat['message'])->toMatch('/nobody can say yet|if it goes on like this/');
    [$some, $more] = [ready(['marks' => learning(4)]), ready(['marks' => learning(7)])];
    expect($more['lessons']['middle'])->toBeLessThan($some['lessons']['middle'])->toBeLessThan(20)->and($some['lessons']['middle'])->toBeLessThan(50)
        ->and($more['message'])->toMatch('/[0-9]+ (to [0-9]+ )?lessons? to go/');
});

it('passes as a test that is marked fault by fault would', function (string $code): void {
    $scheme = Scheme::byCode($code);
    $test = new TestDrive($scheme);
    $chance = new Randomizer(new Mt19937(4));
    $uniform = static fn (): float => $chance->getInt(0, 1_000_000) / 1_000_001;
    $steps = ['mirrors', 'signal', 'position', 'speed', 'look'];
    $was = -1.0;
    foreach ([0.5, 1.5, 2.3, 3.0, 4.0] as $ability) {
        $passed = 0;
        $ranks = Ladder::probabilities($ability);
        for ($i = 0; $i < 1_500; $i++) {
            $faults = [];
            foreach ($steps as $step) {
                for ($round = 0; $round < TestDrive::ROUNDS; $round++) {
                    $left = $uniform();
                    foreach ($ranks as $rank => $share) {
                        if (($left -= $share) < 0.0) {
                            break;
                        }
                    }
                    $effect = match (true) {
                        $rank === 0 => Effect::Intervened,
                        $rank === 1 => $uniform() < 0.7 ? Effect::Potential : Effect::Affected,
                        $rank === 2 || ($rank === 3 && $uniform() < 0.5) => Effect::Nobody,
                        default => null,
                    };
                    if ($effect !== null) {
                        $faults[] = new MarkedFault(Step::from($step), effect: $effect, aspect: 'abc'[$chance->getInt(0, 2)]);
                    }
                }
            }
            $passed += (int) Result::of($scheme, $faults)->passes();
        }
        $said = $test->passes(array_fill_keys($steps, array_fill(0, 20, $ability)), 20);
        expect($said)->toEqualWithDelta($passed / 1_500, 0.06, "{$code} at {$ability}")->toBeGreaterThanOrEqual($was);
        $was = $said;
    }
})->with(Scheme::codes());

it('counts lessons as the weeks have them', function (): void {
    $schedule = new Schedule(60.0, 120.0, 60.0);
    expect($schedule->days())->toBe(3.5)->and($schedule->withLessons(60.0)->days())->toEqualWithDelta(7.0 / 3.0, 1e-12)
        ->and($schedule->rounds())->toBeGreaterThan(10.0)->toBeLessThan(15.0)->and($schedule->withPractice(60.0)->practiceRounds())
        ->toEqualWithDelta(2.0 * $schedule->practiceRounds(), 1e-12);
});

it('requires what a test asks, nothing the pack or the car has not', function (RulePack $pack): void {
    foreach (Transmission::cases() as $transmission) {
        $codes = array_map(static fn ($routine): RoutineCode => $routine->code, Required::of($pack, $transmission));
        expect(count($codes))->toBeGreaterThan(12)
            ->and(array_filter($codes, static fn (RoutineCode $code): bool => in_array($code, $pack->lacks(), true)))->toBe([])
            ->and($codes)->toContain(RoutineCode::MoveOff, RoutineCode::EmergeRight)->not->toContain(RoutineCode::LongLeft);
    }
})->with([[new GreatBritain], [new Ireland], [new NorthAmerica]]);

it('says the same of somebody whether or not it is asked what would shorten it', function (): void {
    $on = new DateTimeImmutable('2026-05-20');
    $evidence = array_map(static fn (array $one): Evidence => new Evidence(
        substr($one['at'], 0, 10), new DateTimeImmutable($one['at']), RoutineCode::from($one['routine']), Step::from($one['step']),
        new StepMark(Outcome::from($one['outcome'])), new Conditions(traffic: $one['conditions']['traffic']),
    ), learning(5));
    $learner = new Learner($evidence, new GreatBritain, $on);
    [$with, $without] = array_map(static fn (bool $says): Ready => Ready::of(
        $learner, Scheme::byCode('gb-car'), Transmission::Manual, new Schedule(60.0, 120.0, 30.0), 1, saysWhatShortens: $says,
    ), [true, false]);
    expect($with->shortens)->not->toBe([])->and($without->shortens)->toBe([])->and($without->verdict)->toBe($with->verdict)
        ->and($without->lessons)->toBe($with->lessons)->and($without->forecast->chances)->toBe($with->forecast->chances)
        ->and(count($without->missing))->toBe(count($with->missing));
});
