<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Trade\Side;

/**
 * What is due on a roundabout, from our line to the exit. A move outward waits for the exit before ours, so that nobody who
 * leaves there is crossed: past it come mirrors, signal, then the move, and mirrors again for cycles as one leaves. A move made
 * by the paint has its mirrors too; a signal for it before the exit before ours would say that we leave there.
 */
final class OnTheRing
{
    /** Mirrors take this long before the signal, which is seen for so long before the car moves over, s (assumed). */
    private const MIRRORS_S = 1.0;

    private const SIGNAL_SEEN_S = 2.0;

    /** Just past an exit: its mouth is behind, m (assumed). */
    private const PAST_M = 5.0;

    /** A first exit that lies ahead or across is signalled so long before it, s (assumed). */
    private const BEFORE_A_FIRST_EXIT_S = 6.0;

    /** Of a stretch between two arms: where, at the latest, mirrors, signal and move begin, and where one leaves. */
    private const MIRRORS_BY = 0.1;

    private const SIGNAL_BY = 0.3;

    private const MOVE_BY = 0.65;

    private const LEAVES_AT = 0.85;

    /** @var list<array{where: string, side: Side, off: string}> */
    public array $signals = [];

    /** @var list<Met> */
    public array $met = [];

    private Side $near;

    private Side $off;

    public function __construct(
        private readonly LaneQuestion $question,
        private readonly Route $route,
        private readonly ?Side $onApproach,
        private readonly bool $exitSignal,
        private readonly OnTheWay $way,
    ) {
        $this->near = Flank::Near->side($question->pack);
        $this->off = Flank::Off->side($question->pack);
        $lane = $question->ring->entered($route->approachLane);
        foreach ($route->moves as $move) {
            $this->stretch($move['sector'], array_values(array_filter([
                $move['lane'] === $lane ? null : [MetKind::Spiral, $lane, $move['lane']],
                $move['to'] === $move['lane'] ? null : [MetKind::Move, $move['lane'], $move['to']],
            ])));
            $lane = $move['to'];
        }
        foreach ($question->signsOnRing as $sign) {
            $at = $question->round->metresTo($question->arm($sign['arm'])->angleDegrees) + $sign['metres'];
            if ($at < $question->round->metres) {
                $this->met[] = $this->row(MetKind::DirectionSign, $at, "read anew: {$question->target()->name}");
            }
        }
    }

    /** What of mirrors, signal and move out does not fit between the exit before and ours: 0 where all does, 1 where none. */
    public static function crampedShare(float $metres, float $mps): float
    {
        $needed = self::PAST_M / $mps + 2.0 * self::SIGNAL_SEEN_S;

        return min(1.0, max(0.0, 1.0 - $metres / $mps / $needed));
    }

    /** @param  list<array{MetKind, int, int}>  $changes  how, from lane, to lane */
    private function stretch(int $sector, array $changes): void
    {
        $from = $this->question->round->metresTo($this->question->arm($sector)->angleDegrees);
        $last = $sector === $this->question->trip->sectors - 1;
        $until = $last ? $this->question->round->metres : $this->question->round->metresTo($this->question->arm($sector + 1)->angleDegrees);
        $exitSignal = $last && $this->exitSignal;
        if ($sector === 0 && $exitSignal) {
            // No exit stands before ours: late enough to be meant for it.
            $from = max($from, $until - self::BEFORE_A_FIRST_EXIT_S * $this->way->onItMps);
        }
        $length = $until - $from;
        $where = $this->question->arm($sector)->name;
        $inward = array_values(array_filter($changes, static fn (array $change): bool => $change[2] > $change[1]));
        $outward = array_values(array_filter($changes, static fn (array $change): bool => $change[2] < $change[1]));
        $done = 0.0;
        if ($inward !== []) {
            $done = $this->over($from, $length * ($last || $outward !== [] ? 0.5 : 1.0), $inward, $this->off, $this->onApproach === $this->off, $where);
        }
        if ($outward !== [] || $exitSignal) {
            $signalled = $last && $this->onApproach === $this->near && ! $this->exitSignal;
            $this->over($from + $done, $length - $done, $outward, $this->near, $signalled, $where, $exitSignal);
        }
        if ($last) {
            $this->met[] = $this->row(
                MetKind::Leave, $from + self::LEAVES_AT * $length, "into lane {$this->route->exitLane}", ['interior', "{$this->near->value}-mirror"],
            );
        }
    }

    /**
     * Mirrors, signal and moves to one side.
     *
     * @param  list<array{MetKind, int, int}>  $changes
     * @return float how much of the stretch it takes, m
     */
    private function over(float $from, float $length, array $changes, Side $side, bool $signalled, string $where, bool $forExit = false): float
    {
        $mps = $this->way->onItMps;
        $ours = array_filter($changes, static fn (array $change): bool => $change[0] === MetKind::Move) !== [];
        $mirrors = $from + min(0.25 * $mps, self::MIRRORS_BY * $length);
        $this->met[] = $this->row(
            MetKind::Mirrors, $mirrors, $forExit ? 'for the exit' : 'for the move over',
            ['interior', "{$side->value}-mirror", ...($ours ? ["{$side->value}-shoulder"] : [])],
        );
        $at = $from + min(max(self::PAST_M, $mirrors - $from + self::MIRRORS_S * $mps), self::SIGNAL_BY * $length);
        if ($forExit || ($ours && ! $signalled)) {
            $this->met[] = $this->row(MetKind::Signal, $at, $side->value, [], $side);
            $this->signals[] = ['where' => $where, 'side' => $side, 'off' => $forExit ? 'after the exit' : 'after the move'];
        }
        $at = $from + min($at - $from + self::SIGNAL_SEEN_S * $mps, self::MOVE_BY * $length);
        foreach ($changes as [$kind, , $to]) {
            $this->met[] = $this->row($kind, $at, $kind === MetKind::Spiral ? "the paint leads to lane {$to}" : "to lane {$to}", [], $side, $to);
            $at += 0.1 * $length;
        }

        return $at - $from;
    }

    /** @param  list<string>  $mirrors */
    private function row(MetKind $kind, float $metres, string $text, array $mirrors = [], ?Side $side = null, ?int $toLane = null): Met
    {
        $degrees = $metres / $this->question->round->metres * $this->question->trip->angleDegrees;

        return new Met($kind, -$metres, $this->way->secondsAt(-$metres), $text, $mirrors, $side, $degrees, $toLane);
    }
}
