<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\FastRoad\OvertakePlan;
use NobleTurn\Core\FastRoad\Overtaking;
use NobleTurn\Core\FastRoad\PassingSight;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Vehicle\Performance;

/** An overtaking as the arrays of the tool's answer. */
final class OvertakePresenter
{
    private const STEP_S = 0.25;

    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        $column = static fn (string $about, string $type = 'number'): array => Out::list(['type' => $type], $about);

        return [
            'verdict' => ['enum' => ['go', 'marginal', 'drop-back', 'unknown'], 'description' => 'unknown where the sight was not given'],
            'message' => Out::text('sentence for the user'),
            'time_s' => Out::number('out and back in; null where it is never done', nullable: true),
            'distance_m' => Out::number('our way meanwhile', nullable: true),
            'other_speed_mps' => Out::number('of the vehicle passed'),
            'relative_m' => Out::number('to be gained on the other'),
            'sight_needed_m' => Out::number(
                'our way, the oncoming vehicle’s, and a margin; with the routine before it where we have just turned in', nullable: true,
            ),
            'sight_m' => Out::number('what is seen, as given or past what hides the road, the less of both; null where neither was said', nullable: true),
            'sight_published_m' => Out::number('passing sight distance of road design at the limit'),
            'difference' => Out::text('why the two differ'),
            'gear' => Out::integer('taken'),
            'speed_at_end_mps' => Out::number('on return', nullable: true),
            'rpm_at_end' => Out::number('on return', nullable: true),
            'over_rev' => Out::flag('whether the red line is reached in the gear held'),
            'point_of_no_return_s' => Out::number('from leaving the lane; before it, giving up is sooner done than going on', nullable: true),
            'steps' => Out::list(
                Out::object(['time_s' => Out::number('negative: before leaving the lane'), 'step' => Out::text('which'), 'text' => Out::text('in words')]),
                'in their order',
            ),
            'signals' => Out::list(Out::object([
                'at_s' => Out::number('from leaving the lane; negative before it'), 'side' => Out::choice(Side::class),
                'message' => Out::text('what it is for'),
            ]), 'each after its mirrors'),
            'follow_m' => Out::number('behind it while waiting for a chance'), 'position_m' => Out::number('behind it when the accelerator goes down'),
            'profile' => Out::object([
                'time_s' => $column('from leaving the lane'), 'ours_m' => $column('our front'),
                'other_m' => $column('its front, from where ours was'), 'speed_mps' => $column('ours'), 'gear' => $column('ours', 'integer'),
                'rpm' => $column('ours'),
            ]),
            'our_length_m' => Out::number('of our vehicle'), 'other_length_m' => Out::number('of the other'),
        ];
    }

    /**
     * @param  float  $follow  behind it while waiting for a chance, m
     * @return array<string, mixed>
     */
    public static function body(OvertakePlan $plan, RulePack $pack, float $follow): array
    {
        $over = $plan->overtaking;
        $end = $over->seconds;
        $finite = static fn (?float $value, int $digits): ?float => $value === null || is_infinite($value) ? null : round($value, $digits);

        return [
            'verdict' => $plan->verdict,
            'message' => self::message($plan, $pack),
            'time_s' => $finite($end, 2),
            'distance_m' => $end === null ? null : round($over->metres(), 1),
            'other_speed_mps' => round($over->otherMps, 3),
            'relative_m' => round($over->relativeMetres(), 1),
            'sight_needed_m' => $finite($plan->sightNeededMetres, 1),
            'sight_m' => $plan->sightMetres === null ? null : round($plan->sightMetres, 1),
            'sight_published_m' => round(PassingSight::metres($over->limitMps), 0),
            'difference' => Wording::in($pack, PassingSight::WHY),
            'gear' => $over->gear,
            'speed_at_end_mps' => $end === null ? null : round($over->run->mpsAt($end), 2),
            'rpm_at_end' => $finite($plan->rpmAtEnd(), 0),
            'over_rev' => $plan->overRevs(),
            'point_of_no_return_s' => $finite($over->pointOfNoReturnSeconds(), 2),
            'steps' => array_map(
                static fn (array $step): array => ['time_s' => round($step['seconds'], 1), 'step' => $step['step'], 'text' => $step['text']],
                $plan->steps(),
            ),
            'signals' => array_map(
                static fn (array $signal): array => ['at_s' => round($signal['seconds'], 1), 'side' => $signal['side']->value, 'message' => $signal['text']],
                $plan->signals(),
            ),
            'follow_m' => round($follow, 1), 'position_m' => round($over->behindMetres(), 1),
            'profile' => self::profile($over),
            'our_length_m' => $over->vehicle->length->inMetres(), 'other_length_m' => $over->otherLengthMetres,
        ];
    }

    private static function message(OvertakePlan $plan, RulePack $pack): string
    {
        $over = $plan->overtaking;
        $verdict = $plan->verdict;
        $needed = $plan->sightNeededMetres;
        $far = $pack->lengthUnit()->place($needed === null || is_infinite($needed) ? 0.0 : $needed);
        $seen = $pack->lengthUnit()->place($plan->sightMetres ?? 0.0);

        return match (true) {
            $plan->isOnIce() => 'On ice: no. Stay behind, far behind: a right decision and marked as one.',
            $over->seconds === null => 'Never done: the car gains nothing on them here. Drop back: a right decision.',
            $verdict === 'go' && $needed === null => sprintf('%.1f s out and back in, with nobody coming the other way.', $over->seconds),
            $verdict === 'unknown' => sprintf('%.1f s and %s of clear road are needed.', $over->seconds, $far),
            $verdict === 'go' => "{$far} are needed, {$seen} seen: go, if it is needed and lawful.",
            $verdict === 'marginal' => "{$far} are needed, {$seen} seen: hardly any left. Wait for a better one.",
            default => "{$far} are needed, only {$seen} seen: drop back. That is a right decision and marked as one.",
        };
    }

    /** @return array<string, list<float|int>> */
    private static function profile(Overtaking $over): array
    {
        $columns = ['time_s' => [], 'ours_m' => [], 'other_m' => [], 'speed_mps' => [], 'gear' => [], 'rpm' => []];
        $start = $over->behindMetres() + $over->otherLengthMetres;
        $last = ($over->seconds ?? 10.0) + 1.0;
        $performance = new Performance($over->vehicle);
        for ($t = 0.0; $t <= $last; $t += self::STEP_S) {
            $speed = $over->run->mpsAt($t);
            $gear = $over->run->gearAt($t);
            $columns['time_s'][] = round($t, 2);
            $columns['ours_m'][] = round($over->run->metresAt($t), 2);
            $columns['other_m'][] = round($start + $over->otherMps * $t, 2);
            $columns['speed_mps'][] = round($speed, 3);
            $columns['gear'][] = $gear;
            $columns['rpm'][] = round($performance->rpm(Speed::ofMetresPerSecond($speed), $gear));
        }

        return $columns;
    }
}
