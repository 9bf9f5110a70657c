<?php

namespace App\Console;

use App\Installation\Backup;
use App\Installation\BackupFile;
use App\Installation\Installation;
use App\Installation\Restore;
use App\Installation\Tables;
use App\Installation\Tidy;
use App\Installation\Unfinished;
use App\Installation\Update;
use App\Models\Letter;
use App\People\WaysIn;
use App\Privacy\ErasedList;
use App\School\CurrentSchool;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Schema;
use RuntimeException;

/** What the commands in bin/ ask of an installation. */
final class InstallationCommand extends Command
{
    protected $signature = 'installation {what : kind, update, demo, fresh-demo, backup, restore, tidy or letters} {file? : of a back-up} {--replace : what '
        .'is here}';

    protected $description = 'Says what this installation is, brings its tables up to date, loads the demo, backs up and restores, tidies up, reads the outbox';

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
                'tidy' => $this->tidy(),
                'letters' => $this->letters(),
                default => throw new RuntimeException('Say kind, update, demo, fresh-demo, backup, restore, tidy or letters.'),
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
                throw new RuntimeException(
                    'There is data here already. Restore into another installation, or say --replace: then what is here is written to a back-up first.',
                );
            }
            $before = self::keep().'/before-restore-'.gmdate('Ymd-His').'.jsonl.gz';
            Backup::to($before);
            $this->line("What was here is kept in {$before}.");
        }
        $unfinished->begin(Unfinished::RESTORE);
        $this->say(Restore::from($this->file()));
        $again = ErasedList::again(app(CurrentSchool::class));
        if ($again > 0) {
            $this->line(
                $again === 1 ? 'One learner had been erased since, and is erased again.' : "{$again} learners had been erased since, and are erased again.",
            );
        }
        $unfinished->end();
    }

    private function tidy(): void
    {
        foreach (Tidy::up(app(CurrentSchool::class)) as $what => $rows) {
            $this->line("{$rows} {$what}");
        }
    }

    /** The letters whose way in stands open: for whoever looks after the machine, when an owner has forgotten the password. */
    private function letters(): void
    {
        /** @var list<Letter> $letters */
        $letters = Letter::query()
            ->withoutGlobalScope('school')
            ->with('user')
            ->whereNotNull('body')
            ->where('ends_at', '>', now())
            ->orderBy('created_at')
            ->get()
            ->keyBy('user_id')
            ->values()
            ->all();
        $open = array_filter($letters, static fn (Letter $letter): bool => WaysIn::standingOpen([$letter->user->email]) !== []);
        foreach ($open as $letter) {
            $this->line("To {$letter->user->name} <{$letter->user->email}>\n{$letter->subject}\n\n{$letter->body}\n");
        }
        if ($open === []) {
            $this->line('No letter is waiting.');
        }
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
