<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The secret address at which somebody's own calendar reads their diary: only a hash of it is kept. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('users', 'calendar_key', "ADD calendar_key CHAR(64) CHARACTER SET ascii NULL,
            ADD calendar_names ENUM('all','adults','nobody') NOT NULL DEFAULT 'adults', ADD UNIQUE KEY users_calendar (calendar_key)");
    }

    public function down(): void
    {
        if (Schema::hasColumn('users', 'calendar_key')) {
            DB::statement('ALTER TABLE users DROP KEY users_calendar, DROP COLUMN calendar_key, DROP COLUMN calendar_names');
        }
    }
};
