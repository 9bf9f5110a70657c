<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Texts to learners: in whose words and when, what each was last told of a lesson, and the outbox. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        // Null: nobody is told anything from here.
        $this->addColumns('schools', 'texts', 'ADD texts JSON NULL');
        $this->addColumns('learners', 'wants_texts', 'ADD wants_texts TINYINT(1) NOT NULL DEFAULT 1');
        // What was last told of a lesson, once for each: `starts_at` is null where it was told that it is off.
        DB::statement('CREATE TABLE IF NOT EXISTS told (
            lesson_id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, starts_at DATETIME NULL, minutes SMALLINT UNSIGNED NULL, told_at DATETIME NOT NULL,
            pick_up VARCHAR(200) NULL,
            is_reminded TINYINT(1) NOT NULL DEFAULT 0,
            CONSTRAINT told_lesson FOREIGN KEY (school_id, lesson_id) REFERENCES lessons (school_id, id) ON DELETE CASCADE
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
        DB::statement("CREATE TABLE IF NOT EXISTS texts (
            id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, lesson_id UUID NOT NULL, learner_id UUID NOT NULL,
            kind ENUM('booked','moved','cancelled','day-before','late') NOT NULL, body VARCHAR(1000) NULL, phone VARCHAR(40) NULL,
            unsent ENUM('no-texts','no-number','quiet') NULL, made_at DATETIME NOT NULL, passed_on_at DATETIME NULL,
            knew_at DATETIME NULL, knew_starts_at DATETIME NULL, knew_minutes SMALLINT UNSIGNED NULL,
            knew_pick_up VARCHAR(200) NULL, knew_reminded TINYINT(1) NOT NULL DEFAULT 0,
            UNIQUE KEY texts_of_school (school_id, id), KEY texts_made (school_id, made_at),
            KEY texts_of_lesson (school_id, lesson_id),
            CONSTRAINT texts_lesson FOREIGN KEY (school_id, lesson_id) REFERENCES lessons (school_id, id) ON DELETE CASCADE,
            CONSTRAINT texts_learner FOREIGN KEY (school_id, learner_id) REFERENCES learners (school_id, id)
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
    }

    public function down(): void
    {
        Schema::dropIfExists('texts');
        Schema::dropIfExists('told');
        foreach (['learners' => 'wants_texts', 'schools' => 'texts'] as $table => $column) {
            if (Schema::hasColumn($table, $column)) {
                DB::statement("ALTER TABLE {$table} DROP COLUMN {$column}");
            }
        }
    }
};
