<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

/**
 * A long vehicle at the kerb of a busy road: it waits for a gap that comes by itself, and only after a while asks for room by its signal. At once it would make
 * those behind brake. Common practice, no source.
 */
final readonly class AskForRoom
{
    /** From so long on it may ask, and by then it does, s. */
    public const FROM_S = 30.0;

    public const BY_S = 40.0;

    public function __construct(private float $waitedSeconds, private bool $isGap)
    {
    }

    /** Until it may ask, s; null where there is a gap and nothing has to be asked. */
    public function inSeconds(): ?float
    {
        return $this->isGap ? null : max(0.0, self::FROM_S - $this->waitedSeconds);
    }

    public function message(): string
    {
        return match (true) {
            $this->isGap => 'A gap that comes by itself: signal, last look, and go.',
            $this->waitedSeconds < self::FROM_S => sprintf(
                'A gap that comes by itself first; no signal yet. If none comes, ask with it in about %d s.', ceil(self::FROM_S - $this->waitedSeconds),
            ),
            $this->waitedSeconds < self::BY_S => 'No gap for half a minute: with the next one far off, signal to ask, ready to go.',
            default => 'Signal to ask, ready to go; away once somebody is seen to hold back, and whoever is behind them too.',
        };
    }
}
