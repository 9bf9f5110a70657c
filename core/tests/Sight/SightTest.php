<?php

declare(strict_types=1);

use NobleTurn\Core\Sight\Hides;
use NobleTurn\Core\Sight\IntoTheDip;
use NobleTurn\Core\Sight\OverTheCrest;
use NobleTurn\Core\Sight\PastTheVehicle;
use NobleTurn\Core\Sight\RoundTheBend;
use NobleTurn\Core\Sight\Sight;

/** Metres of the way at which what is seen is looked for, one after the other. */
const RAY_STEP = 0.4;

/**
 * A second way of finding what is seen: targets along the way, one after the other, and for each the ray from the eye to it,
 * followed in small steps until something stands in it.
 *
 * @param  callable(float): array{float, float}  $eye  place and height, or place in the plane, of somebody so far along the way
 * @param  callable(float): array{float, float}  $target  the same for what is to be seen
 * @param  callable(float, float): bool  $stands  whether something stands at a point
 */
function marched(float $from, callable $eye, callable $target, callable $stands, float $most): float
{
    [$x, $y] = $eye($from);
    for ($far = 1.0; $far < $most; $far += RAY_STEP) {
        [$tx, $ty] = $target($from + $far);
        $steps = (int) max(40, ceil(hypot($tx - $x, $ty - $y) * 2));
        for ($i = 1; $i < $steps; $i++) {
            if ($stands($x + ($tx - $x) * $i / $steps, $y + ($ty - $y) * $i / $steps)) {
                return $far;
            }
        }
    }

    return INF;
}

/** Round a bend: the path in the plane, its middle at (0, R), and whatever lies inside the hedge. */
function marchedRound(RoundTheBend $bend, float $from): float
{
    [$r, $m, $angle] = [$bend->radiusMetres, $bend->offsetMetres, $bend->angleRadians];
    $way = static function (float $s) use ($r, $angle): array {
        if ($s < 0.0) {
            return [$s, 0.0];
        }
        $turned = min($angle, $s / $r);
        $beyond = max(0.0, $s - $r * $angle);

        return [$r * sin($turned) + $beyond * cos($turned), $r * (1.0 - cos($turned)) + $beyond * sin($turned)];
    };
    $stands = static function (float $x, float $y) use ($r, $m, $angle): bool {
        $at = atan2($x, $r - $y);
        if ($x < 0.0) {
            return $y > $m + 1e-6;
        }

        // Beyond its end the hedge goes straight on.
        return $at <= $angle
            ? hypot($x, $y - $r) < $r - $m - 1e-6
            : $x * sin($angle) - ($y - $r) * cos($angle) < $r - $m - 1e-6;
    };

    return marched($from, $way, $way, $stands, 600.0);
}

/** Over a crest: the road's height along the way. */
function marchedOver(OverTheCrest $crest, float $from): float
{
    [$length, $change] = [$crest->lengthMetres, $crest->gradientChange];
    $road = static function (float $s) use ($length, $change): float {
        $within = max(0.0, min($length, $s));

        // Up at half the change before it, down at half of it after.
        return $s * $change / 2.0 - $change * $within ** 2 / (2.0 * $length) - $change * max(0.0, $s - $length);
    };

    return marched(
        $from, static fn (float $s): array => [$s, $road($s) + $crest->eyeMetres], static fn (float $s): array => [$s, $road($s) + $crest->targetMetres],
        static fn (float $x, float $y): bool => $y < $road($x) - 1e-9, 900.0,
    );
}

/** Into a dip: the same with a level road that has a hollow. */
function marchedInto(IntoTheDip $dip, float $from): float
{
    [$length, $depth] = [$dip->lengthMetres, $dip->depthMetres];
    $road = static fn (float $s): float => $s <= 0.0 || $s >= $length ? 0.0 : -4.0 * $depth * $s * ($length - $s) / $length ** 2;

    return marched(
        $from, static fn (float $s): array => [$s, $road($s) + $dip->eyeMetres], static fn (float $s): array => [$s, $road($s) + $dip->targetMetres],
        static fn (float $x, float $y): bool => $y < $road($x) - 1e-9, 900.0,
    );
}

