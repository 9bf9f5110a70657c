<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

/**
 * Moments of the job with the answer a good instructor gives: facts of the trade, common practice without a source unless the
 * sentence names one. Each is a test of the real tools, and together they are `docs/rules/scenes.md`.
 */
final class Scenes
{
    /**
     * @param  string  $sentence  what an instructor would say of it
     * @param  \Closure(): void  $check
     */
    public static function show(string $sentence, \Closure $check): void
    {
        it($sentence, $check);
    }

    /** @return array<string, list<string>> sentences by the file they stand in, in its order */
    public static function all(): array
    {
        $found = [];
        foreach (glob(__DIR__.'/Scene/*Test.php') ?: [] as $file) {
            $quoted = '(?:\'(?:[^\'\\\\]|\\\\.)*\'|"[^"$]*")';
            preg_match_all("/^Scenes::show\\(\\s*({$quoted}(?:\\s*\\.\\s*{$quoted})*)/m", (string) file_get_contents($file), $sentences);
            $found[basename($file, 'Test.php')] = array_map(static function (string $parts) use ($quoted): string {
                preg_match_all("/{$quoted}/", $parts, $each);

                return implode('', array_map(static fn (string $one): string => stripslashes(substr($one, 1, -1)), $each[0]));
            }, $sentences[1]);
        }

        return array_filter($found);
    }

    public static function book(): string
    {
        $titles = [
            'Lanes' => 'Lanes and roundabouts', 'Gaps' => 'Gaps', 'FastRoads' => 'Fast roads', 'Approaches' => 'Approaches',
            'OnTheWay' => 'On the way, at the line and beyond it',
            'Sight' => 'What is seen', 'Car' => 'The car', 'Choices' => 'What instructors do differently',
        ];
        $text = "# Scenes\n\nMoments of the job and the answer the tools give, each held by a test (`core/tests/Scene/`). They are common practice,\n"
            ."no source, unless a sentence names one. Sides are for traffic that keeps left unless it is said otherwise.\n\n"
            ."Written by the tests (`NOBLE_TURN_RECORD=1 vendor/bin/pest core/tests/Scene`).\n";
        foreach (self::all() as $file => $sentences) {
            $text .= "\n## ".($titles[$file] ?? $file)."\n\n".implode('', array_map(static fn (string $one): string => '- '.ucfirst($one).".\n", $sentences));
        }

        return $text;
    }
}
