<?php

namespace App\Installation;

use Illuminate\Support\Facades\Artisan;
use Throwable;

/**
 * Brings the tables up to date. Where anything is there that would be missed, it is written to a file first, and put back where the
 * update fails; an update that was broken off (a killed process, a power cut) is put back by the next one, which then begins anew.
 */
final readonly class Update
{
    private const UNFINISHED = 'unfinished-update';

    /** @param  string  $keep  a folder of this installation's own */
    public function __construct(private string $keep)
    {
    }

    /**
     * @param  callable(string): void  $tell  what is being done, where it is more than nothing
     *
     * @throws UpdateFailed with all data as it was before
     */
    public function __invoke(callable $tell): void
    {
        $unfinished = "{$this->keep}/".self::UNFINISHED;
        if (is_file($unfinished)) {
            $tell('The last update was broken off: what was there before it is put back.');
            Restore::from("{$this->keep}/".trim((string) file_get_contents($unfinished)), upToDate: false);
            unlink($unfinished);
        }
        if (array_diff(array_keys(Tables::knownMigrations()), Tables::migrations()) === []) {
            return;
        }
        $before = null;
        if (Tables::holdAnything()) {
            $before = 'before-update-'.gmdate('Ymd-His').'.jsonl.gz';
            $tell("What is there is written to {$this->keep}/{$before} first.");
            Backup::to("{$this->keep}/{$before}");
            file_put_contents($unfinished, $before);
        }
        try {
            if (Artisan::call('migrate', ['--force' => true]) !== 0) {
                throw new \RuntimeException(trim(Artisan::output()));
            }
        } catch (Throwable $why) {
            if ($before !== null) {
                Restore::from("{$this->keep}/{$before}", upToDate: false);
                unlink($unfinished);
            }
            throw new UpdateFailed('The tables could not be brought up to date; '.($before === null ? 'there was nothing in them yet' : 'all data is as it was before').'. '.$why->getMessage(), previous: $why);
        }
        if ($before !== null) {
            unlink($unfinished);
        }
    }
}
