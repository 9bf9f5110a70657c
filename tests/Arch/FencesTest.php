<?php

/** The fences between the storeys of the house; `docs/decisions` says why they stand. */
arch('the core knows only itself and PHP')
    ->expect('NobleTurn\Core')
    ->toOnlyUse('NobleTurn\Core');

arch('the core has no clock, no chance and no files')
    ->expect(['time', 'microtime', 'hrtime', 'now', 'date', 'rand', 'mt_rand', 'random_int', 'file_get_contents', 'fopen', 'dd', 'dump', 'var_dump', 'env'])
    ->not->toBeUsedIn('NobleTurn\Core');

arch('the application leaves nothing behind from debugging')
    ->expect(['dd', 'dump', 'ray', 'var_dump', 'env'])
    ->not->toBeUsedIn('App');

arch('the core is strict about types')->expect('NobleTurn\Core')->toUseStrictTypes();

arch('models stay behind controllers, use cases and policies')
    ->expect('App\Models')
    ->not->toUse(['App\Http', 'App\Marks', 'App\Lessons']);

it('runs an installation on nothing that only the tests have', function (): void {
    $root = dirname(__DIR__, 2);
    $found = [];
    foreach (['app', 'core/src', 'database', 'bootstrap', 'config', 'routes', 'artisan'] as $room) {
        $files = is_dir("{$root}/{$room}") ? new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator("{$root}/{$room}", FilesystemIterator::SKIP_DOTS),
        ) : [new SplFileInfo("{$root}/{$room}")];
        foreach ($files as $file) {
            if (preg_match('/^use (Pest|PHPUnit|Mockery|Opis|PHPStan|NunoMaduro|Faker|Tests|NobleTurn\\\\Core\\\\Tests)\\\\/m',
                (string) file_get_contents((string) $file), $use) === 1) {
                $found[] = "{$file} uses {$use[1]}";
            }
        }
    }
    expect($found)->toBe([]);
    // A start asks for no more than that; only the tests ask for theirs.
    expect((string) file_get_contents("{$root}/bin/start"))->toContain("install_php_packages\n")->not->toContain('with-tests')
        ->and((string) file_get_contents("{$root}/bin/test"))->toContain('install_php_packages with-tests');
});

it('decides nothing of the trade from a routine’s name in the interface', function (): void {
    $root = dirname(__DIR__, 2).'/resources/js';
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
        foreach (explode("\n", (string) file_get_contents((string) $file)) as $i => $line) {
            // A conflict or a warning has a code of its own.
            $line = (string) preg_replace('/\b(conflict|warning|problem)\.code\b/', '', $line);
            if (
                preg_match(
                    '/\b(routine|code)\??\.(startsWith|endsWith|includes|match|split)\(|\b(routine|code)\)? (===|!==) [\'"]|[\'"] (===|!==) '
                        .'(\w+\.)*(routine|code)\b/',
                    $line,
                ) === 1
                && ! str_contains((string) $file, '.test.')
            ) {
                $found[] = substr((string) $file, strlen($root) + 1).':'.($i + 1).' '.trim($line);
            }
        }
    }
    expect($found)->toBe([]);
});

it('asks the server through one door, and describes none of its answers by hand', function (): void {
    $root = dirname(__DIR__, 2).'/resources/js';
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
        $path = substr((string) $file, strlen($root) + 1);
        // Made from the document, and not kept.
        if ($path === 'api/contract.ts' || str_contains($path, '.test.')) {
            continue;
        }
        $text = (string) file_get_contents((string) $file);
        $wrong = array_filter([
            'fetches past api/client' => $path !== 'api/client.ts' && preg_match('/\bfetch\(/', $text) === 1,
            'says what an answer is' => preg_match(
                '/\bapi\.(GET|POST|PUT|PATCH|DELETE)<|\b(compute|useCompute|sweep|useSwept)<(?!T extends )|api\.(GET|POST|PUT|PATCH|DELETE)\([^;]*?\)\)? as '
                    .'(?!Said\b)\w/',
                $text,
            ) === 1,
            'describes an answer in api/' => str_starts_with($path, 'api/') && preg_match('/^(export )?interface /m', $text) === 1,
            // Fields that only an answer has: they are the document's to name; a type taken from it may be narrowed.
            'describes an answer' => preg_match(
                '/^    (assumptions|warnings|profile|instructor_id|lessons_done|critical_gap_s|off_tracking_m)\??: (?!(Omit|Pick)<\w+\[)/m',
                (string) preg_replace('/answer: \{ assumptions.*/', '', $text),
            ) === 1,
        ]);
        array_push($found, ...array_map(static fn (string $what): string => "{$path} {$what}", array_keys($wrong)));
    }
    expect($found)->toBe([]);
});

it('writes no line of PHP that is longer than a screen is wide, and none of the interface but for a class list or a sentence', function (): void {
    $root = dirname(__DIR__, 2);
    $found = [];
    foreach (['app', 'core', 'database', 'tests/Feature', 'tests/Arch', 'tests/Operations', 'resources/js'] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS)) as $file) {
            // Migrations stay as they were run.
            if (preg_match('/\.(php|tsx?)$/', (string) $file) !== 1 || preg_match('~api/contract\.ts$|/migrations/~', (string) $file) === 1) {
                continue;
            }
            foreach (explode("\n", (string) file_get_contents((string) $file)) as $i => $line) {
                $isOneThing = ! str_ends_with((string) $file, '.php') && preg_match('~^\s*(/\*)?\*|([\'"`>]).{70,}|^\s*[A-Z].{100,}~u', $line) === 1;
                if (mb_strlen($line) > 160 && ! $isOneThing) {
                    $found[] = substr((string) $file, strlen($root) + 1).':'.($i + 1);
                }
            }
        }
    }
    expect($found)->toBe([]);
});
