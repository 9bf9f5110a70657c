<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How far somebody is from their test and whether they gain, beside what their marks say: worked out in the background for the whole school. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('skill_answers', 'outlook', 'ADD outlook TEXT NULL, ADD outlook_for VARCHAR(190) NULL');
    }

    public function down(): void
    {
        if (Schema::hasColumn('skill_answers', 'outlook')) {
            Schema::table('skill_answers', fn (Blueprint $table) => $table->dropColumn(['outlook', 'outlook_for']));
        }
    }
};
