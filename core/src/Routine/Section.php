<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

/** Where in the catalogue a routine stands: by the kind of place, as it is looked for. */
enum Section: string
{
    case Between = 'between';
    case MovingOff = 'moving-off';
    case Turning = 'turning';
    case Emerging = 'emerging';
    case Lights = 'lights';
    case Roundabouts = 'roundabouts';
    case Lanes = 'lanes';
    case FastRoads = 'fast-roads';
    case Passing = 'passing';
    case Overtaking = 'overtaking';
    case Control = 'control';
    case LongVehicles = 'long-vehicles';
    case LocalRules = 'local-rules';
    case Around = 'around';

    /** Whether its routines are mostly met without being planned (common practice, no source). */
    public function isMetUnplanned(): bool
    {
        return $this === self::Passing;
    }

    /** Whether its routines all want a place of their kind; see the routine. */
    public function needsAPlace(): bool
    {
        return ! in_array($this, [self::Between, self::MovingOff, self::Passing, self::Control, self::LongVehicles, self::Around], true);
    }

    public function title(): string
    {
        return match ($this) {
            self::Between => 'Between hazards',
            self::MovingOff => 'Moving off, stopping, reversing',
            self::Turning => 'Off a main road',
            self::Emerging => 'Out of a side road',
            self::Lights => 'Traffic lights',
            self::Roundabouts => 'Roundabouts',
            self::Lanes => 'Lanes',
            self::FastRoads => 'Fast roads',
            self::Passing => 'Passing things',
            self::Overtaking => '{Overtaking}',
            self::Control => 'Control of the car',
            self::LongVehicles => 'Long vehicles',
            self::LocalRules => 'Rules of the place',
            self::Around => 'Before driving, and being directed',
        };
    }
}
