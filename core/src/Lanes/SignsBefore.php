<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/** Where signs and markings stand before a junction, m before the line. */
final readonly class SignsBefore
{
    /** Where nothing is said (assumed). */
    public const DIRECTION_SIGN_M = 150.0;

    public const LANE_SIGN_M = 80.0;

    public const MARKINGS_M = 40.0;

    public function __construct(
        public float $directionSignMetres = self::DIRECTION_SIGN_M,
        public float $laneSignMetres = self::LANE_SIGN_M,
        public float $markingsMetres = self::MARKINGS_M,
    ) {
    }
}
