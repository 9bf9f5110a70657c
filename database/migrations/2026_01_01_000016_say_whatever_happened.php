<?php

use App\Database\AppendOnly;
use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A round needs no place: what is taught everywhere, and a hazard nobody planned; a word says where, a place can be given afterwards, and
 * which moment it was told of is kept. Marks say right decisions, counts by the key, and the stage of a step.
 */
return new class extends RepeatableMigration
{
    private const KINDS = ['step', 'held-back-rightly', 'taught', 'moment', 'conditions'];

    private const MORE_KINDS = ['place', 'decision', 'count'];

    private const CHECKS = [
        'marks_place' => "(kind = 'place' AND (place_id IS NOT NULL OR withdrawn = 1)) OR (kind <> 'place' AND place_id IS NULL)",
        'marks_decision' => "(kind = 'decision' AND (decision IS NOT NULL OR withdrawn = 1)) OR (kind <> 'decision' AND decision IS NULL)",
        'marks_count' => "(kind = 'count' AND (withdrawn = 1 OR (what IS NOT NULL AND number IS NOT NULL AND seconds IS NOT NULL)))
            OR (kind <> 'count' AND what IS NULL AND number IS NULL AND seconds IS NULL)",
        'marks_stage_of_a_step' => "stage IS NULL OR kind = 'step'",
    ];

    private const NOT_OF_A_STEP = 'step IS NULL AND outcome IS NULL AND taught IS NULL';

    public function up(): void
    {
        DB::statement('ALTER TABLE rounds MODIFY place_id UUID NULL');
        $this->addColumns('rounds', 'elsewhere', "ADD elsewhere VARCHAR(120) NULL AFTER place_id, ADD moment_id UUID NULL AFTER elsewhere,
            ADD side ENUM('left', 'right') NULL AFTER routine");
        $this->kinds([...self::KINDS, ...self::MORE_KINDS]);
        $this->addColumns('marks', 'place_id', 'ADD place_id UUID NULL AFTER effect, ADD stage VARCHAR(12) NULL AFTER step,
            ADD decision VARCHAR(30) NULL AFTER taught, ADD what VARCHAR(20) NULL AFTER decision, ADD number SMALLINT UNSIGNED NULL AFTER what,
            ADD seconds DECIMAL(7, 2) NULL AFTER number');
        DB::statement('ALTER TABLE marks ADD CONSTRAINT marks_place_of_the_school FOREIGN KEY IF NOT EXISTS (school_id, place_id) REFERENCES places (school_id, id)');
        foreach (self::CHECKS as $name => $condition) {
            $this->check('marks', $name, $condition);
        }
        $this->saysSomething(self::MORE_KINDS);
        AppendOnly::letNotesBeBlanked();
    }

    public function down(): void
    {
        foreach (array_keys(self::CHECKS) as $name) {
            $this->check('marks', $name, '1 = 1');
        }
        $this->saysSomething([]);
        DB::statement('ALTER TABLE marks DROP FOREIGN KEY IF EXISTS marks_place_of_the_school');
        Schema::table('marks', fn (Blueprint $table) => $table->dropColumn(['place_id', 'stage', 'decision', 'what', 'number', 'seconds']));
        $this->kinds(self::KINDS);
        // The lock of the rounds names their columns.
        AppendOnly::protect('rounds');
        Schema::table('rounds', fn (Blueprint $table) => $table->dropColumn(['elsewhere', 'moment_id', 'side']));
        AppendOnly::letNotesBeBlanked();
    }

    /** @param  list<string>  $more  kinds that say neither a step nor how it was taught */
    private function saysSomething(array $more): void
    {
        $this->check('marks', 'marks_say_something', "withdrawn = 1 AND corrects_id IS NOT NULL OR withdrawn = 0 AND (
            kind = 'step' AND step IS NOT NULL AND outcome IS NOT NULL AND taught IS NULL
            OR kind = 'taught' AND taught IS NOT NULL AND step IS NULL AND outcome IS NULL
            OR kind = 'conditions' AND conditions IS NOT NULL AND ".self::NOT_OF_A_STEP.'
            OR kind IN ('.self::quoted(['held-back-rightly', 'moment', ...$more]).') AND '.self::NOT_OF_A_STEP.')');
    }

    /** @param  list<string>  $kinds */
    private function kinds(array $kinds): void
    {
        DB::statement('ALTER TABLE marks MODIFY kind ENUM('.self::quoted($kinds).') NOT NULL');
    }

    /** @param  list<string>  $words */
    private static function quoted(array $words): string
    {
        return implode(', ', array_map(static fn (string $word): string => "'{$word}'", $words));
    }
};
