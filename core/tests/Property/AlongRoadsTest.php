<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Road\RoadKind;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Site\Arm;
use NobleTurn\Core\Site\ArmRules;
use NobleTurn\Core\Site\Feature;
use NobleTurn\Core\Site\Site;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Site\WayReader;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\MirroredBritain;
use NobleTurn\Core\Trade\RoutineCode;
use Random\Engine\Mt19937;
use Random\Randomizer;

/* Stretches, kerbs and slips drawn at random: what lies along a road is taught in the direction it is met in, and nothing else. */

/** @return list<Arm> of a stretch or a kerb */
function drawnAlong(Randomizer $chance, SiteKind $kind): array
{
    $arm = static function (string $id, float $bearing) use ($chance, $kind): Arm {
        $holds = array_values(array_filter(Feature::of($kind), static fn (): bool => $chance->getInt(0, 2) === 0));
        $lanes = in_array(Feature::LongView, $holds, true) || $kind === SiteKind::Kerb ? 1 : $chance->getInt(1, 3);

        return new Arm($id, strtoupper($id).' Road', $bearing, lanesIn: $lanes, holds: $holds);
    };
    $one = $arm('a', (float) $chance->getInt(0, 359));

    return $kind === SiteKind::Kerb && $chance->getInt(0, 1) === 0 ? [$one] : [$one, $arm('b', fmod($one->bearingDegrees + $chance->getInt(120, 240), 360.0))];
}

/** @return list<string> `from>to routine`, sorted */
function waysOf(Site $site, RulePack $pack, bool $mirrored = false): array
{
    $ways = array_map(static fn (Way $way): string => "{$way->from->id}>{$way->to->id} "
        .($mirrored ? $way->routine->mirrored() : $way->routine)->value, WayReader::all($site, $pack));
    sort($ways);

    return $ways;
}

/** @return iterable<string, array{SiteKind, list<Arm>}> */
function drawnRoadsAlong(): iterable
{
    $chance = new Randomizer(new Mt19937(2027));
    for ($i = 0; $i < 60; $i++) {
        $kind = $i % 2 === 0 ? SiteKind::Stretch : SiteKind::Kerb;
        yield "{$kind->value} {$i}" => [$kind, drawnAlong($chance, $kind)];
    }
}

it('teaches in each direction what lies along it, once, and the steady round where nothing does', function (SiteKind $kind, array $arms): void {
    foreach (RulePacks::codes() as $code) {
        $pack = RulePacks::byCode($code);
        $taught = [];
        foreach (WayReader::all(Site::of($kind, $arms), $pack) as $way) {
            $taught[$way->from->id][] = $way->routine->value;
            // Whatever stands in the list can be done there: it is planned at such a road, or has its card in this pack.
            expect(Catalogue::codes($pack))->toContain($way->routine);
            if (PlannedBy::tool($way->routine) !== null) {
                expect(RoadKind::of($way->routine)?->value)->toBe($kind->value);
            }
        }
        foreach ($arms as $arm) {
            $wanted = [];
            foreach ($arm->holds as $feature) {
                $wanted = [...$wanted, ...array_column($feature->teaches($pack), 'value')];
            }
            if ($kind === SiteKind::Stretch && $arm->lanesIn > 1) {
                $wanted = [...$wanted, 'lane-change-left', 'lane-change-right'];
            }
            expect($taught[$arm->id] ?? [])->toEqualCanonicalizing(array_values(array_unique($wanted)) ?: ['between-hazards'], "{$code} {$arm->id}");
        }
    }
})->with(drawnRoadsAlong(...));

