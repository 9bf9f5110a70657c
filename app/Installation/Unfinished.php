<?php

namespace App\Installation;

/**
 * A note beside the data of what has been begun and would leave half an installation if it were broken off: it is written before the
 * first table is touched and removed when all is whole again.
 */
final readonly class Unfinished
{
    public const UPDATE = 'update';

    public const FRESH_DEMO = 'fresh-demo';

    public const RESTORE = 'restore';

    private string $note;

    /** @param  string  $keep  a folder of this installation's own */
    public function __construct(string $keep)
    {
        $this->note = "{$keep}/unfinished";
    }

    /** What was begun and never ended; null where all is whole. */
    public function what(): ?string
    {
        return $this->read()[0] ?? null;
    }

    /** The back-up of what was there before it, where one was written. */
    public function before(): ?string
    {
        return $this->read()[1] ?? null;
    }

    public function begin(string $what, ?string $before = null): void
    {
        file_put_contents("{$this->note}.new", "{$what}\n{$before}");
        rename("{$this->note}.new", $this->note);
    }

    public function end(): void
    {
        @unlink($this->note);
    }

    /** @return list<string> */
    private function read(): array
    {
        return is_file($this->note) ? array_values(array_filter(explode("\n", (string) file_get_contents($this->note)))) : [];
    }
}
