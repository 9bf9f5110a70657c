<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;

/** A gap to the vehicle ahead held against the one wanted, both as time and as metres at our own speed. */
final readonly class Following
{
    /** How quickly easing off opens a gap, m/s2 (assumed). */
    public const EASING_OFF = 0.75;

    private function __construct(
        public float $gapSeconds,
        public float $gapMetres,
        public float $wantedSeconds,
        public float $wantedMetres,
        public float $carLengths,
        public float $shortBySeconds,
        /** Null where easing off alone would end in the one ahead. */
        public ?float $secondsToOpen,
        public bool $opensBeforeStanding,
        /** Our speed when the gap is open again, m/s. */
        public float $afterMps,
        /** The least distance on the way there, m; negative where easing off alone would not do. */
        public float $leastMetres,
    ) {
    }

    /**
     * Easing off at a constant rate behind a leader at steady speed u: after t seconds the gap has changed by
     * (u - v) t + a t^2 / 2 and the gap wanted has shrunk by w a t, so it is enough when
     * a t^2 / 2 + (u - v + w a) t = short. Where our own car would stand before that (it does so after v / a), the gap
     * goes on growing at the leader's speed.
     */
    public static function at(Speed $speed, Duration $gap, Duration $wanted, Distance $carLength, ?Speed $leader = null): self
    {
        $v = $speed->inMetresPerSecond();
        $short = max(0.0, $wanted->inSeconds() - $gap->inSeconds()) * $v;
        $a = self::EASING_OFF;
        $w = $wanted->inSeconds();
        $closing = $v - ($leader?->inMetresPerSecond() ?? $v);
        $b = $w * $a - $closing;
        $opens = (-$b + sqrt($b ** 2 + 2.0 * $a * $short)) / $a;
        // Speeds are equal after closing / a: until then a slower leader comes nearer.
        $least = $gap->inSeconds() * $v - max(0.0, $closing) ** 2 / (2.0 * $a);

        return new self(
            $gap->inSeconds(),
            $gap->inSeconds() * $v,
            $w,
            $w * $v,
            $gap->inSeconds() * $v / $carLength->inMetres(),
            max(0.0, $w - $gap->inSeconds()),
            $least < 0.0 ? null : ($short > 0.0 ? $opens : 0.0),
            $opens <= $v / $a + 1e-9 || $short <= 0.0,
            $short > 0.0 ? max(0.0, $v - $a * $opens) : $v,
            $least,
        );
    }
}
