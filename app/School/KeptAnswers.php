<?php

namespace App\School;

use Illuminate\Contracts\Cache\Repository;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use NobleTurn\Core\Compute\Toolbox;
use Symfony\Component\HttpFoundation\AcceptHeader;

/**
 * Answers that are kept as long as nothing of a school is written: by its version, which moves with every write. For what hangs on nothing but what is
 * stored and on the day. In the memory that the server's workers share; where there is none every answer is made.
 */
final class KeptAnswers
{
    private const SECONDS = 3_600;

    /** The day turns at another moment in each time zone, but never between these, s. */
    private const HALF_AN_HOUR = 1_800;

    /** Longer ones than this are made each time, once they are packed: memory is for many. */
    private const LONGEST = 400_000;

    /** Bytes from which the web server packs an answer as well, each time it is given: one that is kept packed is packed once. */
    private const PACKED_FROM = 512;

    /** As the web server packs. */
    private const PACKING = 5;

    private function __construct(private readonly Repository $memory, private readonly string $name, private readonly string $stands)
    {
    }

    /**
     * @param  string  $with  what the answer hangs on besides; a kept one of another is old
     * @return ?self null where nothing is kept
     */
    public static function of(string $name, string $school, string $with = ''): ?self
    {
        $store = config('cache.kept');
        $memory = is_string($store) ? Cache::store($store) : (function_exists('apcu_enabled') && apcu_enabled() ? Cache::store('apc') : null);

        // The version is read before anything that the answer is made from.
        return $memory === null ? null : new self($memory, 'kept '.hash('xxh128', $name), implode(' ', [
            SchoolVersion::of($school), Toolbox::VERSION, intdiv(now()->getTimestamp(), self::HALF_AN_HOUR), $with,
        ]));
    }

    /** @param  array<string, string>  $headers  of the answer; as it is kept, packed, for whoever takes it so */
    public function response(Request $request, array $headers): ?Response
    {
        [$answer, $isPacked] = $this->kept();
        $takesPacked = (AcceptHeader::fromString($request->headers->get('Accept-Encoding'))->get('gzip')?->getQuality() ?? 0.0) > 0.0;

        return match (true) {
            $answer === null => null,
            $isPacked && $takesPacked => new Response($answer, 200, $headers + ['Content-Encoding' => 'gzip', 'Vary' => 'Accept-Encoding']),
            default => new Response($isPacked ? (string) gzdecode($answer) : $answer, 200, $headers + ['Vary' => 'Accept-Encoding']),
        };
    }

    public function put(string $answer): void
    {
        $isPacked = strlen($answer) >= self::PACKED_FROM;
        $stored = $isPacked ? (string) gzencode($answer, self::PACKING) : $answer;
        if (strlen($stored) <= self::LONGEST) {
            $this->memory->put($this->name, [$this->stands, $stored, $isPacked], self::SECONDS);
        }
    }

    /** @return array{?string, bool} the answer that still stands, and whether it is packed */
    private function kept(): array
    {
        $kept = $this->memory->get($this->name);

        return is_array($kept) && $kept[0] === $this->stands ? [$kept[1], $kept[2]] : [null, false];
    }
}
