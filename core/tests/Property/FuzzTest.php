<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Schemas;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Tests\DrawnInputs;
use NobleTurn\Core\Tests\Sentences;
use Opis\JsonSchema\Validator;

/**
 * 3,000 questions drawn from the tools' own schemas: each is answered as the answer's schema says, or refused with sentences by field; nothing
 * else. `bin/test fuzz` takes a seed by chance and prints it, NOBLE_TURN_SEED=… that one.
 */
it('answers each of 3,000 drawn questions to its schema, or refuses it by name', function (): void {
    $first = ((int) getenv('NOBLE_TURN_SEED') ?: 1) * 10_000;
    $answered = [];
    $validator = new Validator;
    $schemas = [];
    for ($seed = $first; $seed < $first + 3000; $seed++) {
        ['tool' => $tool, 'input' => $input] = (new DrawnInputs($seed))->draw();
        $where = "seed {$seed}: {$tool} ".json_encode($input, JSON_PARTIAL_OUTPUT_ON_ERROR);
        try {
            $answer = Toolbox::run($tool, $input);
        } catch (BadInput $bad) {
            expect($bad->errors)->not->toBe([], $where);
            foreach ($bad->errors as $field => $sentences) {
                expect($field)->toMatch('/^[a-z][a-z0-9_.-]*$/', $where)->and(implode(' ', $sentences))->toMatch('/^\S.*\S$/su', $where);
            }

            continue;
        } catch (Throwable $wrong) {
            throw new RuntimeException("{$where}: {$wrong->getMessage()} ({$wrong->getFile()}:{$wrong->getLine()})", 0, $wrong);
        }
        expect(array_filter($input, static fn (mixed $value): bool => is_float($value) && ! is_finite($value)))->toBe([], $where);
        // No NaN and no infinity goes through.
        $json = json_encode($answer, JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE);
        expect($json)->not->toBeFalse($where)->and($json)->not->toMatch('/\{\w+\}|\[\w[^\]"]*\|/');
        $answered[$tool] = ($answered[$tool] ?? 0) + 1;
        expect(Sentences::unsound($answer))->toBe([], $where);
        // The schema itself is slow to hold against: every fifth of a tool's answers.
        if ($answered[$tool] % 5 === 1) {
            $schemas[$tool] ??= json_encode(Schemas::of(Toolbox::tool($tool))['output'], JSON_THROW_ON_ERROR);
            expect($validator->validate(json_decode((string) $json), $schemas[$tool])->isValid())->toBeTrue($where);
        }
    }
    expect(count($answered))->toBe(count(NobleTurn\Core\Tests\Inputs::LEAST) - 1)->and(min($answered))->toBeGreaterThan(20);
});
