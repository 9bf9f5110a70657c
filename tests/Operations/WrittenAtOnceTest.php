<?php

use App\Database\Patient;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/* Several who write of the same lessons at once: marks, what was promised, what is told, and how a lesson ended. */

beforeEach(fn () => $this->migrateTo());

/** How often MariaDB has ended one who waited for another that waited for them. */
function deadlocks(): int
{
    return (int) DB::selectOne("SHOW GLOBAL STATUS LIKE 'Innodb_deadlocks'")->Value;
}

it('lets nobody wait for somebody who waits for them: marks, promises and texts of the same lessons all arrive', function (): void {
    $school = $this->insert('schools', ['name' => 'Busy School', 'time_zone' => 'Europe/London', 'pack' => 'gb', 'practice' => '{}']);
    $user = $this->insert('users', ['school_id' => $school, 'name' => 'I', 'email' => 'i@busy.test', 'password' => 'x', 'role' => 'instructor']);
    $car = $this->insert('vehicles', [
        'school_id' => $school, 'name' => 'Car', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 1.8,
    ]);
    $learner = $this->insert('learners', [
        'school_id' => $school, 'name' => 'L', 'transmission' => 'manual', 'level' => 'beginner', 'reference_points' => '[]',
        'created_at' => '2027-01-01 00:00:00',
    ]);
    $lessons = array_map(fn (int $n): string => $this->insert('lessons', [
        'school_id' => $school, 'learner_id' => $learner, 'vehicle_id' => $car, 'instructor_id' => $user, 'state' => 'booked', 'self_rating' => '{}',
        'starts_at' => "2027-03-0{$n} 10:00:00", 'minutes' => 60, 'created_at' => '2027-01-01 00:00:00', 'updated_at' => '2027-01-01 00:00:00',
    ]), range(1, 5));
    $before = deadlocks();
    $workers = array_map(fn (string $what): Process => tap(new Process(
        [PHP_BINARY, 'tests/Operations/writer.php', $school, $user, $what, '150', ...$lessons], base_path(),
        ['DB_DATABASE' => self::DATABASE, 'NOBLE_TURN_KEEP' => $this->keep, 'APP_ENV' => 'testing'], null, 300,
    ), static fn (Process $process) => $process->start()), ['marks', 'promises', 'marks', 'texts']);
    foreach ($workers as $worker) {
        $worker->wait();
        expect($worker->getExitCode())->toBe(0, $worker->getErrorOutput().$worker->getOutput());
    }
    expect(DB::table('marks')->count())->toBe(2 * 150)->and(DB::table('promises')->count())->toBe(150)
        ->and(DB::table('learners')->whereNotNull('marks_came_at')->count())->toBe(1)
        ->and(deadlocks() - $before)->toBe(0);
});

/** A statement that MariaDB ends so many times in favour of another before it lets it through. */
function endedSoOften(int $times): string
{
    DB::unprepared('CREATE TABLE ended (n INT NOT NULL) ENGINE = MyISAM');
    DB::unprepared("CREATE FUNCTION go_on() RETURNS INT BEGIN INSERT INTO ended VALUES (1);
        IF (SELECT COUNT(*) FROM ended) <= {$times} THEN
            SIGNAL SQLSTATE '40001' SET MYSQL_ERRNO = 1213, MESSAGE_TEXT = 'Deadlock found when trying to get lock';
        END IF; RETURN 7; END");

    return 'SELECT go_on() AS said';
}

it('says a single statement again that was ended in favour of another, a few times', function (int $times, bool $isThrough): void {
    $say = endedSoOften($times);
    try {
        expect(DB::selectOne($say)->said)->toBe(7)->and($isThrough)->toBeTrue();
    } catch (QueryException $e) {
        expect($isThrough)->toBeFalse()->and($e->getMessage())->toContain('Deadlock');
    } finally {
        DB::unprepared('DROP FUNCTION go_on');
    }
    expect(DB::table('ended')->count())->toBe($isThrough ? $times + 1 : 5);
})->with(['not at all' => [0, true], 'once' => [1, true], 'four times' => [4, true], 'without end' => [99, false]]);

it('leaves a transaction to whoever began it, and anything else as it is', function (): void {
    $say = endedSoOften(1);
    expect(DB::connection())->toBeInstanceOf(Patient::class)
        ->and(fn () => DB::transaction(static fn () => DB::selectOne($say)))->toThrow(QueryException::class, 'Deadlock')
        ->and(DB::table('ended')->count())->toBe(1)
        ->and(DB::transaction(static fn () => DB::selectOne($say)->said, 2))->toBe(7)
        ->and(fn () => DB::selectOne('SELECT nothing FROM nowhere'))->toThrow(QueryException::class, 'nowhere');
    DB::unprepared('DROP FUNCTION go_on');
});
