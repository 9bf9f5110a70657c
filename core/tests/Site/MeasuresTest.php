<?php

declare(strict_types=1);

use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\LengthUnit;
use NobleTurn\Core\Site\Measure;
use NobleTurn\Core\Site\Measured;
use NobleTurn\Core\Site\MeasuredBy;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Site\Sites;

it('takes a length as it was measured: paced, in lengths of a car, or between two presses', function (): void {
    expect(Measure::paced(28)->metres)->toBe(21.0)->and(Measure::paced(28, 0.8)->metres)->toEqualWithDelta(22.4, 1e-9)
        ->and(Measure::carLengths(4)->metres)->toBe(20.0)
        // 20 mph is 8.9408 m/s: 5.4 s are 48.28 m.
        ->and(Measure::driven(Duration::ofSeconds(5.4), Speed::ofMilesPerHour(20))->metres)->toEqualWithDelta(48.28, 0.005);
});

it('trusts a tape more than paces, paces more than an eye', function (): void {
    foreach ([5.0, 20.0, 48.0, 200.0] as $metres) {
        $errors = array_map(static fn (MeasuredBy $by): float => Measure::of($by, $metres)->errorMetres(), [MeasuredBy::Tape, MeasuredBy::Paces,
            MeasuredBy::Eye]);
        expect($errors[0])->toBeLessThan($errors[1])->and($errors[1])->toBeLessThan($errors[2]);
    }
    // Two presses are sharper the slower one drives.
    $slow = Measure::driven(Duration::ofSeconds(10.0), Speed::ofMetresPerSecond(5.0));
    $fast = Measure::driven(Duration::ofSeconds(2.5), Speed::ofMetresPerSecond(20.0));
    expect($slow->metres)->toBe($fast->metres)->and($slow->errorMetres())->toBeLessThan($fast->errorMetres());
});

it('narrows with every measure that agrees, in whatever order, and never below what they share', function (): void {
    foreach (MeasuredBy::cases() as $by) {
        $narrow = INF;
        for ($times = 1; $times <= 6; $times++) {
            $error = Measured::from(...array_fill(0, $times, Measure::of($by, 40.0)))->errorMetres;
            expect($error)->toBeLessThan($narrow)->and($error)->toBeGreaterThan($by->sharedError() * 40.0);
            $narrow = $error;
        }
    }
    $all = [Measure::paced(53), Measure::of(MeasuredBy::Eye, 44.0), Measure::of(MeasuredBy::Tape, 40.5), Measure::carLengths(8)];
    $one = Measured::from(...$all);
    $other = Measured::from(...array_reverse($all));
    expect($one->metres)->toEqualWithDelta($other->metres, 1e-9)->and($one->errorMetres)->toEqualWithDelta($other->errorMetres, 1e-9)
        // The tape decides.
        ->and(abs($one->metres - 40.5))->toBeLessThan(0.3);
});

it('learns more from another way of measuring than from the same once more', function (): void {
    $again = Measured::from(Measure::paced(53), Measure::paced(53));
    $otherwise = Measured::from(Measure::paced(53), Measure::of(MeasuredBy::Driven, 53 * Measure::PACE_M, Measure::paced(53)->ownErrorMetres));
    expect($otherwise->errorMetres)->toBeLessThan($again->errorMetres);
});

it('widens without a jump as two measures move apart, and says so once chance no longer explains it', function (): void {
    $last = null;
    $said = [];
    for ($apart = 0.0; $apart <= 30.0; $apart += 0.05) {
        $both = Measured::from(Measure::of(MeasuredBy::Tape, 40.0, 2.0), Measure::of(MeasuredBy::Paces, 40.0 + $apart, 2.0));
        if ($last !== null) {
            expect(abs($both->errorMetres - $last->errorMetres))->toBeLessThan(0.05)
                ->and($both->errorMetres)->toBeGreaterThanOrEqual($last->errorMetres - 0.01);
        }
        $said[] = $both->agrees();
        $last = $both;
    }
    // Agreed, then not, and never again.
    expect($said[0])->toBeTrue()->and(end($said))->toBeFalse()->and(count(array_keys(array_filter($said))))->toBe(array_search(false, $said, true));
    expect($last?->disagreement(LengthUnit::Metres))->toBe('40 m and 70 m cannot both be right: measure it once more, or take the wrong one out.')
        ->and(Measured::from(Measure::paced(28))->disagreement(LengthUnit::Metres))->toBeNull();
});

