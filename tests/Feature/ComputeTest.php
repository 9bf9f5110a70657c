<?php

use Illuminate\Support\Facades\Process;
use NobleTurn\Core\Compute\Toolbox;

const CALLS = [
    'stopping' => '{"pack":"gb","speed_mph":30}',
    'following' => '{"pack":"gb","speed_mph":50,"gap_s":3.2,"surface":"wet"}',
    'approach' => '{"pack":"gb","routine":"emerge-right","limit_mph":30,"control":"give-way","view":"open"}',
];

function ask(string $tool, string $json): Illuminate\Testing\TestResponse
{
    return test()->call('POST', "/api/compute/{$tool}", [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $json);
}

beforeEach(fn () => $this->actingAs($this->user($this->school())));

it('gives the same bytes over HTTP, on the command line and from the core', function (string $tool, string $input): void {
    $core = json_encode(Toolbox::run($tool, json_decode($input, true)), JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
    $line = Process::path(base_path())->input($input)->run([PHP_BINARY, 'artisan', 'compute', $tool]);
    expect(ask($tool, $input)->assertOk()->getContent())->toBe($core)
        ->and($line->exitCode())->toBe(0)
        ->and(trim($line->output()))->toBe($core);
})->with(fn () => array_map(null, array_keys(CALLS), CALLS));

it('tells malformed JSON, bad input and unknown tools apart', function (): void {
    ask('approach', '{"routine":')->assertStatus(400);
    ask('approach', '')->assertStatus(400);
    ask('approach', '"text"')->assertStatus(422);
    ask('approach', '{"routine":"emerge-left","speed_mph":1e999}')->assertStatus(422)->assertJsonPath('errors.speed_mph.0', 'must be a finite number.');
    // An empty text is not the same as nothing said.
    ask('approach', '{"routine":""}')->assertStatus(422)->assertJsonValidationErrors('routine');
    ask('nonsense', '{}')->assertNotFound();
    $line = fn (string $tool, string $input) => Process::path(base_path())->input($input)->run([PHP_BINARY, 'artisan', 'compute', $tool]);
    expect($line('stopping', '{"speed_mph":-1}')->exitCode())->toBe(2)
        ->and($line('stopping', '{"speed_mph":-1}')->errorOutput())->toContain('speed_mph')
        ->and($line('stopping', '{')->exitCode())->toBe(2)
        ->and($line('nonsense', '{}')->exitCode())->toBe(2);
});
