<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\BaseField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\Intention;
use NobleTurn\Core\FastRoad\Neighbour;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Plan\Warning;

/** Vehicles on the road beside us: signed places, so a plain number of metres. */
final class NeighboursField
{
    public static function field(string $about, BaseField ...$more): ListField
    {
        return new ListField('vehicles', $about, new ObjectField('vehicle', 'one of them', new Shape(
            (new NumberField('distance_m', 'front bumper to front bumper, + ahead of us, m', -1000.0, 1000.0))->required(),
            (new QuantityField('speed', 'its own', Kind::Speed, 0.0, 70.0))->required(),
            new QuantityField('length', 'default '.Neighbour::LENGTH_M.' m', Kind::Distance, 1.0, 30.0),
            new TextField('name', 'what it is called', 40),
            ...$more,
        )), 20);
    }

    /**
     * @param  callable(Values): bool  $those
     * @param  Intention  $otherwise  where nothing is said of it
     * @return list<Neighbour>
     */
    public static function read(Values $input, ?callable $those = null, Intention $otherwise = Intention::Stays): array
    {
        $read = [];
        foreach ($input->objects('vehicles') as $i => $one) {
            if ($those === null || $those($one)) {
                $read[] = new Neighbour(
                    $one->text('name') ?? 'vehicle '.($i + 1), $one->number('distance_m') ?? 0.0, $one->speed('speed')?->inMetresPerSecond() ?? 0.0,
                    $one->distance('length')?->inMetres() ?? Neighbour::LENGTH_M, $one->choice('intends', Intention::class) ?? $otherwise,
                );
            }
        }
        self::apart($read);

        return $read;
    }

    /**
     * Everybody is reckoned at a steady speed; where one of them would drive into another meanwhile, that is said.
     *
     * @param  list<Neighbour>  $vehicles  of one lane
     * @return list<Warning>
     */
    public static function meeting(array $vehicles, float $within): array
    {
        $found = [];
        foreach ($vehicles as $behind) {
            foreach ($vehicles as $ahead) {
                if ($behind->metres < $ahead->metres && $behind->frontMetresAt($within) > $ahead->frontMetresAt($within) - $ahead->lengthMetres) {
                    $found[] = new Warning(
                        'others-meet',
                        "At these speeds {$behind->name} would have run into {$ahead->name} by then: one of them will change something, so look again.",
                    );
                }
            }
        }

        return $found;
    }

    /**
     * Vehicles of one lane cannot lie inside each other.
     *
     * @param  list<Neighbour>  $vehicles
     */
    private static function apart(array $vehicles): void
    {
        foreach ($vehicles as $i => $one) {
            foreach (array_slice($vehicles, $i + 1) as $other) {
                [$ahead, $behind] = $one->metres >= $other->metres ? [$one, $other] : [$other, $one];
                if ($ahead->metres - $ahead->lengthMetres < $behind->metres) {
                    throw BadInput::field('vehicles', "must not overlap: {$one->name} and {$other->name} do.");
                }
            }
        }
    }
}
