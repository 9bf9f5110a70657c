<?php

use App\Installation\Backup;
use App\Installation\Installation;
use App\Installation\Kind;
use App\Installation\Tables;
use App\Installation\Update;
use App\Installation\UpdateFailed;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\Process\Process;

/** Thrown before a statement, as if the power went. */
final class BrokenOff extends RuntimeException
{
}

/** Breaks off before the n-th statement that changes anything; false where there are not that many. */
function breakOffBefore(int $n, Closure $work): bool
{
    $seen = 0;
    $listening = true;
    DB::connection()->beforeExecuting(function (string $sql) use (&$seen, &$listening, $n): void {
        if ($listening && preg_match('/^\s*(select|show|set|start|commit)\b/i', $sql) !== 1 && ++$seen === $n) {
            throw new BrokenOff("broken off before: {$sql}");
        }
    });
    try {
        $work();
    } catch (Throwable $why) {
        expect($why->getMessage())->toContain('broken off before');

        return true;
    } finally {
        $listening = false;
    }

    return false;
}

it('can be broken off before any statement of any migration and begun again, and comes out the same', function (): void {
    $this->migrateTo();
    $whole = $this->shape();
    Schema::dropAllTables();
    $broken = 0;
    foreach (array_keys(Tables::knownMigrations()) as $name) {
        // Each try leaves what it had done; the next begins with that.
        for ($n = 1; breakOffBefore($n, fn () => $this->migrateTo($name)); $n++) {
            $broken++;
        }
        expect(Tables::migrations())->toContain($name);
    }
    expect($broken)->toBeGreaterThan(100)->and($this->shape())->toBe($whole);
});

it('puts all data back where an update fails, before whichever statement, and succeeds when nothing stands in its way', function (): void {
    $this->migrateTo('2026_01_01_000007');
    $at = $this->oldSchool();
    $before = Backup::sums();
    $shape = $this->shape();
    $failed = 0;
    $update = new Update($this->keep);
    for ($n = 1; breakOffBefore($n, function () use ($update): void {
        try {
            $update(fn () => null);
        } catch (UpdateFailed $why) {
            expect($why->getMessage())->toContain('all data is as it was before');
            throw $why->getPrevious();
        }
    }); $n++) {
        $failed++;
        expect(Backup::sums())->toBe($before)->and($this->shape())->toBe($shape)->and(is_file("{$this->keep}/unfinished"))->toBeFalse();
    }
    expect($failed)->toBeGreaterThan(12);

    // The log is in the order of the presses, every chain after what it corrects, and locked as before.
    $marks = DB::table('marks')->orderBy('pressed_at')->get()->keyBy('id');
    expect($marks->pluck('id')->all())->toEqualCanonicalizing([$at['first'], $at['moment'], $at['second'], $at['third']])
        ->and([
            $marks[$at['first']]->slot, $marks[$at['second']]->slot, $marks[$at['third']]->slot, $marks[$at['third']]->step,
        ])->toBe(['look', 'look', 'look', 'look'])
        ->and($marks[$at['moment']]->slot)->toBe("moment {$at['moment']}")
        ->and($marks[$at['third']]->pressed_at)->toBe('2026-05-20 12:00:01.000')->and($marks[$at['third']]->device_at)->toBe('2026-05-21 09:00:00.000')
        ->and([(bool) $marks[$at['second']]->after_read, (bool) $marks[$at['first']]->after_read])->toBe([true, false])
        ->and(Installation::kind())->toBe(Kind::Own)
        ->and(fn () => DB::table('marks')->update(['note' => 'x']))->toThrow(Illuminate\Database\QueryException::class, 'append-only')
        ->and(fn () => DB::table('rounds')->delete())->toThrow(Illuminate\Database\QueryException::class, 'append-only');
});

it('stands three real kills of an update, at a first start and with data', function (string $after): void {
    $start = function (): Process {
        $process = new Process(
            [PHP_BINARY, 'artisan', 'installation', 'update'], base_path(),
            ['DB_DATABASE' => self::DATABASE, 'NOBLE_TURN_KEEP' => $this->keep, 'APP_ENV' => 'testing'],
        );
        $process->start();

        return $process;
    };
    $this->migrateTo();
    $whole = $this->shape();
    Schema::dropAllTables();
    if ($after === 'began_at') {
        $this->migrateTo('2026_01_01_000007');
        $at = $this->oldSchool();
    }
    $process = $start();
    $isDone = fn (): bool => $after === 'began_at' ? Schema::hasColumn('rounds', 'began_at') : Schema::hasTable($after);
    while (! $isDone() && $process->isRunning()) {
        usleep(500);
    }
    $process->signal(SIGKILL);
    $process->wait();
    $again = $start();
    $again->wait();
    expect($again->getExitCode())->toBe(0, $again->getOutput().$again->getErrorOutput())->and($this->shape())->toBe($whole);
    if (isset($at)) {
        expect(DB::table('marks')->count())->toBe(4)->and(DB::table('marks')->where('id', $at['second'])->value('slot'))->toBe('look');
    }
})->with(['lessons', 'overrulings', 'began_at']);

