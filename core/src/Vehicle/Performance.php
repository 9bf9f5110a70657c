<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;

/**
 * What the car can do in a gear. Force at the wheels = torque x reduction x efficiency / rolling radius; what is left
 * after air, tyres and hill accelerates the mass and everything that turns:
 * m' = m + (J_wheels + J_engine x reduction^2) / r^2.
 */
final readonly class Performance
{
    /** From crankshaft to road (assumed). */
    public const EFFICIENCY = 0.9;

    /** What the wheels' inertia adds to the mass (assumed share). */
    public const WHEELS = 0.03;

    /** The engine labours below this multiple of its idling speed (assumed). */
    private const LABOURS_BELOW_IDLES = 1.25;

    public function __construct(private Vehicle $vehicle)
    {
    }

    public function rpm(Speed $speed, int $gear): float
    {
        return $this->vehicle->gearbox->rpmAt($speed->inMetresPerSecond(), $gear);
    }

    /**
     * Most acceleration at this speed in this gear, m/s2; negative where the hill wins. With the engine below idle the
     * clutch slips and idle's torque is what there is.
     */
    public function acceleration(Speed $speed, int $gear, Gradient $gradient): float
    {
        $drive = $this->vehicle->engine->newtonMetresAt($this->rpm($speed, $gear)) * $this->leverage($gear) * self::EFFICIENCY;

        return ($drive - $this->resistance($speed, $gradient)) / $this->movingMass($gear);
    }

    /** Slowing with the gas released in gear, m/s2; negative where the car gains speed downhill. */
    public function engineBrakingMps2(Speed $speed, int $gear, Gradient $gradient): float
    {
        $drag = $this->vehicle->engine->dragNewtonMetresAt($this->rpm($speed, $gear)) * $this->leverage($gear) / self::EFFICIENCY;

        return ($drag + $this->resistance($speed, $gradient)) / $this->movingMass($gear);
    }

    /** With nothing driving, as during a change of gear, m/s2; positive downhill where the hill wins. */
    public function rolling(Speed $speed, int $gear, Gradient $gradient): float
    {
        return -$this->resistance($speed, $gradient) / $this->movingMass($gear);
    }

    public function labours(Speed $speed, int $gear): bool
    {
        return ! $this->vehicle->engine->isElectric && $this->rpm($speed, $gear) < $this->labourRpm();
    }

    public function overRevs(Speed $speed, int $gear): bool
    {
        return $this->rpm($speed, $gear) > $this->vehicle->engine->redLineRpm + 1e-6;
    }

    public function labourRpm(): float
    {
        return self::LABOURS_BELOW_IDLES * $this->vehicle->engine->idleRpm;
    }

    /** Below this the engine labours in a gear, m/s. */
    public function laboursBelowMps(int $gear): float
    {
        return $this->vehicle->engine->isElectric ? 0.0 : $this->vehicle->gearbox->metresPerSecondAt($this->labourRpm(), $gear);
    }

    /** Speed on the road at the red line, m/s. */
    public function topMps(int $gear): float
    {
        return $this->vehicle->gearbox->metresPerSecondAt($this->vehicle->engine->redLineRpm, $gear);
    }

    /** Air, tyres and hill, N; negative where the hill pushes harder. */
    private function resistance(Speed $speed, Gradient $gradient): float
    {
        $body = $this->vehicle->body;

        return $body->newtonsAt($speed->inMetresPerSecond(), $gradient->pressing()) + $body->massKg * $gradient->slowing();
    }

    /** Reduction over rolling radius, 1/m. */
    private function leverage(int $gear): float
    {
        return $this->vehicle->gearbox->reduction($gear) * 2.0 * M_PI / $this->vehicle->gearbox->circumferenceInMetres();
    }

    private function movingMass(int $gear): float
    {
        return $this->vehicle->body->massKg * (1.0 + self::WHEELS) + $this->vehicle->engine->inertiaKgM2 * $this->leverage($gear) ** 2;
    }
}
