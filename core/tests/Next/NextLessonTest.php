<?php

declare(strict_types=1);

use NobleTurn\Core\Next\Prerequisites;
use NobleTurn\Core\Next\Required;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\SteppingLearner;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Vehicle\Transmission;

/* The next lesson as it is asked for: what it is for, what it drives, what it leaves out. */

const AT_SCHOOL = ['latitude_deg' => 49.2, 'longitude_deg' => -8.1];

/**
 * @param  list<array{string, string, float}>  $ways  id, routine, difficulty; each 300 m further out
 * @return list<array<string, mixed>>
 */
function waysOut(array $ways, int $rounds = 4): array
{
    return array_map(static fn (int $i): array => [
        'id' => $ways[$i][0], 'name' => ucfirst($ways[$i][0]), 'routine' => $ways[$i][1], 'difficulty' => $ways[$i][2], 'rounds' => $rounds,
        'in' => ['latitude_deg' => 49.2 + 0.0027 * ($i + 1), 'longitude_deg' => -8.1],
    ], array_keys($ways));
}

/**
 * Rounds of routines on a day, every step as said.
 *
 * @param  list<string>  $routines
 * @return list<array<string, mixed>>
 */
function marksOf(array $routines, string $outcome = 'unaided', string $day = '2026-05-18', int $rounds = 4, array $more = []): array
{
    $marks = [];
    foreach ($routines as $n => $routine) {
        for ($i = 0; $i < $rounds; $i++) {
            foreach (Step::cases() as $step) {
                if (Catalogue::routine(RoutineCode::from($routine), new GreatBritain)->has($step)) {
                    $marks[] = [
                        'at' => sprintf('%sT10:%02d:%02dZ', $day, ($n * $rounds + $i) % 60, $n % 60), 'routine' => $routine, 'step' => $step->value,
                        'outcome' => $outcome,
                    ] + $more;
                }
            }
        }
    }

    return $marks;
}

/** @return list<string> what comes before a routine, however far back */
function beforeIt(string $routine): array
{
    return array_column(Prerequisites::all(RoutineCode::from($routine), new GreatBritain), 'value');
}

function nextLesson(array $more = []): array
{
    return Ask::tool('next-lesson', $more + [
        'pack' => 'gb', 'today' => '2026-05-20', 'starts_at' => '2026-05-20T10:00:00Z', 'minutes' => 60, 'marks' => [], 'start' => AT_SCHOOL,
    ]);
}

/** What is so of every lesson, whatever was asked. */
function isSound(array $answer, array $asked): void
{
    expect(count($answer['aims']))->toBeGreaterThanOrEqual(1)->toBeLessThanOrEqual(2);
    $at = 0;
    foreach ($answer['parts'] as $part) {
        expect($part['from_s'])->toBe($at)->and($part['until_s'])->toBeGreaterThan($at);
        $at = $part['until_s'];
    }
    $ids = array_column($asked['ways'], 'id');
    $named = [...$answer['order'], ...array_column($answer['left_out'], 'way')];
    sort($ids);
    sort($named);
    // Every way is driven or left out with a reason, none both.
    expect($at)->toBe($ids === [] ? 0 : 60 * $asked['minutes'])->and($named)->toBe($ids);
    $ways = array_combine(array_column($asked['ways'], 'id'), $asked['ways']);
    $hard = array_map(static fn (string $way): float => $ways[$way]['difficulty'], $answer['order']);
    $sorted = $hard;
    sort($sorted);
    expect($hard)->toBe($sorted);
    foreach ([...$answer['left_out'], ...$answer['lacking'], ...$answer['aims']] as $said) {
        expect($said['message'])->toMatch('/^[A-Z0-9].+\.$/')->not->toMatch('/[{}\[\]|]|NAN|INF/');
    }
}

