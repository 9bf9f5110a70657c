<?php

declare(strict_types=1);

use NobleTurn\Core\Diary\Appointment;
use NobleTurn\Core\Diary\Between;
use NobleTurn\Core\Diary\Day;
use NobleTurn\Core\Diary\LateDay;
use NobleTurn\Core\Diary\Later;
use NobleTurn\Core\Diary\Period;
use NobleTurn\Core\Diary\Travel;
use NobleTurn\Core\Site\Position;

/* A day that runs late: what is between takes it up, a test is reached, and nobody is told more than is true. */

function eastwards(float $metres): Position
{
    return Position::ofDegrees(49.2, -8.1 + $metres / 72_900.0);
}

function appointed(string $id, string $from, string $until, float $metres = 0.0): Appointment
{
    $at = static fn (string $clock): int => (new DateTimeImmutable("2027-03-10 {$clock}", new DateTimeZone('Europe/London')))->getTimestamp();

    return new Appointment($id, new Period($at($from), $at($until)), eastwards($metres), eastwards($metres));
}

function runningLate(int $whole = 1): LateDay
{
    return new LateDay(new Travel(new DateTimeZone('Europe/London')), whole: $whole);
}

/** @param  list<Later>  $told */
function minutesLate(array $told): array
{
    return array_combine(
        array_map(static fn (Later $one): string => $one->appointment->id, $told),
        array_map(static fn (Later $one): ?array => $one->period === null ? null : [intdiv($one->late, 60), intdiv($one->cut, 60)], $told),
    );
}

it('passes twenty minutes on until a break takes them up', function (): void {
    $told = runningLate()->of(appointed('a', '09:00', '10:00'), 1_200, [
        appointed('b', '10:00', '11:00'), appointed('c', '11:05', '12:05'), appointed('d', '13:00', '14:00'),
    ]);
    expect(minutesLate($told))->toBe(['b' => [20, 0], 'c' => [15, 0], 'd' => [0, 0]])->and($told[2]->isAsPlanned())->toBeTrue();
});

it('reaches a test: the lesson before it gives way', function (): void {
    $rest = [appointed('lesson', '10:00', '11:00'), appointed('test', '11:00', '12:00'), appointed('after', '12:10', '13:10')];
    expect(minutesLate(runningLate()->of(appointed('a', '09:00', '10:00'), 1_200, $rest, ['test'])))->toBe(
        ['lesson' => [20, 20], 'test' => [0, 0], 'after' => [0, 0]],
    );
    // Of an hour less than half would be left: it cannot be kept, and the test is as it was.
    expect(minutesLate(runningLate()->of(appointed('a', '09:00', '10:00'), 1_860, $rest, ['test'])))
        ->toBe(['lesson' => null, 'test' => [0, 0], 'after' => [0, 0]]);
});

it('counts the drive to the test', function (): void {
    $rest = [appointed('lesson', '11:00', '12:00'), appointed('test', '12:10', '13:00', 2_600.0)];
    $drive = (new Travel(new DateTimeZone('Europe/London')))->seconds(eastwards(0), eastwards(2_600.0), $rest[0]->period->until);
    [$lesson] = runningLate()->of(appointed('a', '10:00', '11:00'), 900, $rest, ['test']);
    expect($lesson->cut)->toBe(900 - (600 - $drive));
    // On whole minutes it ends a little sooner, never later.
    [$whole] = runningLate(60)->of(appointed('a', '10:00', '11:00'), 900, $rest, ['test']);
    expect($whole->cut % 60)->toBe(0)->and($whole->cut - $lesson->cut)->toBeGreaterThanOrEqual(0)->toBeLessThan(60);
});

it('ends with the day: what would go on after it is cut, or not kept', function (): void {
    $rest = [appointed('b', '16:00', '17:00'), appointed('c', '17:00', '18:00')];
    $closes = $rest[1]->period->until + 600;
    expect(minutesLate(runningLate()->of(appointed('a', '15:00', '16:00'), 1_800, $rest, [], $closes)))->toBe(['b' => [30, 0], 'c' => [30, 20]]);
    expect(minutesLate(runningLate()->of(appointed('a', '15:00', '16:00'), 3_600, $rest, [], $closes)))->toBe(['b' => [60, 0], 'c' => null]);
});

it('changes nothing where nothing is late, also where the plan was short of time already', function (): void {
    $told = runningLate()->of(appointed('a', '09:00', '10:00'), 0, [appointed('b', '10:01', '11:00', 6_000.0), appointed('c', '11:00', '12:00')]);
    expect(minutesLate($told))->toBe(['b' => [0, 0], 'c' => [0, 0]]);
});

it('keeps the order on any day, overlaps nothing, moves no test, is no later than it is late; and a second more is a second more', function (): void {
    mt_srand(20);
    for ($n = 0; $n < 300; $n++) {
        $at = (new DateTimeImmutable('2027-03-10 08:00', new DateTimeZone('Europe/London')))->getTimestamp();
        $all = $fixed = [];
        for ($i = 0; $i < 7; $i++) {
            $until = $at + mt_rand(4, 8) * 900;
            $all[] = new Appointment("n{$i}", new Period($at, $until), eastwards(mt_rand(0, 5_000)), eastwards(mt_rand(0, 5_000)));
            if ($i > 0 && mt_rand(0, 4) === 0) {
                $fixed[] = "n{$i}";
            }
            $at = $until + mt_rand(15, 60) * 60;
        }
        $travel = new Travel(new DateTimeZone('Europe/London'));
        // With time enough for every drive to begin with.
        expect(array_sum(array_map(static fn (Between $one): int => $one->short(), Day::of($all, $travel)->between())))->toBe(0);
        $on = array_shift($all);
        $last = null;
        foreach ([0, 300, 900, 1_800, 1_801, 3_600] as $late) {
            $told = runningLate()->of($on, $late, $all, $fixed);
            expect(array_map(static fn (Later $one): string => $one->appointment->id, $told))
                ->toBe(array_map(static fn (Appointment $one): string => $one->id, $all));
            $free = $on->period->until + $late;
            foreach ($told as $one) {
                if ($one->period === null) {
                    expect($fixed)->not->toContain($one->appointment->id);

                    continue;
                }
                $isFixed = in_array($one->appointment->id, $fixed, true);
                expect($isFixed ? $one->isAsPlanned() : $one->late >= 0 && $one->late <= $late && $one->cut >= 0)->toBeTrue()
                    ->and($one->period->seconds() + $one->cut)->toBe($one->appointment->period->seconds());
                // A test that is too near to what is on cannot be reached by anybody: only then does the plan overlap.
                if (! $isFixed || $free <= $one->period->from) {
                    expect($one->period->from)->toBeGreaterThanOrEqual($free - 1);
                }
                $free = $one->period->until;
            }
            if ($late === 1_801) {
                foreach ($told as $i => $one) {
                    if ($one->period !== null && $last[$i]->period !== null) {
                        expect(abs($one->late - $last[$i]->late))->toBeLessThanOrEqual(2)->and(abs($one->cut - $last[$i]->cut))->toBeLessThanOrEqual(3);
                    }
                }
            }
            $last = $told;
        }
    }
});
