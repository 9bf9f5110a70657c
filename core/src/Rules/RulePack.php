<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Surface;

/**
 * What the law and the handbook of a place fix, and the words it is said in. A practice (what an
 * instructor adds, see `Practice`) sits on top of it. Laws and handbooks are entered from memory; a school can hold its own against them.
 */
interface RulePack
{
    public function code(): string;

    /** "Great Britain", as it is chosen from a list. */
    public function name(): string;

    /** Grows with every change of a figure or word, so that an old answer can be told from a new one. */
    public function version(): string;

    /** IANA name of the zone whose clock is on the wall where nobody says another. */
    public function timeZone(): string;

    /** The side of the road traffic keeps to. */
    public function keeps(): Side;

    public function speedUnit(): SpeedUnit;

    public function lengthUnit(): LengthUnit;

    /** The limit met in a town where nothing else is known. */
    public function townLimit(): Speed;

    /** @return non-empty-list<float> limits as signed, in the pack's speed unit */
    public function usualLimits(): array;

    /** The time gap to the vehicle ahead. */
    public function followingGap(Surface $surface): Duration;

    public function followingGapSource(Surface $surface): Source;

    /** What a long vehicle’s gap is reckoned by. */
    public function longGap(): LongGap;

    /** Where the number rule of thumb puts the signal for a turn, before the line. */
    public function numberRuleForSignal(Speed $limit): Distance;

    /** The same rule in words: "the limit's number in metres". */
    public function numberRuleName(): string;

    /** Whether that figure is the least that is lawful: earlier is kept, not against it. */
    public function numberRuleIsLeast(): bool;

    public function numberRuleSource(): Source;

    /** Whose figures of thinking and braking are taught here, where no others are given. */
    public function stoppingFigures(): StoppingFigures;

    /** How long the lights stay amber (yellow) for traffic of this speed. */
    public function amber(Speed $approach): Duration;

    public function amberSource(): Source;

    /** Reaction to an amber light. */
    public function amberReaction(): Duration;

    /** Deceleration taken for the decision at an amber light. */
    public function amberDeceleration(): Acceleration;

    public function amberDecisionSource(): Source;

    /** What makes a stop line a complete stop. */
    public function stopLineSource(): Source;

    /** Red and amber together before green. */
    public function redAndAmber(): ?Duration;

    /** Whether a turn to the kerb's side is allowed on red after a full stop. */
    public function turnOnRed(): bool;

    public function peopleRule(): PeopleRule;

    public function peopleRuleSource(): Source;

    /** Who goes first at a crossroads without signs, lines or lights. */
    public function unmarkedRule(): TurnRule;

    public function unmarkedRuleSource(): Source;

    public function walkingSpeed(): Speed;

    public function walkingSpeedSource(): Source;

    /** What stands before a way off a fast road. */
    public function exitSigns(): ExitSigns;

    /** @return list<RoutineCode> routines of the catalogue that are not taught there, beside a turn on red where that is not allowed */
    public function lacks(): array;

    /** @return array<string, string> answers to questions of practice that are usual there, where they are not the first of the options */
    public function usualAnswers(): array;

    /** Where its rule for signals at roundabouts stands. */
    public function roundaboutSignalSource(): Source;

    /** Whether going straight over a roundabout wants a signal on the approach, and the turn across it one from the start. */
    public function signalsOnApproachToRoundabout(): bool;

    /** In which lane one ends who turns across, where several lead away and nothing is painted: the nearside one, or that nearest the middle. */
    public function turnsAcrossInto(): Flank;

    /** @return array{float, float} turns of the hand wheel that are taught for a right-angle corner towards this side, least and most (common practice) */
    public function wheelTaught(Flank $towards): array;

    /** Whether a turn asks for a look over the shoulder as well as the mirrors, for cycles beside us. */
    public function looksOverTheShoulderBeforeTurns(): bool;

    /** Whether somebody opposite who turns into the same road, of two lanes or more, may go at the same time, each into their own lane. */
    public function turnersShare(): bool;

    /** @return array<string, string> the place's own words, by the word the catalogue is written with */
    public function words(): array;

    /** How the pack's marking scheme calls a fault by what it did to others (the mapping assumed; a school's scheme may differ). */
    public function severity(Effect $effect): string;

    /** Whether the person who supervises a learner may hold a device while the car moves, as a sentence to that person. */
    public function deviceRule(): string;

    public function deviceRuleSource(): Source;

    /** @return list<AskedByLaw> driving that a learner has to show before the test; empty where the law asks for none */
    public function askedByLaw(): array;

    /** @return non-empty-list<Figure> everything the pack fixes, to be printed with its status */
    public function figures(): array;
}
