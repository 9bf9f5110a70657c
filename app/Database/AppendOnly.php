<?php

namespace App\Database;

use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The log's own lock: triggers that refuse every change and removal of its rows. Only a migration lifts it, and puts it back. */
final class AppendOnly
{
    private const CHANGES = ['update', 'delete'];

    /** Nothing in the table is changed or removed from now on. */
    public static function protect(string $log): void
    {
        foreach (self::CHANGES as $change) {
            self::refuse($log, $change, self::signal($log));
        }
    }

    /** But for one thing: what was written by hand to a mark or a round is taken away with the learner it may name, and nothing else of it. */
    public static function letNotesBeBlanked(): void
    {
        self::letBeBlanked('marks', 'note', '(SELECT rounds.lesson_id FROM rounds WHERE rounds.id = OLD.round_id)');
        if (Schema::hasColumn('rounds', 'elsewhere')) {
            self::letBeBlanked('rounds', 'elsewhere', 'OLD.lesson_id');
        }
    }

    private static function letBeBlanked(string $log, string $written, string $lesson): void
    {
        $same = implode(
            ' AND ',
            array_map(static fn (string $column): string => "NEW.{$column} <=> OLD.{$column}", array_diff(Schema::getColumnListing($log), [$written])),
        );
        self::refuse($log, 'update', "IF NOT (NEW.{$written} IS NULL AND {$same} AND EXISTS (SELECT 1 FROM lessons
            JOIN learners ON learners.id = lessons.learner_id
            WHERE lessons.id = {$lesson} AND learners.erased_at IS NOT NULL)) THEN ".self::signal($log).'; END IF');
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
        if (Schema::hasColumn('learners', 'erased_at')) {
            self::letNotesBeBlanked();
        }
    }

    private static function refuse(string $log, string $change, string $statement): void
    {
        DB::unprepared("CREATE OR REPLACE TRIGGER {$log}_no_{$change} BEFORE {$change} ON {$log} FOR EACH ROW {$statement}");
    }

    private static function signal(string $log): string
    {
        return "SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = '{$log} are append-only: add a correction'";
    }
}
