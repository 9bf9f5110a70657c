<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Judgement\AskForRoom;
use NobleTurn\Core\Judgement\Gap;
use NobleTurn\Core\Judgement\GapStandard;
use NobleTurn\Core\Judgement\Manoeuvre;
use NobleTurn\Core\Judgement\SideGap;
use NobleTurn\Core\Judgement\Stream;
use NobleTurn\Core\Motion\PullAway;
use NobleTurn\Core\Place\RoadMet;
use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Rules\AsksOfOthers;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Vehicle\Corner;
use NobleTurn\Core\Vehicle\Vehicle;

/** From the fields of the gap tool to the manoeuvre, the streams it meets and the gap they give. */
final class GapReader
{
    private const LANE_WIDTH_M = 3.65;

    private const DELAY_FROM_REST_S = 1.5;

    private const DELAY_ROLLING_S = 0.75;

    private const RADIUS_NEAR_M = 8.0;

    private const RADIUS_ACROSS_M = 11.0;

    private const RADIUS_FROM_KERB_M = 15.0;

    /** Stands so far off the kerb, m (assumed). */
    private const OFF_THE_KERB_M = 0.3;

    /** Goes at the least so far sideways, m: with a wide vehicle in a narrow lane too it has to leave the kerb. */
    private const LEAST_SIDEWAYS_M = 0.3;

    /** The steering is comfortable on a wet road with less, and on ice with hardly any (assumed shares). */
    private const SHARE_ON_ICE = 0.1;

    /** Of what the tyres hold so much is used to start on (assumed). */
    private const SHARE_OF_GRIP = 0.6;

    public static function read(Values $input, RulePack $pack): Gap
    {
        $manoeuvre = $input->choice('manoeuvre', Manoeuvre::class) ?? throw BadInput::field('manoeuvre', 'is missing.');
        $emerges = $manoeuvre->emerges();
        // Turning off the main road, those who come are on our own: the road met is the one turned into.
        $road = $emerges ? RoadMetField::read($input) : new RoadMet;
        $flank = self::flank($manoeuvre, $road, $pack);
        $speed = ($input->speed('other_speed') ?? $road->limit)?->inMetresPerSecond()
            ?? throw BadInput::field('other_speed_mps', $emerges ? 'is missing (or the limit of road_met).' : 'is missing.');
        $distance = $input->distance('other_distance')?->inMetres() ?? throw BadInput::field('other_distance_m', 'is missing.');
        $vehicle = VehicleField::read($input);
        $lane = $input->distance('lane_width')?->inMetres() ?? self::LANE_WIDTH_M;
        $lanes = ArmsReader::whole($input, 'lanes') ?? $road->lanes;
        $rolling = $input->speed('rolling')?->inMetresPerSecond() ?? 0.0;
        $delay = $input->duration('delay')?->inSeconds() ?? ($rolling > 0.0 ? self::DELAY_ROLLING_S : self::DELAY_FROM_REST_S);
        $radius = $manoeuvre === Manoeuvre::Cross ? 0.0 : $input->distance('turn_radius')?->inMetres() ?? match ($flank) {
            null => self::RADIUS_FROM_KERB_M, Flank::Near => self::RADIUS_NEAR_M, Flank::Off => self::RADIUS_ACROSS_M,
        };
        $length = $vehicle->length->inMetres();
        $crossed = $lanes * $lane;
        // Straight over: both directions, or the one there is.
        $over = $road->runsTo === null ? 2.0 * $crossed : $crossed;
        // From the line to the middle of the lane we end in. A wider arc than that has begun before the line.
        $deep = $flank === Flank::Near ? $lane / 2.0 : $crossed + $lane / 2.0;
        $turnsOut = $flank !== null && $emerges;
        $straight = $manoeuvre === Manoeuvre::Cross ? $over : ($turnsOut ? max(0.0, $deep - $radius) : 0.0);
        $turned = $turnsOut && $radius > $deep ? asin(($radius - $deep) / $radius) : 0.0;
        $sideways = max(self::LEAST_SIDEWAYS_M, $lane / 2.0 - self::OFF_THE_KERB_M - $vehicle->width->inMetres() / 2.0);
        // Out of the kerb it is an S: half of the way sideways one way, half of it the other.
        $arc = $manoeuvre === Manoeuvre::MoveOff ? 2.0 * $radius * acos(1.0 - $sideways / (2.0 * $radius)) : $radius * (M_PI / 2.0 - $turned);
        $path = $straight + $arc;
        $surface = CommonFields::surface($input);
        $grip = $surface->grip() * Acceleration::STANDARD_GRAVITY;
        $comfortable = $radius > 0.0 ? sqrt(Corner::COMFORTABLE_SIDEWAYS * max(self::SHARE_ON_ICE, $surface->shareOfComfort()) * $radius) : INF;
        $ours = PullAway::run(
            $vehicle, CommonFields::gradient($input), $rolling, $delay, $path, max($comfortable, $rolling), max($speed, $rolling),
            $path + 2.0 * $crossed + $length, self::SHARE_OF_GRIP * $grip,
        );
        $headway = $input->duration('headway')?->inSeconds() ?? Stream::HEADWAY;
        $crossing = static fn (float $metres): Stream => Stream::crossed($ours, $speed, $metres, $length);
        $along = $manoeuvre === Manoeuvre::MoveOff ? 2.0 * $radius * sin($arc / (2.0 * $radius)) : $radius * cos($turned);
        $joining = Stream::joined($ours, $speed, $path, $along, $length, $headway);
        $may = AsksOfOthers::by(PracticeField::read($input, $pack));
        $sides = [];
        foreach (self::met($manoeuvre, $flank, $road, $pack) as $from => $how) {
            $sides[$from] = SideGap::of((string) $from, match ($how) {
                'joined' => $joining,
                'ahead' => $crossing(self::acrossByTurning($crossed, $radius)),
                'first' => $crossing($crossed),
                default => $crossing($over),
            }, $may, $distance, $speed, $grip);
        }

        $counted = self::counted($sides, $input->text('other_from') ?? 'both');

        return new Gap(
            $counted, self::waitFor($input, $pack, $ours, $path), $ours, $vehicle, $speed, $delay,
            GapStandard::seconds(
                $manoeuvre, $flank, $length, $vehicle->trailers !== [], ($lanes - 1) * ($manoeuvre === Manoeuvre::Cross ? 2 : 1),
                CommonFields::gradient($input)->inRiseOverRun(),
            ),
            GapStandard::headwaySeconds($manoeuvre, $flank),
            $straight, $radius, $turned, $arc, $lane, $lanes, $may, $headway, self::ask($input, $manoeuvre, $vehicle, $counted[0]),
        );
    }

