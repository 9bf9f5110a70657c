<?php

namespace App\School;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Connection;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Database\Events\TransactionCommitting;
use Illuminate\Database\Events\TransactionRolledBack;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;

/**
 * A number for each school that moves with everything that is written, in the same transaction, as its last statement: an answer that was made
 * after the number was read is never older than the number says. Seen at the statements themselves, so that nobody can forget it; where it is not
 * known whose rows were written, every school's number moves.
 */
final class SchoolVersion
{
    /** What no answer of the application is made from, or only itself makes again. */
    private const UNREAD = [
        'sessions', 'cache', 'cache_locks', 'jobs', 'job_batches', 'failed_jobs', 'migrations', 'skill_answers', 'school_versions',
    ];

    private const ALL = '';

    /** As the database says it. */
    private const NO_TABLE = '42S02';

    /** @var array<string, true> schools of which something was written in the transaction that is open */
    private static array $written = [];

    /** How deep in transactions one is outside of all of the application's own: tests have one around them. */
    private static int $outermost = 0;

    public static function of(string $school): string
    {
        return (string) (DB::table('school_versions')->where('school_id', $school)->value('version') ?? 0);
    }

    /** @param  int  $outermost  transactions that are open around everything */
    public static function within(int $outermost): void
    {
        [self::$outermost, self::$written] = [$outermost, []];
    }

    public static function watch(): void
    {
        self::within(0);
        Event::listen(static function (QueryExecuted $query): void {
            if (self::writes($query->sql)) {
                self::$written[self::whose()] = true;
                if ($query->connection->transactionLevel() <= self::$outermost) {
                    self::move($query->connection);
                }
            }
        });
        Event::listen(static fn (TransactionCommitting $event) => $event->connection->transactionLevel() === self::$outermost + 1
            ? self::move($event->connection) : null);
        // Within another transaction nothing is said before.
        Event::listen(static fn (TransactionCommitted $event) => $event->connection->transactionLevel() <= self::$outermost
            ? self::move($event->connection) : null);
        Event::listen(static function (TransactionRolledBack $event): void {
            if ($event->connection->transactionLevel() <= self::$outermost) {
                self::$written = [];
            }
        });
    }

    /** Whether a statement changes what answers are made from. Tables themselves change while nobody is served. */
    public static function writes(string $sql): bool
    {
        if (preg_match('/^\s*(insert|update|delete|replace|load|truncate)\b/i', $sql) !== 1) {
            return false;
        }
        $isOne = preg_match('/^\s*(?:insert\s+(?:ignore\s+)?into|replace\s+into|update|delete\s+from)\s+`?(\w+)`?/i', $sql, $found) === 1;

        return ! $isOne || ! in_array($found[1], self::UNREAD, true);
    }

    private static function whose(): string
    {
        try {
            return app(CurrentSchool::class)->id();
        } catch (AuthenticationException) {
            return self::ALL;
        }
    }

    private static function move(Connection $connection): void
    {
        [$schools, self::$written] = [array_map(strval(...), array_keys(self::$written)), []];
        try {
            self::count($connection, $schools);
        } catch (QueryException $why) {
            // While an older installation is brought up to this version there is nothing to count in.
            if ($why->getCode() !== self::NO_TABLE) {
                throw $why;
            }
        }
    }

    /** @param  list<string>  $schools */
    private static function count(Connection $connection, array $schools): void
    {
        if (in_array(self::ALL, $schools, true)) {
            $connection->update('UPDATE school_versions SET version = version + 1');
        } elseif ($schools !== []) {
            // In one order: two who write of two schools at once do not wait for each other.
            sort($schools);
            $connection->insert('INSERT INTO school_versions (school_id, version) VALUES '.implode(', ', array_fill(0, count($schools), '(?, 1)'))
                .' ON DUPLICATE KEY UPDATE version = version + 1', $schools);
        }
    }
}
