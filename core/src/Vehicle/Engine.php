<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Fault\BadInput;

/**
 * An engine or motor by the four figures a data sheet prints: peak torque and peak power with their speeds. Between
 * idle, torque peak, power peak and red line the torque runs in straight lines; the shares at the ends are assumed.
 */
final readonly class Engine
{
    /** Share of the peak torque at idling speed, and of the power peak's torque at the red line (assumed). */
    private const TORQUE_AT_IDLE = 0.6;

    private const TORQUE_AT_RED_LINE = 0.8;

    /** Drag of the closed throttle as a share of the peak torque, at idle and at the red line (assumed). */
    private const DRAG_AT_IDLE = 0.14;

    private const DRAG_AT_RED_LINE = 0.28;

    private function __construct(
        public float $peakTorqueNm,
        public float $peakTorqueRpm,
        public float $peakPowerKw,
        public float $peakPowerRpm,
        public float $idleRpm,
        public float $redLineRpm,
        /** Of everything that turns with the crankshaft, kg m2 (assumed). */
        public float $inertiaKgM2,
        public bool $isElectric,
    ) {
    }

    /**
     * @param  float  $inertia  kg m2
     *
     * @throws BadInput where the speeds are out of order, or the torque at the power peak would exceed the peak torque
     */
    public static function combustion(
        float $torqueNm, float $torqueRpm, float $powerKw, float $powerRpm, float $idleRpm, float $redLineRpm, float $inertia,
    ): self {
        if (! ($idleRpm < $torqueRpm && $torqueRpm < $powerRpm && $powerRpm <= $redLineRpm)) {
            throw BadInput::field('power_rpm', 'must lie above the speed of the torque peak, and both between idle and red line.');
        }
        if (self::torqueOf($powerKw, $powerRpm) > $torqueNm) {
            throw BadInput::field('power_kw', 'needs more torque than the peak torque given.');
        }

        return new self($torqueNm, $torqueRpm, $powerKw, $powerRpm, $idleRpm, $redLineRpm, $inertia, false);
    }

    /** A motor: full torque from rest, then full power. */
    public static function electric(float $torqueNm, float $powerKw, float $redLineRpm, float $inertia): self
    {
        $base = $powerKw * 1000.0 / $torqueNm * 60.0 / (2.0 * M_PI);

        return new self($torqueNm, $base, $powerKw, $base, 0.0, $redLineRpm, $inertia, true);
    }

    /** Full-throttle torque at the crankshaft, Nm; 0 above the red line and, with a clutch to slip, idle's below idle. */
    public function newtonMetresAt(float $rpm): float
    {
        if ($rpm > $this->redLineRpm) {
            return 0.0;
        }
        if ($this->isElectric) {
            return $rpm <= $this->peakTorqueRpm ? $this->peakTorqueNm : self::torqueOf($this->peakPowerKw, $rpm);
        }
        $atPower = self::torqueOf($this->peakPowerKw, $this->peakPowerRpm);

        return self::along([
            [$this->idleRpm, self::TORQUE_AT_IDLE * $this->peakTorqueNm],
            [$this->peakTorqueRpm, $this->peakTorqueNm],
            [$this->peakPowerRpm, $atPower],
            [$this->redLineRpm, $this->redLineRpm > $this->peakPowerRpm ? self::TORQUE_AT_RED_LINE * $atPower : $atPower],
        ], $rpm);
    }

    /** Torque with which the released gas slows the crankshaft, Nm. */
    public function dragNewtonMetresAt(float $rpm): float
    {
        return $this->peakTorqueNm * self::along([[$this->idleRpm, self::DRAG_AT_IDLE], [$this->redLineRpm, self::DRAG_AT_RED_LINE]], $rpm);
    }

    private static function torqueOf(float $powerKw, float $rpm): float
    {
        return $powerKw * 1000.0 * 60.0 / (2.0 * M_PI * $rpm);
    }

    /** @param  non-empty-list<array{float, float}>  $points in ascending order; held beyond both ends */
    private static function along(array $points, float $x): float
    {
        $last = $points[0];
        foreach ($points as $point) {
            if ($x <= $point[0]) {
                return $point[0] - $last[0] <= 0.0 ? $point[1] : $last[1] + ($point[1] - $last[1]) * max(0.0, $x - $last[0]) / ($point[0] - $last[0]);
            }
            $last = $point;
        }

        return $last[1];
    }
}
