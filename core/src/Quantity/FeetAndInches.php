<?php

declare(strict_types=1);

namespace NobleTurn\Core\Quantity;

use NobleTurn\Core\Fault\BadInput;

/** Lengths as British and American signs print them: 13'9". 1 in = 25.4 mm exactly. */
final class FeetAndInches
{
    private const METRES_IN_AN_INCH = 0.0254;

    /** @throws BadInput */
    public static function parse(string $text, string $field): Distance
    {
        if (
            preg_match('/^\s*(\d{1,2})\s*(?:\'|’|ft)\s*(?:(\d{1,2}(?:\.\d+)?)\s*(?:"|”|\'\'|in)?)?\s*$/u', $text, $parts) !== 1
            || (float) ($parts[2] ?? 0) >= 12.0
        ) {
            throw BadInput::field($field, 'must be feet and inches such as 13\'9".');
        }

        return Distance::ofMetres(((float) $parts[1] * 12.0 + (float) ($parts[2] ?? 0)) * self::METRES_IN_AN_INCH);
    }

    /** To the inch below, so that nothing seems to fit that does not; "-" in front of what is missing, to the inch above. */
    public static function words(float $metres): string
    {
        $inches = (int) ($metres < 0.0 ? ceil(-$metres / self::METRES_IN_AN_INCH - 1e-9) : floor($metres / self::METRES_IN_AN_INCH + 1e-9));

        return ($metres < 0.0 ? '-' : '').intdiv($inches, 12)."'".($inches % 12).'"';
    }
}
