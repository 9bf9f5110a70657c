<?php

use App\Database\AppendOnly;
use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** People are invited, suspended and follow each other; letters wait in an outbox; changes are kept; a learner can be erased. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('users', 'joined_at', 'ADD joined_at DATETIME NULL AFTER role, ADD suspended_at DATETIME NULL AFTER joined_at');
        // Who was there before had a password: nobody had been invited yet.
        DB::statement('UPDATE users SET joined_at = COALESCE(created_at, NOW()) WHERE joined_at IS NULL');
        $this->addColumns('learners', 'erased_at', 'ADD erased_at DATETIME NULL AFTER deleted_at, ADD keep_until DATE NULL AFTER erased_at');
        $this->addColumns(
            'schools', 'keep_months',
            'ADD keep_months SMALLINT UNSIGNED NULL AFTER practice, ADD keep_minors_months SMALLINT UNSIGNED NULL AFTER keep_months',
        );
        $this->check(
            'schools', 'schools_keep',
            '(keep_months IS NULL OR keep_months BETWEEN 1 AND 240) AND (keep_minors_months IS NULL OR keep_minors_months BETWEEN 1 AND 240)',
        );
        $this->clear(['changes', 'letters', 'password_reset_tokens']);
        DB::statement(
            'CREATE TABLE password_reset_tokens (email VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL PRIMARY KEY, token VARCHAR(255) NOT NULL, created_at TIMESTAMP NULL)',
        );
        Schema::create('letters', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->uuid('user_id');
            $table->enum('kind', ['invitation', 'password']);
            $table->string('subject', 160);
            // What went by mail is not kept: it holds a way in.
            $table->text('body')->nullable();
            $table->dateTime('created_at');
            $table->dateTime('ends_at');
            $table->foreign(['school_id', 'user_id'])->references(['school_id', 'id'])->on('users');
            $table->index(['school_id', 'created_at']);
        });
        Schema::create('changes', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->uuid('user_id');
            $table->dateTime('at', 3);
            $table->string('what', 24);
            $table->string('kind', 16);
            $table->uuid('subject_id');
            // As it was called then; blank once whoever it names is erased.
            $table->string('name', 160);
            $table->json('details');
            $table->foreign(['school_id', 'user_id'])->references(['school_id', 'id'])->on('users');
            $table->index(['school_id', 'at']);
            $table->index(['subject_id', 'at']);
        });
        AppendOnly::letNotesBeBlanked();
    }

    public function down(): void
    {
        AppendOnly::protect('marks');
        foreach (['changes', 'letters', 'password_reset_tokens'] as $table) {
            Schema::dropIfExists($table);
        }
        DB::statement('ALTER TABLE schools DROP CONSTRAINT IF EXISTS schools_keep');
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn(['keep_months', 'keep_minors_months']));
        Schema::table('learners', fn (Blueprint $table) => $table->dropColumn(['erased_at', 'keep_until']));
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn(['joined_at', 'suspended_at']));
    }
};
