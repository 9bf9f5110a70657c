<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Fault\UnknownName;

/** The rule packs there are: those that ship with the core, and those that whoever uses it brings along. */
final class RulePacks
{
    /** @var list<RulePack> */
    private static array $brought = [];

    /** @var ?non-empty-list<RulePack> made once: a pack never changes */
    private static ?array $shipped = null;

    /** @return non-empty-list<RulePack> */
    public static function shipped(): array
    {
        return self::$shipped ??= [new GreatBritain, new Ireland, new NorthAmerica];
    }

    /** Packs beside the shipped ones, in the place of any brought before. A code of its own is asked of each. */
    public static function bring(RulePack ...$packs): void
    {
        self::$brought = array_values($packs);
        $codes = self::codes();
        if (count(array_unique($codes)) < count($codes)) {
            self::$brought = [];
            throw new \LogicException(
                'Two rule packs have one code: '.implode(
                    ', ', array_keys(array_filter(array_count_values($codes), static fn (int $times): bool => $times > 1)),
                ).'.',
            );
        }
    }

    /** @return non-empty-list<RulePack> */
    public static function all(): array
    {
        return [...self::shipped(), ...self::$brought];
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
