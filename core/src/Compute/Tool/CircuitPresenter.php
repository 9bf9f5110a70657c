<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Circuit\Circuit;
use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Circuit\KindOfRoad;
use NobleTurn\Core\Circuit\LeftOut;
use NobleTurn\Core\Circuit\Order;
use NobleTurn\Core\Circuit\Part;
use NobleTurn\Core\Circuit\PartKind;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Circuit\Told;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;

/** From a circuit to fields. */
final class CircuitPresenter
{
    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        return [
            'fits' => Out::flag('nothing is left out'),
            'exact' => Out::flag('no other choice is better; false where there are too many ways to look at all'),
            'message' => Out::text('sentence for the user'),
            'order' => Out::list(['type' => 'string'], 'ids of the ways in the order driven'),
            'driven_m' => Out::integer('in all parts'),
            'driving_s' => Out::integer('between the ways, from the start and to the end'),
            'at_ways_s' => Out::integer('briefs, rounds and the loops back'),
            'spare_s' => Out::integer('left over at the end'),
            'parts' => Out::list(Out::object([
                'kind' => Out::choice(PartKind::class),
                'way' => Out::text('to which it belongs or leads; null on the way to the end and after', nullable: true),
                'round' => Out::integer('which one, or the one it leads to', nullable: true), 'from_s' => Out::integer('since the lesson began'),
                'until_s' => Out::integer('since the lesson began'), 'distance_m' => Out::integer('driven in it'),
                'measured' => Out::flag('somebody has driven and timed it'),
            ]), 'one after the other, together as long as the lesson'),
            'left_out' => Out::list(Out::object([
                'way' => Out::text(''), 'rounds' => Out::integer('of it that are not driven'),
                'reason' => Out::choice(['no-time', 'out-of-reach'], 'out of reach: not even once, and by itself'),
                'short_by_s' => Out::integer('time that is missing'), 'message' => Out::text('sentence for the user'),
            ])),
            'directions' => Out::list(Out::object([
                'ways' => Out::list(['type' => 'string'], 'said in one breath, in the order driven'),
                'after' => Out::text('the way driven before; null at the start', nullable: true),
                'driven_m' => Out::integer('from there to the first of them'),
                'say_at_m' => Out::number('so far before the line of the first of them it must have been said'),
                'say' => Out::text('the words'), 'message' => Out::text('why they are said together; null for one', nullable: true),
            ]), 'of the ways whose direction is said, in the order driven'),
        ];
    }

    /**
     * @param  list<Stop>  $stops
     * @return array<string, mixed>
     */
    public static function body(Circuit $circuit, array $stops, Drive $drive): array
    {
        $driven = self::driven($circuit);

        return [
            'fits' => $circuit->fits(),
            'exact' => $circuit->isExact,
            'message' => self::message($circuit, count($stops), $driven['spare_s']),
            ...$driven,
            'left_out' => array_map(static fn (LeftOut $left): array => [
                'way' => $left->stop->id, 'rounds' => $left->rounds, 'reason' => $left->isOutOfReach ? 'out-of-reach' : 'no-time',
                'short_by_s' => max(1, (int) ceil($left->shortSeconds)), 'message' => $left->message(),
            ], $circuit->leftOut),
            'directions' => array_map(static fn (Told $told): array => [
                'ways' => array_map(static fn (Stop $stop): string => $stop->id, $told->stops), 'after' => $told->after?->id,
                'driven_m' => (int) round($told->metres), 'say_at_m' => round($told->sayAtMetres(), 1), 'say' => $told->words(), 'message' => $told->message(),
            ], $circuit->directions($drive)),
        ];
    }

    /** @return array{order: list<string>, driven_m: int, driving_s: int, at_ways_s: int, spare_s: int, parts: list<array<string, mixed>>} */
    public static function driven(Circuit $circuit): array
    {
        $parts = array_map(self::part(...), $circuit->parts());
        $lasting = static fn (PartKind ...$kinds): int => array_sum(array_map(
            static fn (array $part): int => in_array(PartKind::from($part['kind']), $kinds, true) ? $part['until_s'] - $part['from_s'] : 0, $parts,
        ));

        return [
            'order' => array_map(static fn (Stop $stop): string => $stop->id, $circuit->driven()),
            'driven_m' => array_sum(array_column($parts, 'distance_m')),
            'driving_s' => $lasting(PartKind::Drive),
            'at_ways_s' => $lasting(PartKind::Brief, PartKind::Round, PartKind::Again),
            'spare_s' => $lasting(PartKind::Spare),
            'parts' => $parts,
        ];
    }

    /**
     * @param  list<Stop>  $stops
     * @return list<Assumption>
     */
    public static function assumptions(Values $input, Drive $drive, array $stops): array
    {
        return [
            ...self::paces($input, $drive, $stops),
            ...CommonFields::defaults(
                $input, CommonFields::default('order', Order::Shortest->value), CommonFields::default('debrief', CircuitTool::DEBRIEF_S, 's'),
            ),
            ...self::unsaid($input, CircuitReader::ROUNDS),
        ];
    }

    /**
     * @param  list<Stop>  $stops
     * @return list<Assumption> what was taken for the drives
     */
    public static function paces(Values $input, Drive $drive, array $stops): array
    {
        $around = array_map(static fn (Stop $stop): string => $stop->road->value, $stops);
        $kinds = array_unique([KindOfRoad::Town->value, KindOfRoad::Rural->value, KindOfRoad::Dual->value, ...$around]);
        $given = $input->object('speeds');
        $paces = array_map(static fn (string $kind): Assumption => new Assumption(
            "pace on {$kind} roads", round($drive->kmh(KindOfRoad::from($kind)), 1), 'km/h', $given?->has($kind) === true ? Source::given() : Source::assumed(),
        ), array_values($kinds));

        return [
            new Assumption('detour factor', $drive->detour, 'times as the crow flies', $input->has('detour_factor') ? Source::given() : Source::assumed()),
            ...$paces,
            new Assumption('busy hours', round($drive->busy, 3), 'times as long as outside them', Source::assumed()),
        ];
    }

    /**
     * @param  int  $rounds  where nobody says how often a way is driven
     * @return list<Assumption> what was taken at the ways
     */
    public static function unsaid(Values $input, int $rounds): array
    {
        $said = static fn (string $field): bool => array_filter($input->objects('ways'), static fn (Values $way): bool => ! $way->has($field)) === [];

        return [
            ...$said('brief') ? [] : [CommonFields::default('brief at a way', Stop::BRIEF_S, 's')],
            ...$said('rounds') ? [] : [CommonFields::default('rounds at a way', $rounds)],
        ];
    }

    /** @return array<string, mixed> */
    private static function part(Part $part): array
    {
        return [
            'kind' => $part->kind->value, 'way' => $part->way, 'round' => $part->round, 'from_s' => $part->from, 'until_s' => $part->until,
            'distance_m' => (int) round($part->metres), 'measured' => $part->isMeasured,
        ];
    }

    private static function message(Circuit $circuit, int $all, int $spare): string
    {
        if ($circuit->fits()) {
            return $spare < 60 ? 'It fits, with nothing left over.' : sprintf('It fits, %d min left over.', intdiv($spare, 60));
        }
        $kept = count($circuit->driven());

        return match (true) {
            $kept === 0 => 'None of it fits.',
            $kept === $all => 'Not all rounds fit.',
            default => sprintf('%d of %d fit.', $kept, $all),
        };
    }
}
