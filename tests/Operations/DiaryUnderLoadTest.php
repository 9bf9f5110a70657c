<?php

use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/* Many who book at once: nothing is ever stored twice over, and nothing that was taken is lost. */

it('stores no overlap of a thousand random bookings from four who book at once, and loses none', function (): void {
    $this->migrateTo();
    $now = '2027-01-01 00:00:00';
    $school = $this->insert('schools', ['name' => 'Busy School', 'time_zone' => 'Europe/London', 'pack' => 'gb', 'practice' => '{}']);
    foreach (range(1, 6) as $n) {
        $this->insert('users', ['school_id' => $school, 'name' => "I{$n}", 'email' => "i{$n}@busy.test", 'password' => 'x', 'role' => 'instructor']);
        $this->insert('vehicles', [
            'school_id' => $school, 'name' => "Car {$n}", 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 1.8,
        ]);
    }
    foreach (range(1, 20) as $n) {
        $this->insert('learners', [
            'school_id' => $school, 'name' => "L{$n}", 'transmission' => 'manual', 'level' => 'beginner', 'reference_points' => '[]', 'created_at' => $now,
        ]);
    }
    $workers = array_map(fn (int $seed): Process => tap(new Process(
        [PHP_BINARY, 'tests/Operations/worker.php', $school, (string) $seed, '250'], base_path(),
        ['DB_DATABASE' => self::DATABASE, 'NOBLE_TURN_KEEP' => $this->keep, 'APP_ENV' => 'testing'], null, 300,
    ), static fn (Process $process) => $process->start()), [1, 2, 3, 4]);
    $told = array_map(static function (Process $worker): array {
        $worker->wait();
        expect($worker->getExitCode())->toBe(0, $worker->getErrorOutput().$worker->getOutput());

        return json_decode($worker->getOutput(), true) ?? throw new RuntimeException("It said: {$worker->getErrorOutput()}{$worker->getOutput()}");
    }, $workers);

    // Asked of the rows themselves, not of the key that forbids it.
    $overlaps = DB::select('SELECT a.lesson_id FROM bookings a JOIN bookings b ON a.who_id = b.who_id AND a.id < b.id
        AND a.starts_at < b.ends_at AND b.starts_at < a.ends_at');
    expect($overlaps)->toBe([]);
    $among = DB::select("SELECT a.id FROM lessons a JOIN lessons b ON a.id < b.id AND a.state = 'booked' AND b.state = 'booked'
        AND (a.instructor_id = b.instructor_id OR a.learner_id = b.learner_id OR a.vehicle_id = b.vehicle_id)
        AND a.starts_at < b.starts_at + INTERVAL b.minutes MINUTE AND b.starts_at < a.starts_at + INTERVAL a.minutes MINUTE");
    expect($among)->toBe([]);

    [$taken, $cancelled] = [array_merge(...array_column($told, 'taken')), array_merge(...array_column($told, 'cancelled'))];
    $stored = DB::table('lessons')->pluck('state', 'id')->all();
    expect(array_keys($stored))->toEqualCanonicalizing(array_keys($taken))
        ->and(array_keys($stored, 'cancelled', true))->toEqualCanonicalizing(array_keys($cancelled));
    // Each holds the time that stands in it, for all three; a cancelled one holds none.
    $held = DB::select('SELECT l.id, COUNT(b.id) AS rows_held FROM lessons l LEFT JOIN bookings b ON b.lesson_id = l.id AND b.starts_at = l.starts_at
        AND b.ends_at = l.starts_at + INTERVAL l.minutes MINUTE AND b.who_id = CASE b.who WHEN \'instructor\' THEN l.instructor_id
        WHEN \'learner\' THEN l.learner_id ELSE l.vehicle_id END GROUP BY l.id');
    foreach ($held as $row) {
        expect((int) $row->rows_held)->toBe(isset($cancelled[$row->id]) ? 0 : 3);
    }
    expect(DB::table('bookings')->count())->toBe(3 * (count($taken) - count($cancelled)));
    // It was a throng: many were refused, many were taken, some moved.
    expect(array_sum(array_column($told, 'refused')))->toBeGreaterThan(300)->and(count($taken))->toBeGreaterThan(200)
        ->and(array_sum(array_column($told, 'moved')))->toBeGreaterThan(10);
});

it('gives every lesson of an older installation its time, but for what lay on top of another', function (): void {
    $this->migrateTo('2026_01_01_000007');
    $this->oldSchool();
    $this->migrateTo('2026_01_01_000023');
    $lesson = (array) DB::table('lessons')->first();
    $add = fn (string $starts, array $more = []): string => $this->insert('lessons', [
        ...array_diff_key($lesson, ['id' => 0]), 'starts_at' => $starts, 'state' => 'planned', 'created_at' => '2026-05-01 00:00:00', ...$more,
    ]);
    $first = $add('2030-01-01 10:00:00');
    $second = $add('2030-01-01 10:30:00', ['created_at' => '2026-05-02 00:00:00']);
    $cancelled = $add('2030-01-01 10:30:00', ['state' => 'cancelled']);
    $touching = $add('2030-01-01 11:00:00', ['created_at' => '2026-05-03 00:00:00']);
    $this->migrateTo();
    expect(DB::table('lessons')->whereIn('id', [$first, $second, $cancelled, $touching])->pluck('state', 'id')->all())->toEqualCanonicalizing(
        [$first => 'booked', $second => 'booked', $cancelled => 'cancelled', $touching => 'booked'],
    );
    $held = DB::table('bookings')->groupBy('lesson_id')->selectRaw('lesson_id, COUNT(*) AS n')->pluck('n', 'lesson_id')->all();
    expect($held)->toEqualCanonicalizing([$lesson['id'] => 3, $first => 3, $touching => 3]);
});
