<?php

namespace App\Installation;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;

/** Puts an installation back to what a back-up says, and from there up to this version. */
final class Restore
{
    /** Rows of one insert. */
    private const AT_ONCE = 200;

    /**
     * What is here is gone afterwards. Nothing is touched before the whole file has been read and found sound.
     *
     * @return array<string, array{rows: int, sha256: string}> what came back, by table
     *
     * @throws RuntimeException where the file is damaged, made by a newer version, or did not come back as it was
     */
    public static function from(string $path, bool $upToDate = true): array
    {
        $said = BackupFile::checked($path);
        $known = Tables::knownMigrations();
        $unknown = array_diff($said['migrations'], array_keys($known));
        if ($unknown !== []) {
            throw new RuntimeException(
                'The back-up was made by a newer Noble Turn than this one: bring this one up to date first. It does not know '.implode(', ', $unknown).'.',
            );
        }
        Schema::dropAllTables();
        self::migrate(array_values(array_intersect_key($known, array_flip($said['migrations']))));
        self::fill($path);
        $back = Backup::sums();
        foreach ($said['tables'] as $table => $sum) {
            if (($back[$table] ?? null) !== $sum) {
                throw new RuntimeException("What came back of {$table} is not what the back-up says.");
            }
        }
        if ($upToDate) {
            self::migrate(array_values($known));
        }

        return $said['tables'];
    }

    /** @param  list<string>  $paths */
    private static function migrate(array $paths): void
    {
        if (Artisan::call('migrate', ['--force' => true, '--realpath' => true, '--path' => $paths]) !== 0) {
            throw new RuntimeException('The tables could not be made: '.trim(Artisan::output()));
        }
    }

    /** Rows point to each other across tables: the links are looked at again when all are back. */
    private static function fill(string $path): void
    {
        DB::unprepared('SET SESSION foreign_key_checks = 0');
        try {
            DB::transaction(static function () use ($path): void {
                foreach (array_keys(Tables::kept()) as $table) {
                    DB::table($table)->delete();
                }
                $waiting = [];
                foreach (BackupFile::rows($path) as $table => $row) {
                    if ($waiting !== [] && ($table !== array_key_first($waiting) || count($waiting[$table]) === Tables::atOnce($table, self::AT_ONCE))) {
                        self::insert($waiting);
                        $waiting = [];
                    }
                    $waiting[$table][] = $row;
                }
                self::insert($waiting);
            });
        } finally {
            DB::unprepared('SET SESSION foreign_key_checks = 1');
        }
    }

    /** @param  array<string, list<array<string, mixed>>>  $rows */
    private static function insert(array $rows): void
    {
        foreach ($rows as $table => $some) {
            DB::table($table)->insert($some);
        }
    }
}
