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
 * Two numbers for each school, one that moves with everything that is written and one with what is found in the background, in the same transaction, as
 * its last statement: an answer that was made after a number was read is never older than the number says. Seen at the statements themselves, so that
 * nobody can forget it; where it is not known whose rows were written, every school's number moves.
 */
final class SchoolVersion
{
    /** What no answer of the application is made from, or only itself makes again. */
    private const UNREAD = ['sessions', 'cache', 'cache_locks', 'jobs', 'job_batches', 'failed_jobs', 'migrations', 'school_versions'];

    /** What is made again from the rest: only answers about all records of a school are made from it. */
    private const FOUND = 'skill_answers';

    private const ALL = '';

    /** As the database says it. */
    private const NOT_THERE_YET = ['no table' => '42S02', 'no column' => '42S22'];

    /** @var array<'version'|'found', array<string, true>> numbers, and schools of which something was written in the transaction that is open */
    private static array $written = [];

    /** How deep in transactions one is outside of all of the application's own: tests have one around them. */
    private static int $outermost = 0;

    public static function of(string $school): string
    {
        return self::read($school, 'version');
    }

    /** The number of what is found in the background. */
    public static function found(string $school): string
    {
        return self::read($school, 'found');
    }

    /** @param  'version'|'found'  $number */
    private static function read(string $school, string $number): string
    {
        return (string) (DB::table('school_versions')->where('school_id', $school)->value($number) ?? 0);
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
            $number = self::movedBy($query->sql);
            if ($number !== null) {
                self::$written[$number][self::whose()] = true;
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

    /** @return 'version'|'found'|null the number that a statement moves. Tables themselves change while nobody is served. */
    public static function movedBy(string $sql): ?string
    {
        if (preg_match('/^\s*(insert|update|delete|replace|load|truncate)\b/i', $sql) !== 1) {
            return null;
        }
        $isOne = preg_match('/^\s*(?:insert\s+(?:ignore\s+)?into|replace\s+into|update|delete\s+from)\s+`?(\w+)`?/i', $sql, $found) === 1;

        return match (true) {
            ! $isOne => 'version',
            $found[1] === self::FOUND => 'found',
            default => in_array($found[1], self::UNREAD, true) ? null : 'version',
        };
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
        [$written, self::$written] = [self::$written, []];
        try {
            foreach ($written as $number => $schools) {
                self::count($connection, $number, array_map(strval(...), array_keys($schools)));
            }
        } catch (QueryException $why) {
            // While an older installation is brought up to this version there is nothing to count in.
            if (! in_array($why->getCode(), self::NOT_THERE_YET, true)) {
                throw $why;
            }
        }
    }

    /**
     * @param  'version'|'found'  $number
     * @param  list<string>  $schools
     */
    private static function count(Connection $connection, string $number, array $schools): void
    {
        if (in_array(self::ALL, $schools, true)) {
            $connection->update("UPDATE school_versions SET {$number} = {$number} + 1");
        } else {
            // In one order: two who write of two schools at once do not wait for each other.
            sort($schools);
            $connection->insert("INSERT INTO school_versions (school_id, {$number}) VALUES ".implode(', ', array_fill(0, count($schools), '(?, 1)'))
                ." ON DUPLICATE KEY UPDATE {$number} = {$number} + 1", $schools);
        }
    }
}
