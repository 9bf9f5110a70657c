<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rule pack and practice may differ from the school's: for an instructor at a branch, for a learner who learns otherwise. */
return new class extends RepeatableMigration
{
    private const WHOSE = ['users', 'learners'];

    public function up(): void
    {
        foreach (self::WHOSE as $whose) {
            // Null: as the one above says.
            $this->addColumns($whose, 'pack', "ADD pack VARCHAR(8) NULL, ADD practice JSON NOT NULL DEFAULT '{}'");
        }
    }

    public function down(): void
    {
        foreach (self::WHOSE as $whose) {
            Schema::table($whose, fn (Blueprint $table) => $table->dropColumn(['pack', 'practice']));
        }
    }
};
