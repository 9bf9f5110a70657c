<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use NobleTurn\Core\Place\Approach;
use NobleTurn\Core\Place\Stretch;
use NobleTurn\Core\Place\Surface;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Side;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Rules\SpeedUnit;

/** Great Britain with traffic on the other side and nothing else changed: for tests only. */
final readonly class MirroredBritain implements RulePack
{
    public function __construct(private GreatBritain $britain = new GreatBritain)
    {
    }

    /**
     * The approach that an input means under this pack.
     *
     * @param  array<string, mixed>  $input
     */
    public static function approach(array $input): Approach
    {
        $pack = new self;
        $read = Ask::approach($input);
        // Read under the British pack, whose near side is the other hand: flanks are turned round.
        $turn = static fn (Stretch $stretch): Stretch => Stretch::between($stretch->flank->other(), $stretch->farMetres, $stretch->nearMetres);
        $radius = isset($input['turn_radius_m']) ? $read->turnRadius
            : Distance::ofMetres(Flank::of($read->routine->turnSide(), $pack) === Flank::Near ? 8.0 : 11.0);

        return new Approach(
            $pack, $read->practice, $read->routine, $read->vehicle, $read->level, $read->limit, $read->speed, $read->lineSpeed, $radius,
            $read->gradient, $read->surface, $read->control, $read->viewFromMetres, $read->room, array_map($turn, $read->openings),
            array_map($turn, $read->parked), $read->follower, $read->passingOn?->other(), $read->oneWay, $read->roadWidth, $read->comfort,
        );
    }

    public function code(): string
    {
        return 'test-mirror';
    }

    public function version(): string
    {
        return $this->britain->version();
    }

    public function keeps(): Side
    {
        return Side::Right;
    }

    public function speedUnit(): SpeedUnit
    {
        return $this->britain->speedUnit();
    }

    public function townLimit(): Speed
    {
        return $this->britain->townLimit();
    }

    public function followingGap(Surface $surface): Duration
    {
        return $this->britain->followingGap($surface);
    }

    public function followingGapSource(Surface $surface): Source
    {
        return $this->britain->followingGapSource($surface);
    }

    public function numberRuleForSignal(Speed $limit): Distance
    {
        return $this->britain->numberRuleForSignal($limit);
    }

    public function numberRuleSource(): Source
    {
        return $this->britain->numberRuleSource();
    }
}
