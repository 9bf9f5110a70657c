<?php

declare(strict_types=1);

use NobleTurn\Core\Diary\Known;
use NobleTurn\Core\Diary\Period;
use NobleTurn\Core\Diary\Telling;
use NobleTurn\Core\Diary\TextKind;

/* What a learner is told of a lesson, and when: never twice, never at night, and in the end what is so. */

function toldAt(string $wall): int
{
    return (new DateTimeImmutable($wall, new DateTimeZone('Europe/London')))->getTimestamp();
}

function tells(string $from = '21:00', string $until = '08:00', string $reminds = '17:00'): Telling
{
    return new Telling(new DateTimeZone('Europe/London'), $from, $until, $reminds);
}

function hourFrom(string $wall, int $minutes = 60): Period
{
    return new Period(toldAt($wall), toldAt($wall) + 60 * $minutes);
}

it('tells what is so now where it is not what was told', function (?Period $known, ?Period $is, ?TextKind $kind): void {
    $told = $known === null ? null : new Known($known, toldAt('2027-03-01 10:00'), true);
    $due = tells()->next($told, $is, toldAt('2027-03-02 12:00'), toldAt('2027-03-02 12:05'));
    expect($due?->kind)->toBe($kind)->and($due?->at)->toBe($kind === null ? null : toldAt('2027-03-02 12:10'));
})->with([
    'booked' => [null, hourFrom('2027-03-10 10:00'), TextKind::Booked],
    'moved' => [hourFrom('2027-03-10 10:00'), hourFrom('2027-03-11 10:00'), TextKind::Moved],
    'made shorter' => [hourFrom('2027-03-10 10:00'), hourFrom('2027-03-10 10:00', 45), TextKind::Moved],
    'cancelled' => [hourFrom('2027-03-10 10:00'), null, TextKind::Cancelled],
    'as it was told' => [hourFrom('2027-03-10 10:00'), hourFrom('2027-03-10 10:00'), null],
    'cancelled before anybody heard of it' => [null, null, null],
    'over by now' => [hourFrom('2027-03-02 12:05'), hourFrom('2027-03-02 12:05', 30), null],
]);

it('tells who is met at another door, and who is met as usual again', function (): void {
    $lesson = hourFrom('2027-03-10 10:00');
    $next = static fn (?string $told, ?string $is) => tells()->next(
        new Known($lesson, toldAt('2027-03-01 10:00'), true, $told), $lesson, 0, toldAt('2027-03-02 12:00'), $is,
    )?->kind;
    expect($next(null, 'College gate'))->toBe(TextKind::Moved)->and($next('College gate', null))->toBe(TextKind::Moved)
        ->and($next('College gate', 'Mole Street'))->toBe(TextKind::Moved)->and($next('College gate', 'College gate'))->toBeNull()
        ->and($next(null, null))->toBeNull();
});

it('books anew what was told to be off', function (): void {
    $due = tells()->next(new Known(null, toldAt('2027-03-01 10:00')), hourFrom('2027-03-10 10:00'), toldAt('2027-03-02 12:00'), toldAt('2027-03-02 13:00'));
    expect($due?->kind)->toBe(TextKind::Booked)->and($due->isNow(toldAt('2027-03-02 13:00')))->toBeTrue();
});

it('waits through the night, and says so where the lesson begins before it ends', function (): void {
    $next = static fn (Period $lesson, string $now) => tells()->next(null, $lesson, toldAt($now) - 3_600, toldAt($now));
    expect($next(hourFrom('2027-03-10 10:00'), '2027-03-09 20:59')->at)->toBe(toldAt('2027-03-09 20:59'))
        ->and($next(hourFrom('2027-03-10 10:00'), '2027-03-09 21:00')->at)->toBe(toldAt('2027-03-10 08:00'))
        ->and($next(hourFrom('2027-03-10 10:00'), '2027-03-10 03:00')->at)->toBe(toldAt('2027-03-10 08:00'))
        ->and($next(hourFrom('2027-03-10 08:00'), '2027-03-09 21:00')->at)->toBeNull()
        ->and($next(hourFrom('2027-03-10 07:30'), '2027-03-09 21:00')->isNow(0))->toBeTrue();
    // A quiet hour in the middle of the day, and the nights on which the clocks change.
    expect(tells('12:00', '14:00')->next(null, hourFrom('2027-03-10 18:00'), 0, toldAt('2027-03-10 12:30'))->at)->toBe(toldAt('2027-03-10 14:00'));
    foreach (['2027-03-27' => '2027-03-28', '2027-10-30' => '2027-10-31'] as $evening => $morning) {
        expect($next(hourFrom("{$morning} 10:00"), "{$evening} 23:30")->at)->toBe(toldAt("{$morning} 08:00"));
    }
});

