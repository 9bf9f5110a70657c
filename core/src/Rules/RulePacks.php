<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Fault\UnknownName;

/** The rule packs that ship with the core. */
final class RulePacks
{
    /** @return non-empty-list<RulePack> */
    public static function all(): array
    {
        return [new GreatBritain, new Ireland, new NorthAmerica];
    }

    /** @return non-empty-list<string> */
    public static function codes(): array
    {
        return array_map(static fn (RulePack $pack): string => $pack->code(), self::all());
    }

    /** @throws UnknownName */
    public static function byCode(string $code): RulePack
    {
        foreach (self::all() as $pack) {
            if ($pack->code() === $code) {
                return $pack;
            }
        }
        throw UnknownName::among('rule pack', $code, self::codes());
    }
}
