<?php

use App\Database\AppendOnly;
use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * The log is read in the order of the presses, not of their arrival. A mark knows its slot: the one thing of a round it speaks of,
 * of which the latest press stands. A round's number is derived when it is read, so that two devices cannot make the same.
 */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('learners', 'marks_read_at', 'ADD marks_read_at DATETIME(3) NULL');
        $this->addColumns('rounds', 'began_at', 'ADD began_at DATETIME(3) NULL AFTER device_at');
        $this->addColumns(
            'marks', 'slot',
            'ADD slot VARCHAR(48) NULL AFTER kind, ADD pressed_at DATETIME(3) NULL AFTER device_at, ADD after_read BOOLEAN NOT NULL DEFAULT 0 AFTER withdrawn',
        );
        AppendOnly::lifted('rounds', function (): void {
            DB::statement('UPDATE rounds SET began_at = LEAST(device_at, server_at) WHERE began_at IS NULL');
        });
        AppendOnly::lifted('marks', function (): void {
            // A mark that corrects nothing: its slot is its step, or its kind; each moment has one of its own.
            DB::statement("UPDATE marks SET pressed_at = LEAST(device_at, server_at), slot = CASE kind WHEN 'step' THEN step WHEN 'moment' THEN CONCAT('moment ', id) ELSE kind END
                WHERE corrects_id IS NULL AND slot IS NULL");
            // A correction comes after what it corrects and speaks of the same: chain by chain, from the first mark on.
            while (DB::update('UPDATE marks JOIN marks AS earlier ON earlier.id = marks.corrects_id
                JOIN rounds ON rounds.id = marks.round_id JOIN lessons ON lessons.id = rounds.lesson_id
                SET marks.slot = earlier.slot, marks.kind = earlier.kind, marks.step = earlier.step,
                    marks.pressed_at = GREATEST(LEAST(marks.device_at, marks.server_at), earlier.pressed_at + INTERVAL 1000 MICROSECOND),
                    marks.after_read = marks.server_at > lessons.starts_at + INTERVAL lessons.minutes MINUTE
                WHERE marks.slot IS NULL AND earlier.slot IS NOT NULL') > 0) {
            }
        });
        DB::statement('ALTER TABLE rounds MODIFY began_at DATETIME(3) NOT NULL, DROP COLUMN IF EXISTS ordinal');
        DB::statement(
            'ALTER TABLE marks MODIFY slot VARCHAR(48) NOT NULL, MODIFY pressed_at DATETIME(3) NOT NULL, ADD INDEX IF NOT EXISTS marks_standing (round_id, slot, pressed_at, id)',
        );
        // Two devices may correct the same mark: the later press stands, and both are kept.
        DB::statement('ALTER TABLE marks ADD INDEX IF NOT EXISTS marks_corrects_id_index (corrects_id), DROP INDEX IF EXISTS marks_corrects_id_unique');
    }

    public function down(): void
    {
        Schema::table('marks', fn ($table) => $table->dropColumn(['slot', 'pressed_at', 'after_read']));
        Schema::table('rounds', fn ($table) => $table->dropColumn('began_at'));
        Schema::table('learners', fn ($table) => $table->dropColumn('marks_read_at'));
    }
};
