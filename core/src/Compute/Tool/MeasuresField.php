<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Fault\InvalidQuantity;
use NobleTurn\Core\Site\Measure;
use NobleTurn\Core\Site\Measured;
use NobleTurn\Core\Site\MeasuredBy;

/** Lengths of a road as they were measured, each as often as anybody cared to. */
final class MeasuresField
{
    /** Lengths that can be measured, by the tools' names without the unit. */
    public const OF = [
        'view_from', 'view_beyond', 'sight_left', 'sight_right', 'sight_ahead', 'room', 'road_width', 'path_before', 'turn_radius', 'slip_length',
    ];

    public static function field(): ListField
    {
        return new ListField('measures', 'lengths as they were measured; the figure itself is then left out', new ObjectField('measure', 'one', new Shape(
            (new ChoiceField('of', 'what was measured', self::OF))->required(),
            ChoiceField::of('by', 'how', MeasuredBy::class)->required(),
            new QuantityField('length', 'by tape or by eye', Kind::Distance, 0.0, 2000.0),
            new NumberField('number', 'of paces, or of lengths of a car', 0.0, 4000.0),
            new QuantityField('pace', 'one pace; default 0.75 m', Kind::Distance, 0.3, 1.5),
            new QuantityField('time', 'from one press to the next', Kind::Duration, 0.0, 600.0),
            new QuantityField('speed', 'held meanwhile', Kind::Speed, 1.0, 45.0),
            new QuantityField('error', 'give or take; default by how it was measured', Kind::Distance, 0.05, 500.0),
        )), 40);
    }

    /**
     * @return array<string, Measured> by what was measured
     *
     * @throws BadInput
     */
    public static function read(Values $arm, string $at): array
    {
        $found = [];
        foreach ($arm->objects('measures') as $i => $measure) {
            $of = $measure->text('of') ?? '';
            if ($arm->has($of)) {
                throw BadInput::field("{$at}{$of}_m", 'must not be given beside measures of it: they say what it is.');
            }
            $found[$of][] = self::one($measure, "{$at}measures.{$i}.");
        }

        return array_map(static fn (array $measures): Measured => Measured::from(...$measures), $found);
    }

    private static function one(Values $measure, string $at): Measure
    {
        $by = $measure->choice('by', MeasuredBy::class) ?? MeasuredBy::Eye;
        $needed = match ($by) {
            MeasuredBy::Paces, MeasuredBy::CarLengths => ['number'],
            MeasuredBy::Driven => ['time', 'speed'],
            MeasuredBy::Tape, MeasuredBy::Eye => ['length'],
        };
        $names = ['length' => 'length_m', 'number' => 'number', 'time' => 'time_s', 'speed' => 'speed_mps'];
        foreach ($names as $field => $name) {
            if (in_array($field, $needed, true) !== $measure->has($field)) {
                throw BadInput::field($at.$name, $measure->has($field) ? "is not asked where it was measured {$by->words()}." : 'is missing.');
            }
        }
        $number = $measure->number('number') ?? 0.0;
        [$time, $speed] = [$measure->duration('time'), $measure->speed('speed')];
        try {
            $found = match (true) {
                $by === MeasuredBy::Paces => Measure::paced($number, $measure->distance('pace')?->inMetres() ?? Measure::PACE_M),
                $by === MeasuredBy::CarLengths => Measure::carLengths($number),
                $time !== null && $speed !== null => Measure::driven($time, $speed),
                default => Measure::of($by, $measure->distance('length')?->inMetres() ?? 0.0),
            };
        } catch (InvalidQuantity) {
            throw BadInput::field($at.$names[$needed[0]], 'is longer than any street of a site: 2000 m at most.');
        }
        $error = $measure->distance('error')?->inMetres();

        return $error === null ? $found : Measure::of($by, $found->metres, $error);
    }
}