it('drives what it is for, easy ones first, and says why each other way is left out', function (): void {
    $asked = ['minutes' => 60, 'marks' => [...marksOf(beforeIt('roundabout'), 'unaided'), ...marksOf(['roundabout'], 'prompted')], 'ways' => waysOut([
        ['small', 'roundabout', 0.2], ['large', 'roundabout', 0.5], ['corner', 'turn-left', 0.1], ['slip', 'join', 0.4], ['far', 'emerge-left', 0.3],
        ['spiral', 'roundabout', 1.0],
    ])];
    $asked['ways'][4]['in']['latitude_deg'] = 49.9;
    $answer = nextLesson($asked);
    isSound($answer, $asked);
    expect($answer['aims'][0]['routine'])->toBe('roundabout')->and($answer['aims'][0]['reason'])->toBe('gain')
        ->and($answer['order'])->toContain('small', 'large')->and($answer['exact'])->toBeTrue();
    $reasons = array_column($answer['left_out'], 'reason', 'way');
    expect($reasons['slip'])->toBe('too-early')->and($reasons['far'])->toBe('out-of-reach')->and($reasons['spiral'])->toBe('too-early');
    expect(array_column($answer['left_out'], 'message', 'way')['slip'])->toBe('Slip: first Change lane to the right.');
});

it('has an answer for a beginner, for one lesson, for a year’s pause, a test tomorrow, nothing within reach and ten minutes', function (): void {
    $ways = waysOut([['a', 'turn-left', 0.2], ['b', 'emerge-left', 0.3], ['c', 'overtake', 0.9]]);
    foreach (['gb', 'ie', 'na'] as $pack) {
        $beginner = nextLesson($asked = ['pack' => $pack, 'minutes' => 60, 'ways' => $ways]);
        isSound($beginner, $asked);
        // What begins, and needs no place of its own; nothing else yet.
        expect($beginner['aims'][0]['routine'])->toBe('move-off')->and($beginner['order'])->toBe([])->and($beginner['lacking'])->toBe([])
            ->and(array_unique(array_column($beginner['left_out'], 'reason')))->toBe(['too-early']);
    }
    $one = nextLesson($asked = ['minutes' => 60, 'ways' => $ways, 'marks' => marksOf(['move-off'], 'unaided', rounds: 8)]);
    isSound($one, $asked);
    expect($one['aims'][0]['reason'])->toBe('never-done')->and($one['aims'][0]['routine'])->toBe('turn-left')->and($one['order'])->toBe(['a']);
    $paused = nextLesson($asked = ['minutes' => 60, 'ways' => $ways, 'marks' => marksOf(['move-off', 'turn-left', 'emerge-left'], 'unaided', '2025-05-18')]);
    isSound($paused, $asked);
    expect($paused['aims'][0]['reason'])->toBe('fading')->and($paused['aims'][0]['message'])->toContain('not driven for 12 months');
    $tomorrow = nextLesson($asked = [
        'minutes' => 60, 'ways' => $ways, 'test_on' => '2026-05-21', 'marks' => marksOf(['move-off', 'turn-left', 'emerge-left'], 'prompted'),
    ]);
    isSound($tomorrow, $asked);
    expect($tomorrow['aims'][0]['reason'])->toBe('test-soon')->and($tomorrow['aims'][0]['message'])->toMatch('/the test is (tomorrow|in 1 day)\./');
    $far = array_map(static fn (array $way): array => ['in' => ['latitude_deg' => 50.9, 'longitude_deg' => -8.1]] + $way, $ways);
    $nowhere = nextLesson($asked = ['minutes' => 60, 'ways' => $far, 'marks' => marksOf(['move-off', 'turn-left', 'emerge-left'], 'prompted')]);
    isSound($nowhere, $asked);
    expect($nowhere['order'])->toBe([])->and(array_column($nowhere['left_out'], 'reason', 'way')['a'])->toBe('out-of-reach');
    $short = nextLesson($asked = ['minutes' => 10, 'ways' => $ways, 'marks' => marksOf(['move-off', 'turn-left', 'emerge-left'], 'prompted')]);
    isSound($short, $asked);
    expect($short['order'])->not->toBe([]);
});