it('says a measure as an instructor would', function (): void {
    expect(Measured::from(Measure::paced(28))->words(LengthUnit::Metres))->toBe('21 m ± 1.3 m, paced once')
        ->and(Measured::from(Measure::paced(28), Measure::paced(27), Measure::of(MeasuredBy::Tape, 20.8))->words(LengthUnit::Metres))
        ->toBe('21 m ± 0.2 m, paced twice, with a tape once')
        ->and(Measured::from(Measure::carLengths(4))->words(LengthUnit::Feet))->toBe('65 ft ± 11 ft, in car lengths, by eye once');
});

/** A T whose stem has these measures, and the way out of it to the right. */
$measured = static fn (array ...$measures): array => ['from' => 's', 'to' => 'e'] + Sites::of([
    'w' => ['limit_mph' => 40], 'e' => ['limit_mph' => 40], 's' => ['limit_mph' => 30, 'control' => 'give-way', 'measures' => array_values($measures)],
]);

it('plans with what was measured, and says what was', function () use ($measured): void {
    $answer = Ask::tool('site', $measured(['of' => 'sight_left', 'by' => 'paces', 'number' => 28], ['of' => 'view_from', 'by' => 'driven', 'time_s' => 1.2,
        'speed_mph' => 20]));
    $way = array_values(array_filter($answer['ways'], static fn (array $way): bool => $way['from'] === 's' && $way['to'] === 'e'))[0];
    expect($way['inputs'])->toMatchArray(['sight_left_m' => 21.0, 'view_from_m' => 10.73])
        ->and(array_column($answer['measured'], 'value_m', 'of'))->toBe(['sight_left' => 21.0, 'view_from' => 10.73])
        ->and($answer['measured'][0]['words'])->toBe('21 m ± 1.3 m, paced once')->and($answer['warnings'])->toBe([]);
});

it('asks first for the sight that decides, and no more once it is known to be enough or too little', function () use ($measured): void {
    $first = Ask::tool('site', $measured())['measure_first'];
    expect($first[0])->toMatchArray(['of' => 'sight_left', 'status' => 'unknown', 'decides' => true, 'value_m' => null])
        ->and($first[0]['message'])->toMatch('/^Measure the sight to the left first: whether one sees enough hangs on it \(needed \d+ m\)\.$/');
    $needed = $first[0]['needed_m'];
    $of = static fn (float $metres): array => array_column(Ask::tool('site', $measured(['of' => 'sight_left', 'by' => 'tape', 'length_m' => $metres],
        ['of' => 'sight_right', 'by' => 'tape', 'length_m' => 400]))['measure_first'], null, 'of');
    expect($of($needed + 5.0))->not->toHaveKey('sight_left')->and($of($needed - 5.0))->not->toHaveKey('sight_left')
        ->and($of($needed + 0.1))->toHaveKey('sight_left')->and($of(400.0))->not->toHaveKey('sight_right');
});

it('says by how much a step moves with a length that was only assumed, and less the better it is known', function () use ($measured): void {
    $moves = static fn (array ...$measures): float => array_column(Ask::tool('site', $measured(...$measures))['measure_first'], 'moves_m',
        'of')['view_from'] ?? 0.0;
    $assumed = $moves();
    $paced = $moves(['of' => 'view_from', 'by' => 'paces', 'number' => 27]);
    $taped = $moves(['of' => 'view_from', 'by' => 'tape', 'length_m' => 20]);
    expect($assumed)->toBeGreaterThan(5.0)->and($paced)->toBeLessThan($assumed / 3.0)->and($taped)->toBe(0.0);
});

it('refuses a measure that does not say what it needs, or says it twice', function (array $measure, string $field) use ($measured): void {
    expect(array_keys(Ask::refusal('site', $measured(['of' => 'sight_left'] + $measure))))->toBe([$field]);
})->with([
    'paces without a number' => [['by' => 'paces'], 'arms.2.measures.0.number'],
    'a drive without its speed' => [['by' => 'driven', 'time_s' => 3], 'arms.2.measures.0.speed_mps'],
    'a tape with paces' => [['by' => 'tape', 'length_m' => 3, 'number' => 4], 'arms.2.measures.0.number'],
    'no way of measuring' => [['length_m' => 3], 'arms.2.measures.0.by'],
    'longer than any street' => [['by' => 'paces', 'number' => 4000, 'pace_m' => 1.5], 'arms.2.measures.0.number'],
]);

it('refuses a figure that is written beside its measures', function (): void {
    $site = Sites::of(['w' => [], 'e' => [], 's' => ['sight_left_m' => 20, 'measures' => [['of' => 'sight_left', 'by' => 'paces', 'number' => 3]]]]);
    expect(Ask::refusal('site', $site))->toHaveKey('arms.2.sight_left_m');
});
