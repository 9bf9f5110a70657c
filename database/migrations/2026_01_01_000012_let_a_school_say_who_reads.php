<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whether colleagues read each other's lessons is the school's choice; until now they did. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('schools', 'colleagues_read', 'ADD colleagues_read BOOLEAN NOT NULL DEFAULT 1 AFTER practice');
    }

    public function down(): void
    {
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn('colleagues_read'));
    }
};
