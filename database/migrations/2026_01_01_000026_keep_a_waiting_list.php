<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Who would like an hour that comes free, and when they can. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        DB::statement('CREATE TABLE IF NOT EXISTS waiting (
            id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, learner_id UUID NOT NULL, minutes SMALLINT UNSIGNED NOT NULL, wishes JSON NOT NULL,
            note VARCHAR(300) NULL, created_at TIMESTAMP NULL, updated_at TIMESTAMP NULL, deleted_at TIMESTAMP NULL,
            UNIQUE KEY waiting_learner (learner_id),
            CONSTRAINT waiting_school FOREIGN KEY (school_id) REFERENCES schools (id),
            CONSTRAINT waiting_of FOREIGN KEY (school_id, learner_id) REFERENCES learners (school_id, id)
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
    }

    public function down(): void
    {
        Schema::dropIfExists('waiting');
    }
};
