<?php

/*
 * The rooms of the core and of the interface stand one above the other: each knows only those below it. Read from what is really
 * imported: `use` and full names in PHP; relative, aliased and dynamic imports in TypeScript.
 */

/** From the ground up; README and docs/decisions/0001 draw them. */
const CORE = [
    'Fault', 'Quantity', 'Trade', 'Rules', 'Sight', 'Place', 'Vehicle', 'Motion', 'Judgement', 'Routine', 'Site', 'Track', 'Circuit', 'Diary', 'Plan',
    'FastRoad', 'Series', 'Lanes', 'Record', 'Assessment', 'Skill', 'Next', 'School', 'Compute', 'Road', 'Docs',
];

const INTERFACE_ROOMS = [
    'api', 'keys', 'ui', 'copies', 'session', 'rules', 'bench', 'queue', 'writes', 'device', 'strip', 'skill', 'compute', 'vehicles', 'routines', 'road',
    'site', 'seat', 'diary', 'judgement', 'approach', 'practice', 'places', 'drawings', 'archive', 'assessment', 'areas', 'app', 'testing', 'main.tsx',
];

/** @return iterable<string, string> text by path from the root given */
function sources(string $root, string $pattern): iterable
{
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
        if (preg_match($pattern, (string) $file) === 1) {
            yield substr((string) $file, strlen($root) + 1) => (string) file_get_contents((string) $file);
        }
    }
}

/** @return array<string, array<string, list<string>>> which room knows which, and by which files */
function coreGraph(string $root): array
{
    $graph = [];
    foreach (sources($root, '/\.php$/') as $path => $text) {
        $room = explode('/', $path)[0];
        preg_match_all('/NobleTurn\\\\Core\\\\(\w+)\\\\/', $text, $known);
        foreach (array_diff(array_unique($known[1]), [$room]) as $other) {
            $graph[$room][$other][] = $path;
        }
    }

    return $graph;
}

/** @return array<string, array<string, list<string>>> */
function interfaceGraph(string $root): array
{
    $graph = [];
    foreach (sources($root, '/(?<!\.test)\.tsx?$/') as $path => $text) {
        // What is imported, exported on, or imported only when it is needed.
        preg_match_all('/(?:\bfrom|\bimport)\s*\(?\s*[\'"]([^\'"]+)[\'"]/', $text, $imports);
        foreach ($imports[1] as $import) {
            $target = match (true) {
                str_starts_with($import, '@/') => substr($import, 2),
                str_starts_with($import, '.') => walked(dirname($path).'/'.$import),
                default => null,
            };
            if ($target !== null && explode('/', $target)[0] !== explode('/', $path)[0]) {
                $graph[explode('/', $path)[0]][explode('/', $target)[0]][] = "{$path} imports {$target}";
            } elseif ($target !== null && str_starts_with($path, 'areas/') && explode('/', $target)[1] !== explode('/', $path)[1]) {
                // No area looks into another: each is a floor of its own.
                $graph['areas']['areas'][] = "{$path} imports {$target}";
            }
        }
    }

    return $graph;
}

/** A path with its steps up taken. */
function walked(string $path): string
{
    $parts = [];
    foreach (explode('/', $path) as $part) {
        if ($part === '..') {
            array_pop($parts);
        } elseif ($part !== '.') {
            $parts[] = $part;
        }
    }

    return implode('/', $parts);
}

/**
 * @param  array<string, array<string, list<string>>>  $graph
 * @param  list<string>  $rooms  from the ground up
 * @return list<string> what looks up, or at a room that is not on the list
 */
function looksUp(array $graph, array $rooms): array
{
    $floor = array_flip($rooms);
    $found = [];
    foreach ($graph as $room => $known) {
        foreach ($known as $other => $files) {
            if (! isset($floor[$room], $floor[$other]) || $floor[$other] >= $floor[$room]) {
                $found[] = "{$room} knows {$other}: ".implode(', ', array_slice($files, 0, 3));
            }
        }
    }

    return $found;
}

it('has no room in the core that knows one above it', function (): void {
    $root = dirname(__DIR__, 2).'/core/src';
    expect(looksUp(coreGraph($root), CORE))->toBe([])->and(array_map(basename(...), (array) glob("{$root}/*", GLOB_ONLYDIR)))->toEqualCanonicalizing(CORE);
});

it('has no room in the interface that knows one above it, and nobody but the root knows the app', function (): void {
    $root = dirname(__DIR__, 2).'/resources/js';
    $graph = interfaceGraph($root);
    expect(looksUp($graph, INTERFACE_ROOMS))->toBe([])
        ->and(array_keys(array_filter($graph, static fn (array $known): bool => isset($known['app']))))->toBe(['main.tsx'])
        ->and(array_map(basename(...), (array) glob("{$root}/*")))->toEqualCanonicalizing(INTERFACE_ROOMS);
});

it('would see a circle, however it is written', function (): void {
    $root = sys_get_temp_dir().'/noble-turn-rooms-'.bin2hex(random_bytes(4));
    foreach (['core/Plan', 'core/Rules', 'js/api', 'js/ui', 'js/areas/one', 'js/areas/two'] as $folder) {
        mkdir("{$root}/{$folder}", recursive: true);
    }
    file_put_contents("{$root}/core/Rules/A.php", '<?php function a(): \NobleTurn\Core\Plan\B {}');
    file_put_contents("{$root}/core/Plan/B.php", '<?php use NobleTurn\Core\Rules\A;');
    file_put_contents("{$root}/js/api/a.ts", "const b = () => import('../ui/b');");
    file_put_contents("{$root}/js/ui/b.tsx", "export * from '@/api/a';");
    file_put_contents("{$root}/js/areas/one/c.ts", "import { d } from '../two/d';");
    expect(looksUp(coreGraph("{$root}/core"), CORE))->toBe(['Rules knows Plan: Rules/A.php'])
        ->and(looksUp(interfaceGraph("{$root}/js"), INTERFACE_ROOMS))->toEqualCanonicalizing([
            'api knows ui: api/a.ts imports ui/b', 'areas knows areas: areas/one/c.ts imports areas/two/d',
        ]);
    exec('rm -rf '.escapeshellarg($root));
});
