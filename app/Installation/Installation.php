<?php

namespace App\Installation;

use Illuminate\Support\Facades\DB;
use RuntimeException;

/** What this installation is, as written down in it: the demo, or a school of its own; nothing yet before the first school. */
final class Installation
{
    private const ROW = 1;

    public static function kind(): ?Kind
    {
        return Kind::tryFrom((string) DB::table('installations')->where('id', self::ROW)->value('kind'));
    }

    /**
     * Makes this the demo, where it is nothing yet or the demo already. To be called in the transaction that loads it.
     *
     * @throws RuntimeException where a school of its own lives here
     */
    public static function beDemo(): void
    {
        self::be(Kind::Demo, 'This installation is a school’s own: the demo is not loaded into it, and nothing in it is made anew.');
    }

    /**
     * Makes this a school's own, where it is nothing yet. To be called in the transaction that makes the first school, which waits
     * here for any other that does the same.
     *
     * @throws RuntimeException where the demo lives here
     */
    public static function beOwn(): void
    {
        self::be(Kind::Own, 'This installation is the demo: a school of your own is set up in another one.');
    }

    private static function be(Kind $kind, string $otherwise): void
    {
        $is = Kind::tryFrom((string) DB::table('installations')->where('id', self::ROW)->lockForUpdate()->value('kind'));
        if ($is !== null && $is !== $kind) {
            throw new RuntimeException($otherwise);
        }
        DB::table('installations')->where('id', self::ROW)->update(['kind' => $kind->value]);
    }
}
