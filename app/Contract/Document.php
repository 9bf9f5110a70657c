<?php

namespace App\Contract;

use NobleTurn\Core\Compute\Toolbox;

/** The API as an OpenAPI 3.1 document, made from the tools' schemas, the shapes of what is answered and the rules of what is taken. */
final class Document
{
    private const JSON = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    /** @return array<string, mixed> */
    public static function whole(): array
    {
        $paths = [];
        foreach (Operations::all() as $route => $operation) {
            [$method, $path] = explode(' ', $route);
            $paths["/{$path}"][strtolower($method)] = self::operation($route, $operation);
        }

        return [
            'openapi' => '3.1.0',
            'info' => [
                'title' => 'Noble Turn', 'version' => Toolbox::VERSION,
                'description' => 'What the interface asks and is answered. Moments are UTC; quantities carry their unit in their name.',
            ],
            'servers' => [['url' => '/api']],
            'security' => [['session' => []]],
            'paths' => $paths,
            'components' => [
                'schemas' => Shapes::all(),
                'securitySchemes' => [
                    'session' => [
                        'type' => 'apiKey', 'in' => 'cookie', 'name' => 'noble_turn_session',
                        'description' => 'Whoever writes sends the cookie XSRF-TOKEN back as the header X-XSRF-TOKEN.',
                    ],
                ],
                'responses' => [
                    'Problem' => [
                        'description' => 'What is wrong, in a sentence, and with which fields',
                        'content' => ['application/json' => ['schema' => Shapes::ref('Problem')]],
                    ],
                ],
            ],
        ];
    }

    /** Where it is kept: as it is written here, the API answers it. */
    public static function path(): string
    {
        return base_path('docs/openapi.json');
    }

    public static function json(): string
    {
        return self::written(self::whole());
    }

    /** Where the schema of the sites that go out and come in is kept. */
    public static function pathOfSites(): string
    {
        return base_path('docs/schemas/sites-geojson.json');
    }

    /** Sites as GeoJSON, for whoever reads or writes them elsewhere: by itself, with all that it refers to. */
    public static function sites(): string
    {
        $all = Shapes::all();
        $needed = [];
        $next = ['SitesGeoJson'];
        while ($next !== []) {
            $name = (string) array_pop($next);
            $needed[$name] = $all[$name];
            preg_match_all('~#/components/schemas/(\w+)~', json_encode($all[$name], self::JSON), $found);
            $next = [...$next, ...array_diff(array_unique($found[1]), array_keys($needed))];
        }
        ksort($needed);

        return self::written([
            '$schema' => 'https://json-schema.org/draft/2020-12/schema', 'title' => 'Sites of a school as GeoJSON (RFC 7946)',
            '$ref' => '#/components/schemas/SitesGeoJson', 'components' => ['schemas' => $needed],
        ]);
    }

    /** @param  array<string, mixed>  $document */
    private static function written(array $document): string
    {
        return preg_replace_callback(
            '/^(?: {4})+/m', static fn (array $indent): string => str_repeat(' ', intdiv(strlen($indent[0]), 4)), json_encode($document, self::JSON),
        )."\n";
    }

    /** @return array<string, mixed> */
    private static function operation(string $route, Operation $operation): array
    {
        $said = ['operationId' => self::id($route), 'summary' => $operation->about];
        preg_match_all('/\{(\w+)\}/', $route, $names);
        $parameters = [
            ...array_map(static fn (string $name): array => ['name' => $name, 'in' => 'path', 'required' => true, 'schema' => ['type' => 'string']], $names[1]),
            ...RulesSchema::parameters($operation->query),
        ];
        if ($parameters !== []) {
            $said['parameters'] = $parameters;
        }
        if ($operation->body !== null) {
            $said['requestBody'] = ['required' => true, 'content' => ['application/json' => ['schema' => $operation->body]]];
        }
        $said['responses'] = [
            (string) $operation->status => [
                'description' => $operation->answer === null ? 'Done' : 'The answer',
            ] + ($operation->answer === null ? [] : ['content' => ['application/json' => ['schema' => $operation->answer]]]),
            'default' => ['$ref' => '#/components/responses/Problem'],
        ];
        // Whoever asks these has not signed in yet.
        if (in_array($route, ['GET session', 'POST session', 'POST forgotten-password', 'POST way-in', 'POST first-run', 'GET openapi.json'], true)) {
            $said['security'] = [];
        }

        return $said;
    }

    private static function id(string $route): string
    {
        return trim((string) preg_replace('/[^a-z]+/', '-', strtolower($route)), '-');
    }
}