it('reads a mirrored road under a mirrored pack as the mirrored ways, and the same however it lies to the north', function (SiteKind $kind,
    array $arms): void {
    $laid = static fn (callable $bearing): Site => Site::of($kind, array_map(static fn (Arm $arm): Arm => new Arm(
        $arm->id, $arm->name, fmod($bearing($arm) + 720.0, 360.0), lanesIn: $arm->lanesIn, holds: $arm->holds,
    ), $arms));
    $ways = waysOf($laid(static fn (Arm $arm): float => $arm->bearingDegrees), new GreatBritain);
    expect(waysOf($laid(static fn (Arm $arm): float => $arm->bearingDegrees + 33.3), new GreatBritain))->toBe($ways);
    // An exercise on the far side has no mirror image: that of the law.
    $own = static fn (array $all): array => array_values(array_filter($all, static fn (string $way): bool => ! str_contains($way, 'reverse')));
    expect($own(waysOf($laid(static fn (Arm $arm): float => -$arm->bearingDegrees), new MirroredBritain, mirrored: true)))->toEqualCanonicalizing($own($ways));
})->with(drawnRoadsAlong(...));

it('says of every feature why it is there to be taught, in the words of each pack, and teaches by it somewhere', function (Feature $feature): void {
    $anywhere = array_filter(RulePacks::codes(), static fn (string $code): bool => $feature->teaches(RulePacks::byCode($code)) !== []);
    expect($anywhere)->not->toBe([])->and($feature->because())->toEndWith('.');
    foreach ($anywhere as $code) {
        $arm = ['id' => 'a', 'name' => 'A', 'bearing_deg' => 0, 'holds' => [$feature->value]];
        $site = ['pack' => $code, 'kind' => $feature->kind()->value, 'arms' => [$arm, ['id' => 'b', 'name' => 'B', 'bearing_deg' => 180]]];
        $ways = array_filter(Ask::tool('site', $site)['ways'], static fn (array $way): bool => $way['from'] === 'a');
        foreach ($ways as $way) {
            expect($way['because'])->not->toContain('{')->and(RoutineCode::from($way['routine']))->toBeIn($feature->teaches(RulePacks::byCode($code)));
        }
        expect(Ask::tool('site', $site)['offers']['features'])->toContain($feature->value);
    }
})->with(Feature::cases());

it('knows joining from leaving by which way a slip road runs, wherever it is drawn', function (float $bearing, bool $leadsIn): void {
    $main = [new Arm('in', 'M', 270.0, lanesIn: 2, lanesOut: 0), new Arm('out', 'M', 90.0, lanesIn: 0, lanesOut: 2)];
    $slip = new Arm('s', 'S', $bearing, lanesIn: $leadsIn ? 1 : 0, lanesOut: $leadsIn ? 0 : 1, isSlip: true);
    foreach (RulePacks::codes() as $code) {
        expect(waysOf(Site::of(SiteKind::Slip, [...$main, $slip]), RulePacks::byCode($code)))
            ->toBe($leadsIn ? ['in>out between-hazards', 's>out join'] : ['in>out between-hazards', 'in>s leave']);
    }
})->with([15.0, 60.0, 120.0, 165.0, 200.0, 245.0, 300.0, 350.0])->with([true, false]);

it('lets nothing be at a site where it cannot be, whatever it is', function (SiteKind $kind): void {
    $plain = static fn (mixed ...$more): Arm => new Arm('a', 'A', 0.0, ...$more);
    $usual = $kind->isGoneRound() ? ['control' => Control::GiveWay] : [];
    expect(ArmRules::broken($kind, $plain(...$usual)))->toBe([]);
    foreach (Feature::cases() as $feature) {
        $broken = ArmRules::broken($kind, $plain(...$usual, ...['holds' => [$feature]]));
        expect(array_keys($broken))->toBe($feature->kind() === $kind ? [] : ['holds']);
    }
    expect(array_keys(ArmRules::broken($kind, $plain(...$usual, ...['isSlip' => true]))))->toBe($kind === SiteKind::Slip ? [] : ['slip'])
        ->and(array_keys(ArmRules::broken($kind, $plain(...$usual, ...['staggerMetres' => 4.0]))))->toBe($kind === SiteKind::Junction ? [] : ['stagger_m'])
        ->and(array_keys(ArmRules::broken($kind, $plain(...['control' => Control::Stop]))))->toBe($kind->isMet() ? [] : ['control']);
    [$least, $most] = $kind->arms();
    expect($least)->toBeLessThanOrEqual($most)->and($kind->words())->toStartWith('a ');
})->with(SiteKind::cases());
