<?php

namespace App\Logging;

use Monolog\Handler\StreamHandler;
use Monolog\LogRecord;

/**
 * A log that takes no more room than it was given, however much is written to it in however short a time: a full file is put aside
 * and the oldest of those goes. Several processes may write to it.
 */
final class BoundedFile extends StreamHandler
{
    /** A file, bytes, and how many are kept beside the one that is written to: with them all no more than 25 MB (assumed). */
    private const FULL = 5_000_000;

    private const KEPT = 4;

    protected function write(LogRecord $record): void
    {
        if ($this->url !== null && $this->isFull()) {
            $this->turnOver($this->url);
        }
        parent::write($record);
    }

    private function isFull(): bool
    {
        clearstatcache(true, (string) $this->url);

        return is_file((string) $this->url) && filesize((string) $this->url) >= self::FULL;
    }

    private function turnOver(string $file): void
    {
        $lock = fopen("{$file}.lock", 'c');
        if ($lock === false || ! flock($lock, LOCK_EX)) {
            return;
        }
        // While we waited, another may have done it.
        if ($this->isFull()) {
            $this->close();
            for ($i = self::KEPT - 1; $i >= 1; $i--) {
                is_file("{$file}.{$i}") && rename("{$file}.{$i}", "{$file}.".($i + 1));
            }
            rename($file, "{$file}.1");
        }
        flock($lock, LOCK_UN);
        fclose($lock);
    }
}
