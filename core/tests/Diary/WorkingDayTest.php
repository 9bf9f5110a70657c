<?php

declare(strict_types=1);

use NobleTurn\Core\Diary\Period;
use NobleTurn\Core\Diary\WorkingDay;

/** @return list<string> of a lesson that begins then by the clock of the place */
function notesOf(WorkingDay $day, string $wall, int $minutes, int $given = 0): array
{
    $zone = new DateTimeZone('Europe/London');
    $from = (new DateTimeImmutable($wall, $zone))->getTimestamp();

    return $day->notes(new Period($from, $from + 60 * $minutes), $zone, $given);
}

it('says what lies outside the hours that are worked, to the minute and by the clock on the wall', function (): void {
    $day = new WorkingDay('08:30', '19:00', 480);
    // In winter, in summer, and on the days on which the clocks change.
    foreach (['2027-01-12', '2027-07-12', '2027-03-28', '2027-10-31'] as $date) {
        expect(notesOf($day, "{$date} 08:30", 60))->toBe([])->and(notesOf($day, "{$date} 18:00", 60))->toBe([])
            ->and(notesOf($day, "{$date} 08:29", 60))->toBe(['It begins before 08:30, when the day does.'])
            ->and(notesOf($day, "{$date} 18:01", 60))->toBe(['It ends at 19:01: the day is over at 19:00.'])
            ->and(notesOf($day, "{$date} 07:00", 800))->toHaveCount(3);
    }
    // Past midnight it is still the day on which it began.
    expect(notesOf($day, '2027-01-12 23:30', 60))->toBe(['It ends at 00:30: the day is over at 19:00.']);
});

it('counts the lessons of the day up to the most, and not a minute further', function (): void {
    $day = new WorkingDay('08:00', '20:00', 480);
    expect(notesOf($day, '2027-01-12 10:00', 60, 420))->toBe([])->and($day->hasRoom(420, 60))->toBeTrue()->and($day->hasRoom(421, 60))->toBeFalse()
        ->and(notesOf($day, '2027-01-12 10:00', 60, 421))->toBe(['8 h 1 min of lessons that day, where 8 h is the most.'])
        ->and(notesOf(new WorkingDay('08:00', '20:00', 45), '2027-01-12 10:00', 50))->toBe(['50 min of lessons that day, where 45 min is the most.'])
        ->and(notesOf(new WorkingDay('08:00', '20:00'), '2027-01-12 10:00', 60, 1_000))->toBe([]);
});

it('refuses a day that does not end after it begins, and times that are none', function (): void {
    foreach ([['20:00', '08:00', null], ['08:00', '08:00', null], ['8:00', '20:00', null], ['08:00', '24:00', null], ['08:00', '20:00', 0]] as $wrong) {
        expect(static fn () => new WorkingDay(...$wrong))->toThrow(InvalidArgumentException::class);
    }
});
