<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\EngineSpeed;

/** The teaching car as far as an approach feels it. */
final readonly class Vehicle
{
    public function __construct(
        public string $id,
        public string $name,
        public Transmission $transmission,
        public Controls $controls,
        public Distance $length,
        public Distance $width,
        public Gearbox $gearbox,
        public EngineSpeed $idle,
        /** Slowing in gear with the gas released on the level, drag and rolling included. */
        public Acceleration $engineBraking,
    ) {
    }

    /** Whether clutch and gear are steps of the learner's at all. */
    public function hasClutch(): bool
    {
        return $this->transmission === Transmission::Manual && $this->controls === Controls::Standard;
    }
}
