<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

use NobleTurn\Core\Place\DirectionSign;
use NobleTurn\Core\Plan\ApproachPlan;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** One way through a junction as it is taught: stretch by stretch, its signals, why, and everything met on it in the order of time. */
final readonly class LaneRoute
{
    private const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];

    /** Less time than this on it leaves none for an exit signal, s (assumed). */
    private const TOO_SHORT_S = 3.0;

    /** A larger mini-roundabout: so far from its middle to that of the lane, m (assumed). */
    private const LARGER_MINI_M = 5.0;

    public OnTheWay $way;

    private ?OnTheRing $ring;

    /** @var non-empty-list<array{where: string, side: ?Side, off: string}> where on and where off */
    public array $signals;

    /** @param  ApproachPlan  $plan  of the approach to the same junction */
    public function __construct(
        private LaneQuestion $question,
        public Route $route,
        private Practice $practice,
        ApproachPlan $plan,
        private SignsBefore $signs,
    ) {
        $side = $this->onApproach();
        $signal = $side === null || ! in_array(Step::Signal, $plan->approach->demand->steps(), true)
            ? null
            : $plan->step(Step::Signal)->window->bestMetres;
        $this->way = new OnTheWay(
            $plan->chain->profile, $plan->step(Step::Mirrors)->window->bestMetres, $signal, $question->round->mps, $question->inLane,
            $route->approachLane, $plan->chain->timing->readSignSeconds,
        );
        $this->ring = $question->layout === Layout::Roundabout
            ? new OnTheRing($question, $route, $side, $this->signalsTheExit($side), $this->way)
            : null;
        $this->signals = [$this->approachSignal($side, $this->ring), ...($this->ring->signals ?? [])];
    }

    /** From here the direction sign can be read, m before the line. */
    public function signLegibleMetres(): float
    {
        return $this->signs->directionSignMetres + DirectionSign::LEGIBLE_M;
    }

    /** Whether the sign can be read early enough for this lane. */
    public function signComesInTime(): bool
    {
        return $this->signLegibleMetres() >= $this->way->decideByMetres();
    }

    /** @return list<Met> in the order of time */
    public function met(): array
    {
        $met = [...$this->signsMet(), ...$this->approach(), ...($this->ring->met ?? [])];
        usort($met, static fn (Met $a, Met $b): int => $b->atMetres <=> $a->atMetres);

        return $met;
    }

    /** @return non-empty-list<string> */
    public function reasons(int $usableLanes): array
    {
        $painted = $this->question->ring->arms[0]->approach[$this->route->approachLane - 1] !== [];
        $reasons = [$painted ? "It is painted for {$this->question->target()->name}." : 'Nothing is painted: the clock decides.'];
        if ($usableLanes === 1) {
            $reasons[] = 'It is the only lane that leads there.';
        }
        $reasons[] = $this->route->exitLane === 1 ? Wording::in(
            $this->question->pack, 'It brings the car out in the {near} lane.',
        ) : "It leaves in lane {$this->route->exitLane}.";
        $onward = $this->question->trip->onward;
        if ($onward !== null) {
            $changes = $onward->changes($this->route->exitLane);
            $reasons[] = $changes === 0
                ? "It comes out in the lane that {$onward->to} needs next."
                : "It leaves {$changes} ".($changes === 1 ? 'change' : 'changes')." of lane for {$onward->to}.";
        }
        if ($this->question->layout === Layout::Junction) {
            return $reasons;
        }
        $changes = count(array_filter($this->route->moves, static fn (array $move): bool => $move['lane'] !== $move['to']));
        $reasons[] = $changes === 0 ? 'No change of lane on the way.' : "With {$changes} ".($changes === 1 ? 'change' : 'changes').' of lane on the way.';

        return $reasons;
    }

    /** Who goes first where somebody opposite turns into the same road. */
    public function besideTheTurner(): string
    {
        $lanes = count($this->question->target()->openExits());

        return match (true) {
            $lanes < 2 => 'Somebody opposite turns into the same one lane: they go first. A long vehicle goes first always.',
            $this->question->pack->turnersShare() => 'Somebody opposite turns in as well: both may go, each into the nearest lane of their own side. '
                .'Very carefully: some cut over, and a long vehicle goes first always.',
            default => 'Somebody opposite turns in as well: who turns across waits for them, whatever lanes there are. A long vehicle goes first always.',
        };
    }

    /** The next junction, where one was given: the lane it wants, and whether there is room to take it. */
    public function ahead(): ?Ahead
    {
        $onward = $this->question->trip->onward;

        return $onward === null ? null : new Ahead(
            $onward->laneFor($this->route->exitLane), $onward->changes($this->route->exitLane), $onward->metres,
            $onward->neededMetres($this->route->exitLane), $onward->forced($this->route->exitLane) === 0,
        );
    }

    /** The side signalled on the approach; null where nothing is. */
    private function onApproach(): ?Side
    {
        $near = Flank::Near->side($this->question->pack);
        $off = Flank::Off->side($this->question->pack);
        $clock = $this->question->trip->clock();
        if ($this->question->layout === Layout::Junction) {
            return match ($clock) {
                -1 => $near, 0 => null, default => $off
            };
        }
        $byRule = match (true) {
            $clock < 0 && $this->question->trip->sectors === 1 => $near,
            $clock > 0 && $this->question->pack->signalsOnApproachToRoundabout() => $off,
            default => null,
        };
        $own = $this->question->arm(0);
        $several = count($own->approach) > 1;

        return match ($this->practice->answer('roundabout_signal')) {
            'rule' => $byRule,
            'none-if-misleading' => $several || $own->lights ? null : $byRule,
            // To the off side from any but the furthest lane it would promise a move into that one.
            default => $byRule === $off && $several && $this->route->approachLane < count($own->approach) ? null : $byRule,
        };
    }

    /** Whether leaving is signalled on the roundabout itself: not where the signal is on already, nor where there is no time for one. */
    private function signalsTheExit(?Side $onApproach): bool
    {
        if ($onApproach === Flank::Near->side($this->question->pack)) {
            return false;
        }

        return ! $this->question->mini || match ($this->practice->answer('mini_exit')) {
            'never' => false,
            'larger' => $this->question->radiusMetres >= self::LARGER_MINI_M,
            default => $this->question->round->seconds() >= self::TOO_SHORT_S,
        };
    }

    /** @return array{where: string, side: ?Side, off: string} */
    private function approachSignal(?Side $side, ?OnTheRing $ring): array
    {
        $next = $ring->signals[0]['where'] ?? null;

        return ['where' => 'approach', 'side' => $side, 'off' => match (true) {
            $side === null => '',
            $ring === null => 'after the turn',
            $next === null => 'after the exit',
            $next === $this->question->arm(0)->name => 'on it, for the exit',
            default => "past {$next}",
        }];
    }

    /** @return list<Met> */
    private function signsMet(): array
    {
        $to = $this->question->target()->name;
        $painted = array_filter($this->question->arm(0)->approach, static fn (array $names): bool => $names !== []) !== [];

        return [
            new Met(
                MetKind::DirectionSign, $this->signs->directionSignMetres, $this->way->secondsAt($this->signs->directionSignMetres),
                "{$to}: {$this->where()}",
            ),
            ...($painted ? [
                new Met(
                    MetKind::LaneSign, $this->signs->laneSignMetres, $this->way->secondsAt($this->signs->laneSignMetres),
                    "lane {$this->route->approachLane}: ".implode(', ', $this->question->arm(0)->approach[$this->route->approachLane - 1] ?: [$to]),
                ),
                new Met(MetKind::Markings, $this->signs->markingsMetres, $this->way->secondsAt($this->signs->markingsMetres), 'the arrows confirm the lane'),
            ] : []),
        ];
    }

    private function where(): string
    {
        $way = match ($this->question->trip->clock()) {
            -1 => Flank::Near->side($this->question->pack)->value, 0 => 'ahead', default => Flank::Off->side($this->question->pack)->value,
        };
        $exits = $this->question->trip->sectors;

        return $this->question->layout === Layout::Junction ? $way : (self::ORDINALS[$exits - 1] ?? "{$exits}th")." exit, {$way}";
    }

    /** @return list<Met> */
    private function approach(): array
    {
        $met = [];
        $side = ($this->route->approachLane > $this->question->inLane ? Flank::Off : Flank::Near)->side($this->question->pack);
        $step = $this->route->approachLane <=> $this->question->inLane;
        for ($n = 0; $n < $this->way->changes(); $n++) {
            $at = $this->way->changeMetres($n);
            $met[] = new Met(
                MetKind::ChangeLane, $at, $this->way->secondsAt($at), 'to lane '.($this->question->inLane + ($n + 1) * $step),
                ['interior', "{$side->value}-mirror", "{$side->value}-shoulder"], $side, null, $this->question->inLane + ($n + 1) * $step,
            );
        }
        $signal = $this->signals[0]['side'];
        $mirror = $signal ?? Flank::Near->side($this->question->pack);
        $met[] = new Met(
            MetKind::Mirrors, $this->way->laneByMetres, $this->way->secondsAt($this->way->laneByMetres),
            Wording::part($this->question->pack, 'for the {junction}'), ['interior', "{$mirror->value}-mirror"],
        );
        if ($signal !== null && $this->way->signalMetres !== null) {
            $met[] = new Met(MetKind::Signal, $this->way->signalMetres, $this->way->secondsAt($this->way->signalMetres), $signal->value, [], $signal);
        }
        $looks = array_map(fn (Flank $flank): string => $flank->side($this->question->pack)->value.'-mirror', [Flank::Near, Flank::Off]);
        $met[] = $this->question->arm(0)->lights
            ? new Met(MetKind::Line, 0.0, 0.0, 'before green: those who ride up on either side; then go', $looks)
            : new Met(MetKind::Line, 0.0, 0.0, Wording::part($this->question->pack, '{give way}, look, go'));

        return $met;
    }
}
