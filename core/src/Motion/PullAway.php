<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Handling;
use NobleTurn\Core\Vehicle\Performance;
use NobleTurn\Core\Vehicle\Purpose;
use NobleTurn\Core\Vehicle\Vehicle;

/**
 * Away from a line: the car stands or rolls until the start is made, gains speed at an unhurried share of what it has,
 * no faster round the turn than is comfortable, and on to the stream's speed. Columns every `STEP` seconds.
 */
final readonly class PullAway
{
    public const STEP = 0.05;

    /** Of the full-gas acceleration in the gear that is used (assumed). */
    public const SHARE = 0.9;

    /**
     * As it is taught in a car, brisk: 0 to 30 mph in about 9 s. So much from a standstill, m/s2, and for each m/s so much less (common
     * practice, no source; the falling assumed).
     */
    public const TAUGHT_MPS2 = 1.8;

    private const LESS_PER_MPS = 0.042;

    /** Some is always there, m/s2. */
    private const LEAST_MPS2 = 0.05;

    private const LONGEST = 120.0;

    /** Steps of the table of accelerations, and below which speed first is the gear, m/s. */
    private const TABLE = 0.25;

    private const FIRST_BELOW = 2.0;

    /**
     * @param  non-empty-list<float>  $metres  front bumper along our path, from where it began
     * @param  non-empty-list<float>  $speeds
     */
    private function __construct(public array $metres, public array $speeds)
    {
    }

    /**
     * @param  float  $delay  s before the wheels turn, or before the gas when rolling
     * @param  float  $turning  m of path driven no faster than $comfortable, m/s
     * @param  float  $wanted  speed at which nothing more is gained, m/s
     * @param  float  $path  m after which nothing more is reckoned once the speed is reached
     * @param  float  $grip  the most the tyres are asked for, m/s2
     */
    public static function run(
        Vehicle $vehicle, Gradient $gradient, float $from, float $delay, float $turning, float $comfortable, float $wanted, float $path,
        float $grip = INF,
    ): self {
        $pull = self::table($vehicle, $gradient, max($from, $wanted), $grip);
        [$s, $v] = [0.0, $from];
        [$metres, $speeds] = [[$s], [$v]];
        for ($t = self::STEP; $t <= self::LONGEST; $t += self::STEP) {
            $cap = $s < $turning ? min($comfortable, $wanted) : $wanted;
            $a = 0.0;
            if ($t > $delay && $v < $cap) {
                $a = $pull[(int) min(count($pull) - 1, floor($v / self::TABLE))];
            }
            $next = min(max($v, $cap), $v + $a * self::STEP);
            $s += ($v + $next) / 2.0 * self::STEP;
            $v = $next;
            $metres[] = $s;
            $speeds[] = $v;
            if ($v >= $wanted - 1e-6 && $s >= $path) {
                break;
            }
        }

        return new self($metres, $speeds);
    }

    /**
     * The acceleration used at each speed, m/s2: in the gear that pulls there.
     *
     * @return non-empty-list<float>
     */
    private static function table(Vehicle $vehicle, Gradient $gradient, float $most, float $grip): array
    {
        $performance = new Performance($vehicle);
        $taught = self::taughtMps2($vehicle);
        $table = [];
        for ($v = self::TABLE / 2.0; $v <= $most + self::TABLE; $v += self::TABLE) {
            $now = Speed::ofMetresPerSecond($v);
            $gear = GearChoice::for($vehicle, $v < self::FIRST_BELOW ? Purpose::Creep : Purpose::Pull, $now, $gradient)->gear;
            $table[] = max(self::LEAST_MPS2, min(
                $taught * (1.0 - self::LESS_PER_MPS / self::TAUGHT_MPS2 * $v), $grip, self::SHARE * $performance->acceleration($now, $gear, $gradient),
            ));
        }

        return $table === [] ? [self::LEAST_MPS2] : $table;
    }

    /** From a standstill in this vehicle, m/s2: in a long or heavy one less by as much as what is comfortable is. */
    public static function taughtMps2(Vehicle $vehicle): float
    {
        return Handling::of($vehicle)->unhurried(Acceleration::ofMetresPerSecondSquared(self::TAUGHT_MPS2))->inMetresPerSecondSquared();
    }

    /** Seconds until the front has gone so far; extended at the last speed. */
    public function secondsTo(float $metres): float
    {
        foreach ($this->metres as $i => $at) {
            if ($at >= $metres) {
                $before = $i === 0 ? 0.0 : $this->metres[$i - 1];
                $share = $at > $before ? ($metres - $before) / ($at - $before) : 1.0;

                return max(0.0, $i - 1 + $share) * self::STEP;
            }
        }
        $last = count($this->metres) - 1;

        return $last * self::STEP + ($metres - $this->metres[$last]) / max(0.1, $this->speeds[$last]);
    }

    public function metresAt(float $seconds): float
    {
        $last = count($this->metres) - 1;
        $i = (int) floor($seconds / self::STEP);
        if ($i >= $last) {
            return $this->metres[$last] + $this->speeds[$last] * ($seconds - $last * self::STEP);
        }
        $share = $seconds / self::STEP - $i;

        return $this->metres[$i] + ($this->metres[$i + 1] - $this->metres[$i]) * $share;
    }

    public function speedAt(float $seconds): float
    {
        $last = count($this->speeds) - 1;
        $i = (int) floor($seconds / self::STEP);
        if ($i >= $last) {
            return $this->speeds[$last];
        }

        return $this->speeds[$i] + ($this->speeds[$i + 1] - $this->speeds[$i]) * ($seconds / self::STEP - $i);
    }

    /** Whether the speed wanted was reached: on a hill a heavy vehicle may never. */
    public function reaches(float $wanted): bool
    {
        return $this->speeds[count($this->speeds) - 1] >= $wanted - 0.1;
    }

    public function lastsSeconds(): float
    {
        return (count($this->metres) - 1) * self::STEP;
    }
}
