<?php

declare(strict_types=1);

use NobleTurn\Core\Diary\Sun;
use NobleTurn\Core\Record\Company;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Hours;
use NobleTurn\Core\Record\HoursBook;
use NobleTurn\Core\Record\TimeAtWheel;
use NobleTurn\Core\Rules\AskedByLaw;
use NobleTurn\Core\Rules\Figure;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\Ireland;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Site\Position;

/** A town of the demo's latitude. */
function overCoastland(): Sun
{
    return new Sun(Position::ofDegrees(49.2, -8.1));
}

/** @param  list<array{int, float, Company, list<Conditions>}>  $drives */
function bookOf(array $drives, ?Sun $sun = null): HoursBook
{
    return new HoursBook(array_map(
        static fn (int $i, array $one): TimeAtWheel => TimeAtWheel::of("drive-{$i}", $one[2], $one[0], $one[1], $one[3], $sun), array_keys($drives), $drives,
    ));
}

it('counts every minute once in each kind, whatever was noted and wherever the sun stood', function (): void {
    mt_srand(5);
    $noon = (int) strtotime('2026-05-20T12:00:00Z');
    for ($case = 0; $case < 300; $case++) {
        $drives = [];
        for ($drive = mt_rand(1, 6); $drive > 0; $drive--) {
            $rounds = [];
            for ($round = mt_rand(0, 5); $round > 0; $round--) {
                $rounds[] = new Conditions(
                    light: [null, 'day', 'dusk', 'night'][mt_rand(0, 3)], surface: [null, 'dry', 'wet'][mt_rand(0, 2)], road: [null, 'rural'][mt_rand(0, 1)],
                );
            }
            $with = mt_rand(0, 1) === 1 ? Company::Instructor : Company::Accompanied;
            $drives[] = [$noon + mt_rand(0, 86_400 * 365), mt_rand(1, 4_800) / 10.0, $with, $rounds];
        }
        $sun = mt_rand(0, 1) === 1 ? overCoastland() : null;
        $book = bookOf($drives, $sun);
        $total = array_sum(array_column($drives, 1));
        expect($book->minutes())->toEqualWithDelta($total, 1e-6)
            ->and($book->minutes(Company::Instructor) + $book->minutes(Company::Accompanied))->toEqualWithDelta($total, 1e-6);
        foreach (Conditions::KINDS as $kind => $names) {
            $parts = array_map(static fn (string $name): float => $book->minutes(null, $kind, $name), [...$names, Hours::NOT_NOTED]);
            expect(array_sum($parts))->toEqualWithDelta($total, 1e-6)->and(min($parts))->toBeGreaterThanOrEqual(0.0);
        }
        // With a sun there is no light that nobody knows.
        expect($sun === null || $book->minutes(null, 'light', Hours::NOT_NOTED) === 0.0)->toBeTrue();
    }
});

it('takes the light that nobody noted from the sun, and leaves alone what was noted', function (): void {
    $sun = overCoastland();
    $set = $sun->day((int) strtotime('2026-11-20T12:00:00Z'));
    $hour = static fn (int $from, array $rounds, ?Sun $over): TimeAtWheel => TimeAtWheel::of('x', Company::Instructor, $from, 60.0, $rounds, $over);
    // From half an hour before sunset: the dusk of November is longer than the half hour that is left.
    $evening = $hour($set['sunset'] - 1_800, [], $sun);
    expect($evening->in('day'))->toEqualWithDelta(30.0, 1.0)->and($evening->in('dusk'))->toEqualWithDelta(30.0, 1.0)->and($evening->in('night'))->toBe(0.0)
        ->and($evening->bySun)->toEqualWithDelta(60.0, 1e-9);
    // After the last light it is night, whole.
    expect($hour($set['last_light'] + 60, [], $sun)->in('night'))->toEqualWithDelta(60.0, 1e-9);
    // One of two rounds was noted: its half stays as noted, whatever the sun says.
    $half = $hour($set['last_light'] + 60, [new Conditions(light: 'dusk'), new Conditions], $sun);
    expect($half->in('dusk'))->toEqualWithDelta(30.0, 1e-9)->and($half->in('night'))->toEqualWithDelta(30.0, 1e-9)
        ->and($half->bySun)->toEqualWithDelta(30.0, 1e-9);
    // Where nobody knows where it was, it stays unsaid.
    expect($hour($set['sunset'], [], null)->minutesOf['light'][Hours::NOT_NOTED])->toBe(60.0)->and($hour($set['sunset'], [], null)->bySun)->toBe(0.0)
        ->and(static fn () => TimeAtWheel::of('x', Company::Instructor, 0, 0.0, [], null))->toThrow(InvalidArgumentException::class);
});