it('comes to what a test can ask and nobody has seen once all else goes well, not before, and never to what only happens', function (): void {
    $asked = array_map(static fn (Routine $routine): string => $routine->code->value, Required::of(new GreatBritain, Transmission::Manual));
    $ways = waysOut([['a', 'mini-roundabout', 0.2], ['b', 'emerge-left', 0.3], ['c', 'cross', 0.3], ['d', 'turn-right', 0.2]]);
    $others = array_values(array_diff(array_unique([...$asked, ...beforeIt('mini-roundabout')]), ['mini-roundabout']));
    $well = array_merge(...array_map(static fn (int $day): array => marksOf($others, 'unaided', "2026-05-{$day}", rounds: 3), [11, 13, 15, 17, 19]));
    $first = static fn (array $marks): array => nextLesson(['minutes' => 60, 'ways' => $ways, 'marks' => $marks])['aims'][0];
    expect($first($well))->toMatchArray(['routine' => 'mini-roundabout', 'reason' => 'never-done']);
    $lesson = nextLesson(['minutes' => 60, 'ways' => $ways, 'marks' => $well]);
    expect($lesson['order'])->toContain('a');
    // While something still needs a word it is that; and once it has been seen it is one like all others.
    $weak = [...$well, ...marksOf(['emerge-left'], 'prompted', '2026-05-19', rounds: 8)];
    expect($first($weak)['routine'])->toBe('emerge-left');
    $seen = [...$well, ...marksOf(['mini-roundabout'], 'unaided', '2026-05-19', rounds: 12)];
    expect($first($seen)['routine'])->not->toBe('mini-roundabout')->not->toBe('siren');
});

it('comes back to more, and sooner, with whoever forgets quickly', function (): void {
    $known = ['turn-left', 'turn-right', 'emerge-left', 'emerge-right', 'cross', 'lights-left', 'lights-right'];
    $ways = waysOut(array_map(static fn (string $routine): array => ["at {$routine}", $routine, 0.1], $known));
    // Every seven weeks and a week after that. Both leave things out as often: one after the long pauses, one after the short ones.
    $marks = static fn (bool $afterLong): array => array_merge(...array_map(static fn (array $day): array => [
        ...marksOf($known, $day[1] === $afterLong ? 'missed' : 'unaided', $day[0], rounds: 1), ...array_map(static fn (array $mark): array => [
            'at' => str_replace('T10:', 'T11:', $mark['at'])] + $mark, marksOf($known, 'unaided', $day[0], rounds: 2)),
    ], [
        ['2025-08-04', true], ['2025-08-11', false], ['2025-09-29', true], ['2025-10-06', false], ['2025-11-24', true], ['2025-12-01', false],
        ['2026-01-19', true], ['2026-01-26', false], ['2026-03-16', true], ['2026-03-23', false], ['2026-04-30', true], ['2026-05-10', false],
    ]));
    $lesson = static fn (bool $afterLong): array => nextLesson(['minutes' => 60, 'ways' => $ways, 'marks' => [
        ...marksOf(beforeIt('roundabout'), 'unaided', '2026-05-10'), ...$marks($afterLong), ...marksOf(['turn-left', 'turn-right'], 'reminded', '2026-05-18'),
    ]]);
    [$keeps, $forgets] = [$lesson(false), $lesson(true)];
    expect(count($forgets['order']))->toBeGreaterThan(count($keeps['order']));
});

it('works on what went badly last time, however well all went before and with it', function (string $outcome, int $rounds, bool $alone): void {
    $asked = array_map(static fn (Routine $routine): string => $routine->code->value, Required::of(new GreatBritain, Transmission::Manual));
    $well = array_merge(...array_map(static fn (int $day): array => marksOf($asked, 'unaided', "2026-05-{$day}", rounds: 3), [11, 13, 15, 17]));
    $last = [...($alone ? [] : marksOf(['turn-left', 'cross'], 'unaided', '2026-05-19')), ...marksOf(['emerge-left'], $outcome, '2026-05-19', $rounds)];
    $answer = nextLesson(['minutes' => 60, 'marks' => [...$well, ...$last], 'ways' => waysOut([
        ['a', 'lights-ahead', 0.2], ['b', 'emerge-left', 0.2], ['c', 'turn-right', 0.3],
    ])]);
    // A bad day does not mean that practice makes it worse: then what goes best of all would lose least.
    expect($answer['aims'][0]['routine'])->toBe('emerge-left')->and($answer['aims'][0]['gain'])->toBeGreaterThan(0.0)
        ->and($answer['order'])->toContain('b')->and($answer['value'])->toBeGreaterThan(0.0);
})->with([
    'prompted, by itself' => ['prompted', 8, true], 'prompted' => ['prompted', 6, false], 'left out, by itself' => ['missed', 10, true],
    'left out' => ['missed', 4, false], 'held back' => ['intervened', 3, true],
]);

