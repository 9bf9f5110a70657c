<?php

use App\Database\AppendOnly;
use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Beside a step: which kind of fault was seen, and what it did to others. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns(
            'marks', 'fault', "ADD fault VARCHAR(30) NULL AFTER out_of_order, ADD effect ENUM('nobody', 'potential', 'affected', 'intervened') NULL AFTER fault",
        );
        $this->check('marks', 'marks_fault_of_a_step', "(fault IS NULL AND effect IS NULL) OR kind = 'step'");
        // What may not change of a mark counts its columns.
        AppendOnly::letNotesBeBlanked();
    }

    public function down(): void
    {
        $this->check('marks', 'marks_fault_of_a_step', '1 = 1');
        Schema::table('marks', fn (Blueprint $table) => $table->dropColumn(['fault', 'effect']));
        AppendOnly::letNotesBeBlanked();
    }
};
