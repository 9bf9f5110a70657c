<?php

declare(strict_types=1);

use NobleTurn\Core\Record\PressTime;

function moment(string $at): DateTimeImmutable
{
    return new DateTimeImmutable("2026-05-20T{$at}Z");
}

it('takes off how far a device’s clock is off, hours as well as minutes', function (string $pressed, string $sent, string $arrived, string $expected): void {
    $press = PressTime::between(moment($sent), moment($arrived));
    expect($press->of(moment($pressed), moment($arrived))->format('H:i:s.v'))->toBe($expected);
})->with([
    'a clock three hours ahead, sent ten minutes later' => ['13:00:00', '13:10:00', '10:10:00', '10:00:05.000'],
    'a clock an hour behind' => ['09:00:00', '09:10:00', '10:10:00', '09:59:55.000'],
    'a right clock, three seconds on the way' => ['10:00:00.250', '10:00:10', '10:00:13', '10:00:00.250'],
]);

it('believes a device that does not say when it sent, but lets no press come after its message', function (): void {
    $press = PressTime::between(null, moment('10:10:00'));
    expect($press->of(moment('10:00:00'), moment('10:10:00')))->toEqual(moment('10:00:00'))
        ->and($press->of(moment('18:00:00'), moment('10:10:00')))->toEqual(moment('10:10:00'));
});

it('moves a press by no more than a hair where the clocks differ by a hair more, and never swaps two presses of one message', function (): void {
    $arrived = moment('12:00:00');
    $last = null;
    for ($apart = -20_000; $apart <= 20_000; $apart += 10) {
        $press = PressTime::between($arrived->modify(sprintf('%+d milliseconds', -$apart)), $arrived);
        $early = (float) $press->of(moment('11:00:00'), $arrived)->format('U.u');
        expect($press->of(moment('11:00:01'), $arrived)->format('U.u') - $early)->toEqualWithDelta(1.0, 0.001);
        if ($last !== null) {
            expect($early - $last)->toBeGreaterThanOrEqual(-0.0005)->toBeLessThanOrEqual(0.0115);
        }
        $last = $early;
    }
});

it('warns of a clock more than a day ahead, and only then', function (): void {
    expect(PressTime::isFarAhead(moment('12:00:00')->modify('+1 day'), moment('12:00:00')))->toBeFalse()
        ->and(PressTime::isFarAhead(moment('12:00:01')->modify('+1 day'), moment('12:00:00')))->toBeTrue()
        ->and(PressTime::isFarAhead(moment('12:00:00')->modify('-9 days'), moment('12:00:00')))->toBeFalse();
});