/** Some routines driven well for two months, every other week. */
function wellDriven(array $routines, string $since = '2026-03-02'): array
{
    $day = new DateTimeImmutable($since);

    return array_merge(...array_map(
        static fn (int $fortnight): array => marksOf($routines, 'unaided', $day->modify("+{$fortnight} weeks")->format('Y-m-d'), rounds: 2), [0, 2, 4, 6, 9],
    ));
}

const WELL_KNOWN = [
    'move-off', 'pull-up-left', 'turn-left', 'turn-right', 'emerge-left', 'emerge-right', 'cross', 'roundabout', 'mini-roundabout', 'lights-left',
    'lights-right', 'pass-parked',
];

it('has an answer for a lesson of any length, however much is known', function (): void {
    $ways = waysOut([['a', 'turn-left', 0.2], ['b', 'emerge-right', 0.3], ['c', 'roundabout', 0.4]]);
    foreach ([7, 10, 14, 15, 16, 29, 31, 90, 240] as $minutes) {
        $answer = nextLesson($asked = ['minutes' => $minutes, 'ways' => $ways, 'marks' => wellDriven(WELL_KNOWN), 'debrief_s' => 240]);
        isSound($answer, $asked);
        expect(array_column($answer['lacking'], 'condition'))->toBe(['busy', 'night', 'wet']);
    }
});

it('begins nothing new after a long pause, and does so little by little', function (): void {
    $ways = waysOut(array_map(static fn (string $routine): array => ["at {$routine}", $routine, 0.2], array_slice(WELL_KNOWN, 2)));
    $reason = static fn (string $today): string => nextLesson([
        'minutes' => 60, 'ways' => $ways, 'marks' => wellDriven(WELL_KNOWN), 'today' => $today, 'starts_at' => "{$today}T10:00:00Z",
    ])['aims'][0]['reason'];
    // All they know goes well: what a test can ask and nobody has seen. Once half a year has gone by, what is left of what they knew.
    expect([$reason('2026-05-08'), $reason('2026-11-20'), $reason('2027-05-20')])->toBe(['never-done', 'fading', 'fading']);
});

it('fills a long lesson with more of what they know, and says of no way that there was no time where there was', function (): void {
    $ways = waysOut(array_map(static fn (string $routine): array => ["at {$routine}", $routine, 0.3], array_slice(WELL_KNOWN, 2)));
    $marks = [...wellDriven(WELL_KNOWN), ...marksOf(['emerge-right', 'cross'], 'missed', '2026-05-16', rounds: 2)];
    $driven = [];
    foreach ([40, 60, 90, 110] as $minutes) {
        $answer = nextLesson($asked = ['minutes' => $minutes, 'ways' => $ways, 'marks' => $marks]);
        isSound($answer, $asked);
        $driven[] = count($answer['order']);
        $isLeft = in_array('no-time', array_column($answer['left_out'], 'reason'), true);
        expect($answer['spare_s'])->toBeLessThanOrEqual(900)->and($isLeft && $answer['spare_s'] > 900)->toBeFalse();
    }
    $sorted = $driven;
    sort($sorted);
    expect($driven)->toBe($sorted)->and($driven[0])->toBeLessThan($driven[3]);
    // Where one thing is weak and all else goes well, and where all does: an hour is an hour.
    foreach ([[], ['roundabout'], ['emerge-right', 'roundabout']] as $weak) {
        $answer = nextLesson($asked = ['minutes' => 60, 'ways' => $ways, 'marks' => [
            ...wellDriven(array_diff(WELL_KNOWN, $weak), '2026-03-15'), ...($weak === [] ? [] : marksOf(array_values($weak), 'prompted', '2026-05-17')),
        ]]);
        isSound($answer, $asked);
        expect($answer['spare_s'])->toBeLessThanOrEqual(900)->and(count($answer['order']))->toBeGreaterThanOrEqual(3);
    }
});