it('sees round a bend what marched rays see', function (float $radius, float $offset, float $degrees, float $toGo): void {
    $bend = new RoundTheBend($radius, $offset, deg2rad($degrees));
    $seen = $bend->seenFrom($toGo);
    $marched = marchedRound($bend, -$toGo);

    expect(is_infinite($seen))->toBe(is_infinite($marched));
    if (is_finite($seen)) {
        expect($seen)->toEqualWithDelta($marched, 0.5 + 0.01 * $seen);
    }
})->with(static function (): iterable {
    foreach ([[40.0, 3.0, 90.0], [120.0, 2.5, 60.0], [300.0, 6.0, 25.0], [25.0, 2.0, 170.0], [90.0, 4.0, 35.0]] as [$radius, $offset, $degrees]) {
        foreach ([120.0, 30.0, 5.0, 0.0, -10.0, -35.0] as $toGo) {
            yield [$radius, $offset, $degrees, $toGo];
        }
    }
});

it('sees over a crest what marched rays see', function (float $length, float $change, float $toGo): void {
    $crest = new OverTheCrest($length, $change, 1.08, 0.6);
    $seen = $crest->seenFrom($toGo);
    $marched = marchedOver($crest, -$toGo);

    expect(is_infinite($seen))->toBe(is_infinite($marched));
    if (is_finite($seen)) {
        expect($seen)->toEqualWithDelta($marched, 0.5 + 0.01 * $seen);
    }
})->with(static function (): iterable {
    foreach ([[100.0, 0.08], [30.0, 0.12], [250.0, 0.05], [60.0, 0.05]] as [$length, $change]) {
        foreach ([150.0, 40.0, 10.0, 0.0, -15.0, -25.0] as $toGo) {
            yield [$length, $change, $toGo];
        }
    }
});

it('sees over the edge of a dip what marched rays see', function (float $length, float $depth, float $toGo): void {
    $dip = new IntoTheDip($length, $depth, 1.08, 1.08);
    $seen = $dip->seenFrom($toGo);
    $marched = marchedInto($dip, -$toGo);

    expect(is_infinite($seen))->toBe(is_infinite($marched));
    if (is_finite($seen)) {
        expect($seen)->toEqualWithDelta($marched, 0.5 + 0.02 * $seen);
    }
})->with(static function (): iterable {
    foreach ([[80.0, 2.5], [150.0, 4.0], [60.0, 1.0], [200.0, 2.0]] as [$length, $depth]) {
        foreach ([200.0, 80.0, 40.0, 12.0] as $toGo) {
            yield [$length, $depth, $toGo];
        }
    }
});

it('is the sight line of road design round a bend: AASHTO Green Book, M = R (1 - cos(28.65 S / R)), from memory', function (float $radius, float $sight): void {
    $offset = $radius * (1.0 - cos(deg2rad(28.65 * $sight / $radius)));

    expect((new RoundTheBend($radius, $offset, M_PI))->leastMetres())->toEqualWithDelta($sight, 0.01 * $sight)
        ->and((new RoundTheBend($radius, $offset, M_PI))->seenFrom(-1.0))->toEqualWithDelta($sight, 0.01 * $sight);
})->with([[100.0, 50.0], [200.0, 85.0], [400.0, 160.0], [900.0, 285.0]]);

it('has the rates of crest curves of road design: AASHTO Green Book, K by design speed for stopping sight, from memory', function (int $feet, int $k): void {
    $metre = 0.3048;
    // A long crest of this K, in feet a per cent, is seen over as far as somebody needs to stop; of one less it is not.
    $feetSeen = static fn (int $k): float => (new OverTheCrest(4000.0 * $metre, 40.0 / $k, 3.5 * $metre, 2.0 * $metre))->leastMetres() / $metre;

    expect($feetSeen($k))->toBeGreaterThanOrEqual(0.998 * $feet)->and($feetSeen($k - 1))->toBeLessThan($feet);
})->with([[155, 12], [200, 19], [305, 44], [425, 84], [570, 151], [730, 247]]);

it('never sees less than its least, and as little somewhere', function (Hides $one): void {
    $seen = [];
    for ($toGo = 800.0; $toGo > -$one->metresLong(); $toGo -= 0.25) {
        $seen[] = $one->seenFrom($toGo);
    }

    expect(min($seen))->toBeGreaterThanOrEqual($one->leastMetres() - 1e-6)->toEqualWithDelta($one->leastMetres(), 0.5);
})->with([
    'a long bend' => [new RoundTheBend(60.0, 3.0, M_PI)], 'a short bend' => [new RoundTheBend(200.0, 4.0, 0.3)], 'a kink' => [new RoundTheBend(50.0, 2.0, 0.5)],
    'a long crest' => [new OverTheCrest(300.0, 0.1, 1.08, 0.6)], 'a short crest' => [new OverTheCrest(20.0, 0.08, 1.08, 0.6)],
    'a dip' => [new IntoTheDip(100.0, 3.0, 1.08, 1.08)], 'a deep dip' => [new IntoTheDip(60.0, 5.0, 1.08, 0.6)],
    'a lorry' => [new PastTheVehicle(12.0, 2.5)],
]);

