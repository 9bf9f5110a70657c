<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What each lesson told of its learner. Can be thrown away: it is made again from the marks. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        DB::statement('CREATE TABLE IF NOT EXISTS told_lessons (
            lesson_id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, learner_id UUID NOT NULL,
            stands_for CHAR(64) CHARACTER SET ascii NOT NULL, ended_at DATETIME NOT NULL, body MEDIUMTEXT NOT NULL, foretold TEXT NULL,
            KEY told_lessons_of (school_id, learner_id, ended_at),
            CONSTRAINT told_lessons_school FOREIGN KEY (school_id) REFERENCES schools (id),
            CONSTRAINT told_lessons_learner FOREIGN KEY (school_id, learner_id) REFERENCES learners (school_id, id),
            CONSTRAINT told_lessons_lesson FOREIGN KEY (lesson_id) REFERENCES lessons (id) ON DELETE CASCADE
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
    }

    public function down(): void
    {
        Schema::dropIfExists('told_lessons');
    }
};
