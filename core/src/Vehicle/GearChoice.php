<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;

/** The gear for a speed, a hill and a purpose, with the reason. */
final readonly class GearChoice
{
    /** A cruising gear must still have this much acceleration in hand, m/s2 (assumed). */
    private const IN_HAND = 0.15;

    /** A cruising gear turns at least this fast: a share of the red line (assumed). */
    private const LEAST_OF_RED_LINE = 0.27;

    /** Second is driven lower than the others: it turns at least this share of the red line (assumed). */
    private const SECOND_OF_RED_LINE = 0.16;

    private const SLIP_GAIN_MPH = 20.0;

    private function __construct(public Purpose $purpose, public int $gear, public string $reason, public float $accelerationMps2)
    {
    }

    public static function for(Vehicle $vehicle, Purpose $purpose, Speed $speed, Gradient $gradient): self
    {
        $performance = new Performance($vehicle);
        $top = $vehicle->gearbox->topGear();
        [$gear, $reason] = match ($purpose) {
            Purpose::Creep => [1, self::creep($vehicle)],
            Purpose::Cruise => self::cruise(
                $performance, $top, $speed, $gradient, self::LEAST_OF_RED_LINE * $vehicle->engine->redLineRpm,
                self::SECOND_OF_RED_LINE * $vehicle->engine->redLineRpm,
            ),
            Purpose::Pull => self::strongest($vehicle, $speed, $speed, $gradient),
            Purpose::SlipRoad => self::forASlip($vehicle, $performance, $speed, $gradient),
        };

        return new self($purpose, $gear, $reason, $performance->acceleration($speed, $gear, $gradient));
    }

    /**
     * One gear for the whole slip, as long as it gains there; up a hill where it does not, the one that does.
     *
     * @return array{int, string}
     */
    private static function forASlip(Vehicle $vehicle, Performance $performance, Speed $speed, Gradient $gradient): array
    {
        $to = Speed::ofMetresPerSecond($speed->inMetresPerSecond() + Speed::ofMilesPerHour(self::SLIP_GAIN_MPH)->inMetresPerSecond());
        $held = self::strongest($vehicle, $speed, $to, $gradient);
        $gains = static fn (Speed $at): bool => $performance->acceleration($at, $held[0], $gradient) >= self::IN_HAND;
        if ($gains($speed) && $gains(Speed::ofMetresPerSecond(($speed->inMetresPerSecond() + $to->inMetresPerSecond()) / 2.0))) {
            return $held;
        }
        $pulling = self::strongest($vehicle, $speed, $speed, $gradient);

        return $pulling[0] < $held[0] ? [$pulling[0], 'the higher one does not gain speed up this hill'] : $held;
    }

    private static function creep(Vehicle $vehicle): string
    {
        return match (true) {
            $vehicle->engine->isElectric => 'the only one: a motor turns from a standstill',
            $vehicle->transmission === Transmission::Automatic => 'first, taken by itself: the brake alone sets the pace',
            default => 'first: below what second can turn freely, with the clutch doing the rest',
        };
    }

    /** @return array{int, string} */
    private static function cruise(Performance $performance, int $top, Speed $speed, Gradient $gradient, float $leastRpm, float $secondRpm): array
    {
        for ($gear = $top; $gear > 1; $gear--) {
            if (
                $performance->rpm($speed, $gear) >= ($gear === 2 ? min($leastRpm, $secondRpm) : $leastRpm)
                && ! $performance->labours($speed, $gear)
                && ! $performance->overRevs($speed, $gear)
                && $performance->acceleration($speed, $gear, $gradient) >= self::IN_HAND
            ) {
                return [$gear, 'the highest that turns freely and does not lose speed here'];
            }
        }

        return $performance->overRevs($speed, 1) || $performance->acceleration($speed, 1, $gradient) < 0.0
            ? self::losesLeast($performance, $top, $speed, $gradient) : [1, 'the only one that holds this speed here'];
    }

    /**
     * Where none holds the speed: up a hill, or faster than the vehicle goes.
     *
     * @return array{int, string}
     */
    private static function losesLeast(Performance $performance, int $top, Speed $speed, Gradient $gradient): array
    {
        $best = $top;
        for ($gear = $top - 1; $gear >= 1 && ! $performance->overRevs($speed, $gear); $gear--) {
            if ($performance->acceleration($speed, $gear, $gradient) > $performance->acceleration($speed, $best, $gradient)) {
                $best = $gear;
            }
        }

        return [
            $best, $performance->acceleration($speed, $best, $gradient) >= 0.0 ? 'the only one that holds this speed here, with nothing in hand'
                : 'none holds this speed here: this one loses least',
        ];
    }

    /**
     * The gear with most acceleration over the span, among those that reach its end below the red line. A driver takes
     * first for setting off only; a gearbox of its own takes whatever pulls when the gas goes right down.
     *
     * @return array{int, string}
     */
    private static function strongest(Vehicle $vehicle, Speed $from, Speed $to, Gradient $gradient): array
    {
        $performance = new Performance($vehicle);
        $top = $vehicle->gearbox->topGear();
        $byItself = $vehicle->transmission === Transmission::Automatic;
        $best = null;
        $most = -INF;
        $lowest = ! $byItself && $top > 1 && ! $performance->labours($from, 2) ? 2 : 1;
        for ($gear = $top; $gear >= $lowest; $gear--) {
            if ($to->inMetresPerSecond() > RevMatch::MOST_OF_RED * $performance->topMps($gear)) {
                break;
            }
            $weakest = min($performance->acceleration($from, $gear, $gradient), $performance->acceleration($to, $gear, $gradient));
            if ($weakest > $most && ! $performance->labours($from, $gear)) {
                [$best, $most] = [$gear, $weakest];
            }
        }

        if ($best === null && $performance->labours($from, $lowest)) {
            return [$lowest, 'the lowest: slower than it can turn freely, with the clutch or the converter doing the rest'];
        }

        return $best === null ? [$top, 'the highest there is: no gear reaches the end of this below the red line']
            : [$best, match (true) {
                $top === 1 => 'the only one',
                $performance->acceleration($from, $best, $gradient) < 0.0 => 'loses least here without racing the engine'
                    .($best > 1 ? ': a lower one once it is slower' : ''),
                $byItself => 'the {gearbox} drops to it with the {accelerator} right down',
                default => 'pulls hardest from beginning to end without racing the engine',
            }];
    }
}
