<?php

namespace App\Privacy;

use App\Models\Learner;
use App\Models\School;
use App\School\CurrentSchool;
use RuntimeException;

/**
 * Who was erased here, by number alone, kept beside the database: a back-up made before still names them, and when it is brought
 * back they are erased again.
 */
final class ErasedList
{
    private const FILE = 'erased';

    /** @throws RuntimeException where it cannot be written: then nobody is erased, rather than erased for a while */
    public static function add(string $id): void
    {
        if (in_array($id, self::ids(), true)) {
            return;
        }
        $folder = (string) config('installation.keep');
        if (! is_dir($folder)) {
            mkdir($folder, 0700, true);
        }
        if (file_put_contents(self::file(), "{$id}\n", FILE_APPEND | LOCK_EX) === false) {
            throw new RuntimeException('The list of who is erased cannot be written.');
        }
    }

    /** Erases again whoever came back. @return int how many did */
    public static function again(CurrentSchool $current): int
    {
        $ids = self::ids();
        $again = 0;
        foreach (School::query()->get() as $school) {
            $again += $current->within($school, static function () use ($ids): int {
                $back = Learner::withTrashed()->whereKey($ids)->whereNull('erased_at')->get();
                $back->each(Erasure::of(...));

                return $back->count();
            });
        }

        return $again;
    }

    /** @return list<string> */
    private static function ids(): array
    {
        return is_file(self::file()) ? array_values(array_filter(array_map(trim(...), file(self::file()) ?: []))) : [];
    }

    private static function file(): string
    {
        return config('installation.keep').'/'.self::FILE;
    }
}
