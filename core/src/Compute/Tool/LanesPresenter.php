<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Lanes\Costs;
use NobleTurn\Core\Lanes\Layout;
use NobleTurn\Core\Lanes\Route;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\Practice;

/** A route in words: stretch by stretch, signals, and why. */
final class LanesPresenter
{
    /** Less time than this on it leaves none for an exit signal, s (assumed). */
    private const TOO_SHORT_S = 3.0;

    /** @return list<array{after: string, sector: int, lane: int, to_lane: int, action: string, mirrors: list<string>}> */
    public static function path(AskedLanes $asked, Route $route): array
    {
        $near = Flank::Near->side($asked->pack)->value;
        $off = Flank::Off->side($asked->pack)->value;
        if ($asked->layout === Layout::Junction) {
            return [['after' => $asked->arm(0)->name, 'sector' => 0, 'lane' => $route->approachLane, 'to_lane' => $route->approachLane, 'action' => 'leave', 'mirrors' => ['interior', ($asked->trip->clock() > 0 ? $off : $near).'-mirror']]];
        }
        $rows = [];
        foreach ($route->moves as $move) {
            $last = $move['sector'] === $asked->trip->sectors - 1;
            $outward = $move['to'] < $move['lane'];
            $changes = $move['to'] !== $move['lane'];
            $side = $outward ? $near : $off;
            $rows[] = [
                'after' => $asked->arm($move['sector'])->name, 'sector' => $move['sector'], 'lane' => $move['lane'], 'to_lane' => $move['to'],
                'action' => $changes ? ($outward ? 'move-out' : 'move-in') : ($last ? 'leave' : 'keep'),
                'mirrors' => [...($changes ? ['interior', "{$side}-mirror", "{$side}-shoulder"] : []), ...($last ? ['interior', "{$near}-mirror"] : [])],
            ];
        }

        return $rows;
    }

    /** @return list<array{where: string, side: ?string, off: string}> */
    public static function signals(AskedLanes $asked, Practice $practice): array
    {
        $near = Flank::Near->side($asked->pack)->value;
        if ($asked->layout === Layout::Junction) {
            $side = match ($asked->trip->clock()) {
                -1 => $near, 0 => null, default => Flank::Off->side($asked->pack)->value
            };

            return [['where' => 'approach', 'side' => $side, 'off' => $side === null ? '' : 'after the turn']];
        }
        $first = $asked->trip->sectors === 1;
        $approach = match (true) {
            $first => $near,
            $asked->trip->clock() > 0 && $asked->pack->signalsOnApproachToRoundabout() => Flank::Off->side($asked->pack)->value,
            default => null,
        };
        $before = $asked->arm($asked->trip->sectors - 1)->name;
        $signals = [['where' => 'approach', 'side' => $approach, 'off' => $first ? 'after the exit' : ($approach === null ? '' : "at {$before}, for the exit")]];
        $none = $asked->mini && ($practice->answer('mini_exit') === 'never' || $asked->secondsOnIt() < self::TOO_SHORT_S);
        if (! $first && ! $none) {
            $signals[] = ['where' => $before, 'side' => $near, 'off' => 'after the exit'];
        }

        return $signals;
    }

    /** @return list<string> */
    public static function why(Route $route): array
    {
        $said = [];
        foreach ($route->counts as $name => $value) {
            if ($name !== 'sector' && $value > 0.0) {
                $said[] = Costs::WORDS[$name].': '.round($value, 2);
            }
        }

        return $said;
    }

    /** @return non-empty-list<string> */
    public static function reasons(AskedLanes $asked, Route $best, int $usable): array
    {
        $painted = $asked->ring->arms[0]->approach[$best->approachLane - 1] !== [];
        $reasons = [$painted ? "It is painted for {$asked->target()->name}." : 'Nothing is painted: the clock decides.'];
        if ($usable === 1) {
            $reasons[] = 'It is the only lane that leads there.';
        }
        $reasons[] = $best->exitLane === 1 ? 'It brings the car out in the nearside lane.' : "It leaves in lane {$best->exitLane}.";
        $onward = $asked->trip->onward;
        if ($onward !== null) {
            $changes = $onward->changes($best->exitLane);
            $reasons[] = $changes === 0 ? "It comes out in the lane that {$onward->to} needs next." : "It leaves {$changes} ".($changes === 1 ? 'change' : 'changes')." of lane for {$onward->to}.";
        }
        if ($asked->layout === Layout::Junction) {
            return $reasons;
        }
        $changes = count(array_filter($best->moves, static fn (array $move): bool => $move['lane'] !== $move['to']));
        $reasons[] = $changes === 0 ? 'No change of lane on the way.' : "With {$changes} ".($changes === 1 ? 'change' : 'changes').' of lane on the way.';

        return $reasons;
    }

    /** @return ?array<string, mixed> the next junction: the lane it wants, and whether there is room to take it */
    public static function onward(AskedLanes $asked, Route $best): ?array
    {
        $onward = $asked->trip->onward;
        if ($onward === null) {
            return null;
        }
        $needed = $onward->needed($best->exitLane);

        return [
            'lane' => $onward->laneFor($best->exitLane), 'changes' => $onward->changes($best->exitLane), 'distance_m' => round($onward->metres, 1),
            'needed_m' => round($needed, 1), 'fits' => $onward->forced($best->exitLane) === 0,
            'begin_by_m' => round(max(0.0, $needed), 1),
        ];
    }
}
