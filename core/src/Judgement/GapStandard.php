<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Rules\Flank;

/**
 * Gap times of road design to hold a computed gap against: AASHTO, A Policy on Geometric Design (Green Book), intersection
 * sight distance, from memory; printed for traffic that keeps right, here by the flank of the turn. Base for two lanes.
 */
final class GapStandard
{
    public const DOCUMENT = 'AASHTO Green Book, intersection sight distance';

    /** Seconds for passenger car, rigid lorry, articulated lorry. */
    private const ACROSS_FROM_STOP = [7.5, 9.5, 11.5];

    private const NEAR_OR_CROSSING = [6.5, 8.5, 10.5];

    private const OFF_THE_MAIN_ROAD = [5.5, 6.5, 7.5];

    public const HEADWAYS = 'Highway Capacity Manual 2010, base critical headways, two-lane major road';

    /** Headways half of all drivers accept, s: from the Highway Capacity Manual, from memory. */
    private const ACCEPTED = ['off' => 4.1, 'near' => 6.2, 'cross' => 6.5, 'across' => 7.1];

    /** For each lane to cross beyond the first, s: cars, lorries. */
    private const EXTRA_LANE = [0.5, 0.7];

    /** Longer than this a rigid vehicle counts as a lorry, m (assumed). */
    private const LORRY_FROM = 6.5;

    /** From one front bumper to the next: a gap and the time the first vehicle takes to pass. */
    public static function headwaySeconds(Manoeuvre $manoeuvre, ?Flank $flank): float
    {
        return self::ACCEPTED[match (true) {
            $manoeuvre === Manoeuvre::TurnAcross => 'off',
            $manoeuvre === Manoeuvre::Cross => 'cross',
            default => $flank === Flank::Off ? 'across' : 'near',
        }];
    }

    public static function seconds(Manoeuvre $manoeuvre, ?Flank $flank, float $length, bool $hasTrailer, int $extraLanes, float $gradient): float
    {
        $class = $hasTrailer ? 2 : ($length >= self::LORRY_FROM ? 1 : 0);
        $base = match (true) {
            $manoeuvre === Manoeuvre::TurnAcross => self::OFF_THE_MAIN_ROAD,
            $flank === Flank::Off => self::ACROSS_FROM_STOP,
            default => self::NEAR_OR_CROSSING,
        };
        // 0.2 s (across) or 0.1 s a per cent of upgrade beyond 3.
        $uphill = $manoeuvre === Manoeuvre::TurnAcross ? 0.0 : max(0.0, $gradient * 100.0 - 3.0) * ($flank === Flank::Off ? 0.2 : 0.1);

        return $base[$class] + self::EXTRA_LANE[min(1, $class)] * $extraLanes + $uphill;
    }
}
