<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Whether this is the demo or a school of its own is written down, once: the demo is loaded and made anew only where it is the demo. */
return new class extends RepeatableMigration
{
    /** Who owns the schools of the demo: by them an installation older than this is told. */
    private const OF_THE_DEMO = ['owner@harbourschool.test', 'owner@lighthouse.test', 'owner@bench.test'];

    public function up(): void
    {
        if (! Schema::hasTable('installations')) {
            Schema::create('installations', function (Blueprint $table): void {
                $table->unsignedTinyInteger('id')->primary();
                // Null until the first school stands.
                $table->enum('kind', ['demo', 'own'])->nullable();
            });
        }
        $own = DB::table('schools')->whereNotExists(
            fn ($owner) => $owner->from('users')->whereColumn('users.school_id', 'schools.id')->whereIn('email', self::OF_THE_DEMO),
        )->exists();
        $kind = $own ? 'own' : (DB::table('schools')->exists() ? 'demo' : null);
        DB::table('installations')->insertOrIgnore(['id' => 1, 'kind' => $kind]);
    }

    public function down(): void
    {
        Schema::dropIfExists('installations');
    }
};
