<?php

namespace Tests;

use App\Contract\Document;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;

/** What is asked and answered, held against the document of the API. */
final class Contract
{
    private const DOCUMENT = 'https://noble-turn.test/openapi.json';

    private static ?Validator $validator = null;

    /** @var ?array<string, mixed> */
    private static ?array $document = null;

    /**
     * What an answer has that the document does not allow, or lacks of what it asks; nothing where they agree.
     *
     * @return list<string>
     */
    public static function answerErrors(string $method, string $uri, Response $response): array
    {
        $path = self::path($method, $uri);
        if ($path === null) {
            return $response->getStatusCode() < 400 ? ["{$method} {$uri} is not in the document."] : [];
        }
        $status = (string) $response->getStatusCode();
        $responses = self::document()['paths'][$path][strtolower($method)]['responses'];
        if ($response->getStatusCode() < 400 && ! isset($responses[$status])) {
            return ["{$method} {$path} is not said to answer with {$status}."];
        }
        if ($response->getStatusCode() >= 400) {
            return self::errors(self::content($response), '#/components/schemas/Problem');
        }

        return isset($responses[$status]['content']) ? self::errors(
            self::content($response),
            self::pointer(['paths', $path, strtolower($method), 'responses', $status, 'content', 'application/json', 'schema']),
        ) : [];
    }

    /**
     * What a body has that the document does not allow, or lacks.
     *
     * @param  array<string, mixed>  $body
     * @return list<string>
     */
    public static function bodyErrors(string $method, string $uri, array $body): array
    {
        $path = self::path($method, $uri);
        if (! isset(self::document()['paths'][$path][strtolower($method)]['requestBody'])) {
            return $body === [] ? [] : ["{$method} {$path} is not said to take anything."];
        }

        return self::errors(
            json_encode((object) $body, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            self::pointer(['paths', $path, strtolower($method), 'requestBody', 'content', 'application/json', 'schema']),
        );
    }

    /** @return list<string> every address of the document, as "METHOD path" */
    public static function operations(): array
    {
        $found = [];
        foreach (self::document()['paths'] as $path => $methods) {
            foreach (array_keys($methods) as $method) {
                $found[] = strtoupper($method).' '.ltrim($path, '/');
            }
        }

        return $found;
    }

    /** @return array<string, mixed> */
    private static function document(): array
    {
        return self::$document ??= json_decode(Document::json(), true, flags: JSON_THROW_ON_ERROR);
    }

    /** The path of the document that an address is of: one that names it wholly before one with a gap. */
    private static function path(string $method, string $uri): ?string
    {
        $asked = '/'.explode('?', preg_replace('#^/?api/#', '', $uri))[0];
        $fits = array_filter(
            array_keys(self::document()['paths']),
            static fn (string $path): bool => isset(self::document()['paths'][$path][strtolower($method)]) && preg_match(
                '#^'.preg_replace('#\\\{\w+\\\}#', '[^/]+', preg_quote($path, '#')).'$#', $asked,
            ) === 1,
        );
        usort($fits, static fn (string $one, string $other): int => substr_count($one, '{') <=> substr_count($other, '{'));

        return $fits[0] ?? null;
    }

    private static function content(Response $response): string
    {
        return $response instanceof BinaryFileResponse ? (string) file_get_contents($response->getFile()->getPathname()) : (string) $response->getContent();
    }

    /** @param  list<string>  $parts */
    private static function pointer(array $parts): string
    {
        return '#/'.implode('/', array_map(static fn (string $part): string => rawurlencode(str_replace(['~', '/'], ['~0', '~1'], $part)), $parts));
    }

    /** @return list<string> */
    private static function errors(string $json, string $pointer): array
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            self::$validator->resolver()?->registerRaw(Document::json(), self::DOCUMENT);
        }
        $error = self::$validator->validate(json_decode($json), self::DOCUMENT.$pointer)->error();
        if ($error === null) {
            return [];
        }
        $found = [];
        foreach ((new ErrorFormatter)->format($error, true) as $at => $sentences) {
            $found[] = "{$at}: ".implode(' ', $sentences);
        }

        return $found;
    }
}
