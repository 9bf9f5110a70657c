<?php

declare(strict_types=1);

use NobleTurn\Core\Site\Position;
use NobleTurn\Core\Track\Fix;
use NobleTurn\Core\Track\Leg;
use NobleTurn\Core\Track\Passings;
use NobleTurn\Core\Track\Track;

/* What a recorded drive measures: from passing one place to passing the next, without what the car stood at the kerb. */

/** So many metres north and east of a harbour nobody knows; a degree there is 111,220 m north and 72,800 m east (GeodSolve). */
function mapped(float $north, float $east = 0.0): Position
{
    return Position::ofDegrees(49.2 + $north / 111_220.0, -8.1 + $east / 72_800.0);
}

/**
 * A drive due north, a fix a second.
 *
 * @param  list<array{float, float}>  $stretches  seconds and m/s, one after the other
 */
function northward(array $stretches, float $every = 1.0, ?Random\Randomizer $wander = null, float $off = 0.0): Track
{
    $fixes = [];
    $at = 0.0;
    $clock = 0.0;
    foreach ($stretches as [$seconds, $speed]) {
        for ($s = 0.0; $s < $seconds; $s += $every) {
            $error = static fn (): float => $wander === null ? 0.0 : chancedBetween($wander, -4.0, 4.0);
            $fixes[] = new Fix(mapped($at + $error(), $off + $error()), $clock);
            $at += $speed * $every;
            $clock += $every;
        }
    }
    $fixes[] = new Fix(mapped($at, $off), $clock);

    return Track::of($fixes);
}

function chancedBetween(Random\Randomizer $chance, float $least, float $most): float
{
    return $least + ($most - $least) * $chance->getInt(0, 1_000_000) / 1_000_000;
}

/** @param  list<Leg>  $legs */
function drivesIn(array $legs): array
{
    return array_map(static fn (Leg $leg): array => [$leg->from, $leg->to, (int) round($leg->seconds), (int) round($leg->metres)], $legs);
}

it('measures from one place to the next in the order driven, out and back', function (): void {
    $places = ['quay' => mapped(200), 'mill' => mapped(800), 'kirk' => mapped(1500), 'far' => mapped(9000)];
    // 10 m/s for 170 s to beyond the kirk; then the same way back.
    $there = northward([[170, 10]]);
    $back = array_map(static fn (Fix $fix): Fix => new Fix($fix->at, 340.0 - $fix->seconds), array_reverse($there->fixes));
    $track = Track::of([...$there->fixes, ...array_slice($back, 1)]);
    expect(drivesIn(Passings::legs($there, $places)))->toBe([['quay', 'mill', 60, 600], ['mill', 'kirk', 70, 700]])
        ->and(drivesIn(Passings::legs($track, $places)))->toBe([
            ['quay', 'mill', 60, 600], ['mill', 'kirk', 70, 700], ['kirk', 'mill', 70, 700], ['mill', 'quay', 60, 600],
        ])->and($track->breaks())->toBe(0)->and($track->seconds())->toBe(340.0);
});

it('leaves out what the car stands at the kerb beyond what a light holds it, without a jump', function (): void {
    $places = ['quay' => mapped(200), 'mill' => mapped(800)];
    $with = static fn (int $standing): Leg => Passings::legs(northward([[50, 10], [$standing, 0], [50, 10]]), $places)[0];
    expect(drivesIn([$with(60)]))->toBe([['quay', 'mill', 120, 600]])->and($with(60)->stood)->toBe(0.0);
    $before = 0.0;
    for ($standing = 0; $standing <= 400; $standing += 20) {
        $leg = $with($standing);
        expect($leg->seconds)->toEqualWithDelta(60 + min($standing, 90), 1.0)->and($leg->metres)->toEqualWithDelta(600, 1)
            ->and($leg->seconds - $before)->toBeBetween(-0.01, $before === 0.0 ? 70 : 21);
        $before = $leg->seconds;
    }
    expect($with(400)->stood)->toEqualWithDelta(310, 1.0);
});

it('is not fooled by a receiver that wanders while the car stands', function (): void {
    $places = ['quay' => mapped(200), 'mill' => mapped(800)];
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(21));
    foreach ([30, 120, 400, 900] as $standing) {
        $fixes = [];
        foreach (northward([[50, 10], [$standing, 0], [50, 10]])->fixes as $i => $fix) {
            $isStill = $i >= 50 && $i < 50 + $standing;
            $error = static fn (): float => $isStill ? chancedBetween($chance, -3.0, 3.0) : 0.0;
            $fixes[] = new Fix(mapped(($fix->at->latitudeDegrees - 49.2) * 111_220.0 + $error(), $error()), $fix->seconds);
        }
        $leg = Passings::legs(Track::of($fixes), $places)[0];
        expect($leg->seconds)->toEqualWithDelta(60 + min($standing, 90), 8.0)->and($leg->metres)->toEqualWithDelta(600, 25);
    }
});

