<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\Joining;
use NobleTurn\Core\FastRoad\Option;
use NobleTurn\Core\FastRoad\Room;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;

/** A joining as the arrays of the tool's answer. */
final class JoinPresenter
{
    /** Between slip and main road where nothing is said, degrees (assumed). */
    public const ANGLE = 4.0;

    /** A shoulder glance (assumed), s; the last one so long before joining. */
    private const GLANCE_S = 0.5;

    private const LAST_GLANCE_S = 1.5;

    /** Comfortable braking to a stop as the last resort, m/s2 (assumed). */
    private const STOPPING = 2.5;

    /** Joining slower than the traffic by more than this is said, m/s: 10 mph (assumed). */
    private const TOO_SLOW = 4.47;

    private const STEP_S = 0.25;

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
            'view_from_m' => $metres('the main road can be looked into'), 'choose_from_m' => $metres('the choice begins'), 'join_at_m' => $metres('we join'), 'solid_until_m' => $metres('the solid line ends'), 'limit_sign_m' => $metres('the limit is lifted'),
            'options' => Out::list(Out::object([
                'vehicle' => ['type' => ['string', 'null'], 'description' => 'whom it is about; null on a free road'], 'where' => ['enum' => ['ahead', 'behind', 'free']], 'accel_mps2' => Out::number('from the choice on; negative: easing off'),
                'speed_mps' => Out::number('where we join'), 'time_s' => Out::number('from the choice'), 'gap_s' => Out::number('between bodies where we join; null where we do not come to that side', nullable: true),
                'spare_m' => Out::number('room in hand to whoever has least; null where we do not come to that side', nullable: true), 'effort_mps2' => Out::number('how far from simply reaching the main road’s speed'),
                'behind_of' => ['type' => ['string', 'null'], 'description' => 'the nearest ahead of us where we join'], 'ahead_of' => ['type' => ['string', 'null'], 'description' => 'the nearest behind us there'],
                'feasible' => Out::flag('room on both sides'), 'latest_m' => Out::number('the last place at which it can still be chosen', nullable: true),
            ])),
            'best' => Out::integer('which of the options; null where none fits', nullable: true),
            'decide_by_m' => Out::number('after it the first of the ways worth choosing closes, metres to the end; null where none is open', nullable: true),
            'glances' => Out::list(Out::object(['at_m' => $metres('where'), 'time_s' => Out::number('from the beginning of the slip'), 'at' => Out::text('mirror or shoulder'), 'covers_m' => Out::number('driven meanwhile'), 'why' => Out::text('what it is for')])),
            'signal_m' => $metres('the new signal'),
            'stop_from_m' => Out::number('last resort only: where braking to a stop must begin, metres to the end'),
            'profile' => Out::object(['time_s' => $column('from the beginning of the slip'), 'distance_m' => $column('metres to the end of the lane'), 'speed_mps' => $column('ours'), 'gear' => $column('ours', 'integer')]),
            'others' => Out::list(Out::object(['name' => Out::text('which'), 'length_m' => Out::number('its length'), 'distance_m' => $column('its front, metres to the end, for each row of the profile')])),
            'choice_s' => Out::number('when the choice begins, from the beginning of the slip'),
        ];
    }

    /**
     * @param  list<Option>  $options
     * @return array<string, mixed>
     */
    public static function body(Joining $joining, array $options, ?Option $best, RulePack $pack): array
    {
        $slip = $joining->slip;
        // A way in that joins at a crawl is open, but nobody would wait to decide for it.
        $open = array_values(array_filter($options, static fn (Option $option): bool => $option->feasible && ($option === $best || $option->endSpeed >= $joining->main - self::TOO_SLOW)));
        $latest = array_map(static fn (Option $option): float => $option->latest ?? 0.0, $open);
        $shown = $best ?? new Option(null, null, $joining->natural, $joining->speedAt($slip->joinAt()), 0.0, null, -1.0, null, 0.0);
        $run = JoinRun::of($joining, $shown, self::STEP_S);

        return [
            'feasible' => $best !== null,
            'accel_needed_mps2' => round($joining->needed, 3),
            'accel_available_mps2' => round($joining->available, 3),
            'counts_m' => round($slip->counts(), 1),
            'speed_at_end_mps' => round($shown->endSpeed, 3),
            'gear' => $joining->gear,
            'view_from_m' => round($slip->viewFrom, 1), 'choose_from_m' => round($slip->chooseFrom(), 1), 'join_at_m' => round($slip->joinAt(), 1),
            'solid_until_m' => round($slip->solidUntil, 1), 'limit_sign_m' => round($slip->gainFrom(), 1),
            'options' => array_map(static fn (Option $option): array => [
                'vehicle' => $option->which === null ? null : $joining->seen[$option->which]->name,
                'where' => $option->which === null ? 'free' : ($option->ahead === true ? 'ahead' : 'behind'),
                'accel_mps2' => round($option->acceleration, 2), 'speed_mps' => round($option->endSpeed, 2), 'time_s' => round($option->seconds, 2),
                'gap_s' => $option->gapSeconds === null ? null : round($option->gapSeconds, 2), 'spare_m' => is_infinite($option->spareMetres) ? null : round($option->spareMetres, 1),
                'effort_mps2' => round($option->effort, 2), ...self::between($joining, $option), 'feasible' => $option->feasible, 'latest_m' => $option->latest === null ? null : round($option->latest, 1),
            ], $options),
            'best' => $best === null ? null : (int) array_search($best, $options, true),
            'decide_by_m' => $latest === [] ? null : round(max($latest), 1),
            'glances' => self::glances($joining, $run, $pack),
            'signal_m' => round($slip->chooseFrom(), 1),
            'stop_from_m' => round(min($slip->length, $shown->endSpeed ** 2 / (2.0 * self::STOPPING)), 1),
            'profile' => $run->columns,
            'others' => $run->others,
            'choice_s' => round($run->choiceSeconds, 2),
        ];
    }

    /** @return array{behind_of: ?string, ahead_of: ?string} the neighbours on both sides where we join */
    private static function between(Joining $joining, Option $option): array
    {
        $ours = $joining->slip->chooseFrom() - $joining->slip->joinAt();
        $near = ['behind_of' => [null, INF], 'ahead_of' => [null, INF]];
        foreach ($joining->seen as $other) {
            $by = $other->frontAt($option->seconds) - $ours;
            $side = $by >= 0.0 ? 'behind_of' : 'ahead_of';
            if (abs($by) < $near[$side][1]) {
                $near[$side] = [$other->name, abs($by)];
            }
        }

        return ['behind_of' => $near['behind_of'][0], 'ahead_of' => $near['ahead_of'][0]];
    }

    /** @return list<array{at_m: float, time_s: float, at: string, covers_m: float, why: string}> */
    private static function glances(Joining $joining, JoinRun $run, RulePack $pack): array
    {
        $slip = $joining->slip;
        $off = Flank::Off->side($pack)->value;
        $first = min($slip->viewFrom, $slip->length);
        $last = min($first, $slip->joinAt() + self::LAST_GLANCE_S * $joining->speedAt($slip->joinAt()));
        $glances = [
            [$slip->length, "{$off}-mirror", 'it shows only the slip itself at first'],
            [$first, "{$off}-shoulder", 'as soon as the main road can be seen, wheel straight'],
            [($first + $last) / 2.0, "{$off}-shoulder", 'a second one, to judge their speed'],
            [$last, "{$off}-shoulder", 'the last, just before joining'],
        ];

        return array_map(static fn (array $glance): array => [
            'at_m' => round($glance[0], 1), 'time_s' => round($run->secondsAt($glance[0]), 1), 'at' => $glance[1], 'covers_m' => round(self::GLANCE_S * $run->speedAt($glance[0]), 1), 'why' => $glance[2],
        ], $glances);
    }

    /** @return list<Assumption> */
    public static function assumptions(Values $input, Joining $joining, RulePack $pack): array
    {
        return [
            new Assumption('easing behind a slower vehicle once joined', Room::EASING, 'm/s2', Source::assumed()),
            new Assumption('gaining ahead of a faster one once joined', Room::GAINING, 'm/s2', Source::assumed()),
            new Assumption('a shoulder glance', self::GLANCE_S, 's', Source::assumed()),
            new Assumption('others keep their speed', true, '', Source::assumed()),
            new Assumption('gap of the pack once joined', $pack->followingGap(CommonFields::surface($input))->inSeconds(), 's', $pack->followingGapSource(CommonFields::surface($input))),
            ...CommonFields::defaults(
                $input, CommonFields::default('gap', $pack->followingGap(CommonFields::surface($input))->inSeconds() / 2.0, 's'), CommonFields::default('limit_change', 0.0, 'm'),
                CommonFields::default('gradient', 0.0, 'rise over run'), CommonFields::default('surface', 'dry'), CommonFields::default('gear', $joining->gear), CommonFields::default('vehicle', $joining->vehicle->name),
            ),
            ...($input->has('view_from') ? [] : [CommonFields::default('main road seen from, by the slip’s angle', round($joining->slip->viewFrom, 1), 'm')]),
        ];
    }

    /**
     * @param  list<Option>  $options
     * @return list<Warning>
     */
    public static function warnings(Joining $joining, array $options, ?Option $best, bool $leavingAcross, RulePack $pack): array
    {
        $unit = $pack->speedUnit();
        $words = static fn (float $speed): string => $unit->words(Speed::ofMetresPerSecond($speed));
        $found = [];
        $reached = $joining->fullGas->speedAfter($joining->slip->counts());
        if ($reached < $joining->main - self::TOO_SLOW) {
            $found[] = new Warning('too-slow-for-the-road', "Even with the gas fully down the slip ends at {$words($reached)}, the traffic drives {$words($joining->main)}: go on only into a long gap, or take another road.");
        } elseif ($joining->needed > $joining->available + 1e-6) {
            $found[] = new Warning('not-quite-the-speed', "The slip ends at {$words($reached)}, a little under the traffic’s {$words($joining->main)}.");
        }
        if ($best !== null && $best->endSpeed < $joining->main - self::TOO_SLOW && $reached >= $joining->main - self::TOO_SLOW) {
            $found[] = new Warning('joins-slowly', "This way in joins at {$words($best->endSpeed)} where the traffic drives {$words($joining->main)}: everybody seen is past by then; whoever comes after has to be looked for again.");
        }
        if ($best === null) {
            $easing = array_filter($options, static fn (Option $option): bool => $option->ahead === false);
            $found[] = new Warning('no-gap-seen', $easing === [] ? 'No way in fits: ease off early and let it change.' : 'No gap among those seen has room on both sides: ease off now, while the slip is long, and look again. A stop at the end is the last resort.');
        }
        if ($joining->slip->viewFrom <= $joining->slip->joinAt() + 20.0) {
            $found[] = new Warning('seen-late', 'The main road is seen only at the end: slower on the slip, ready for whatever comes into view.');
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
