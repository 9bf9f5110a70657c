<?php

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Says truly whether the application can do its work: the database answers, work in the background goes on, there is room to write. */
final class UpController
{
    /** Work that has waited longer than this is not being done, seconds (assumed). */
    private const WAITED_LONG_S = 300;

    /** Less room than this and something will soon fail to be written, bytes (assumed). */
    private const LITTLE_ROOM = 200_000_000;

    public function __invoke(): JsonResponse
    {
        $found = [
            'database' => self::isTrue(static fn (): bool => (bool) DB::selectOne('SELECT 1 AS one')->one),
            'worker' => self::isTrue(self::workGoesOn(...)),
            'disk' => self::isTrue(static fn (): bool => disk_free_space((string) config('installation.keep')) > self::LITTLE_ROOM),
        ];

        return response()->json($found, in_array(false, $found, true) ? 503 : 200);
    }

    /** Something may wait long behind other work; that nothing is being done while it waits tells. */
    private static function workGoesOn(): bool
    {
        $waits = DB::table('jobs')->whereNull('reserved_at')->where('available_at', '<', Carbon::now()->getTimestamp() - self::WAITED_LONG_S)->exists();

        return ! $waits || DB::table('jobs')->whereNotNull('reserved_at')->exists();
    }

    /** @param  callable(): bool  $looked */
    private static function isTrue(callable $looked): bool
    {
        try {
            return $looked();
        } catch (Throwable) {
            return false;
        }
    }
}
