<?php

namespace App\Console;

use App\Installation\Backup;
use App\Installation\BackupFile;
use App\Installation\Installation;
use App\Installation\Restore;
use App\Installation\Tables;
use App\Installation\Unfinished;
use App\Installation\Update;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Schema;
use RuntimeException;

/** What the commands in bin/ ask of an installation. */
final class InstallationCommand extends Command
{
    protected $signature = 'installation {what : kind, update, demo, fresh-demo, backup or restore} {file? : of a back-up} {--replace : what is here}';

    protected $description = 'Says what this installation is, brings its tables up to date, loads the demo, backs up and restores';

    public function handle(): int
    {
        try {
            match ($this->argument('what')) {
                'kind' => $this->line(Installation::kind()->value ?? 'none'),
                'update' => (new Update(self::keep()))($this->line(...)),
                'demo' => $this->demo(),
                'fresh-demo' => $this->freshDemo(),
                'backup' => $this->say(Backup::to($this->file())),
                'restore' => $this->restore(),
                default => throw new RuntimeException('Say kind, update, demo, fresh-demo, backup or restore.'),
            };
        } catch (RuntimeException $why) {
            $this->error($why->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }

    private function demo(): void
    {
        $this->callSilently('db:seed', ['--force' => true, '--class' => DemoSeeder::class]);
    }

    /** The demo from the beginning: everything that was entered in it is gone. */
    private function freshDemo(): void
    {
        if (Tables::holdAnything()) {
            Installation::beDemo();
        }
        $unfinished = new Unfinished(self::keep());
        $unfinished->begin(Unfinished::FRESH_DEMO);
        Schema::dropAllTables();
        $this->callSilently('migrate', ['--force' => true]);
        $this->demo();
        $unfinished->end();
    }

    private function restore(): void
    {
        $unfinished = new Unfinished(self::keep());
        BackupFile::checked($this->file());
        if ($unfinished->what() !== Unfinished::RESTORE && Tables::holdAnything()) {
            if (! $this->option('replace')) {
                throw new RuntimeException('There is data here already. Restore into another installation, or say --replace: then what is here is written to a back-up first.');
            }
            $before = self::keep().'/before-restore-'.gmdate('Ymd-His').'.jsonl.gz';
            Backup::to($before);
            $this->line("What was here is kept in {$before}.");
        }
        $unfinished->begin(Unfinished::RESTORE);
        $this->say(Restore::from($this->file()));
        $unfinished->end();
    }

    private static function keep(): string
    {
        return (string) config('installation.keep');
    }

    private function file(): string
    {
        $file = $this->argument('file');

        return is_string($file) ? $file : throw new RuntimeException('Name the file of the back-up.');
    }

    /** @param  array<string, array{rows: int, sha256: string}>  $tables */
    private function say(array $tables): void
    {
        foreach (array_filter($tables, static fn (array $sum): bool => $sum['rows'] > 0) as $name => $sum) {
            $this->line(sprintf('%8d %s', $sum['rows'], str_replace('_', ' ', $name)));
        }
    }
}
