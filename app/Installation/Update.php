<?php

namespace App\Installation;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Schema;
use Throwable;

/**
 * Brings the tables up to date. Where anything is there that would be missed, it is written to a file first, and put back where the
 * update fails. What was broken off altogether (a killed process, a power cut) is set right by the next one, which then begins anew.
 */
final readonly class Update
{
    /** So many of what was there before updates are kept. */
    private const KEPT = 3;

    private Unfinished $unfinished;

    /** @param  string  $keep  a folder of this installation's own */
    public function __construct(private string $keep)
    {
        $this->unfinished = new Unfinished($keep);
    }

    /**
     * @param  callable(string): void  $tell  what is being done, where it is more than nothing
     *
     * @throws UpdateFailed with all data as it was before
     */
    public function __invoke(callable $tell): void
    {
        $this->setRight($tell);
        if (array_diff(array_keys(Tables::knownMigrations()), Tables::migrations()) === []) {
            return;
        }
        $before = null;
        if (Tables::holdAnything()) {
            $before = "{$this->keep}/before-update-".gmdate('Ymd-His').'.jsonl.gz';
            $tell("What is there is written to {$before} first.");
            Backup::to($before);
            $this->unfinished->begin(Unfinished::UPDATE, $before);
        }
        try {
            if (Artisan::call('migrate', ['--force' => true]) !== 0) {
                throw new \RuntimeException(trim(Artisan::output()));
            }
        } catch (Throwable $why) {
            if ($before !== null) {
                Restore::from($before, upToDate: false);
                $this->unfinished->end();
            }
            throw new UpdateFailed(
                'The tables could not be brought up to date; '
                    .($before === null ? 'there was nothing in them yet' : 'all data is as it was before')
                    .'. '
                    .$why->getMessage(),
                previous: $why,
            );
        }
        $this->unfinished->end();
        $this->thinOut();
    }

    /** Only the last few are kept: they hold people's data. */
    private function thinOut(): void
    {
        $older = array_slice(array_reverse(glob("{$this->keep}/before-update-*") ?: []), self::KEPT);
        array_map(unlink(...), $older);
    }

    /** @param  callable(string): void  $tell */
    private function setRight(callable $tell): void
    {
        switch ($this->unfinished->what()) {
            case Unfinished::UPDATE:
                $tell('The last update was broken off: what was there before it is put back.');
                Restore::from((string) $this->unfinished->before(), upToDate: false);
                break;
            case Unfinished::FRESH_DEMO:
                $tell('The demo was being made anew when that was broken off: it is begun again.');
                Schema::dropAllTables();
                break;
            case Unfinished::RESTORE:
                throw new UpdateFailed(
                    'A restore into this installation was broken off: run bin/restore again. What was here before it, if anything, is in '.$this->keep.'.',
                );
        }
        $this->unfinished->end();
    }
}
