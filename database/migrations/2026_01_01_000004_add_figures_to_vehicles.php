<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What is known of a car beyond its size: engine, gears, wheels, as the core's tools read it. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('vehicles', 'figures', "ADD figures JSON NOT NULL DEFAULT '{}' AFTER width_m");
    }

    public function down(): void
    {
        Schema::table('vehicles', fn (Blueprint $table) => $table->dropColumn('figures'));
    }
};