it('goes where it is harder with whoever can bear it, and where it is easier with whoever still needs help', function (): void {
    // Two ways as far away as each other, and time for one of them only.
    $ways = static fn (float $hard): array => array_map(
        static fn (array $way): array => ['in' => ['latitude_deg' => 49.203, 'longitude_deg' => -8.1]] + $way,
        waysOut([['easy', 'emerge-right', 0.1], ['hard', 'emerge-right', $hard]], rounds: 3),
    );
    $order = static fn (string $outcome, int $minutes = 12, float $hard = 0.55): array => nextLesson([
        'minutes' => $minutes, 'ways' => $ways($hard), 'pinned' => ['emerge-right'], 'marks' => [
            ...marksOf(beforeIt('emerge-right'), 'unaided'), ...marksOf(['emerge-right'], $outcome, rounds: 8),
        ],
    ])['order'];
    expect($order('unaided'))->toBe(['hard'])->and($order('prompted'))->toBe(['easy'])->and($order('unaided', 25))->toBe(['easy', 'hard']);
    // What can hardly be borne fills no time that is left.
    expect($order('missed', 25, 0.8))->toBe(['easy']);
});

it('is for nothing that it cannot drive while there is anything else: neither what is too far nor what is too hard', function (): void {
    $known = [...marksOf(beforeIt('roundabout'), 'unaided'), ...marksOf(['emerge-right'], 'reminded'), ...marksOf(['roundabout'], 'missed', rounds: 8)];
    $lesson = static function (float $away, float $hard, array $more = []) use ($known): array {
        $ways = waysOut([['corner', 'emerge-right', 0.2], ['ring', 'roundabout', $hard]]);
        $ways[1]['in']['latitude_deg'] = 49.2 + $away;
        $answer = nextLesson($asked = $more + ['minutes' => 25, 'ways' => $ways, 'marks' => $known]);
        isSound($answer, $asked);

        return ['aims' => array_column($answer['aims'], 'routine'), 'order' => $answer['order'], 'why' => array_column($answer['left_out'], 'reason', 'way')];
    };
    expect($lesson(0.006, 0.2)['aims'][0])->toBe('roundabout')->and($lesson(0.006, 0.2)['order'])->toContain('ring');
    // An hour's drive away, or a spiral of three lanes for somebody who still misses most of it.
    $far = $lesson(0.3, 0.2);
    expect($far['aims'])->not->toContain('roundabout')->and($far['order'])->toBe(['corner'])->and($far['why']['ring'])->toBe('out-of-reach');
    $hard = $lesson(0.006, 1.0);
    expect($hard['aims'])->not->toContain('roundabout')->and($hard['order'])->toBe(['corner'])->and($hard['why']['ring'])->toBe('too-early');
    // Once it is thrown out nothing that only it could teach is left to aim at.
    expect($lesson(0.006, 0.2, ['excluded' => ['ring']])['aims'])->not->toContain('roundabout');
    // Whoever chose it has it, and where it was agreed within reach somebody gave their word.
    expect($lesson(0.3, 0.2, ['pinned' => ['roundabout']])['aims'][0])->toBe('roundabout')
        ->and($lesson(0.006, 1.0, ['agreed' => [['routine' => 'roundabout']]])['aims'])->toContain('roundabout');
    // Each of them within reach, and time for one: that one it is for.
    $two = waysOut([['corner', 'emerge-right', 0.2], ['ring', 'roundabout', 0.2]]);
    foreach ([0 => 49.2054, 1 => 49.1946] as $i => $latitude) {
        $two[$i]['in']['latitude_deg'] = $latitude;
    }
    $both = [];
    foreach (range(8, 40, 2) as $minutes) {
        $answer = nextLesson(['minutes' => $minutes, 'ways' => $two, 'marks' => [...$known, ...marksOf(['emerge-right'], 'missed', rounds: 8)]]);
        $teaches = ['corner' => 'emerge-right', 'ring' => 'roundabout'];
        $driven = array_map(static fn (string $way): string => $teaches[$way], $answer['order']);
        $aims = array_intersect(array_column($answer['aims'], 'routine'), $teaches);
        expect(array_diff($aims, $driven))->toBe([], "{$minutes} min");
        $both[$minutes] = count($aims);
    }
    expect(max($both))->toBe(2)->and(min($both))->toBeLessThan(2);
    // The harder it is the less of it is had here: at some point something else is the aim, and stays it.
    $first = array_map(static fn (int $i): string => $lesson(0.006, $i / 20.0)['aims'][0], range(0, 20));
    $changes = count(array_filter(range(1, 20), static fn (int $i): bool => $first[$i] !== $first[$i - 1]));
    expect($changes)->toBe(1);
});

