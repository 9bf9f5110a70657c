<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Road\RoadKind;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Trade\RoutineCode;
use Opis\JsonSchema\Validator;

/* What is kept of a place's road: whatever can be constructed can be planned, and what cannot is refused by the name of its field. */

/** @return array<string, list<string>> */
function refusedRoad(callable $construct): array
{
    try {
        $construct();
    } catch (BadInput $bad) {
        return $bad->errors;
    }

    return [];
}

/** @return array<string, mixed> facts drawn for a kind, some of them absurd together */
function drawnRoad(RoadKind $kind, Approaches $chance): array
{
    $stretch = static fn (): array => ['side' => $chance->one(['left', 'right']), 'from_m' => $chance->number(0, 120), 'to_m' => $chance->number(0, 120)];
    $all = [
        'limit_mph' => $chance->one([10, 20, 30, 40, 50, 60, 70]), 'view' => $chance->one(['open', 'restricted', 'closed']),
        'gradient' => $chance->number(-0.2, 0.2), 'room_m' => $chance->number(3, 200),
        'openings' => [$stretch(), $stretch()], 'parked' => [$stretch()], 'one_way' => $chance->one([true, false]), 'road_width_m' => $chance->number(4, 14),
        'sign' => ['at_m' => $chance->number(0, 200)],
        'then' => ['routine' => $chance->one(['turn-left', 'emerge-right', 'hump', 'roundabout']), 'distance_m' => $chance->number(1, 200)],
        'control' => $chance->one(['give-way', 'stop', 'none']), 'light' => $chance->one(['green', 'red', 'changing']),
        'exit' => $chance->one(['left', 'ahead', 'right', 'back']), 'turn_radius_m' => $chance->number(3, 25),
        'slip_length_m' => $chance->number(40, 500), 'entry_speed_mph' => $chance->number(5, 60), 'main_speed_mph' => $chance->number(30, 70),
        'end_speed_mph' => $chance->number(5, 60),
        'limit_change_m' => $chance->number(0, 300), 'slip_angle_deg' => $chance->number(1, 20), 'solid_line_m' => $chance->number(0, 300),
        'bend_radius_m' => $chance->number(20, 200), 'bend_from_m' => $chance->number(0, 300),
        'lanes' => $chance->one([1, 2]), 'next_turn' => $chance->one(['left', 'right']), 'lower_limit_m' => $chance->number(0, 300),
    ];
    $needed = ['slip_length_m', 'entry_speed_mph', 'main_speed_mph', 'limit_mph'];

    return array_filter(
        array_intersect_key($all, array_flip($kind->fields())),
        static fn (string $name): bool => in_array($name, $needed, true) || $chance->one([true, false, false]), ARRAY_FILTER_USE_KEY,
    );
}

it('has a kind for every routine that is planned at a place, and for no other', function (): void {
    foreach (RoutineCode::cases() as $routine) {
        expect(RoadKind::of($routine) === null)->toBe(PlannedBy::tool($routine) === null, $routine->value);
    }
    // A kind knows what any tool asks that plans its routines: nothing that makes a difference is left out.
    foreach (RoutineCode::cases() as $routine) {
        $kind = RoadKind::of($routine);
        if ($kind !== null && PlannedBy::tool($routine) !== 'approach') {
            expect(array_diff(PlannedBy::fields($routine), $kind->fields()))->toBe([], $routine->value);
        }
    }
});

it('keeps nothing that cannot be planned, and refuses nothing that can', function (): void {
    $tried = ['kept' => 0, 'refused' => 0];
    foreach (RoutineCode::cases() as $n => $routine) {
        $kind = RoadKind::of($routine);
        $pack = $kind === null ? null : packThatTeaches($routine);
        for ($i = 0; $kind !== null && $i < 25; $i++) {
            $chance = new Approaches(7_000 + 100 * $n + $i);
            $facts = array_intersect_key(drawnRoad($kind, $chance), array_flip(PlannedBy::fields($routine)));
            $refused = refusedRoad(static fn (): Road => Road::of($routine, $facts, $pack));
            $planned = refusedRoad(static fn (): array => Toolbox::run((string) PlannedBy::tool($routine), PlannedBy::inputs($routine, $facts, $pack)));
            expect(array_keys($refused))->toBe(array_keys($planned), "{$routine->value} of seed ".(7_000 + 100 * $n + $i));
            $tried[$refused === [] ? 'kept' : 'refused']++;
        }
    }
    expect($tried['kept'])->toBeGreaterThan(300)->and($tried['refused'])->toBeGreaterThan(20);
});

/** A pack under which the routine is taught. */
function packThatTeaches(RoutineCode $routine): NobleTurn\Core\Rules\RulePack
{
    return array_values(
        array_filter(RulePacks::all(), static fn ($pack): bool => in_array($routine, NobleTurn\Core\Routine\Catalogue\Catalogue::codes($pack), true)),
    )[0];
}

