<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** When an instructor works, and how much of it they give lessons at most. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('users', 'works_from', "ADD works_from CHAR(5) CHARACTER SET ascii NOT NULL DEFAULT '08:00',
            ADD works_until CHAR(5) CHARACTER SET ascii NOT NULL DEFAULT '20:00', ADD most_minutes SMALLINT UNSIGNED NULL");
    }

    public function down(): void
    {
        if (Schema::hasColumn('users', 'works_from')) {
            DB::statement('ALTER TABLE users DROP COLUMN works_from, DROP COLUMN works_until, DROP COLUMN most_minutes');
        }
    }
};
