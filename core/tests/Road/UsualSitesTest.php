<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Tool\ArmField;
use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Road\RoadKind;
use NobleTurn\Core\Road\UsualSites;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Site\Feature;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Tests\Ask;

/** @return list<array{kind: SiteKind, ways: list<array<string, mixed>>}> of the usual sites that the pack knows */
function usualWays(RulePack $pack): array
{
    $found = [];
    foreach (UsualSites::of($pack) as [$kind, $arms]) {
        $named = array_map(
            static fn (string $id, array $arm): array => ['id' => $id, 'name' => strtoupper($id)] + $arm, array_keys($arms), array_values($arms),
        );
        $site = ['pack' => $pack->code(), 'kind' => $kind->value, 'arms' => $named];
        $holds = array_map(Feature::from(...), array_merge(...array_column($named, 'holds') ?: [[]]));
        // What a pack teaches nowhere is refused by its name; the rest has ways.
        if (array_filter($holds, static fn (Feature $one): bool => $one->teaches($pack) === []) !== []) {
            expect(Ask::refusal('site', $site))->not->toBe([]);
        } else {
            $found[] = ['kind' => $kind, 'ways' => Ask::tool('site', $site)['ways']];
        }
    }

    return $found;
}

it('has a site for every routine that is driven somewhere, under every pack', function (string $code): void {
    $pack = RulePacks::byCode($code);
    $taught = [];
    foreach (usualWays($pack) as ['kind' => $kind, 'ways' => $ways]) {
        expect($ways)->not->toBe([], $kind->value);
        foreach ($ways as $way) {
            $taught[$way['routine']] = true;
        }
    }
    foreach (Catalogue::codes($pack) as $routine) {
        if (RoadKind::of($routine) !== null) {
            expect($taught)->toHaveKey($routine->value);
        }
    }
})->with(RulePacks::codes());

it('plans every one of those ways as it stands, with nothing said of it', function (string $code): void {
    foreach (usualWays(RulePacks::byCode($code)) as ['ways' => $ways]) {
        foreach ($ways as $way) {
            if ($way['tool'] !== null) {
                expect(Ask::tool($way['tool'], $way['inputs']))->toBeArray();
                expect(PlannedBy::inputs(NobleTurn\Core\Trade\RoutineCode::from($way['routine']), [], RulePacks::byCode($code)))->each(
                    static fn ($said, string $name) => $said->toBe($way['inputs'][$name]),
                );
            }
        }
    }
})->with(RulePacks::codes());

it('lets an arm say all that the roads of its ways can, and each thing once', function (): void {
    $names = ArmField::ofAnyRoad();
    expect(array_unique($names))->toHaveCount(count($names));
    foreach (RulePacks::codes() as $code) {
        foreach (Catalogue::codes(RulePacks::byCode($code)) as $routine) {
            // What follows from the other arms is not said twice.
            $worked = ['control', 'one_way', 'exit', 'then', 'road_met', 'junction', 'main_speed_mph', 'main_speed_kmh', 'lanes'];
            expect(array_diff(PlannedBy::fields($routine), $names, $worked))->toBe([], $routine->value);
        }
    }
});
