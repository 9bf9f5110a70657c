<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\Side;

/** Ways that are driven often, as straights and arcs one after the other: an S-bend, and round a roundabout. */
final class WaysField
{
    /** Straight before and after, m (assumed): the whole vehicle stands straight at either end. */
    private const IN_M = 12.0;

    private const OUT_M = 25.0;

    /** How far the way bends aside at entry and again at exit of a roundabout, degrees (assumed). */
    private const DEFLECTION_DEG = 50.0;

    /** Radius of those bends, m (assumed). */
    private const ENTRY_RADIUS_M = 15.0;

    /** @return list<ObjectField> */
    public static function fields(): array
    {
        $radius = static fn (): QuantityField => (new QuantityField('radius', 'of the line driven', Kind::Distance, 1.0, 500.0))->required();

        return [
            new ObjectField('s_bend', 'out to the left and back again', new Shape(
                $radius(),
                new NumberField('angle_deg', 'of either bend; default 40', 5.0, 90.0),
                new QuantityField('between', 'straight between the two; default none', Kind::Distance, 0.0, 200.0),
            )),
            new ObjectField('roundabout', 'in, round and out, on the side that traffic keeps', new Shape(
                $radius(),
                ChoiceField::of('exit', 'way out, as the driver sees it', WayOut::class)->required(),
                new QuantityField('entry_radius', 'of the bends in and out; default 15 m', Kind::Distance, 1.0, 500.0),
                new NumberField('deflection_deg', 'how far the way bends aside at entry and exit; default 50', 10.0, 80.0),
            )),
        ];
    }

    /** @return list<array{length: float}|array{radius: float, angle: float}> radians, + to the left; nothing where no such way is given */
    public static function pieces(Values $path, RulePack $pack): array
    {
        $arc = static fn (float $radius, float $degrees): array => ['radius' => $radius, 'angle' => $degrees * M_PI / 180.0];
        $bend = $path->object('s_bend');
        if ($bend !== null) {
            $radius = $bend->distance('radius')?->inMetres() ?? 0.0;
            $angle = $bend->number('angle_deg') ?? 40.0;
            $between = $bend->distance('between')?->inMetres() ?? 0.0;

            return [
                ['length' => self::IN_M], $arc($radius, $angle), ...($between > 0.0 ? [['length' => $between]] : []), $arc($radius, -$angle),
                ['length' => self::OUT_M],
            ];
        }
        $round = $path->object('roundabout');
        if ($round === null) {
            return [];
        }
        // Keeping left, the way bends left, goes round to the right, and bends left again.
        $kept = $pack->keeps() === Side::Left ? 1.0 : -1.0;
        $aside = $round->number('deflection_deg') ?? self::DEFLECTION_DEG;
        $heading = match ($round->choice('exit', WayOut::class)) {
            WayOut::Left => 90.0,
            WayOut::Right => -90.0,
            WayOut::Back => -180.0 * $kept,
            default => 0.0,
        };
        $entry = $arc($round->distance('entry_radius')?->inMetres() ?? self::ENTRY_RADIUS_M, $kept * $aside);

        return [
            ['length' => self::IN_M], $entry, $arc($round->distance('radius')?->inMetres() ?? 0.0, $heading - 2.0 * $kept * $aside), $entry,
            ['length' => self::OUT_M],
        ];
    }

    /** @return list<string> what each of the pieces is, in the order driven */
    public static function names(Values $path): array
    {
        return match (true) {
            $path->has('s_bend') => [
                'before the first bend', 'in the first bend',
                ...(($path->object('s_bend')?->distance('between')?->inMetres() ?? 0.0) > 0.0 ? ['between the two'] : []), 'in the second bend', 'after it',
            ],
            default => ['before the entry', 'at the entry', 'on the ring', 'at the exit', 'after it'],
        };
    }

    /** @return list<Assumption> what was filled in */
    public static function defaults(Values $path): array
    {
        $said = static fn (Values $of, string $key): Source => $of->has($key) ? Source::given() : Source::assumed();
        $round = $path->object('roundabout');
        $bend = $path->object('s_bend');

        return match (true) {
            $round !== null => [
                new Assumption(
                    'bends aside at entry and exit', $round->number('deflection_deg') ?? self::DEFLECTION_DEG, 'degrees',
                    $said($round, 'deflection_deg'),
                ),
                new Assumption(
                    'radius of the bends in and out', $round->distance('entry_radius')?->inMetres() ?? self::ENTRY_RADIUS_M, 'm',
                    $said($round, 'entry_radius'),
                ),
            ],
            $bend !== null => [new Assumption('angle of either bend', $bend->number('angle_deg') ?? 40.0, 'degrees', $said($bend, 'angle_deg'))],
            default => [],
        };
    }
}
