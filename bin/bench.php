<?php

/**
 * php bin/bench.php core | requests BASE_URL | beside BASE_URL | school BASE_URL | all BASE_URL
 *
 * Every figure is a ratio to something measured in the same run, so that runs on different machines can be
 * compared: the core against a fixed loop of arithmetic, requests against an empty signed-in request of the same
 * server, sent in turns with it.
 */

declare(strict_types=1);

require dirname(__DIR__).'/vendor/autoload.php';
foreach (['measure', 'core', 'requests', 'records', 'beside'] as $part) {
    require __DIR__."/lib/bench/{$part}.php";
}

if (($argv[1] ?? '') === 'beside') {
    benchBeside($argv[2] ?? '' ?: 'http://127.0.0.1:8080');
    exit;
}
if (($argv[1] ?? '') === 'school') {
    benchSchool($argv[2] ?? '' ?: 'http://127.0.0.1:8080');
    exit;
}
if (($argv[1] ?? '') === 'requests') {
    benchServer($argv[2] ?? '' ?: 'http://127.0.0.1:8080');
    exit;
}
benchCore();
if (($argv[1] ?? 'core') === 'all') {
    echo "\n";
    $base = $argv[2] ?? '' ?: 'http://127.0.0.1:8080';
    benchServer($base);
    echo "\n";
    benchBeside($base);
    echo "\n";
    benchUpdate($base);
    benchSchool($base);
    echo "\n";
    benchFirstPage();
}
