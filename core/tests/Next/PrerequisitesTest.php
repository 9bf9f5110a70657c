<?php

declare(strict_types=1);

use NobleTurn\Core\Next\Prerequisites;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\Ireland;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;

it('never asks for itself, however far back, nor for what the pack has not', function (RulePack $pack): void {
    foreach (Catalogue::codes($pack) as $code) {
        $all = Prerequisites::all($code, $pack);
        expect($all)->not->toContain($code)->and(array_intersect(array_column($all, 'value'), array_column($pack->lacks(), 'value')))->toBe([]);
        foreach ($all as $before) {
            expect(Catalogue::codes($pack))->toContain($before)->and(count(Prerequisites::all($before, $pack)))->toBeLessThan(count($all));
        }
    }
})->with([[new GreatBritain], [new Ireland], [new NorthAmerica]]);

it('has the near side before across, mirrored where one keeps to the other side', function (): void {
    $mirror = static fn (RoutineCode $code): RoutineCode => RoutineCode::from(strtr($code->value, ['left' => 'right', 'right' => 'left']));
    [$left, $right] = [new GreatBritain, new NorthAmerica];
    expect($left->keeps())->toBe(Side::Left)->and(Prerequisites::all(RoutineCode::EmergeRight, $left))->toContain(RoutineCode::EmergeLeft,
        RoutineCode::TurnLeft);
    foreach ([RoutineCode::TurnLeft, RoutineCode::TurnRight, RoutineCode::EmergeLeft, RoutineCode::EmergeRight, RoutineCode::LightsLeft,
        RoutineCode::LightsRight] as $code) {
        expect(Prerequisites::of($mirror($code), $right))->toEqualCanonicalizing(array_map($mirror, Prerequisites::of($code, $left)));
    }
});

it('has a safe double before the real thing', function (): void {
    $all = Prerequisites::all(RoutineCode::Overtake, new GreatBritain);
    expect($all)->toContain(RoutineCode::Join, RoutineCode::LaneChangeRight, RoutineCode::MoveOff);
});
