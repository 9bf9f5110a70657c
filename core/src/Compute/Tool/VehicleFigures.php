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
            'shift_time_s' => $vehicle->shiftTime,
            'mass_kg' => $vehicle->body->massKg,
            'torque_nm' => $engine->peakTorqueNm,
            'power_kw' => $engine->peakPowerKw,
            ...($engine->isElectric ? [] : ['torque_rpm' => $engine->peakTorqueRpm, 'power_rpm' => $engine->peakPowerRpm, 'idle_rpm' => $engine->idleRpm]),
            'red_line_rpm' => $engine->redLineRpm,
            'wheelbase_m' => $vehicle->chassis->wheelbase,
            'turning_circle_m' => $vehicle->chassis->turningCircle,
            'steering_ratio' => $vehicle->chassis->steeringRatio,
            'height_m' => $vehicle->chassis->height,
        ];
    }

    /** @return list<array<string, float>> */
    public static function units(Vehicle $vehicle): array
    {
        return array_map(static fn (Unit $unit): array => [
            'wheelbase_m' => $unit->wheelbase, 'width_m' => $unit->width, 'front_overhang_m' => $unit->frontOverhang,
            'rear_overhang_m' => $unit->rearOverhang, 'hitch_offset_m' => $unit->hitchOffset,
        ], $vehicle->units());
    }
}
