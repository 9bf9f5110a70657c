<?php

use App\Installation\Backup;
use App\Installation\BackupFile;
use App\Installation\Installation;
use App\Installation\Kind;
use App\Installation\Restore;
use App\Installation\Tables;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

it('brings back what was there, row for row: the whole demo, and text that is no UTF-8', function (): void {
    $this->migrateTo();
    Artisan::call('installation', ['what' => 'demo']);
    DB::statement("SET SESSION sql_mode = ''");
    DB::table('places')->orderBy('id')->limit(1)->update(['note' => DB::raw("X'4F6464EDA080'")]);
    $before = Backup::sums();
    $file = "{$this->keep}/demo.jsonl.gz";
    expect(Backup::to($file))->toBe($before)->and(fileperms($file) & 0777)->toBe(0600)
        ->and($before['marks']['rows'])->toBeGreaterThan(1000)->and($before['learners']['rows'])->toBeGreaterThan(10);
    // The drill: everything is gone, then everything is there again.
    Schema::dropAllTables();
    expect(Restore::from($file))->toBe($before)->and(Backup::sums())->toBe($before)->and(Installation::kind())->toBe(Kind::Demo)
        ->and(fn () => DB::table('marks')->delete())->toThrow(Illuminate\Database\QueryException::class, 'append-only');
    $this->postJson('api/session', ['email' => 'instructor@harbourschool.test', 'password' => 'demo-harbour'])->assertOk();
});

it('brings an older back-up up to this version', function (): void {
    $this->migrateTo('2026_01_01_000007');
    $at = $this->oldSchool();
    Backup::to("{$this->keep}/old.jsonl.gz");
    Schema::dropAllTables();
    Restore::from("{$this->keep}/old.jsonl.gz");
    expect(array_diff(array_keys(Tables::knownMigrations()), Tables::migrations()))->toBe([])
        ->and(DB::table('marks')->where('id', $at['third'])->value('slot'))->toBe('look')->and(DB::table('learners')->value('name'))->toBe("Zoë \u{1F697}");
});

it('refuses what a newer version made, what is cut, what is changed and what is something else, and touches nothing', function (Closure $spoil,
    string $why): void {
    $this->migrateTo();
    $this->insert('schools', ['name' => 'Here', 'time_zone' => 'UTC', 'pack' => 'gb', 'practice' => '{}']);
    $before = Backup::sums();
    $file = "{$this->keep}/back.jsonl.gz";
    Backup::to($file);
    $lines = explode("\n", trim(gzdecode(file_get_contents($file))));
    file_put_contents($file, gzencode(implode("\n", $spoil($lines))."\n"));
    expect(fn () => Restore::from($file))->toThrow(RuntimeException::class, $why)->and(Backup::sums())->toBe($before);
})->with([
    'newer' => [
        fn (array $lines): array => [str_replace('"migrations":["', '"migrations":["2099_01_01_000001_of_later","', $lines[0]), ...array_slice($lines, 1)],
        'newer Noble Turn',
    ],
    'another format' => [fn (array $lines): array => [str_replace('"version":1', '"version":2', $lines[0]), ...array_slice($lines, 1)], 'version 2'],
    'cut' => [fn (array $lines): array => array_slice($lines, 0, -1), 'cut off'],
    'changed' => [fn (array $lines): array => array_map(fn (string $line): string => str_replace('"Here"', '"There"', $line), $lines), 'damaged'],
    'a row less' => [fn (array $lines): array => array_values(array_filter($lines, fn (string $line): bool => ! str_contains($line, '"Here"'))), 'damaged'],
    'no back-up' => [fn (): array => ['{"hello":1}'], 'no back-up'],
]);

it('restores over data only when told to, and keeps what was there', function (): void {
    $this->migrateTo();
    $school = fn (string $name): string => $this->insert('schools', ['name' => $name, 'time_zone' => 'UTC', 'pack' => 'gb', 'practice' => '{}']);
    $school('First');
    Backup::to("{$this->keep}/first.jsonl.gz");
    $school('Second');
    expect(Artisan::call('installation', ['what' => 'restore', 'file' => "{$this->keep}/first.jsonl.gz"]))->toBe(1)->and(DB::table('schools')->count())->toBe(2)
        ->and(Artisan::call('installation', ['what' => 'restore', 'file' => "{$this->keep}/first.jsonl.gz", '--replace' => true]))->toBe(0)
        ->and(DB::table('schools')->pluck('name')->all())->toBe(['First']);
    [$kept] = glob("{$this->keep}/before-restore-*");
    expect(BackupFile::checked($kept)['tables']['schools']['rows'])->toBe(2);
});

it('writes all tables as they were at one moment, whatever is marked meanwhile', function (): void {
    $this->migrateTo();
    config(['database.connections.other' => config('database.connections.mariadb')]);
    for ($i = 0; $i < 3000; $i++) {
        $rows[] = ['id' => sprintf('018f0000-0000-7000-8000-%012d', $i), 'name' => "S{$i}", 'time_zone' => 'UTC', 'pack' => 'gb', 'practice' => '{}'];
    }
    DB::table('schools')->insert($rows);
    $written = 0;
    DB::connection()->beforeExecuting(function (string $sql) use (&$written): void {
        if (str_contains($sql, 'from `schools`') && $written < 2) {
            DB::connection('other')->table('schools')->insert([
                'id' => sprintf('028f0000-0000-7000-8000-%012d', ++$written), 'name' => 'Meanwhile', 'time_zone' => 'UTC', 'pack' => 'gb',
                'practice' => '{}',
            ]);
        }
    });
    expect(Backup::to("{$this->keep}/then.jsonl.gz")['schools']['rows'])->toBe(3000)->and($written)->toBe(2)->and(DB::table('schools')->count())->toBe(3002);
});

it('erases again whoever was erased after the back-up was made', function (): void {
    $this->artisan('installation', ['what' => 'update'])->assertSuccessful();
    $this->artisan('installation', ['what' => 'demo'])->assertSuccessful();
    $file = "{$this->keep}/before.jsonl.gz";
    $this->artisan('installation', ['what' => 'backup', 'file' => $file])->assertSuccessful();
    $school = App\Models\School::query()->where('name', 'Harbour School of Motoring')->sole();
    $current = app(App\School\CurrentSchool::class);
    [$id, $name] = $current->within($school, function (): array {
        $learner = App\Models\Learner::query()->whereNotNull('phone')->firstOrFail();
        $said = [$learner->id, $learner->name];
        App\Privacy\Erasure::of($learner);

        return $said;
    });
    $marks = DB::table('marks')->count();
    $this->artisan(
        'installation', ['what' => 'restore', 'file' => $file, '--replace' => true],
    )->expectsOutputToContain('One learner had been erased since')->assertSuccessful();
    expect(
        DB::table('learners')->where('id', $id)->value('name'),
    )->toBe('Erased learner')->and(DB::table('learners')->where('name', $name)->exists())->toBeFalse()
        ->and(DB::table('marks')->count())->toBe($marks)
        // The list itself names nobody.
        ->and(trim((string) file_get_contents("{$this->keep}/erased")))->toBe($id);
});
