<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Findings;
use NobleTurn\Core\Compute\Tool\ApproachReader;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Motion\BendLine;
use NobleTurn\Core\Motion\BendRoom;
use NobleTurn\Core\Motion\Path;
use NobleTurn\Core\Motion\PathReach;
use NobleTurn\Core\Motion\SweptPath;
use NobleTurn\Core\Place\Bend;
use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Plan\NotPlanned;
use NobleTurn\Core\Plan\Windows;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\Ireland;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Coastland;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Vehicle\Unit;

/* Where the core takes a short way to a figure, it comes to what the long way comes to. */

it('brakes at the last place at which enough is shed, as halving finds it', function (): void {
    $checked = 0;
    foreach (Approaches::many(400, 95_000) as $seed => $input) {
        $approach = ApproachReader::read(Toolbox::tool('approach')->input()->read($input, '', new Findings));
        if (NotPlanned::of($approach) !== null) {
            continue;
        }
        $chain = ApproachPlanner::plan($approach)->chain;
        $profile = $chain->profile;
        $best = $chain->metres($chain->brakeSeconds);
        $drift = $chain->metres($chain->positionSeconds - $chain->timing->driftSeconds);
        $firmest = max($chain->slowing->firmMps2, 3.25 * $approach->surface->shareOfComfort());
        $enough = static function (float $pedal) use ($chain, $profile, $best, $drift, $firmest): bool {
            $from = $pedal - $chain->timing->brakeLagSeconds * $profile->mpsAt($best);
            // Metre by metre, or as good: what each piece of the way takes off half of the square of the speed.
            $shed = $chain->slowing->easingOffMps2 * ($best - $from);
            $shed += $chain->slowing->gentleMps2 * max(0.0, $from - max($drift, $profile->crawlMetres()));
            $shed += $firmest * max(0.0, min($from, $drift) - $profile->crawlMetres());

            return $shed >= ($profile->mpsAt($best) ** 2 - $profile->crawlMps() ** 2) / 2.0;
        };
        [$early, $late] = [$best, min($best, $profile->crawlMetres())];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($early + $late) / 2.0;
            $enough($middle) ? $early = $middle : $late = $middle;
        }
        expect(Windows::for($chain, Step::Speed)->latestMetres)->toEqualWithDelta($early, 1e-6, "seed {$seed}");
        $checked++;
    }
    expect($checked)->toBeGreaterThan(300);
});

it('has of a bend the room that every point along the inner side of every body leaves', function (): void {
    $draw = new Approaches(96_000);
    $checked = 0;
    for ($i = 0; $i < 60; $i++) {
        $bend = new Bend($draw->number(3.0, 15.0), $draw->number(3.5, 6.0), $draw->number(3.5, 8.0), $draw->number(0.6, 2.4));
        $units = $draw->one([[new Unit(5.5, 2.5, 1.4, 2.5, 0.0)], [new Unit(3.8, 2.5, 1.4, 0.9, -0.6), new Unit(7.7, 2.5, 1.2, 4.0, 0.0)]]);
        $line = BendLine::at($units, $bend, $draw->number(1.3, 3.0), $draw->number(1.3, 6.0), $draw->number(8.0, 25.0));
        $nearest = INF;
        foreach ($line->swept->frames as $frame) {
            foreach ($units as $u => $unit) {
                [[$fx, $fy], , , [$rx, $ry]] = SweptPath::corners($unit, $frame[$u]);
                for ($k = 0; $k <= 200; $k++) {
                    [$x, $y] = [$fx + ($rx - $fx) * $k / 200, $fy + ($ry - $fy) * $k / 200];
                    $beyond = $x * cos($bend->angleRadians) + $y * sin($bend->angleRadians);
                    $nearest = min($nearest, match (true) {
                        $x < 0.0 => -$y, $beyond > 0.0 => $x * sin($bend->angleRadians) - $y * cos($bend->angleRadians), default => hypot($x, $y),
                    });
                }
            }
        }
        // Beyond the kerb's own middle there is nothing to be measured from.
        if ($nearest > 0.5) {
            expect((new BendRoom($bend, $units))->of($line->swept)[0])->toEqualWithDelta($nearest - $bend->kerbRadiusMetres, 2e-3, "bend {$i}");
            $checked++;
        }
    }
    expect($checked)->toBeGreaterThan(20);
});

