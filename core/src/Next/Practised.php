<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

/**
 * For how much practice what somebody can do stands: what they learn from the next round falls with it. Whoever has driven much and is not far goes
 * on neither as one who is far nor as one who has hardly begun: half and half, as logarithms (assumed).
 */
final class Practised
{
    private const BY_WHERE_ONE_STANDS = 0.5;

    /** Logits for each factor e of rounds (assumed): whoever had a bad day after many good ones still learns from the next round. */
    public const LEAST_GAIN = 0.3;

    /** What somebody gains by practice, as their marks say it, and never so little that nothing would help; logits for each factor e of rounds. */
    public static function gain(float $gains): float
    {
        return max(self::LEAST_GAIN, $gains);
    }

    /**
     * Rounds that leave as much to be gained as there is, between those that were driven and those that most would have needed to get there.
     *
     * @param  float  $driven  rounds
     * @param  float  $risen  logits above where one begins
     * @param  float  $gains  by practice, logits for each factor e of rounds
     * @return float rounds, never more than were driven
     */
    public static function rounds(float $driven, float $risen, float $gains): float
    {
        $needed = min(log(1.0 + $driven), max(0.0, $risen / self::gain($gains)));

        return exp((1.0 - self::BY_WHERE_ONE_STANDS) * log(1.0 + $driven) + self::BY_WHERE_ONE_STANDS * $needed) - 1.0;
    }
}
