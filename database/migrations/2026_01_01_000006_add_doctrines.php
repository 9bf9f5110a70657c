<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rule pack and practice may differ from the school's: for an instructor at a branch, for a learner who learns otherwise. */
return new class extends Migration
{
    private const WHOSE = ['users', 'learners'];

    public function up(): void
    {
        foreach (self::WHOSE as $whose) {
            Schema::table($whose, function (Blueprint $table): void {
                // Null: as the one above says.
                $table->string('pack', 8)->nullable();
                $table->json('practice')->default('{}');
            });
        }
    }

    public function down(): void
    {
        foreach (self::WHOSE as $whose) {
            Schema::table($whose, fn (Blueprint $table) => $table->dropColumn(['pack', 'practice']));
        }
    }
};
