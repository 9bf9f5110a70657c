<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Circuits that are kept, the file of each test centre, and drives that somebody has measured. Each table in one statement: there whole or not at all. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        DB::statement('CREATE TABLE IF NOT EXISTS centres (
            id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, name VARCHAR(120) NOT NULL, latitude_deg DECIMAL(9,6) NULL,
            longitude_deg DECIMAL(9,6) NULL, arrival VARCHAR(1000) NULL, bays VARCHAR(1000) NULL, ways_in_and_out VARCHAR(1000) NULL,
            checks JSON NOT NULL, traps JSON NOT NULL, note VARCHAR(1000) NULL,
            created_at TIMESTAMP NULL, updated_at TIMESTAMP NULL, deleted_at TIMESTAMP NULL,
            UNIQUE KEY centres_of_school (school_id, id),
            CONSTRAINT centres_school FOREIGN KEY (school_id) REFERENCES schools (id),
            CONSTRAINT centres_whole_position CHECK ((latitude_deg IS NULL) = (longitude_deg IS NULL))
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
        // `ways` are in the order in which they were taken in; which of them are driven in which order, the core says of `order` and `minutes`.
        DB::statement('CREATE TABLE IF NOT EXISTS circuits (
            id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, user_id UUID NOT NULL, centre_id UUID NULL, name VARCHAR(120) NOT NULL,
            minutes SMALLINT UNSIGNED NOT NULL, `order` VARCHAR(20) NOT NULL, ways JSON NOT NULL, shared TINYINT(1) NOT NULL, rehearsal TINYINT(1) NOT NULL,
            note VARCHAR(500) NULL, created_at TIMESTAMP NULL, updated_at TIMESTAMP NULL, deleted_at TIMESTAMP NULL,
            CONSTRAINT circuits_school FOREIGN KEY (school_id) REFERENCES schools (id),
            CONSTRAINT circuits_user FOREIGN KEY (user_id) REFERENCES users (id),
            CONSTRAINT circuits_centre FOREIGN KEY (school_id, centre_id) REFERENCES centres (school_id, id)
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
        // From one site to another; null is where the school lies. What was driven is measured once, however often its file comes.
        DB::statement("CREATE TABLE IF NOT EXISTS legs (
            id UUID NOT NULL PRIMARY KEY, school_id UUID NOT NULL, from_site_id UUID NULL, to_site_id UUID NULL, time_s SMALLINT UNSIGNED NOT NULL,
            distance_m MEDIUMINT UNSIGNED NOT NULL, driven_at TIMESTAMP NOT NULL DEFAULT '2000-01-01 00:00:00',
            created_at TIMESTAMP NULL, updated_at TIMESTAMP NULL, deleted_at TIMESTAMP NULL,
            KEY legs_driven (school_id, driven_at),
            CONSTRAINT legs_school FOREIGN KEY (school_id) REFERENCES schools (id),
            CONSTRAINT legs_from FOREIGN KEY (school_id, from_site_id) REFERENCES sites (school_id, id),
            CONSTRAINT legs_to FOREIGN KEY (school_id, to_site_id) REFERENCES sites (school_id, id)
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
    }

    public function down(): void
    {
        Schema::dropIfExists('legs');
        Schema::dropIfExists('circuits');
        Schema::dropIfExists('centres');
    }
};
