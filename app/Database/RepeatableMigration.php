<?php

namespace App\Database;

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;

/**
 * A migration that can be broken off anywhere and begun again: MariaDB ends every statement that shapes a table
 * by itself, so a killed migration leaves some of its statements done. Each step here looks at what is there first.
 */
abstract class RepeatableMigration extends Migration
{
    /**
     * Makes room for tables that this migration creates: what a broken-off run left of them is empty, and goes.
     *
     * @param  list<string>  $tables  those that point to others first
     *
     * @throws RuntimeException where one of them holds rows: that is no leftover
     */
    protected function clear(array $tables): void
    {
        foreach ($tables as $name) {
            if (Schema::hasTable($name) && DB::table($name)->exists()) {
                throw new RuntimeException("The table {$name} is there and holds rows: it is not made anew.");
            }
        }
        foreach ($tables as $name) {
            Schema::dropIfExists($name);
        }
    }

    /** Adds columns in one statement, unless the first of them is there already. */
    protected function addColumns(string $table, string $first, string $definitions): void
    {
        if (! Schema::hasColumn($table, $first)) {
            DB::statement("ALTER TABLE {$table} {$definitions}");
        }
    }

    /** Puts a check in force, in one statement, whether it was there before or not. */
    protected function check(string $table, string $name, string $condition): void
    {
        DB::statement("ALTER TABLE {$table} DROP CONSTRAINT IF EXISTS {$name}, ADD CONSTRAINT {$name} CHECK ({$condition})");
    }
}
