<?php

declare(strict_types=1);

use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Site\Arm;
use NobleTurn\Core\Site\Site;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Site\WayReader;
use NobleTurn\Core\Tests\MirroredBritain;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return list<Arm> three to six roads that lie apart, with any lines, some of them one-way */
function drawnArms(Randomizer $chance, SiteKind $kind): array
{
    $count = $chance->getInt(3, 6);
    $controls = $kind->isGoneRound() ? [Control::GiveWay, Control::Signals] : [Control::None, Control::None, Control::GiveWay, Control::Stop];
    if (! $kind->isGoneRound() && $chance->getInt(0, 3) === 0) {
        $controls = [Control::Signals];
    }

    return array_map(static function (int $i) use ($chance, $count, $controls): Arm {
        $oneWay = $chance->getInt(0, 7);
        $bearing = fmod($i * 360.0 / $count + $chance->getInt(-100, 100) / 100.0 * (180.0 / $count - 12.0) + 360.0, 360.0);

        return new Arm(
            chr(97 + $i), chr(65 + $i).' Road', $bearing, $controls[$chance->getInt(0, count($controls) - 1)], null, $oneWay === 0 ? 0 : 1,
            $oneWay === 1 ? 0 : 1, isAlley: $chance->getInt(0, 9) === 0,
        );
    }, range(0, $count - 1));
}

/** @param  callable(Arm): float  $bearing  where each arm lies instead */
function laidOut(SiteKind $kind, array $arms, callable $bearing): Site
{
    return Site::of($kind, array_map(static fn (Arm $arm): Arm => new Arm(
        $arm->id, $arm->name, fmod($bearing($arm) + 720.0, 360.0), $arm->control, $arm->limit, $arm->lanesIn, $arm->lanesOut, $arm->parkedOn,
        $arm->hasCentreLane, $arm->isAlley,
    ), $arms));
}

/** @return array<string, array{string, string, ?int}> */
function read(Site $site, RulePack $pack, bool $mirrored = false): array
{
    $read = [];
    foreach (WayReader::all($site, $pack) as $way) {
        $out = $way->out->value;
        $read["{$way->from->id}>{$way->to->id}"] = [
            ($mirrored ? $way->routine->mirrored() : $way->routine)->value,
            $mirrored ? strtr($out, ['left' => 'right', 'right' => 'left']) : $out, $way->exitNumber,
        ];
    }
    ksort($read);

    return $read;
}

/** @return iterable<string, array{SiteKind, list<Arm>}> */
function drawnSites(): iterable
{
    $chance = new Randomizer(new Mt19937(41));
    for ($i = 0; $i < 120; $i++) {
        $kind = SiteKind::cases()[$chance->getInt(0, 2)];
        yield "site {$i}" => [$kind, drawnArms($chance, $kind)];
    }
}

it('reads a mirrored site under a mirrored pack as the mirrored ways', function (SiteKind $kind, array $arms): void {
    $site = laidOut($kind, $arms, static fn (Arm $arm): float => $arm->bearingDegrees);
    $mirror = laidOut($kind, $arms, static fn (Arm $arm): float => -$arm->bearingDegrees);
    expect(read($mirror, new MirroredBritain, mirrored: true))->toBe(read($site, new GreatBritain));
})->with(drawnSites(...));

it('reads the same ways however the site lies to the north, and in whatever order its roads are given', function (SiteKind $kind, array $arms): void {
    $ways = read(laidOut($kind, $arms, static fn (Arm $arm): float => $arm->bearingDegrees), new GreatBritain);
    foreach ([17.3, 90.0, 181.0, 359.0] as $turned) {
        expect(read(laidOut($kind, array_reverse($arms), static fn (Arm $arm): float => $arm->bearingDegrees + $turned), new GreatBritain))->toBe($ways);
    }
})->with(drawnSites(...));

it('gives every pair of roads a way or a reason why not, and each way one of left, ahead and right before its driver', function (SiteKind $kind,
    array $arms): void {
    $site = laidOut($kind, $arms, static fn (Arm $arm): float => $arm->bearingDegrees);
    $order = ['left' => 0, 'ahead' => 1, 'right' => 2];
    foreach (RulePacks::codes() as $pack) {
        $byArm = [];
        foreach (WayReader::all($site, RulePacks::byCode($pack)) as $way) {
            $byArm[$way->from->id][] = $way;
        }
        $in = array_filter($arms, static fn (Arm $arm): bool => $arm->leadsIn());
        foreach ($in as $arm) {
            $ways = $byArm[$arm->id] ?? [];
            $to = array_unique(array_map(static fn (Way $way): string => $way->to->id, $ways));
            expect(count($to))->toBe(count(array_filter($arms, static fn (Arm $other): bool => $other !== $arm && $other->leadsOut())));
            // From the left round to the right nobody goes back to the left; where one stays on a main road that bends, "ahead" may lie anywhere.
            $outs = array_map(static fn (Way $way): int => $order[$way->out->value], $ways);
            $sorted = $outs;
            sort($sorted);
            expect($outs)->toBe($sorted, "{$pack}: from {$arm->name}");
            $ways = array_filter($ways, static fn (Way $way): bool => $way->out === WayOut::Ahead);
            expect(count(array_unique(array_map(static fn (Way $way): string => $way->to->id, $ways))))->toBeLessThan($kind->isGoneRound() ? 5 : 2);
        }
    }
})->with(drawnSites(...));

it('does not read a way otherwise because an arm moved by a hair, away from where left becomes ahead', function (SiteKind $kind, array $arms): void {
    $plain = static fn (Arm $arm): float => $arm->bearingDegrees;
    $ways = read(laidOut($kind, $arms, $plain), new GreatBritain);
    $nudged = read(laidOut($kind, $arms, static fn (Arm $arm): float => $arm->bearingDegrees + ($arm->id === 'a' ? 1e-7 : 0.0)), new GreatBritain);
    expect($nudged)->toBe($ways);
})->with(drawnSites(...));

/** @return array{list<mixed>, list<mixed>, ?float} the ways over a crossroads from either side, and how far its mouths lie apart */
function over(float $south, float $north, RulePack $pack, bool $mirrored = false): array
{
    $site = Site::of(SiteKind::Junction, [
        new Arm('w', 'W', 270.0), new Arm('e', 'E', 90.0), new Arm('n', 'N', 0.0, Control::GiveWay, staggerMetres: $north),
        new Arm('s', 'S', 180.0, Control::Stop, staggerMetres: $south),
    ]);
    $ways = read($site, $pack, $mirrored);
    foreach (WayReader::all($site, $pack) as $way) {
        if ($way->from->id === 's' && $way->to->id === 'n') {
            return [$ways['s>n'], $ways['n>s'], $way->then === null ? null : $way->then['metres']];
        }
    }
    throw new LogicException('No way over.');
}

it('reads a staggered crossroads from either side by the same hand, wherever its middle is put, and mirrored in a mirror', function (float $south,
    float $north): void {
    [$there, $back, $apart] = over($south, $north, new GreatBritain);
    expect($back)->toBe($there)->and($apart)->toBe(abs($south + $north) < WayReader::CROSSED_M ? null : abs($south + $north));
    // The middle moved along the main road: one mouth comes nearer to it, the other goes as far away.
    expect(over($south + 2.5, $north - 2.5, new GreatBritain)[0])->toBe($there);
    expect(over(-$south, -$north, new MirroredBritain, mirrored: true)[0])->toBe($there);
})->with([[0.0, 0.0], [1.5, 2.0], [3.0, 3.0], [-8.0, 2.0], [-20.0, -20.0], [30.0, 12.5], [10.0, -10.0]]);
