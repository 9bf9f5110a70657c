<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Lanes\Arm;

/** The roads that meet at a junction, with what is painted on their lanes and which of them are for buses now. */
final class ArmsReader
{
    /** @return non-empty-list<Arm> by angle */
    public static function read(Values $input): array
    {
        $now = BusHours::time($input);
        $arms = [];
        foreach ($input->objects('arms') as $i => $arm) {
            [$approach, $bus] = self::lanes($arm, $now, "arms.{$i}.");
            [$exits, $forBuses] = self::exits($arm, $now, "arms.{$i}.");
            $arms[] = new Arm(
                $arm->text('name') ?? '', $arm->number('angle_deg') ?? 0.0, $approach, $exits, $bus,
                $arm->distance('exit_room')?->inMetres(), $forBuses, $arm->flag('lights') ?? false,
            );
        }
        if (count($arms) < 2) {
            throw BadInput::field('arms', 'must name at least two roads.');
        }
        usort($arms, static fn (Arm $a, Arm $b): int => $a->angleDegrees <=> $b->angleDegrees);
        foreach ($arms as $i => $arm) {
            foreach (array_slice($arms, $i + 1) as $other) {
                if ($arm->name === $other->name) {
                    throw BadInput::field('arms', "must not name {$arm->name} twice.");
                }
                if (abs($arm->angleDegrees - $other->angleDegrees) < 1.0 || abs($arm->angleDegrees - $other->angleDegrees) > 359.0) {
                    throw BadInput::field('arms', "must lie apart: {$arm->name} and {$other->name} are at the same angle.");
                }
            }
        }

        return $arms;
    }

    /** @return array{non-empty-list<list<string>>, list<int>} what is painted, and the lanes for buses at this time */
    private static function lanes(Values $arm, ?int $now, string $at): array
    {
        $approach = $bus = [];
        foreach ($arm->objects('approach_lanes') as $n => $lane) {
            $approach[] = $lane->texts('to');
            if ($lane->flag('bus') === true || BusHours::running($lane, $now, "{$at}approach_lanes.{$n}.")) {
                $bus[] = $n + 1;
            }
        }

        return [$approach === [] ? [[]] : $approach, $bus];
    }

    /** @return array{int, array<int, float>} how many lanes lead out, and which are for buses from so many metres on, at this time */
    private static function exits(Values $arm, ?int $now, string $at): array
    {
        $lanes = $arm->objects('exit_lanes');
        $buses = [];
        foreach ($lanes as $n => $lane) {
            $isForBuses = $lane->has('bus_hours') || $lane->has('bus_begins');
            if ($isForBuses && (! $lane->has('bus_hours') || BusHours::running($lane, $now, "{$at}exit_lanes.{$n}."))) {
                $buses[$n + 1] = $lane->distance('bus_begins')?->inMetres() ?? 0.0;
            }
        }

        return [$lanes === [] ? self::whole($arm, 'exit_lanes', $at) ?? 1 : count($lanes), $buses];
    }

    public static function whole(Values $input, string $field, string $at = ''): ?int
    {
        $said = $input->number($field);
        if ($said !== null && $said !== floor($said)) {
            throw BadInput::field($at.$field, 'must be a whole number.');
        }

        return $said === null ? null : (int) $said;
    }
}
