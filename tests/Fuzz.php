<?php

namespace Tests;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Random requests from a seed: a route with a body it takes, spoiled in one or several places. What is put in is of every type and
 * size, well or badly encoded, far out, or an id of somebody else.
 */
final class Fuzz
{
    private readonly Randomizer $chance;

    /**
     * @param  array<string, string>  $ours
     * @param  array<string, string>  $theirs
     */
    public function __construct(int $seed, private readonly array $ours, private readonly array $theirs)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /** @return array{method: string, uri: string, body: string, type: string} */
    public function request(): array
    {
        $routes = Routes::withBodies($this->ours) + [
            'POST session' => ['email' => 'a@b.test', 'password' => 'x'],
            'POST first-run' => ['school' => 'x', 'time_zone' => 'UTC', 'pack' => 'gb', 'name' => 'x', 'email' => 'a@b.test', 'password' => 'a-long-password'],
        ];
        // These end the session that all others need.
        unset($routes['DELETE session'], $routes['DELETE sessions'], $routes['PUT password']);
        $route = $this->one(array_keys($routes));
        $ids = $this->ours;
        if ($this->chance->getInt(0, 5) === 0) {
            $ids = array_map(
                fn (string $id): string => $this->one([
                    $id, strtoupper($id), '1', 'x', rawurlencode("\u{202E}"), '%ff', $this->theirs['learner'], $this->ours['place'],
                ]),
                $ids,
            );
        }
        [$method, $uri] = Routes::addressed(
            $route, $ids + ['tool' => $this->one(['stopping', 'following', 'approach', 'gap', 'clearance', 'mark-test', 'none'])],
        );
        $query = $this->one([
            '', '', '', 'day=zz', 'day=2026-02-30', 'day[]=1', 'day=9999999', 'condition=loud', 'condition[]=busy', 'step[]=look', 'section=%ff',
            'routine=%00',
        ]);

        return [
            'method' => $method, 'uri' => $uri.($query === '' ? '' : "?{$query}"), 'body' => $this->body($routes[$route]),
            'type' => $this->chance->getInt(0, 40) === 0 ? $this->one([
                'text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data', '',
            ]) : 'application/json',
        ];
    }

    /** @param  array<string, mixed>  $whole */
    private function body(array $whole): string
    {
        $kind = $this->chance->getInt(0, 20);
        if ($kind === 0) {
            return $this->one([
                '', 'null', '5', '"x"', '[]', '[[[[]]]]', '{', "{\"name\":\"\xED\xA0\x80\"}", '{"name":"\ud800"}', str_repeat('[', 600), '{"a":1}{',
            ]);
        }
        $said = json_decode(json_encode($whole, JSON_THROW_ON_ERROR), true);
        for ($i = $kind === 1 ? 0 : $this->chance->getInt(1, 3); $i > 0; $i--) {
            $said = $this->spoiled($said);
        }

        // Numbers that PHP would not write are put in by name.
        return (string) preg_replace('/"#([^"]*)#"/', '$1', json_encode($said, JSON_THROW_ON_ERROR | JSON_PARTIAL_OUTPUT_ON_ERROR));
    }

    /** Changes one place, somewhere down the tree. */
    private function spoiled(mixed $said): mixed
    {
        if (! is_array($said) || $said === [] || $this->chance->getInt(0, 8) === 0) {
            return $this->odd();
        }
        $key = $this->one(array_keys($said));
        switch ($this->chance->getInt(0, 9)) {
            case 0:
                unset($said[$key]);
                break;
            case 1:
                $said[$this->one(['id', 'school_id', 'state', 'x', '', "\u{0}", 'conditions', 'note', 'sent_at', 'self_rating', 'practice', 'figures',
                    'reference_points'])] = $this
                    ->odd();
                break;
            case 2:
                $said[$key] = $this->odd();
                break;
            default:
                $said[$key] = is_array($said[$key]) ? $this->spoiled($said[$key]) : $this->odd();
        }

        return $said;
    }

    private function odd(): mixed
    {
        return $this->one([
            null, true, false, 0, -1, 1.5, '#1e999#', '#-1e999#', '#'.str_repeat('9', 400).'#', '#9223372036854775808#', '', ' ', 'x', '0', '-5',
            '1e5', str_repeat('x', 400), str_repeat('🚗', 200), "\u{0}", "a\u{0}b", "\u{202E}abc", "' OR 1=1 --", '<script>1</script>',
            [], ['x'], ['a' => 1], [[[[['deep']]]]], array_fill(0, 300, 'x'), new \stdClass, '2026-02-30', '0000-00-00', '9999-12-31T23:59:59Z',
            '-0001-01-01', '2026-05-20T10:00:00+99:00', 'tomorrow', '@9999999999999', 'now',
            $this->theirs['lesson'], $this->theirs['vehicle'], strtoupper($this->ours['lesson']), '00000000-0000-0000-0000-000000000000',
            'emerge-right', 'look', 'unaided', 'gb',
        ]);
    }

    /**
     * @template T
     *
     * @param  list<T>  $from
     * @return T
     */
    private function one(array $from): mixed
    {
        return $from[$this->chance->getInt(0, count($from) - 1)];
    }
}
