<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Vehicle\FullGas;
use NobleTurn\Core\Vehicle\Performance;
use NobleTurn\Core\Vehicle\Vehicle;

/**
 * The gas fully down along a road, as columns over time, until a place is reached or time is up. The gear is held, or
 * changed up where it runs out; nothing drives while a change lasts. At the speed wanted no more is gained. Midpoint rule.
 */
final readonly class Throttle
{
    public const STEP = 0.05;

    private const LONGEST = 120.0;

    /** Changed up only where the next gear still gains this much, m/s2 (assumed): on a hill it may not. */
    private const STILL_GAINS = 0.1;

    /**
     * @param  non-empty-list<float>  $metres  from where it began
     * @param  non-empty-list<float>  $speeds  m/s
     * @param  non-empty-list<int>  $gears
     */
    private function __construct(public array $metres, public array $speeds, public array $gears, private float $step)
    {
    }

    /** @param  float  $cap  m/s, where no more is gained */
    public static function run(
        Vehicle $vehicle, Gradient $gradient, float $from, int $gear, float $cap, float $over, bool $changes = true, float $step = self::STEP,
    ): self {
        $performance = new Performance($vehicle);
        $pull = static fn (float $v, int $in): float => $performance->acceleration(Speed::ofMetresPerSecond(max(0.0, $v)), $in, $gradient);
        $roll = static fn (float $v, int $in): float => $performance->rolling(Speed::ofMetresPerSecond(max(0.0, $v)), $in, $gradient);
        [$v, $x, $driveless] = [$from, 0.0, 0.0];
        [$metres, $speeds, $gears] = [[$x], [$v], [$gear]];
        $top = $performance->topMps($gear);
        for ($t = 0.0; $t < self::LONGEST && $x < $over; $t += $step) {
            $most = FullGas::CHANGE_AT * $top;
            // Whether the gear has all but run out, and the next one, if there is one, would still gain.
            $runsOut = $v >= $most;
            $goesUp = $runsOut && $changes && $gear < $vehicle->gearbox->topGear() && $pull($v, $gear + 1) > self::STILL_GAINS;
            if ($goesUp && $driveless <= 1e-9 && $cap > $most) {
                $gear++;
                $top = $performance->topMps($gear);
                $driveless = $vehicle->shiftSeconds;
            }
            $pushed = $driveless > 1e-9 ? $roll : $pull;
            $a = $pushed($v + $pushed($v, $gear) * $step / 2.0, $gear);
            // A gear that is held ends at the red line: the engine gives no more than holds it there.
            $held = $runsOut && ! $goesUp ? max($from, min($cap, $top)) : $cap;
            $next = max(0.0, $v >= $held ? $v : min($held, $v + $a * $step));
            $x += ($v + $next) / 2.0 * $step;
            $v = $next;
            $driveless = max(0.0, $driveless - $step);
            $metres[] = $x;
            $speeds[] = $v;
            $gears[] = $gear;
            if ($v < 0.05) {
                break;
            }
        }

        return new self($metres, $speeds, $gears, $step);
    }

    /** Speed after so many metres; the last one beyond what was driven. */
    public function mpsAfterMetres(float $metres): float
    {
        return $this->after($metres, $this->speeds);
    }

    /** So far driven when this speed is reached; where it never is, all of it. */
    public function metresAtMps(float $mps): float
    {
        [$low, $high] = [0, count($this->speeds) - 1];
        if ($mps <= $this->speeds[$low] || $mps >= $this->speeds[$high]) {
            return $this->metres[$mps <= $this->speeds[$low] ? $low : $high];
        }
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            $this->speeds[$middle] <= $mps ? $low = $middle : $high = $middle;
        }
        $wide = $this->speeds[$high] - $this->speeds[$low];

        return $this->metres[$low] + ($wide > 0.0 ? ($mps - $this->speeds[$low]) / $wide : 0.0) * ($this->metres[$high] - $this->metres[$low]);
    }

    public function secondsTo(float $metres): float
    {
        return $this->after($metres, array_map(fn (int $i): float => $i * $this->step, array_keys($this->metres)));
    }

    public function metresAt(float $seconds): float
    {
        $i = (int) floor($seconds / $this->step);
        $last = count($this->metres) - 1;
        if ($i >= $last) {
            return $this->metres[$last] + ($seconds - $last * $this->step) * $this->speeds[$last];
        }

        return $this->metres[$i] + ($this->metres[$i + 1] - $this->metres[$i]) * ($seconds / $this->step - $i);
    }

    public function mpsAt(float $seconds): float
    {
        return $this->speeds[(int) min(count($this->speeds) - 1, round($seconds / $this->step))];
    }

    public function gearAt(float $seconds): int
    {
        return $this->gears[(int) min(count($this->gears) - 1, round($seconds / $this->step))];
    }

    /** Mean acceleration over so many metres, m/s2: what a constant one would have to be. */
    public function meanMps2Over(float $metres): float
    {
        return $metres <= 0.0 ? 0.0 : ($this->mpsAfterMetres($metres) ** 2 - $this->speeds[0] ** 2) / (2.0 * $metres);
    }

    /** @param  non-empty-list<float>  $column */
    private function after(float $metres, array $column): float
    {
        $last = count($this->metres) - 1;
        if ($metres >= $this->metres[$last]) {
            return $column[$last];
        }
        [$low, $high] = [0, $last];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            $this->metres[$middle] <= $metres ? $low = $middle : $high = $middle;
        }
        $wide = $this->metres[$high] - $this->metres[$low];

        return $column[$low] + ($wide > 0.0 ? ($metres - $this->metres[$low]) / $wide : 0.0) * ($column[$high] - $column[$low]);
    }
}
