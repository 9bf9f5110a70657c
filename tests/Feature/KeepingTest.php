<?php

use App\Installation\Tidy;
use App\Logging\BoundedFile;
use App\Models\Letter;
use App\School\CurrentSchool;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Monolog\Level;
use Monolog\LogRecord;

/* What an installation does by itself, so that nobody has to look after it. */

it('keeps its log within bounds, however much is written in however short a time', function (): void {
    $folder = sys_get_temp_dir().'/noble-turn-log-'.bin2hex(random_bytes(4));
    mkdir($folder);
    $one = new BoundedFile("{$folder}/app.log");
    $other = new BoundedFile("{$folder}/app.log");
    $write = fn (BoundedFile $log, string $text) => $log->handle(new LogRecord(new DateTimeImmutable, 'app', Level::Error, $text));
    for ($i = 0; $i < 1_000; $i++) {
        $write($i % 2 ? $one : $other, str_repeat('x', 40_000)."entry {$i}.");
    }
    // Forty megabytes went in, by turns from two processes' handlers.
    $files = glob("{$folder}/app.log*");
    expect(array_sum(array_map(filesize(...), $files)))->toBeLessThan(26_000_000)->and(count($files))->toBe(6)
        ->and(file_get_contents("{$folder}/app.log"))->toContain('entry 999.')
        ->and(file_get_contents("{$folder}/app.log.1"))->not->toContain('entry 999.');
    // The newest stand without a gap: nothing was lost between one file and the next.
    $text = implode(
        '',
        array_map(
            fn (string $name): string => (string) file_get_contents("{$folder}/{$name}"),
            ['app.log.4', 'app.log.3', 'app.log.2', 'app.log.1', 'app.log'],
        ),
    );
    preg_match_all('/entry (\d+)\./', $text, $entries);
    $numbers = array_map(intval(...), $entries[1]);
    sort($numbers);
    expect($numbers)->toBe(range($numbers[0], 999));
    array_map(unlink(...), $files);
    rmdir($folder);
});

it('throws away what has run out, and nothing that has not', function (): void {
    $user = $this->user($this->school());
    $now = time();
    foreach (['old' => $now - 15 * 3600, 'new' => $now - 3600] as $id => $at) {
        DB::table('sessions')->insert(['id' => $id, 'user_id' => $user->id, 'payload' => '', 'last_activity' => $at]);
        DB::table('cache')->insert(['key' => $id, 'value' => '', 'expiration' => $id === 'old' ? $now - 1 : $now + 60]);
        DB::table('cache_locks')->insert(['key' => $id, 'owner' => '', 'expiration' => $id === 'old' ? $now - 1 : $now + 60]);
        DB::table('job_batches')->insert([
            'id' => $id, 'name' => '', 'total_jobs' => 1, 'pending_jobs' => 0, 'failed_jobs' => 0, 'failed_job_ids' => '[]',
            'created_at' => $id === 'old' ? $now - 3 * 86400 : $now,
        ]);
        DB::table('password_reset_tokens')->insert([
            'email' => "{$id}@example.test", 'token' => 'x', 'created_at' => $id === 'old' ? now()->subDays(8) : now()->subDays(6),
        ]);
    }
    app(CurrentSchool::class)->within(App\Models\School::findOrFail($user->school_id), function () use ($user): void {
        foreach ([91, 89] as $days) {
            Letter::query()->create([
                'user_id' => $user->id, 'kind' => 'password', 'subject' => 'x', 'body' => 'x', 'created_at' => now()->subDays($days),
                'ends_at' => now(),
            ]);
        }
    });
    expect(Tidy::up(app(CurrentSchool::class)))->toBe(['sessions' => 1, 'cache' => 2, 'batches' => 1, 'ways in' => 1, 'letters' => 1]);
    foreach (['sessions' => 'id', 'cache' => 'key', 'cache_locks' => 'key', 'job_batches' => 'id'] as $table => $key) {
        expect(DB::table($table)->pluck($key)->all())->toBe(['new']);
    }
    expect(Tidy::up(app(CurrentSchool::class)))->toBe([]);
});

it('says that the disk is full where it is, names no inside, and stores nothing half', function (array $error): void {
    $world = $this->world('Ours');
    $before = DB::table('marks')->count();
    // The third row that is written finds no room.
    $writes = 0;
    DB::connection()->beforeExecuting(function (string $sql) use (&$writes, $error): void {
        if (str_starts_with($sql, 'insert into `marks`') && ++$writes === 2) {
            $failed = new PDOException($error[2]);
            $failed->errorInfo = $error;
            throw new QueryException('mariadb', $sql, [], $failed);
        }
    });
    $marks = array_map(
        fn (int $i): array => [
            'id' => (string) Illuminate\Support\Str::uuid7(), 'round_id' => $world['ids']['round'], 'kind' => 'moment',
            'device_at' => '2026-05-20T10:01:00Z',
        ],
        range(1, 300),
    );
    $answer = $this->postJson('api/sync', ['rounds' => [], 'marks' => $marks])->assertStatus(507);
    expect($answer->json('message'))->toContain('disk is full')->not->toContain('marks.ibd')
        ->and(DB::table('marks')->count())->toBe($before);
    // With room again the same batch is taken, whole and once.
    $this->postJson('api/sync', ['rounds' => [], 'marks' => $marks])->assertOk();
    expect(DB::table('marks')->count())->toBe($before + 300);
})->with(['the table' => [['HY000', 1114, "The table 'marks' is full"]],
    'the disk' => [['HY000', 1021, 'Disk full (./marks.ibd); waiting for someone to free some space']],
    'a temporary file' => [['HY000', 3, "Error writing file './marks.ibd' (Errcode: 28 \"No space left on device\")"]],
    'the engine' => [['HY000', 1030, 'Got error 28 "No space left on device" from storage engine InnoDB']]]);

it('prints for whoever looks after the machine the letters that still let somebody in', function (): void {
    $this->artisan('installation letters')->expectsOutput('No letter is waiting.')->assertSuccessful();
    $user = $this->user($this->school(), 'owner', 'petra@school.test');
    $this->postJson('api/forgotten-password', ['email' => 'petra@school.test'])->assertStatus(202);
    $this->artisan('installation letters')->expectsOutputToContain('/way-in#email=petra')->assertSuccessful();
    $this->travel(61)->minutes();
    $this->artisan('installation letters')->expectsOutput('No letter is waiting.')->assertSuccessful();
    expect($user->exists)->toBeTrue();
});
