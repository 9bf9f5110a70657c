<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Folded;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Tests\Inputs;

/*
 * A sweep that says once what is the same in every answer says the same as one that does not. The rule by which it is put together
 * again is short, and held in both languages by one recorded sweep: the interface reads it in resources/js/api/folded.test.ts.
 */

/** What a tool's contract test varies, and inputs of every kind of road, so that lists come and go along the range. */
const VARIED = [
    'a turn whose gears, conflicts and warnings come and go' => [
        'approach', ['routine' => 'emerge-left', 'limit_mph' => 30], ['field' => 'speed_mph', 'from' => 4, 'to' => 70, 'step' => 1.5],
    ],
    'uphill and downhill' => [
        'approach', ['routine' => 'emerge-right', 'limit_mph' => 30, 'speed_mph' => 28, 'surface' => 'wet'],
        ['field' => 'gradient', 'from' => -0.15, 'to' => 0.15, 'step' => 0.01],
    ],
    'a second hazard that is near or far' => [
        'approach', ['routine' => 'roundabout', 'limit_kmh' => 50, 'pack' => 'ie', 'then' => ['routine' => 'turn-left', 'distance_m' => 90]],
        ['field' => 'speed_kmh', 'from' => 20, 'to' => 60, 'step' => 2],
    ],
    'something comes' => [
        'gap', ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 30], ['field' => 'other_distance_m', 'from' => 10, 'to' => 300, 'step' => 10],
    ],
    'revs' => ['engine', Inputs::LEAST['engine'], ['field' => 'speed_mph', 'from' => 1, 'to' => 70, 'step' => 3]],
];

/** Numbers and words alike, whatever the order of the fields. */
function sorted(mixed $value): mixed
{
    $value = $value instanceof stdClass ? (array) $value : $value;
    if (is_array($value)) {
        $value = array_map(sorted(...), $value);
        array_is_list($value) || ksort($value);
    }

    return $value;
}

it('says the same folded and unfolded', function (string $tool, array $inputs, array $sweep): void {
    unset($inputs[$sweep['field']]);
    $plain = Toolbox::run($tool, $inputs + ['sweep' => $sweep]);
    $folded = Toolbox::run($tool, $inputs + ['sweep' => $sweep + ['folded' => true]]);
    expect(array_keys($folded))->toBe(['tool', 'version', 'sweep', 'common', 'answers'])->and($folded['answers'])->toHaveCount(count($plain['answers']));
    foreach ($folded['answers'] as $i => $row) {
        expect(sorted(Folded::unfolded($folded['common'], $row)))->toBe(sorted($plain['answers'][$i]));
    }
})->with(VARIED);

it('says every sentence of a plan once', function (): void {
    $folded = Toolbox::run(
        'approach',
        ['routine' => 'emerge-left', 'limit_mph' => 30, 'sweep' => ['field' => 'speed_mph', 'from' => 10, 'to' => 40, 'step' => 1, 'folded' => true]],
    );
    $said = json_encode($folded, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    foreach ($folded['common']['steps'] as $step) {
        expect(substr_count($said, json_encode($step['why'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)))->toBe(1);
    }
    expect($folded['answers'][0])->not->toHaveKeys(['practice', 'title', 'version']);
});

it('keeps apart what only looks alike', function (): void {
    $answers = [
        [
            'list' => [['step' => 'look', 'a' => 1, 'b' => null], ['step' => 'speed', 'a' => 1]], 'twice' => [['code' => 'x'], ['code' => 'x']],
            'maybe' => null, 'numbers' => [1, 2], 'empty' => new stdClass, 'none' => [],
        ],
        [
            'list' => [['step' => 'speed', 'a' => 1], ['step' => 'look', 'a' => 2, 'b' => null]], 'twice' => [['code' => 'x']], 'maybe' => ['a' => 1],
            'numbers' => [1, 3], 'empty' => new stdClass, 'none' => [['step' => 'look', 'a' => 1]],
        ],
        ['list' => [], 'twice' => [], 'maybe' => ['a' => 1], 'numbers' => [1], 'empty' => new stdClass, 'none' => [], 'only here' => 1],
    ];
    $folded = Folded::of($answers);
    foreach ($folded['rows'] as $i => $row) {
        expect(sorted(Folded::unfolded($folded['common'], $row)))->toBe(sorted($answers[$i]));
    }
    expect(array_keys($folded['common']))->toBe(['list', 'empty', 'none']);
});

it('leaves nothing but the value where there is one answer', function (): void {
    $folded = Toolbox::run('stopping', ['sweep' => ['field' => 'speed_mph', 'from' => 30, 'to' => 30, 'step' => 1, 'folded' => true]]);
    expect($folded['answers'])->toBe([['at' => 30.0]])->and($folded['common']['total_m'])->toBeGreaterThan(20);
});

it('is recorded for the interface', function (): void {
    [$tool, $inputs, $sweep] = VARIED['a turn whose gears, conflicts and warnings come and go'];
    $sweep = ['from' => 4, 'to' => 64, 'step' => 30] + $sweep;
    $recorded = [
        'folded' => Toolbox::run($tool, $inputs + ['sweep' => $sweep + ['folded' => true]]),
        'plain' => Toolbox::run($tool, $inputs + ['sweep' => $sweep]),
    ];
    $file = dirname(__DIR__, 3).'/tests/answers/sweep.json';
    $json = json_encode($recorded, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION)."\n";
    if (getenv('NOBLE_TURN_RECORD')) {
        file_put_contents($file, $json);
    }
    expect(file_get_contents($file))->toBe($json);
});
