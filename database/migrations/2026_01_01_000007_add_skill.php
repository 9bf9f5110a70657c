<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Conditions said after a round began, what an instructor says against the marks, and what the marks were last found to say. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->clear(['job_batches', 'jobs', 'skill_answers', 'overrulings']);
        $this->addColumns('marks', 'conditions', 'ADD conditions JSON NULL AFTER taught');
        DB::statement("ALTER TABLE marks MODIFY kind ENUM('step', 'held-back-rightly', 'taught', 'moment', 'conditions') NOT NULL");
        $this->marksSaySomething(" OR kind = 'conditions' AND conditions IS NOT NULL AND step IS NULL AND outcome IS NULL AND taught IS NULL");
        Schema::create('overrulings', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->uuid('learner_id');
            $table->uuid('user_id');
            $table->string('routine', 40);
            $table->enum('step', ['mirrors', 'signal', 'position', 'speed', 'look']);
            $table->string('level', 20);
            $table->string('reason', 300);
            // Taken back, never erased.
            $table->dateTime('withdrawn_at')->nullable();
            $table->timestamps();
            foreach (['learner_id' => 'learners', 'user_id' => 'users'] as $column => $on) {
                $table->foreign(['school_id', $column])->references(['school_id', 'id'])->on($on);
            }
        });
        Schema::create('skill_answers', function (Blueprint $table): void {
            $table->uuid('learner_id')->primary();
            $table->foreignUuid('school_id')->constrained();
            // What it was computed from; where that has moved on, the answer is old.
            $table->string('stands_for', 190);
            $table->date('day');
            $table->mediumText('body');
            // The little of it that a page of all learners reads.
            $table->text('glance');
            $table->foreign(['school_id', 'learner_id'])->references(['school_id', 'id'])->on('learners');
            $table->index(['school_id', 'day']);
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('job_batches', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->string('name');
            $table->integer('total_jobs');
            $table->integer('pending_jobs');
            $table->integer('failed_jobs');
            $table->longText('failed_job_ids');
            $table->mediumText('options')->nullable();
            $table->integer('cancelled_at')->nullable();
            $table->integer('created_at');
            $table->integer('finished_at')->nullable();
        });
    }

    public function down(): void
    {
        foreach (['job_batches', 'jobs', 'skill_answers', 'overrulings'] as $table) {
            Schema::dropIfExists($table);
        }
        $this->marksSaySomething('');
        Schema::table('marks', fn (Blueprint $table) => $table->dropColumn('conditions'));
    }

    private function marksSaySomething(string $orConditions): void
    {
        $this->check('marks', 'marks_say_something', "
            withdrawn = 1 AND corrects_id IS NOT NULL OR withdrawn = 0 AND (
                kind = 'step' AND step IS NOT NULL AND outcome IS NOT NULL AND taught IS NULL
                OR kind = 'taught' AND taught IS NOT NULL AND step IS NULL AND outcome IS NULL
                OR kind IN ('held-back-rightly', 'moment') AND step IS NULL AND outcome IS NULL AND taught IS NULL{$orConditions})");
    }
};
