<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A place that was met twice: what was driven at the one that is archived counts with the one that stays. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns(
            'places', 'same_as_id',
            'ADD same_as_id UUID NULL, ADD CONSTRAINT places_same_as FOREIGN KEY (school_id, same_as_id) REFERENCES places (school_id, id)',
        );
    }

    public function down(): void
    {
        if (Schema::hasColumn('places', 'same_as_id')) {
            DB::statement('ALTER TABLE places DROP FOREIGN KEY places_same_as');
            DB::statement('ALTER TABLE places DROP COLUMN same_as_id');
        }
    }
};
