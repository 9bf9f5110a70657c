<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\Glance;
use NobleTurn\Core\FastRoad\Intention;
use NobleTurn\Core\FastRoad\Joining;
use NobleTurn\Core\FastRoad\JoinPlan;
use NobleTurn\Core\FastRoad\Neighbour;
use NobleTurn\Core\FastRoad\Room;
use NobleTurn\Core\FastRoad\WayIn;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;

/** A joining as the arrays of the tool's answer. */
final class JoinPresenter
{
    /** Between slip and main road where nothing is said, degrees (assumed). */
    public const ANGLE = 4.0;

    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        $metres = static fn (string $about): array => Out::number("{$about}, metres to the end of the lane");
        $column = static fn (string $about, string $type = 'number'): array => Out::list(['type' => $type], $about);

        return [
            'feasible' => Out::flag('whether there is a way to join without stopping'),
            'accel_needed_mps2' => Out::number('mean over the length that counts, to the main road’s speed'),
            'accel_available_mps2' => Out::number('mean over the same length with the accelerator right down'),
            'counts_m' => Out::number('the length that counts, from the limit sign to where we join'),
            'speed_at_end_mps' => Out::number('where we join'),
            'message' => Out::text('what the driver does, as it is said'),
            'speed_short_mps' => Out::number('below the traffic there; 0 where it is reached'),
            'fault_of_slip' => ['type' => ['string', 'null'], 'description' => 'why no way in is good, and the way out'],
            'hold_back_m' => Out::number('behind the car ahead on the slip, before one begins; 0 where there is room'),
            'gear' => Out::integer('on the slip'),
            'view_from_m' => $metres('the main road can be looked into'), 'choose_from_m' => $metres('the choice begins'),
            'join_at_m' => $metres('we join'), 'solid_until_m' => $metres('the solid line ends'), 'limit_sign_m' => $metres('the limit is lifted'),
            'options' => Out::list(Out::object([
                'vehicle' => ['type' => ['string', 'null'], 'description' => 'whom it is about; null on a free road'],
                'where' => ['enum' => ['ahead', 'behind', 'free']], 'accel_mps2' => Out::number('from the choice on; negative: easing off'),
                'then_mps2' => Out::number('after it; null where it stays so', nullable: true),
                'then_from_m' => Out::number('where that begins, metres to the end of the lane', nullable: true),
                'speed_mps' => Out::number('where we join'), 'time_s' => Out::number('from the choice'),
                'gap_s' => Out::number('between bodies where we join; null where we do not come to that side', nullable: true),
                'spare_m' => Out::number('room in hand to whoever has least; null where we do not come to that side', nullable: true),
                'short_mps' => Out::number('below the traffic where we join'),
                'effort_mps2' => Out::number('how far from simply reaching the main road’s speed'),
                'behind_of' => ['type' => ['string', 'null'], 'description' => 'the nearest ahead of us where we join'],
                'ahead_of' => ['type' => ['string', 'null'], 'description' => 'the nearest behind us there'],
                'feasible' => Out::flag('room on both sides'), 'latest_m' => Out::number('the last place at which it can still be chosen', nullable: true),
            ])),
            'best' => Out::integer('which of the options; null where none fits', nullable: true),
            'decide_by_m' => Out::number('after it the first of the ways worth choosing closes, metres to the end; null where none is open', nullable: true),
            'glances' => Out::list(
                Out::object([
                    'at_m' => $metres('where'), 'time_s' => Out::number('from the beginning of the slip'), 'at' => Out::text('mirror or shoulder'),
                    'covers_m' => Out::number('driven meanwhile'), 'why' => Out::text('what it is for'),
                ]),
            ),
            'signal_m' => $metres('the new signal'),
            'stop_from_m' => Out::number('last resort only: where braking to a stop must begin, metres to the end'),
            'profile' => Out::object([
                'time_s' => $column('from the beginning of the slip'), 'distance_m' => $column('metres to the end of the lane'),
                'speed_mps' => $column('ours'), 'gear' => $column('ours', 'integer'),
            ]),
            'others' => Out::list(
                Out::object([
                    'name' => Out::text('which'), 'length_m' => Out::number('its length'),
                    'distance_m' => $column('its front, metres to the end, for each row of the profile'),
                ]),
            ),
            'choice_s' => Out::number('when the choice begins, from the beginning of the slip'),
        ];
    }

    /** @return array<string, mixed> */
    public static function body(JoinPlan $plan): array
    {
        $joining = $plan->joining;
        $slip = $joining->slip;

        return [
            'feasible' => $plan->best !== null,
            'accel_needed_mps2' => round($joining->neededMps2, 3),
            'accel_available_mps2' => round($joining->availableMps2, 3),
            'counts_m' => round($slip->countsMetres(), 1),
            'speed_at_end_mps' => round($plan->shown->drive->endMps, 3),
            'message' => $plan->message(),
            'speed_short_mps' => round($plan->shown->shortMps, 3),
            'fault_of_slip' => $plan->faultOfSlip,
            'hold_back_m' => round($plan->holdBackMetres(), 1),
            'gear' => $joining->gear,
            'view_from_m' => round($slip->viewFromMetres, 1), 'choose_from_m' => round($slip->chooseFromMetres(), 1),
            'join_at_m' => round($slip->joinAtMetres(), 1),
            'solid_until_m' => round($slip->solidUntilMetres, 1), 'limit_sign_m' => round($slip->gainFromMetres(), 1),
            'options' => array_map(static fn (WayIn $wayIn): array => self::wayIn($wayIn, $plan), $plan->waysIn),
            'best' => $plan->best === null ? null : (int) array_search($plan->best, $plan->waysIn, true),
            'decide_by_m' => self::rounded($plan->decideByMetres(), 1),
            'glances' => array_map(static fn (Glance $glance): array => [
                'at_m' => round($glance->placeMetres, 1), 'time_s' => round($glance->seconds, 1), 'at' => $glance->at,
                'covers_m' => round($glance->coversMetres, 1), 'why' => $glance->why,
            ], $plan->glances()),
            'signal_m' => round($plan->signalMetres(), 1),
            'stop_from_m' => round($plan->stopFromMetres(), 1),
            'profile' => [
                'time_s' => self::column($plan->run->columns['time_s'], 2), 'distance_m' => self::column($plan->run->columns['distance_m'], 2),
                'speed_mps' => self::column($plan->run->columns['speed_mps'], 3), 'gear' => $plan->run->columns['gear'],
            ],
            'others' => array_map(static fn (array $other): array => ['distance_m' => self::column($other['distance_m'], 2)] + $other, $plan->run->others),
            'choice_s' => round($plan->run->choiceSeconds, 2),
        ];
    }

    /** @return array<string, mixed> */
    private static function wayIn(WayIn $wayIn, JoinPlan $plan): array
    {
        $turns = $wayIn->drive->turns();

        return [
            'vehicle' => $wayIn->which === null ? null : $plan->joining->seen[$wayIn->which]->name,
            'where' => $wayIn->which === null ? 'free' : ($wayIn->ahead === true ? 'ahead' : 'behind'),
            'accel_mps2' => round($wayIn->drive->firstMps2, 2), 'then_mps2' => $turns ? round($wayIn->drive->thenMps2, 2) : null,
            'then_from_m' => $turns ? round($plan->joining->slip->chooseFromMetres() - $wayIn->drive->firstMetres, 1) : null,
            'speed_mps' => round($wayIn->drive->endMps, 2), 'time_s' => round($wayIn->seconds, 2),
            'gap_s' => self::rounded($wayIn->gapSeconds, 2), 'spare_m' => is_infinite($wayIn->spareMetres) ? null : round($wayIn->spareMetres, 1),
            'short_mps' => round($wayIn->shortMps, 2), 'effort_mps2' => round($wayIn->effortMps2, 2), ...$plan->between($wayIn), 'feasible' => $wayIn->feasible,
            'latest_m' => self::rounded($wayIn->latestMetres, 1),
        ];
    }

    private static function rounded(?float $value, int $digits): ?float
    {
        return $value === null ? null : round($value, $digits);
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function column(array $values, int $digits): array
    {
        return array_map(static fn (float $value): float => round($value, $digits), $values);
    }

    /** @return list<Assumption> */
    public static function assumptions(Values $input, Joining $joining, RulePack $pack): array
    {
        return [
            new Assumption('easing behind a slower vehicle once joined', Room::EASING, 'm/s2', Source::assumed()),
            new Assumption('gaining ahead of a faster one once joined', Room::GAINING, 'm/s2', Source::assumed()),
            new Assumption('a shoulder glance', JoinPlan::GLANCE_S, 's', Source::assumed()),
            new Assumption('others keep their speed', true, '', Source::assumed()),
            new Assumption(
                'gap of the pack once joined', $pack->followingGap(CommonFields::surface($input))->inSeconds(), 's',
                $pack->followingGapSource(CommonFields::surface($input)),
            ),
            ...CommonFields::defaults(
                $input, CommonFields::default('gap', $pack->followingGap(CommonFields::surface($input))->inSeconds() / 2.0, 's'),
                CommonFields::default('limit_change', 0.0, 'm'),
                CommonFields::default('gradient', 0.0, 'rise over run'), CommonFields::default('surface', 'dry'),
                CommonFields::default('gear', $joining->gear), CommonFields::default('vehicle', VehicleField::named($joining->vehicle, $pack)),
            ),
            ...(
                $input->has('view_from')
                    ? []
                    : [
                        CommonFields::default(
                            Wording::part($pack, 'main road seen from, by the angle of the {slip road}'), round($joining->slip->viewFromMetres, 1), 'm',
                        ),
                    ]
            ),
        ];
    }

    /** @return list<Warning> what somebody's intention would change, once it is done */
    private static function intention(Neighbour $other, JoinPlan $plan, RulePack $pack): array
    {
        if ($other->intends === Intention::Stays) {
            return [];
        }
        $then = $plan->without($other);
        $changes = $then === null
            ? 'It changes nothing for us.'
            : 'Once it has, we can join at '.$pack->speedUnit()->words(Speed::ofMetresPerSecond($then->drive->endMps)).' with less effort.';

        return [match ($other->intends) {
            Intention::MovesOver => new Warning('moves-over', ucfirst("{$other->name} seems to move over: that counts only once it has. {$changes}")),
            default => new Warning('leaves', ucfirst("{$other->name} seems to leave across our lane: let it, and look again. {$changes}")),
        }];
    }

    /** @return list<Warning> */
    public static function warnings(JoinPlan $plan, bool $leavingAcross, RulePack $pack): array
    {
        $joining = $plan->joining;
        $best = $plan->best;
        $words = static fn (float $speed): string => $pack->speedUnit()->words(Speed::ofMetresPerSecond($speed));
        $found = [];
        $reached = $words($plan->reachedMetresPerSecond());
        $fault = $plan->faultOfSlip;
        if ($fault !== null) {
            $found[] = new Warning($plan->isTooSlowForTheRoad() ? 'too-slow-for-the-road' : 'fault-of-slip', $fault);
        } elseif ($joining->neededMps2 > $joining->availableMps2 + 1e-6) {
            $found[] = new Warning(
                'not-quite-the-speed',
                Wording::in($pack, "The {slip road} ends at {$reached}, a little under the traffic’s {$words($joining->mainMps)}."),
            );
        }
        if ($best !== null && $plan->joinsSlowly()) {
            $found[] = new Warning(
                'joins-slowly',
                "This way in joins at {$words($best->drive->endMps)}, {$words($best->shortMps)} below the traffic: those who come after have to be looked "
                    .'for again.',
            );
        }
        if ($best === null && $fault === null) {
            $found[] = new Warning('no-gap-seen', Wording::in(
                $pack,
                'No gap among those seen has room on both sides: ease off now, while the {slip road} is long, and look again. Who joins gives way: '
                    .'in the worst case slow, even stop before the end, and wait for a long gap. It costs the speed one needs.',
            ));
        }
        if ($plan->isIntoSlowerTraffic()) {
            $found[] = new Warning(
                'slower-traffic', Wording::in($pack, 'The traffic drives '
                    ."{$words($joining->mainMps)}, slower than we come: down to it on the {slip road}, seen early, then in as it rolls."),
            );
        }
        if ($plan->holdBackMetres() > 0.5) {
            $found[] = new Warning('hold-back', sprintf(
                Wording::in($pack, 'The car ahead on the {slip road} is too near: fall back by %s first, and look over the shoulder only with the '
                    .'room for it.'),
                $pack->lengthUnit()->place(round($plan->holdBackMetres())),
            ));
        }
        foreach ($joining->seen as $other) {
            $found = [...$found, ...self::intention($other, $plan, $pack)];
        }
        if ($joining->slip->viewFromMetres <= $joining->slip->joinAtMetres() + 20.0) {
            $found[] = new Warning(
                'seen-late',
                Wording::in($pack, 'The main road is seen only at the end: slower on the {slip road}, ready for whatever comes into view.'),
            );
        }
        if ($best !== null) {
            $found = [...$found, ...NeighboursField::meeting($joining->seen, $best->seconds)];
        }
        if ($leavingAcross) {
            $found[] = new Warning('leaving-across', 'Others leave across our lane: one more look ahead on the near side before each glance back.');
        }

        return $found;
    }
}
