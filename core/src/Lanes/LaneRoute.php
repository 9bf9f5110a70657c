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
    /** Less time than this on it leaves none for an exit signal, s (assumed). */
    private const TOO_SHORT_S = 3.0;

    public OnTheWay $way;

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
        $this->signals = $this->signals();
        $signal = $this->signals[0]['side'] === null || ! in_array(
            Step::Signal, $plan->approach->demand->steps(), true,
        ) ? null : $plan->step(Step::Signal)->window->bestMetres;
        $this->way = new OnTheWay(
            $plan->chain->profile, $plan->step(Step::Mirrors)->window->bestMetres, $signal, $question->onItMetresPerSecond(), $question->inLane,
            $route->approachLane, $plan->chain->timing->readSignSeconds,
        );
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
        $met = [...$this->signsMet(), ...$this->approach(), ...($this->question->layout === Layout::Roundabout ? $this->round() : [])];
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

    /** The next junction, where one was given: the lane it wants, and whether there is room to take it. */
    public function ahead(): ?Ahead
    {
        $onward = $this->question->trip->onward;

        return $onward === null ? null : new Ahead(
            $onward->laneFor($this->route->exitLane), $onward->changes($this->route->exitLane), $onward->metres,
            $onward->neededMetres($this->route->exitLane), $onward->forced($this->route->exitLane) === 0,
        );
    }

    /** @return non-empty-list<array{where: string, side: ?Side, off: string}> */
    private function signals(): array
    {
        $near = Flank::Near->side($this->question->pack);
        if ($this->question->layout === Layout::Junction) {
            $side = match ($this->question->trip->clock()) {
                -1 => $near, 0 => null, default => Flank::Off->side($this->question->pack)
            };

            return [['where' => 'approach', 'side' => $side, 'off' => $side === null ? '' : 'after the turn']];
        }
        $first = $this->question->trip->sectors === 1;
        $approach = match (true) {
            $first => $near,
            $this->question->trip->clock() > 0 && $this->question->pack->signalsOnApproachToRoundabout() => Flank::Off->side($this->question->pack),
            default => null,
        };
        $before = $this->question->arm($this->question->trip->sectors - 1)->name;
        $signals = [
            ['where' => 'approach', 'side' => $approach, 'off' => $first ? 'after the exit' : ($approach === null ? '' : "at {$before}, for the exit")],
        ];
        $none = $this->question->mini && ($this->practice->answer('mini_exit') === 'never' || $this->question->secondsOnIt() < self::TOO_SHORT_S);
        if (! $first && ! $none) {
            $signals[] = ['where' => $before, 'side' => $near, 'off' => 'after the exit'];
        }

        return $signals;
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
        $clock = match ($this->question->trip->clock()) {
            -1 => 'before twelve', 0 => 'at twelve', default => 'after twelve'
        };

        return $this->question->layout === Layout::Junction ? $clock : 'exit '.$this->question->trip->sectors.", {$clock}";
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
                ['interior', "{$side->value}-mirror", "{$side->value}-shoulder"], $side,
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
        $met[] = new Met(MetKind::Line, 0.0, 0.0, Wording::part($this->question->pack, '{give way}, look, go'));

        return $met;
    }

    /** @return list<Met> */
    private function round(): array
    {
        $met = [];
        foreach ($this->question->path($this->route) as $stretch) {
            $begin = $this->question->arm($stretch['sector'])->angleDegrees;
            $end = $this->question->trip->sectors === $stretch['sector'] + 1
                ? $this->question->trip->angleDegrees
                : $this->question->arm($stretch['sector'] + 1)->angleDegrees;
            $between = static fn (float $share): float => $begin + $share * ($end - $begin);
            if ($stretch['lane'] !== $stretch['to_lane']) {
                $side = ($stretch['to_lane'] < $stretch['lane'] ? Flank::Near : Flank::Off)->side($this->question->pack);
                $met[] = $this->beyond($between(0.25), MetKind::Move, "to lane {$stretch['to_lane']}", array_slice($stretch['mirrors'], 0, 3), $side);
            }
            foreach ($this->signals as $signal) {
                if ($stretch['sector'] > 0 && $signal['where'] === $stretch['after'] && $signal['where'] !== 'approach') {
                    $met[] = $this->beyond($between(0.1), MetKind::Signal, $signal['side']->value ?? '', [], $signal['side']);
                }
            }
            if ($this->question->trip->sectors === $stretch['sector'] + 1) {
                $met[] = $this->beyond($between(0.75), MetKind::Leave, "into lane {$this->route->exitLane}", array_slice($stretch['mirrors'], -2));
            }
        }

        return $met;
    }

    /** @param  list<string>  $mirrors */
    private function beyond(float $degrees, MetKind $kind, string $text, array $mirrors = [], ?Side $side = null): Met
    {
        $metres = -$this->question->arcMetres($degrees);

        return new Met($kind, $metres, $this->way->secondsAt($metres), $text, $mirrors, $side, $degrees);
    }
}
