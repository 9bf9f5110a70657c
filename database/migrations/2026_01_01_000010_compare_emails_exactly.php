<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;

/** An email is compared letter by letter (ö is not o), in small letters. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        DB::statement('UPDATE users SET email = LOWER(email)');
        DB::statement('ALTER TABLE users MODIFY email VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL');
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE users MODIFY email VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci NOT NULL');
    }
};
