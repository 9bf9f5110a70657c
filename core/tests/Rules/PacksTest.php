<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\FastRoad\LeaveEventKind;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\Ireland;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\Practices;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Coastland;
use NobleTurn\Core\Tests\Inputs;
use NobleTurn\Core\Trade\RoutineCode;

/*
 * What differs from place to place is said by its pack, and by nothing else: a fourth pack that no line of the product knows is answered
 * by every tool and card in its own words, units and sources.
 */

beforeEach(fn () => RulePacks::bring(new Coastland));
afterEach(fn () => RulePacks::bring());

/** Units and documents that belong to some pack, with what of them is foreign to a pack. */
function foreignTo(RulePack $pack): string
{
    // What stands before a place is a hazard everywhere; the lamps of that name are not told from it here.
    $words = array_diff(array_keys($pack->words()), ['hazards']);
    $documents = [
        'Highway Code', 'Rules of the Road', 'MUTCD', 'state handbook', 'state vehicle code', 'state licensing', 'Traffic Signs Manual',
        'driving test guidance',
    ];
    $own = implode(' ', array_map(static fn ($figure): string => (string) $figure->source->document, $pack->figures()));
    $foreign = [
        ...$words,
        ...array_filter($documents, static fn (string $document): bool => ! str_contains($own, $document)),
        ...($pack->speedUnit()->value === 'mph' ? ['km/h'] : ['mph', 'miles?']),
        ...($pack->lengthUnit()->value === 'm' ? ['\d+ ?feet?', '\d+ ?ft'] : []),
        ...($pack->exitSigns()->markerUnit === 'yd' ? [] : ['\d+ ?yards?', '\d+ ?yd']),
    ];

    return '~(?<![\w-])('.implode(
        '|', array_map(static fn (string $word): string => str_contains($word, '?') ? $word : preg_quote($word, '~'), $foreign),
    ).')(?![\w-])~iu';
}

/**
 * Every text of an answer that is read by people: names of fields and codes are no words, and the names of things are the user's.
 *
 * @return list<string>
 */
function texts(mixed $value): array
{
    if (is_string($value)) {
        return str_contains($value, ' ') || preg_match('/^[A-Z]/', $value) === 1 ? [$value] : [];
    }

    return ! $value instanceof UnitEnum && (is_array($value) || is_object($value)) ? array_merge(
        [], ...array_map(texts(...), array_values((array) $value)),
    ) : [];
}

/** The stopping model asked for by name has the source it was published in, whichever pack it is used under. */
const OF_A_MODEL = ['Highway Code, rule 126'];

