<?php

use App\Database\RepeatableMigration;
use App\Diary\Bookings;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What becomes of a lesson, where it begins and ends, and whose time it takes. The database itself refuses two things at once: a row for each
 * of instructor, learner and car, whose periods do not overlap. Lessons that clash already get none, and are shown to the owner.
 */
return new class extends RepeatableMigration
{
    private const STATES = "'wished','booked','done','cut-short','cancelled','no-show'";

    public function up(): void
    {
        DB::statement("ALTER TABLE lessons MODIFY state ENUM('planned',".self::STATES.") NOT NULL DEFAULT 'booked'");
        DB::table('lessons')->where('state', 'planned')->update(['state' => 'booked']);
        DB::statement('ALTER TABLE lessons MODIFY state ENUM('.self::STATES.") NOT NULL DEFAULT 'booked'");
        $this->addColumns('lessons', 'cut_to_minutes', 'ADD cut_to_minutes SMALLINT UNSIGNED NULL AFTER state,
            ADD ended_by VARCHAR(12) NULL AFTER cut_to_minutes, ADD ended_at DATETIME NULL AFTER ended_by, ADD ended_why VARCHAR(300) NULL AFTER ended_at,
            ADD charged TINYINT(1) NULL AFTER ended_why,
            ADD pick_up VARCHAR(200) NULL AFTER minutes, ADD pick_up_latitude_deg DECIMAL(9,6) NULL AFTER pick_up,
            ADD pick_up_longitude_deg DECIMAL(9,6) NULL AFTER pick_up_latitude_deg,
            ADD drop_off VARCHAR(200) NULL AFTER pick_up_longitude_deg, ADD drop_off_latitude_deg DECIMAL(9,6) NULL AFTER drop_off,
            ADD drop_off_longitude_deg DECIMAL(9,6) NULL AFTER drop_off_latitude_deg,
            ADD moved_from_id UUID NULL,
            ADD CONSTRAINT lessons_moved_from FOREIGN KEY (school_id, moved_from_id) REFERENCES lessons (school_id, id)');
        $this->check('lessons', 'lessons_whole_positions', '(pick_up_latitude_deg IS NULL) = (pick_up_longitude_deg IS NULL)
            AND (drop_off_latitude_deg IS NULL) = (drop_off_longitude_deg IS NULL)');
        $this->check('lessons', 'lessons_cut', "cut_to_minutes IS NULL OR (state = 'cut-short' AND cut_to_minutes BETWEEN 1 AND minutes)");
        DB::statement("CREATE TABLE IF NOT EXISTS bookings (
            id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, lesson_id UUID NOT NULL, who ENUM('instructor','learner','car') NOT NULL,
            who_id UUID NOT NULL, starts_at DATETIME NOT NULL, ends_at DATETIME NOT NULL, PERIOD FOR taken (starts_at, ends_at),
            UNIQUE KEY bookings_one_at_a_time (who_id, taken WITHOUT OVERLAPS),
            UNIQUE KEY bookings_of_lesson (lesson_id, who),
            KEY bookings_of_school (school_id, starts_at),
            CONSTRAINT bookings_lesson FOREIGN KEY (school_id, lesson_id) REFERENCES lessons (school_id, id) ON DELETE CASCADE
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
        Bookings::fill();
    }

    public function down(): void
    {
        Schema::dropIfExists('bookings');
        DB::statement('ALTER TABLE lessons DROP CONSTRAINT IF EXISTS lessons_moved_from');
        $this->check('lessons', 'lessons_whole_positions', '1 = 1');
        $this->check('lessons', 'lessons_cut', '1 = 1');
        Schema::table('lessons', fn ($table) => $table->dropColumn([
            'cut_to_minutes', 'ended_by', 'ended_at', 'ended_why', 'charged', 'moved_from_id', 'pick_up', 'pick_up_latitude_deg', 'pick_up_longitude_deg',
            'drop_off', 'drop_off_latitude_deg', 'drop_off_longitude_deg',
        ]));
        DB::statement("ALTER TABLE lessons MODIFY state ENUM('planned',".self::STATES.") NOT NULL DEFAULT 'planned'");
        DB::table('lessons')->whereIn('state', ['wished', 'booked'])->update(['state' => 'planned']);
        DB::table('lessons')->where('state', 'cut-short')->update(['state' => 'done']);
        DB::table('lessons')->where('state', 'no-show')->update(['state' => 'cancelled']);
        DB::statement("ALTER TABLE lessons MODIFY state ENUM('planned','done','cancelled') NOT NULL DEFAULT 'planned'");
    }
};
