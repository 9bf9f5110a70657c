<?php

namespace App\School;

use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use NobleTurn\Core\Compute\Toolbox;

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

    /** Short ones are not worth packing: that takes longer than it saves. */
    private const PACKED_FROM = 50_000;

    /** The quickest: what is kept says nearly the same thing over and over. */
    private const PACKING = 1;

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

    public function get(): ?string
    {
        $kept = $this->memory->get($this->name);
        if (! is_array($kept) || $kept[0] !== $this->stands) {
            return null;
        }

        return $kept[2] ? (gzuncompress($kept[1]) ?: null) : $kept[1];
    }

    public function put(string $answer): void
    {
        $isPacked = strlen($answer) >= self::PACKED_FROM;
        $stored = $isPacked ? (string) gzcompress($answer, self::PACKING) : $answer;
        if (strlen($stored) <= self::LONGEST) {
            $this->memory->put($this->name, [$this->stands, $stored, $isPacked], self::SECONDS);
        }
    }
}
