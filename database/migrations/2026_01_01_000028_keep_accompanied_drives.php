<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a learner drove with somebody other than an instructor, as they told of it. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        DB::statement('CREATE TABLE IF NOT EXISTS accompanied_drives (
            id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, learner_id UUID NOT NULL, starts_at DATETIME NOT NULL,
            minutes SMALLINT UNSIGNED NOT NULL, conditions JSON NOT NULL, note VARCHAR(300) NULL,
            created_at TIMESTAMP NULL, updated_at TIMESTAMP NULL, deleted_at TIMESTAMP NULL,
            KEY accompanied_drives_of (school_id, learner_id, starts_at),
            CONSTRAINT accompanied_drives_school FOREIGN KEY (school_id) REFERENCES schools (id),
            CONSTRAINT accompanied_drives_learner FOREIGN KEY (school_id, learner_id) REFERENCES learners (school_id, id),
            CONSTRAINT accompanied_drives_minutes CHECK (minutes BETWEEN 1 AND 720)
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
    }

    public function down(): void
    {
        Schema::dropIfExists('accompanied_drives');
    }
};
