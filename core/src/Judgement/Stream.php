<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Motion\PullAway;
use NobleTurn\Core\Rules\AsksOfOthers;

/**
 * What one stream asks of a gap. Crossed: our tail is out of its way a margin of time before its next vehicle arrives. Joined:
 * that vehicle ends a headway of time behind us when our speeds are equal, and never closer than bodies may be until then.
 * Places are metres before the point where the paths meet.
 */
final readonly class Stream
{
    /** The other driver's answer to us (assumed), s; room that must stay between bodies (assumed), m. */
    public const REACTION = 1.5;

    public const ROOM = 2.0;

    /** The least time behind us once joined, and between our tail and the next nose where crossed, s (assumed). */
    public const HEADWAY = 1.0;

    public const CROSSING_MARGIN = 1.0;

    /** Moments at which a joined stream is looked at, s apart: between them nothing turns round. */
    private const LOOK = 0.1;

    private function __construct(
        /** We drive on in this stream; otherwise it is only crossed. */
        public bool $joined,
        private PullAway $ours,
        private float $speed,
        /** Path to where our rear is out of the way, m; for a joined stream to where the car is straight in its lane. */
        private float $path,
        private float $length,
        /** Of that path so much lies along the stream, m. */
        private float $along,
        /** Headway or margin, s. */
        private float $spare,
    ) {
    }

    public static function crossed(PullAway $ours, float $speed, float $path, float $length, float $margin = self::CROSSING_MARGIN): self
    {
        return new self(false, $ours, $speed, $path, $length, 0.0, $margin);
    }

    public static function joined(PullAway $ours, float $speed, float $path, float $along, float $length, float $headway = self::HEADWAY): self
    {
        return new self(true, $ours, $speed, $path, $length, $along, $headway);
    }

    /** The least gap that is enough where others may be asked so much, s. */
    public function neededSeconds(AsksOfOthers $asked): float
    {
        return $this->neededMetres($asked->mps2(), $asked->floor()) / $this->speed;
    }

    /**
     * Constant deceleration with which the other driver, after a reaction, leaves us the margin; 0 where nothing has to
     * change, and infinite where no braking helps.
     *
     * @param  float  $most  the hardest their tyres allow, m/s2
     */
    public function askedMps2(float $distance, float $most): float
    {
        if ($distance >= $this->neededMetres(0.0) - 1e-6) {
            return 0.0;
        }
        if ($distance < $this->neededMetres($most)) {
            return INF;
        }
        [$low, $high] = [0.0, $most];
        for ($i = 0; $i < 24; $i++) {
            $middle = ($low + $high) / 2.0;
            $this->neededMetres($middle) <= $distance ? $high = $middle : $low = $middle;
        }

        return $high;
    }

    /** How much time they are behind us at the end if they do nothing, s; null where we only cross. Not below nought: there they would have met us. */
    public function headwayAtEndSeconds(float $distance): ?float
    {
        if (! $this->joined) {
            return null;
        }
        $end = $this->ours->lastsSeconds();

        return max(0.0, ($distance - $this->speed * $end + $this->rearAt($end)) / $this->speed);
    }

    /** So far off must the next vehicle at the least be, slowed like this and not below a share of its speed, m. */
    private function neededMetres(float $mps2, float $floor = 0.0): float
    {
        $least = $floor * $this->speed;
        if (! $this->joined) {
            return $this->theirMetres($this->ours->secondsTo($this->path + $this->length) + $this->spare, $mps2, $least);
        }
        $most = 0.0;
        for ($t = 0.0, $end = $this->ours->lastsSeconds(); $t <= $end + self::LOOK; $t += self::LOOK) {
            $behind = $this->theirMetres($t, $mps2, $least) - $this->rearAt($t);
            $theirs = $this->theirMps($t, $mps2, $least);
            $straight = $this->ours->metresAt($t) >= $this->path;
            if ($straight && $this->ours->speedAt($t) >= $theirs - 1e-6) {
                return max($most, $behind + max(self::ROOM, $this->spare * $theirs));
            }
            $most = max($most, $behind + self::ROOM);
        }

        return $most + $this->spare * $this->speed;
    }

    /** How far they have come after so long, m. */
    private function theirMetres(float $t, float $mps2, float $least): float
    {
        if ($t <= self::REACTION || $mps2 <= 0.0) {
            return $this->speed * $t;
        }
        $slowing = min($t - self::REACTION, ($this->speed - $least) / $mps2);

        return $this->speed * self::REACTION + $this->speed * $slowing - $mps2 * $slowing ** 2 / 2.0 + $least * ($t - self::REACTION - $slowing);
    }

    private function theirMps(float $t, float $mps2, float $least): float
    {
        return max($least, $this->speed - $mps2 * max(0.0, $t - self::REACTION));
    }

    /** Our rear along the stream from the meeting point: in the turn it swings in evenly. */
    private function rearAt(float $t): float
    {
        $s = $this->ours->metresAt($t);
        $front = $s <= $this->path ? $this->along * ($s / $this->path) : $this->along + $s - $this->path;

        return max(0.0, $front - $this->length);
    }
}
