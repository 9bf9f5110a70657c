<?php

declare(strict_types=1);

use NobleTurn\Core\Circuit\BusyHours;
use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Circuit\KindOfRoad;
use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\MeasuredLeg;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Site\Position;
use NobleTurn\Core\Tests\Circuit\Rounds;
use NobleTurn\Core\Trade\RoutineCode;
use Random\Engine\Mt19937;
use Random\Randomizer;

/* How long one drives where nobody has measured it: longer for more, never longer than by way of somewhere else, without a jump. */

it('takes longer for every metre more, and ever less for each, without a jump where the roads change', function (array $kmh): void {
    $drive = new Drive(1.3, 1.0, $kmh);
    [$before, $least] = [0.0, INF];
    for ($metres = 50.0; $metres <= 40_000.0; $metres += 50.0) {
        $more = $drive->seconds($metres) - $before;
        // Nobody leaves a quick road for a slower one because it is far.
        expect($more)->toBeGreaterThan(0.0)->toBeLessThanOrEqual($least + 1e-9);
        [$before, $least] = [$drive->seconds($metres), $more];
    }
    foreach ([3_000.0, 15_000.0] as $edge) {
        expect($drive->seconds($edge + 0.01) - $drive->seconds($edge - 0.01))->toBeLessThan(0.01);
    }
})->with([
    'the usual paces' => [[]], 'a quick town' => [['town' => 60.0]], 'slow country' => [['rural' => 20.0]], 'all alike' => [['town' => 30.0, 'rural' => 30.0,
        'dual' => 30.0]],
]);

it('is never longer than by way of somewhere else', function (): void {
    $chance = new Randomizer(new Mt19937(9));
    $drive = new Drive;
    $somewhere = static fn (): Position => Position::ofDegrees(49.2 + $chance->getInt(-2000, 2000) / 1e4, -8.1 + $chance->getInt(-2000, 2000) / 1e4);
    for ($i = 0; $i < 400; $i++) {
        [$from, $by, $to] = [$somewhere(), $somewhere(), $somewhere()];
        $seconds = static fn (Position $one, Position $other): float => $drive->seconds($drive->metres($one, $other));
        expect($seconds($from, $to))->toBeLessThanOrEqual($seconds($from, $by) + $seconds($by, $to) + 1e-6);
    }
});

it('drives as far by hand: two kilometres in town, ten into the country, forty on to a dual carriageway', function (): void {
    // 26, 50 and 72 km/h: from 3 km and from 15 km on (assumed).
    expect((new Drive)->seconds(2_000.0))->toEqualWithDelta(2_000.0 * 3.6 / 26.0, 1e-9)
        ->and((new Drive)->seconds(10_000.0))->toEqualWithDelta(3_000.0 * 3.6 / 26.0 + 7_000.0 * 3.6 / 50.0, 1e-9)
        ->and((new Drive)->seconds(40_000.0))->toEqualWithDelta(3_000.0 * 3.6 / 26.0 + 12_000.0 * 3.6 / 50.0 + 25_000.0 * 3.6 / 72.0, 1e-9)
        ->and((new Drive(busy: 1.3))->seconds(2_000.0))->toEqualWithDelta(1.3 * 2_000.0 * 3.6 / 26.0, 1e-9);
});

it('is full between the ramps of a working day and nowhere else', function (): void {
    $at = static fn (string $clock, string $day = '2026-05-20'): float => BusyHours::factor(new DateTimeImmutable("{$day}T{$clock}"));
    expect([$at('08:00'), $at('08:59'), $at('17:00')])->toBe([BusyHours::MOST, BusyHours::MOST, BusyHours::MOST])
        ->and([$at('06:59'), $at('10:00'), $at('12:00'), $at('15:00'), $at('19:00'), $at('23:59')])->each->toBe(1.0)
        ->and($at('07:30'))->toEqualWithDelta(1.15, 1e-9)->and($at('15:45'))->toEqualWithDelta(1.15, 1e-9)->and($at('18:30'))->toEqualWithDelta(1.15, 1e-9)
        ->and([$at('08:30', '2026-05-23'), $at('17:00', '2026-05-24')])->toBe([1.0, 1.0])->and($at('08:30', '2026-05-25'))->toBe(BusyHours::MOST);
    // Over a lesson it is the mean: half of this one is driven before anybody is about.
    expect(BusyHours::over(new DateTimeImmutable('2026-05-20T09:00'), 7_200.0))->toEqualWithDelta(1.0 + 0.3 / 4.0, 1e-3)
        ->and(BusyHours::over(new DateTimeImmutable('2026-05-20T12:00'), 3_600.0))->toBe(1.0);
});

it('knows on what kind of road each routine is usually taught, and how long the loop back is there', function (): void {
    foreach (RoutineCode::cases() as $routine) {
        $road = KindOfRoad::usual($routine);
        $here = Position::ofDegrees(49.2, -8.1);
        $stop = new Stop('a', 'a', $here, $here, $road, 0.0, 1, new Drive);
        expect($stop->againMetres)->toBe($road->leastLoopMetres())->and($stop->againSeconds)->toBeGreaterThan(60)->toBeLessThan(300)
            ->and($stop->roundSeconds)->toBeGreaterThan(30);
    }
    expect(KindOfRoad::usual(RoutineCode::Join))->toBe(KindOfRoad::Dual)->and(KindOfRoad::usual(RoutineCode::Overtake))->toBe(KindOfRoad::Rural);
    // A long way has a long loop: three more sides of the block.
    $far = Position::ofDegrees(49.21, -8.1);
    $long = new Stop('a', 'a', $here, $far, KindOfRoad::Town, 0.0, 2, new Drive, 10.4, 20.6, null);
    expect($long->againMetres)->toEqualWithDelta(3.0 * $long->roundMetres, 1e-9)->and([$long->briefSeconds, $long->roundSeconds])->toBe([10, 21])
        ->and($long->seconds(3))->toBe($long->onceSeconds() + 2 * $long->furtherSeconds());
});

it('keeps a measured leg, and shortens only what is estimated', function (): void {
    [$stops] = Rounds::drawn(Rounds::ways(12, 5));
    $start = Position::ofDegrees(49.2, -8.1);
    $known = [new MeasuredLeg('w0', 'w1', 5.0, null), new MeasuredLeg('w1', 'w2', 5.0, 80.0), new MeasuredLeg('w0', 'w2', 9_000.0, null)];
    $plain = Legs::between($start, $start, $stops, new Drive, []);
    $legs = Legs::between($start, $start, $stops, new Drive, $known);
    expect([$legs->seconds(0, 1), $legs->seconds(1, 2), $legs->seconds(0, 2)])->toBe([5.0, 5.0, 9_000.0])
        ->and([$legs->isMeasured(0, 1), $legs->isMeasured(1, 0), $legs->isMeasured(Legs::START, 0)])->toBe([true, false, false])
        ->and($legs->metres(1, 2))->toBe(80.0)->and($legs->metres(0, 1))->toBe($plain->metres(0, 1));
    foreach ([Legs::START, 0, 1, 2, 3, 4] as $from) {
        foreach ([0, 1, 2, 3, 4, Legs::END] as $to) {
            if ($from !== $to && ! $legs->isMeasured($from, $to)) {
                expect($legs->seconds($from, $to))->toBeLessThanOrEqual($plain->seconds($from, $to) + 1e-9);
            }
        }
    }
    expect($legs->along([]))->toBe(0.0)->and($legs->along([3, 1]))->toBe($legs->seconds(Legs::START, 3) + $legs->seconds(3, 1) + $legs->seconds(1, Legs::END));
});
