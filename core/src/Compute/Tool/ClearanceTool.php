<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Quantity\FeetAndInches;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;

/** Whether a vehicle passes under a bridge or through a width limit. */
final class ClearanceTool implements Tool
{
    use QuickAnswer;

    /** Kept between the load and what the sign says, m (assumed, or the company's rule). */
    private const MARGIN = 0.075;

    public function name(): string
    {
        return 'clearance';
    }

    public function about(): string
    {
        return 'Height or width of the vehicle with its load against the sign, with a margin, in metres or feet and inches.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            new QuantityField('vehicle_height', 'overall, at ordinary ride height', Kind::Distance, 0.5, 10.0),
            new TextField('vehicle_height_ft_in', 'the same as 13\'9"', 20),
            new QuantityField('load_height', 'top of the load where it is higher', Kind::Distance, 0.5, 12.0),
            new QuantityField('sign_height', 'what the sign says', Kind::Distance, 0.5, 10.0),
            new TextField('sign_height_ft_in', 'the same as 13\'9"', 20),
            new QuantityField('vehicle_width', 'overall, with mirrors', Kind::Distance, 0.5, 6.0),
            new QuantityField('sign_width', 'what the sign says', Kind::Distance, 0.5, 10.0),
            new QuantityField('margin', 'kept free; default 0.075 m', Kind::Distance, 0.0, 2.0),
        );
    }

    public function output(): array
    {
        return [
            'clearance_m' => Out::number('sign minus vehicle, height; negative where it is too high; null without heights', nullable: true),
            'clearance_ft_in' => Out::text('the same in feet and inches; "-" in front where it is too high; empty without heights'),
            'vehicle_height_ft_in' => Out::text('vehicle with load; empty without a height'),
            'width_clearance_m' => Out::number('sign minus vehicle, width; null without widths', nullable: true),
            'verdict' => ['enum' => ['passes', 'within-the-margin', 'does-not-pass'], 'description' => 'the worse of both'],
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $vehicle = self::length($input, 'vehicle_height');
        $sign = self::length($input, 'sign_height');
        $width = $input->distance('vehicle_width')?->inMetres();
        $signWidth = $input->distance('sign_width')?->inMetres();
        self::together('vehicle_height_m', $vehicle, 'sign_height_m', $sign);
        self::together('vehicle_width_m', $width, 'sign_width_m', $signWidth);
        if ($vehicle === null && $width === null) {
            throw BadInput::field('vehicle_height_m', 'is missing (or vehicle_width_m).');
        }
        $load = $input->distance('load_height')?->inMetres();
        if ($load !== null && $vehicle === null) {
            throw BadInput::field('vehicle_height_m', 'is missing: a load height needs the vehicle’s.');
        }
        $height = $vehicle === null ? null : max($vehicle, $load ?? 0.0);
        $margin = $input->distance('margin')?->inMetres() ?? self::MARGIN;
        $gaps = array_filter([
            'height' => $height === null || $sign === null ? null : $sign - $height,
            'width' => $width === null || $signWidth === null ? null : $signWidth - $width,
        ], static fn (?float $gap): bool => $gap !== null);
        $least = min([INF, ...$gaps]);

        return new Answer($pack->code(), $pack->version(), [
            'clearance_m' => isset($gaps['height']) ? round($gaps['height'], 4) : null,
            'clearance_ft_in' => isset($gaps['height']) ? FeetAndInches::words($gaps['height']) : '',
            'vehicle_height_ft_in' => $height === null ? '' : FeetAndInches::words($height),
            'width_clearance_m' => isset($gaps['width']) ? round($gaps['width'], 4) : null,
            'verdict' => match (true) {
                $least < 0.0 => 'does-not-pass',
                $least < $margin - 1e-9 => 'within-the-margin',
                default => 'passes',
            },
        ], [
            new Assumption('margin', round($margin, 4), 'm', $input->has('margin') ? Source::given() : Source::assumed()),
        ], $least < $margin - 1e-9 ? [new Warning('turn-off-in-time', 'Turn off in time and take another way: there is no squeezing through, and the sign '
            .'decides.')] : []);
    }

    private static function length(Values $input, string $field): ?float
    {
        $metres = $input->distance($field);
        $text = $input->text("{$field}_ft_in");
        if ($metres !== null && $text !== null) {
            throw BadInput::field("{$field}_ft_in", "must not be given beside {$field}: one unit for one quantity.");
        }

        return $text === null ? $metres?->inMetres() : FeetAndInches::parse($text, "{$field}_ft_in")->inMetres();
    }

    private static function together(string $one, ?float $a, string $other, ?float $b): void
    {
        if (($a === null) !== ($b === null)) {
            throw BadInput::field($a === null ? $one : $other, 'is missing.');
        }
    }
}
