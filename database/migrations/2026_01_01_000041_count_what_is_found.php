<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How often anything of a school was found in the background: pages of all records are kept as long as nothing is. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns(
            'school_versions', 'found', 'MODIFY version BIGINT UNSIGNED NOT NULL DEFAULT 0, ADD found BIGINT UNSIGNED NOT NULL DEFAULT 0',
        );
    }

    public function down(): void
    {
        if (Schema::hasColumn('school_versions', 'found')) {
            Schema::table('school_versions', fn (Blueprint $table) => $table->dropColumn('found'));
        }
    }
};
