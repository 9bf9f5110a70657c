<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/**
 * When a press happened, from what three clocks say: the device's at the press, the device's when it sent, and the receiver's when
 * that arrived. A device's clock may be hours off; what it measures between two presses is right all the same.
 */
final readonly class PressTime
{
    /** What a message may take on its way, seconds (assumed): a difference within it says nothing of the clock. */
    public const ON_THE_WAY_S = 5.0;

    /** A press that its own clock puts further ahead of the receiver's than this is shown with a warning, seconds (assumed). */
    public const FAR_AHEAD_S = 86_400.0;

    /** @param  float  $offset  seconds to add to what the device said */
    private function __construct(private float $offset)
    {
    }

    /** @param  ?\DateTimeImmutable  $sent  by the device's clock; null where it does not say */
    public static function between(?\DateTimeImmutable $sent, \DateTimeImmutable $arrived): self
    {
        $apart = $sent === null ? 0.0 : self::seconds($arrived) - self::seconds($sent);
        // Drawn towards nothing by the time on the way, so that a hair more of it moves no press by more than a hair.
        $offset = max(0.0, abs($apart) - self::ON_THE_WAY_S);

        return new self($apart < 0.0 ? -$offset : $offset);
    }

    /** Never after it arrived: whatever a clock says, a press comes before its message. */
    public function of(\DateTimeImmutable $said, \DateTimeImmutable $arrived): \DateTimeImmutable
    {
        $milliseconds = (int) round($this->offset * 1000.0);
        $pressed = $said->modify(sprintf('%+d milliseconds', $milliseconds));

        return $pressed > $arrived ? $arrived : $pressed;
    }

    public static function isFarAhead(\DateTimeImmutable $said, \DateTimeImmutable $arrived): bool
    {
        return self::seconds($said) - self::seconds($arrived) > self::FAR_AHEAD_S;
    }

    private static function seconds(\DateTimeImmutable $time): float
    {
        return (float) $time->format('U.u');
    }
}
