<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Judgement\Gap;
use NobleTurn\Core\Judgement\GapStandard;
use NobleTurn\Core\Judgement\Manoeuvre;
use NobleTurn\Core\Judgement\SideGap;
use NobleTurn\Core\Judgement\Stream;
use NobleTurn\Core\Motion\PullAway;
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

    /** The steering is comfortable on a wet road with less, and on ice with hardly any (assumed shares). */
    private const SHARE_ON_ICE = 0.1;

    public static function read(Values $input, RulePack $pack): Gap
    {
        $manoeuvre = $input->choice('manoeuvre', Manoeuvre::class) ?? throw BadInput::field('manoeuvre', 'is missing.');
        $speed = $input->speed('other_speed')?->inMetresPerSecond() ?? throw BadInput::field('other_speed_mps', 'is missing.');
        $distance = $input->distance('other_distance')?->inMetres() ?? throw BadInput::field('other_distance_m', 'is missing.');
        $vehicle = VehicleField::read($input);
        $flank = $manoeuvre->flank($pack);
        $lane = $input->distance('lane_width')?->inMetres() ?? self::LANE_WIDTH_M;
        $lanes = self::whole($input, 'lanes', 1);
        $rolling = $input->speed('rolling')?->inMetresPerSecond() ?? 0.0;
        $delay = $input->duration('delay')?->inSeconds() ?? ($rolling > 0.0 ? self::DELAY_ROLLING_S : self::DELAY_FROM_REST_S);
        $radius = $flank === null
            ? 0.0
            : ($input->distance('turn_radius')?->inMetres() ?? ($flank === Flank::Near ? self::RADIUS_NEAR_M : self::RADIUS_ACROSS_M));
        $length = self::lengthOf($vehicle);
        $crossed = $lanes * $lane;
        // From the line to the middle of the lane we end in. A wider arc than that has begun before the line.
        $deep = $flank === Flank::Near ? $lane / 2.0 : $crossed + $lane / 2.0;
        $emerges = $flank !== null && $manoeuvre !== Manoeuvre::TurnAcross;
        $straight = $manoeuvre === Manoeuvre::Cross ? 2.0 * $crossed : ($emerges ? max(0.0, $deep - $radius) : 0.0);
        $turned = $emerges && $radius > $deep ? asin(($radius - $deep) / $radius) : 0.0;
        $path = $straight + $radius * (M_PI / 2.0 - $turned);
        $along = $radius * cos($turned);
        $surface = CommonFields::surface($input);
        $comfortable = $radius > 0.0 ? sqrt(Corner::COMFORTABLE_SIDEWAYS * max(self::SHARE_ON_ICE, $surface->shareOfComfort()) * $radius) : INF;
        $ours = PullAway::run(
            $vehicle, CommonFields::gradient($input), $rolling, $delay, $path, max($comfortable, $rolling), max($speed, $rolling),
            $path + 2.0 * $crossed + $length,
        );
        $streams = self::streams($manoeuvre, $pack, $ours, $speed, $crossed, $path, $along, $radius, $length);
        $from = $input->text('other_from') ?? 'both';
        $counted = array_values(array_filter($streams, static fn (array $stream): bool => $from === 'both' || $stream[0] === $from));
        if ($counted === []) {
            throw BadInput::field('other_from', 'must be a side this manoeuvre meets: '.implode(' or ', array_column($streams, 0)).'.');
        }
        $sides = array_map(
            static fn (array $stream): SideGap => new SideGap(
                $stream[0], $stream[1]->joined, $stream[1]->criticalSeconds(), $distance / $speed, $stream[1]->askedMps2($distance),
            ),
            $counted,
        );

        return new Gap(
            $sides, self::waitFor($input, $ours, $path), $ours, $vehicle, $speed, $delay,
            GapStandard::seconds(
                $manoeuvre, $flank, $length, $vehicle->trailers !== [], ($lanes - 1) * ($flank === null ? 2 : 1),
                CommonFields::gradient($input)->inRiseOverRun(),
            ),
            GapStandard::headwaySeconds($manoeuvre, $flank),
            $straight, $radius, $turned, $lane, $lanes,
        );
    }

    /**
     * The streams a manoeuvre meets: traffic nearest to us comes from the off side, the farther one from the near side.
     *
     * @return non-empty-list<array{string, Stream}>
     */
    private static function streams(
        Manoeuvre $manoeuvre, RulePack $pack, PullAway $ours, float $speed, float $crossed, float $path, float $along, float $radius, float $length,
    ): array {
        $first = Flank::Off->side($pack);
        $second = Flank::Near->side($pack);

        return match (true) {
            $manoeuvre === Manoeuvre::TurnAcross => [['ahead', Stream::crossed($first, $ours, $speed, self::acrossByTurning($crossed, $radius), $length)]],
            $manoeuvre === Manoeuvre::Cross => [
                [$first->value, Stream::crossed($first, $ours, $speed, $crossed, $length)],
                [$second->value, Stream::crossed($second, $ours, $speed, 2.0 * $crossed, $length)],
            ],
            $manoeuvre->flank($pack) === Flank::Near => [[$first->value, Stream::joined($first, $ours, $speed, $path, $along, $length)]],
            default => [
                [$first->value, Stream::crossed($first, $ours, $speed, $crossed, $length)],
                [$second->value, Stream::joined($second, $ours, $speed, $path, $along, $length)],
            ],
        };
    }

    /** Path of a turn until it has gone so far sideways: r (1 - cos(s / r)), and straight on after it. */
    private static function acrossByTurning(float $sideways, float $radius): float
    {
        return $sideways < $radius ? $radius * acos(1.0 - $sideways / $radius) : $radius * M_PI / 2.0 + $sideways - $radius;
    }

    /** @return list<string> */
    private static function waitFor(Values $input, PullAway $ours, float $path): array
    {
        $found = [];
        $people = $input->duration('people')?->inSeconds() ?? 0.0;
        if ($people > $ours->secondsTo($path)) {
            $found[] = sprintf('Somebody is on the road you enter for another %.0f s.', $people);
        }
        if ($input->flag('long_vehicle_first') === true) {
            $found[] = 'The long vehicle needs the room first.';
        }
        if ($input->flag('oncoming_turner') === true && self::whole($input, 'entry_lanes', 1) === 1) {
            $found[] = 'The one opposite turns into the same single lane and goes first.';
        }

        return $found;
    }

    private static function whole(Values $input, string $field, int $default): int
    {
        $said = $input->number($field);
        if ($said !== null && $said !== floor($said)) {
            throw BadInput::field($field, 'must be a whole number.');
        }

        return $said === null ? $default : (int) $said;
    }

    private static function lengthOf(Vehicle $vehicle): float
    {
        return $vehicle->length->inMetres();
    }
}
