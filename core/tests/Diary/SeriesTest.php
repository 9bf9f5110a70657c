<?php

declare(strict_types=1);

use NobleTurn\Core\Diary\Series;

/* The same hour every week. Held against a second way of reckoning: whole weeks of a calendar without clocks, put on the clock by the zone's own table. */

/** What the clock of a zone shows at a moment, by its table of changes. */
function offsetBy(DateTimeZone $zone, int $moment): int
{
    $changes = $zone->getTransitions($moment, $moment);

    return $changes[0]['offset'];
}

/** The first moment at which the clock of a zone shows this; in a skipped hour the moment at which it would have. */
function momentBy(DateTimeZone $zone, int $shown): int
{
    $before = offsetBy($zone, $shown - 86_400);
    foreach ([$before, offsetBy($zone, $shown + 86_400)] as $offset) {
        if (offsetBy($zone, $shown - $offset) === $offset) {
            return $shown - $offset;
        }
    }

    return $shown - $before;
}

function onTheWall(string $at, string $zone): DateTimeImmutable
{
    return new DateTimeImmutable($at, new DateTimeZone($zone));
}

it('keeps its local hour over both changes of the clock', function (): void {
    $shown = array_map(
        static fn (DateTimeImmutable $at): string => $at->format('Y-m-d H:i P'),
        [
            ...(new Series(onTheWall('2027-03-17 17:30', 'Europe/London'), 1, 3))->moments(),
            ...(new Series(onTheWall('2027-10-20 17:30', 'Europe/London'), 2, 2))->moments(),
        ],
    );
    expect($shown)->toBe([
        '2027-03-17 17:30 +00:00', '2027-03-24 17:30 +00:00', '2027-03-31 17:30 +01:00', '2027-10-20 17:30 +01:00', '2027-11-03 17:30 +00:00',
    ]);
});

it('comes in the hour that is skipped when the clock would have shown it, and the week after as ever', function (): void {
    $shown = array_map(
        static fn (DateTimeImmutable $at): string => $at->format('d H:i P'), (new Series(onTheWall('2027-03-21 01:30', 'Europe/London'), 1, 3))->moments(),
    );
    expect($shown)->toBe(['21 01:30 +00:00', '28 02:30 +01:00', '04 01:30 +01:00']);
});

it('leaves out the days it is told, which count among its times', function (): void {
    $series = new Series(onTheWall('2027-12-06 10:00', 'Europe/Dublin'), 1, 5, ['2027-12-27', '2027-12-28']);
    expect(array_map(static fn (DateTimeImmutable $at): string => $at->format('Y-m-d'), $series->moments()))->toBe(
        ['2027-12-06', '2027-12-13', '2027-12-20', '2028-01-03'],
    );
});

it('is at the same moments as whole weeks put on the clock by the zone’s table', function (string $name): void {
    mt_srand(11);
    $zone = new DateTimeZone($name);
    for ($n = 0; $n < 60; $n++) {
        $day = (new DateTimeImmutable('2026-01-01', $zone))->modify('+'.mt_rand(0, 900).' days')->setTime(mt_rand(3, 23), 15 * mt_rand(0, 3));
        [$weeks, $times] = [mt_rand(1, 4), mt_rand(1, 60)];
        $naive = gmmktime((int) $day->format('G'), (int) $day->format('i'), 0, (int) $day->format('n'), (int) $day->format('j'), (int) $day->format('Y'));
        $expected = array_map(static fn (int $i): int => momentBy($zone, $naive + $i * $weeks * 604_800), range(0, $times - 1));
        $moments = (new Series($day, $weeks, $times))->moments();
        expect(array_map(static fn (DateTimeImmutable $at): int => $at->getTimestamp(), $moments))->toBe($expected);
    }
})->with(['Europe/London', 'Europe/Dublin', 'America/Toronto', 'America/St_Johns', 'Australia/Lord_Howe', 'UTC']);

it('refuses what is no series', function (int $weeks, int $times): void {
    new Series(onTheWall('2027-01-01 10:00', 'UTC'), $weeks, $times);
})->with([[0, 3], [1, 0], [1, 105], [-1, 2]])->throws(InvalidArgumentException::class);
