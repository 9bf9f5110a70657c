<?php

use App\Database\RepeatableMigration;
use Illuminate\Support\Facades\DB;

/** Pages of the bench are called after the tools they ask; kept ones lead to them by the new names. */
return new class extends RepeatableMigration
{
    private const NAMES = ['roundabout' => 'lanes', 'gears' => 'engine', 'reversing' => 'reverse', 'long-vehicle' => 'swept-path'];

    public function up(): void
    {
        foreach (self::NAMES as $before => $now) {
            DB::table('drawings')->where('page', $before)->update(['page' => $now]);
        }
    }

    public function down(): void
    {
        foreach (self::NAMES as $before => $now) {
            DB::table('drawings')->where('page', $now)->update(['page' => $before]);
        }
    }
};