    /**
     * The side our path bends to: into a one-way road always as towards the kerb, for the nearest lane is the one entered.
     *
     * @throws BadInput where the road runs the other way
     */
    private static function flank(Manoeuvre $manoeuvre, RoadMet $road, RulePack $pack): ?Flank
    {
        $flank = $manoeuvre->flank($pack);
        if ($flank === null || $road->runsTo === null) {
            return $flank;
        }

        return $road->mayBeEntered($flank->side($pack)) ? Flank::Near : throw BadInput::field(
            'road_met.runs_to', 'must allow the turn: a road that runs to the '.$road->runsTo->value.' is not entered to the other side.',
        );
    }

    /**
     * The streams a manoeuvre meets, by the side they come from: nearest to us is the one from the off side, farther the one
     * from the near side; a one-way road has one.
     *
     * @return array<string, string> joined; crossed: the first of two, all of the road, or oncoming
     */
    private static function met(Manoeuvre $manoeuvre, ?Flank $flank, RoadMet $road, RulePack $pack): array
    {
        if ($manoeuvre === Manoeuvre::TurnAcross) {
            return ['ahead' => 'ahead'];
        }
        if ($manoeuvre === Manoeuvre::MoveOff) {
            return ['behind' => 'joined'];
        }
        [$first, $second] = [Flank::Off->side($pack)->value, Flank::Near->side($pack)->value];
        if ($road->runsTo !== null) {
            return [$road->runsTo->other()->value => $manoeuvre === Manoeuvre::Cross ? 'all' : 'joined'];
        }

        return match ($flank) {
            null => [$first => 'first', $second => 'all'],
            // Round cars parked there one is on the half of those who come the other way.
            Flank::Near => $road->parked->near() ? [$first => 'joined', $second => 'all'] : [$first => 'joined'],
            Flank::Off => [$first => 'first', $second => 'joined'],
        };
    }

    /**
     * @param  array<string, SideGap>  $sides
     * @return non-empty-list<SideGap>
     */
    private static function counted(array $sides, string $from): array
    {
        $counted = array_values(array_filter($sides, static fn (SideGap $side): bool => $from === 'both' || $side->from === $from));

        return $counted !== [] ? $counted : throw BadInput::field(
            'other_from', 'must be a side this manoeuvre meets: '.implode(' or ', array_keys($sides)).'.',
        );
    }

    private static function ask(Values $input, Manoeuvre $manoeuvre, Vehicle $vehicle, SideGap $side): ?AskForRoom
    {
        return $manoeuvre === Manoeuvre::MoveOff && $vehicle->isLong()
            ? new AskForRoom($input->duration('waited')?->inSeconds() ?? 0.0, $side->verdict() === 'go') : null;
    }

    /** Path of a turn until it has gone so far sideways: r (1 - cos(s / r)), and straight on after it. */
    private static function acrossByTurning(float $sideways, float $radius): float
    {
        return $sideways < $radius ? $radius * acos(1.0 - $sideways / $radius) : $radius * M_PI / 2.0 + $sideways - $radius;
    }

    /** @return list<string> */
    private static function waitFor(Values $input, RulePack $pack, PullAway $ours, float $path): array
    {
        $found = [];
        $people = $input->duration('people')?->inSeconds() ?? 0.0;
        if ($people > $ours->secondsTo($path)) {
            $found[] = sprintf('Somebody is on the road you enter for another %.0f s.', $people);
        }
        if ($input->flag('long_vehicle_first') === true) {
            $found[] = 'The long vehicle needs the room first.';
        }
        if ($input->flag('oncoming_turner') === true) {
            $lanes = ArmsReader::whole($input, 'entry_lanes') ?? RoadMetField::read($input)->lanes;
            if ($lanes === 1) {
                $found[] = 'The one opposite turns into the same single lane and goes first.';
            } elseif (! $pack->turnersShare()) {
                $found[] = 'The one opposite turns into the same road and goes first, whatever lanes it has.';
            }
        }

        return $found;
    }
}
