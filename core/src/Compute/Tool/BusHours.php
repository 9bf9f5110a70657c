<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;

/** The hours in which a lane is for buses, held against a time of day. */
final class BusHours
{
    /** @return array{TextField, TextField} */
    public static function fields(): array
    {
        return [new TextField('bus_from', 'beginning of its hours for buses, such as 07:30', 5), new TextField('bus_until', 'their end', 5)];
    }

    public static function timeField(): TextField
    {
        return new TextField('time', 'time of day, such as 08:15; without it hours for buses count as running', 5);
    }

    /** Minutes since midnight; null where no time was given. */
    public static function time(Values $input): ?int
    {
        return self::minutes($input, 'time', '');
    }

    /** Without a time of day hours count as running, which errs on the lawful side; they may run over midnight. */
    public static function running(Values $lane, ?int $now, string $at = ''): bool
    {
        $from = self::minutes($lane, 'bus_from', $at);
        $until = self::minutes($lane, 'bus_until', $at);
        if (($from === null) !== ($until === null)) {
            throw BadInput::field($at.($from === null ? 'bus_from' : 'bus_until'), 'is missing: hours have a beginning and an end.');
        }
        if ($from === null || $until === null) {
            return false;
        }

        return $now === null || ($from <= $until ? $from <= $now && $now < $until : $now >= $from || $now < $until);
    }

    private static function minutes(Values $input, string $field, string $at): ?int
    {
        $said = $input->text($field);
        if ($said === null) {
            return null;
        }
        if (preg_match('/^([01]\d|2[0-3]):([0-5]\d)$/', $said, $parts) !== 1) {
            throw BadInput::field($at.$field, 'must be a time of day such as 07:30.');
        }

        return (int) $parts[1] * 60 + (int) $parts[2];
    }
}
