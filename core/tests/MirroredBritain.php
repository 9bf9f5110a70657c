<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use NobleTurn\Core\Compute\Tool\JunctionField;
use NobleTurn\Core\Place\Stretch;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\ExitSigns;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\LengthUnit;
use NobleTurn\Core\Rules\LongGap;
use NobleTurn\Core\Rules\PeopleRule;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Rules\SpeedUnit;
use NobleTurn\Core\Rules\StoppingFigures;
use NobleTurn\Core\Rules\TurnRule;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Surface;

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
            : Distance::ofMetres($read->routine->namedSide() === null || Flank::of($read->routine->namedSide(), $pack) === Flank::Near ? 8.0 : 11.0);

        return new Approach(
            $pack, $read->practice, $read->routine, $read->vehicle, $read->level, $read->limit, $read->speed, $read->lineSpeed, $radius,
            $read->gradient, $read->surface, $read->control, $read->viewFromMetres, $read->room, array_map($turn, $read->openings),
            array_map($turn, $read->parked), $read->follower, $read->passingOn?->other(), $read->oneWay, $read->roadWidth, $read->comfort,
            $read->wayOut, $read->light, $read->sign, JunctionField::read(Ask::values($input), $pack, $read->routine, $read->limit), $read->ahead,
        );
    }

    public function code(): string
    {
        return 'test-mirror';
    }

    public function keeps(): Side
    {
        return Side::Right;
    }

    public function name(): string
    {
        return $this->britain->name();
    }

    public function timeZone(): string
    {
        return 'Europe/London';
    }

    public function version(): string
    {
        return $this->britain->version();
    }

    public function speedUnit(): SpeedUnit
    {
        return $this->britain->speedUnit();
    }

    public function lengthUnit(): LengthUnit
    {
        return $this->britain->lengthUnit();
    }

    public function townLimit(): Speed
    {
        return $this->britain->townLimit();
    }

    public function usualLimits(): array
    {
        return $this->britain->usualLimits();
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

    public function numberRuleName(): string
    {
        return $this->britain->numberRuleName();
    }

    public function numberRuleSource(): Source
    {
        return $this->britain->numberRuleSource();
    }

    public function longGap(): LongGap
    {
        return $this->britain->longGap();
    }

    public function stoppingFigures(): StoppingFigures
    {
        return $this->britain->stoppingFigures();
    }

    public function amber(Speed $approach): Duration
    {
        return $this->britain->amber($approach);
    }

    public function amberSource(): Source
    {
        return $this->britain->amberSource();
    }

    public function amberReaction(): Duration
    {
        return $this->britain->amberReaction();
    }

    public function amberDeceleration(): Acceleration
    {
        return $this->britain->amberDeceleration();
    }

    public function amberDecisionSource(): Source
    {
        return $this->britain->amberDecisionSource();
    }

    public function stopLineSource(): Source
    {
        return $this->britain->stopLineSource();
    }

    public function redAndAmber(): ?Duration
    {
        return $this->britain->redAndAmber();
    }

    public function turnOnRed(): bool
    {
        return $this->britain->turnOnRed();
    }

    public function peopleRule(): PeopleRule
    {
        return $this->britain->peopleRule();
    }

    public function peopleRuleSource(): Source
    {
        return $this->britain->peopleRuleSource();
    }

    public function unmarkedRule(): TurnRule
    {
        return $this->britain->unmarkedRule();
    }

    public function unmarkedRuleSource(): Source
    {
        return $this->britain->unmarkedRuleSource();
    }

    public function walkingSpeed(): Speed
    {
        return $this->britain->walkingSpeed();
    }

    public function walkingSpeedSource(): Source
    {
        return $this->britain->walkingSpeedSource();
    }

    public function signalsOnApproachToRoundabout(): bool
    {
        return $this->britain->signalsOnApproachToRoundabout();
    }

    public function turnsAcrossInto(): Flank
    {
        return $this->britain->turnsAcrossInto();
    }

    public function turnersShare(): bool
    {
        return $this->britain->turnersShare();
    }

    public function words(): array
    {
        return $this->britain->words();
    }

    public function severity(Effect $effect): string
    {
        return $this->britain->severity($effect);
    }

    public function deviceRule(): string
    {
        return $this->britain->deviceRule();
    }

    public function deviceRuleSource(): Source
    {
        return $this->britain->deviceRuleSource();
    }

    public function figures(): array
    {
        return $this->britain->figures();
    }

    public function askedByLaw(): array
    {
        return $this->britain->askedByLaw();
    }

    public function exitSigns(): ExitSigns
    {
        return $this->britain->exitSigns();
    }

    public function lacks(): array
    {
        return $this->britain->lacks();
    }

    public function usualAnswers(): array
    {
        return $this->britain->usualAnswers();
    }

    public function roundaboutSignalSource(): Source
    {
        return $this->britain->roundaboutSignalSource();
    }

    public function numberRuleIsLeast(): bool
    {
        return $this->britain->numberRuleIsLeast();
    }

    public function wheelTaught(Flank $towards): array
    {
        return $this->britain->wheelTaught($towards);
    }

    public function looksOverTheShoulderBeforeTurns(): bool
    {
        return $this->britain->looksOverTheShoulderBeforeTurns();
    }
}
