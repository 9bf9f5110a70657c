<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\Field;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;

/** The hours in which a lane is for buses, held against a time of day. */
final class BusHours
{
    /** @return non-empty-list<Field> one window, or a list of them */
    public static function fields(): array
    {
        return [
            new TextField('bus_from', 'beginning of its hours for buses, such as 07:30', 5), new TextField('bus_until', 'their end', 5), self::listField(),
        ];
    }

    public static function listField(): ListField
    {
        return new ListField('bus_hours', 'its hours for buses; empty: all day', new ObjectField('window', 'from one time of day until another', new Shape(
            (new TextField('from', 'beginning, such as 07:30', 5))->required(), (new TextField('until', 'end', 5))->required(),
        )), 8);
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
        if ($lane->has('bus_hours')) {
            $windows = $lane->objects('bus_hours');
            $runs = $windows === [];
            foreach ($windows as $i => $window) {
                $within = "{$at}bus_hours.{$i}.";
                $runs = self::holds((int) self::minutes($window, 'from', $within), (int) self::minutes($window, 'until', $within), $now) || $runs;
            }

            return $runs;
        }
        $from = self::minutes($lane, 'bus_from', $at);
        $until = self::minutes($lane, 'bus_until', $at);
        if (($from === null) !== ($until === null)) {
            throw BadInput::field($at.($from === null ? 'bus_from' : 'bus_until'), 'is missing: hours have a beginning and an end.');
        }
        if ($from === null || $until === null) {
            return false;
        }

        return self::holds($from, $until, $now);
    }

    /** A lane for buses that is open to all at this time of day. */
    public static function over(Values $lane, ?int $now): bool
    {
        return ($lane->has('bus_hours') || $lane->has('bus_from')) && ! self::running($lane, $now);
    }

    private static function holds(int $from, int $until, ?int $now): bool
    {
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
