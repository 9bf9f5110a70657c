<?php

declare(strict_types=1);

use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Diary\Appointment;
use NobleTurn\Core\Diary\Between;
use NobleTurn\Core\Diary\Day;
use NobleTurn\Core\Diary\Period;
use NobleTurn\Core\Diary\Travel;
use NobleTurn\Core\Site\Position;

/*
 * A day from address to address: what lies between, and where another lesson fits. Gaps are held against trying every minute of the day
 * and judging the day anew with the lesson in it.
 */

function atClock(string $clock, string $day = '2027-03-10'): int
{
    return (new DateTimeImmutable("{$day} {$clock}", new DateTimeZone('Europe/London')))->getTimestamp();
}

function lessonAt(string $id, string $from, string $until, ?Position $starts = null, ?Position $ends = null): Appointment
{
    return new Appointment($id, new Period(atClock($from), atClock($until)), $starts, $ends ?? $starts);
}

/** So many metres east of the school. */
function eastOf(float $metres): Position
{
    return Position::ofDegrees(49.2, -8.1 + $metres / 72_900.0);
}

function travelling(): Travel
{
    return new Travel(new DateTimeZone('Europe/London'));
}

it('says what lies between two lessons: minutes free, minutes driven, when to leave at the latest', function (): void {
    // 2,000 m as the crow flies are 2,600 by road, at town pace; 13:00 is no busy hour.
    $day = Day::of([lessonAt('b', '14:00', '15:00', eastOf(2_000)), lessonAt('a', '12:00', '13:00', eastOf(0))], travelling());
    [$between] = $day->between();
    $drive = (int) ceil((new Drive)->seconds(eastOf(0)->metresTo(eastOf(2_000)) * 1.3));
    expect($between)->toEqual(new Between('a', 'b', 3_600, $drive, atClock('14:00') - $drive))->and($between->short())->toBe(0);
    expect($drive)->toBeGreaterThan(240)->toBeLessThan(480);
});

it('says by how much the next begins too early, without a jump where it begins to', function (): void {
    $short = static fn (int $later): int => Day::of([
        lessonAt('a', '12:00', '13:00', eastOf(0)),
        new Appointment('b', new Period(atClock('13:00') + $later, atClock('14:30')), eastOf(4_000), null),
    ], travelling())->between()[0]->short();
    $drive = $short(0);
    expect($drive)->toBeGreaterThan(300);
    foreach (range(0, 1_200) as $later) {
        expect($short($later))->toBe(max(0, $drive - $later));
    }
});

it('takes longer in the busy hours, and leaves the earlier', function (): void {
    $driven = static fn (string $ends, string $begins): Between => Day::of([
        lessonAt('a', '06:30', $ends, eastOf(0)), lessonAt('b', $begins, '18:30', eastOf(3_000)),
    ], travelling())->between()[0];
    expect($driven('08:30', '09:30')->travel)->toEqualWithDelta($driven('13:00', '14:00')->travel * 1.3, 1.0);
    expect(atClock('08:45') - $driven('08:00', '08:45')->leave)->toBeGreaterThan(atClock('13:45') - $driven('13:00', '13:45')->leave);
});

it('knows no drive where an address is not on the map, and says so; what overlaps is short all the same', function (): void {
    $day = Day::of([lessonAt('a', '12:00', '13:00', eastOf(0)), lessonAt('b', '13:00', '14:00'), lessonAt('c', '13:40', '15:00')], travelling());
    expect($day->between())->toEqual([new Between('a', 'b', 0, null, null), new Between('b', 'c', -1_200, null, null)]);
    expect(array_map(static fn (Between $one): int => $one->short(), $day->between()))->toBe([0, 1_200]);
});

it('leaves at the last moment that still arrives in time, whatever the hour', function (): void {
    mt_srand(7);
    for ($n = 0; $n < 400; $n++) {
        [$from, $to] = [eastOf(mt_rand(0, 9_000)), eastOf(mt_rand(0, 30_000))];
        $there = atClock('05:00') + mt_rand(0, 57_600);
        $leave = travelling()->leavingFor($from, $to, $there);
        expect($leave + travelling()->seconds($from, $to, $leave))->toBeLessThanOrEqual($there);
        expect($leave + 3 + travelling()->seconds($from, $to, $leave + 3))->toBeGreaterThan($there);
    }
});

