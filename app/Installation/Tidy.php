<?php

namespace App\Installation;

use App\Privacy\Retention;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What an installation throws away by itself, hourly: what has run out, and whoever a school keeps no longer. */
final class Tidy
{
    /** Finished work in the background, days; letters, days; texts and the log of changes, months (all assumed). */
    private const BATCHES_DAYS = 2;

    private const LETTERS_DAYS = 90;

    private const TEXTS_MONTHS = 12;

    private const CHANGES_MONTHS = 36;

    /** @return array<string, int> rows thrown away, by what they were */
    public static function up(CurrentSchool $current): array
    {
        $now = Carbon::now();
        $seconds = $now->getTimestamp();

        return array_filter([
            'sessions' => DB::table('sessions')->where('last_activity', '<', $seconds - 60 * (int) config('session.lifetime'))->delete(),
            'cache' => DB::table('cache')
                ->where('expiration', '<', $seconds)
                ->delete() + DB::table('cache_locks')
                ->where('expiration', '<', $seconds)
                ->delete(),
            'batches' => DB::table('job_batches')->where('created_at', '<', $now->copy()->subDays(self::BATCHES_DAYS)->getTimestamp())->delete(),
            'ways in' => DB::table('password_reset_tokens')->where(
                'created_at', '<', $now->copy()->subMinutes((int) config('auth.passwords.invitations.expire')),
            )->delete(),
            'letters' => DB::table('letters')->where('created_at', '<', $now->copy()->subDays(self::LETTERS_DAYS))->delete(),
            'texts' => DB::table('texts')->where('made_at', '<', $now->copy()->subMonths(self::TEXTS_MONTHS))->delete(),
            'changes' => DB::table('changes')->where('at', '<', $now->copy()->subMonths(self::CHANGES_MONTHS))->delete(),
            'learners erased' => Retention::run($current),
        ]);
    }
}
