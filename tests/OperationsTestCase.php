<?php

namespace Tests;

use App\Installation\Tables;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/** Tests of what is done to a whole installation, each in a database of its own that begins empty. */
abstract class OperationsTestCase extends TestCase
{
    protected const DATABASE = 'noble_turn_test_operations';

    protected string $keep;

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require dirname(__DIR__).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        DB::statement('CREATE DATABASE IF NOT EXISTS '.self::DATABASE.' CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
        config(['database.connections.mariadb.database' => self::DATABASE]);
        DB::purge();
        Schema::dropAllTables();
        $this->keep = sys_get_temp_dir().'/noble-turn-test-'.Str::random(8);
        mkdir($this->keep, 0700);
        config(['installation.keep' => $this->keep]);
    }

    protected function tearDown(): void
    {
        DB::disconnect();
        array_map(unlink(...), glob("{$this->keep}/*") ?: []);
        rmdir($this->keep);
        parent::tearDown();
    }

    /** Runs the migrations up to one of them, by the beginning of its number. */
    protected function migrateTo(?string $last = null): void
    {
        $paths = array_values(array_filter(Tables::knownMigrations(), fn (string $path): bool => $last === null || strcmp(basename($path), $last.'~') < 0));
        expect(Artisan::call('migrate', ['--force' => true, '--realpath' => true, '--path' => $paths]))->toBe(0);
    }

    /** @return array<string, string> how each table and trigger stands in the database */
    protected function shape(): array
    {
        $shape = [];
        foreach (DB::select('SHOW TABLES') as $row) {
            $name = (string) current((array) $row);
            $shape[$name] = (string) preg_replace('/ AUTO_INCREMENT=\d+/', '', DB::selectOne("SHOW CREATE TABLE `{$name}`")->{'Create Table'});
        }
        foreach (DB::select('SHOW TRIGGERS') as $row) {
            $shape["trigger {$row->Trigger}"] = "{$row->Timing} {$row->Event} {$row->Table} {$row->Statement}";
        }

        return $shape;
    }

    /** A row with what the table asks for and what is given. */
    protected function insert(string $table, array $row): string
    {
        $id = $row['id'] ?? (string) Str::uuid7();
        DB::table($table)->insert(['id' => $id, ...$row]);

        return $id;
    }

    /** A school with a lesson, a round and a mark that was corrected and withdrawn again, as version 7 of the tables keeps them. */
    protected function oldSchool(): array
    {
        $now = '2026-05-20 10:00:00';
        $school = $this->insert('schools', ['name' => 'Old School', 'time_zone' => 'UTC', 'pack' => 'gb', 'practice' => '{}']);
        $user = $this->insert('users', ['school_id' => $school, 'name' => 'O', 'email' => 'o@old.test', 'password' => 'x', 'role' => 'owner']);
        $learner = $this->insert(
            'learners',
            ['school_id' => $school, 'name' => "Zoë \u{1F697}", 'transmission' => 'manual', 'level' => 'beginner', 'reference_points' => '[]'],
        );
        $vehicle = $this->insert(
            'vehicles',
            ['school_id' => $school, 'name' => 'Car', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4.15, 'width_m' => 1.75],
        );
        $place = $this->insert('places', ['school_id' => $school, 'name' => 'Here', 'routine' => 'emerge-right', 'approach' => '{"limit_mph":30}']);
        $lesson = $this->insert(
            'lessons',
            [
                'school_id' => $school, 'learner_id' => $learner, 'instructor_id' => $user, 'vehicle_id' => $vehicle, 'starts_at' => $now,
                'minutes' => 60, 'self_rating' => '{}',
            ],
        );
        $round = $this->insert(
            'rounds',
            [
                'school_id' => $school, 'lesson_id' => $lesson, 'place_id' => $place, 'routine' => 'emerge-right', 'ordinal' => 1,
                'conditions' => '{}', 'device_at' => $now, 'server_at' => $now,
            ],
        );
        $mark = fn (array $what): string => $this->insert(
            'marks',
            [
                'school_id' => $school, 'round_id' => $round, 'kind' => 'step', 'step' => 'look', 'user_id' => $user, 'device_at' => $now,
                'server_at' => $now, ...$what,
            ],
        );
        $first = $mark(['outcome' => 'missed']);
        $second = $mark(['outcome' => 'unaided', 'corrects_id' => $first, 'server_at' => '2026-05-20 12:00:00']);
        // A device of then did not repeat what it withdrew, and its clock was ahead.
        $third = $mark([
            'step' => null, 'corrects_id' => $second, 'withdrawn' => 1, 'device_at' => '2026-05-21 09:00:00', 'server_at' => '2026-05-20 12:00:01',
        ]);
        $moment = $mark(['kind' => 'moment', 'step' => null]);

        return compact('school', 'learner', 'round', 'first', 'second', 'third', 'moment');
    }
}
