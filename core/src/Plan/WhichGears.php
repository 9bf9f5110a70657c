<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Place\Light;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\GearHabit;
use NobleTurn\Core\Rules\LineGear;
use NobleTurn\Core\Rules\MiniGear;
use NobleTurn\Core\Rules\Practices;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Vehicle\Gearbox;
use NobleTurn\Core\Vehicle\Handling;
use NobleTurn\Core\Vehicle\Vehicle;

/** Which gears an approach asks for: the one it is driven in, and those taken on the way to the line. When is for `Gears`. */
final class WhichGears
{
    /** The engine turns at least this fast on the way to the junction, rpm (assumed). */
    private const CRUISE_RPM = 1750.0;

    /** ... and at least this fast where it pulls out of the turn (assumed). */
    private const TURN_RPM = 1000.0;

    /** A clutch held down above this speed for longer than a change takes is coasting (common practice). */
    private const COASTING_MPH = 10.0;

    /** A circle driven on a smaller radius than this is tight, m (assumed). */
    private const TIGHT_CIRCLE_M = 8.0;

    /**
     * The gears taken on the move, in their order.
     *
     * @return list<int>
     */
    public static function through(Chain $chain, Gearbox $box, int $gear, bool $stops): array
    {
        $approach = $chain->approach;
        $habit = Practices::question('gear_at_line')->concerns($approach->routine) ? $approach->practice->lineGear : null;
        $block = $approach->practice->gears === GearHabit::Block;
        $lowest = match (true) {
            ! $stops && self::takesFirstRound($chain, $box) => 1,
            // A view that opens beyond the line is as good as closed: first, before the creep.
            ! $stops => ($habit === LineGear::OnTheMove || ($habit === LineGear::SecondThenFirst && $chain->creep !== null))
                && $chain->lineSpeed->metresPerSecond <= LineSpeed::CRAWL + 1e-6 ? 1 : self::gearAtLine($chain, $box),
            $habit === LineGear::OnTheMove => 1,
            // Slow before the line already: the gear for that.
            $chain->halfway !== null => max(2, $box->highestGearAbove(
                $approach->vehicle->turning(self::TURN_RPM), Speed::ofMetresPerSecond($chain->profile->crawlMps()),
            )),
            self::rollsUpToRed($approach) && $approach->practice->readyForGreen, $habit === LineGear::SecondThenFirst,
            ! $block && ! self::rollsUpToRed($approach) => 2,
            // No change before the stop, unless the clutch would have to be down while the car is fast.
            default => self::coastsFrom($chain, $box, $gear) ? 2 : $gear,
        };
        if ($lowest >= $gear) {
            return [];
        }
        $target = max(2, $lowest);

        return [
            ...($gear <= $target ? [] : ($block ? [$target] : range($gear - 1, $target))),
            ...($lowest === 1 && $gear >= 2 ? [1] : []),
        ];
    }

    /** A mini-roundabout that asks for first: tight, or slower than second turns freely. */
    private static function takesFirstRound(Chain $chain, Gearbox $box): bool
    {
        $approach = $chain->approach;
        if ($approach->routine !== RoutineCode::MiniRoundabout || $chain->lineSpeed->metresPerSecond > LineSpeed::CRAWL + 1e-6) {
            return false;
        }
        $radius = $approach->turnRadius->inMetres();

        return match ($approach->practice->miniGear) {
            MiniGear::Second => false,
            MiniGear::FirstWhereTight => $radius < self::TIGHT_CIRCLE_M,
            MiniGear::BySpeed => sqrt(Handling::of($approach->vehicle)->sidewaysMps2 * $radius) < Gears::FREELY * $approach->vehicle->idlesAt(2),
        };
    }

    /** Up to a red that may change before we are there. */
    public static function rollsUpToRed(Approach $approach): bool
    {
        return $approach->light === Light::Red && Practices::question('red')->concerns($approach->routine);
    }

    /** Whether the clutch, down before the engine labours, would be down for too long while the car is still fast. */
    private static function coastsFrom(Chain $chain, Gearbox $box, int $gear): bool
    {
        $down = $chain->secondsWhereSlowerThan(Gears::ABOVE_IDLE * $chain->approach->vehicle->idlesAt($gear));

        return $down - $chain->secondsWhereSlowerThan(Speed::ofMilesPerHour(self::COASTING_MPH)->inMetresPerSecond()) > $chain->timing->gearChangeSeconds;
    }

    /** What turns freely at this speed; second is driven lower than the others, first only below what second can do. */
    public static function before(Vehicle $vehicle, Speed $speed): int
    {
        return max(
            $vehicle->gearbox->highestGearAbove($vehicle->turning(self::CRUISE_RPM), $speed),
            min(2, $vehicle->gearbox->highestGearAbove($vehicle->turning(self::TURN_RPM), $speed)),
        );
    }

    /** Second as a rule for emerging, below its idling speed with the clutch slipping; for a turn, what still pulls. */
    private static function gearAtLine(Chain $chain, Gearbox $box): int
    {
        $speed = Speed::ofMetresPerSecond($chain->lineSpeed->metresPerSecond);
        $pulling = $box->highestGearAbove($chain->approach->vehicle->turning(self::TURN_RPM), $speed);

        return max(2, $pulling);
    }
}
