<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Tests that learners took, and mock tests: what went wrong in them, and what it came to. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        DB::statement("CREATE TABLE IF NOT EXISTS assessments (
            id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, learner_id UUID NOT NULL, kind ENUM('mock-test','test') NOT NULL,
            taken_at DATETIME NOT NULL, scheme VARCHAR(20) NOT NULL, centre_id UUID NULL, result ENUM('pass','fail') NOT NULL,
            faults JSON NOT NULL, note VARCHAR(500) NULL,
            created_at TIMESTAMP NULL, updated_at TIMESTAMP NULL, deleted_at TIMESTAMP NULL,
            KEY assessments_of (school_id, learner_id, taken_at),
            CONSTRAINT assessments_school FOREIGN KEY (school_id) REFERENCES schools (id),
            CONSTRAINT assessments_learner FOREIGN KEY (school_id, learner_id) REFERENCES learners (school_id, id),
            CONSTRAINT assessments_centre FOREIGN KEY (school_id, centre_id) REFERENCES centres (school_id, id)
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
    }

    public function down(): void
    {
        Schema::dropIfExists('assessments');
    }
};
