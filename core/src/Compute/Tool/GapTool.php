<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Judgement\Asked;
use NobleTurn\Core\Judgement\AskForRoom;
use NobleTurn\Core\Judgement\Gap;
use NobleTurn\Core\Judgement\GapStandard;
use NobleTurn\Core\Judgement\Manoeuvre;
use NobleTurn\Core\Judgement\SideGap;
use NobleTurn\Core\Judgement\Stream;
use NobleTurn\Core\Motion\PullAway;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\AsksOfOthers;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;

/** Go or wait: what a gap asks of us, and of the other driver if we went. */
final class GapTool implements Tool
{
    use QuickAnswer;

    public function name(): string
    {
        return 'gap';
    }

    public function about(): string
    {
        return 'Time a manoeuvre needs against the time a gap gives, from both sides; what the other driver would have to do; the gap and the sight that '
            .'would be enough.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            ChoiceField::of('manoeuvre', 'what is to be done', Manoeuvre::class)->required(),
            new QuantityField('other_speed', 'of the vehicle that comes; default the limit of the road met', Kind::Speed, 1.0, 45.0),
            (new QuantityField('other_distance', 'its front bumper to where the paths meet', Kind::Distance, 0.0, 1000.0))->required(),
            new ChoiceField('other_from', 'where it comes from; default both, the worse counts', ['left', 'right', 'both', 'ahead', 'behind']),
            new QuantityField('rolling', 'our speed at the line; default 0, from rest', Kind::Speed, 0.0, 12.0),
            new QuantityField('delay', 'last look and start; default 1.5 s from rest, 0.75 s rolling', Kind::Duration, 0.0, 6.0),
            new QuantityField('lane_width', 'of each lane; default 3.65 m', Kind::Distance, 2.0, 6.0),
            new NumberField('lanes', 'lanes of each direction of the road we meet; default 1', 1.0, 4.0),
            new QuantityField('turn_radius', 'of our path; default 8 m towards the kerb, 11 m across', Kind::Distance, 3.0, 60.0),
            CommonFields::gradientField(),
            CommonFields::surfaceField(),
            VehicleField::field(),
            new QuantityField('sight', 'how far along the road can be seen from the line', Kind::Distance, 0.0, 1000.0),
            new QuantityField('people', 'seconds somebody is still on the road we enter', Kind::Duration, 0.0, 120.0),
            new FlagField('long_vehicle_first', 'a long vehicle waits to come out of or into the same road'),
            new QuantityField('waited', 'a long vehicle at the kerb: for so long already; default 0', Kind::Duration, 0.0, 600.0),
            RoadMetField::field(),
            new QuantityField('headway', 'time behind us that is enough once joined; default 1 s', Kind::Duration, 0.0, 5.0),
            PracticeField::field(),
            new FlagField('oncoming_turner', 'somebody opposite turns into the same road'),
            new NumberField('entry_lanes', 'lanes of the road we enter; default 1', 1.0, 4.0),
        );
    }

    public function output(): array
    {
        $verdict = ['enum' => ['go', 'marginal', 'wait']];

        return [
            'verdict' => $verdict,
            'message' => Out::text('sentence for the user'),
            'other_speed_mps' => Out::number('as asked'),
            'worst' => ['enum' => ['left', 'right', 'ahead', 'behind'], 'description' => 'the side that decides'],
            'time_needed_s' => Out::number('on that side, from the decision on'),
            'time_available_s' => Out::number('until it reaches the meeting point'),
            'margin_s' => Out::number('available minus needed'),
            'other_decel_needed_mps2' => Out::number('0 where nobody has to change anything; null where no braking would do', nullable: true),
            'asked' => Out::choice(Asked::class, 'what going now asks of the other driver'),
            'headway_at_end_s' => Out::number('how much time they are behind us at the end, keeping their speed; null where nobody is joined', nullable: true),
            'needed_by' => Out::object([
                'nothing_s' => Out::number('least gap that changes nothing for anybody'), 'off_gas_s' => Out::number('in which they come off the accelerator'),
                'design_s' => Out::number('as road design reckons, on this side'),
            ]),
            'figures' => Out::text('the three in one line'),
            'critical_gap_s' => Out::number('the least that is enough here, by the practice'),
            'critical_gap_m' => Out::number('the same as a distance at their speed: there "go" becomes "wait"'),
            'published_gap_s' => Out::number('what road design reckons with'),
            'accepted_headway_s' => Out::number('what half of all drivers accept, front bumper to front bumper, onto a two-lane road'),
            'sight_distance_m' => Out::number('along the road from the line: who comes into view as we go has only to come off the accelerator'),
            'sight_enough' => ['type' => ['boolean', 'null'], 'description' => 'null where the sight was not given'],
            'sides' => Out::list(Out::object([
                'from' => ['enum' => ['left', 'right', 'ahead', 'behind']], 'joined' => Out::flag('we drive on in this stream'),
                'time_needed_s' => Out::number('least gap'), 'time_available_s' => Out::number('this gap'),
                'margin_s' => Out::number('between them'),
                'other_decel_needed_mps2' => Out::number('0, or what it takes; null where nothing would', nullable: true), 'verdict' => $verdict,
            ])),
            'ask' => Out::maybe(Out::object([
                'in_s' => Out::number('until one may ask for room by the signal; null where there is a gap', nullable: true),
                'message' => Out::text('sentence for the user'),
            ]), 'a long vehicle moving off from the kerb; null otherwise'),
            'motion' => Out::object([
                'time_s' => Out::list(['type' => 'number'], 'from the decision'),
                'ours_m' => Out::list(['type' => 'number'], 'front bumper along our path'), 'speed_mps' => Out::list(['type' => 'number'], 'ours'),
            ]),
            'path' => Out::object([
                'straight_m' => Out::number('before the wheel turns'), 'radius_m' => Out::number('of the turn; 0 straight over'),
                'turned_deg' => Out::number('heading already turned at the line'), 'turn_m' => Out::number('along the arc from there'),
                'lane_width_m' => Out::number('m'), 'lanes' => Out::integer('each direction'),
            ]),
            'car' => CarShape::schema(),
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $gap = GapReader::read($input, $pack);
        $worst = $gap->worst();
        $sight = $input->distance('sight')?->inMetres();
        $needed = $gap->sightMetres();
        $motion = $gap->ours;
        $every = 4;
        $shown = array_values(array_filter(array_keys($motion->metres), static fn (int $i): bool => $i % $every === 0));
        $decel = static fn (float $value): ?float => is_infinite($value) ? null : round($value, 2);

        return new Answer($pack->code(), $pack->version(), [
            'verdict' => $gap->verdict(),
            'message' => $gap->message(),
            'other_speed_mps' => round($gap->otherMps, 4),
            'worst' => $worst->from,
            'time_needed_s' => round($worst->neededSeconds(), 2),
            'time_available_s' => round($worst->availableSeconds, 2),
            'margin_s' => round($worst->marginSeconds(), 2),
            'other_decel_needed_mps2' => $decel($worst->askedMps2),
            'asked' => $worst->asked()->value,
            'headway_at_end_s' => $worst->headwaySeconds === null ? null : round($worst->headwaySeconds, 2),
            'needed_by' => [
                'nothing_s' => round($worst->neededSeconds(AsksOfOthers::Nothing), 2), 'off_gas_s' => round($worst->neededSeconds(AsksOfOthers::OffGas), 2),
                'design_s' => round($worst->neededSeconds(AsksOfOthers::Design), 2),
            ],
            'figures' => $gap->figures(),
            'critical_gap_s' => round($worst->neededSeconds(), 2),
            'critical_gap_m' => round($worst->neededSeconds() * $gap->otherMps, 1),
            'published_gap_s' => round($gap->publishedSeconds, 2),
            'accepted_headway_s' => $gap->acceptedSeconds,
            'sight_distance_m' => round($needed, 1),
            'sight_enough' => $sight === null ? null : $sight >= $needed,
            'sides' => array_map(static fn (SideGap $side): array => [
                'from' => $side->from, 'joined' => $side->joined, 'time_needed_s' => round($side->neededSeconds(), 2),
                'time_available_s' => round($side->availableSeconds, 2),
                'margin_s' => round($side->marginSeconds(), 2), 'other_decel_needed_mps2' => $decel($side->askedMps2), 'verdict' => $side->verdict(),
            ], $gap->sides),
            'ask' => $gap->ask === null ? null : ['in_s' => $gap->ask->inSeconds(), 'message' => $gap->ask->message()],
            'motion' => [
                'time_s' => array_map(static fn (int $i): float => round($i * PullAway::STEP, 2), $shown),
                'ours_m' => array_map(static fn (int $i): float => round($motion->metres[$i], 3), $shown),
                'speed_mps' => array_map(static fn (int $i): float => round($motion->speeds[$i], 3), $shown),
            ],
            'path' => [
                'straight_m' => round($gap->straightMetres, 2), 'radius_m' => round($gap->radiusMetres, 2),
                'turned_deg' => round($gap->turnedRadians * 180.0 / M_PI, 1),
                'turn_m' => round($gap->arcMetres, 2), 'lane_width_m' => $gap->laneWidthMetres, 'lanes' => $gap->lanes,
            ],
            'car' => CarShape::of($gap->vehicle->chassis),
        ], self::assumptions($input, $gap, $pack), self::warnings($sight, $needed, $gap));
    }

    /** @return list<Assumption> */
    private static function assumptions(Values $input, Gap $gap, RulePack $pack): array
    {
        return [
            new Assumption('last look and start', $gap->delaySeconds, 's', $input->has('delay') ? Source::given() : Source::assumed()),
            new Assumption('acceleration used', PullAway::SHARE, 'of what the car has', Source::assumed()),
            new Assumption(
                'a start as taught, from a standstill', round(PullAway::taughtMps2($gap->vehicle), 2), 'm/s2',
                $gap->vehicle->isLong() ? Source::assumed() : Source::commonPractice(),
            ),
            new Assumption('margin for a clear go', Gap::CLEAR, 's', Source::assumed()),
            new Assumption('reaction of the other driver', Stream::REACTION, 's', Source::assumed()),
            new Assumption('room left between bodies', Stream::ROOM, 'm', Source::assumed()),
            new Assumption('time behind us once joined', $gap->headwaySeconds, 's', $input->has('headway') ? Source::given() : Source::assumed()),
            new Assumption('time in hand when crossing', Stream::CROSSING_MARGIN, 's', Source::assumed()),
            new Assumption(Wording::part($pack, 'coming off the {accelerator}'), AsksOfOthers::OFF_GAS_MPS2, 'm/s2', Source::assumed()),
            new Assumption('gap of road design', round($gap->publishedSeconds, 2), 's', Source::fromMemory(GapStandard::DOCUMENT)),
            ...($gap->ask === null ? [] : [
                new Assumption('a long vehicle asks for room after', AskForRoom::FROM_S.' to '.AskForRoom::BY_S, 's', Source::commonPractice()),
            ]),
            new Assumption('headway half of all drivers accept', $gap->acceptedSeconds, 's', Source::fromMemory(GapStandard::HEADWAYS)),
            new Assumption('vehicle', VehicleField::named($gap->vehicle, $pack), '', $input->has('vehicle') ? Source::given() : Source::assumed()),
            ...CommonFields::defaults(
                $input, CommonFields::default('other_from', 'both'), CommonFields::default('rolling', 0.0, 'm/s'),
                CommonFields::default('lane_width', $gap->laneWidthMetres, 'm'), CommonFields::default('lanes', $gap->lanes),
                CommonFields::default('gradient', 0.0, 'rise over run'), CommonFields::default('surface', 'dry'),
            ),
        ];
    }

    /** @return list<Warning> */
    private static function warnings(?float $sight, float $needed, Gap $gap): array
    {
        $found = array_map(static fn (string $reason): Warning => new Warning('wait-first', $reason), $gap->waitFor);
        if ($sight !== null && $sight < $needed) {
            $found[] = new Warning(
                'sight-too-short',
                sprintf('Only %.0f m can be seen, %.0f m are needed: creep to where more is seen, listen, or go another way.', $sight, $needed),
            );
        }

        return $found;
    }
}
