<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\Option;
use NobleTurn\Core\Rules\Practices;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Choices;
use NobleTurn\Core\Tests\Scenes;

/** @return list<array<string, mixed>> approaches to a line at every limit of a town, by view and control */
function atALine(string $routine = 'emerge-right', string $level = 'developing'): array
{
    $found = [];
    foreach ([20, 30, 40] as $limit) {
        foreach (['open', 'closed'] as $view) {
            $found[] = ['routine' => $routine, 'limit_mph' => $limit, 'control' => 'give-way', 'view' => $view, 'learner_level' => $level];
        }
    }

    return $found;
}

/** @return array<string, mixed> a roundabout of four arms with two lanes into it */
function twoLanesRound(string $to): array
{
    return [
        'arms' => [
            ['name' => 'home', 'angle_deg' => 0, 'approach_lanes' => [['to' => ['first', 'second']], ['to' => ['second', 'third']]]],
            ['name' => 'first', 'angle_deg' => 90], ['name' => 'second', 'angle_deg' => 180], ['name' => 'third', 'angle_deg' => 270],
        ],
        'from' => 'home', 'to' => $to,
    ];
}

Scenes::show('the signal for a turn stands elsewhere by the rule’s number, by car lengths and by two seconds before the brake light', function (): void {
    Choices::differ('signal', 'approach', [['routine' => 'turn-left', 'limit_mph' => 30], ['routine' => 'turn-left', 'limit_mph' => 60]]);
});

Scenes::show('a routine is told in three, five or six steps', fn () => Choices::differ('steps', 'approach', atALine()));

Scenes::show('a block change and every gear in turn are two plans', fn () => Choices::differ('gears', 'approach', atALine()));

Scenes::show('second then first, first on the move and first after stopping are three plans at a line', fn () => Choices::differ(
    'gear_at_line', 'approach', atALine(),
));

Scenes::show('who lets the clutch be down for the last lengths has it down earlier before a stop', fn () => Choices::differ('clutch', 'approach', atALine()));

Scenes::show('stopping first at any line, rolling when it is clear, and the one or the other by level are three plans', function (): void {
    Choices::differ('t_junction', 'approach', [...atALine(), ...atALine(level: 'beginner')]);
});

Scenes::show('looking on until it is clear takes longer than a fixed least', fn () => Choices::differ('look', 'approach', atALine()));

Scenes::show('coming out, the car stands by the width of the lane, in its middle or well over', fn () => Choices::differ(
    'near_place', 'approach', [...atALine('emerge-left'), ...atALine()],
));

Scenes::show('mirrors or signal first: the steps of a lane change come in another order, and so does the shoulder glance', function (): void {
    $beside = ['speed_mph' => 35, 'limit_mph' => 45, 'to' => 'right', 'vehicles' => [['lane' => 'right', 'distance_m' => -40, 'speed_mph' => 60]]];
    Choices::differ('order', 'lane-change', [$beside]);
    Choices::differ('shoulder', 'lane-change', [$beside]);
    Choices::differ('passed', 'lane-change', [$beside]);
});

Scenes::show('somebody crossing away from us, past the island: some wait until they are over, some go', fn () => Choices::differ(
    'people', 'crossing', [['road_width_m' => 14, 'island_at_m' => 7, 'person_at_m' => 8, 'towards_us' => false]],
));

Scenes::show('a gap of the same seconds is a go for who lets others come off the gas and a wait for who asks nothing of them', fn () => Choices::differ(
    'asks_of_others', 'gap', array_map(
        static fn (int $metres): array => ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 30, 'other_distance_m' => $metres], range(60, 200, 10),
    ),
));

Scenes::show('to the right from a lane that is not the furthest: the clock says signal, the check and the lane say none', function (): void {
    $only = twoLanesRound('third');
    $only['arms'][0]['approach_lanes'] = [['to' => ['first', 'second', 'third']], ['to' => ['second']]];
    Choices::differ('roundabout_signal', 'lanes', [$only, twoLanesRound('third')]);
});

Scenes::show('a mini-roundabout gets an exit signal by its seconds, by its size, or never', fn () => Choices::differ(
    'mini_exit', 'lanes', array_map(static fn (float $radius): array => [
        'arms' => [
            ['name' => 'home', 'angle_deg' => 0], ['name' => 'first', 'angle_deg' => 90],
            ['name' => 'second', 'angle_deg' => 180], ['name' => 'third', 'angle_deg' => 270],
        ],
        'from' => 'home', 'to' => 'third', 'mini' => true, 'ring_radius_m' => $radius,
    ], [4.0, 5.5]),
));

