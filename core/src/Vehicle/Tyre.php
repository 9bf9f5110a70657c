<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Fault\BadInput;

/**
 * A tyre by its ISO marking: 195/65R15 is 195 mm wide, its side wall 65 % of that, on a 15 inch rim.
 * Diameter = rim + 2 x side wall; the rolling circumference is taken as that of the unloaded circle, about 2 to 3 % long.
 */
final readonly class Tyre
{
    private const MILLIMETRES_IN_AN_INCH = 25.4;

    private function __construct(public string $marking, private float $diameterInMetres)
    {
    }

    /** @throws BadInput when the marking is none, or no road tyre has such sizes */
    public static function fromMarking(string $marking): self
    {
        if (preg_match('#^(\d{3})/(\d{2})\s?Z?R\s?(\d{2}(?:\.5)?)$#', trim($marking), $size) !== 1) {
            throw BadInput::field('tyre', 'must be an ISO marking such as 195/65R15.');
        }
        [$width, $aspect, $rim] = [(float) $size[1], (float) $size[2], (float) $size[3]];
        if ($width < 105 || $width > 455 || $aspect < 20 || $aspect > 95 || $rim < 10 || $rim > 24) {
            throw BadInput::field('tyre', 'must have a width of 105 to 455 mm, an aspect of 20 to 95 % and a rim of 10 to 24 inches.');
        }

        return new self(trim($marking), ($rim * self::MILLIMETRES_IN_AN_INCH + 2.0 * $width * $aspect / 100.0) / 1000.0);
    }

    public function circumferenceInMetres(): float
    {
        return M_PI * $this->diameterInMetres;
    }
}
