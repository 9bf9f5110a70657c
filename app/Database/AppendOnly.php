<?php

namespace App\Database;

use Closure;
use Illuminate\Support\Facades\DB;

/** The log's own lock: triggers that refuse every change and removal of its rows. Only a migration lifts it, and puts it back. */
final class AppendOnly
{
    private const CHANGES = ['update', 'delete'];

    /** Nothing in the table is changed or removed from now on. */
    public static function protect(string $log): void
    {
        foreach (self::CHANGES as $change) {
            DB::unprepared("CREATE OR REPLACE TRIGGER {$log}_no_{$change} BEFORE {$change} ON {$log} FOR EACH ROW
                SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = '{$log} are append-only: add a correction'");
        }
    }

    /**
     * For a migration: rows are changed with the lock lifted. Where the work is broken off, the lock is put back by the next run of
     * the same migration; until then no start serves the application.
     */
    public static function lifted(string $log, Closure $work): void
    {
        foreach (self::CHANGES as $change) {
            DB::unprepared("DROP TRIGGER IF EXISTS {$log}_no_{$change}");
        }
        $work();
        self::protect($log);
    }
}
