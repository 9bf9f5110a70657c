<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\ExitSigns;
use NobleTurn\Core\Rules\Figure;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\LengthUnit;
use NobleTurn\Core\Rules\LongGap;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\PeopleRule;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Rules\SpeedUnit;
use NobleTurn\Core\Rules\StoppingFigures;
use NobleTurn\Core\Rules\TurnRule;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Surface;

/**
 * A country that lives only in the tests: traffic keeps left, limits in km/h, markers of its own, and for every word a pack may have a
 * word of its own. What is said under it and comes from elsewhere was said by a switch that has no arm for it.
 */
final readonly class Coastland implements RulePack
{
    private const CODE = 'Coastland road code';

    public function code(): string
    {
        return 'coast';
    }

    public function name(): string
    {
        return 'Coastland';
    }

    public function timeZone(): string
    {
        return 'UTC';
    }

    public function version(): string
    {
        return '1';
    }

    public function keeps(): Side
    {
        return Side::Left;
    }

    public function speedUnit(): SpeedUnit
    {
        return SpeedUnit::KilometresPerHour;
    }

    public function lengthUnit(): LengthUnit
    {
        return LengthUnit::Metres;
    }

    public function townLimit(): Speed
    {
        return Speed::ofKilometresPerHour(40.0);
    }

    public function usualLimits(): array
    {
        return [40.0, 70.0, 90.0];
    }

    public function followingGap(Surface $surface): Duration
    {
        return Duration::ofSeconds($surface === Surface::Dry ? 2.5 : 5.0);
    }

    public function followingGapSource(Surface $surface): Source
    {
        return Source::fromMemory(self::CODE);
    }

    public function numberRuleForSignal(Speed $limit): Distance
    {
        return Distance::ofMetres($limit->inKilometresPerHour() * 0.75);
    }

    public function numberRuleName(): string
    {
        return 'three quarters of the number on the sign';
    }

    public function numberRuleSource(): Source
    {
        return Source::commonPractice();
    }

    public function longGap(): LongGap
    {
        return LongGap::ByBrakes;
    }

    public function stoppingFigures(): StoppingFigures
    {
        return StoppingFigures::RoadDesign;
    }

    public function amber(Speed $approach): Duration
    {
        return Duration::ofSeconds(3.5);
    }

    public function amberSource(): Source
    {
        return Source::fromMemory(self::CODE);
    }

    public function amberReaction(): Duration
    {
        return Duration::ofSeconds(1.2);
    }

    public function amberDeceleration(): Acceleration
    {
        return Acceleration::ofMetresPerSecondSquared(2.8);
    }

    public function amberDecisionSource(): Source
    {
        return Source::assumed();
    }

    public function stopLineSource(): Source
    {
        return Source::fromMemory(self::CODE);
    }

    public function redAndAmber(): ?Duration
    {
        return null;
    }

    public function turnOnRed(): bool
    {
        return false;
    }

    public function peopleRule(): PeopleRule
    {
        return PeopleRule::Begun;
    }

    public function peopleRuleSource(): Source
    {
        return Source::fromMemory(self::CODE);
    }

    public function unmarkedRule(): TurnRule
    {
        return TurnRule::FromTheRight;
    }

    public function unmarkedRuleSource(): Source
    {
        return Source::fromMemory(self::CODE);
    }

    public function walkingSpeed(): Speed
    {
        return Speed::ofMetresPerSecond(1.3);
    }

    public function walkingSpeedSource(): Source
    {
        return Source::assumed();
    }

    public function askedByLaw(): array
    {
        return [];
    }

    public function exitSigns(): ExitSigns
    {
        return ExitSigns::withMarkers(
            Distance::ofMetres(1500.0), '1500 m', Distance::ofMetres(750.0), '750 m', [240, 160, 80], 'm', 1.0, Source::fromMemory(self::CODE),
        );
    }

    public function lacks(): array
    {
        return [RoutineCode::PullUpRightReverse, RoutineCode::AllWayStop, RoutineCode::CentreLaneLeft, RoutineCode::Alley, RoutineCode::BackUp];
    }

    public function usualAnswers(): array
    {
        return ['leave_marker' => '200'];
    }

    public function roundaboutSignalSource(): Source
    {
        return Source::fromMemory(self::CODE);
    }

    public function signalsOnApproachToRoundabout(): bool
    {
        return true;
    }

    /** A made-up word for each that any pack replaces: "qslip-road" for the slip road. */
    public function turnsAcrossInto(): Flank
    {
        return Flank::Near;
    }

    public function turnersShare(): bool
    {
        return false;
    }

    public function words(): array
    {
        $words = array_keys((new NorthAmerica)->words());

        return array_combine($words, array_map(static fn (string $word): string => 'q'.strtolower(strtr($word, ' ', '-')), $words));
    }

    public function severity(Effect $effect): string
    {
        return match ($effect) {
            Effect::Nobody, Effect::Potential => 'point',
            Effect::Affected, Effect::Intervened => 'stopper',
        };
    }

    public function deviceRule(): string
    {
        return 'In Coastland nobody holds a device while the car moves: press this key only on one that is fixed, or with a clicker.';
    }

    public function deviceRuleSource(): Source
    {
        return Source::fromMemory(self::CODE);
    }

    public function figures(): array
    {
        return [
            new Figure('keeps', 'Side of the road', 'left', Source::fromMemory(self::CODE)),
            new Figure('markers', 'Countdown markers', '240, 160, 80 m', Source::fromMemory(self::CODE)),
            new Figure('scheme', 'Marking scheme', 'at most 10 points, no stopper', Source::assumed()),
        ];
    }

    public function numberRuleIsLeast(): bool
    {
        return false;
    }

    public function wheelTaught(Flank $towards): array
    {
        return [0.4, 0.9];
    }

    public function looksOverTheShoulderBeforeTurns(): bool
    {
        return false;
    }
}
