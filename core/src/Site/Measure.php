<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Quantity\Bounds;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;

/** A length measured once, with its doubt: about two times in three the truth lies within it (one standard error). */
final readonly class Measure
{
    /** A pace where nobody has said theirs, m (assumed). */
    public const PACE_M = 0.75;

    /** A parked car with its share of the gaps, m (assumed). */
    public const CAR_M = 5.0;

    /** Of pressing at the right moment, each time, s (assumed). */
    private const PRESS_S = 0.15;

    /** Nobody measures a road more closely, m. */
    private const LEAST_ERROR_M = 0.05;

    /** No length of a site is longer, m. */
    private const MOST_M = 2_000.0;

    private function __construct(
        public MeasuredBy $by,
        public float $metres,
        /** Of this measure alone, m. */
        public float $ownErrorMetres,
    ) {
    }

    /** @throws \NobleTurn\Core\Fault\InvalidQuantity */
    public static function of(MeasuredBy $by, float $metres, ?float $errorMetres = null): self
    {
        return new self(
            $by, Bounds::check('length', $metres, 0.0, self::MOST_M, 'm'),
            Bounds::check('error', $errorMetres ?? max(self::LEAST_ERROR_M, $by->ownErrorMetres($metres)), self::LEAST_ERROR_M, self::MOST_M, 'm'),
        );
    }

    public static function paced(float $paces, float $paceMetres = self::PACE_M): self
    {
        return self::of(MeasuredBy::Paces, $paces * $paceMetres);
    }

    public static function carLengths(float $cars): self
    {
        return self::of(MeasuredBy::CarLengths, $cars * self::CAR_M);
    }

    /** From one press to the next at a steady speed. */
    public static function driven(Duration $time, Speed $speed): self
    {
        $metres = $time->inSeconds() * $speed->inMetresPerSecond();

        return self::of(MeasuredBy::Driven, $metres, hypot(MeasuredBy::Driven->ownErrorMetres($metres), M_SQRT2 * self::PRESS_S * $speed->inMetresPerSecond()));
    }

    /** With what all measures of its kind share, m. */
    public function errorMetres(): float
    {
        return hypot($this->ownErrorMetres, $this->by->sharedError() * $this->metres);
    }
}