it('sees on without a jump from place to place', function (Hides $one): void {
    for ($toGo = 300.0; $toGo > -$one->metresLong(); $toGo -= 0.01) {
        [$here, $next] = [$one->seenFrom($toGo), $one->seenFrom($toGo - 0.01)];
        // What opens at the end opens fast; what is short and near never jumps.
        if ($here < 120.0 && $next < 120.0) {
            expect(abs($next - $here))->toBeLessThan(1.0);
        }
    }
})->with([
    'a bend' => [new RoundTheBend(60.0, 3.0, 1.2)], 'a crest' => [new OverTheCrest(90.0, 0.1, 1.08, 0.6)],
]);

it('sees past a vehicle by similar triangles, more from farther back and from nearer the middle of the road', function (): void {
    $behind = static fn (float $metres, float $aside = 0.0, float $wide = 2.5): float => (new PastTheVehicle($metres, $wide, $aside))->seenFrom(0.0);

    // The eye 0.35 m out, the corner at 1.25 m, the middle of the other lane at 3.3 m.
    expect($behind(20.0))->toEqualWithDelta(20.0 * 2.95 / 0.9, 1e-9)
        ->and($behind(40.0))->toEqualWithDelta(2.0 * $behind(20.0), 1e-9)
        ->and($behind(20.0, 0.4))->toBeGreaterThan($behind(20.0))
        ->and($behind(20.0, -0.4))->toBeLessThan($behind(20.0))
        ->and($behind(20.0, 0.0, 1.8))->toBeGreaterThan($behind(20.0))
        ->and($behind(20.0, 0.0, 0.7))->toBe(INF);
});

it('says from where least is seen of a dip: nowhere before it is less seen, and from nearer all of it', function (float $length, float $depth): void {
    $dip = new IntoTheDip($length, $depth, 1.08, 0.6);
    $from = $dip->leastFromMetres();
    expect($dip->seenFrom($from))->toBe($dip->leastMetres());
    for ($toGo = 0.5; $toGo < 3.0 * $from; $toGo += 0.37) {
        expect($dip->seenFrom($toGo))->toBeGreaterThanOrEqual($dip->leastMetres() - 1e-6);
        if ($toGo < 0.98 * $dip->hidesBeyondMetres()) {
            expect($dip->seenFrom($toGo))->toBe(INF);
        }
    }
    expect($from)->toBeGreaterThanOrEqual($dip->hidesBeyondMetres())->toBeLessThan(2.0 * $dip->hidesBeyondMetres() + $length);
})->with([[60.0, 1.2], [60.0, 5.0], [20.0, 0.9], [300.0, 4.0]]);

it('hides a low car in a dip and not a tall van, and nothing in a shallow one', function (): void {
    expect((new IntoTheDip(100.0, 2.0, 1.08, 1.08))->hiddenFrom(100.0))->not->toBeNull()
        ->and((new IntoTheDip(100.0, 2.0, 1.08, 2.4))->hiddenFrom(100.0))->toBeNull()
        ->and((new IntoTheDip(100.0, 0.9, 1.08, 1.08))->leastMetres())->toBe(INF)
        ->and((new IntoTheDip(100.0, 0.9, 1.08, 1.08))->seenFrom(300.0))->toBe(INF);
    $hidden = (new IntoTheDip(100.0, 3.0, 1.08, 1.08))->hiddenFrom(150.0) ?? ['from' => 0.0, 'to' => 0.0];

    expect($hidden['from'])->toBeGreaterThan(0.0)->toBeLessThan($hidden['to'])->and($hidden['to'])->toBeLessThan(100.0);
});

it('sees as far as the worst of several things lets it', function (): void {
    $sight = new Sight([
        'bend' => new RoundTheBend(150.0, 4.0, 1.0), 'crest' => new OverTheCrest(100.0, 0.09, 1.08, 0.6), 'vehicle' => new PastTheVehicle(30.0, 1.8),
    ]);
    $least = array_map(static fn (Hides $one): float => $one->leastMetres(), $sight->hides);

    expect($sight->leastMetres())->toBe(min($least))->and($sight->worst())->toBe(array_search(min($least), $least, true));
    foreach ($sight->along(200.0, 50) as ['toGo' => $toGo, 'seen' => $seen]) {
        expect($seen)->toBe(min(array_map(static fn (Hides $one): float => $one->seenFrom($toGo), $sight->hides)));
    }
    expect((new Sight(['vehicle' => new PastTheVehicle(30.0, 0.6)]))->worst())->toBeNull();
});