it('is for what it is sure to drive first, and for what is only met on the way beside that', function (): void {
    $aims = static fn (string $turns, array $ways, array $more = []): array => array_column(nextLesson($more + ['ways' => waysOut($ways), 'marks' => [
        ...marksOf([...beforeIt('turn-right'), ...beforeIt('pass-bus')], 'unaided'), ...marksOf(['turn-right'], $turns),
        ...marksOf(['pass-bus'], 'intervened', '2026-04-08', rounds: 8),
    ]])['aims'], 'routine');
    $corner = ['corner', 'turn-right', 0.2];
    foreach (['intervened', 'missed', 'prompted', 'reminded'] as $turns) {
        expect($aims($turns, [$corner]))->toBe(['turn-right', 'pass-bus'], $turns);
    }
    // With a stop of its own on the way, or where somebody chose it, it is what the lesson is for.
    expect($aims('reminded', [$corner, ['stop', 'pass-bus', 0.2]])[0])->toBe('pass-bus')
        ->and($aims('reminded', [$corner], ['pinned' => ['pass-bus']])[0])->toBe('pass-bus');
});

it('says of each aim whether it wants a place, and puts what does after what is near where no place is known', function (): void {
    $needs = static fn (string $code): bool => Catalogue::routine(RoutineCode::from($code), new GreatBritain)->needsAPlace();
    foreach (['roundabout', 'turn-left', 'join', 'ramp', 'bay-in', 'bay-out'] as $code) {
        expect($needs($code))->toBeTrue($code);
    }
    foreach (['move-off', 'pull-up-left', 'pass-bus', 'pass-parked'] as $code) {
        expect($needs($code))->toBeFalse($code);
    }
    $answer = nextLesson(['minutes' => 60, 'ways' => waysOut([['a', 'turn-left', 0.2]]), 'marks' => marksOf(['move-off', 'turn-left'], 'prompted', rounds: 6)]);
    foreach ($answer['aims'] as $aim) {
        expect($aim['needs_place'])->toBe($needs($aim['routine']));
    }
});

it('takes what is pinned, leaves out what is not wanted, and refuses what is neither a way nor a routine', function (): void {
    $asked = ['minutes' => 60, 'marks' => marksOf([...beforeIt('emerge-right'), 'emerge-right'], 'prompted'), 'ways' => waysOut([
        ['a', 'turn-left', 0.2], ['b', 'emerge-right', 0.3], ['c', 'overtake', 0.9], ['d', 'emerge-right', 0.4], ['e', 'turn-right', 0.25],
    ], 2)];
    $pinned = nextLesson($more = ['pinned' => ['c', 'e']] + $asked);
    isSound($pinned, $more);
    expect($pinned['order'])->toContain('c', 'e');
    $without = nextLesson($more = ['excluded' => ['b', 'turn-right']] + $asked);
    isSound($without, $more);
    $reasons = array_column($without['left_out'], 'reason', 'way');
    expect($reasons['b'])->toBe('excluded')->and($reasons['e'])->toBe('excluded')->and(array_column($without['aims'], 'routine'))->not->toContain('turn-right');
    expect(nextLesson(['pinned' => ['overtake']] + $asked)['aims'][0])->toMatchArray(['routine' => 'overtake', 'reason' => 'pinned']);
    // Nothing is left that a lesson could be for.
    $all = array_column(Catalogue::codes(new GreatBritain), 'value');
    expect(Ask::refusal('next-lesson', ['pack' => 'gb', 'today' => '2026-05-20', 'minutes' => 60, 'marks' => [], 'excluded' => $all]))
        ->toBe(['excluded' => ['leaves nothing that a lesson could be for.']]);
    expect(Ask::refusal('next-lesson', ['pack' => 'gb', 'today' => '2026-05-20', 'minutes' => 60, 'marks' => [], 'pinned' => ['nowhere']]))
        ->toBe(['pinned.0' => ['must be the id of a way, or a routine.']]);
    expect(Ask::refusal('next-lesson', ['pack' => 'gb', 'today' => '2026-05-20', 'minutes' => 60, 'marks' => [], 'ways' => waysOut([['a', 'turn-left', 0.0]])]))
        ->toHaveKey('start');
    expect(Ask::refusal('next-lesson', ['pack' => 'na', 'today' => '2026-05-20', 'minutes' => 60, 'marks' => [], 'agreed' => [['routine' => 'merge']],
        'pinned' => ['mini-roundabout']]))->toHaveKey('pinned.0');
});

