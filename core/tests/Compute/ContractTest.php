<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Schemas;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Rules\Practices;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Inputs;
use Opis\JsonSchema\Validator;

/** Through JSON and back as a JSON library reads it: what a caller from outside would hold. */
function asJson(mixed $value): mixed
{
    return json_decode(json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
}

function fitsSchema(mixed $value, array $schema): bool
{
    return (new Validator)->validate(asJson($value), json_encode($schema, JSON_THROW_ON_ERROR))->isValid();
}

it('answers the least calls as they stand, and says what it filled in', function (string $tool): void {
    $answer = Toolbox::run($tool, Inputs::LEAST[$tool]);
    expect($answer['assumptions'])->not->toBeEmpty()->and($answer['version']['core'])->toBe(Toolbox::VERSION);
    foreach ($answer['assumptions'] as $assumption) {
        expect($assumption['status'])->toBeIn(['published', 'common-practice', 'from-memory', 'assumed', 'given']);
        // Nothing is called published without its document.
        expect(in_array($assumption['status'], ['published', 'from-memory'], true))->toBe(isset($assumption['source']));
    }
    expect(json_encode(Toolbox::run($tool, Inputs::LEAST[$tool])))->toBe(json_encode($answer));
})->with(array_keys(Inputs::LEAST));

it('answers as its schema says, single and swept', function (string $tool): void {
    $schemas = Schemas::of(Toolbox::tool($tool));
    if (! isset(Inputs::SWEPT[$tool])) {
        // Nothing of it is a slider's number.
        expect(fitsSchema(Inputs::LEAST[$tool], $schemas['input']))->toBeTrue()->and(
            fitsSchema(Toolbox::run($tool, Inputs::LEAST[$tool]), $schemas['output']),
        )->toBeTrue();

        return;
    }
    [$field, $from, $to, $step] = Inputs::SWEPT[$tool];
    $sweep = array_diff_key(Inputs::LEAST[$tool], [$field => null]) + ['sweep' => ['field' => $field, 'from' => $from, 'to' => $to, 'step' => $step]];
    expect(fitsSchema(Inputs::LEAST[$tool], $schemas['input']))->toBeTrue()
        ->and(fitsSchema($sweep, $schemas['input']))->toBeTrue()
        ->and(fitsSchema(Toolbox::run($tool, Inputs::LEAST[$tool]), $schemas['output']))->toBeTrue();
    $answer = Toolbox::run($tool, $sweep);
    expect(array_column($answer['answers'], 'at'))->toEqualWithDelta([$from, $from + $step, $from + 2 * $step, $to], 1e-9)
        ->and(fitsSchema($answer, $schemas['output']))->toBeTrue();
    $sweep['sweep']['folded'] = true;
    expect(fitsSchema($sweep, $schemas['input']))->toBeTrue()->and(fitsSchema(Toolbox::run($tool, $sweep), $schemas['output']))->toBeTrue();
})->with(array_keys(Inputs::LEAST));

it('answers any drawn approach as its schema says', function (): void {
    $schemas = Schemas::of(Toolbox::tool('approach'));
    foreach (Approaches::many(60, 900) as $seed => $input) {
        expect(fitsSchema($input, $schemas['input']))->toBeTrue("input of seed {$seed}");
        expect(fitsSchema(Toolbox::run('approach', $input), $schemas['output']))->toBeTrue("answer of seed {$seed}");
    }
});

it('takes any unit of a quantity', function (): void {
    expect(Toolbox::run('stopping', ['speed_kmh' => 48.28032])['total_m'])->toBe(Toolbox::run('stopping', ['speed_mph' => 30])['total_m'])
        ->and(Toolbox::run('following', ['speed_mph' => 30, 'gap_yd' => 10])['gap_m'])->toBe(9.14);
});

it('names the field of every kind of bad input, never failing otherwise', function (string $tool): void {
    $schema = Schemas::of(Toolbox::tool($tool))['input'];
    $tried = 0;
    $odd = [null, 'text', '', -1e9, 1e300, INF, NAN, [], ['x' => 1], [[]], true, -7];
    foreach ($schema['properties'] as $field => $rules) {
        foreach ($odd as $value) {
            $input = [$field => $value] + Inputs::LEAST[$tool];
            // In PHP an empty JSON object and an empty list are the same.
            if (fitsSchemaSafely($input, $schema) || ($value === [] && in_array($field, ['vehicle', 'practice', 'costs', 'road_met', 'speeds'], true))) {
                continue;
            }
            $errors = Ask::refusal($tool, $input);
            expect($errors)->not->toBeEmpty("{$tool} {$field} took ".var_export($value, true));
            $named = array_filter(array_keys($errors), static fn (string $path): bool => str_starts_with($path, $field));
            $beside = array_filter(array_merge(...array_values($errors)), static fn (string $sentence): bool => str_contains($sentence, $field));
            expect($named !== [] || $beside !== [])->toBeTrue("{$tool} {$field}: ".json_encode($errors));
            $tried++;
        }
    }
    // Hardly any field takes more than a few of them.
    expect($tried)->toBeGreaterThan(count($odd) / 2 * count($schema['properties']));
})->with(array_keys(Inputs::LEAST));

/** The schema's word on inputs that JSON can carry; those it cannot are bad by themselves. */
function fitsSchemaSafely(array $input, array $schema): bool
{
    $json = json_encode($input, JSON_PARTIAL_OUTPUT_ON_ERROR);

    return json_last_error() === JSON_ERROR_NONE && fitsSchema(json_decode($json, true), $schema);
}

it('refuses missing, unknown, doubled and contradicting fields by name', function (string $tool, array $input, string $field): void {
    expect(array_keys(Ask::refusal($tool, $input)))->toContain($field);
})->with([
    ['stopping', [], 'speed_mps'],
    ['stopping', ['speed_mph' => 30, 'colour' => 'blue'], 'colour'],
    ['stopping', ['speed_mph' => 30, 'speed_kmh' => 48], 'speed_kmh'],
    ['stopping', ['speed_mph' => 30, 'model' => 'own'], 'reaction_s'],
    ['stopping', ['speed_mph' => 30, 'model' => 'aashto', 'decel_mps2' => 3], 'decel_mps2'],
    ['following', ['speed_mph' => 30], 'gap_s'],
    ['following', ['speed_mph' => 30, 'gap_s' => 2, 'gap_m' => 20], 'gap_m'],
    ['approach', [], 'routine'],
    ['approach', ['routine' => 'emerge-left', 'view' => 'open', 'view_from_m' => 20], 'view_from_m'],
    ['approach', ['routine' => 'emerge-left', 'close_follower' => true, 'follower_gap_s' => 2], 'close_follower'],
    ['approach', ['routine' => 'emerge-left', 'control' => 'stop', 'line_speed_mps' => 1], 'line_speed'],
    ['approach', ['routine' => 'emerge-left', 'speed_mph' => 10, 'line_speed_mph' => 20], 'line_speed'],
    ['join', ['slip_length_m' => 0, 'entry_speed_mph' => 30, 'main_speed_mph' => 50], 'slip_length_m'],
    ['join', ['slip_length_m' => 180, 'entry_speed_mph' => 160, 'main_speed_mph' => 50], 'entry_speed_mph'],
    ['join', ['slip_length_m' => 180, 'entry_speed_mph' => 30, 'main_speed_mph' => 50, 'limit_change_m' => 200], 'limit_change_m'],
    [
        'join',
        [
            'slip_length_m' => 180, 'entry_speed_mph' => 30, 'main_speed_mph' => 50,
            'vehicles' => [['distance_m' => 0, 'speed_mph' => 50], ['distance_m' => 3, 'speed_mph' => 50]],
        ],
        'vehicles',
    ],
    ['leave', ['main_speed_mph' => 30, 'slip_length_m' => 200, 'end_speed_mph' => 40], 'end_speed_mps'],
    ['leave', ['main_speed_mph' => 70, 'slip_length_m' => 200, 'bend_from_m' => 100], 'bend_radius_m'],
    ['overtake', ['limit_mph' => 40, 'other_speed_mph' => 60], 'other_speed_mps'],
    ['overtake', ['limit_mph' => 60, 'other_speed_mph' => 40, 'sight_m' => 20], 'sight_m'],
    ['lane-change', ['speed_mph' => 60, 'limit_mph' => 30, 'to' => 'left'], 'speed_mps'],
    ['approach', ['routine' => 'emerge-left', 'openings' => [['side' => 'left', 'from_m' => 60, 'to_m' => -3]]], 'openings.0.to_m'],
    ['approach', ['routine' => 'emerge-left', 'vehicle' => ['ratios' => [1, 2]]], 'vehicle.ratios.1'],
    ['approach', ['routine' => 'emerge-left', 'vehicle' => ['tyre' => 'round']], 'vehicle.tyre'],
    ['approach', ['routine' => 'emerge-left', 'vehicle' => 'spaceship'], 'vehicle'],
    ['approach', ['routine' => 'emerge-left', 'practice' => ['signal' => 'never']], 'practice.signal'],
    ['approach', ['routine' => 'emerge-left', 'sweep' => ['field' => 'routine', 'from' => 0, 'to' => 1, 'step' => 1]], 'sweep.field'],
    ['approach', ['routine' => 'emerge-left', 'sweep' => ['field' => 'speed_mph', 'from' => 5, 'to' => 50, 'step' => 0.01]], 'sweep.step'],
    ['approach', ['routine' => 'emerge-left', 'speed_kmh' => 30, 'sweep' => ['field' => 'speed_mph', 'from' => 5, 'to' => 9, 'step' => 1]], 'speed_kmh'],
]);

it('keeps docs/schemas current', function (string $tool): void {
    $kept = file_get_contents(dirname(__DIR__, 3)."/docs/schemas/{$tool}.json");
    expect(json_decode((string) $kept, true))->toBe(json_decode(json_encode(Schemas::of(Toolbox::tool($tool)), JSON_PRESERVE_ZERO_FRACTION), true));
})->with(array_keys(Inputs::LEAST));

it('says of each question of practice the default that is really taken, under every pack', function (): void {
    $about = Schemas::of(Toolbox::tool('approach'))['input']['properties']['practice']['properties'];
    $differ = 0;
    foreach (Practices::all() as $question) {
        $said = $about[$question->key]['description'];
        foreach (RulePacks::all() as $pack) {
            $default = $question->default($pack);
            // Left out is the same as said: the plan does not change.
            $plain = Toolbox::run('approach', ['pack' => $pack->code(), 'routine' => 'emerge-right']);
            $given = Toolbox::run(
                'approach',
                ['pack' => $pack->code(), 'routine' => 'emerge-right', 'practice' => [$question->key => ctype_digit($default) ? (int) $default : $default]],
            );
            expect($given['steps'])->toBe($plain['steps'], "{$question->key} under {$pack->code()}")
                ->and($said)->toMatch("/default (.*, )?{$default}( under [a-z ]*{$pack->code()}|$)/");
            $differ += str_contains($said, "{$default} under") ? 1 : 0;
        }
    }
    expect($differ)->toBeGreaterThan(2);
});