/** @return iterable<string, array{string, array<string, mixed>}> questions that bring every warning and every branch to words */
function questions(string $pack): iterable
{
    foreach (Inputs::LEAST as $tool => $input) {
        $kept = array_key_exists('pack', $input) || in_array('pack', array_keys(Toolbox::tool($tool)->input()->properties()), true) ? ['pack' => $pack] : [];
        yield $tool => [$tool, $kept + $input];
        if (isset(Inputs::SWEPT[$tool])) {
            [$field, $from, $to] = Inputs::SWEPT[$tool];
            yield "{$tool}, from" => [$tool, [$field => $from] + $kept + $input];
            yield "{$tool}, to" => [$tool, [$field => $to] + $kept + $input];
        }
    }
    $slip = ['pack' => $pack, 'slip_length_m' => 90, 'entry_speed_kmh' => 40, 'main_speed_kmh' => 110, 'gradient' => 0.06];
    yield 'a slip road that is too short' => ['join', $slip];
    yield 'nobody lets us in' => [
        'join',
        [
            'slip_length_m' => 200, 'gradient' => 0, 'view_from_m' => 30, 'leaving_across' => true,
            'vehicles' => [['distance_m' => -8, 'speed_kmh' => 90], ['distance_m' => -30, 'speed_kmh' => 90], ['distance_m' => 16, 'speed_kmh' => 90]],
        ] + $slip,
    ];
    yield 'a slip road of two lanes' => [
        'leave',
        ['pack' => $pack, 'main_speed_kmh' => 110, 'slip_length_m' => 300, 'lanes' => 2, 'next_turn' => 'right', 'bend_radius_m' => 40, 'lower_limit_m' => 80],
    ];
    yield 'a short one' => ['leave', ['pack' => $pack, 'main_speed_kmh' => 110, 'slip_length_m' => 90, 'lanes' => 2, 'next_turn' => 'right']];
    yield 'off to the near side' => [
        'leave', ['pack' => $pack, 'main_speed_kmh' => 110, 'slip_length_m' => 90, 'lanes' => 2, 'next_turn' => 'left', 'gradient' => 0.1],
    ];
    foreach ([60, 260, 900] as $metres) {
        yield "an exit {$metres} m behind where one joins" => ['series', ['pack' => $pack, 'parts' => [
            ['tool' => 'join', 'entry_speed_kmh' => 60, 'slip_length_m' => 300, 'main_speed_kmh' => 100],
            ['tool' => 'leave', 'distance_m' => $metres, 'slip_length_m' => 300],
            ['tool' => 'approach', 'routine' => 'cross', 'distance_m' => 20],
            ['tool' => 'approach', 'routine' => 'turn-right', 'distance_m' => 12],
            ['tool' => 'approach', 'routine' => 'lights-left', 'distance_m' => 30],
        ]]];
    }
    foreach (['ahead', 'left', 'right', 'back'] as $goes) {
        foreach ([['right', 'opposite', 'left'], ['opposite'], []] as $lines) {
            yield "to the {$goes} with ".count($lines).' others' => ['priority', ['pack' => $pack, 'place' => 'unmarked', 'goes' => $goes,
                'vehicles' => array_map(static fn (string $line): array => ['line' => $line], $lines)]];
        }
        foreach (['red', 'amber', 'red-amber', 'green'] as $shows) {
            foreach (['line', 'inside'] as $stands) {
                yield "to the {$goes} at {$shows}, {$stands}" => ['lights', ['pack' => $pack, 'goes' => $goes, 'stands' => $stands,
                    'heads' => [['shows' => $shows], ['arrow' => 'left', 'shows' => 'off']]]];
            }
        }
    }
    foreach (['out-of-bay', 'nose-in', 'kerb-space', 'bay', 'ramp'] as $exercise) {
        yield "at the kerb, {$exercise}" => ['reverse', ['pack' => $pack, 'exercise' => $exercise]];
    }
    foreach (['articulated-lorry', 'small-petrol-hatch'] as $vehicle) {
        yield "off the kerb, {$vehicle}" => ['gap', ['pack' => $pack, 'manoeuvre' => 'move-off', 'vehicle' => $vehicle, 'other_speed_kmh' => 50,
            'other_distance_m' => 60, 'waited_s' => 50]];
        yield "round a ring, {$vehicle}" => ['swept-path', ['pack' => $pack, 'vehicle' => $vehicle, 'lane_width_m' => 4,
            'path' => ['roundabout' => ['radius_m' => 14, 'exit' => 'back']]]];
    }
    yield 'out of the lights' => ['lights', ['pack' => $pack, 'stands' => 'inside', 'seen_to_stop' => true]];
    yield 'revs that hang, and a gear that is too high' => ['engine', ['pack' => $pack, 'speed_kmh' => 20, 'gear' => 2, 'rev_fall_s' => 5]];
    yield 'overtaking' => ['overtake', ['pack' => $pack, 'limit_kmh' => 90]];
    yield 'a rehearsal' => ['overtake', ['pack' => $pack, 'limit_kmh' => 90, 'rehearsal' => true]];
    yield 'no room for a change' => [
        'lane-change', ['pack' => $pack, 'speed_kmh' => 60, 'limit_kmh' => 70, 'to' => 'right', 'junction_m' => 60, 'second_junction_m' => 90],
    ];
    yield 'a late sign, a junction close behind' => [
        'lanes',
        [
            'pack' => $pack, 'direction_sign_m' => 20, 'in_lane' => 1,
            'next_junction' => ['approach_lanes' => [['to' => ['a']], ['to' => ['b']], ['to' => ['c']]], 'to' => 'c', 'distance_m' => 40],
        ] + Inputs::LEAST['lanes'],
    ];
    yield 'an ordinary junction' => ['lanes', ['pack' => $pack, 'layout' => 'junction'] + Inputs::LEAST['lanes']];
    foreach (Catalogue::codes(RulePacks::byCode($pack)) as $code) {
        yield "approach, {$code->value}" => ['approach', ['pack' => $pack, 'routine' => $code->value]];
        yield "approach, {$code->value}, tight" => [
            'approach', ['pack' => $pack, 'routine' => $code->value, 'speed_kmh' => 70, 'room_m' => 35, 'gradient' => -0.1, 'surface' => 'ice'],
        ];
    }
    $some = new Approaches(5);
    for ($i = 0; $i < 60; $i++) {
        yield "approach {$i}" => ['approach', ['pack' => $pack] + $some->draw()];
    }
}

dataset('every pack', [
    'a fourth one' => fn (): RulePack => new Coastland,
    'North America' => fn (): RulePack => new NorthAmerica,
    'Ireland' => fn (): RulePack => new Ireland,
    'Great Britain' => fn (): RulePack => new GreatBritain,
]);

it('answers every question of every tool in the words, units and sources of the pack', function (RulePack $pack): void {
    $foreign = foreignTo($pack);
    $answered = 0;
    $found = [];
    foreach (questions($pack->code()) as $which => [$tool, $input]) {
        try {
            $answer = Toolbox::run($tool, $input);
        } catch (BadInput $refused) {
            $answer = $refused->errors;
            $answered--;
        }
        $answered++;
        foreach (texts($answer) as $text) {
            if (! in_array($text, OF_A_MODEL, true) && preg_match($foreign, $text, $word) === 1) {
                $found["{$word[1]}: {$text}"] = $which;
            }
        }
    }
    expect($found)->toBe([])->and($answered)->toBeGreaterThan(120);
})->with('every pack');

