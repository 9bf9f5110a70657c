<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Routine\Target;
use NobleTurn\Core\Trade\Step;

/** Lays a window around each step of a chain. */
final class Windows
{
    /** The upper end of what the trade calls firm, m/s2 on a dry road (common practice: 3 to 3.5). */
    private const FIRMEST = 3.25;

    public static function for(Chain $chain, Step $step): Window
    {
        return match ($step) {
            Step::Mirrors => self::mirrors($chain),
            Step::Signal => self::signal($chain),
            Step::Position => self::position($chain),
            Step::Speed => self::speed($chain),
            Step::Look => self::look($chain),
        };
    }

    private static function mirrors(Chain $chain): Window
    {
        $take = $chain->timing->mirrorsSeconds;
        $room = $chain->approach->room?->inMetres();
        $earliest = $chain->metres($chain->signalSeconds + max($chain->timing->staleSeconds, $chain->timing->thinkSeconds) + $take);

        return Window::around(
            best: $chain->metres($chain->mirrorsStartSeconds()),
            earliest: $room === null ? $earliest : min($room, $earliest),
            latest: $chain->metres($chain->signalSeconds + $chain->timing->thinkLeastSeconds + $take),
            end: $chain->metres($chain->mirrorsEndSeconds()),
        );
    }

    private static function signal(Chain $chain): Window
    {
        $earliest = $chain->metres($chain->mirrorsEndSeconds() - $chain->timing->thinkLeastSeconds);
        $opening = Chain::lastOpening($chain->approach);

        return Window::around(
            best: $chain->metres($chain->signalSeconds),
            earliest: $opening === null ? $earliest : min($earliest, $opening->nearMetres),
            latest: $chain->metres($chain->signalLatestSeconds()),
            end: 0.0,
        );
    }

    /** After the signal has been seen, after parked cars, and done before firm braking. */
    private static function position(Chain $chain): Window
    {
        $earliest = $chain->metres($chain->signalSeconds - $chain->timing->seenLeastSeconds);
        $clear = $chain->clearOfParkedMetres();

        return Window::around(
            best: $chain->metres($chain->positionSeconds),
            earliest: $clear === null ? $earliest : min($earliest, $clear),
            latest: $chain->metres($chain->firmSeconds + $chain->timing->driftSeconds),
            end: $chain->metres($chain->positionSeconds - $chain->timing->driftSeconds),
        );
    }

    private static function speed(Chain $chain): Window
    {
        return Window::around(
            best: $chain->metres($chain->brakeSeconds),
            earliest: $chain->metres($chain->signalSeconds - $chain->timing->seenLeastSeconds),
            latest: self::latestBrake($chain),
            end: $chain->profile->metresWhereSpeedFallsTo($chain->profile->crawlMps() + 1e-6),
        );
    }

    /** From where the view opens; the last place leaves time for both ways and a decision, or the line where we stop. */
    private static function look(Chain $chain): Window
    {
        $stops = $chain->lineSpeed->metresPerSecond <= 0.0;
        if ($chain->creep !== null) {
            // What the creep does not give is looked before it: along the pavement, and whatever already shows.
            $best = $chain->metres(max(0.0, $chain->timing->lookAndDecideSeconds - $chain->creep->seconds));

            return Window::past($best, $chain->metres($chain->brakeSeconds), -$chain->creep->metres);
        }

        if ($chain->approach->demand->target === Target::FarKerb && $chain->halfway !== null) {
            // Before it goes across, and on until it has.
            return Window::around($chain->profile->crawlMetres(), $chain->metres($chain->brakeSeconds), $chain->halfway->metres, 0.0);
        }

        return Window::around(
            best: min($chain->approach->viewFromMetres, $chain->metres($chain->brakeSeconds)),
            earliest: $chain->approach->viewFromMetres,
            latest: $stops ? 0.0 : $chain->metres($chain->timing->lookAndDecideSeconds),
            end: 0.0,
        );
    }

    /**
     * The last place for the brake: off the gas up to there, gentle until the sideways move is done,
     * then firm at the upper end of what the surface allows without being harsh.
     */
    private static function latestBrake(Chain $chain): float
    {
        $slowing = $chain->slowing;
        $firmest = max($slowing->firmMps2, self::FIRMEST * $chain->approach->surface->shareOfComfort());
        $driftDone = $chain->metres($chain->positionSeconds - $chain->timing->driftSeconds);
        $end = $chain->profile->crawlMetres();
        $best = $chain->metres($chain->brakeSeconds);
        // Half of the squares of the speeds: what each metre of deceleration takes off.
        $toShed = ($chain->profile->mpsAt($best) ** 2 - $chain->profile->crawlMps() ** 2) / 2.0;
        [$easing, $gentlest] = [$slowing->easingOffMps2, $slowing->gentleMps2];
        // Until the brakes answer it goes on as it came.
        $lag = $chain->timing->brakeLagSeconds * $chain->profile->mpsAt($best);
        $sheds = static function (float $pedal) use ($easing, $gentlest, $firmest, $driftDone, $end, $best, $lag): float {
            $brake = $pedal - $lag;
            $gentle = max(0.0, $brake - max($driftDone, $end));
            $firm = max(0.0, min($brake, $driftDone) - $end);

            return $easing * ($best - $brake) + $gentlest * $gentle + $firmest * $firm;
        };
        // Between these places it falls evenly, the later the pedal.
        [$early, $shed, $last] = [$best, $sheds($best), min($best, $end)];
        foreach ([max($driftDone, $end) + $lag, $end + $lag, $last] as $place) {
            $late = max($last, min($early, $place));
            $left = $sheds($late);
            if ($left < $toShed) {
                return $shed <= $toShed ? $early : $early - ($early - $late) * ($shed - $toShed) / ($shed - $left);
            }
            [$early, $shed] = [$late, $left];
        }

        return $early;
    }
}
