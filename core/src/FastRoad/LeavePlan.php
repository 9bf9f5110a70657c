<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Judgement\Braking;
use NobleTurn\Core\Plan\Timing;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Performance;
use NobleTurn\Core\Vehicle\Purpose;
use NobleTurn\Core\Vehicle\Vehicle;

/** Leaving a fast road as it is taught: signs, mirrors, signal, brake, gear and the next signal, each at its place. */
final readonly class LeavePlan
{
    /** Without markers the signal is given so long before the exit (California handbook, from memory), s. */
    private const SIGNAL_S = 5.0;

    /** Shorter than this there is no waiting with the next signal, and no lane change on it (assumed), m. */
    public const SHORT_M = 200.0;

    private const STEP_M = 1.0;

    /** Which of the posts the practice means, the farthest first. */
    private const POST = ['300' => 0, '200' => 1];

    /** Mirrors and a thought before a signal, s: as in an approach plan. */
    private float $mirrorSeconds;

    /** @var list<float> seconds from the beginning of the slip road to each metre of it */
    private array $seconds;

    public function __construct(
        public Leaving $leaving,
        private RulePack $pack,
        private Practice $practice,
        private Vehicle $vehicle,
        private Gradient $gradient,
        /** Of the slip road, side by side. */
        private int $lanes = 1,
        /** Where we turn at its end. */
        private ?Side $nextTurn = null,
        /** Where a lower limit begins, from the beginning of the slip road. */
        private ?float $lowerLimitMetres = null,
    ) {
        $timing = Timing::planned($practice->look);
        $this->mirrorSeconds = $timing->mirrorsSeconds + $timing->thinkSeconds;
        $seconds = [0.0];
        for ($place = 0.0; $place < $leaving->lengthMetres; $place += self::STEP_M) {
            $next = min($leaving->lengthMetres, $place + self::STEP_M);
            $seconds[] = $seconds[count($seconds) - 1] + 2.0 * ($next - $place) / max(0.1, $leaving->mpsAt($place) + $leaving->mpsAt($next));
        }
        $this->seconds = $seconds;
    }

    /** What the brake comes to, as it is said. */
    public function message(): string
    {
        $peak = $this->leaving->peakMps2();

        return match ($this->leaving->braking()) {
            'harsh' => sprintf(
                'Even from the beginning on the brake would reach %.1f m/s²: %s. Mirrors and signal early; about %s would have to go on the main road, '
                    .'seen by those behind.',
                $peak, $this->leaving->isMoreThanHolds() ? 'more than holds here at all' : 'harsh here',
                $this->pack->speedUnit()->words(Speed::ofMetresPerSecond($this->leaving->shedBeforeMps())),
            ),
            'firm' => sprintf('Short for this speed: firmly on the brake from its beginning on, up to %.1f m/s².', $peak),
            default => sprintf('Firmest braking: %s, %.1f m/s².', Braking::feltAt($peak)->value, $peak),
        };
    }

    /** Seconds to the beginning of the slip road, negative on it; the place is metres from its beginning. */
    public function secondsTo(float $placeMetres): float
    {
        if ($placeMetres <= 0.0) {
            return -$placeMetres / $this->leaving->mainMps;
        }
        $i = (int) floor($placeMetres / self::STEP_M);
        $last = count($this->seconds) - 1;
        if ($i >= $last) {
            return -$this->seconds[$last];
        }

        return -($this->seconds[$i] + ($placeMetres / self::STEP_M - $i) * ($this->seconds[$i + 1] - $this->seconds[$i]));
    }

    /** @return array{int, string} lane of the slip road and why */
    public function lane(): array
    {
        $off = $this->nextTurn !== null && Flank::of($this->nextTurn, $this->pack) === Flank::Off;
        if ($this->lanes === 1) {
            return [1, 'There is only one.'];
        }
        if (! $off) {
            return [1, Wording::in($this->pack, 'The {near} one: nothing asks for another.')];
        }
        if ($this->practice->answer('slip_lane') === 'straight') {
            return [$this->lanes, 'Straight into the lane of the turn to come: one decision fewer at speed.'];
        }

        return $this->leaving->lengthMetres < self::SHORT_M
            ? [$this->lanes, Wording::in($this->pack, 'Straight into the lane of the turn to come: the {slip road} is too short for a change on it.')]
            : [1, Wording::in($this->pack, 'The {near} one first; over to the lane of the turn with a full routine, as there is room.')];
    }

    /** @return list<LeaveEvent> in the order in which they are met */
    public function events(): array
    {
        $near = Flank::Near->side($this->pack);
        $signal = $this->signalMetres();
        $events = [
            ...$this->signs(),
            new LeaveEvent(LeaveEventKind::Mirrors, -($signal + $this->mirrorSeconds * $this->leaving->mainMps), "interior, {$near->value}"),
            new LeaveEvent(LeaveEventKind::Signal, -$signal, 'to leave', $near),
            new LeaveEvent(LeaveEventKind::Slip, 0.0, 'onto it at the speed of the main road'),
            ...$this->onTheSlip(),
            new LeaveEvent(LeaveEventKind::End, $this->leaving->lengthMetres, 'the line'),
        ];
        usort($events, LeaveEvent::inOrder(...));

        return $events;
    }

    /** Before the exit: at the practice's marker, or by time where there are none. */
    private function signalMetres(): float
    {
        $signs = $this->pack->exitSigns();

        return $signs->signalAtLeast === null
            ? $signs->markerMetres($signs->markers[self::POST[$this->practice->answer('leave_marker')]] ?? $signs->markers[0])
            : max($signs->signalAtLeast->inMetres(), self::SIGNAL_S * $this->leaving->mainMps);
    }

    /** @return list<LeaveEvent> */
    private function signs(): array
    {
        $signs = $this->pack->exitSigns();

        return [
            new LeaveEvent(LeaveEventKind::Sign, -$signs->first->inMetres(), $signs->firstInWords),
            new LeaveEvent(LeaveEventKind::NearLane, -$signs->laneBy->inMetres(), Wording::part($this->pack, 'in the {near} lane by here')),
            ...array_map(
                static fn (int $number): LeaveEvent => new LeaveEvent(LeaveEventKind::Marker, -$signs->markerMetres($number), "{$number} {$signs->markerUnit}"),
                $signs->markers,
            ),
        ];
    }

    /** @return list<LeaveEvent> */
    private function onTheSlip(): array
    {
        $leaving = $this->leaving;
        $cancel = min($leaving->lengthMetres / 4.0, 0.5 * Leaving::SETTLE_S * $leaving->mainMps);
        $events = [new LeaveEvent(LeaveEventKind::Cancel, $cancel, 'at once')];
        foreach ($leaving->stages as $i => $stage) {
            $events[] = new LeaveEvent(LeaveEventKind::Brake, $stage['from'], $i === 0 ? 'gently, more firmly, easing at the end' : 'again after the bend');
        }
        if ($this->lowerLimitMetres !== null) {
            $events[] = new LeaveEvent(LeaveEventKind::LowerLimit, $this->lowerLimitMetres, 'read the speed');
        }
        if ($leaving->bendFromMetres !== null && $leaving->bendMps() !== null) {
            $events[] = new LeaveEvent(LeaveEventKind::Bend, $leaving->bendFromMetres, 'no brake in it');
        }
        if ($this->nextTurn !== null) {
            $atOnce = $this->practice->answer('leave_signal') === 'at-once' || $leaving->lengthMetres < self::SHORT_M;
            $at = $atOnce ? min($leaving->lengthMetres / 3.0, $cancel + $this->mirrorSeconds * $leaving->mainMps) : $leaving->lengthMetres / 2.0;
            $events[] = new LeaveEvent(LeaveEventKind::NextMirrors, ($cancel + $at) / 2.0, "interior, {$this->nextTurn->value}");
            $events[] = new LeaveEvent(LeaveEventKind::NextSignal, $at, $atOnce ? 'anew, as soon as the mirrors are done' : 'half-way along', $this->nextTurn);
        }

        return [...$events, ...$this->gears()];
    }

    /** @return list<LeaveEvent> one block change once the speed for it is there, and before a bend */
    private function gears(): array
    {
        if (! $this->vehicle->hasClutch()) {
            return [];
        }
        $events = [];
        $held = GearChoice::for($this->vehicle, Purpose::Cruise, Speed::ofMetresPerSecond($this->leaving->mainMps), $this->gradient)->gear;
        foreach ($this->leaving->stages as ['end' => $speed, 'to' => $until]) {
            $gear = max(2, GearChoice::for($this->vehicle, Purpose::Pull, Speed::ofMetresPerSecond(max(2.0, $speed)), $this->gradient)->gear);
            if ($gear < $held) {
                // A little before the speed is reached, clutch up before the bend or the line,
                // or before the gear held would labour: the block change while there is a speed for the gear taken.
                $at = min($until - 1.0, $this->leaving->metresAtSpeed(max($speed * 1.3, $speed + 2.0,
                    (new Performance($this->vehicle))->laboursBelowMps($held))));
                $events[] = new LeaveEvent(LeaveEventKind::Gear, max(0.0, $at), "{$held} to {$gear} in one", gear: $gear);
                $held = $gear;
            }
        }

        return $events;
    }
}