// What a card is found by are words of every place: it is not read.
it('writes every card and every question of practice in the words, units and sources of the pack', function (RulePack $pack): void {
    $foreign = foreignTo($pack);
    $found = [];
    foreach (Catalogue::codes($pack) as $code) {
        foreach ([true, false] as $clutch) {
            foreach (texts(array_diff_key((array) Card::of($code, $pack, new Practice([], $pack), $clutch), ['find' => 0])) as $text) {
                if (preg_match($foreign, $text, $word) === 1) {
                    $found["{$word[1]}: {$text}"] = $code->value;
                }
            }
        }
    }
    foreach ([$pack->numberRuleName(), $pack->deviceRule(), ...array_map(static fn ($figure): string => "{$figure->name}: {$figure->value}",
        $pack->code() === 'coast' ? $pack->figures() : [])] as $text) {
        if (preg_match($foreign, $text, $word) === 1) {
            $found["{$word[1]}: {$text}"] = 'the pack itself';
        }
    }
    expect($found)->toBe([]);
})->with('every pack');

it('tells every pack from the others: what is looked for is found where it belongs', function (): void {
    // The searches above can fail: under another pack's eyes a pack is full of foreign words.
    $british = texts(Toolbox::run('leave', ['pack' => 'gb', 'main_speed_mph' => 70, 'slip_length_m' => 90, 'lanes' => 2, 'next_turn' => 'right']));
    $hits = array_filter($british, static fn (string $text): bool => preg_match(foreignTo(new Coastland), $text) === 1);
    expect(count($hits))->toBeGreaterThanOrEqual(4);
});

it('puts signs and posts where the pack says, and the signal at the post the practice means', function (): void {
    $at = static function (array $answer, LeaveEventKind $kind): array {
        return array_values(
            array_map(
                static fn (array $event): array => [$event['at_m'], $event['text']],
                array_filter($answer['events'], static fn (array $event): bool => $event['kind'] === $kind->value),
            ),
        );
    };
    $leave = static fn (string $pack, array $more = []): array => Ask::tool(
        'leave', ['pack' => $pack] + $more + ['main_speed_kmh' => 110, 'slip_length_m' => 250],
    );
    $coast = $leave('coast');
    expect($at($coast, LeaveEventKind::Sign))->toBe([[1500.0, '1500 m']])
        ->and($at($coast, LeaveEventKind::Marker))->toBe([[240.0, '240 m'], [160.0, '160 m'], [80.0, '80 m']])
        // Usual there is the second post; whoever answers otherwise is heard.
        ->and($at($coast, LeaveEventKind::Signal)[0][0])->toBe(160.0)
        ->and($at($leave('coast', ['practice' => ['leave_marker' => 300]]), LeaveEventKind::Signal)[0][0])->toBe(240.0)
        ->and($at($leave('ie'), LeaveEventKind::Signal)[0][0])->toBe(300.0)
        ->and($at($leave('gb'), LeaveEventKind::Signal)[0][0])->toBe(274.3)
        // Without posts it is given by time: five seconds at 110 km/h.
        ->and($at($leave('na'), LeaveEventKind::Marker))->toBe([])
        ->and($at($leave('na'), LeaveEventKind::Signal)[0][0])->toBe(152.8)
        ->and($at($leave('na', ['main_speed_kmh' => 20, 'end_speed_kmh' => 10]), LeaveEventKind::Signal)[0][0])->toBe(30.5);
});

it('asks no question of practice that would change nothing there', function (): void {
    $asked = static fn (RulePack $pack): array => array_map(static fn ($question): string => $question->key, Practices::under($pack));
    expect($asked(new GreatBritain))->toBe(array_map(static fn ($question): string => $question->key, Practices::all()))
        ->and(array_values(array_diff($asked(new GreatBritain), $asked(new NorthAmerica))))->toEqualCanonicalizing(['leave_marker', 'mini_exit', 'mini_gear'])
        ->and($asked(new Coastland))->toContain('leave_marker');
    foreach (RulePacks::all() as $pack) {
        foreach ($pack->usualAnswers() as $key => $value) {
            expect(Practices::question($key)->option($value)->value)->toBe($value)->and(Practices::question($key)->default($pack))->toBe($value);
        }
    }
});

it('has the routines the pack has, a turn on red where that is allowed', function (): void {
    foreach (RulePacks::all() as $pack) {
        $codes = Catalogue::codes($pack);
        expect(
            array_intersect(array_map(static fn ($code): string => $code->value, $codes), array_map(static fn ($code): string => $code->value, $pack->lacks())),
        )->toBe([])
            ->and(in_array(RoutineCode::RightOnRed, $codes, true))->toBe($pack->turnOnRed());
    }
});

it('takes no second pack of one code', function (): void {
    expect(fn () => RulePacks::bring(new Coastland, new Coastland))->toThrow(LogicException::class, 'coast')
        ->and(RulePacks::codes())->toBe(['gb', 'ie', 'na']);
});
