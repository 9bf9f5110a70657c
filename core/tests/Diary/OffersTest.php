<?php

declare(strict_types=1);

use NobleTurn\Core\Diary\Appointment;
use NobleTurn\Core\Diary\Day;
use NobleTurn\Core\Diary\Offer;
use NobleTurn\Core\Diary\Offers;
use NobleTurn\Core\Diary\Period;
use NobleTurn\Core\Diary\Sun;
use NobleTurn\Core\Diary\Travel;
use NobleTurn\Core\Diary\Waiting;
use NobleTurn\Core\Diary\Wish;
use NobleTurn\Core\Site\Position;

/* An hour that has come free goes to whom it helps most; whom it does not fit is not asked. */

function whenClock(string $clock, string $day = '2027-03-10'): int
{
    return (new DateTimeImmutable("{$day} {$clock}", new DateTimeZone('Europe/London')))->getTimestamp();
}

function metresEast(float $metres): Position
{
    return Position::ofDegrees(49.2, -8.1 + $metres / 72_900.0);
}

/** @param  list<Waiting>  $waiting */
function offered(array $waiting, string $from = '11:00', string $until = '12:30', array $day = []): array
{
    $zone = new DateTimeZone('Europe/London');
    $travel = new Travel($zone);

    return (new Offers($zone, new Sun(metresEast(0))))->of(new Period(whenClock($from), whenClock($until)), $waiting, Day::of($day, $travel));
}

/** @param  list<Offer>  $offers */
function toWhom(array $offers): array
{
    return array_map(static fn (Offer $one): string => $one->to->id, $offers);
}

it('asks nobody whose wishes, or whose lesson, it does not fit', function (): void {
    $hour = 3_600;
    expect(toWhom(offered([
        new Waiting('at any time', $hour, null),
        new Waiting('wednesdays at noon', $hour, null, [new Wish([3], 11 * 60, 13 * 60)]),
        new Waiting('tuesdays', $hour, null, [new Wish([2], 0, 1_440)]),
        new Waiting('half an hour of it only', $hour, null, [new Wish([3], 12 * 60, 18 * 60)]),
        new Waiting('two hours', 2 * $hour, null),
    ])))->toEqualCanonicalizing(['at any time', 'wednesdays at noon']);
});

it('begins when they can, with time for the drive there and on', function (): void {
    $day = [
        new Appointment('before', new Period(whenClock('10:00'), whenClock('11:00')), metresEast(0), metresEast(0)),
        new Appointment('after', new Period(whenClock('13:00'), whenClock('14:00')), metresEast(0), metresEast(0)),
    ];
    [$offer] = offered([new Waiting('near', 3_600, metresEast(2_000))], '11:00', '13:00', $day);
    $drive = (new Travel(new DateTimeZone('Europe/London')))->seconds(metresEast(0), metresEast(2_000), whenClock('11:00'));
    expect($offer->starts)->toBe(whenClock('11:10'))->and($offer->latest)->toBe(whenClock('13:00') - $drive - 3_600)->and($offer->drive)->toBe(2 * $drive);
    expect(offered([new Waiting('too far', 3_600, metresEast(30_000))], '11:00', '13:00', $day))->toBe([]);
});

it('puts first whose test is near, then who has waited long, then who is on the way', function (): void {
    $day = [new Appointment('before', new Period(whenClock('10:00'), whenClock('10:30')), metresEast(0), metresEast(0))];
    $recently = whenClock('10:00', '2027-03-08');
    expect(toWhom(offered([
        new Waiting('near, lately', 3_600, metresEast(200), [], null, $recently),
        new Waiting('far, lately', 3_600, metresEast(6_000), [], null, $recently),
        new Waiting('near, long ago', 3_600, metresEast(200), [], null, whenClock('10:00', '2027-02-01')),
        new Waiting('near, test in a week', 3_600, metresEast(200), [], whenClock('10:00', '2027-03-17'), $recently),
    ], '11:00', '12:30', $day)))->toBe(['near, test in a week', 'near, long ago', 'near, lately', 'far, lately']);
});

it('counts the dark for who still needs it, where the hour is dark', function (): void {
    $two = [new Waiting('a', 3_600, null, lastAt: 1_804_000_000), new Waiting('b', 3_600, null, lastAt: 1_804_000_000, needsDark: true)];
    expect(toWhom(offered($two, '18:30', '20:00')))->toBe(['b', 'a'])->and(offered($two, '18:30', '20:00')[0]->reasons)->toHaveKey('dark');
    expect(toWhom(offered($two)))->toBe(['a', 'b'])->and(offered($two)[1]->reasons)->not->toHaveKey('dark');
});

it('claims no drive where an address is not known, and forgets a test that is over', function (): void {
    [$offer] = offered([new Waiting('a', 3_600, null, [], whenClock('10:00'), whenClock('10:00', '2027-03-09'))]);
    expect($offer->drive)->toBeNull()->and(array_keys($offer->reasons))->toBe(['pause']);
});

it('is worth little more a minute later: no reason jumps but the light', function (): void {
    $worth = static fn (int $more): float => offered([new Waiting(
        'a', 3_600, metresEast(1_000), [], whenClock('10:00', '2027-03-20') + $more, whenClock('10:00', '2027-03-01') + $more,
    )])[0]->worth();
    for ($more = 0; $more < 3_000_000; $more += 60_000) {
        expect(abs($worth($more + 60) - $worth($more)))->toBeLessThan(0.01);
    }
});

it('offers nothing that could not be put there: whatever the day, with nothing short of time', function (): void {
    mt_srand(44);
    $travel = new Travel(new DateTimeZone('Europe/London'));
    for ($n = 0; $n < 200; $n++) {
        $before = new Appointment('before', new Period(whenClock('09:00'), whenClock('10:00')), metresEast(0), metresEast(mt_rand(0, 8_000)));
        $after = new Appointment('after', new Period(whenClock('12:00') + mt_rand(0, 60) * 60, whenClock('14:00')), metresEast(mt_rand(0, 8_000)), null);
        $from = 540 + mt_rand(0, 120);
        $wishes = mt_rand(0, 1) === 1 ? [new Wish([3], $from, $from + mt_rand(30, 300))] : [];
        $one = new Waiting('x', mt_rand(2, 6) * 900, metresEast(mt_rand(0, 8_000)), $wishes);
        foreach (offered([$one], '10:00', '12:00', [$before, $after]) as $offer) {
            $lesson = new Appointment('x', new Period($offer->starts, $offer->starts + $one->seconds), $one->at, $one->at);
            $between = Day::of([$before, $lesson, $after], $travel)->between();
            expect([$between[0]->short(), $between[1]->short()])->toBe([0, 0])->and($offer->starts)->toBeLessThanOrEqual($offer->latest);
        }
    }
});

it('refuses a wish that is no time of a day', function (array $days, int $from, int $until): void {
    new Wish($days, $from, $until);
})->with([[[], 0, 60], [[8], 0, 60], [[1], 60, 60], [[1], -1, 60], [[1], 0, 1_441]])->throws(InvalidArgumentException::class);
