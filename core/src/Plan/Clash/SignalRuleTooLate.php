<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan\Clash;

use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Plan\Chain;
use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\Fitting;
use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\SignalRule;
use NobleTurn\Core\Vehicle\Handling;

/** The school's figure for the signal comes after the brake lights, or leaves them no two seconds: the heart of the product. */
final class SignalRuleTooLate implements Clash
{
    /** Above this, m/s2, the trade calls braking firm (common practice). */
    private const FIRM = 2.75;

    public function in(Fitting $fitting): ?Conflict
    {
        $chain = $fitting->chain;
        $rule = $chain->ruleMetres;
        $least = $chain->metres($chain->signalLatestSeconds());
        if ($rule === null || $rule >= $least || $this->isKeptEarlier($chain)) {
            return null;
        }
        $brake = $chain->metres($chain->brakeSeconds);
        $after = $rule <= $brake;
        $best = $chain->metres($chain->signalSeconds);
        $kept = $this->decelerationIfKept($chain, $rule);
        $hold = Handling::of($chain->approach->vehicle)->grip($chain->approach->surface) * Acceleration::STANDARD_GRAVITY;
        $say = $chain->approach->pack->lengthUnit()->place(...);
        $name = $chain->approach->practice->signal === SignalRule::CarLengths ? 'nine car lengths' : $chain->approach->pack->numberRuleName();

        return new Conflict(
            $after ? 'signal-rule-after-brake-lights' : 'signal-rule-too-late',
            $name,
            $rule,
            $best,
            'signal-earlier',
            sprintf(
                'At %s, signalling %s before%s is too late: %s. Signal at about %s. %s',
                $chain->approach->pack->speedUnit()->words(Speed::ofMetresPerSecond($chain->profile->approachMps())),
                $say($rule),
                $chain->approach->practice->signal === SignalRule::CarLengths ? ' (nine car lengths)' : '',
                $after ? 'you would be braking already' : 'nobody would have two seconds to see it before you brake',
                $say($best),
                $kept === null || $kept > $hold
                    ? 'Nothing brakes hard enough to wait for that and still be seen.'
                    : match (true) {
                        $kept > ApproachPlanner::HARSH => 'To wait for that and still be seen would take harsh braking.',
                        $kept > self::FIRM => 'To wait for that and still be seen would take firm braking.',
                        default => 'To wait for that leaves no time to move over.',
                    },
            ),
            ['decel_if_kept_mps2' => $kept === null ? null : round($kept, 2), 'brake_lights_m' => round($brake, 2)],
        );
    }

    /** Where the law only says how near the signal may be at the latest, an earlier one keeps it. */
    private function isKeptEarlier(Chain $chain): bool
    {
        return $chain->approach->practice->signal === SignalRule::LimitNumber && $chain->approach->pack->numberRuleIsLeast();
    }

    /**
     * The braking it would take to do the same routine with the signal at the rule's place: off the gas as long
     * before it as planned, seen for two seconds, and only then the brake. Null where the car would be past the
     * line by then.
     */
    private function decelerationIfKept(Chain $chain, float $rule): ?float
    {
        $coast = $chain->slowing->easingOffMps2;
        $lineSpeed = $chain->profile->lineMps();
        $seen = $chain->timing->seenLeastSeconds;
        $atSignal = max($lineSpeed, $chain->profile->approachMps() - $coast * $chain->timing->thinkSeconds);
        $atBrake = max($lineSpeed, $atSignal - $coast * $seen);
        $left = $rule - ($atSignal + $atBrake) / 2.0 * $seen - $chain->profile->crawlMetres();

        return $left < 1.0 ? null : ($atBrake ** 2 - $lineSpeed ** 2) / (2.0 * $left);
    }
}
