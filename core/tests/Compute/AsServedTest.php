<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Tests\Inputs;

/*
 * The core as the server runs it: with the opcode cache and whatever else it is set to, in a process that answers the same question again and
 * again. A just-in-time compiler takes over only then; one that mixed up the arguments of a call went unnoticed by every test of a single answer.
 */
it('answers the same the hundredth time, in a process set as the server’s', function (string $tool, int $times): void {
    $flags = file(dirname(__DIR__, 3).'/bin/lib/php-served', FILE_IGNORE_NEW_LINES) ?: [];
    $code = sprintf(
        'require %s; $asked = json_decode(%s, true); for ($i = 0; $i < %d; $i++) { $said[md5(json_encode(%s::run(%s, $asked)))] = 1; } '
            .'echo implode(",", array_keys($said));',
        var_export(dirname(__DIR__, 3).'/vendor/autoload.php', true), var_export(json_encode(Inputs::LEAST[$tool]), true), $times, Toolbox::class,
        var_export($tool, true),
    );
    $command = [PHP_BINARY, ...$flags, '-d', 'opcache.enable=1', '-d', 'opcache.enable_cli=1', '-r', $code];
    exec(implode(' ', array_map(escapeshellarg(...), $command)).' 2>&1', $lines, $exit);
    expect([$exit, implode("\n", $lines)])->toBe([0, md5((string) json_encode(Toolbox::run($tool, Inputs::LEAST[$tool])))]);
})->with([['site', 300], ['approach', 100], ['gap', 100], ['lanes', 100], ['priority', 100], ['sight', 100]]);
