<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

/** Whether what an answer says can be read aloud as it stands. */
final class Sentences
{
    private const FLAWS = [
        'no space after a stop' => '/[\p{Ll}\d)][.!?;,][\p{Lu}]/u',
        'no space before a number' => '/\p{Ll}\d/u',
        'two spaces' => '/  /',
        'a space before a stop' => '/ [,.;:!?]/',
        'two stops' => '/[.,;:!?]\s*[.,;:]|\.\s*[!?]/',
        'a space at an end' => '/^\s|\s$/',
        'less than nothing' => '/(?<![\w.-])-0(?![.\d]*[1-9])/',
        'one of many' => '/(?<![\d.,])1 (metres|seconds|minutes|hours|rounds|lessons|cars|people|places|ways|turns|lengths|feet|yards)\b/',
        'a word twice' => '/\b(\p{L}{2,}) \1\b/u',
        'nothing, infinite' => '/\b(NaN|NAN|INF|null)\b/',
        'a small letter after a stop' => '/[.!?] \p{Ll}/u',
    ];

    /**
     * @param  array<mixed>  $answer
     * @return array<string, string> what is wrong, with the sentence; by where it stands
     */
    public static function unsound(array $answer): array
    {
        $found = [];
        array_walk_recursive($answer, static function (mixed $value, string|int $key) use (&$found): void {
            // A unit and a source are no sentences.
            if (! is_string($value) || in_array($key, ['unit', 'source'], true) || ! str_contains($value, ' ')) {
                return;
            }
            foreach (self::FLAWS as $flaw => $pattern) {
                if (preg_match($pattern, $value) === 1) {
                    $found["{$key}: {$flaw}"] = $value;
                }
            }
        });

        return $found;
    }
}
