<?php

declare(strict_types=1);

namespace NobleTurn\Core\Track;

/** A recorded drive. What cannot have been driven breaks it: nothing is measured across a break. */
final readonly class Track
{
    /** Nobody teaches faster; a receiver that says so has jumped, m/s (assumed). */
    private const FASTEST_MPS = 60.0;

    /** Silent for longer, it may have been anywhere, s (assumed). */
    private const SILENT_S = 120.0;

    /** Slower over so long is standing, m/s and s: a receiver wanders (assumed). */
    private const STANDING_MPS = 0.7;

    private const OVER_S = 10.0;

    /** Nearer to where it came to stand it stands there still, m: what a receiver wanders is neither driven nor a start (assumed). */
    private const STILL_THERE_M = 15.0;

    /** Lights and queues hold a car so long and belong to the drive; what it stands beyond is a stop at the kerb, s (assumed). */
    private const HELD_S = 90.0;

    /**
     * @param  list<Fix>  $fixes
     * @param  array<int, float>  $metres  driven until each
     * @param  array<int, float>  $stopped  seconds at the kerb until each
     * @param  array<int, int>  $stretch  to which unbroken stretch each belongs, from 0
     */
    private function __construct(public array $fixes, public array $metres, public array $stopped, public array $stretch)
    {
    }

    /** @param  list<Fix>  $fixes  each later than the one before */
    public static function of(array $fixes): self
    {
        $metres = $stopped = [0.0];
        $stretch = [0];
        // Where the car came to stand; null while it drives.
        $stood = null;
        $back = 0;
        for ($i = 1; $i < count($fixes); $i++) {
            $seconds = $fixes[$i]->seconds - $fixes[$i - 1]->seconds;
            $apart = $fixes[$i - 1]->at->metresTo($fixes[$i]->at);
            $isBroken = $apart > self::FASTEST_MPS * $seconds || $seconds > self::SILENT_S && $apart >= self::STANDING_MPS * $seconds;
            $stretch[$i] = $stretch[$i - 1] + ($isBroken ? 1 : 0);
            $metres[$i] = match (true) {
                $isBroken => $metres[$i - 1],
                $stood !== null => $metres[$stood] + $fixes[$stood]->at->metresTo($fixes[$i]->at),
                default => $metres[$i - 1] + $apart,
            };
            while ($fixes[$back + 1]->seconds <= $fixes[$i]->seconds - self::OVER_S) {
                $back++;
            }
            if ($isBroken || $stood !== null && $fixes[$stood]->at->metresTo($fixes[$i]->at) > self::STILL_THERE_M) {
                $stood = null;
            } elseif ($stood === null && $stretch[$back] === $stretch[$i] && self::isStanding($fixes[$back], $fixes[$i])) {
                $stood = $back;
                for ($at = $back + 1; $at <= $i; $at++) {
                    $metres[$at] = $metres[$back] + $fixes[$back]->at->metresTo($fixes[$at]->at);
                }
            }
            $stopped[$i] = $stood === null ? $stopped[$i - 1] : max(
                $stopped[$i - 1], $stopped[$stood] + max(0.0, $fixes[$i]->seconds - $fixes[$stood]->seconds - self::HELD_S),
            );
        }

        return new self($fixes, $metres, $stopped, $stretch);
    }

    private static function isStanding(Fix $from, Fix $to): bool
    {
        $seconds = $to->seconds - $from->seconds;

        return $seconds >= self::OVER_S && $from->at->metresTo($to->at) < min(self::STILL_THERE_M, self::STANDING_MPS * $seconds);
    }

    public function breaks(): int
    {
        return $this->stretch === [] ? 0 : $this->stretch[count($this->stretch) - 1];
    }

    public function seconds(): float
    {
        return $this->fixes === [] ? 0.0 : $this->fixes[count($this->fixes) - 1]->seconds - $this->fixes[0]->seconds;
    }
}
