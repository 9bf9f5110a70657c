<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Vehicle\Chassis;

/** The outline of the car an answer is about, for drawing it to scale. */
final class CarShape
{
    /** @return array<string, float> */
    public static function of(Chassis $chassis): array
    {
        return [
            'wheelbase_m' => $chassis->wheelbaseMetres, 'width_m' => $chassis->widthMetres, 'track_m' => round($chassis->trackMetres, 3),
            'front_overhang_m' => $chassis->frontOverhangMetres, 'rear_overhang_m' => $chassis->rearOverhangMetres, 'height_m' => $chassis->heightMetres,
        ];
    }

    /** @return array<string, mixed> */
    public static function schema(): array
    {
        return Out::object([
            'wheelbase_m' => Out::number('front to rear axle'), 'width_m' => Out::number('overall'), 'track_m' => Out::number('between the wheels'),
            'front_overhang_m' => Out::number('front axle to bumper'), 'rear_overhang_m' => Out::number('rear axle to bumper'),
            'height_m' => Out::number('overall'),
        ]);
    }
}
