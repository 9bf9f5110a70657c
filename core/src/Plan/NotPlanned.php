<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Vehicle\Vehicle;

/** Why there is no plan of an approach at all: nothing slower would help. */
final readonly class NotPlanned
{
    private function __construct(
        /** `vehicle` or `too-narrow`. */
        public string $reason,
        public string $message,
    ) {
    }

    public static function of(Approach $approach): ?self
    {
        if ($approach->vehicle->isLong()) {
            return new self('vehicle', sprintf(
                Wording::in(
                    $approach->pack, 'Not planned for this vehicle: the approach is worked out for a car of up to %.1f t. A long or heavy one brakes earlier, '
                        .'needs more room and time, and swings out: its instructor says where each step belongs. Its path round the corner is in '
                        .'“{Long vehicle}”.',
                ),
                Vehicle::CAR_KG / 1000.0,
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
