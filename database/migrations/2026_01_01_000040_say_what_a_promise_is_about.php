<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was agreed for next time can name a routine, and a step of it: the lesson that is proposed takes it up. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('promises', 'routine', 'ADD routine VARCHAR(40) NULL AFTER text, ADD step VARCHAR(20) NULL AFTER routine');
    }

    public function down(): void
    {
        if (Schema::hasColumn('promises', 'routine')) {
            Schema::table('promises', fn (Blueprint $table) => $table->dropColumn(['routine', 'step']));
        }
    }
};
