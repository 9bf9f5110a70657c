<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\EngineSpeed;

/** A vehicle: its controls, what drives it, what resists, and where its wheels are. */
final readonly class Vehicle
{
    /** A whole change of gear by hand (common practice: under two seconds), and by a gearbox of its own (assumed), s. */
    public const CHANGE_BY_HAND_S = 1.5;

    public const CHANGE_BY_ITSELF_S = 0.4;

    /** From gas off to gas on again, s. */
    public float $shiftSeconds;

    /** A car is no longer, m (assumed). */
    private const CAR_LENGTH_M = 7.0;

    /** What is counted where somebody counts cars, m (assumed). */
    private const USUAL_CAR_M = 4.5;

    /** What engine speeds of cars are said for, rpm (assumed). */
    private const USUAL_IDLE_RPM = 800.0;

    /** As it is licensed it is no heavier, kg (from memory). */
    public const CAR_KG = 3500.0;

    public function __construct(
        public string $id,
        public string $name,
        public Transmission $transmission,
        public Controls $controls,
        public Distance $length,
        public Distance $width,
        public Gearbox $gearbox,
        public Engine $engine,
        public Body $body,
        public Chassis $chassis,
        /** Slowing in gear with the gas released on the level, drag and rolling included. */
        public Acceleration $engineBraking,
        /** @var list<Unit> what it draws, nearest first */
        public array $trailers = [],
        /** From the rear axle to the first trailer's coupling, positive behind the axle, m. */
        public float $hitchOffsetMetres = 0.0,
        ?float $shiftTime = null,
    ) {
        $this->shiftSeconds = $shiftTime ?? ($transmission === Transmission::Manual ? self::CHANGE_BY_HAND_S : self::CHANGE_BY_ITSELF_S);
    }

    public function withGearbox(Gearbox $gearbox): self
    {
        return new self(
            $this->id, $this->name, $this->transmission, $this->controls, $this->length, $this->width, $gearbox,
            $this->engine, $this->body, $this->chassis, $this->engineBraking, $this->trailers, $this->hitchOffsetMetres, $this->shiftSeconds,
        );
    }

    /** Its speed in a gear with the engine idling, m/s. */
    public function idlesAt(int $gear): float
    {
        return $this->gearbox->speed($this->idle(), $gear)->inMetresPerSecond();
    }

    public function idle(): EngineSpeed
    {
        return EngineSpeed::ofRevolutionsPerMinute($this->engine->idleRpm);
    }

    /** @return non-empty-list<Unit> the vehicle itself and everything it draws */
    public function units(): array
    {
        $chassis = $this->chassis;
        $hitch = $this->trailers === [] ? 0.0 : $this->hitchOffsetMetres;

        return [new Unit($chassis->wheelbaseMetres, $chassis->widthMetres, $chassis->frontOverhangMetres, $chassis->rearOverhangMetres, $hitch),
            ...$this->trailers];
    }

    /** Longer, heavier, or drawing another: not driven like a car. */
    public function isLong(): bool
    {
        return $this->trailers !== [] || $this->length->inMetres() > self::CAR_LENGTH_M || $this->body->massKg > self::CAR_KG;
    }

    /** What a rule in car lengths counts: whoever drives a long vehicle still counts cars, m. */
    public function carLengthMetres(): float
    {
        return $this->isLong() ? self::USUAL_CAR_M : $this->length->inMetres();
    }

    /** An engine speed that is said of a car, for this engine: the slow one of a lorry does the same at a lower speed, by how slowly it idles, rpm. */
    public function turning(float $rpmOfACar): EngineSpeed
    {
        return EngineSpeed::ofRevolutionsPerMinute($this->isLong() ? $rpmOfACar * $this->engine->idleRpm / self::USUAL_IDLE_RPM : $rpmOfACar);
    }

    /** Whether clutch and gear are steps of the learner's at all. */
    public function hasClutch(): bool
    {
        return $this->transmission === Transmission::Manual && $this->controls === Controls::Standard;
    }
}
