<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\Neighbour;
use NobleTurn\Core\FastRoad\OvertakePlan;
use NobleTurn\Core\FastRoad\Overtaking;
use NobleTurn\Core\Judgement\GapStandard;
use NobleTurn\Core\Judgement\Manoeuvre;
use NobleTurn\Core\Judgement\Stopping;
use NobleTurn\Core\Judgement\StoppingModel;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Sight\Purpose;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Purpose as Driving;

/** What must be seen on a road of this limit. */
final class SightNeeded
{
    /** @return array<string, float> m by purpose; INF where it is never done */
    public static function at(Speed $limit, Values $input, RulePack $pack): array
    {
        $surface = CommonFields::surface($input);
        $stop = Stopping::from($limit, StoppingModel::in(VehicleField::read($input), $pack), $surface, CommonFields::gradient($input))->totalMetres() ?? INF;

        return [
            Purpose::Stop->value => $stop,
            Purpose::Meet->value => 2.0 * $stop,
            Purpose::Emerge->value => self::emergeSeconds() * $limit->inMetresPerSecond(),
            Purpose::Overtake->value => self::overtake($limit->inMetresPerSecond(), $input, $pack)->sightNeededMetres ?? INF,
        ];
    }

    /** @return list<Assumption> */
    public static function assumptions(Values $input): array
    {
        return [
            new Assumption('to come out and turn across both lanes', self::emergeSeconds(), 's', Source::fromMemory(GapStandard::DOCUMENT)),
            new Assumption('who would be overtaken drives', OvertakePlan::SLOWER_SHARE, 'of the limit', Source::assumed()),
        ];
    }

    private static function emergeSeconds(): float
    {
        return GapStandard::seconds(Manoeuvre::EmergeRight, Flank::Off, Neighbour::LENGTH_M, false, 0, 0.0);
    }

    private static function overtake(float $limit, Values $input, RulePack $pack): OvertakePlan
    {
        $vehicle = VehicleField::read($input);
        $other = OvertakePlan::SLOWER_SHARE * $limit;
        $gradient = CommonFields::gradient($input);

        return new OvertakePlan(
            new Overtaking(
                $vehicle, $gradient, GearChoice::for($vehicle, Driving::SlipRoad, Speed::ofMetresPerSecond($other), $gradient)->gear, $other,
                Neighbour::LENGTH_M, $limit, $limit, changes: true, surface: CommonFields::surface($input), behindSeconds: OvertakeTool::behind($input),
            ),
            $pack, null, false, PracticeField::read($input, $pack),
        );
    }
}
