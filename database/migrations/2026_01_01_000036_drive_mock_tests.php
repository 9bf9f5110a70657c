<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Mock tests that are driven in a lesson: which one, and which of its rounds were driven in it. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('assessments', 'lesson_id', 'ADD lesson_id UUID NULL,
            ADD CONSTRAINT assessments_lesson FOREIGN KEY (school_id, lesson_id) REFERENCES lessons (school_id, id)');
        $this->addColumns('rounds', 'assessment_id', 'ADD assessment_id UUID NULL,
            ADD CONSTRAINT rounds_assessment FOREIGN KEY (assessment_id) REFERENCES assessments (id)');
    }

    public function down(): void
    {
        if (Schema::hasColumn('rounds', 'assessment_id')) {
            DB::statement('ALTER TABLE rounds DROP CONSTRAINT IF EXISTS rounds_assessment, DROP COLUMN assessment_id');
        }
        if (Schema::hasColumn('assessments', 'lesson_id')) {
            DB::statement('ALTER TABLE assessments DROP CONSTRAINT IF EXISTS assessments_lesson, DROP COLUMN lesson_id');
        }
    }
};
