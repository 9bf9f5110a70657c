<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Motion\PullAway;

/**
 * Waiting inside a crossroads under lights to turn across. When the lights change, those who come towards us and are too near to stop still pass; then we
 * are clear before those who come from the side have their green, or not. Seconds count from the change to amber, which we and they are taken to have
 * together: from then on it is red for both a moment later, and who stands inside goes on out of it.
 */
final readonly class InsideTheLights
{
    /** To begin, when the last has passed and the next was seen to slow meanwhile, s (assumed). */
    public const SEES_S = 0.5;

    /** Nobody goes off at once with their green, s (assumed). */
    public const THEY_START_S = 1.0;

    /** As they gain speed, m/s2 (assumed: brisk). */
    public const THEY_GAIN_MPS2 = 2.0;

    /** With so much in hand nobody is hurried, s (assumed). */
    public const CLEAR_S = 1.0;

    /** Who waits behind another there begins so much later, s (assumed). */
    public const EACH_LATER_S = 2.0;

    /** Stands ahead of another by so much, m (assumed). */
    private const BETWEEN_M = 1.0;

    /**
     * @param  AmberStretch  $theirs  of those who come towards us
     * @param  float  $allRedSeconds  between the one red and the other green
     * @param  float  $roomMetres  to stand in, from the line to where the way of those who come towards us begins
     * @param  float  $lengthMetres  of our car
     * @param  float  $acrossMetres  from their line to behind where our ways cross
     * @param  float  $outMetres  we drive from where we wait until our rear is out
     * @param  float  $sideMetres  from the line of those from the side to our way
     * @param  int<0, max>  $ahead  cars that wait there before us
     * @param  PullAway  $away  ours, from the moment we begin
     */
    public function __construct(
        public AmberStretch $theirs, public float $allRedSeconds, private float $roomMetres, private float $lengthMetres, private float $acrossMetres,
        private float $outMetres, private float $sideMetres, private int $ahead, private PullAway $away,
    ) {
    }

    /** How many cars there is room for. */
    public function holds(): int
    {
        return (int) floor(max(0.0, $this->roomMetres + self::BETWEEN_M) / ($this->lengthMetres + self::BETWEEN_M));
    }

    public function hasRoom(): bool
    {
        return $this->holds() > $this->ahead;
    }

    /** When the last who cannot stop has passed, s; infinite where nothing stops them. */
    public function lastPassesSeconds(): float
    {
        return ($this->theirs->stoppingMetres() + $this->acrossMetres) / $this->theirs->speedMps;
    }

    /** When we are out where we go as soon as they are seen to stop, s. */
    public function outSeconds(): float
    {
        return $this->lastPassesSeconds() + self::SEES_S + $this->ahead * self::EACH_LATER_S + $this->away->secondsTo($this->outMetres);
    }

    /** When the first from the side can be where our ways cross, s. */
    public function theyComeSeconds(): float
    {
        return $this->theirs->amberSeconds + $this->allRedSeconds + self::THEY_START_S + sqrt(2.0 * max(0.0, $this->sideMetres) / self::THEY_GAIN_MPS2);
    }

    public function spareSeconds(): float
    {
        return $this->theyComeSeconds() - $this->outSeconds();
    }
}
