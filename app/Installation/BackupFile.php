<?php

namespace App\Installation;

use Generator;
use RuntimeException;

/**
 * A back-up as a file: JSON lines, compressed. The first line says what it is and how far its tables had come, each further one is a
 * row, the last one counts them and holds a hash of each table's lines, so that a cut or changed file is found out. Text that is not
 * UTF-8 is kept byte by byte.
 */
final class BackupFile
{
    private const FORMAT = 'noble-turn-backup';

    private const VERSION = 1;

    /**
     * @param  list<string>  $migrations  done where the rows come from
     * @param  iterable<string, iterable<array<string, mixed>>>  $tables  rows by table
     * @return array<string, array{rows: int, sha256: string}> by table
     */
    public static function write(string $path, array $migrations, iterable $tables, string $madeAt): array
    {
        $file = self::opened($path, 'wb');
        self::line($file, ['format' => self::FORMAT, 'version' => self::VERSION, 'made_at' => $madeAt, 'migrations' => $migrations]);
        $sums = [];
        foreach ($tables as $table => $rows) {
            $hash = hash_init('sha256');
            $count = 0;
            foreach ($rows as $row) {
                hash_update($hash, self::line($file, ['table' => $table, 'row' => array_map(self::packed(...), $row)]));
                $count++;
            }
            $sums[$table] = ['rows' => $count, 'sha256' => hash_final($hash)];
        }
        self::line($file, ['end' => $sums]);
        if (! gzclose($file)) {
            throw new RuntimeException("The back-up could not be written to {$path}: is the disk full?");
        }

        return $sums;
    }

    /**
     * Reads the whole file and holds it against what it says of itself.
     *
     * @return array{made_at: string, migrations: list<string>, tables: array<string, array{rows: int, sha256: string}>}
     *
     * @throws RuntimeException where it is no back-up, of another version, cut or changed
     */
    public static function checked(string $path): array
    {
        $head = null;
        $sums = $hashes = [];
        foreach (self::lines($path) as $line) {
            $said = json_decode($line, true);
            if ($head === null) {
                $head = self::head($said);
            } elseif (isset($said['end'])) {
                foreach ($hashes as $table => $hash) {
                    $sums[$table]['sha256'] = hash_final($hash);
                }
                // An empty table has no line.
                $none = ['rows' => 0, 'sha256' => hash('sha256', '')];
                foreach ($said['end'] as $table => $sum) {
                    if ($sum !== ($sums[$table] ?? $none)) {
                        throw new RuntimeException("The back-up is damaged: its rows of {$table} are not those that were written.");
                    }
                }

                return [...$head, 'tables' => $said['end']];
            } else {
                $table = (string) ($said['table'] ?? '');
                $hashes[$table] ??= hash_init('sha256');
                hash_update($hashes[$table], $line);
                $sums[$table]['rows'] = ($sums[$table]['rows'] ?? 0) + 1;
            }
        }
        throw new RuntimeException($head === null ? 'The file is no back-up of Noble Turn.' : 'The back-up is cut off: its end is missing.');
    }

    /** @return Generator<string, array<string, mixed>> rows, each under its table's name, in the order in which they were written */
    public static function rows(string $path): Generator
    {
        foreach (self::lines($path) as $line) {
            $said = json_decode($line, true);
            if (isset($said['table'])) {
                yield $said['table'] => array_map(self::unpacked(...), $said['row']);
            }
        }
    }

    /**
     * @return array{made_at: string, migrations: list<string>}
     */
    private static function head(mixed $said): array
    {
        if (! is_array($said) || ($said['format'] ?? null) !== self::FORMAT) {
            throw new RuntimeException('The file is no back-up of Noble Turn.');
        }
        if ($said['version'] !== self::VERSION) {
            throw new RuntimeException("The back-up is written in version {$said['version']} of its format; this Noble Turn reads version ".self::VERSION.'.');
        }

        return ['made_at' => $said['made_at'], 'migrations' => $said['migrations']];
    }

    /** @return Generator<int, string> */
    private static function lines(string $path): Generator
    {
        $file = self::opened($path, 'rb');
        try {
            while (($line = @gzgets($file)) !== false) {
                yield $line;
            }
        } finally {
            gzclose($file);
        }
    }

    /** @return resource */
    private static function opened(string $path, string $mode)
    {
        return @gzopen($path, $mode) ?: throw new RuntimeException("The back-up {$path} cannot be opened.");
    }

    /**
     * @param  resource  $file
     * @param  array<string, mixed>  $said
     */
    private static function line($file, array $said): string
    {
        $line = json_encode($said, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
        if (gzwrite($file, $line) !== strlen($line)) {
            throw new RuntimeException('The back-up could not be written: is the disk full?');
        }

        return $line;
    }

    private static function packed(mixed $value): mixed
    {
        return is_string($value) && ! mb_check_encoding($value, 'UTF-8') ? ['base64' => base64_encode($value)] : $value;
    }

    private static function unpacked(mixed $value): mixed
    {
        return is_array($value) ? base64_decode($value['base64'], true) : $value;
    }
}
