<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Arm;
use NobleTurn\Core\Site\ArmRules;
use NobleTurn\Core\Site\Feature;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;

/** One road of a site, as the site tool is told of it: how it lies, and whatever an approach along it can be told, under the same names. */
final class ArmField
{
    /** What the approach tool takes of the road, and a site works out by itself from the arms. */
    private const WORKED_OUT = ['control', 'one_way', 'exit', 'then', 'road_met', 'junction'];

    private const MOST_LANES = 6.0;

    private const PARKED = ['none' => [], 'left' => [Side::Left], 'right' => [Side::Right], 'both' => [Side::Left, Side::Right]];

    public static function field(): ListField
    {
        return new ListField('arms', 'the roads that meet, in any order', new ObjectField('arm', 'a road, from the middle outwards', new Shape(
            (new TextField('id', 'by which ways name it: any short word, once', 20))->required(),
            (new TextField('name', 'of the road', 80))->required(),
            (new NumberField('bearing_deg', 'from the middle outwards, clockwise from north', 0.0, 360.0))->required(),
            ChoiceField::of('control', 'at its mouth, for who comes in; default give-way on to a roundabout, none at a junction', Control::class),
            new NumberField('lanes_in', 'towards the site; 0 where it is one-way outwards; default 1', 0.0, self::MOST_LANES),
            new NumberField('lanes_out', 'away from it; 0 where it is one-way inwards; default 1', 0.0, self::MOST_LANES),
            new ChoiceField('parked_along', 'on which side cars stand near its mouth, as seen by who comes in; default none', array_keys(self::PARKED)),
            new FlagField('centre_lane', 'a lane in the middle for turns of both directions'),
            new FlagField('alley', 'a drive or alley: who comes out of it gives way to all'),
            new FlagField('slip', 'of a slip: the slip road itself'),
            new ListField('holds', 'of a stretch or a kerb: what lies along it for who comes in', ChoiceField::of('feature', 'one', Feature::class), 8),
            new NumberField(
                'stagger_m', 'how far its mouth lies to the right of the middle, as seen by who comes in; negative to the left; default 0',
                -ArmRules::MOST_STAGGER_M, ArmRules::MOST_STAGGER_M,
            ),
            MeasuresField::field(),
            ...WayLanes::fields(),
            ...(new ApproachTool)->input()->fieldsOf(self::ofTheRoad()),
            ...(new JoinTool)->input()->fieldsOf(self::ofSlipsOnly(RoutineCode::Join)),
            ...(new LeaveTool)->input()->fieldsOf(self::ofSlipsOnly(RoutineCode::Leave)),
        )), 8);
    }

    /** @throws BadInput */
    public static function read(Values $arm, SiteKind $kind, RulePack $pack, string $at): Arm
    {
        $control = $arm->choice('control', Control::class) ?? ($kind->isGoneRound() ? Control::GiveWay : Control::None);
        if ($control === Control::AllWayStop && ! in_array($control, self::controls(SiteKind::Junction, $pack), true)) {
            throw BadInput::field("{$at}control", "must not be all-way-stop: there is none in {$pack->name()}.");
        }
        $bearing = $arm->number('bearing_deg') ?? 0.0;

        return new Arm(
            $arm->text('id') ?? '', $arm->text('name') ?? '', $bearing >= 360.0 ? 0.0 : $bearing, $control, $arm->speed('limit'),
            ArmsReader::whole($arm, 'lanes_in', $at) ?? max(1, count($arm->objects('approach_lanes'))),
            ArmsReader::whole($arm, 'lanes_out', $at) ?? max(1, count($arm->objects('exit_lanes'))),
            self::PARKED[$arm->text('parked_along') ?? 'none'], $arm->flag('centre_lane') ?? false, $arm->flag('alley') ?? false,
            $arm->flag('slip') ?? false, self::holds($arm, $pack, $at), $arm->number('stagger_m') ?? 0.0,
        );
    }

    /** @return non-empty-list<Control> what can govern a mouth, the usual one first */
    public static function controls(SiteKind $kind, RulePack $pack): array
    {
        return match (true) {
            $kind->isGoneRound() => [Control::GiveWay, Control::Stop, Control::Signals],
            ! $kind->isMet() => [Control::None],
            in_array(RoutineCode::AllWayStop, $pack->lacks(), true) => [Control::None, Control::GiveWay, Control::Stop, Control::Signals],
            default => [Control::None, Control::GiveWay, Control::Stop, Control::Signals, Control::AllWayStop],
        };
    }

    /** @return list<string> names of what is told of the road that leads in, as the approach tool calls it */
    public static function ofTheRoad(): array
    {
        return array_values(array_diff(PlannedBy::fields(RoutineCode::EmergeRight), self::WORKED_OUT));
    }

    /** @return list<string> names of all that is told of any road that leads in or of a slip road, as the tools call it */
    public static function ofAnyRoad(): array
    {
        return [...self::ofTheRoad(), ...self::ofSlipsOnly(RoutineCode::Join), ...self::ofSlipsOnly(RoutineCode::Leave)];
    }

    /**
     * What is told of a slip road and of no other.
     *
     * @return list<string> as the tool of the routine calls it
     */
    public static function ofSlipsOnly(RoutineCode $routine): array
    {
        $main = ['main_speed_mph', 'main_speed_kmh', 'lanes'];
        $shared = $routine === RoutineCode::Leave ? self::ofSlipsOnly(RoutineCode::Join) : [];

        return array_values(array_diff(PlannedBy::fields($routine), $main, self::ofTheRoad(), $shared));
    }

    /**
     * @return list<Feature>
     *
     * @throws BadInput where the pack teaches nothing at one of them
     */
    private static function holds(Values $arm, RulePack $pack, string $at): array
    {
        $holds = array_map(Feature::from(...), array_values(array_unique($arm->texts('holds'))));
        foreach ($holds as $feature) {
            if ($feature->teaches($pack) === []) {
                throw BadInput::field("{$at}holds", "must not have {$feature->value}: nothing is taught there in {$pack->name()}.");
            }
        }

        return $holds;
    }
}
