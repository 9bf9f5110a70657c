<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Judgement\Manoeuvre;
use NobleTurn\Core\Place\Light;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Routine\Arrival;
use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Vehicle\Corner;
use NobleTurn\Core\Vehicle\DemoVehicles;

/** What is true of a routine under a pack and asked for wherever it is shown: nobody needs to read it out of its name. */
final class RoutineFacts
{
    /** Fields of an approach that only some routines have. */
    public const ASKED = [
        'control', 'exit', 'light', 'turn_radius_m', 'junction', 'road_met', 'sight_left_m', 'sight_right_m', 'view_beyond_m', 'cycle_box_m',
    ];

    /** Kerbs the steering page begins with, from tight to wide, m (assumed). */
    private const KERBS_M = [5, 6, 7, 8, 9, 10];

    /** @var array<class-string, array<string, list<string>>> worked out once in a process, by pack and routine */
    private static array $asks = [];

    /** The side the way goes to, or the car; null where it keeps its place. */
    public static function side(R $routine, RulePack $pack, WayOut $exit = WayOut::Ahead): ?Side
    {
        return Demand::side($routine, $pack, $exit);
    }

    /** @return ?array<string, ?string> the side by way out, where it hangs on that */
    public static function sideByExit(R $routine, RulePack $pack): ?array
    {
        if (! in_array('exit', self::asks($routine, $pack), true)) {
            return null;
        }

        return array_combine(
            array_column(WayOut::cases(), 'value'),
            array_map(static fn (WayOut $exit): ?string => self::side($routine, $pack, $exit)?->value, WayOut::cases()),
        );
    }

    /** @return list<string> which fields of an approach make a difference to its plan, of those that only some routines have */
    public static function asks(R $routine, RulePack $pack): array
    {
        return self::$asks[$pack::class][$routine->value] ??= self::asked($routine, $pack);
    }

    /** @return list<string> */
    private static function asked(R $routine, RulePack $pack): array
    {
        if (! $routine->hasApproach()) {
            return [];
        }
        $demand = static fn (Light $light): Demand => Demand::of($routine, $pack, WayOut::Ahead, $light);
        $arrival = $demand(Light::Green)->arrival;

        $byExit = self::side($routine, $pack, WayOut::Left) !== self::side($routine, $pack, WayOut::Right);

        return array_keys(array_filter([
            // Onto a roundabout one gives way: nobody need say so.
            'control' => $arrival === Arrival::Line && ! $byExit,
            'exit' => $byExit,
            'light' => $arrival !== $demand(Light::Red)->arrival,
            // How tight a circle of paint is decides the gear round it.
            'turn_radius_m' => $arrival === Arrival::Turning || $routine === R::MiniRoundabout,
            // Out of the stem of a T nobody comes from opposite.
            'junction' => in_array($routine, [R::LightsLeft, R::LightsRight], true),
            // Another road's traffic decides about the gap.
            'road_met' => $meets = ! in_array(self::manoeuvre($routine, $pack), [null, Manoeuvre::TurnAcross], true),
            'sight_left_m' => $meets,
            'sight_right_m' => $meets,
            'view_beyond_m' => $arrival === Arrival::Line || $routine === R::AllWayStop,
            'cycle_box_m' => in_array($routine, [R::LightsAhead, R::LightsLeft, R::LightsRight], true),
        ]));
    }

    /** How tight the turn is where nobody measured it, m; null where there is none. */
    public static function turnRadius(R $routine, RulePack $pack): ?float
    {
        if (! in_array('turn_radius_m', self::asks($routine, $pack), true)) {
            return null;
        }

        return self::isAcross($routine, $pack) ? ApproachReader::RADIUS_ACROSS_M : ApproachReader::RADIUS_TOWARDS_KERB_M;
    }

    /** What is judged where the routine waits for a gap; null where it waits for none. */
    public static function manoeuvre(R $routine, RulePack $pack): ?Manoeuvre
    {
        return match ($routine) {
            R::EmergeLeft => Manoeuvre::EmergeLeft,
            R::EmergeRight => Manoeuvre::EmergeRight,
            R::Cross => Manoeuvre::Cross,
            R::TurnLeft, R::TurnRight, R::LightsLeft, R::LightsRight, R::CentreLaneLeft => self::isAcross($routine, $pack) ? Manoeuvre::TurnAcross : null,
            default => null,
        };
    }

    /**
     * Pages of the bench that reckon what the routine asks: what is asked there, the page (called after its tool), and what it begins with.
     *
     * @return list<array{words: string, page: string, with: array<string, string|int>}>
     */
    public static function bench(R $routine, RulePack $pack): array
    {
        $page = static fn (string $words, string $page, array $with = []): array => ['words' => $words, 'page' => $page, 'with' => $with];
        $manoeuvre = self::manoeuvre($routine, $pack);
        $across = self::isAcross($routine, $pack);
        $wheel = $page('How much wheel?', 'steering', ['kerb' => self::kerb($pack, $across), 'corner' => $across ? 'far' : 'near']);

        return match ($routine) {
            R::EmergeLeft, R::EmergeRight, R::Cross => [$page('Is the gap long enough?', 'gap', ['manoeuvre' => $manoeuvre->value ?? ''])],
            R::TurnLeft, R::TurnRight, R::LightsLeft, R::LightsRight, R::CentreLaneLeft,
            R::RightOnRed => [...($manoeuvre === null ? [] : [$page('Is the gap long enough?', 'gap', ['manoeuvre' => $manoeuvre->value])]), $wheel],
            R::Roundabout, R::MiniRoundabout => [$page('Which lane?', 'lanes')],
            R::PullUpRightReverse, R::BackUp => [$page('How it runs backwards', 'reverse')],
            R::BayIn => [$page('Where the bay begins', 'reverse', ['exercise' => 'bay'])],
            R::LongLeft, R::LongRight => [$page('Does it get round?', 'swept-path')],
            R::Height => [$page('Does it pass?', 'clearance')],
            R::Join => [$page(Wording::in($pack, 'Is the {slip road} long enough?'), 'join'), $page('What the gears can do', 'engine')],
            R::Leave => [$page('What is due where', 'leave')],
            R::Overtake => [$page('Is the view long enough?', 'overtake'), $page('What the gears can do', 'engine')],
            R::LaneChangeLeft, R::LaneChangeRight, R::Merge,
            R::LongLaneChange => [$page('Which gap, faster or easier?', 'lane-change', ['to' => ($routine->namedSide() ?? Flank::Off->side($pack))->value])],
            R::GearChange => [$page('What the gears can do', 'engine')],
            default => [],
        };
    }

    private static function isAcross(R $routine, RulePack $pack): bool
    {
        return self::side($routine, $pack) === Flank::Off->side($pack);
    }

    /** The tightest kerb of those round which the demo car is steered as it is taught there, m. */
    private static function kerb(RulePack $pack, bool $across): int
    {
        $chassis = DemoVehicles::byId('small-petrol-hatch')->chassis;
        [$least, $most] = $pack->wheelTaught($across ? Flank::Off : Flank::Near);
        foreach (self::KERBS_M as $metres) {
            $turns = Corner::alongKerb($chassis, (float) $metres, SteeringTool::KERB_GAP_M, M_PI / 2.0, null)->turns();
            if ($turns >= $least && $turns <= $most) {
                return $metres;
            }
        }

        return self::KERBS_M[0];
    }
}
