<?php

namespace App\Installation;

use Illuminate\Support\Facades\DB;

/** The tables of this installation, whatever their form at present: what holds data worth keeping, and in which order it is read. */
final class Tables
{
    /** What is made again by itself, and what nobody wants back: it is not kept. */
    private const PASSING = ['migrations', 'sessions', 'cache', 'cache_locks', 'jobs', 'job_batches'];

    /** Rows of more than a megabyte: so many fit into one statement of the database. */
    private const LARGE = ['pictures' => 5];

    /** @return int rows to be read or written at once, where so many are usual */
    public static function atOnce(string $table, int $usual): int
    {
        return min($usual, self::LARGE[$table] ?? $usual);
    }

    /** @return array<string, string> primary key by table, in the order of their names */
    public static function kept(): array
    {
        $keys = DB::table('information_schema.key_column_usage')->where('constraint_schema', DB::getDatabaseName())->where('constraint_name', 'PRIMARY')
            ->whereNotIn('table_name', self::PASSING)->orderBy('table_name')->selectRaw('table_name AS name, column_name AS `key`')->get();

        return $keys->pluck('key', 'name')->all();
    }

    /** Whether anything is there that would be missed. */
    public static function holdAnything(): bool
    {
        foreach (array_keys(self::kept()) as $table) {
            // What an installation is stands in it from the first moment.
            if ($table !== 'installations' && DB::table($table)->exists()) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> names of the migrations that have been done here, oldest first */
    public static function migrations(): array
    {
        return DB::getSchemaBuilder()->hasTable('migrations') ? array_values(DB::table('migrations')->orderBy('id')->pluck('migration')->all()) : [];
    }

    /** @return array<string, string> path by name of every migration this version knows, oldest first */
    public static function knownMigrations(): array
    {
        $paths = glob(database_path('migrations/*.php')) ?: [];
        sort($paths);

        return array_combine(array_map(static fn (string $path): string => basename($path, '.php'), $paths), $paths);
    }
}
