<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a lesson is to work on, as data; and which remedy or drill was given, for what. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->addColumns('lessons', 'aim_routine', 'ADD aim_routine VARCHAR(40) NULL AFTER aim, ADD aim_step VARCHAR(12) NULL AFTER aim_routine');
        $this->clear(['remedies']);
        Schema::create('remedies', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->uuid('school_id');
            $table->uuid('learner_id');
            $table->uuid('lesson_id');
            $table->string('routine', 40);
            $table->string('step', 12);
            $table->string('fault', 30)->nullable();
            $table->enum('what', ['remedy', 'drill']);
            $table->uuid('user_id');
            $table->timestamps();
            $table->softDeletes();
            $table->index(['school_id', 'step', 'fault', 'what']);
            foreach (['learner_id' => 'learners', 'lesson_id' => 'lessons', 'user_id' => 'users'] as $column => $of) {
                $table->foreign(['school_id', $column])->references(['school_id', 'id'])->on($of);
            }
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('remedies');
        Schema::table('lessons', fn (Blueprint $table) => $table->dropColumn(['aim_routine', 'aim_step']));
    }
};
