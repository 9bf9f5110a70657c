<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Pages of the bench kept with a place, and, where wanted, for the brief of one lesson only. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->clear(['drawings']);
        Schema::create('drawings', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->uuid('place_id');
            $table->uuid('lesson_id')->nullable();
            $table->string('title', 120);
            // The page of the bench and the state in its address.
            $table->string('tool', 40);
            $table->string('state', 2000);
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['school_id', 'id']);
            $table->foreign(['school_id', 'place_id'])->references(['school_id', 'id'])->on('places');
            $table->foreign(['school_id', 'lesson_id'])->references(['school_id', 'id'])->on('lessons');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('drawings');
    }
};
