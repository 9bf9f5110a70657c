<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\Handling;
use NobleTurn\Core\Vehicle\Vehicle;

/**
 * Overtaking on a single carriageway: from the overtaking position behind a vehicle at a steady speed, gas fully down in
 * the gear taken, back in front of it with the gap wanted there. Kinematics of the trade: the way relative to the other is
 * gap behind + its length + ours + gap ahead; sight needed is our way, the oncoming vehicle's meanwhile, and a margin.
 */
final readonly class Overtaking
{
    /** Behind it where one closes up for the moment of decision, s (common practice). */
    public const CLOSED_UP_S = 0.5;

    /** Ahead of it on return, s (assumed). */
    public const RETURN_S = 1.0;

    /** Left between us and the oncoming vehicle when we are back (assumed), s of its own way. */
    public const MARGIN_S = 2.0;

    /** Reaction and brake of giving up in a car on a dry road (assumed). */
    public const REACTION_S = 0.8;

    public const BRAKE = 4.0;

    public Throttle $run;

    /** Seconds from leaving the lane to being back in it; null where it is never done. */
    public ?float $seconds;

    public function __construct(
        public Vehicle $vehicle,
        Gradient $gradient,
        public int $gear,
        public float $otherMps,
        public float $otherLengthMetres,
        public float $limitMps,
        public float $oncomingMps,
        bool $changes,
        public float $returnSeconds = self::RETURN_S,
        public Surface $surface = Surface::Dry,
        /** Behind it when the gas goes down, s of its way. */
        public float $behindSeconds = self::CLOSED_UP_S,
    ) {
        $this->run = Throttle::run($vehicle, $gradient, $otherMps, $gear, $limitMps, self::FAR, $changes);
        $this->seconds = $this->passed();
    }

    /** Further than this nobody overtakes, m. */
    private const FAR = 1500.0;

    public function behindMetres(): float
    {
        return $this->behindSeconds * $this->otherMps;
    }

    /** To be gained on the other from the overtaking position to the return, m. */
    public function relativeMetres(): float
    {
        return $this->behindMetres() + $this->otherLengthMetres + $this->vehicle->length->inMetres() + $this->returnSeconds * $this->otherMps;
    }

    /** Our own way meanwhile, m. */
    public function metres(): float
    {
        return $this->run->metresAt($this->seconds ?? 0.0);
    }

    public function marginMetres(): float
    {
        return self::MARGIN_S * $this->oncomingMps;
    }

    public function sightNeededMetres(): float
    {
        return $this->seconds === null ? INF : $this->metres() + $this->oncomingMps * $this->seconds + $this->marginMetres();
    }

    /** Gained on the other after so many seconds, m. */
    public function gainedMetres(float $seconds): float
    {
        return $this->run->metresAt($seconds) - $this->otherMps * $seconds;
    }

    /** Seconds to fall back behind it again, giving up at a moment: reaction, then the brake until we are behind it. */
    public function secondsToFallBack(float $at): float
    {
        $v = $this->run->mpsAt($at) - $this->otherMps;
        $reaction = $this->reactionSeconds();
        $lead = $this->gainedMetres($at) + $v * $reaction;

        // lead + v t - b t^2 / 2 = 0: back where the overtaking position was.
        $brake = $this->brakeMps2();

        return $reaction + ($v + sqrt(max(0.0, $v ** 2 + 2.0 * $brake * max(0.0, $lead)))) / $brake;
    }

    /** Until the brakes of giving up act, s: in a long vehicle the air comes first. */
    public function reactionSeconds(): float
    {
        return self::REACTION_S + Handling::of($this->vehicle)->brakeLagSeconds;
    }

    /** The brake of giving up, as hard as surface and vehicle allow, m/s2. */
    public function brakeMps2(): float
    {
        return self::BRAKE * Handling::of($this->vehicle)->grip($this->surface) / Surface::Dry->grip();
    }

    /** From here on going on is sooner done than falling back, s; null where it never is. */
    public function pointOfNoReturnSeconds(): ?float
    {
        if ($this->seconds === null) {
            return null;
        }
        for ($t = 0.0; $t < $this->seconds; $t += Throttle::STEP) {
            if ($this->seconds - $t <= $this->secondsToFallBack($t)) {
                return $t;
            }
        }

        return $this->seconds;
    }

    private function passed(): ?float
    {
        $wanted = $this->relativeMetres();
        $last = count($this->run->metres) - 1;
        for ($i = 1; $i <= $last; $i++) {
            $now = $this->gainedMetres($i * Throttle::STEP);
            if ($now >= $wanted) {
                $before = $this->gainedMetres(($i - 1) * Throttle::STEP);

                return ($i - 1 + ($wanted - $before) / max(1e-9, $now - $before)) * Throttle::STEP;
            }
        }

        return null;
    }
}
