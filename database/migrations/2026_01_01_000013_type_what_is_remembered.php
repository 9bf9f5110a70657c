<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A place's road says of which kind it is and in which version it is written; what is planned is planned at a place and copies
 * nothing of it; a round keeps the plan it was driven against; a page of the bench what its tool was asked. Lists of names stand
 * here as they were on that day.
 */
return new class extends RepeatableMigration
{
    private const VERSION = 1;

    private const KINDS = [
        'slip' => ['join', 'leave'],
        'roundabout' => ['roundabout', 'mini-roundabout'],
        'kerb' => ['move-off', 'pull-up-left', 'pull-up-right', 'pull-up-right-reverse', 'back-up'],
        'stretch' => ['pass-parked', 'meet', 'pass-bus', 'people', 'hump', 'queue-stop', 'rail-crossing', 'lane-change-left', 'lane-change-right', 'overtake'],
    ];

    /** Facts that were taken for every approach and mean nothing on some kinds of road. */
    private const STRANGE = [
        'slip' => [],
        'junction' => [],
        'roundabout' => ['light', 'turn_radius_m'],
        'stretch' => ['exit', 'turn_radius_m'],
        'kerb' => ['control', 'light', 'exit', 'turn_radius_m'],
    ];

    public function up(): void
    {
        $this->addColumns('places', 'road', 'ADD road JSON NULL AFTER routine');
        if (Schema::hasColumn('places', 'approach')) {
            foreach (DB::table('places')->whereNull('road')->get(['id', 'routine', 'approach']) as $place) {
                DB::table('places')->where('id', $place->id)->update([
                    'road' => json_encode(
                        self::road((string) $place->routine, (array) json_decode((string) $place->approach, true)),
                        JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
                    ),
                ]);
            }
            DB::statement('ALTER TABLE places MODIFY road JSON NOT NULL, DROP COLUMN approach');
        }
        if (Schema::hasColumn('planned_items', 'routine')) {
            Schema::table('planned_items', fn (Blueprint $table) => $table->dropColumn('routine'));
        }
        $this->addColumns('rounds', 'plan', 'ADD plan JSON NULL AFTER conditions');
        $this->addColumns('drawings', 'page', 'CHANGE tool page VARCHAR(40) NOT NULL, ADD asked JSON NULL AFTER state');
    }

    public function down(): void
    {
        Schema::table('drawings', fn (Blueprint $table) => $table->dropColumn('asked'));
        DB::statement('ALTER TABLE drawings CHANGE page tool VARCHAR(40) NOT NULL');
        Schema::table('rounds', fn (Blueprint $table) => $table->dropColumn('plan'));
        DB::statement("ALTER TABLE planned_items ADD routine VARCHAR(40) NOT NULL DEFAULT '' AFTER place_id");
        DB::statement('UPDATE planned_items, places SET planned_items.routine = places.routine WHERE places.id = planned_items.place_id');
        DB::statement('ALTER TABLE places ADD approach JSON NULL AFTER routine');
        DB::statement("UPDATE places SET approach = JSON_REMOVE(road, '$.kind', '$.version')");
        DB::statement('ALTER TABLE places MODIFY approach JSON NOT NULL, DROP COLUMN road');
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function road(string $routine, array $facts): array
    {
        $kind = array_key_first(array_filter(self::KINDS, static fn (array $routines): bool => in_array($routine, $routines, true))) ?? 'junction';

        return ['kind' => $kind, 'version' => self::VERSION] + array_diff_key($facts, array_flip(self::STRANGE[$kind]));
    }
};
