<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\FastRoad\Change;
use NobleTurn\Core\FastRoad\LaneChange;
use NobleTurn\Core\FastRoad\Neighbour;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Side;

/** A lane change in words and figures: each way, what to do, the checks in their order, what to know. */
final class LaneChangePresenter
{
    /** @return array<string, mixed> */
    public static function option(Change $option): array
    {
        $finite = static fn (?float $value): ?float => $value === null || is_infinite($value) ? null : round($value, 2);

        return [
            'kind' => $option->kind, 'feasible' => $option->feasible, 'accel_mps2' => round($option->accelerationMps2, 2),
            'speed_mps' => round($option->endMps, 2), 'time_s' => round($option->seconds, 2),
            'metres_m' => round($option->metres, 1), 'spare_m' => $finite($option->spareMetres), 'gap_ahead_s' => $finite($option->gapAheadSeconds),
            'gap_behind_s' => $finite($option->gapBehindSeconds), 'short_mps' => round($option->shortMps, 2), 'in_room' => $option->inRoom,
            'motion' => $option->motion(),
            'cost' => round($option->cost(), 3),
        ];
    }

    public static function message(?Change $best, bool $closed, ?float $junction, float $takes, RulePack $pack, bool $isLong): string
    {
        if ($closed) {
            return 'Not into this lane: it is for buses at this hour. Only its hours count; enter after its end marking.';
        }
        if ($junction !== null && $junction < $takes) {
            return sprintf(
                Wording::in($pack, 'A change takes %s at this speed, the {junction} is %s away: not safe now, at the next.'),
                $pack->lengthUnit()->place($takes), $pack->lengthUnit()->place($junction),
            );
        }
        if ($best === null) {
            return $isLong
                ? 'No gap comes by itself: signal, keep rolling, and move only once somebody is seen to hold back, and whoever is behind them too.'
                : 'No gap fits for now: stay, ease off, look again; a late direction may be declined.';
        }
        $words = $pack->speedUnit()->words(Speed::ofMetresPerSecond($best->endMps));

        return match ($best->kind) {
            'stay' => 'Stay: nothing asks for the change, and nothing better is there for now.',
            'faster-ahead' => sprintf('Faster into the gap ahead: %s in %.1f s.', $words, $best->seconds),
            'easier-behind' => sprintf('Easier into the gap behind: %s in %.1f s.', $words, $best->seconds),
            default => $best->seconds <= LaneChange::CHECKS_S ? 'As you are: the gap is there.' : sprintf(
                'As you are, and wait: it opens in %.1f s.', $best->seconds,
            ),
        };
    }

    /**
     * @param  list<Neighbour>  $passing
     * @return list<array{at: string, time_s: float}>
     */
    public static function checks(Side $side, Practice $practice, ?Change $best, array $passing): array
    {
        $mirror = "{$side->value}-mirror";
        $shoulder = "{$side->value}-shoulder";
        $first = $practice->answer('order') === 'signal-first';
        $early = $practice->answer('shoulder') === 'before-signal';
        $order = $first
            ? ['signal', 'interior', 'ahead', $mirror, 'ahead', $shoulder]
            : ($early ? ['interior', $mirror, $shoulder, 'signal', 'ahead'] : ['interior', $mirror, 'ahead', 'signal', 'ahead', $shoulder]);
        // Somebody passing: seen again once they are by.
        if ($passing !== [] && $practice->answer('passed') === 'let-pass' && ! $first) {
            $order = ['interior', $mirror, 'ahead', ...$order];
        }
        $end = $best->seconds ?? LaneChange::CHECKS_S;
        $every = LaneChange::CHECKS_S / count($order);
        $checks = [];
        foreach ($order as $i => $at) {
            $checks[] = ['at' => $at, 'time_s' => round($end - LaneChange::CHECKS_S + $i * $every, 1) + 0.0];
        }

        return [...$checks, ['at' => 'move', 'time_s' => round($end, 1)], ['at' => 'cancel', 'time_s' => round($end + LaneChange::MOVE_S, 1)]];
    }

    /**
     * @return list<Warning>
     */
    public static function warnings(?Change $best, bool $closed, ?float $junction, ?float $second, float $takes, RulePack $pack): array
    {
        $found = [];
        if ($closed) {
            $found[] = new Warning('bus-lane', 'Read the floor and the hours; look to that side for those who come back late.');
        }
        if ($best === null && ! $closed) {
            $found[] = new Warning('no-gap', 'Nothing that the car can do in the room there is keeps a gap on both sides.');
        }
        if ($second !== null && $second < $takes) {
            $found[] = new Warning(
                'two-junctions',
                sprintf(
                    'Between the two lie %s, a change takes %s: the lane of the second before the first, then cancel so as not to seem to turn there.',
                    $pack->lengthUnit()->place($second), $pack->lengthUnit()->place($takes),
                ),
            );
        }
        if ($junction !== null && $junction < $takes) {
            $found[] = new Warning('too-late', 'Go on and turn at the next: a late direction may be declined.');
        }

        return $found;
    }

    public static function leftAlone(Practice $practice, RulePack $pack, float $longEnoughMetres): Warning
    {
        return new Warning('bus-lane-left-alone', $practice->answer('bus_lane') === 'left-alone'
            ? 'Its hours are over and anybody may use it; here it is left alone: it ends, buses stop in it, cars park there.'
            : sprintf(
                'Its hours are over, but it ends too soon: under %s there is hardly time to go in and come out again.',
                $pack->lengthUnit()->place($longEnoughMetres),
            ), ['long_enough_m' => round($longEnoughMetres, 1)]);
    }

    /**
     * @param  list<Neighbour>  $passing
     * @return list<Warning> what those beside us ask for
     */
    public static function others(LaneChange $change, ?Change $best, array $passing, Practice $practice): array
    {
        $does = $practice->answer('passed') === 'let-pass' ? 'let it by, look again, then move' : 'signal meanwhile, so that those behind it make room, '
            .'then move';
        $found = array_map(
            static fn (Neighbour $other): Warning => new Warning(
                'being-passed', "{$other->name} is passing: {$does}. Somebody from the next lane but one may take the same gap.",
            ),
            $passing,
        );
        if ($best === null || $best->kind === 'stay') {
            return $found;
        }

        return [...$found, ...array_map(static fn (Neighbour $other): Warning => new Warning(
            'same-gap', "{$other->name}, in the lane beyond, could take the same gap: the last look goes there.",
        ), $change->rivals($best))];
    }
}
