<?php

/*
 * One of several who write of the same lessons at once, one after the other, so many times: marks, promises, or the texts of a job.
 *
 * php tests/Operations/writer.php SCHOOL USER marks|promises|texts NUMBER LESSON...
 */

use App\Lessons\HeldLessons;
use App\Marks\TakeIn;
use App\Models\Lesson;
use App\Models\Promise;
use App\Models\School;
use App\Models\Text;
use App\Models\User;
use App\School\CurrentSchool;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

require dirname(__DIR__, 2).'/vendor/autoload.php';
/** @var Illuminate\Foundation\Application $app */
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[, $school, $user, $what, $number] = $argv;
$lessons = array_slice($argv, 5);

$app->make(CurrentSchool::class)->within(School::query()->findOrFail($school), static function () use ($app, $user, $what, $number, $lessons): void {
    $who = User::query()->findOrFail($user);
    Auth::setUser($who);
    $at = '2027-03-01T10:00:00.000Z';
    $marks = static function (string $lesson) use ($app, $who, $at): void {
        $round = ['id' => (string) Str::uuid7(), 'lesson_id' => $lesson, 'routine' => 'emerge-left', 'device_at' => $at];
        $mark = ['id' => (string) Str::uuid7(), 'round_id' => $round['id'], 'kind' => 'step', 'step' => 'look', 'outcome' => 'unaided', 'device_at' => $at];
        $app->make(TakeIn::class)($who, [$round], [$mark], null);
    };
    $promises = static fn (string $lesson) => Promise::query()->create([
        'kind' => 'promise', 'text' => 'Say the mirrors aloud', 'lesson_id' => $lesson, 'learner_id' => Lesson::query()->findOrFail($lesson)->learner_id,
    ]);
    $texts = static fn (string $lesson) => DB::transaction(static function () use ($lesson): void {
        $held = HeldLessons::of([$lesson])->firstOrFail();
        Text::query()->create([
            'lesson_id' => $held->id, 'learner_id' => $held->learner_id, 'kind' => 'day-before', 'body' => 'Tomorrow at ten.', 'made_at' => now(),
        ]);
    });
    $write = ['marks' => $marks, 'promises' => $promises, 'texts' => $texts][$what];
    for ($n = 0; $n < (int) $number; $n++) {
        $write($lessons[$n % count($lessons)]);
    }
});
