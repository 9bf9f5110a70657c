<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;

/** Some days of one instructor’s diary are found without reading those of the whole school; what tied lessons to instructors is served by it, too. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        DB::statement('ALTER TABLE lessons ADD INDEX IF NOT EXISTS lessons_of_instructor (school_id, instructor_id, starts_at),
            DROP INDEX IF EXISTS lessons_school_id_instructor_id_foreign');
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE lessons ADD INDEX IF NOT EXISTS lessons_school_id_instructor_id_foreign (school_id, instructor_id),
            DROP INDEX IF EXISTS lessons_of_instructor');
    }
};
