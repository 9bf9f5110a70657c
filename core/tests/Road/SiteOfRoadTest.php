<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Compute\Tool\RoutineFacts;
use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Road\RoadKind;
use NobleTurn\Core\Road\SiteOfRoad;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Trade\RoutineCode;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return array<string, mixed> facts that such a road can have, some of them said */
function drawnFacts(Randomizer $chance, RoutineCode $routine, RulePack $pack): array
{
    $taken = array_intersect(RoadKind::of($routine)?->fields() ?? [], PlannedBy::fields($routine));
    $unit = $pack->speedUnit()->value;
    $one = static fn (array $of): mixed => $of[$chance->getInt(0, count($of) - 1)];
    $facts = match (PlannedBy::tool($routine)) {
        'join' => ['slip_length_m' => $chance->getInt(80, 400), "entry_speed_{$unit}" => $chance->getInt(20, 40),
            "main_speed_{$unit}" => $chance->getInt(50, 80), 'slip_angle_deg' => $chance->getInt(2, 12), 'limit_change_m' => $chance->getInt(0, 60),
            'gradient' => $chance->getInt(-5, 5) / 100],
        'leave' => ['slip_length_m' => $chance->getInt(150, 400), "main_speed_{$unit}" => $chance->getInt(50, 90),
            "end_speed_{$unit}" => $chance->getInt(5, 25), 'lanes' => $chance->getInt(1, 3), 'next_turn' => $one(['left', 'right'])],
        default => [
            "limit_{$unit}" => $one([20, 30, 40, 60]), 'gradient' => $chance->getInt(-10, 10) / 100, 'room_m' => $chance->getInt(60, 300),
            'view_from_m' => $chance->getInt(3, 40), 'road_width_m' => $chance->getInt(5, 12), 'turn_radius_m' => $chance->getInt(5, 15),
            'sight_ahead_m' => $chance->getInt(40, 200), 'control' => $one(['give-way', 'stop']), 'exit' => $one(['left', 'ahead', 'right']),
            'sight_left_m' => $chance->getInt(20, 150), 'sight_right_m' => $chance->getInt(20, 150), 'light' => $one(['green', 'green-long', 'red']),
            'parked' => [['side' => 'left', 'from_m' => 60, 'to_m' => 45]], 'openings' => [['side' => 'right', 'from_m' => 40, 'to_m' => 34]],
            'road_met' => ["limit_{$unit}" => $one([30, 50]), 'lanes' => $chance->getInt(1, 2), 'parked' => $one(['near', 'far', 'both'])],
            'bend' => ['radius_m' => 50, 'from_m' => 80, 'to_m' => 60], 'path_before_m' => $chance->getInt(4, 15), 'cycle_box_m' => 4, 'one_way' => true,
        ],
    };
    // A line across a road that has none is a contradiction.
    if (! in_array('control', RoutineFacts::asks($routine, $pack), true)) {
        unset($facts['control']);
    }
    // Of an approach anything may be missing.
    $said = PlannedBy::tool($routine) === 'approach' ? array_filter($facts, static fn (): bool => $chance->getInt(0, 2) === 0) : $facts;

    return array_intersect_key($said, array_flip($taken));
}

/** @return iterable<string, array{RoutineCode, array<string, mixed>, RulePack}> */
function drawnRoads(): iterable
{
    $chance = new Randomizer(new Mt19937(77));
    foreach (RulePacks::codes() as $code) {
        $pack = RulePacks::byCode($code);
        foreach (Catalogue::codes($pack) as $routine) {
            for ($i = 0; $i < (RoadKind::of($routine) === null ? 0 : 3); $i++) {
                yield "{$code} {$routine->value} {$i}" => [$routine, drawnFacts($chance, $routine, $pack), $pack];
            }
        }
    }
}

it('draws for any road a site with a way of the same routine, planned as the road was to the last figure', function (RoutineCode $routine, array $facts,
    RulePack $pack): void {
    try {
        $road = Road::of($routine, $facts, $pack);
    } catch (NobleTurn\Core\Fault\BadInput $bad) {
        // What contradicts itself is no road.
        expect($bad->errors)->not->toBe([]);

        return;
    }
    $site = SiteOfRoad::of($routine, $facts, ['Ropewalk', 'Mole Street'], $pack);
    expect($site)->not->toBeNull();
    $ways = Ask::tool('site', ['pack' => $pack->code()] + array_diff_key($site, ['from' => 0, 'to' => 0]))['ways'];
    $way = array_values(array_filter($ways, static fn (array $one): bool => [$one['from'], $one['to'], $one['routine']]
        === [$site['from'], $site['to'], $routine->value]))[0];
    // Its place says again what was asked, also where that makes no difference.
    $notAsked = array_diff(RoutineFacts::ASKED, RoutineFacts::asks($routine, $pack));
    $plan = static fn (array $inputs): array => array_diff_key(Ask::tool($way['tool'], $inputs), ['assumptions' => 0, 'warnings' => 0, 'place' => 0]);
    expect($plan($way['inputs']))->toEqual($plan($road->inputs()));
    // What was written down is written down still, with the arm it belongs to.
    $kept = array_merge(...$site['arms']);
    $worked = ['exit', 'one_way', 'road_met', 'lanes', 'control', 'main_speed_mph', 'main_speed_kmh', ...$notAsked];
    foreach (array_diff_key($facts, array_flip($worked)) as $name => $value) {
        expect($kept[$name] ?? null)->toBe($value, $name);
    }
    expect(array_column($site['arms'], 'name', 'id')[$site['from']])->toBe('Ropewalk');
})->with(drawnRoads(...));

it('names a road that goes on alike at both its ends', function (string $routine, array $facts, array $names): void {
    $site = SiteOfRoad::of(RoutineCode::from($routine), $facts, ['A', 'B'], RulePacks::byCode('gb'));
    $found = array_column($site['arms'] ?? [], 'name', 'id');
    ksort($found);
    expect($found)->toBe($names);
})->with([
    'out of a T' => ['emerge-left', ['control' => 'stop'], ['e' => 'B', 's' => 'A', 'w' => 'B']],
    'off the main road' => ['turn-left', [], ['e' => 'A', 's' => 'B', 'w' => 'A']],
    'along a stretch' => ['hump', [], ['e' => 'A', 'w' => 'A']],
    'on to a fast road' => ['join', ['slip_length_m' => 200, 'entry_speed_mph' => 30, 'main_speed_mph' => 60], ['e' => 'B', 's' => 'A', 'w' => 'B']],
    'off it' => ['leave', ['slip_length_m' => 200, 'main_speed_mph' => 60], ['e' => 'A', 's' => 'B', 'w' => 'A']],
    'round' => ['roundabout', ['exit' => 'right'], ['e' => 'B', 'n' => 'Side road', 's' => 'A', 'w' => 'Main road']],
    'over' => ['cross', ['control' => 'stop'], ['e' => 'B', 'n' => 'Side road', 's' => 'A', 'w' => 'B']],
]);

it('draws nothing for a road with a second hazard of its own behind it, and for a routine that belongs to no place', function (): void {
    $then = ['then' => ['routine' => 'turn-left', 'distance_m' => 40]];
    expect(SiteOfRoad::of(RoutineCode::EmergeRight, $then, ['A', 'B'], RulePacks::byCode('gb')))->toBeNull()
        ->and(SiteOfRoad::of(RoutineCode::GearChange, [], ['A', 'B'], RulePacks::byCode('gb')))->toBeNull();
});