it('goes with the clock without a jump: a drive a minute later is at most a minute lighter or darker', function (): void {
    $sun = overCoastland();
    $noon = (int) strtotime('2026-03-10T12:00:00Z');
    $before = null;
    for ($minute = 0; $minute < 720; $minute++) {
        $now = TimeAtWheel::of('x', Company::Accompanied, $noon + 60 * $minute, 45.0, [], $sun);
        foreach (['day', 'dusk', 'night'] as $light) {
            expect($before === null || abs($now->in($light) - $before->in($light)) <= 1.0 + 1e-9)->toBeTrue();
        }
        $before = $now;
    }
    expect($before->in('night'))->toEqualWithDelta(45.0, 1e-9);
});

it('holds the book against the law of each country', function (): void {
    $noon = (int) strtotime('2026-05-20T12:00:00Z');
    $hours = static fn (int $count, float $minutes, Company $with, ?string $light = 'day'): array => array_fill(
        0, $count, [$noon, $minutes, $with, [new Conditions(light: $light)]],
    );
    expect((new GreatBritain)->askedByLaw())->toBe([]);

    // Twelve lessons of an hour: a double one is two, an hour and a half is one, three quarters are none, a parent's do not count.
    [$training] = (new Ireland)->askedByLaw();
    $held = static fn (array $drives) => bookOf($drives)->against($training);
    expect($held($hours(7, 60.0, Company::Instructor))->message())->toStartWith('7 of 12 lessons: 5 to go.')
        ->and($held([...$hours(3, 120.0, Company::Instructor), ...$hours(2, 90.0, Company::Instructor)])->have)->toBe(8.0)
        ->and($held([...$hours(30, 45.0, Company::Instructor), ...$hours(30, 60.0, Company::Accompanied)])->have)->toBe(0.0)
        ->and($held($hours(11, 60.0, Company::Instructor))->isMet())->toBeFalse()
        ->and($held($hours(12, 60.0, Company::Instructor)))->isMet()->toBeTrue()->message()->toStartWith('12 of 12 lessons: that is enough.');

    // Fifty hours with whomever, ten of them at night: dusk is no night.
    [$practice, $night] = (new NorthAmerica)->askedByLaw();
    $book = bookOf([
        ...$hours(20, 90.0, Company::Instructor), ...$hours(13, 55.0, Company::Accompanied, 'night'), ...$hours(4, 30.0, Company::Accompanied, 'dusk'),
    ]);
    expect($book->against($practice)->message())->toBe('43 h 55 min of 50 h: 6 h 5 min to go.')
        ->and($book->against($night)->message())->toBe('11 h 55 min of 10 h: that is enough.')
        ->and($practice->ofMinors && $night->ofMinors)->toBeTrue();
});

it('asks in figures for what each pack prints in words', function (): void {
    $printed = static fn (RulePack $pack): string => array_values(array_filter(
        $pack->figures(), static fn (Figure $figure): bool => $figure->key === 'record',
    ))[0]->value;
    foreach (RulePacks::all() as $pack) {
        $asked = $pack->askedByLaw();
        expect($printed($pack) === 'none')->toBe($asked === []);
        foreach ($asked as $one) {
            $figure = $one->lessonMinutes === null ? intdiv($one->wanted, 60) : $one->wanted;
            expect($printed($pack))->toMatch("/\\b{$figure}\\b/")->and($one->ofMinors)->toBe(str_contains($printed($pack), 'for minors'));
        }
    }
});

it('says nothing is left only when nothing is left: from one minute to the next', function (): void {
    $asked = AskedByLaw::minutes('x', 'x', 600, Source::assumed());
    $at = static fn (float $minutes) => bookOf([[0, $minutes, Company::Accompanied, []]])->against($asked);
    expect($at(599.0))->isMet()->toBeFalse()->message()->toBe('9 h 59 min of 10 h: 1 min to go.')
        ->and($at(599.8))->isMet()->toBeTrue()->message()->toBe('10 h of 10 h: that is enough.')
        ->and($at(30.0))->message()->toBe('30 min of 10 h: 9 h 30 min to go.');
});
