<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Side;

/** Going backwards as it is taught: what holds the pace, and the looks before it. */
final readonly class ReversePlan
{
    /** Flatter than this the hill neither drives nor holds the car (assumed), rise over run. */
    private const LEVEL = 0.01;

    public function __construct(private RulePack $pack, private Vehicle $vehicle, private ReversingExercise $exercise, private Gradient $gradient)
    {
    }

    /** The gradient is that of the way ahead: going back, a road that rises ahead falls. */
    public function control(): string
    {
        if ($this->exercise->goesForwards()) {
            return $this->forwards();
        }
        $rise = -$this->gradient->inRiseOverRun();
        $clutch = $this->vehicle->hasClutch();

        return match (true) {
            $rise < -self::LEVEL && $clutch => 'Downhill backwards: clutch down, reverse selected so that its lamp warns, the foot brake alone sets the pace.',
            $rise < -self::LEVEL => 'Downhill backwards: the foot brake alone sets the pace.',
            $rise > self::LEVEL && $clutch => 'Uphill backwards: biting point with a little {accelerator}, the clutch sets the pace.',
            $rise > self::LEVEL => 'Uphill backwards: a little {accelerator}, the foot ready for the brake.',
            $clutch => 'On the level: the clutch about the biting point sets the pace, brake to steady.',
            default => 'On the level: the brake sets the pace against the creep.',
        };
    }

    private function forwards(): string
    {
        $rise = $this->gradient->inRiseOverRun();
        $clutch = $this->vehicle->hasClutch();

        return match (true) {
            $rise < -self::LEVEL => 'Downhill: the foot brake alone sets the pace'.($clutch ? ', the clutch down for the last metres.' : '.'),
            $rise > self::LEVEL && $clutch => 'Uphill: biting point with a little {accelerator}, the clutch sets the pace.',
            $rise > self::LEVEL => 'Uphill: a little {accelerator}, the foot ready for the brake.',
            $clutch => 'On the level: first, the clutch about the biting point sets the pace, brake to steady.',
            default => 'On the level: the brake sets the pace against the creep.',
        };
    }

    /** @return non-empty-list<string> from ahead round by the road side to the rear window; forwards what the car moves to (common practice) */
    public function looks(): array
    {
        $kerb = $this->kerb()->value;
        $road = $this->kerb()->other()->value;
        if ($this->exercise->goesForwards()) {
            return ['interior', "{$kerb}-mirror", 'ahead', "{$kerb}-shoulder", 'ahead'];
        }

        return ['ahead', "{$kerb}-shoulder", "{$kerb}-mirror", 'interior', "{$road}-mirror", "{$road}-shoulder", 'rear'];
    }

    /** The side the kerb is on: the far one after pulling up across the road. */
    private function kerb(): Side
    {
        $ours = $this->pack->keeps();

        return $this->exercise === ReversingExercise::AlongTheFarKerb ? $ours->other() : $ours;
    }
}