it('stands real kills while the demo is made anew, and heals by the next start', function (string $when): void {
    $run = fn (string $what): Process => new Process(
        [PHP_BINARY, 'artisan', 'installation', $what], base_path(),
        ['DB_DATABASE' => self::DATABASE, 'NOBLE_TURN_KEEP' => $this->keep, 'APP_ENV' => 'testing'],
    );
    $this->migrateTo();
    $whole = $this->shape();
    Artisan::call('installation', ['what' => 'demo']);
    $process = $run('fresh-demo');
    $process->start();
    $isThen = fn (): bool => match ($when) {
        'dropped' => ! Schema::hasTable('marks'), 'half made' => ! Schema::hasTable('skill_answers') && Schema::hasTable('lessons'),
        'made' => Schema::hasTable('installations') && DB::table('schools')->doesntExist()
    };
    $started = microtime(true);
    while ($process->isRunning() && (microtime(true) - $started < 0.2 || ! rescue($isThen, false, false))) {
        usleep(200);
    }
    $process->signal(SIGKILL);
    $process->wait();
    $update = $run('update');
    expect($update->run())->toBe(0, $update->getOutput().$update->getErrorOutput())->and($this->shape())->toBe($whole)
        ->and($run('demo')->run())->toBe(0)->and(DB::table('schools')->count())->toBe(2);
})->with(['dropped', 'half made', 'made']);

it('says what to do where a restore was broken off, and takes it when it is run again', function (): void {
    $this->migrateTo();
    $this->insert('schools', ['name' => 'Mine', 'time_zone' => 'UTC', 'pack' => 'gb', 'practice' => '{}']);
    Backup::to("{$this->keep}/mine.jsonl.gz");
    $broken = breakOffBefore(
        40,
        fn () => Artisan::call(
            'installation', ['what' => 'restore', 'file' => "{$this->keep}/mine.jsonl.gz", '--replace' => true],
        ) === 0 ?: throw new BrokenOff('broken off before'),
    );
    expect($broken)->toBeTrue()->and(Artisan::call('installation', ['what' => 'update']))->toBe(1)->and(Artisan::output())->toContain('run bin/restore again')
        ->and(Artisan::call('installation', ['what' => 'restore', 'file' => "{$this->keep}/mine.jsonl.gz"]))->toBe(0)
        ->and(DB::table('schools')->pluck('name')->all())->toBe(['Mine'])->and(Artisan::call('installation', ['what' => 'update']))->toBe(0);
});

it('keeps the demo apart from a school of its own', function (): void {
    $this->migrateTo();
    expect(Artisan::call('installation', ['what' => 'demo']))->toBe(0)->and(Installation::kind())->toBe(Kind::Demo);
    $schools = DB::table('schools')->pluck('id');
    // Made anew where it is the demo.
    expect(
        Artisan::call('installation', ['what' => 'fresh-demo']),
    )->toBe(0)->and(DB::table('schools')->count())->toBe(2)->and(DB::table('schools')->pluck('id')->intersect($schools))->toBeEmpty();
    $this->postJson(
        'api/first-run',
        ['school' => 'Mine', 'time_zone' => 'UTC', 'pack' => 'gb', 'name' => 'O', 'email' => 'o@mine.test', 'password' => 'a-long-password'],
    )->assertForbidden();

    Schema::dropAllTables();
    $this->migrateTo();
    $this->postJson(
        'api/first-run',
        ['school' => 'Mine', 'time_zone' => 'UTC', 'pack' => 'gb', 'name' => 'O', 'email' => 'o@mine.test', 'password' => 'a-long-password'],
    )->assertCreated();
    foreach (['demo', 'fresh-demo'] as $what) {
        expect(Artisan::call('installation', ['what' => $what]))->toBe(1)->and(Artisan::output())->toContain('school’s own');
    }
    expect(fn () => Artisan::call('db:seed', ['--force' => true, '--class' => 'Database\Seeders\DemoSeeder']))->toThrow(RuntimeException::class)
        ->and(DB::table('schools')->pluck('name')->all())->toBe(['Mine'])->and(DB::table('users')->pluck('email')->all())->toBe(['o@mine.test']);
});

it('tells from its schools what an installation of before was', function (array $owners, ?string $kind): void {
    $this->migrateTo('2026_01_01_000008');
    foreach ($owners as $email) {
        $school = $this->insert('schools', ['name' => 'S', 'time_zone' => 'UTC', 'pack' => 'gb', 'practice' => '{}']);
        $this->insert('users', ['school_id' => $school, 'name' => 'O', 'email' => $email, 'password' => 'x', 'role' => 'owner']);
    }
    $this->migrateTo();
    expect(Installation::kind()?->value)->toBe($kind);
})->with([
    [[], null], [['owner@harbourschool.test', 'owner@lighthouse.test'], 'demo'], [['me@mine.test'], 'own'],
    [['owner@harbourschool.test', 'me@mine.test'], 'own'],
]);