Scenes::show('the whole slip road or the first clear gap: another place to join', fn () => Choices::differ('joining', 'join', [[
    'slip_length_m' => 300, 'entry_speed_mph' => 30, 'main_speed_mph' => 50,
    'vehicles' => [['distance_m' => -60, 'speed_mph' => 50], ['distance_m' => 30, 'speed_mph' => 50]],
]]));

Scenes::show('leaving: the signal at another marker, the next one half-way or at once, the lane of the turn first or later', function (): void {
    $leave = ['main_speed_mph' => 70, 'slip_length_m' => 300, 'end_speed_mph' => 15, 'next_turn' => 'right', 'lanes' => 2];
    Choices::differ('leave_marker', 'leave', [$leave]);
    Choices::differ('leave_signal', 'leave', [$leave]);
    Choices::differ('slip_lane', 'leave', [$leave]);
});

Scenes::show('back in after overtaking: a signal every time, where somebody behind gains by it, or the mirror alone', fn () => Choices::differ(
    'return_signal', 'overtake', array_map(static fn (bool $followed): array => [
        'limit_mph' => 60, 'other_speed_mph' => 40, 'oncoming_speed_mph' => 60, 'sight_m' => 800, 'followed' => $followed,
    ], [true, false]),
));

Scenes::show('an opening just before ours: some signal after it, some in good time whatever', fn () => Choices::differ('opening', 'approach', [[
    'routine' => 'turn-left', 'limit_mph' => 30, 'openings' => [['side' => 'left', 'from_m' => 34, 'to_m' => 28]],
]]));

Scenes::show('up to a red: second is ready, or the clutch is down and the gear is chosen when it changes', fn () => Choices::differ(
    'red', 'approach', array_map(
        static fn (int $limit): array => ['routine' => 'lights-ahead', 'limit_mph' => $limit, 'control' => 'signals', 'light' => 'red'], [20, 30, 40],
    ),
));

Scenes::show('second or first round a mini-roundabout: by what second still does, only if nearly stopped, or wherever it is tight', fn () => Choices::differ(
    'mini_gear', 'approach', array_map(
        static fn (float $radius): array => ['routine' => 'mini-roundabout', 'limit_mph' => 30, 'exit' => 'right', 'turn_radius_m' => $radius],
        [4.0, 6.0, 12.0],
    ),
));

Scenes::show('a lane for buses, its hours over: some leave it alone, some use it like any, some where it goes on for long enough', function (): void {
    Choices::differ('bus_lane', 'lane-change', array_map(static fn (int $goesOn): array => [
        'speed_mph' => 30, 'limit_mph' => 30, 'to' => 'left', 'time' => '11:00', 'bus_from' => '07:00', 'bus_until' => '09:00', 'goes_on_m' => $goesOn,
    ], [80, 900]));
});

Scenes::show('before overtaking, up to half a second for the moment of decision or kept back for the view: another way out and another '
    .'sight', fn () => Choices::differ(
        'overtake_place', 'overtake', [['limit_mph' => 60, 'other_speed_mph' => 40, 'oncoming_speed_mph' => 60, 'sight_m' => 500]],
    ));

it('says of every question what its answers change, and walks all of them here', function (): void {
    $walked = (string) file_get_contents(__FILE__);
    foreach (Practices::all() as $question) {
        expect(array_diff($question->changes, Toolbox::names()))->toBe([], $question->key);
        foreach ($question->changes as $tool) {
            expect($walked)->toMatch("/'{$question->key}',\\s*'{$tool}'/");
        }
    }
});

it('moves no point of any approach by a choice that is marked as one of words', function (string $code, string $key): void {
    $pack = RulePacks::byCode($code);
    $question = Practices::question($key);
    expect($question->options)->not->toHaveCount(1);
    foreach (Catalogue::codes($pack) as $routine) {
        $moment = ['routine' => $routine->value, 'limit_kmh' => 50];
        if (! $question->concerns($routine) || Ask::refusal('approach', ['pack' => $code, ...$moment]) !== []) {
            continue;
        }
        $found = array_map(
            static fn (Option $option): array => Choices::figures('approach', $moment, $code, [$key => Choices::asGiven($option)]), $question->options,
        );
        foreach ($found as $one) {
            expect($one)->toEqual($found[0], "{$key} moves something of {$routine->value}.");
        }
    }
})->with(Choices::onlySaid());