it('reminds on the day before, once, and not whoever has just been told', function (): void {
    $lesson = hourFrom('2027-03-10 10:00');
    $next = static fn (string $told, string $now, bool $reminded = false) => tells()->next(
        new Known($lesson, toldAt($told), $reminded), $lesson, 0, toldAt($now),
    );
    expect($next('2027-03-01 10:00', '2027-03-08 12:00'))->kind->toBe(TextKind::DayBefore)->at->toBe(toldAt('2027-03-09 17:00'))
        ->and($next('2027-03-01 10:00', '2027-03-09 18:20')->at)->toBe(toldAt('2027-03-09 18:20'))
        ->and($next('2027-03-01 10:00', '2027-03-09 18:20', true))->toBeNull()
        ->and($next('2027-03-09 05:00', '2027-03-09 12:00')?->kind)->toBe(TextKind::DayBefore)
        ->and($next('2027-03-09 05:01', '2027-03-09 12:00'))->toBeNull()
        // Missed: the evening is over, or only the night of it is left.
        ->and($next('2027-03-01 10:00', '2027-03-09 21:00'))->toBeNull()
        ->and($next('2027-03-01 10:00', '2027-03-10 08:00'))->toBeNull();
});

it('over random days of booking, moving and taking back: never twice, never at night, and in the end what is so', function (): void {
    mt_srand(11);
    $zone = new DateTimeZone('Europe/London');
    $telling = tells();
    for ($case = 0; $case < 200; $case++) {
        $now = toldAt('2027-03-20 07:00') + mt_rand(0, 86_400);
        $is = $known = null;
        $changed = $now;
        $said = [];
        // Three weeks ahead: nothing of it begins meanwhile.
        $when = static fn (): Period => hourFrom('2027-04-'.mt_rand(14, 20).' '.mt_rand(9, 18).':00');
        for ($minute = 0; $minute < 3 * 1_440; $minute += 5, $now += 300) {
            if ($minute < 2 * 1_440 && mt_rand(0, 60) === 0) {
                $is = mt_rand(0, 3) === 0 ? null : $when();
                $changed = $now;
            }
            $due = $telling->next($known, $is, $changed, $now);
            if ($due?->isNow($now) === true) {
                $clock = (new DateTimeImmutable("@{$now}"))->setTimezone($zone)->format('H:i');
                expect($clock >= '08:00' && $clock < '21:00')->toBeTrue("told at {$clock}")
                    ->and($now - $changed)->toBeGreaterThanOrEqual(Telling::SETTLES)
                    ->and($known?->period == $is && $known !== null)->toBeFalse();
                $known = new Known($is, $now, $due->kind === TextKind::DayBefore);
                $said[] = $due->kind;
            }
        }
        // What they know is what is so; who never heard of it was never told that it is off.
        expect($known?->period)->toEqual($is)->and($said === [] || $said[0] === TextKind::Booked)->toBeTrue();
        foreach (array_keys($said) as $i) {
            expect($i > 0 && $said[$i] === $said[$i - 1] && $said[$i] !== TextKind::Moved)->toBeFalse();
        }
    }
});

it('refuses what is no time of day, and a quiet that never ends', function (): void {
    expect(static fn () => tells('24:00'))->toThrow(InvalidArgumentException::class)
        ->and(static fn () => tells('8:00'))->toThrow(InvalidArgumentException::class)
        ->and(static fn () => tells('08:00', '08:00'))->toThrow(InvalidArgumentException::class);
});
