<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

/**
 * The latest unhurried way from one speed to another at the line: off the gas for a while, gentle brake
 * for a while, firm as long as it takes, easing, and a short stretch at the final speed.
 */
final class ApproachMotion
{
    /** The brake is let go over this long (assumed). */
    private const EASING_S = 0.8;

    /** Slower than this a car that is to stop is not let roll before it brakes, m/s (assumed: walking pace). */
    private const WALKING_PACE = 1.5;

    /**
     * @param  float  $approachSpeed  m/s
     * @param  float  $lineSpeed  m/s, at most the approach speed; 0 to stop at the line
     * @param  float  $easingOffS  seconds off the gas before the first brake light
     * @param  float  $gentleS  seconds of gentle braking before it may become firm
     * @param  float  $crawlS  seconds at the line speed before the line
     * @param  ?Halfway  $halfway  what is taken before the line; its speed is not below that of the line
     */
    public static function profile(
        float $approachSpeed,
        float $lineSpeed,
        Slowing $slowing,
        float $easingOffS,
        float $gentleS,
        float $crawlS,
        ?Halfway $halfway = null,
    ): Profile {
        if ($halfway !== null) {
            return self::inTwo($approachSpeed, $lineSpeed, $slowing, $easingOffS, $gentleS, $crawlS, $halfway);
        }
        $floor = $lineSpeed > 0.0 ? $lineSpeed : min($approachSpeed, self::WALKING_PACE);
        [$segments, $speed] = self::slowFor(Phase::EasingOff, $approachSpeed, $floor, $slowing->easingOffMps2, $easingOffS);
        [$gentle, $speed] = self::slowFor(Phase::Gentle, $speed, $floor, $slowing->gentleMps2, $gentleS);
        $settling = min($speed - $lineSpeed, $slowing->easingMps2 * self::EASING_S);
        $segments = [...$segments, ...$gentle];
        if ($speed - $lineSpeed - $settling > 1e-9) {
            $segments[] = Segment::slowing(Phase::Firm, $speed, $lineSpeed + $settling, $slowing->firmMps2);
        }
        if ($settling > 1e-9) {
            $segments[] = Segment::slowing(Phase::Easing, $lineSpeed + $settling, $lineSpeed, $slowing->easingMps2);
        }
        if ($lineSpeed > 0.0) {
            $segments[] = Segment::held(Phase::Crawl, $lineSpeed, $crawlS);
        }

        return Profile::of($segments);
    }

    /** Slow at the first place, held to where the line asks for less, and down to that as gently as the stretch between allows. */
    private static function inTwo(
        float $approachSpeed, float $lineSpeed, Slowing $slowing, float $easingOffS, float $gentleS, float $crawlS, Halfway $halfway,
    ): Profile {
        $crawlS = $lineSpeed > 0.0 ? min($crawlS, $halfway->metres / $lineSpeed) : 0.0;
        $left = max(0.01, $halfway->metres - $lineSpeed * $crawlS);
        // Never so fast there that what follows would be braked harder than the road bears.
        $mps = max($lineSpeed, min($approachSpeed, $halfway->mps, sqrt($lineSpeed ** 2 + 2.0 * $slowing->firmMps2 * $left)));
        $needed = ($mps ** 2 - $lineSpeed ** 2) / (2.0 * $left);
        $last = $mps - $lineSpeed < 1e-9 ? [] : [Segment::slowing(Phase::Gentle, $mps, $lineSpeed, max($slowing->gentleMps2, $needed))];
        $held = $left - ($last === [] ? 0.0 : $last[0]->metres);
        $first = self::profile($approachSpeed, $mps, $slowing, $easingOffS, $gentleS, $halfway->secondsBefore + max(0.0, $held) / $mps);

        return Profile::of([...$first->segments, ...$last, ...($crawlS > 0.0 ? [Segment::held(Phase::Crawl, $lineSpeed, $crawlS)] : [])]);
    }

    /** @return array{non-empty-list<Segment>, float} the stretch, and the speed at its end */
    private static function slowFor(Phase $phase, float $speed, float $floor, float $deceleration, float $seconds): array
    {
        if ($deceleration <= 0.0) {
            return [[Segment::held($phase, $speed, $seconds)], $speed];
        }
        $reached = max($floor, $speed - $deceleration * $seconds);
        if ($speed - $reached < 1e-9) {
            return [[Segment::held(Phase::Holding, $speed, $seconds)], $speed];
        }
        $slowing = Segment::slowing($phase, $speed, $reached, $deceleration);
        $rest = $seconds - $slowing->seconds;

        return [$rest > 1e-9 ? [$slowing, Segment::held(Phase::Holding, $reached, $rest)] : [$slowing], $reached];
    }
}