it('passes what it comes within 35 m of, once for each time', function (): void {
    $count = static fn (float $off): int => count(Passings::of(northward([[100, 10]], off: $off), 'x', mapped(500)));
    expect([$count(0), $count(34), $count(36), $count(-34)])->toBe([1, 1, 0, 1]);
    // Turned round behind it: two passings where it was gone between, one where it was not.
    $turned = static fn (float $beyond): int => count(Passings::of(Track::of([
        ...array_map(static fn (int $s): Fix => new Fix(mapped(10.0 * $s), (float) $s), range(0, 50)),
        new Fix(mapped(500 + $beyond), 60.0), new Fix(mapped(500), 70.0), new Fix(mapped(300), 90.0),
    ]), 'x', mapped(500)));
    expect([$turned(200), $turned(60)])->toBe([2, 1]);
});

it('measures nothing across what cannot have been driven', function (): void {
    $places = ['quay' => mapped(200), 'mill' => mapped(800)];
    $legs = static fn (array $fixes): array => Passings::legs(Track::of($fixes), $places);
    $fixes = northward([[100, 10]])->fixes;
    $jump = $fixes;
    $jump[50] = new Fix(mapped(90_000), 50.0);
    expect($legs($fixes))->toHaveCount(1)->and($legs($jump))->toBe([])->and(Track::of($jump)->breaks())->toBe(2);
    // Silent for half a minute in a tunnel it was driven; for three minutes it may have been anywhere.
    $silent = static fn (float $for): array => [...array_slice($fixes, 0, 40), ...array_map(
        static fn (Fix $fix): Fix => new Fix($fix->at, $fix->seconds + $for - 20.0), array_slice($fixes, 60),
    )];
    expect(drivesIn($legs($silent(30))))->toBe([['quay', 'mill', 70, 600]])->and($legs($silent(180)))->toBe([]);
    // Silent and still there: it stood.
    $stood = [...array_slice($fixes, 0, 40), ...array_map(static fn (Fix $fix): Fix => new Fix($fix->at, $fix->seconds + 300.0), array_slice($fixes, 40))];
    expect(drivesIn($legs($stood)))->toBe([['quay', 'mill', 149, 600]]);
});

it('holds against a receiver that wanders, and against seldom fixes', function (): void {
    $places = ['quay' => mapped(200), 'mill' => mapped(800), 'kirk' => mapped(1500)];
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(4));
    for ($i = 0; $i < 20; $i++) {
        $legs = Passings::legs(northward([[170, 10]], wander: $chance, off: chancedBetween($chance, -20, 20)), $places);
        expect($legs)->toHaveCount(2)->and($legs[0]->seconds)->toEqualWithDelta(60, 2.0)->and($legs[1]->seconds)->toEqualWithDelta(70, 2.0);
    }
    // A fix every seven seconds, 70 m apart: the place lies between two of them.
    $seldom = Passings::legs(northward([[175, 10]], 7.0), $places);
    expect($seldom[0]->seconds)->toEqualWithDelta(60, 0.5)->and($seldom[1]->metres)->toEqualWithDelta(700, 5);
});

it('agrees with walking the track in steps of a tenth of a second', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(9));
    for ($round = 0; $round < 15; $round++) {
        [$north, $east, $clock] = [0.0, 0.0, 0.0];
        $fixes = [new Fix(mapped(0), 0.0)];
        for ($i = 0; $i < 40; $i++) {
            $for = chancedBetween($chance, 2, 8);
            $north += $for * chancedBetween($chance, 2, 14);
            $east += $for * chancedBetween($chance, -6, 6);
            $fixes[] = new Fix(mapped($north, $east), $clock += $for);
        }
        $place = mapped(chancedBetween($chance, 100, $north - 100), chancedBetween($chance, -60, 60) + $east / 2);
        $track = Track::of($fixes);
        $best = INF;
        $at = null;
        foreach (array_slice($fixes, 1) as $i => $to) {
            $from = $fixes[$i];
            for ($s = $from->seconds; $s <= $to->seconds; $s += 0.1) {
                $share = ($s - $from->seconds) / ($to->seconds - $from->seconds);
                $here = Position::ofDegrees(
                    $from->at->latitudeDegrees + $share * ($to->at->latitudeDegrees - $from->at->latitudeDegrees),
                    $from->at->longitudeDegrees + $share * ($to->at->longitudeDegrees - $from->at->longitudeDegrees),
                );
                $metres = $here->metresTo($place);
                if ($metres < $best) {
                    [$best, $at] = [$metres, $s];
                }
            }
        }
        $found = Passings::of($track, 'x', $place);
        if ($best < 34.5) {
            expect(min(array_map(static fn ($one): float => abs($one->seconds - $at), $found)))->toBeLessThan(0.5);
        } elseif ($best > 35.5) {
            expect($found)->toBe([]);
        }
    }
});

it('has nothing to say of a track of nothing, of one fix, and of places at once', function (): void {
    $places = ['quay' => mapped(200), 'mill' => mapped(200.5)];
    expect(Passings::legs(Track::of([]), $places))->toBe([])->and(Track::of([])->breaks())->toBe(0)->and(Track::of([])->seconds())->toBe(0.0)
        ->and(Passings::legs(Track::of([new Fix(mapped(200), 0.0)]), $places))->toBe([])
        ->and(Passings::legs(northward([[100, 10]]), $places))->toBe([]);
});
