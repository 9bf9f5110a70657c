<?php

declare(strict_types=1);

use NobleTurn\Core\Diary\Light;
use NobleTurn\Core\Diary\Sun;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Site\Position;

/*
 * When it gets dark, against a second implementation: PHP's own `date_sun_info` (its timelib has the formulas of P. Schlyter), which is
 * right to a minute or two. Altitudes against Meeus' worked example.
 */

function noonOf(string $day): int
{
    return (new DateTimeImmutable("{$day} 12:00", new DateTimeZone('UTC')))->getTimestamp();
}

it('stands where the worked example of the book has the sun', function (): void {
    // Published: Meeus, example 25.a: 1992 October 13, 0 h dynamical time, declination -7.78507 degrees. Seen from the pole that is its altitude.
    $moment = (new DateTimeImmutable('1992-10-13 00:00', new DateTimeZone('UTC')))->getTimestamp();
    expect((new Sun(Position::ofDegrees(90.0, 0.0)))->altitude($moment))->toEqualWithDelta(-7.78507, 0.001);
});

it('rises and sets when the second implementation says, from the tropics to sixty degrees, all through the year', function (): void {
    $worst = 0;
    $places = [[51.5, -0.1], [55.9, -3.2], [53.3, -6.3], [60.0, 25.0], [49.3, -123.1], [43.7, -79.4], [1.3, 103.8], [-33.9, 151.2], [49.2, 179.5]];
    foreach ($places as [$lat, $lon]) {
        $sun = new Sun(Position::ofDegrees($lat, $lon));
        for ($day = 0; $day < 366; $day += 3) {
            // Noon there, by the sun.
            $noon = noonOf('2027-01-01') + $day * 86_400 - (int) round($lon * 240.0);
            $here = $sun->day($noon);
            $there = date_sun_info($noon, $lat, $lon);
            $pairs = [
                'sunrise' => 'sunrise', 'sunset' => 'sunset', 'first_light' => 'civil_twilight_begin', 'last_light' => 'civil_twilight_end',
            ];
            foreach ($pairs as $ours => $theirs) {
                if (is_bool($there[$theirs])) {
                    continue;
                }
                expect($here[$ours])->toBeInt();
                // That one takes the day by the calendar of its own meridian: the same event may be a day away, which moves it by little.
                $off = (int) abs($here[$ours] - $there[$theirs]) % 86_400;
                $worst = max($worst, min($off, 86_400 - $off));
            }
        }
    }
    expect($worst)->toBeLessThan(300);
});

it('has no sunset in a summer of the far north, and no sunrise in its winter', function (): void {
    $sun = new Sun(Position::ofDegrees(69.6, 18.9));
    expect($sun->day(noonOf('2027-06-21')))->toBe(['first_light' => null, 'sunrise' => null, 'sunset' => null, 'last_light' => null]);
    $winter = $sun->day(noonOf('2027-12-21'));
    expect($winter['sunrise'])->toBeNull()->and($winter['sunset'])->toBeNull()
        // Some twilight there is about noon.
        ->and($winter['first_light'])->toBeLessThan($winter['last_light']);
    expect($sun->light(noonOf('2027-06-21') + 43_200))->toBe(Light::Day);
    expect($sun->light(noonOf('2027-12-21') + 43_200))->toBe(Light::Night);
});

it('turns from day to dusk to night at the moments it tells, and back', function (): void {
    mt_srand(29);
    for ($n = 0; $n < 200; $n++) {
        $sun = new Sun(Position::ofDegrees(mt_rand(-580, 580) / 10, mt_rand(-1800, 1800) / 10));
        $day = $sun->day(noonOf('2027-01-01') + mt_rand(0, 3_650_000) * 86);
        expect([$day['first_light'] < $day['sunrise'], $day['sunrise'] < $day['sunset'], $day['sunset'] < $day['last_light']])->toBe([true, true, true]);
        foreach ([['first_light', Light::Night, Light::Dusk], ['sunrise', Light::Dusk, Light::Day], ['sunset', Light::Day, Light::Dusk],
            ['last_light', Light::Dusk, Light::Night]] as [$event, $before, $after]) {
            expect($sun->light($day[$event] - 2.0))->toBe($before)->and($sun->light($day[$event] + 2.0))->toBe($after);
        }
    }
});

it('moves by little from one day to the next, and its noon belongs to the day asked', function (): void {
    $sun = new Sun(Position::ofDegrees(49.2, -8.1));
    $last = null;
    for ($day = 0; $day < 400; $day++) {
        $noon = noonOf('2026-11-29') + $day * 86_400;
        $set = $sun->day($noon)['sunset'];
        expect(abs($set - $noon))->toBeLessThan(43_200);
        if ($last !== null) {
            expect(abs($set - $last - 86_400))->toBeLessThan(180);
        }
        $last = $set;
    }
});

it('has the words for light that a round’s conditions have', function (): void {
    expect(array_column(Light::cases(), 'value'))->toEqualCanonicalizing(Conditions::KINDS['light']);
});
