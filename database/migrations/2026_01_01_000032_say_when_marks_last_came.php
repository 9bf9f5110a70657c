<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** When marks of a learner last came: who reads a record again has read it, as long as none came since. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('learners', 'marks_came_at', 'ADD marks_came_at DATETIME(3) NULL');
        DB::statement('UPDATE learners SET marks_came_at = (
            SELECT MAX(marks.server_at) FROM marks JOIN rounds ON rounds.id = marks.round_id JOIN lessons ON lessons.id = rounds.lesson_id
            WHERE lessons.learner_id = learners.id
        ) WHERE marks_came_at IS NULL');
    }

    public function down(): void
    {
        if (Schema::hasColumn('learners', 'marks_came_at')) {
            DB::statement('ALTER TABLE learners DROP COLUMN marks_came_at');
        }
    }
};
