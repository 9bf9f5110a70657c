<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Tool\RoutineFacts;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;

function plannedSay(RoutineCode $routine, RulePack $pack, array $more = []): string
{
    $answer = Toolbox::run('approach', ['pack' => $pack->code(), 'routine' => $routine->value, 'limit_mph' => 30] + $more);
    unset($answer['assumptions'], $answer['warnings'], $answer['place']['control'], $answer['place']['light'], $answer['place']['exit']);

    return (string) json_encode($answer);
}

it('asks of a place exactly what makes a difference to its plan', function (string $code): void {
    $pack = RulePacks::byCode($code);
    $tried = 0;
    foreach (Catalogue::codes($pack) as $routine) {
        if (! $routine->hasApproach() || $routine->isDoneStanding()) {
            continue;
        }
        $asks = RoutineFacts::asks($routine, $pack);
        $plain = plannedSay($routine, $pack);
        foreach (['exit' => ['left', 'right'], 'light' => ['green', 'red']] as $field => [$one, $other]) {
            expect(in_array($field, $asks, true))->toBe(
                plannedSay($routine, $pack, [$field => $one]) !== plannedSay($routine, $pack, [$field => $other]),
                "{$routine->value}: {$field} under {$code}",
            );
        }
        if (in_array('control', $asks, true)) {
            expect(plannedSay($routine, $pack, ['control' => 'give-way']))->not->toBe(
                plannedSay($routine, $pack, ['control' => 'stop']), "{$routine->value}: the line under {$code}",
            );
        }
        expect(in_array('turn_radius_m', $asks, true))->toBe(
            $plain !== plannedSay($routine, $pack, ['turn_radius_m' => 25]) || $plain !== plannedSay($routine, $pack, ['turn_radius_m' => 3.5]),
            "{$routine->value}: the radius under {$code}",
        );
        $tried++;
    }
    expect($tried)->toBeGreaterThan(15);
})->with(RulePacks::codes());

it('tells the side where the name does not: who is met, what is passed, and which way out', function (): void {
    $gb = RulePacks::byCode('gb');
    $na = RulePacks::byCode('na');
    $side = RoutineFacts::side(...);
    expect($side(RoutineCode::Meet, $gb))->toBe(Side::Left)->and($side(RoutineCode::Meet, $na))->toBe(Side::Right)
        ->and($side(RoutineCode::PassParked, $gb))->toBe(Side::Right)->and($side(RoutineCode::PassParked, $na))->toBe(Side::Left)
        ->and($side(RoutineCode::Roundabout, $gb, WayOut::Left))->toBe(Side::Left)->and($side(RoutineCode::Roundabout, $gb))->toBeNull()
        ->and($side(RoutineCode::Roundabout, $gb, WayOut::Back))->toBe(Side::Right)->and($side(RoutineCode::Roundabout, $na, WayOut::Back))->toBe(Side::Left)
        ->and(RoutineFacts::sideByExit(RoutineCode::Roundabout, $gb))->toBe(['left' => 'left', 'ahead' => null, 'right' => 'right', 'back' => 'right'])
        ->and(RoutineFacts::sideByExit(RoutineCode::TurnLeft, $gb))->toBeNull();
});

it('waits for a gap across oncoming traffic on the side that lies across, whichever that is', function (): void {
    foreach (RulePacks::codes() as $code) {
        $pack = RulePacks::byCode($code);
        foreach ([RoutineCode::TurnLeft, RoutineCode::TurnRight, RoutineCode::LightsLeft, RoutineCode::LightsRight] as $turn) {
            expect(RoutineFacts::manoeuvre($turn, $pack)?->value)->toBe(
                $turn->namedSide() === $pack->keeps() ? null : 'turn-across', "{$turn->value} under {$code}",
            );
        }
    }
});

it('leads only to pages with a question, and to a gap with a manoeuvre the gap tool takes', function (): void {
    foreach (RulePacks::codes() as $code) {
        $pack = RulePacks::byCode($code);
        foreach (Catalogue::codes($pack) as $routine) {
            foreach (RoutineFacts::bench($routine, $pack) as $page) {
                expect($page['words'])->not->toBeEmpty()->and($page['page'])->toMatch('/^[a-z-]+$/');
                if ($page['page'] === 'gap') {
                    expect(
                        Toolbox::run('gap', ['pack' => $code, 'manoeuvre' => $page['with']['manoeuvre'], 'other_speed_mph' => 30, 'other_distance_m' => 90]),
                    )->toHaveKey('critical_gap_s');
                }
            }
        }
    }
});
