<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;

/**
 * Gaining speed with the gas fully down, changing up where the gear runs out. While a change lasts nothing drives and
 * everything that resists goes on slowing. Integrated by the midpoint rule.
 */
final readonly class FullGas
{
    /** Changed up at this share of the red line (assumed). */
    public const CHANGE_AT = 0.9;

    /** Below this there is nothing left to gain, m/s2; after this long it is given up, s. */
    private const SPENT = 0.02;

    private const LONGEST = 180.0;

    /** @param  list<array{at: float, from: int, to: int}>  $changes  speed before each change, m/s */
    private function __construct(
        public float $seconds, public float $metres, public float $speedMps, public int $gear, public bool $reached, public array $changes,
    ) {
    }

    /** @param  float  $step  of the integration, s */
    public static function run(Vehicle $vehicle, Speed $from, Speed $to, Gradient $gradient, int $gear, float $step = 0.02): self
    {
        $performance = new Performance($vehicle);
        $pull = static fn (float $v, int $in): float => $performance->acceleration(Speed::ofMetresPerSecond(max(0.0, $v)), $in, $gradient);
        $roll = static fn (float $v, int $in): float => $performance->rolling(Speed::ofMetresPerSecond(max(0.0, $v)), $in, $gradient);
        [$v, $x, $t, $target] = [$from->inMetresPerSecond(), 0.0, 0.0, $to->inMetresPerSecond()];
        $changes = [];
        $driveless = 0.0;
        while ($v < $target && $t < self::LONGEST) {
            $pushed = $driveless > 1e-9 ? $roll : $pull;
            $dt = $driveless > 1e-9 ? min($step, $driveless) : $step;
            $a = $pushed($v + $pushed($v, $gear) * $dt / 2.0, $gear);
            if ($driveless <= 1e-9) {
                $most = self::CHANGE_AT * $performance->topMps($gear);
                if ($v >= $most && $gear < $vehicle->gearbox->topGear() && $target > $most) {
                    $changes[] = ['at' => $v, 'from' => $gear, 'to' => ++$gear];
                    $driveless = $vehicle->shiftSeconds;

                    continue;
                }
                if ($a < self::SPENT) {
                    break;
                }
                // The last step ends at the speed wanted.
                $dt = min($dt, ($target - $v) / $a);
            }
            $x += $v * $dt + $a * $dt ** 2 / 2.0;
            $v = max(0.0, $v + $a * $dt);
            $t += $dt;
            $driveless = max(0.0, $driveless - $dt);
        }

        return new self($t, $x, $v, $gear, $v >= $target - 1e-6, $changes);
    }
}
