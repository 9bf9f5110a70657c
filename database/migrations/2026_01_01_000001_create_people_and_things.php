<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * The school, its people, cars and places. Everything of a school carries its id, and everything that points
 * to it points by (school_id, id): a row of one school can never refer to a row of another.
 */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $this->clear(['places', 'vehicles', 'learners', 'users', 'schools']);
        Schema::create('schools', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('name', 120);
            $table->string('time_zone', 64);
            $table->string('pack', 8);
            $table->json('practice');
            $table->timestamps();
        });
        Schema::create('users', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->string('name', 120);
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->enum('role', ['owner', 'instructor']);
            $table->rememberToken();
            $table->timestamps();
            $table->unique(['school_id', 'id']);
        });
        Schema::create('learners', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->string('name', 120);
            $table->string('phone', 40)->nullable();
            $table->string('email', 190)->nullable();
            $table->string('pick_up', 190)->nullable();
            $table->date('licence_seen_on')->nullable();
            $table->date('eyesight_checked_on')->nullable();
            $table->enum('transmission', ['manual', 'automatic']);
            $table->enum('level', ['beginner', 'developing', 'independent']);
            $table->boolean('is_minor')->default(false);
            $table->string('guardian_name', 120)->nullable();
            $table->string('guardian_contact', 190)->nullable();
            $table->date('guardian_consent_on')->nullable();
            $table->json('reference_points');
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['school_id', 'id']);
        });
        $this->check('learners', 'learners_minor_has_guardian', 'is_minor = 0 OR guardian_name IS NOT NULL');
        Schema::create('vehicles', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->string('name', 120);
            $table->enum('transmission', ['manual', 'automatic']);
            $table->enum('controls', ['standard', 'hand']);
            $table->decimal('length_m', 5, 2);
            $table->decimal('width_m', 4, 2);
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['school_id', 'id']);
        });
        $this->check('vehicles', 'vehicles_size', 'length_m BETWEEN 2 AND 25 AND width_m BETWEEN 1.2 AND 3');
        Schema::create('places', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('school_id')->constrained();
            $table->string('name', 160);
            $table->string('routine', 40);
            // Inputs of the approach tool that belong to the road, as the core reads them.
            $table->json('approach');
            $table->string('note', 500)->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['school_id', 'id']);
        });
    }

    public function down(): void
    {
        foreach (['places', 'vehicles', 'learners', 'users', 'schools'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
