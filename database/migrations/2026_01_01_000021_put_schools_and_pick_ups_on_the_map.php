<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where a school lies, and where a learner is picked up: the address stays a text, the position is put there by hand or by standing there. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('schools', 'latitude_deg', 'ADD latitude_deg DECIMAL(9,6) NULL, ADD longitude_deg DECIMAL(9,6) NULL');
        $this->check('schools', 'schools_whole_position', '(latitude_deg IS NULL) = (longitude_deg IS NULL)');
        $this->addColumns(
            'learners', 'pick_up_latitude_deg',
            'ADD pick_up_latitude_deg DECIMAL(9,6) NULL AFTER pick_up, ADD pick_up_longitude_deg DECIMAL(9,6) NULL AFTER pick_up_latitude_deg',
        );
        $this->check('learners', 'learners_whole_pick_up', '(pick_up_latitude_deg IS NULL) = (pick_up_longitude_deg IS NULL)');
    }

    public function down(): void
    {
        $this->check('schools', 'schools_whole_position', '1 = 1');
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn(['latitude_deg', 'longitude_deg']));
        $this->check('learners', 'learners_whole_pick_up', '1 = 1');
        Schema::table('learners', fn (Blueprint $table) => $table->dropColumn(['pick_up_latitude_deg', 'pick_up_longitude_deg']));
    }
};
