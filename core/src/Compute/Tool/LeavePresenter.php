<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\FastRoad\LeaveEvent;
use NobleTurn\Core\FastRoad\LeaveEventKind;
use NobleTurn\Core\FastRoad\LeavePlan;
use NobleTurn\Core\Judgement\Braking;

/** The way off a fast road as the arrays of the tool's answer. */
final class LeavePresenter
{
    private const STEP_M = 5.0;

    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        $column = static fn (string $about): array => Out::list(['type' => 'number'], $about);

        return [
            'events' => Out::list(Out::object([
                'kind' => ['enum' => array_column(LeaveEventKind::cases(), 'value')],
                'at_m' => Out::number('metres to the beginning of the slip road, negative on it'),
                'time_s' => Out::number('seconds to it, negative on it'),
                'speed_mps' => Out::number('there'), 'text' => Out::text('in words'),
                'side' => ['type' => ['string', 'null'], 'enum' => ['left', 'right', null]], 'gear' => Out::integer('taken there', nullable: true),
            ]), 'in the order in which they come'),
            'decel_mps2' => Out::number('mean over the hardest stretch'),
            'peak_decel_mps2' => Out::number('its hardest moment'),
            'braking' => Out::choice(Braking::class, 'how that feels'),
            'late_half_decel_mps2' => Out::number('what it would be with the brake left to the second half'),
            'shed_before_mps' => Out::number('how much would have to go on the main road for the brake to stay firm; 0 where it does'),
            'brake_from_m' => Out::number('metres to the beginning of the slip road, negative on it'),
            'bend_speed_mps' => Out::number('before the bend', nullable: true),
            'slip_lane' => Out::integer('lane of the slip road to take, from 1 at the nearside'),
            'slip_lane_reason' => Out::text('why'),
            'verdict' => ['enum' => ['even', 'firm', 'harsh'], 'description' => 'one even brake, a firm one from the beginning, or more than should be asked'],
            'message' => Out::text('what the brake comes to'),
            'fits' => Out::flag('whether it needs no harsh brake'),
            'profile' => Out::object([
                'distance_m' => $column('metres to the beginning of the slip road'), 'time_s' => $column('seconds to it'),
                'speed_mps' => $column('speed'), 'decel_mps2' => $column('deceleration'),
            ]),
        ];
    }

    /**
     * @param  list<LeaveEvent>  $events  in the order in which they are met
     * @return array<string, mixed>
     */
    public static function body(LeavePlan $plan, array $events): array
    {
        $leaving = $plan->leaving;
        [$lane, $reason] = $plan->lane();
        $verdict = $leaving->braking();

        return [
            'events' => array_map(static fn (LeaveEvent $event): array => self::row($event, $plan), $events),
            'decel_mps2' => round($leaving->meanMps2(), 3),
            'peak_decel_mps2' => round($leaving->peakMps2(), 3),
            'braking' => Braking::feltAt($leaving->peakMps2())->value,
            'late_half_decel_mps2' => round($leaving->lateHalfMps2(), 3),
            'shed_before_mps' => round($leaving->shedBeforeMps(), 2),
            'brake_from_m' => round(-($leaving->stages[0]['from'] ?? $leaving->lengthMetres), 1),
            'bend_speed_mps' => $leaving->bendMps() === null ? null : round($leaving->bendMps(), 2),
            'slip_lane' => $lane,
            'slip_lane_reason' => $reason,
            'verdict' => $verdict,
            'message' => $plan->message(),
            'fits' => $verdict !== 'harsh',
            'profile' => self::profile($plan),
        ];
    }

    /** @return array<string, mixed> */
    private static function row(LeaveEvent $event, LeavePlan $plan): array
    {
        return [
            'kind' => $event->kind->value, 'at_m' => round(-$event->placeMetres, 1) + 0.0, 'time_s' => round($plan->secondsTo($event->placeMetres), 1) + 0.0,
            'speed_mps' => round($plan->leaving->mpsAt($event->placeMetres), 2), 'text' => $event->text, 'side' => $event->side?->value,
            'gear' => $event->gear,
        ];
    }

    /** @return array<string, list<float>> */
    private static function profile(LeavePlan $plan): array
    {
        $leaving = $plan->leaving;
        $columns = ['distance_m' => [], 'time_s' => [], 'speed_mps' => [], 'decel_mps2' => []];
        $last = $leaving->lengthMetres;
        for ($place = -400.0; $place < $last + self::STEP_M; $place += self::STEP_M) {
            $at = min($last, $place);
            $columns['distance_m'][] = round(-$at, 2);
            $columns['time_s'][] = round($plan->secondsTo($at), 3);
            $columns['speed_mps'][] = round($leaving->mpsAt($at), 3);
            $columns['decel_mps2'][] = round($leaving->mps2At($at), 3);
        }

        return $columns;
    }
}
