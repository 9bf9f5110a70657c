<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\OneOrListField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\Light;
use NobleTurn\Core\Place\View;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\ApproachPlan;
use NobleTurn\Core\Plan\Chained;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Direction;
use NobleTurn\Core\Trade\RoutineCode;

/** A second hazard close behind the first: what differs from it; everything else is the same drive. */
final class ThenField
{
    /** Fields of the first approach that belong to its road and not to the next. */
    private const OF_THE_FIRST = [
        'routine', 'line_speed', 'turn_radius', 'control', 'view', 'view_from', 'room', 'openings', 'parked', 'exit', 'light', 'one_way', 'then',
        'passing_on', 'speed', 'sign', 'junction', 'road_met', 'path_before', 'view_beyond', 'sight_left', 'sight_right', 'cycle_box', 'sight_ahead',
        'bend', 'crest', 'dip',
    ];

    /** So many in a row at the most. */
    private const MOST = 12;

    public static function field(): OneOrListField
    {
        $next = new Shape(
            ChoiceField::of('routine', 'what is to be done there', RoutineCode::class)->required(),
            (new QuantityField('distance', 'from this line to the next, along the way we drive', Kind::Distance, 1.0, 1000.0))->required(),
            new QuantityField('turn_radius', 'of our path there', Kind::Distance, 3.0, 60.0),
            ChoiceField::of('control', 'what governs the next line', Control::class),
            ChoiceField::of('view', 'there; default open', View::class),
            ChoiceField::of('exit', 'way out there', WayOut::class),
            ChoiceField::of('light', 'what the lights show there', Light::class),
        );

        return new OneOrListField(
            new ObjectField('then', 'the next hazard, close behind this one', $next),
            new ListField('then', 'the next hazards, each close behind the one before', new ObjectField('hazard', 'a hazard', $next), self::MOST),
        );
    }

    /** @throws BadInput where what is said of one of them contradicts itself */
    public static function check(Values $input): void
    {
        self::seconds($input);
    }

    /** @return list<Chained> the hazards behind the first, each after the one before */
    public static function row(Values $input, ApproachPlan $first): array
    {
        $row = [];
        $before = $first;
        foreach (self::seconds($input) as [$second, $distance]) {
            $row[] = $chained = Chained::after($before, $second, $distance);
            $before = $chained->plan;
        }

        return $row;
    }

    /**
     * @param  list<Chained>  $found
     * @return array{}|array{then: array<string, mixed>|list<array<string, mixed>>} what a row of hazards adds to the plan of the first
     */
    public static function answer(Values $input, ApproachPlan $first, array $found): array
    {
        if ($found === []) {
            return [];
        }
        $said = array_map(self::said(...), [$first->approach, ...array_map(static fn (Chained $one): Approach => $one->plan->approach, $found)]);
        $answers = [];
        foreach ($found as $i => $one) {
            $answers[] = [
                'verdict' => $one->between->value,
                'message' => $one->between->message($first->approach->pack->speedUnit()->words(Speed::ofMetresPerSecond($one->reachedMps))),
                'room_m' => round($one->roomMetres, 1),
                'reached_mps' => round($one->reachedMps, 3),
                'earliest_m' => round($one->earliestMetres, 2),
                'say_together' => $one->sayTogether,
                'direction' => self::direction($said, $found, $i),
                'plan' => $one->second === null ? null : ApproachPresenter::body($one->second),
            ];
        }

        return ['then' => $input->object('then') === null ? $answers : $answers[0]];
    }

    /**
     * How many further parts the direction of the first has: those that have to be said with it.
     *
     * @param  list<Chained>  $row
     */
    public static function furtherParts(ApproachPlan $first, array $row): int
    {
        $before = $first->approach;
        $parts = 0;
        foreach ($row as $chained) {
            if (! $chained->sayTogether) {
                break;
            }
            $parts += self::said($chained->plan->approach) === self::said($before) ? 0 : 1;
            $before = $chained->plan->approach;
        }

        return $parts;
    }

    /**
     * @return list<array{Approach, Distance}> each with its distance from the line before it
     *
     * @throws BadInput
     */
    private static function seconds(Values $input): array
    {
        $one = $input->object('then');
        $found = [];
        foreach ($one === null ? $input->objects('then') : [$one] as $i => $then) {
            $path = $one === null ? "then.{$i}" : 'then';
            try {
                $found[] = [
                    ApproachReader::read($input->without(self::OF_THE_FIRST)->and($then)),
                    $then->distance('distance') ?? throw BadInput::field('distance_m', 'is missing.'),
                ];
            } catch (BadInput $bad) {
                throw $bad->under($path);
            }
        }

        return $found;
    }

    private static function said(Approach $approach): string
    {
        return Card::of($approach->routine, $approach->pack, $approach->practice, wayOut: $approach->wayOut)->direction;
    }

    /**
     * Those that have to be said together in one breath, from the one before this one on.
     *
     * @param  list<string>  $said
     * @param  list<Chained>  $found
     */
    private static function direction(array $said, array $found, int $i): string
    {
        if (! $found[$i]->sayTogether) {
            return $said[$i].($said[$i + 1] === $said[$i] ? '' : ' After it: '.$said[$i + 1]);
        }
        $breath = [$said[$i]];
        for ($next = $i; $next < count($found) && $found[$next]->sayTogether; $next++) {
            $breath[] = $said[$next + 1];
        }

        return Direction::inOneBreath($breath);
    }
}
