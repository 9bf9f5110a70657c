<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Vehicle\Unit;
use NobleTurn\Core\Vehicle\Vehicle;

/** A vehicle as the fields of `vehicle` and `units` that would describe it. */
final class VehicleFigures
{
    /** @return array<string, mixed> */
    public static function of(Vehicle $vehicle): array
    {
        $engine = $vehicle->engine;

        return [
            'tyre' => $vehicle->gearbox->tyre->marking,
            'final_drive' => $vehicle->gearbox->finalDrive,
            'ratios' => $vehicle->gearbox->ratios,
            'shift_time_s' => $vehicle->shiftSeconds,
            'mass_kg' => $vehicle->body->massKg,
            'torque_nm' => $engine->peakTorqueNm,
            'power_kw' => $engine->peakPowerKw,
            ...($engine->isElectric ? [] : ['torque_rpm' => $engine->peakTorqueRpm, 'power_rpm' => $engine->peakPowerRpm, 'idle_rpm' => $engine->idleRpm]),
            'red_line_rpm' => $engine->redLineRpm,
            'wheelbase_m' => $vehicle->chassis->wheelbaseMetres,
            'turning_circle_m' => $vehicle->chassis->turningCircleMetres,
            'steering_ratio' => $vehicle->chassis->steeringRatio,
            'height_m' => $vehicle->chassis->heightMetres,
        ];
    }

    /** @return list<array<string, float>> */
    public static function units(Vehicle $vehicle): array
    {
        return array_map(static fn (Unit $unit): array => [
            'wheelbase_m' => $unit->wheelbaseMetres, 'width_m' => $unit->widthMetres, 'front_overhang_m' => $unit->frontOverhangMetres,
            'rear_overhang_m' => $unit->rearOverhangMetres, 'hitch_offset_m' => $unit->hitchOffsetMetres,
        ], $vehicle->units());
    }
}
