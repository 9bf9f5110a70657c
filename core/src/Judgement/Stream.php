<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Motion\PullAway;
use NobleTurn\Core\Trade\Side;

/**
 * What one stream asks of a gap: our car has to be out of its way, or ahead of it at its speed, before its next vehicle
 * would have to change anything. Places are metres before the point where the paths meet.
 */
final readonly class Stream
{
    /** The other driver's answer to us (assumed), s; room that must stay between bodies (assumed), m. */
    public const REACTION = 1.0;

    public const ROOM = 2.0;

    /** Moments at which a joined stream is looked at, s apart: between them nothing turns round. */
    private const LOOK = 0.2;

    private function __construct(
        public Side $from,
        /** Joined: we drive on in this stream; otherwise only crossed. */
        public bool $joined,
        private PullAway $ours,
        private float $speed,
        /** Path to where our rear is out of the way, m; for a joined stream to where the car is straight in its lane. */
        private float $path,
        private float $length,
        /** Of that path so much lies along the stream, m. */
        private float $along,
    ) {
    }

    public static function crossed(Side $from, PullAway $ours, float $speed, float $path, float $length): self
    {
        return new self($from, false, $ours, $speed, $path, $length, 0.0);
    }

    public static function joined(Side $from, PullAway $ours, float $speed, float $path, float $along, float $length): self
    {
        return new self($from, true, $ours, $speed, $path, $length, $along);
    }

    /** So far from the meeting point the next vehicle must at the least still be, m. */
    public function criticalMetres(): float
    {
        if (! $this->joined) {
            return $this->ours->secondsTo($this->path + $this->length) * $this->speed;
        }
        $most = 0.0;
        for ($t = 0.0, $end = $this->ours->lastsSeconds() + 1.0; $t <= $end; $t += self::LOOK) {
            $most = max($most, $this->speed * $t - $this->rearAt($t) + self::ROOM);
        }

        return $most;
    }

    public function criticalSeconds(): float
    {
        return $this->speed > 0.0 ? $this->criticalMetres() / $this->speed : 0.0;
    }

    /**
     * Constant deceleration with which the other driver, after a reaction, keeps clear of us; 0 where nothing has to change,
     * and infinite where no braking helps.
     */
    public function askedMps2(float $distance): float
    {
        if ($distance >= $this->criticalMetres() - 1e-6) {
            return 0.0;
        }
        [$low, $high] = [0.0, 20.0];
        if (! $this->isClear($distance, $high)) {
            return INF;
        }
        for ($i = 0; $i < 24; $i++) {
            $middle = ($low + $high) / 2.0;
            $this->isClear($distance, $middle) ? $high = $middle : $low = $middle;
        }

        return $high;
    }

    private function isClear(float $distance, float $deceleration): bool
    {
        $end = $this->joined ? $this->ours->lastsSeconds() + 1.0 : $this->ours->secondsTo($this->path + $this->length);
        if (! $this->joined) {
            return $this->theirs($end, $deceleration) <= $distance + 1e-9;
        }
        for ($t = 0.0; $t <= $end; $t += self::LOOK) {
            if ($this->theirs($t, $deceleration) > $distance + $this->rearAt($t) - self::ROOM + 1e-9) {
                return false;
            }
        }

        return true;
    }

    /** How far they have come. */
    private function theirs(float $t, float $deceleration): float
    {
        $braking = max(0.0, $t - self::REACTION);
        $stops = $deceleration > 0.0 ? $this->speed / $deceleration : INF;
        $braking = min($braking, $stops);

        return $this->speed * min($t, self::REACTION) + $this->speed * $braking - $deceleration * $braking ** 2 / 2.0;
    }

    /** Our rear along the stream from the meeting point: in the turn it swings in evenly. */
    private function rearAt(float $t): float
    {
        $s = $this->ours->metresAt($t);
        $front = $s <= $this->path ? $this->along * ($s / $this->path) : $this->along + $s - $this->path;

        return max(0.0, $front - $this->length);
    }
}
