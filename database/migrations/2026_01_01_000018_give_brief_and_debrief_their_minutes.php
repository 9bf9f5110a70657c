<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A lesson's minutes add up: talking before and after has its share. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        $minutes = 'TINYINT UNSIGNED NOT NULL DEFAULT 5';
        $this->addColumns('lessons', 'brief_minutes', "ADD brief_minutes {$minutes} AFTER minutes, ADD debrief_minutes {$minutes} AFTER brief_minutes");
        $this->check('lessons', 'lessons_talk', 'brief_minutes <= 60 AND debrief_minutes <= 60');
    }

    public function down(): void
    {
        $this->check('lessons', 'lessons_talk', '1 = 1');
        Schema::table('lessons', fn (Blueprint $table) => $table->dropColumn(['brief_minutes', 'debrief_minutes']));
    }
};
