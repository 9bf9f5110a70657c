<?php

/** The texts of core and application, as they stand in the sources: written one to a line, file by file. */

declare(strict_types=1);

/** A sentence or a label of some words: no code, no key, no class of a style. */
function isText(string $text): bool
{
    return preg_match('/\p{L}{2,}.*\s.*\p{L}{2,}/u', $text) === 1
        && preg_match('/^(SELECT|ALTER|CREATE|DROP|ADD |UPDATE|INSERT|CHECK|CONSTRAINT)\b|\\\\|::|=>|^[a-z_.]+:[a-z,]+|^\S+ [<>=!]=? \S+$/', $text) !== 1;
}

/** @return list<string> each once, pieces that are put together with a dot as one */
function textsOf(string $file): array
{
    $found = [];
    $open = null;
    foreach (token_get_all((string) file_get_contents($file)) as $token) {
        [$kind, $text] = is_array($token) ? [$token[0], $token[1]] : [null, $token];
        if ($kind === T_CONSTANT_ENCAPSED_STRING) {
            $said = stripslashes(substr($text, 1, -1));
            $open = $open === null ? $said : $open.$said;
        } elseif ($kind === T_ENCAPSED_AND_WHITESPACE) {
            $open = ($open ?? '').$text;
        } elseif ($kind === T_VARIABLE && $open !== null) {
            $open .= '…';
        } elseif (! in_array($kind, [T_WHITESPACE, T_OBJECT_OPERATOR, T_STRING, T_CURLY_OPEN], true) && ! in_array($text, ['.', '"', '}'], true)) {
            if ($open !== null && isText($open)) {
                $found[trim((string) preg_replace('/\s+/', ' ', $open))] = true;
            }
            $open = null;
        }
    }

    return array_keys($found);
}

$root = dirname(__DIR__, 2);
foreach ([
    'Cards' => 'core/src/Routine', 'Rules and practice' => 'core/src/Rules', 'What the tools say' => 'core/src/Compute', 'Plans' => 'core/src/Plan',
    'Judgements' => 'core/src/Judgement', 'Fast roads' => 'core/src/FastRoad', 'Lanes' => 'core/src/Lanes', 'Records' => 'core/src/Record',
    'Skills' => 'core/src/Skill', 'Cars' => 'core/src/Vehicle', 'Trade' => 'core/src/Trade', 'Refusals and letters' => 'app',
] as $title => $room) {
    echo "\n## {$title}\n";
    $files = iterator_to_array(new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$room}", FilesystemIterator::SKIP_DOTS)));
    ksort($files);
    foreach ($files as $path => $file) {
        $texts = $file->getExtension() === 'php' ? textsOf((string) $path) : [];
        if ($texts !== []) {
            echo "\n### `".substr((string) $path, strlen($root) + 1)."`\n\n- ".implode("\n- ", $texts)."\n";
        }
    }
}
