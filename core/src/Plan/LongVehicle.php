<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Motion\TurnReach;
use NobleTurn\Core\Place\Light;
use NobleTurn\Core\Routine\Arrival;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\RoutineCode;

/**
 * What a long vehicle takes at a junction beside what a car does: where to keep so that its rear clears the inside, whether the lane has that room,
 * and how to come up to a red or a queue without standing. Rules of the trade (common practice, no source); its sweep is integrated.
 */
final readonly class LongVehicle
{
    /** From the inside kerb to the wheels that come nearest to it, m (assumed). */
    private const CLEAR_M = 0.5;

    /** Where nobody has said it: the kerb curves on this radius, m (assumed). */
    private const KERB_RADIUS_M = 6.0;

    private function __construct(
        private Approach $approach, public TurnReach $reach,
        /** From the kerb to the middle of the vehicle where it begins to steer, m. */
        public float $fromKerbMetres,
    ) {
    }

    /** @return ?self null for a car, and where nothing is turned into at a corner */
    public static function at(Approach $approach): ?self
    {
        $turns = in_array($approach->demand->arrival, [Arrival::Turning, Arrival::Line, Arrival::Stop], true) && $approach->demand->signals !== null;
        if (! $approach->vehicle->isLong() || ! $turns || ! self::turnsACorner($approach)) {
            return null;
        }
        $half = $approach->vehicle->width->inMetres() / 2.0;
        $radius = max($approach->turnRadius->inMetres(), self::leastRadius($approach));
        $reach = TurnReach::rightAngle($approach->vehicle->units(), $radius);
        // Kerb and path bend round middles on one diagonal: what is between them there is the least there is. A wider arc would need more of the lane.
        $inner = $radius - $reach->comesInMetres - $half - self::CLEAR_M;

        return new self($approach, $reach, max($half + self::CLEAR_M, $radius - self::KERB_RADIUS_M - ($inner - self::KERB_RADIUS_M) / M_SQRT2));
    }

    /** From its side to the line, m; less than 0 beyond it. */
    private function fromLineMetres(): float
    {
        return LateralPath::besideTheLine($this->approach) + LateralPath::FROM_LINE - $this->fromKerbMetres;
    }

    /** @return list<Assumption> what its distances hang on; nothing where none are said */
    public static function assumptions(Approach $approach): array
    {
        return self::at($approach) === null || $approach->turnsTo() === Flank::Off ? [] : [
            new Assumption(Wording::part($approach->pack, 'radius of the {kerb} at the corner'), self::KERB_RADIUS_M, 'm', Source::assumed()),
            new Assumption(Wording::part($approach->pack, 'its rear clear of the {kerb}'), self::CLEAR_M, 'm', Source::assumed()),
        ];
    }

    public function coversTwo(): bool
    {
        return $this->fromLineMetres() < LateralPath::FROM_LINE - 1e-6;
    }

    /** @return list<Warning> */
    public static function warnings(Chain $chain): array
    {
        $approach = $chain->approach;
        if (! $approach->vehicle->isLong()) {
            return [];
        }

        return [...self::corner($approach), ...self::keepRolling($chain)];
    }

    /** @return list<Warning> */
    private static function corner(Approach $approach): array
    {
        $at = self::at($approach);
        if ($at === null) {
            return [];
        }
        $say = $approach->pack->lengthUnit()->place(...);
        $half = $approach->vehicle->width->inMetres() / 2.0;
        $kerb = $at->fromKerbMetres - $half;
        $in = $at->reach->comesInMetres;
        $mirrors = 'In the turn the inside wheels and the tail in the mirrors, the wide one too: scanned, not stared at.';
        if ($approach->turnsTo() === Flank::Off) {
            return [new Warning('long-across', Wording::in(
                $approach->pack, "Go {$say($in)} deeper before you steer than a car would: the rear comes in so much. {$mirrors}",
            ), ['comes_in_m' => round($in, 2), 'swings_out_m' => round($at->reach->swingsOutMetres, 2)])];
        }
        $room = $at->coversTwo()
            ? "Keep {$say($kerb)} off the {kerb}: your lane has not that room. Look in all mirrors, signal, and cover two, so that nobody comes alongside; "
                .'over the middle only where nobody comes.'
            : "Keep {$say($kerb)} off the {kerb}, {$say($at->fromLineMetres())} inside the line.";

        return [new Warning($at->coversTwo() ? 'long-covers-two' : 'long-towards-kerb', Wording::in(
            $approach->pack, "{$room} The rear comes in {$say($in)}. {$mirrors}",
        ), [
            'kerb_m' => round($kerb, 2), 'line_m' => round($at->fromLineMetres(), 2), 'comes_in_m' => round($in, 2),
            'swings_out_m' => round($at->reach->swingsOutMetres, 2),
        ])];
    }

    /**
     * Up to a red or a queue: off the gas so early that it still rolls when the others have gone.
     *
     * @return list<Warning>
     */
    private static function keepRolling(Chain $chain): array
    {
        $approach = $chain->approach;
        $stops = $approach->light === Light::Red || $approach->routine === RoutineCode::QueueStop;
        $slowing = $chain->slowing->easingOffMps2;
        if (! $stops || $slowing <= 0.0) {
            return [];
        }
        [$speed, $roll] = [$approach->speed->inMetresPerSecond(), min(LineSpeed::CRAWL, $approach->speed->inMetresPerSecond())];
        $from = ($speed ** 2 - $roll ** 2) / (2.0 * $slowing);
        $length = $chain->profile->lengthInMetres();
        if ($from <= $length) {
            return [];
        }
        $later = ($speed - $roll) / $slowing - ($from - $length) / $speed - $chain->profile->lengthInSeconds();
        if ($later < 1.0) {
            return [];
        }

        $when = $approach->light === Light::Red ? 'Arrive as it changes, the queue gone' : 'Arrive when the queue has just gone';

        return [new Warning('keep-rolling', sprintf(
            Wording::in($approach->pack, 'Off the {accelerator} from %s already: you come %.0f s later, still rolling, and a start from rest is saved. %s.'),
            $approach->pack->lengthUnit()->place($from), $later, $when,
        ), ['from_m' => round($from, 1), 'later_s' => round($later, 1), 'speed_mps' => round($roll, 2)])];
    }

    /** Round an island the bench draws the best line. */
    private static function turnsACorner(Approach $approach): bool
    {
        return $approach->routine->turnsTo() !== null || $approach->routine === RoutineCode::AllWayStop;
    }

    /** Of the middle of the front axle: the rear axle on its smallest circle, and the front a wheelbase before it, m. */
    private static function leastRadius(Approach $approach): float
    {
        $chassis = $approach->vehicle->chassis;

        return hypot($chassis->minimumRadiusMetres(), $chassis->wheelbaseMetres);
    }
}
