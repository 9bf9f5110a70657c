<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan\Clash;

use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Plan\Chain;
use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\Fitting;
use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Rules\SignalRule;

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
        $hold = $chain->approach->surface->grip() * Acceleration::STANDARD_GRAVITY;
        $say = $chain->approach->pack->lengthUnit()->place(...);
        $name = $chain->approach->practice->signal === SignalRule::CarLengths ? 'nine car lengths' : $chain->approach->pack->numberRuleName();

        return new Conflict(
            $after ? 'signal-rule-after-brake-lights' : 'signal-rule-too-late',
            $name,
            $rule,
            $best,
            'signal-earlier',
            sprintf(
                '%s puts the signal at %s, %s. It is given at %s, %s earlier. %s',
                ucfirst($name),
                $say($rule),
                $after ? "after the brake lights at {$say($brake)}" : "less than two seconds before the brake lights at {$say($brake)}",
                $say($best),
                $say($best - $rule),
                $kept === null || $kept > $hold
                    ? 'Kept to, and seen for two seconds, it cannot be done: nothing brakes so hard here.'
                    : sprintf('Kept to, and seen for two seconds, it would take %.1f m/s² of braking%s.', $kept, match (true) {
                        $kept > ApproachPlanner::HARSH => ': harsh',
                        $kept > self::FIRM => ': firm',
                        default => ' and leaves the move to one side no time',
                    }),
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
