<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Lanes\Costs;
use NobleTurn\Core\Lanes\LaneQuestion;
use NobleTurn\Core\Lanes\LaneRoute;
use NobleTurn\Core\Lanes\Layout;
use NobleTurn\Core\Lanes\Met;
use NobleTurn\Core\Lanes\MetKind;
use NobleTurn\Core\Lanes\Route;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;

/** A way through a junction as the arrays of the tool's answer. */
final class LanesPresenter
{
    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        $sides = ['type' => ['string', 'null'], 'enum' => ['left', 'right', null]];

        $path = Out::list(Out::object([
            'after' => Out::text('arm the stretch begins at'), 'sector' => Out::integer('0 first'), 'lane' => Out::integer('it begins in'),
            'to_lane' => Out::integer('it ends in'),
            'action' => ['enum' => ['keep', 'move-out', 'move-in', 'leave']], 'mirrors' => Out::list(['type' => 'string'], 'looks that are due, in order'),
        ]), 'stretch by stretch');

        return [
            'approach_lane' => Out::integer('from 1 at the nearside'),
            'exit_lane' => Out::integer('lane we leave in'),
            'cost' => Out::number('of this way'),
            'clock' => ['enum' => ['before-twelve', 'twelve', 'after-twelve']],
            'path' => $path,
            'signals' => Out::list(
                Out::object(['where' => Out::text('approach, or the arm passed'), 'side' => $sides, 'off' => Out::text('where it is cancelled')]),
                'where on and where off',
            ),
            'seconds_on_it' => Out::number('at an unhurried speed round it'),
            'acceptable_lanes' => Out::list(Out::object([
                'lane' => Out::integer('approach lane'), 'exit_lane' => Out::integer('it leaves in'), 'cost' => Out::number('of its best way'),
                'extra' => Out::number('more than the best'), 'why' => Out::list(['type' => 'string'], 'what it counts'),
                'path' => $path,
            ]), 'usable lanes, cheapest first'),
            'reasons' => Out::list(['type' => 'string'], 'why this lane'),
            'onward' => Out::maybe(Out::object([
                'lane' => Out::integer('it wants'), 'changes' => Out::integer('of lane on the way there'), 'distance_m' => Out::number('to its line'),
                'needed_m' => Out::number('for the changes, one at a time'), 'fits' => Out::flag('whether there is room for them'),
                'begin_by_m' => Out::number('before its line, where the first must begin'),
            ]), 'the next junction, where one was given'),
            'lane_by_m' => Out::number('by where our lane must have been taken, metres to the line'),
            'decide_by_m' => Out::number('by where the way must be known for it, metres to the line'),
            'met' => Out::list(Out::object([
                'kind' => ['enum' => array_column(MetKind::cases(), 'value')], 'at_m' => Out::number('metres to the line, negative beyond it'),
                'time_s' => Out::number('seconds to the line, negative after it'),
                'text' => Out::text('in words'), 'mirrors' => Out::list(['type' => 'string'], 'looks that are due'), 'side' => $sides,
                'angle_deg' => Out::number('on the roundabout: from our arm', nullable: true),
                'to_lane' => Out::integer('the lane moved into', nullable: true),
            ]), 'signs met and steps due, in the order of time'),
            'links' => Out::list(
                Out::object([
                    'sector' => Out::integer('0 first'), 'lane' => Out::integer('circulating lane'),
                    'to_lane' => Out::integer('it becomes; null where it ends at the next arm', nullable: true),
                ]),
                'spirals and lanes that end, given or generated',
            ),
        ];
    }

    /**
     * @param  array<int, Route>  $routes  by approach lane, cheapest first
     * @return array<string, mixed>
     */
    public static function body(LaneQuestion $question, LaneRoute $best, array $routes): array
    {
        return [
            'approach_lane' => $best->route->approachLane,
            'exit_lane' => $best->route->exitLane,
            'cost' => round($best->route->cost(), 3),
            'clock' => match ($question->trip->clock()) {
                -1 => 'before-twelve', 0 => 'twelve', default => 'after-twelve'
            },
            'path' => $question->path($best->route),
            'signals' => array_map(
                static fn (array $signal): array => ['where' => $signal['where'], 'side' => $signal['side']?->value, 'off' => $signal['off']],
                $best->signals,
            ),
            'seconds_on_it' => round($question->round->seconds(), 1),
            'acceptable_lanes' => array_map(static fn (Route $route): array => [
                'lane' => $route->approachLane, 'exit_lane' => $route->exitLane, 'cost' => round($route->cost(), 3),
                'extra' => round($route->cost() - $best->route->cost(), 3),
                'why' => self::why($route, $question->pack), 'path' => $question->path($route),
            ], array_values($routes)),
            'reasons' => $best->reasons(count($routes)),
            'onward' => self::onward($best),
            'lane_by_m' => round($best->way->laneByMetres, 1),
            'decide_by_m' => round($best->way->decideByMetres(), 1),
            'met' => array_map(self::met(...), $best->met()),
            'links' => $question->ring->links(),
        ];
    }

    /** @return list<Warning> */
    public static function warnings(LaneQuestion $question, LaneRoute $best): array
    {
        $unit = $question->pack->lengthUnit();
        $found = [];
        if (! $best->signComesInTime()) {
            $legible = $best->signLegibleMetres();
            $found[] = new Warning('sign-too-late', sprintf(
                'The sign can be read from %s before the line; for this lane it would have to be %s. Say the lane, or let another usable one do.',
                $unit->place($legible), $unit->place($best->way->decideByMetres()),
            ), ['legible_m' => $legible]);
        }
        if ($question->oncomingTurner && $question->layout === Layout::Junction && $question->trip->clock() > 0) {
            $found[] = new Warning('oncoming-turner', Wording::in($question->pack, $best->besideTheTurner()));
        }
        $ahead = $best->ahead();
        if ($ahead !== null && ! $ahead->fits) {
            $found[] = new Warning('no-room-for-changes', sprintf(
                Wording::in($question->pack, 'The way to the next {junction} is %s; its lane would take %s. Choose the lane for it here, or another way.'),
                $unit->place(round($ahead->distanceMetres, 1)), $unit->place(round($ahead->neededMetres, 1)),
            ));
        }

        return $found;
    }

    /** @return list<string> */
    private static function why(Route $route, RulePack $pack): array
    {
        $said = [];
        foreach ($route->counts as $name => $value) {
            if ($name !== 'sector' && $value > 0.0) {
                $said[] = Wording::part($pack, Costs::WORDS[$name]).': '.round($value, 2);
            }
        }

        return $said;
    }

    /** @return ?array<string, mixed> */
    private static function onward(LaneRoute $best): ?array
    {
        $ahead = $best->ahead();

        return $ahead === null ? null : [
            'lane' => $ahead->lane, 'changes' => $ahead->changes, 'distance_m' => round($ahead->distanceMetres, 1),
            'needed_m' => round($ahead->neededMetres, 1), 'fits' => $ahead->fits, 'begin_by_m' => round(max(0.0, $ahead->neededMetres), 1),
        ];
    }

    /** @return array<string, mixed> */
    private static function met(Met $met): array
    {
        return [
            'kind' => $met->kind->value, 'at_m' => round($met->atMetres, 1), 'time_s' => round($met->seconds, 1), 'text' => $met->text,
            'mirrors' => $met->mirrors,
            'side' => $met->side?->value, 'angle_deg' => $met->angleDegrees === null ? null : round($met->angleDegrees, 1),
            'to_lane' => $met->toLane,
        ];
    }
}