it('finds the room for another lesson: with the drive there and the drive on', function (): void {
    $day = Day::of([lessonAt('a', '09:00', '10:00', eastOf(0)), lessonAt('b', '12:00', '13:00', eastOf(0))], travelling());
    $gaps = $day->gaps(new Period(atClock('08:00'), atClock('17:00')), 3_600, eastOf(2_600), eastOf(2_600));
    expect(array_map(static fn ($gap): array => [$gap->after, $gap->before], $gaps))->toBe([['a', 'b'], ['b', null]]);
    // Back from there takes as long as there and neither hour is busy by then: the room is the gap less both drives, less the lesson.
    $drive = (int) ceil((new Drive)->seconds(eastOf(0)->metresTo(eastOf(2_600)) * 1.3));
    expect([$gaps[0]->earliest, $gaps[0]->latest])->toBe([atClock('10:00') + $drive, atClock('12:00') - $drive - 3_600])
        ->and([$gaps[0]->there, $gaps[0]->on, $gaps[0]->without, $gaps[0]->more()])->toBe([$drive, $drive, 0, 2 * $drive])
        ->and([$gaps[1]->there, $gaps[1]->on, $gaps[1]->more()])->toBe([$drive, null, $drive]);
    // From an address that is not known nothing is driven that could be counted.
    expect($day->gaps(new Period(atClock('08:00'), atClock('17:00')), 3_600, null, null)[1]->more())->toBeNull();
    expect(date('i', (int) $gaps[0]->first(5)) % 5)->toBe(0);
    // Before nine there is just an hour, and the drive to the next is in it.
    expect($day->gaps(new Period(atClock('08:00'), atClock('17:00')), 3_600, eastOf(0), eastOf(0))[0]->after)->toBeNull();
});

it('offers no time when the learner or the car is elsewhere, and takes what those leave', function (): void {
    $day = Day::of([], travelling());
    $gaps = $day->gaps(new Period(atClock('08:00'), atClock('18:00')), 3_600, null, null, [
        new Period(atClock('15:00'), atClock('16:00')), new Period(atClock('09:30'), atClock('10:00')), new Period(atClock('09:45'), atClock('11:00')),
    ]);
    expect(array_map(static fn ($gap): array => [$gap->earliest, $gap->latest], $gaps))->toBe([
        [atClock('08:00'), atClock('08:30')], [atClock('11:00'), atClock('14:00')], [atClock('16:00'), atClock('17:00')],
    ]);
});

it('offers exactly the minutes at which the lesson could be put and nothing be short of time', function (): void {
    mt_srand(22);
    for ($n = 0; $n < 60; $n++) {
        $appointments = $taken = [];
        $at = atClock('07:30') + mt_rand(0, 60) * 60;
        while ($at < atClock('17:00')) {
            $until = $at + mt_rand(3, 9) * 900;
            $where = mt_rand(0, 5) === 0 ? null : eastOf(mt_rand(0, 8_000));
            $appointments[] = new Appointment("n{$at}", new Period($at, $until), $where, mt_rand(0, 3) === 0 ? eastOf(mt_rand(0, 8_000)) : $where);
            $at = $until + mt_rand(0, 140) * 60;
        }
        foreach (range(0, mt_rand(0, 2)) as $_) {
            $from = atClock('08:00') + mt_rand(0, 500) * 60;
            $taken[] = new Period($from, $from + mt_rand(2, 8) * 900);
        }
        $before = array_sum(array_map(static fn (Between $one): int => $one->short(), Day::of($appointments, travelling())->between()));
        [$starts, $ends] = [eastOf(mt_rand(0, 9_000)), eastOf(mt_rand(0, 9_000))];
        $within = new Period(atClock('08:00'), atClock('18:00'));
        $gaps = Day::of($appointments, travelling())->gaps($within, 3_600, $starts, $ends, $taken);
        for ($from = $within->from; $from + 3_600 <= $within->until; $from += 60) {
            $lesson = new Appointment('new', new Period($from, $from + 3_600), $starts, $ends);
            $free = array_filter([...$taken, ...array_map(static fn (Appointment $one): Period => $one->period, $appointments)],
                static fn (Period $one): bool => $one->overlaps($lesson->period)) === [];
            $fits = $free && array_sum(array_map(
                static fn (Between $one): int => in_array('new', [$one->after, $one->before], true) ? $one->short() : 0,
                Day::of([...$appointments, $lesson], travelling())->between(),
            )) === 0;
            $offered = array_filter($gaps, static fn ($gap): bool => $gap->earliest <= $from && $from <= $gap->latest) !== [];
            // Offered is what fits; to within the seconds by which the last moment to leave is found.
            expect($offered ? $fits : true)->toBeTrue()->and($fits && ! $offered)->toBeFalse();
        }
        expect($before)->toBeGreaterThanOrEqual(0);
    }
});

it('keeps to the hours that are worked', function (): void {
    $day = Day::of([lessonAt('late', '19:00', '20:00', eastOf(0)), lessonAt('early', '05:00', '06:00', eastOf(0))], travelling());
    $gaps = $day->gaps(new Period(atClock('08:00'), atClock('18:00')), 3_600, eastOf(0), eastOf(0));
    expect($gaps)->toHaveCount(1)->and([$gaps[0]->earliest, $gaps[0]->latest])->toBe([atClock('08:00'), atClock('17:00')]);
});
