<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Trade\RoutineCode;

/** Why there is no plan of an approach at all: nothing slower would help. */
final readonly class NotPlanned
{
    /** What ends in reverse along the kerb, with traffic behind: nothing for a long vehicle. */
    private const OF_CARS = [RoutineCode::PullUpRightReverse, RoutineCode::BackUp];

    private function __construct(
        /** `vehicle` or `too-narrow`. */
        public string $reason,
        public string $message,
    ) {
    }

    public static function of(Approach $approach): ?self
    {
        if ($approach->vehicle->isLong() && in_array($approach->routine, self::OF_CARS, true)) {
            return new self('vehicle', Wording::in(
                $approach->pack, 'Not planned for this vehicle: a long one backs up along a {kerb} with somebody who watches, and its instructor says how.',
            ));
        }
        foreach (Corridor::along($approach) as $corridor) {
            if ($corridor->isTooNarrow()) {
                $say = static fn (float $metres): string => $approach->pack->lengthUnit()->words(Distance::ofMetres($metres));

                return new self('too-narrow', sprintf(
                    'Does not fit: the parked cars leave %s for a car of %s with its mirrors. Hold back, or go another way.',
                    $say($approach->roadWidth->inMetres() - Corridor::PARKED_M * ((int) $corridor->nearParked + (int) $corridor->offParked)),
                    $say(Corridor::ourMetres($approach->vehicle)),
                ));
            }
        }

        return null;
    }
}