it('comes back as it was written, and fits the schema of its kind', function (string $routine, array $facts): void {
    $code = RoutineCode::from($routine);
    $pack = RulePacks::byCode('gb');
    $road = Road::of($code, $facts, $pack);
    $kept = $road->toArray();
    expect($kept)->toBe(['kind' => $road->kind->value, 'version' => Road::VERSION] + $facts)
        ->and(Road::of($code, json_decode((string) json_encode($kept), true), $pack))->toEqual($road)
        ->and((new Validator)->validate(json_decode((string) json_encode($kept)), (string) json_encode(Road::schema($road->kind)))->isValid())->toBeTrue();
})->with([
    ['emerge-left', ['limit_mph' => 30, 'control' => 'stop', 'view_from_m' => 6, 'openings' => [['side' => 'left', 'from_m' => 60, 'to_m' => 52]]]],
    ['roundabout', ['limit_mph' => 40, 'exit' => 'right', 'sign' => ['at_m' => 120, 'legible_m' => 70]]],
    ['join', ['slip_length_m' => 220, 'entry_speed_mph' => 30, 'main_speed_mph' => 60, 'gradient' => 0.03]],
    ['leave', ['slip_length_m' => 220, 'main_speed_mph' => 60, 'end_speed_mph' => 15, 'next_turn' => 'right']],
    ['overtake', ['limit_mph' => 60]],
    ['hump', ['limit_mph' => 30]],
    ['pull-up-left', ['limit_mph' => 30, 'gradient' => 0.05]],
    ['move-off', ['limit_mph' => 30]],
]);

it('names the field of what is not a road of its kind', function (string $routine, array $facts, string $field): void {
    expect(array_keys(refusedRoad(fn () => Road::of(RoutineCode::from($routine), $facts, RulePacks::byCode('gb')))))->toContain($field);
})->with([
    'a slip road has no exit of a roundabout' => ['join', ['slip_length_m' => 220, 'entry_speed_mph' => 30, 'main_speed_mph' => 60, 'exit' => 'left'], 'exit'],
    'the other slip road’s facts' => [
        'join', ['slip_length_m' => 220, 'entry_speed_mph' => 30, 'main_speed_mph' => 60, 'end_speed_mph' => 15], 'end_speed_mph',
    ],
    'a hump turns nowhere' => ['hump', ['limit_mph' => 30, 'turn_radius_m' => 8], 'turn_radius_m'],
    'whoever drives it is not of the road' => ['emerge-left', ['limit_mph' => 30, 'surface' => 'wet'], 'surface'],
    'out of bounds' => ['emerge-left', ['limit_mph' => -3], 'limit_mph'],
    'faster at the end than on the main road' => ['leave', ['slip_length_m' => 220, 'main_speed_mph' => 50, 'end_speed_mph' => 60], 'end_speed_mps'],
    'two views' => ['emerge-left', ['limit_mph' => 30, 'view' => 'open', 'view_from_m' => 4], 'view_from_m'],
    'the second hazard' => ['turn-left', ['limit_mph' => 30, 'then' => ['routine' => 'join', 'distance_m' => 50]], 'then.routine'],
    'nothing behind what is done standing' => ['move-off', ['limit_mph' => 30, 'then' => ['routine' => 'turn-left', 'distance_m' => 50]], 'then'],
    'yards, which nobody would look for' => [
        'emerge-left', ['limit_mph' => 30, 'parked' => [['side' => 'left', 'from_yd' => 60, 'to_yd' => 50]]], 'parked.0.from_yd',
    ],
    'another kind' => ['emerge-left', ['kind' => 'slip', 'limit_mph' => 30], 'kind'],
    'a later version' => ['emerge-left', ['version' => 2, 'limit_mph' => 30], 'version'],
    'a routine of no place' => ['siren', ['limit_mph' => 30], 'routine'],
    'a routine of another pack' => ['right-on-red', ['limit_mph' => 30], 'routine'],
]);

it('describes what it keeps in metres, whole', function (): void {
    $schema = Road::schema(RoadKind::Junction);
    expect(array_keys($schema['properties']['openings']['items']['properties']))->toBe(['side', 'from_m', 'to_m'])
        ->and($schema['properties']['openings']['items']['required'])->toBe(['side', 'from_m', 'to_m'])
        ->and($schema['properties']['sign']['required'])->toBe(['at_m'])
        ->and(array_column($schema['properties']['then']['oneOf'], 'required'))->toBe([['routine', 'distance_m']])
        ->and($schema['properties']['then']['oneOf'][1]['items']['required'])->toBe(['routine', 'distance_m'])
        ->and($schema['required'])->toBe(['kind', 'version']);
});