it('has of a bend the same room whether every position on the way in is looked at or only its two ends', function (): void {
    $draw = new Approaches(97_000);
    for ($i = 0; $i < 200; $i++) {
        $bend = new Bend($draw->number(3.0, 15.0), $draw->number(3.5, 6.0), $draw->number(3.5, 8.0), $draw->number(0.6, 2.4));
        $units = $draw->one([[new Unit(5.5, 2.5, 1.4, 2.5, 0.0)], [new Unit(3.8, 2.5, 1.4, 0.9, -0.6), new Unit(7.7, 2.5, 1.2, 4.0, 0.0)]]);
        $round = [['radius' => $draw->number(7.0, 30.0), 'angle' => $bend->angleRadians], ['length' => 25.0]];
        [$begin, $beside] = [$draw->number(-15.0, 15.0), -$bend->kerbRadiusMetres - $draw->number(1.3, $bend->entryWidthMetres - 1.3)];
        $long = Path::of([['length' => 25.0], ...$round], 0.25)->moved($begin - 25.0, $beside);
        $short = Path::of($round, 0.25)->cameStraight(25.0)->moved($begin, $beside);
        $room = static fn (Path $path): array => (new BendRoom($bend, $units))->of(SweptPath::along($path, $units));
        [[$inside, $outside], [$ofLong, $ofLongOutside]] = [$room($short), $room($long)];
        expect($inside)->toEqualWithDelta($ofLong, 1e-9, "bend {$i}")->and($outside)->toEqualWithDelta($ofLongOutside, 1e-9, "bend {$i}");
    }
});

it('reaches as far to either side of a path as its farthest body point', function (): void {
    $units = [new Unit(3.8, 2.5, 1.4, 0.9, -0.6), new Unit(7.7, 2.5, 1.2, 4.0, 0.0)];
    foreach ([[20.0, M_PI_2], [14.0, -M_PI], [30.0, 0.4]] as [$radius, $angle]) {
        $swept = SweptPath::along(Path::of([['length' => 15.0], ['radius' => $radius, 'angle' => $angle], ['length' => 25.0]], 0.1), $units);
        [$left, $right] = [0.0, 0.0];
        // On the arc itself the distance from the path is known in closed form: from its middle, less its radius.
        $turns = $angle <=> 0.0;
        foreach ($swept->frames as $frame) {
            foreach ($units as $u => $unit) {
                foreach (SweptPath::corners($unit, $frame[$u]) as [$x, $y]) {
                    [$towardsX, $towardsY] = [$x - 15.0, $turns * $y - $radius];
                    $at = atan2($towardsX, -$towardsY);
                    if ($at > 0.0 && $at < abs($angle)) {
                        $aside = $turns * ($radius - hypot($towardsX, $towardsY));
                        [$left, $right] = [max($left, $aside), max($right, -$aside)];
                    }
                }
            }
        }
        $reach = PathReach::of($swept);
        expect($reach->left)->toBeGreaterThan($left - 5e-3)->and($reach->right)->toBeGreaterThan($right - 5e-3)
            ->and(max($reach->left, $reach->right))->toBeLessThan(max($left, $right) + 1.3);
    }
});

it('keeps what is worked out once apart for every pack', function (): void {
    $packs = [new GreatBritain, new Ireland, new Coastland, new GreatBritain];
    $codes = array_map(static fn (RulePack $pack): array => array_map(static fn ($code): string => $code->value, Catalogue::codes($pack)), $packs);
    expect($codes[3])->toBe($codes[0])->and($codes[2])->not->toBe($codes[0])
        ->and(Catalogue::codes($packs[0], hasClutch: false))->not->toBe(Catalogue::codes($packs[0]));
});
