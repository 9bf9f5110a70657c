<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What takes time and is no lesson: an hour one is busy, a test, a car that is away. It holds time in the same table as lessons do. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        DB::statement("CREATE TABLE IF NOT EXISTS busy_times (
            id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, kind ENUM('busy','test','away') NOT NULL, instructor_id UUID NULL, learner_id UUID NULL,
            vehicle_id UUID NULL, centre_id UUID NULL, title VARCHAR(120) NULL, starts_at DATETIME NOT NULL, ends_at DATETIME NOT NULL,
            created_at TIMESTAMP NULL, updated_at TIMESTAMP NULL, deleted_at TIMESTAMP NULL,
            UNIQUE KEY busy_times_of_school (school_id, id), KEY busy_times_between (school_id, starts_at),
            CONSTRAINT busy_times_school FOREIGN KEY (school_id) REFERENCES schools (id),
            CONSTRAINT busy_times_instructor FOREIGN KEY (instructor_id) REFERENCES users (id),
            CONSTRAINT busy_times_learner FOREIGN KEY (school_id, learner_id) REFERENCES learners (school_id, id),
            CONSTRAINT busy_times_vehicle FOREIGN KEY (school_id, vehicle_id) REFERENCES vehicles (school_id, id),
            CONSTRAINT busy_times_centre FOREIGN KEY (school_id, centre_id) REFERENCES centres (school_id, id),
            CONSTRAINT busy_times_end CHECK (ends_at > starts_at),
            CONSTRAINT busy_times_whose CHECK ((kind = 'away') = (instructor_id IS NULL) AND (kind = 'test') = (learner_id IS NOT NULL)
                AND (kind = 'busy') = (vehicle_id IS NULL))
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
        $this->addColumns('bookings', 'busy_time_id', 'MODIFY lesson_id UUID NULL, ADD busy_time_id UUID NULL AFTER lesson_id,
            ADD UNIQUE KEY bookings_of_busy_time (busy_time_id, who),
            ADD CONSTRAINT bookings_busy_time FOREIGN KEY (school_id, busy_time_id) REFERENCES busy_times (school_id, id) ON DELETE CASCADE');
        $this->check('bookings', 'bookings_of_one', '(lesson_id IS NULL) <> (busy_time_id IS NULL)');
    }

    public function down(): void
    {
        if (Schema::hasColumn('bookings', 'busy_time_id')) {
            DB::table('bookings')->whereNull('lesson_id')->delete();
            $this->check('bookings', 'bookings_of_one', '1 = 1');
            DB::statement('ALTER TABLE bookings DROP FOREIGN KEY IF EXISTS bookings_busy_time');
            DB::statement('ALTER TABLE bookings DROP CONSTRAINT IF EXISTS bookings_of_one, DROP KEY IF EXISTS bookings_of_busy_time,
                DROP KEY IF EXISTS bookings_busy_time, DROP COLUMN busy_time_id, MODIFY lesson_id UUID NOT NULL');
        }
        Schema::dropIfExists('busy_times');
    }
};
