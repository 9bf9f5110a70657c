<?php

/*
 * One of several who book at once: as many lessons as it is told, at random half hours, some of which it moves or cancels again. Says in
 * JSON what was taken and what was refused.
 *
 * php tests/Operations/worker.php SCHOOL SEED NUMBER
 */

use App\Diary\Bookings;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\School;
use App\Models\User;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Validation\ValidationException;

require dirname(__DIR__, 2).'/vendor/autoload.php';
/** @var Illuminate\Foundation\Application $app */
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[, $school, $seed, $number] = $argv;
mt_srand((int) $seed);

echo json_encode($app->make(CurrentSchool::class)->within(School::query()->findOrFail($school), static function () use ($school, $number): array {
    $one = static fn (array $of): string => $of[mt_rand(0, count($of) - 1)];
    [$people, $learners, $cars] = [
        User::query()->where('school_id', $school)->pluck('id')->all(), Learner::query()->pluck('id')->all(), Vehicle::query()->pluck('id')->all(),
    ];
    $at = static fn (): string => gmdate('Y-m-d H:i:s', gmmktime(8, 0, 0, 3, 1, 2027) + mt_rand(0, 13) * 86_400 + mt_rand(0, 20) * 1_800);
    $told = ['taken' => [], 'refused' => 0, 'moved' => 0, 'cancelled' => []];
    $try = static function (Lesson $lesson, Closure $write) use (&$told): bool {
        try {
            Bookings::with($lesson, $write);

            return true;
        } catch (ValidationException) {
            $told['refused']++;

            return false;
        }
    };
    for ($n = 0; $n < (int) $number; $n++) {
        $lesson = new Lesson([
            'learner_id' => $one($learners), 'vehicle_id' => $one($cars), 'starts_at' => $at(), 'minutes' => 30 * mt_rand(2, 4),
        ]);
        $lesson->instructor_id = $one($people);
        if (! $try($lesson, static fn (Lesson $lesson): bool => $lesson->save())) {
            continue;
        }
        $told['taken'][$lesson->id] = true;
        if (mt_rand(0, 3) === 0) {
            $told['moved'] += (int) $try($lesson, static fn (Lesson $lesson): bool => $lesson->update(['starts_at' => $at()]));
        } elseif (mt_rand(0, 5) === 0) {
            $try($lesson, static fn (Lesson $lesson): bool => $lesson->update(['state' => 'cancelled', 'ended_by' => 'learner']));
            $told['cancelled'][$lesson->id] = true;
        }
    }

    return $told;
})), "\n";
