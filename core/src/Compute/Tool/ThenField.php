<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ObjectField;
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
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Trade\RoutineCode;

/** A second hazard close behind the first: what differs from it; everything else is the same drive. */
final class ThenField
{
    /** Fields of the first approach that belong to its road and not to the next. */
    private const OF_THE_FIRST = [
        'routine', 'line_speed', 'turn_radius', 'control', 'view', 'view_from', 'room', 'openings', 'parked', 'exit', 'light', 'one_way', 'then',
        'passing_on', 'speed', 'sign',
    ];

    public static function field(): ObjectField
    {
        return new ObjectField('then', 'the next hazard, close behind this one', new Shape(
            ChoiceField::of('routine', 'what is to be done there', RoutineCode::class)->required(),
            (new QuantityField('distance', 'from this line to the next, along the way we drive', Kind::Distance, 1.0, 1000.0))->required(),
            new QuantityField('turn_radius', 'of our path there', Kind::Distance, 3.0, 60.0),
            ChoiceField::of('control', 'what governs the next line', Control::class),
            ChoiceField::of('view', 'there; default open', View::class),
            ChoiceField::of('exit', 'way out there', WayOut::class),
            ChoiceField::of('light', 'what the lights show there', Light::class),
        ));
    }

    /** @throws BadInput where what is said of the second contradicts itself */
    public static function second(Values $input, Values $then): Approach
    {
        try {
            return ApproachReader::read($input->without(self::OF_THE_FIRST)->and($then));
        } catch (BadInput $bad) {
            throw BadInput::of(
                array_combine(array_map(static fn (string $field): string => "then.{$field}", array_keys($bad->errors)), array_values($bad->errors)),
            );
        }
    }

    /** @return ?array<string, mixed> */
    public static function answer(Values $input, ApproachPlan $first): ?array
    {
        $then = $input->object('then');
        if ($then === null) {
            return null;
        }
        $distance = $then->distance('distance') ?? throw BadInput::field('then.distance_m', 'is missing.');
        $second = self::second($input, $then);
        $chained = Chained::after($first, $second, $distance);
        $body = $chained->second === null ? null : ApproachPresenter::body($chained->second);
        $unit = $second->pack->speedUnit();
        $say = static fn (Approach $approach): string => Card::of(
            $approach->routine, $approach->pack, $approach->practice, wayOut: $approach->wayOut,
        )->direction;

        return [
            'verdict' => $chained->between->value,
            'message' => $chained->between->message($unit->words(Speed::ofMetresPerSecond($chained->reachedMps))),
            'room_m' => round($chained->roomMetres, 1),
            'reached_mps' => round($chained->reachedMps, 3),
            'earliest_m' => round($chained->earliestMetres, 2),
            'say_together' => $chained->sayTogether,
            'direction' => $chained->sayTogether
                ? rtrim($say($first->approach), '. ').'; then: '.lcfirst($say($second))
                : $say($first->approach).' After it: '.$say($second),
            'plan' => $body,
        ];
    }
}
