<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\LookHabit;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Rules\StepCount;
use NobleTurn\Core\Vehicle\Handling;

/**
 * How long each part of the routine takes, in seconds. All assumed: no handbook prints them. A part that
 * has a least is planned with a margin above it, so that the point named at the kerb can be missed a little
 * either way without breaking a rule.
 */
final readonly class Timing
{
    public const MARGIN_S = 0.3;

    private function __construct(
        /** Two glances of 0.6 s with 0.4 s of eyes ahead between them. */
        public float $mirrorsSeconds = 1.6,
        /** From the last mirror to the signal, planned and least. */
        public float $thinkSeconds = 2.0,
        public float $thinkLeastSeconds = 1.0,
        /** The signal seen by others before brake light or sideways move, planned and least. */
        public float $seenSeconds = 2.0 + self::MARGIN_S,
        public float $seenLeastSeconds = 2.0,
        /** The sideways move begins this much before the first brake light. */
        public float $leadSeconds = 0.3,
        public float $driftSeconds = 2.0,
        /** Gently on the brake before it becomes firm, where the car keeps its place. */
        public float $gentleAloneSeconds = 1.0,
        public float $marginSeconds = self::MARGIN_S,
        /** What was seen in the mirrors is out of date after this. */
        public float $staleSeconds = 6.0,
        /** A close follower, or somebody passing on that side, is warned this much earlier. */
        public float $warnEarlierSeconds = 1.0,
        /** Two ways, back again, once more, and a second to decide. */
        public float $lookAndDecideSeconds = 3.0,
        /** At the final speed before the line. */
        public float $crawlSeconds = 0.75,
        /** A whole gear change, clutch down to clutch up. */
        public float $gearChangeSeconds = 1.5,
        /** Clutch settled before steering. */
        public float $settledSeconds = 0.3,
        /** Saying a direction, and taking it in. */
        public float $directionSeconds = 4.0,
        /** Reading a direction sign and settling what it asks. */
        public float $readSignSeconds = 2.0,
        /** Along a path that crosses our way, both sides once. */
        public float $lookAlongPathSeconds = 1.5,
        /** Each further part of a direction. */
        public float $furtherPartSeconds = 2.0,
        /** From the pedal, and the brake light, to the brakes: air has to come to those of a long vehicle. */
        public float $brakeLagSeconds = 0.0,
    ) {
    }

    /** Each look takes about half a second: a practice that counts three looks needs one less than one that goes on. */
    private const LOOK_S = 0.5;

    public static function planned(LookHabit $look, ?Handling $handling = null): self
    {
        $all = new self;

        return new self(
            lookAndDecideSeconds: $all->lookAndDecideSeconds - ($look === LookHabit::Alternate ? 0.0 : self::LOOK_S),
            brakeLagSeconds: $handling->brakeLagSeconds ?? 0.0,
        );
    }

    /** Every part shortened alike, for a place too short for the routine at any speed. */
    public function compressed(float $factor): self
    {
        return new self(
            $this->mirrorsSeconds * $factor, $this->thinkSeconds * $factor, $this->thinkLeastSeconds * $factor, $this->seenSeconds * $factor,
            $this->seenLeastSeconds * $factor, $this->leadSeconds * $factor, $this->driftSeconds * $factor, $this->gentleAloneSeconds * $factor,
            $this->marginSeconds * $factor,
            $this->staleSeconds, $this->warnEarlierSeconds * $factor, $this->lookAndDecideSeconds * $factor, $this->crawlSeconds * $factor,
            $this->gearChangeSeconds, $this->settledSeconds, $this->directionSeconds, $this->readSignSeconds, brakeLagSeconds: $this->brakeLagSeconds,
        );
    }

    /** Off the gas from the end of the mirrors to the first brake light; without a signal or a move their share of it falls away. */
    public function easingOffSeconds(Demand $demand): float
    {
        return $this->thinkSeconds + ($demand->signals === null ? 0.0 : $this->seenSeconds) + $this->leadSecondsOf($demand);
    }

    /** Looking both ways and deciding, reckoned from the brake: where the gear is a step between them, that comes first. */
    public function lookSecondsAfterTheBrake(Approach $approach): float
    {
        return $this->lookAndDecideSeconds + ($approach->practice->steps === StepCount::Six
            && $approach->vehicle->hasClutch() ? Gears::AFTER_THE_BRAKE_S : 0.0);
    }

    /** Gentle until the sideways move is done, with the margin; without one for a moment only. */
    public function gentleSeconds(Demand $demand): float
    {
        return $demand->moves === null ? $this->gentleAloneSeconds : $this->driftSeconds - $this->leadSeconds + $this->marginSeconds;
    }

    /** How much earlier than the brake light the first thing is that others can see. */
    public function leadSecondsOf(Demand $demand): float
    {
        return $demand->moves === null ? 0.0 : $this->leadSeconds;
    }

    /** @return list<Assumption> */
    public function assumptions(): array
    {
        $assumed = Source::assumed();

        return [
            new Assumption('mirror check: two glances, eyes ahead between', $this->mirrorsSeconds, 's', $assumed),
            new Assumption('time to think between mirrors and signal', $this->thinkSeconds, 's', $assumed),
            new Assumption('least time to think', $this->thinkLeastSeconds, 's', $assumed),
            new Assumption('signal seen before brake light or sideways move', $this->seenSeconds, 's', $assumed),
            new Assumption('least time the signal is seen', $this->seenLeastSeconds, 's', $assumed),
            new Assumption('sideways move', $this->driftSeconds, 's', $assumed),
            new Assumption('mirrors out of date after', $this->staleSeconds, 's', $assumed),
            new Assumption('looking both ways and deciding', $this->lookAndDecideSeconds, 's', $assumed),
            new Assumption('whole gear change', $this->gearChangeSeconds, 's', $assumed),
            new Assumption('saying a direction and taking it in', $this->directionSeconds, 's', $assumed),
        ];
    }
}
