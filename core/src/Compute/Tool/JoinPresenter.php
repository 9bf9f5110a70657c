<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\Glance;
use NobleTurn\Core\FastRoad\Joining;
use NobleTurn\Core\FastRoad\JoinPlan;
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
            'accel_available_mps2' => Out::number('mean over the same length at full gas'),
            'counts_m' => Out::number('the length that counts, from the limit sign to where we join'),
            'speed_at_end_mps' => Out::number('where we join'),
            'gear' => Out::integer('on the slip'),
            'view_from_m' => $metres('the main road can be looked into'), 'choose_from_m' => $metres('the choice begins'),
            'join_at_m' => $metres('we join'), 'solid_until_m' => $metres('the solid line ends'), 'limit_sign_m' => $metres('the limit is lifted'),
            'options' => Out::list(Out::object([
                'vehicle' => ['type' => ['string', 'null'], 'description' => 'whom it is about; null on a free road'],
                'where' => ['enum' => ['ahead', 'behind', 'free']], 'accel_mps2' => Out::number('from the choice on; negative: easing off'),
                'speed_mps' => Out::number('where we join'), 'time_s' => Out::number('from the choice'),
                'gap_s' => Out::number('between bodies where we join; null where we do not come to that side', nullable: true),
                'spare_m' => Out::number('room in hand to whoever has least; null where we do not come to that side', nullable: true),
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
            'speed_at_end_mps' => round($plan->shown->endMps, 3),
            'gear' => $joining->gear,
            'view_from_m' => round($slip->viewFromMetres, 1), 'choose_from_m' => round($slip->chooseFromMetres(), 1), 'join_at_m' => round($slip->joinAtMetres(), 1),
            'solid_until_m' => round($slip->solidUntilMetres, 1), 'limit_sign_m' => round($slip->gainFromMetres(), 1),
            'options' => array_map(static fn (WayIn $wayIn): array => self::wayIn($wayIn, $plan), $plan->waysIn),
            'best' => $plan->best === null ? null : (int) array_search($plan->best, $plan->waysIn, true),
            'decide_by_m' => self::rounded($plan->decideByMetres(), 1),
            'glances' => array_map(static fn (Glance $glance): array => [
                'at_m' => round($glance->placeMetres, 1), 'time_s' => round($glance->seconds, 1), 'at' => $glance->at,
                'covers_m' => round($glance->coversMetres, 1), 'why' => $glance->why,
            ], $plan->glances()),
            'signal_m' => round($slip->chooseFromMetres(), 1),
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
        return [
            'vehicle' => $wayIn->which === null ? null : $plan->joining->seen[$wayIn->which]->name,
            'where' => $wayIn->which === null ? 'free' : ($wayIn->ahead === true ? 'ahead' : 'behind'),
            'accel_mps2' => round($wayIn->accelerationMps2, 2), 'speed_mps' => round($wayIn->endMps, 2), 'time_s' => round($wayIn->seconds, 2),
            'gap_s' => self::rounded($wayIn->gapSeconds, 2), 'spare_m' => is_infinite($wayIn->spareMetres) ? null : round($wayIn->spareMetres, 1),
            'effort_mps2' => round($wayIn->effortMps2, 2), ...$plan->between($wayIn), 'feasible' => $wayIn->feasible,
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

    /** @return list<Warning> */
    public static function warnings(JoinPlan $plan, bool $leavingAcross, RulePack $pack): array
    {
        $joining = $plan->joining;
        $best = $plan->best;
        $words = static fn (float $speed): string => $pack->speedUnit()->words(Speed::ofMetresPerSecond($speed));
        $found = [];
        $reached = $words($plan->reachedMetresPerSecond());
        if ($plan->isTooSlowForTheRoad()) {
            $found[] = new Warning(
                'too-slow-for-the-road',
                Wording::in(
                    $pack,
                    "Even with the gas fully down the {slip road} ends at {$reached}, the traffic drives {$words($joining->mainMps)}: go on only into a long gap, or take another road.",
                ),
            );
        } elseif ($joining->neededMps2 > $joining->availableMps2 + 1e-6) {
            $found[] = new Warning(
                'not-quite-the-speed',
                Wording::in($pack, "The {slip road} ends at {$reached}, a little under the traffic’s {$words($joining->mainMps)}."),
            );
        }
        if ($best !== null && $plan->joinsSlowly()) {
            $found[] = new Warning(
                'joins-slowly',
                "This way in joins at {$words($best->endMps)} where the traffic drives {$words($joining->mainMps)}: everybody seen is past by then; whoever comes after has to be looked for again.",
            );
        }
        if ($best === null) {
            $easing = array_filter($plan->waysIn, static fn (WayIn $wayIn): bool => $wayIn->ahead === false);
            $found[] = new Warning(
                'no-gap-seen',
                $easing === [] ? 'No way in fits: ease off early and let it change.' : Wording::in(
                    $pack,
                    'No gap among those seen has room on both sides: ease off now, while the {slip road} is long, and look again. A stop at the end is the last resort.',
                ),
            );
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
