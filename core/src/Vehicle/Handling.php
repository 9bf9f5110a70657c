<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Sight\Sight;
use NobleTurn\Core\Trade\Surface;

/**
 * What is comfortable in a vehicle, and how it answers. Of a long or heavy one the load decides: it shifts, it tips, and air has to come to the
 * brakes first.
 */
final readonly class Handling
{
    /** Mean deceleration of a long or heavy vehicle on a dry road, m/s2 (assumed: loads that shift, people who stand). */
    public const LONG_COMFORT = 1.3;

    /** Sideways, of a long or heavy one, m/s2 (assumed; laden, such a vehicle tips at 3 to 4: from memory, studies of rollover). */
    public const LONG_SIDEWAYS = 1.0;

    /** From the pedal to the brakes of a long or heavy one, s (from memory: UN Regulation No. 13 allows air brakes 0.6 s). */
    public const AIR_S = 0.6;

    /** What a long or heavy one has to be able to stop with, as a share of a car's 6.43 m/s2. */
    public const LONG_BRAKING_SHARE = 5.0 / 6.43;

    public const BRAKING = 'UN Regulations No. 13 and 13-H: 5.0 and 6.43 m/s2';

    private function __construct(
        public Acceleration $comfort, public float $sidewaysMps2, public float $brakeLagSeconds, public float $eyeMetres, public float $brakingShare,
        private bool $isLong,
    ) {
    }

    public static function of(Vehicle $vehicle): self
    {
        return self::as($vehicle->isLong());
    }

    public static function ofACar(): self
    {
        return self::as(false);
    }

    /** One of the two there are. */
    private static function as(bool $long): self
    {
        static $made = [];

        return $made[(int) $long] ??= new self(
            Acceleration::ofMetresPerSecondSquared($long ? self::LONG_COMFORT : Surface::COMFORTABLE_DECELERATION),
            $long ? self::LONG_SIDEWAYS : Corner::COMFORTABLE_SIDEWAYS, $long ? self::AIR_S : 0.0, $long ? Sight::HIGH_EYE_M : Sight::EYE_M,
            $long ? self::LONG_BRAKING_SHARE : 1.0, $long,
        );
    }

    /** What is still unhurried where so much is in a car: less by as much as what is comfortable is. */
    public function unhurried(Acceleration $inACar): Acceleration
    {
        return Acceleration::ofMetresPerSecondSquared(
            $inACar->inMetresPerSecondSquared() * $this->comfort->inMetresPerSecondSquared() / Surface::COMFORTABLE_DECELERATION,
        );
    }

    /** What tyres and brakes hold together, as a share of the weight. */
    public function grip(Surface $surface): float
    {
        return $surface->grip() * $this->brakingShare;
    }

    /** The most that tyres and brakes slow it by here, m/s2; nothing where the hill pulls harder. */
    public function hardestMps2(Surface $surface, Gradient $gradient): float
    {
        return max(0.0, $this->grip($surface) * $gradient->pressing() + $gradient->slowing());
    }

    /** @return list<Assumption> what is other than in a car */
    public function assumptions(): array
    {
        return $this->isLong
            ? [new Assumption('from the brake pedal to the brakes', $this->brakeLagSeconds, 's', Source::fromMemory('UN Regulation No. 13'))] : [];
    }
}
