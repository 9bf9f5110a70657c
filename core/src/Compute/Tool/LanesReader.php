<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Lanes\Arm;
use NobleTurn\Core\Lanes\Costs;
use NobleTurn\Core\Lanes\Ring;
use NobleTurn\Core\Lanes\Trip;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Side;

/** From the fields of the lanes tool to the ring, seen from our own arm, and the trip through it. */
final class LanesReader
{
    private const RADIUS_M = 18.0;

    private const MINI_RADIUS_M = 4.0;

    public static function read(Values $input, RulePack $pack): AskedLanes
    {
        $arms = self::arms($input);
        $names = array_map(static fn (Arm $arm): string => $arm->name, $arms);
        $from = self::index($names, $input->text('from') ?? '', 'from');
        $arms = [...array_slice($arms, $from), ...array_slice($arms, 0, $from)];
        $zero = $arms[0]->angle;
        $arms = array_map(static fn (Arm $arm): Arm => new Arm($arm->name, fmod($arm->angle - $zero + 360.0, 360.0), $arm->approach, $arm->exitLanes, $arm->busLanes, $arm->exitRoom), $arms);
        $names = array_map(static fn (Arm $arm): string => $arm->name, $arms);
        $to = self::index($names, $input->text('to') ?? '', 'to');
        $sectors = $to === 0 ? count($arms) : $to;
        foreach ($arms as $arm) {
            foreach ($arm->approach as $painted) {
                foreach ($painted as $name) {
                    self::index($names, $name, 'arms');
                }
            }
        }
        $lanes = self::whole($input, 'circulating_lanes') ?? max(1, ...array_map(static fn (Arm $arm): int => count($arm->approach), $arms));
        $spirals = $ends = [];
        foreach ($input->objects('spirals') as $i => $spiral) {
            $lane = self::lane($spiral, 'lane', $lanes, "spirals.{$i}");
            $spirals[self::index($names, $spiral->text('after') ?? '', "spirals.{$i}.after").".{$lane}"] = self::lane($spiral, 'to_lane', $lanes, "spirals.{$i}");
        }
        foreach ($input->objects('ends') as $i => $end) {
            $ends[self::index($names, $end->text('after') ?? '', "ends.{$i}.after").'.'.self::lane($end, 'lane', $lanes, "ends.{$i}")] = true;
        }
        $next = $input->choice('next_turn', Side::class);
        $mini = $input->flag('mini') ?? false;
        $costs = $input->object('costs');
        $given = array_filter(array_combine(array_keys(Costs::DEFAULTS), array_map(static fn (string $name): ?float => $costs?->number($name), array_keys(Costs::DEFAULTS))), static fn (?float $value): bool => $value !== null);

        if ($arms === []) {
            throw BadInput::field('arms', 'must name at least two roads.');
        }
        $angle = $to === 0 ? 360.0 : ($arms[$to] ?? $arms[0])->angle;

        return new AskedLanes($pack, new Ring($arms, $lanes, $spirals, $ends), new Trip(
            $sectors, $angle, $input->flag('passing') ?? false,
            $next === null ? null : Flank::of($next, $pack) === Flank::Off, $input->distance('next_turn_in')?->inMetres() ?? ($next === null ? null : 100.0), new Costs($given),
        ), $input->distance('ring_radius')?->inMetres() ?? ($mini ? self::MINI_RADIUS_M : self::RADIUS_M), $mini);
    }

    /** @return non-empty-list<Arm> by angle */
    private static function arms(Values $input): array
    {
        $arms = [];
        foreach ($input->objects('arms') as $i => $arm) {
            $approach = $bus = [];
            foreach ($arm->objects('approach_lanes') as $n => $lane) {
                $approach[] = $lane->texts('to');
                if ($lane->flag('bus') === true) {
                    $bus[] = $n + 1;
                }
            }
            $arms[] = new Arm($arm->text('name') ?? '', $arm->number('angle_deg') ?? 0.0, $approach === [] ? [[]] : $approach, self::whole($arm, 'exit_lanes', "arms.{$i}.") ?? 1, $bus, $arm->distance('exit_room')?->inMetres());
        }
        if (count($arms) < 2) {
            throw BadInput::field('arms', 'must name at least two roads.');
        }
        usort($arms, static fn (Arm $a, Arm $b): int => $a->angle <=> $b->angle);
        foreach ($arms as $i => $arm) {
            foreach (array_slice($arms, $i + 1) as $other) {
                if ($arm->name === $other->name) {
                    throw BadInput::field('arms', "must not name {$arm->name} twice.");
                }
                if (abs($arm->angle - $other->angle) < 1.0 || abs($arm->angle - $other->angle) > 359.0) {
                    throw BadInput::field('arms', "must lie apart: {$arm->name} and {$other->name} are at the same angle.");
                }
            }
        }

        return $arms;
    }

    /** @param  list<string>  $names */
    private static function index(array $names, string $name, string $field): int
    {
        $at = array_search($name, $names, true);

        return $at === false ? throw BadInput::field($field, "must be one of the arms: {$name} is none.") : $at;
    }

    private static function lane(Values $link, string $field, int $lanes, string $at): int
    {
        $lane = self::whole($link, $field, "{$at}.") ?? throw BadInput::field("{$at}.{$field}", 'is missing.');

        return $lane <= $lanes ? $lane : throw BadInput::field("{$at}.{$field}", "must not exceed the {$lanes} circulating lanes.");
    }

    private static function whole(Values $input, string $field, string $at = ''): ?int
    {
        $said = $input->number($field);
        if ($said !== null && $said !== floor($said)) {
            throw BadInput::field($at.$field, 'must be a whole number.');
        }

        return $said === null ? null : (int) $said;
    }
}
