<?php

namespace App\Installation;

use Generator;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** Writes everything that would be missed into one file, as it stood at one moment, and reads it back to be sure. */
final class Backup
{
    /** Rows of one read. */
    private const AT_ONCE = 1000;

    /**
     * @return array<string, array{rows: int, sha256: string}> by table
     *
     * @throws RuntimeException where the file cannot be written, or does not say what the tables say
     */
    public static function to(string $path): array
    {
        // Where all tables are as they were at the same moment, whatever is written meanwhile.
        DB::unprepared('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
        DB::unprepared('START TRANSACTION WITH CONSISTENT SNAPSHOT');
        try {
            $sums = BackupFile::write("{$path}.part", Tables::migrations(), self::tables(), gmdate('Y-m-d\TH:i:s\Z'));
        } finally {
            DB::unprepared('COMMIT');
        }
        if (BackupFile::checked("{$path}.part")['tables'] !== $sums) {
            throw new RuntimeException('The back-up, read again, is not what was written.');
        }
        chmod("{$path}.part", 0600);
        rename("{$path}.part", $path);

        return $sums;
    }

    /**
     * What the tables hold, in the form of a back-up's own sums.
     *
     * @return array<string, array{rows: int, sha256: string}>
     */
    public static function sums(): array
    {
        $path = tempnam(sys_get_temp_dir(), 'noble-turn') ?: throw new RuntimeException('No room for a file to compare by.');
        try {
            return BackupFile::write($path, [], self::tables(), '');
        } finally {
            unlink($path);
        }
    }

    /** @return Generator<string, Generator<int, array<string, mixed>>> */
    private static function tables(): Generator
    {
        foreach (Tables::kept() as $table => $key) {
            yield $table => self::rows($table, $key);
        }
    }

    /** @return Generator<int, array<string, mixed>> in the order of the key, so that the same rows make the same lines */
    private static function rows(string $table, string $key): Generator
    {
        $after = null;
        $number = Tables::atOnce($table, self::AT_ONCE);
        do {
            $rows = DB::table($table)->when($after !== null, fn ($later) => $later->where($key, '>', $after))->orderBy($key)->limit($number)->get();
            foreach ($rows as $row) {
                yield (array) $row;
                $after = $row->{$key};
            }
        } while ($rows->count() === $number);
    }
}