it('asks for a condition that is lacking when the hour offers it', function (): void {
    $marks = marksOf([...beforeIt('emerge-right'), 'emerge-right'], more: ['conditions' => ['traffic' => 'quiet', 'light' => 'day', 'surface' => 'dry']],
        rounds: 9);
    $at = static fn (string $when): array => array_column(nextLesson(['marks' => $marks, 'starts_at' => $when, 'today' => substr($when, 0, 10)])['lacking'],
        null, 'condition');
    $noon = $at('2026-05-20T11:00:00Z');
    expect($noon)->toHaveKeys(['busy', 'night', 'wet'])->and($noon['night']['possible'])->toBeFalse()->and($noon['busy']['possible'])->toBeFalse()
        ->and($noon['night']['message'])->toBe('Never driven at night: a lesson after dark would do.');
    $evening = $at('2026-12-16T17:30:00Z');
    expect($evening['night'])->toMatchArray(['possible' => true, 'message' => 'Never driven at night: it is dark in this lesson.'])
        ->and($evening['busy']['possible'])->toBeTrue()->and($evening['wet']['possible'])->toBeFalse();
    $driven = marksOf(['move-off', 'turn-left'], more: ['conditions' => ['light' => 'night', 'traffic' => 'busy', 'surface' => 'wet']], rounds: 3);
    expect(nextLesson(['marks' => [...$marks, ...$driven]])['lacking'])->toBe([])
        ->and(nextLesson(['marks' => $marks, 'learner_level' => 'beginner'])['lacking'])->toBe([]);
});

it('names what helps with the kind of fault that is seen, and nothing that nobody knows', function (): void {
    $marks = [...marksOf(beforeIt('emerge-right')), ...marksOf(['emerge-right'])];
    foreach ($marks as $i => $mark) {
        if ($mark['routine'] === 'emerge-right' && $mark['step'] === 'position') {
            $marks[$i] = ['outcome' => 'missed', 'fault' => 'wide'] + $mark;
        }
    }
    $aim = nextLesson(['marks' => $marks, 'pinned' => ['emerge-right']])['aims'][0];
    expect($aim)->toMatchArray(['routine' => 'emerge-right', 'step' => 'position', 'side' => 'right', 'reason' => 'pinned'])
        ->and($aim['remedy'])->toMatchArray(['fault' => 'wide', 'learners' => 0, 'change' => null, 'low' => null, 'high' => null])
        ->and($aim['remedy']['text'])->not->toBe('')->and($aim['remedy']['drill'])->not->toBe('');
});

it('is sound for made-up learners of every length in every town, and the same again', function (int $seed): void {
    $learner = new SteppingLearner($draw = new Approaches($seed));
    for ($lesson = 0; $lesson < $seed % 7; $lesson++) {
        $learner->drive(10);
    }
    $marks = array_map(static fn ($one): array => [
        'at' => $one->at->format('Y-m-d\TH:i:s\Z'), 'routine' => $one->routine->value, 'step' => $one->step->value, 'outcome' => $one->mark->outcome->value,
    ], $learner->evidence);
    $routines = array_column(Catalogue::codes(RulePacks::byCode('gb')), 'value');
    $ways = [];
    for ($i = 0; $i < 4 + $seed % 30; $i++) {
        $ways[] = [
            'id' => "w{$i}", 'name' => "W {$i}", 'routine' => $draw->one($routines), 'difficulty' => round($draw->number(0.0, 1.0), 2),
            'rounds' => $draw->one([1, 2, 4]),
            'in' => ['latitude_deg' => 49.2 + $draw->number(-0.04, 0.04), 'longitude_deg' => -8.1 + $draw->number(-0.06, 0.06)],
        ];
    }
    $asked = ['today' => $learner->now->format('Y-m-d'), 'minutes' => $draw->one([15, 45, 60, 90, 120]), 'marks' => $marks, 'ways' => $ways];
    $asked['starts_at'] = "{$asked['today']}T20:00:00Z";
    $answer = nextLesson($asked);
    isSound($answer, $asked);
    expect($answer['value'])->toBeGreaterThanOrEqual(0.0)->and(nextLesson($asked))->toBe($answer);
})->with(range(1, 14));
