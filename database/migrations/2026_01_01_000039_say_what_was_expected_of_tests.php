<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the marks said of a test before it was driven: the record is held against what came of it. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('assessments', 'chance', 'ADD chance DOUBLE NULL');
    }

    public function down(): void
    {
        if (Schema::hasColumn('assessments', 'chance')) {
            Schema::table('assessments', fn (Blueprint $table) => $table->dropColumn('chance'));
        }
    }
};
