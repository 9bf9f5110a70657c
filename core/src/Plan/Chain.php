<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Motion\ApproachMotion;
use NobleTurn\Core\Motion\FalsePosition;
use NobleTurn\Core\Motion\Halfway;
use NobleTurn\Core\Motion\Profile;
use NobleTurn\Core\Motion\Slowing;
use NobleTurn\Core\Place\Stretch;
use NobleTurn\Core\Routine\Target;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\SignalRule;
use NobleTurn\Core\Vehicle\Handling;

/**
 * The routine laid along the motion, planned backwards from the line: brake, sideways move, signal,
 * thinking, mirrors, each as late as the one after it allows. Moments are seconds to go.
 */
final readonly class Chain
{
    /** The number rule is cut to this share of a short room, so that it never asks for more than there is (assumed). */
    private const RULE_SHARE_OF_ROOM = 1.0 / 3.0;

    private const CAR_LENGTHS = 9.0;

    /** At a crawl before a line beyond which one creeps, at the least, s (assumed). */
    private const BEFORE_THE_CREEP_S = 2.0;

    /** So exactly is the time before the line found, s. */
    private const ENOUGH_S = 1e-6;

    /** Across to the far kerb, m/s (assumed: slowly, without lingering). */
    private const ACROSS_MPS = 4.0;

    private function __construct(
        public Approach $approach,
        public Timing $timing,
        public Slowing $slowing,
        public Profile $profile,
        public LineSpeed $lineSpeed,
        public float $brakeSeconds,
        public float $firmSeconds,
        public float $positionSeconds,
        /** The latest moment for the signal by the physics alone, with the margin. */
        public float $signalNeededSeconds,
        /** The school's figure in metres, after a close follower's second; null where the practice has none. */
        public ?float $ruleMetres,
        public float $signalSeconds,
        /** What is taken before the line; null where nothing is. */
        public ?Halfway $halfway,
        /** Past the line to where the view opens; null where it opens before. */
        public ?Creep $creep,
    ) {
    }

    public static function for(Approach $approach, Timing $timing): self
    {
        $slowing = Slowing::on(
            $approach->surface, $approach->gradient, $approach->vehicle->engineBraking, $approach->comfort, $approach->follower->isClose,
            Handling::of($approach->vehicle)->brakingShare,
        );
        $line = LineSpeed::for($approach, $timing);
        $halfway = self::halfway($approach, $timing, $slowing);
        $creep = Creep::past($approach, $line->metresPerSecond);
        $profile = self::motion($approach, $timing, $slowing, $line->metresPerSecond, $halfway, $creep);
        $demand = $approach->demand;
        $brakeS = $profile->lengthInSeconds() - $timing->easingOffSeconds($demand);
        $positionS = $brakeS + $timing->leadSecondsOf($demand);
        $earlier = self::warnsEarlier($approach) ? $timing->warnEarlierSeconds : 0.0;
        // Without a signal the thinking time leads straight to what others can see.
        $neededS = $positionS + ($demand->signals === null ? 0.0 : $timing->seenSeconds + $earlier);
        $rule = $demand->signals === null ? null : self::rule($approach, $earlier);
        $signalS = self::signal($neededS, $timing, $rule === null ? null : $profile->secondsAt(self::withinRoom($rule, $approach)));
        $opening = self::lastOpening($approach);
        if ($opening !== null) {
            // Past the opening, but never after the move it announces.
            $signalS = max($positionS, min($signalS, $profile->secondsAt($opening->nearMetres)));
        }

        return new self(
            $approach, $timing, $slowing, $profile, $line, $brakeS, $brakeS - $timing->brakeLagSeconds - $timing->gentleSeconds($demand), $positionS,
            $neededS, $rule, $signalS, $halfway, $creep,
        );
    }

    public function mirrorsEndSeconds(): float
    {
        return $this->signalSeconds + $this->timing->thinkSeconds;
    }

    public function mirrorsStartSeconds(): float
    {
        return $this->mirrorsEndSeconds() + $this->timing->mirrorsSeconds;
    }

    /** The latest moment for the signal with the margin spent. */
    public function signalLatestSeconds(): float
    {
        return $this->approach->demand->signals === null
            ? $this->signalNeededSeconds : $this->signalNeededSeconds - ($this->timing->seenSeconds - $this->timing->seenLeastSeconds);
    }

    public function metres(float $seconds): float
    {
        return $this->profile->metresAt($seconds);
    }

    /** Seconds to go when the car has slowed to this speed, m/s. */
    public function secondsWhereSlowerThan(float $metresPerSecond): float
    {
        return $this->profile->secondsAt($this->profile->metresWhereSpeedFallsTo($metresPerSecond));
    }

    /** Where our rear has cleared the last parked car; null where none has to be passed. */
    public function clearOfParkedMetres(): ?float
    {
        // Passing a row of them, the place beside the last one is the place wanted.
        if ($this->approach->demand->moves === null || $this->approach->demand->target === Target::PastParked) {
            return null;
        }
        $inTheWay = array_filter(
            $this->approach->parked,
            fn (Stretch $cars): bool => $this->approach->oneWay || $cars->flank === Flank::Near,
        );

        return $inTheWay === [] ? null
            : min(array_map(fn (Stretch $cars): float => $cars->nearMetres, $inTheWay)) - $this->approach->vehicle->length->inMetres();
    }

    /** The opening the signal waits for: before it, it would seem to mean it. Null where the practice signals all the same. */
    public static function lastOpening(Approach $approach): ?Stretch
    {
        return $approach->practice->waitsForOpening ? self::nearestOpening($approach) : null;
    }

    /** The opening nearest the line on the side we turn to. */
    public static function nearestOpening(Approach $approach): ?Stretch
    {
        if ($approach->demand->signals === null || $approach->openings === []) {
            return null;
        }
        $ours = array_values(array_filter($approach->openings, static fn (Stretch $opening): bool => $opening->flank === $approach->turnsTo()));
        usort($ours, static fn (Stretch $a, Stretch $b): int => $a->nearMetres <=> $b->nearMetres);

        return $ours[0] ?? null;
    }

    public static function warnsEarlier(Approach $approach): bool
    {
        return $approach->follower->isClose || $approach->isBeingPassedOnTurnSide();
    }

    /**
     * Time at the final speed before the line: at least the usual moment, and as much more as
     * looking both ways and deciding needs after the view has opened.
     */
    private static function motion(
        Approach $approach, Timing $timing, Slowing $slowing, float $lineSpeed, ?Halfway $halfway, ?Creep $creep,
    ): Profile {
        $with = static fn (float $crawlS): Profile => ApproachMotion::profile(
            $approach->speed->inMetresPerSecond(), $lineSpeed, $slowing, $timing->easingOffSeconds($approach->demand) + $timing->brakeLagSeconds,
            $timing->gentleSeconds($approach->demand), $crawlS, $halfway,
        );
        $usual = $with($timing->crawlSeconds);
        if ($creep !== null && $lineSpeed > 0.0) {
            // The look goes on during the creep; before the line there is time for first and for what already shows.
            return $with(max($timing->crawlSeconds, self::BEFORE_THE_CREEP_S, $timing->lookSecondsAfterTheBrake($approach) - $creep->seconds));
        }
        $wanted = $timing->lookSecondsAfterTheBrake($approach);
        // Looking begins where the view opens and the brake, with the gear where it is a step of its own, is done with.
        $spare = static fn (Profile $profile): float => min(
            $profile->secondsAt($approach->viewFromMetres) + $wanted - $timing->lookAndDecideSeconds,
            $profile->lengthInSeconds() - $timing->easingOffSeconds($approach->demand),
        ) - $wanted;
        if ($lineSpeed <= 0.0 || ! $approach->demand->looksBeforeGoing() || $spare($usual) >= 0.0) {
            return $usual;
        }

        return $with(FalsePosition::last(
            static fn (float $crawlS): float => $spare($with($crawlS)), max($timing->crawlSeconds, $wanted), $timing->crawlSeconds, self::ENOUGH_S,
        ));
    }

    /** A path for people is taken first; a car that crosses to the far kerb is slow before it does. */
    private static function halfway(Approach $approach, Timing $timing, Slowing $slowing): ?Halfway
    {
        $path = $approach->junction->pathBeforeMetres;
        if ($path !== null) {
            return new Halfway($path, LineSpeed::CRAWL, $timing->lookAlongPathSeconds);
        }
        if ($approach->demand->target !== Target::FarKerb) {
            return null;
        }
        $stopping = self::ACROSS_MPS ** 2 / (2.0 * $slowing->gentleMps2);

        return new Halfway(max(LateralPath::acrossMetres($approach), $stopping), self::ACROSS_MPS, $timing->lookAndDecideSeconds);
    }

    /** The school's figure wherever the signal is still seen for long enough there; otherwise what the physics asks. */
    private static function signal(float $neededS, Timing $timing, ?float $ruleS): float
    {
        $latestS = $neededS - ($timing->seenSeconds - $timing->seenLeastSeconds);

        return $ruleS !== null && $ruleS >= $latestS ? $ruleS : $neededS;
    }

    private static function rule(Approach $approach, float $earlier): ?float
    {
        $metres = match ($approach->practice->signal) {
            SignalRule::LimitNumber => $approach->pack->numberRuleForSignal($approach->limit)->inMetres(),
            SignalRule::CarLengths => self::CAR_LENGTHS * $approach->vehicle->carLengthMetres(),
            SignalRule::BrakingLead => null,
        };

        return $metres === null ? null : $metres + $earlier * $approach->speed->inMetresPerSecond();
    }

    private static function withinRoom(float $rule, Approach $approach): float
    {
        return $approach->room === null ? $rule : min($rule, $approach->room->inMetres() * self::RULE_SHARE_OF_ROOM);
    }
}
