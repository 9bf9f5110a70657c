<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\FastRoad\JoinPlan;
use NobleTurn\Core\Plan\ApproachPlan;
use NobleTurn\Core\Plan\Between;
use NobleTurn\Core\Plan\Timing;
use NobleTurn\Core\Routine\Direction;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Series\Ahead;
use NobleTurn\Core\Series\Breaths;

/** A row as the arrays of the tool's answer. */
final class SeriesPresenter
{
    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        $plans = [
            'approach' => ApproachSchema::alone(), 'join' => Out::object(JoinPresenter::schema()), 'leave' => Out::object(LeavePresenter::schema()),
        ];

        return [
            'plans' => Out::list(['oneOf' => array_map(static fn (string $tool): array => Out::object([
                'tool' => ['const' => $tool],
                'at_m' => Out::number('where it begins, its line or its slip road, metres after the first begins'),
                'length_m' => Out::number('of its slip road; 0 of a line'),
                'verdict' => [
                    'enum' => [...array_column(Between::cases(), 'value'), null], 'description' => 'how it follows the one before; null of the first',
                ],
                'message' => Out::text('the same in words', nullable: true),
                'room_m' => Out::number('from where the one before is over to where it begins', nullable: true),
                'reached_mps' => Out::number('speed on the way to it'),
                'fits' => Out::flag('whether it can be done as it is planned'),
                'plan' => $plans[$tool],
            ]), array_keys($plans))], 'in the order driven'),
            'directions' => Out::list(Out::object([
                'say_at_m' => Out::number('by where it must have been said, metres before the first of it begins'),
                'at_m' => Out::number('the same, metres after the first of the row begins; negative before it'),
                'parts' => Out::list(Out::integer('which of the row, from 0'), 'what is said in it'),
                'say' => Out::text('as it is said'),
                'in_time' => Out::flag('said once the one before is over; otherwise while it is done, because three at once are enough'),
                'message' => Out::text('why they are said together, or meanwhile; null for one that has its time', nullable: true),
            ]), 'what is said, and by where'),
            'gives_way' => WhoWaitsPresenter::schema(['part' => Out::integer('of the row, from 0')]),
            'fits' => Out::flag('whether each fits behind the one before'),
            'length_m' => Out::number('from where the first begins to where the last ends'),
        ];
    }

    /**
     * @param  non-empty-list<SeriesPart>  $row
     * @return array<string, mixed>
     */
    public static function body(array $row, Practice $practice): array
    {
        $at = 0.0;
        $begins = $plans = $waits = [];
        foreach ($row as $i => $part) {
            $begins[] = $at = $i === 0 ? 0.0 : $at + $row[$i - 1]->lengthMetres + $part->distanceMetres;
            $plans[] = [
                'tool' => $part->tool, 'at_m' => round($at, 1), 'length_m' => round($part->lengthMetres, 1), 'verdict' => $part->between?->value,
                'message' => $part->message, 'room_m' => $part->between === null ? null : round($part->roomMetres, 1),
                'reached_mps' => round($part->ahead->reachedMps, 3), 'fits' => self::fits($part), 'plan' => self::plan($part),
            ];
            foreach ($part->waits as $one) {
                $waits[] = ['part' => $i] + WhoWaitsPresenter::row($one);
            }
        }

        return [
            'plans' => $plans,
            'directions' => self::directions($row, $begins, $practice),
            'gives_way' => $waits,
            'fits' => ! in_array(false, array_column($plans, 'fits'), true),
            'length_m' => round($at + $row[count($row) - 1]->lengthMetres, 1),
        ];
    }

    /** @return array<string, mixed> */
    private static function plan(SeriesPart $part): array
    {
        return match (true) {
            $part->plan instanceof ApproachPlan => ApproachPresenter::body($part->plan),
            $part->plan instanceof JoinPlan => JoinPresenter::body($part->plan),
            default => LeavePresenter::body($part->plan, $part->events),
        };
    }

    private static function fits(SeriesPart $part): bool
    {
        return $part->between !== Between::BothInOne && match (true) {
            $part->plan instanceof ApproachPlan => $part->plan->fits,
            $part->plan instanceof JoinPlan => $part->plan->best !== null,
            default => $part->plan->leaving->braking() !== 'harsh',
        };
    }

    /**
     * @param  non-empty-list<SeriesPart>  $row
     * @param  list<float>  $begins
     * @return list<array<string, mixed>>
     */
    private static function directions(array $row, array $begins, Practice $practice): array
    {
        $ahead = array_map(static fn (SeriesPart $part): Ahead => $part->ahead, $row);
        $further = Timing::planned($practice->look)->furtherPartSeconds;

        return array_map(static function (array $breath) use ($ahead, $begins, $further): array {
            $before = Breaths::saidBefore($ahead, $breath);
            $at = $begins[$before] - Breaths::sayAtMetres($ahead, $breath, $further);
            $inTime = ! $ahead[$before]->sayTogether;

            return [
                'say_at_m' => round($begins[$breath[0]] - $at, 1), 'at_m' => round($at, 1), 'parts' => $breath,
                'say' => Direction::inOneBreath(array_map(static fn (int $i): string => $ahead[$i]->direction ?? '', $breath)),
                'in_time' => $inTime,
                'message' => match (true) {
                    count($breath) > 1 => 'Too close behind each other to be said one after the other: said together.',
                    ! $inTime => 'Three at once are enough: this is said while the one before is being done.',
                    $before < $breath[0] => 'Too close behind what needs no word: said before that.',
                    default => null,
                },
            ];
        }, Breaths::of($ahead));
    }
}
