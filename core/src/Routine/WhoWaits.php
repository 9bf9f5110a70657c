<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\RoadMet;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\PeopleRule;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\RoutineCode as R;

/** Who waits for whom at a place, each with its rule, as it is said before one comes to it. */
final readonly class WhoWaits
{
    private function __construct(
        /** We wait, and not they. */
        public bool $isUs,
        /** For whom, or who. */
        public string $message,
        public Source $source,
    ) {
    }

    /**
     * @param  ?RoadMet  $met  what one comes out into, where that is known
     * @return list<self> for whom we wait first, and who waits for us; nothing where nobody meets
     */
    public static function at(R $routine, Control $control, RulePack $pack, WayOut $exit, ?RoadMet $met = null): array
    {
        $from = match ($met?->runsTo) {
            null => 'both sides', default => "the {$met->runsTo->other()->value}",
        };
        $side = Demand::side($routine, $pack, $exit);
        $flank = $side === null ? null : Flank::of($side, $pack);
        $we = static fn (string $for): self => new self(true, Wording::in($pack, $for), Source::commonPractice());
        $they = static fn (string $who): self => new self(false, Wording::in($pack, $who), Source::commonPractice());
        $crossing = $flank === null ? [] : [new self(true, self::people($pack), $pack->peopleRuleSource())];
        $across = 'for everybody who comes towards us: we cross their way';

        return match ($routine) {
            R::Roundabout, R::MiniRoundabout => [
                $we('for whoever is on it already and comes from the {off}.'),
                $they('Whoever comes to it after us, from the {near}, waits for us once we are on it.'),
                ...$crossing,
            ],
            R::EmergeLeft, R::EmergeRight, R::Cross => match ($control) {
                Control::Signals => [$we('for the light; then for those still in the crossing.'), ...$crossing],
                Control::AllWayStop => self::inTurn($we, $they, $crossing, $flank),
                default => [
                    $we($control === Control::Stop ? "standing still first, for everybody on the road we meet, from {$from}."
                        : "for everybody on the road we meet, from {$from}."),
                    ...($routine === R::Cross ? [$they('Neither we nor whoever stands opposite goes first by rule: eyes meet, and one goes.')] : []),
                    ...$crossing,
                ],
            },
            R::TurnLeft, R::TurnRight, R::CentreLaneLeft => [
                ...($flank === Flank::Off ? [$we("{$across}.")] : []), ...$crossing,
                $they('Whoever waits in the road we turn into waits for us.'),
            ],
            R::LightsLeft, R::LightsRight => [
                $we('for the light.'), ...($flank === Flank::Off ? [$we("{$across}, unless an arrow of our own is green.")] : []), ...$crossing,
            ],
            R::LightsAhead => [
                $we('for the light, and for whoever is still in the crossing when it changes.'), $they('Whoever turns across our way waits for us.'),
            ],
            R::RightOnRed => [$we('standing still first, for everybody: the light is red for us.'), ...$crossing],
            R::AllWayStop => self::inTurn($we, $they, $crossing, $flank),
            R::RailCrossing => [$we('for the train, the lights and the barrier.')],
            R::PassParked, R::PassBus => [$we('for those who come towards us: what is in the way stands on our side.')],
            R::Meet => [$we('where what is in the way stands on our side; where it stands on theirs, they do.')],
            R::People => [$we('for whoever is on the crossing or about to step on it.')],
            R::Join => [$we('for everybody on the road we join: who joins gives way.')],
            R::LaneChangeLeft, R::LaneChangeRight, R::Overtake => [$we('for whoever is in the lane we want: a signal asks, it does not give.')],
            default => [],
        };
    }

    /**
     * @param  \Closure(string): self  $we
     * @param  \Closure(string): self  $they
     * @param  list<self>  $crossing
     * @return list<self>
     */
    private static function inTurn(\Closure $we, \Closure $they, array $crossing, ?Flank $flank): array
    {
        return [
            $we('standing still first, for whoever came before us; of those who came together, for the one on the right.'),
            ...($flank === Flank::Off ? [$we('for the one opposite who goes straight on or the other way.')] : []),
            $they('Whoever comes to it after us waits for us.'), ...$crossing,
        ];
    }

    private static function people(RulePack $pack): string
    {
        return match ($pack->peopleRule()) {
            PeopleRule::Waiting => 'For people who cross the road we turn into, or wait to.',
            PeopleRule::Begun => 'For people who have begun to cross the road we turn into.',
            PeopleRule::InCrossing => 'For people in the crossing of the road we turn into.',
        };
    }
}
