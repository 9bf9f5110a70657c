<?php

use App\Database\RepeatableMigration;
use App\Sites\PlacesToSites;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What instructors say of a way: a note, and how hard they find it. Places that were described one by one become ways of sites, as the core of the
 * day on which this runs draws them: one that it cannot draw with the same plan stays as it is, and can be drawn later by hand.
 */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('sites', 'remarks', "ADD remarks JSON NOT NULL DEFAULT '[]' AFTER arms");
        PlacesToSites::all();
    }

    public function down(): void
    {
        Schema::table('sites', fn (Blueprint $table) => $table->dropColumn('remarks'));
    }
};
