<?php

use App\Database\AppendOnly;
use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Lessons with what was planned and promised, and the rounds and marks driven in them. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->clear(['marks', 'rounds', 'promises', 'planned_items', 'lessons']);
        Schema::create('lessons', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->uuid('learner_id');
            $table->uuid('instructor_id');
            $table->uuid('vehicle_id');
            $table->dateTime('starts_at');
            $table->unsignedSmallInteger('minutes');
            $table->string('aim', 300)->nullable();
            $table->enum('state', ['planned', 'done', 'cancelled'])->default('planned');
            $table->json('self_rating');
            $table->string('went_well', 500)->nullable();
            $table->string('worked_on', 500)->nullable();
            $table->timestamps();
            $table->unique(['school_id', 'id']);
            $table->index(['school_id', 'starts_at']);
            self::within($table, 'learner_id', 'learners');
            self::within($table, 'instructor_id', 'users');
            self::within($table, 'vehicle_id', 'vehicles');
        });
        $this->check('lessons', 'lessons_minutes', 'minutes BETWEEN 15 AND 480');
        Schema::create('planned_items', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->uuid('lesson_id');
            $table->uuid('place_id');
            $table->string('routine', 40);
            $table->unsignedSmallInteger('ordinal');
            $table->unsignedSmallInteger('minutes');
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['school_id', 'id']);
            self::within($table, 'lesson_id', 'lessons');
            self::within($table, 'place_id', 'places');
        });
        Schema::create('promises', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->uuid('learner_id');
            $table->uuid('lesson_id');
            $table->enum('kind', ['promise', 'homework']);
            $table->string('text', 300);
            $table->dateTime('kept_at')->nullable();
            $table->timestamps();
            $table->softDeletes();
            self::within($table, 'learner_id', 'learners');
            self::within($table, 'lesson_id', 'lessons');
        });
        Schema::create('rounds', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->uuid('lesson_id');
            $table->uuid('place_id');
            $table->string('routine', 40);
            $table->unsignedSmallInteger('ordinal');
            $table->json('conditions');
            $table->dateTime('device_at', 3);
            $table->dateTime('server_at', 3);
            $table->unique(['school_id', 'id']);
            self::within($table, 'lesson_id', 'lessons');
            self::within($table, 'place_id', 'places');
        });
        Schema::create('marks', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->uuid('round_id');
            $table->enum('kind', ['step', 'held-back-rightly', 'taught', 'moment']);
            $table->enum('step', ['mirrors', 'signal', 'position', 'speed', 'look'])->nullable();
            $table->enum('outcome', ['intervened', 'missed', 'prompted', 'reminded', 'unaided'])->nullable();
            $table->enum('taught', ['shown', 'talked-through'])->nullable();
            $table->boolean('out_of_order')->default(false);
            $table->string('note', 300)->nullable();
            // A correction points to the row it replaces; a withdrawn one replaces it with nothing.
            $table->uuid('corrects_id')->nullable()->unique();
            $table->boolean('withdrawn')->default(false);
            $table->uuid('user_id');
            $table->dateTime('device_at', 3);
            $table->dateTime('server_at', 3);
            $table->unique(['round_id', 'id']);
            $table->index(['school_id', 'round_id']);
            self::within($table, 'round_id', 'rounds');
            self::within($table, 'user_id', 'users');
            $table->foreign(['round_id', 'corrects_id'])->references(['round_id', 'id'])->on('marks');
        });
        $this->check('marks', 'marks_say_something', "
            withdrawn = 1 AND corrects_id IS NOT NULL OR withdrawn = 0 AND (
                kind = 'step' AND step IS NOT NULL AND outcome IS NOT NULL AND taught IS NULL
                OR kind = 'taught' AND taught IS NOT NULL AND step IS NULL AND outcome IS NULL
                OR kind IN ('held-back-rightly', 'moment') AND step IS NULL AND outcome IS NULL AND taught IS NULL)");
        AppendOnly::protect('marks');
        AppendOnly::protect('rounds');
    }

    public function down(): void
    {
        foreach (['marks', 'rounds', 'promises', 'planned_items', 'lessons'] as $table) {
            Schema::dropIfExists($table);
        }
    }

    private static function within(Blueprint $table, string $column, string $on): void
    {
        $table->foreign(['school_id', $column])->references(['school_id', 'id'])->on($on);
    }
};
