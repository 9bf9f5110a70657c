<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Inputs;

/*
 * The version of the core moves with every change of an answer: whoever kept one (a round with the plan it was driven against, a record
 * worked out last week) can tell by it whether it would be answered the same today. Here every tool is asked fixed questions under
 * every pack, each alone and swept; a hash of what it says stands in golden.json beside the version it was said by.
 *
 * Where this fails an answer has changed. If that was meant: move Toolbox::VERSION, say so in the changelog, and record anew with
 * NOBLE_TURN_RECORD=1 bin/test core.
 */
const GOLDEN = __DIR__.'/golden.json';

/** Six digits are kept: machines may differ in the last ones. The order of the names in an object says nothing. */
function rounded(mixed $value): mixed
{
    if (is_float($value)) {
        return (float) sprintf('%.6g', $value);
    }
    if (! is_array($value) && ! is_object($value)) {
        return $value;
    }
    $parts = array_map(rounded(...), (array) $value);
    if (is_object($value) || ! array_is_list($parts)) {
        ksort($parts);
    }

    return is_object($value) ? (object) $parts : $parts;
}

/** @return array<string, string> what each tool says to the fixed questions, as hashes */
function said(): array
{
    $hashes = [];
    foreach (Inputs::LEAST as $tool => $input) {
        $answers = [];
        $takesPack = in_array('pack', array_keys(Toolbox::tool($tool)->input()->properties()), true);
        foreach ($takesPack ? RulePacks::codes() : [null] as $pack) {
            $asked = ($pack === null ? [] : ['pack' => $pack]) + $input;
            $swept = Inputs::SWEPT[$tool] ?? null;
            foreach ([$asked, ...($swept === null ? [] : [array_diff_key($asked, [$swept[0] => 0]) + ['sweep' => array_combine(['field', 'from', 'to',
                'step'], $swept)]])] as $question) {
                try {
                    $answer = Toolbox::run($tool, $question);
                } catch (BadInput $bad) {
                    // What is refused, and with which words, is an answer too.
                    $answer = $bad->errors;
                }
                $answers[] = preg_replace('/"core":"[^"]*"/', '"core":""', json_encode(rounded($answer), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
            }
        }
        $hashes[$tool] = substr(hash('sha256', implode("\n", $answers)), 0, 16);
    }

    return $hashes;
}

it('answers as it did when its version was last moved', function (): void {
    $said = ['version' => Toolbox::VERSION, 'answers' => said()];
    if (getenv('NOBLE_TURN_RECORD')) {
        $before = is_file(GOLDEN) ? json_decode((string) file_get_contents(GOLDEN), true, 8, JSON_THROW_ON_ERROR) : null;
        expect(
            $before !== null && $before['answers'] !== $said['answers'] && $before['version'] === $said['version'],
        )->toBeFalse('Answers have changed: move Toolbox::VERSION first.');
        file_put_contents(GOLDEN, json_encode($said, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR)."\n");
    }
    $golden = json_decode((string) file_get_contents(GOLDEN), true, 8, JSON_THROW_ON_ERROR);
    expect($said['answers'])->toBe($golden['answers'], 'An answer has changed: move Toolbox::VERSION and record anew.')
        ->and($said['version'])->toBe($golden['version'], 'The version has moved: record anew.');
});

it('would notice: another figure in an answer gives another hash, the last digits of a float do not', function (): void {
    $hash = static fn (mixed $answer): string => hash('sha256', json_encode(rounded($answer), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    $answer = Toolbox::run('stopping', Inputs::LEAST['stopping']);
    expect($hash(array_replace($answer, ['total_m' => $answer['total_m'] * 1.0001])))->not->toBe($hash($answer))
        ->and($hash(array_replace($answer, ['total_m' => $answer['total_m'] * (1 + 1e-9)])))->toBe($hash($answer))
        ->and(array_keys(Inputs::LEAST))->toEqualCanonicalizing(Toolbox::names());
});
