<?php

/** What every measurement needs: repeated work, percentiles, a line of the table, a signed-in client. */

declare(strict_types=1);

use Database\Seeders\DemoSeeder;

/** A fixed piece of work: 1000 rounds of square root, division and comparison. */
function fixedLoop(): float
{
    $sum = 0.0;
    for ($i = 1; $i <= 1000; $i++) {
        $sum += sqrt($i * 1.37) / ($i + 0.5);
        if ($sum > 1e6) {
            $sum = 0.0;
        }
    }

    return $sum;
}

/** @return float median seconds of one call, over runs of at least 20 ms each */
function medianSeconds(callable $work): float
{
    $runs = [];
    for ($calls = 1; ; $calls *= 2) {
        $start = hrtime(true);
        for ($i = 0; $i < $calls; $i++) {
            $work();
        }
        if (hrtime(true) - $start >= 20_000_000) {
            break;
        }
    }
    for ($run = 0; $run < 15; $run++) {
        $start = hrtime(true);
        for ($i = 0; $i < $calls; $i++) {
            $work();
        }
        $runs[] = (hrtime(true) - $start) / 1e9 / $calls;
    }
    sort($runs);

    return $runs[7];
}

/** @param  list<float>  $values */
function percentile(array $values, float $share): float
{
    sort($values);

    return $values[(int) min(count($values) - 1, ceil($share * count($values)) - 1)];
}

/** @param  list<string>  $cells */
function row(array $cells): void
{
    printf("%-46s %12s %12s %12s   %s\n", ...array_pad($cells, 5, ''));
}

final class Client
{
    private readonly CurlHandle $curl;

    /** @param  non-empty-string  $base */
    public function __construct(private readonly string $base)
    {
        $this->curl = curl_init() ?: throw new RuntimeException('No curl.');
        curl_setopt_array($this->curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_ENCODING => 'gzip']);
    }

    /**
     * A request ready to be sent, alone or beside others.
     *
     * @param  'GET'|'POST'|'PUT'  $method
     */
    public function prepared(string $method, string $path, ?string $json = null): CurlHandle
    {
        $headers = ['Accept: application/json', 'Content-Type: application/json'];
        foreach ((array) curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $parts = explode("\t", (string) $cookie);
            if (($parts[5] ?? '') === 'XSRF-TOKEN') {
                $headers[] = 'X-XSRF-TOKEN: '.urldecode($parts[6]);
            }
        }
        curl_setopt_array(
            $this->curl,
            [CURLOPT_URL => $this->base.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_HTTPHEADER => $headers, CURLOPT_POSTFIELDS => $json ?? ''],
        );

        return $this->curl;
    }

    /**
     * @param  'GET'|'POST'|'PUT'  $method
     * @return array{float, string} seconds and body
     */
    public function ask(string $method, string $path, ?string $json = null): array
    {
        $curl = $this->prepared($method, $path, $json);
        $start = hrtime(true);
        $body = curl_exec($curl);
        $took = (hrtime(true) - $start) / 1e9;
        $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        if ($body === false || $status >= 400) {
            throw new RuntimeException("{$method} {$path} answered {$status}.");
        }

        return [$took, (string) $body];
    }

    public function handle(): CurlHandle
    {
        return $this->curl;
    }

    public function signIn(string $email): self
    {
        $this->ask('GET', '/api/session');
        $this->ask('POST', '/api/session', json_encode(['email' => $email, 'password' => DemoSeeder::PASSWORD], JSON_THROW_ON_ERROR));

        return $this;
    }

    public function read(string $path): mixed
    {
        return json_decode($this->ask('GET', $path)[1], true, 64, JSON_THROW_ON_ERROR);
    }
}
