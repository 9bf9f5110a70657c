<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How often anything of a school was written: whoever knows the number knows whether an answer that was kept still stands. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        // No foreign key: a row of a school would be locked by whoever writes anything that belongs to it.
        DB::statement('CREATE TABLE IF NOT EXISTS school_versions (
            school_id UUID NOT NULL PRIMARY KEY, version BIGINT UNSIGNED NOT NULL
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
    }

    public function down(): void
    {
        Schema::dropIfExists('school_versions');
    }
};
