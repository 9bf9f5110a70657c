<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\TurnRule;
use NobleTurn\Core\Trade\Side;

/**
 * Whose turn it is where all have to stop, or where nothing gives it to anybody. Only those whose ways cross or end in the same road wait for each other at
 * all. Where the order of arrival counts, who came first goes first; of those who came together the one on the right, and whoever turns across yields to
 * the one opposite. People go before everybody.
 */
final readonly class WhoseTurn
{
    /** Who came within so long of each other came together, s (assumed): nobody tells the difference. */
    public const AT_ONCE_S = 0.5;

    /** Within so long they may see it otherwise, s (assumed): nobody insists on it. */
    public const IN_DOUBT_S = 1.5;

    /** How far beside the middle of its road a way begins and ends, quarters of the circle round the crossing. */
    private const BESIDE = 0.2;

    /** @param  list<StandsAtLine>  $others */
    public function __construct(
        private Side $keeps, private TurnRule $rule, public StandsAtLine $us, public array $others, public bool $people,
        private float $atOnceSeconds = self::AT_ONCE_S,
    ) {
    }

    public function turn(): Turn
    {
        if (! $this->people && $this->isInDoubt()) {
            return Turn::Nobodys;
        }

        return $this->byRule();
    }

    /** Whether it hangs on who came first of two who came nearly together. */
    public function isInDoubt(): bool
    {
        return $this->rule === TurnRule::Arrival && $this->byRule() !== $this->longerAtOnce()->byRule();
    }

    /** @return list<StandsAtLine> who goes before us */
    public function before(): array
    {
        return $this->having(fn (StandsAtLine $other): bool => $this->goesBefore($other, $this->us));
    }

    /** @return list<StandsAtLine> who may go at the same time as we: their ways neither cross ours nor end in the same road */
    public function together(): array
    {
        return $this->having(fn (StandsAtLine $other): bool => ! $this->meets($other, $this->us));
    }

    /** @return list<StandsAtLine> with whom it has to be agreed: no rule says who goes */
    public function undecided(): array
    {
        return $this->having(fn (StandsAtLine $other): bool => $this->meets($other, $this->us)
            && ! $this->goesBefore($other, $this->us) && ! $this->goesBefore($this->us, $other));
    }

    /** Everybody has somebody to wait for, round to themselves: by rule nobody goes first. */
    public function isRound(): bool
    {
        $seen = [];
        $ahead = $this->before();
        while ($ahead !== []) {
            $one = array_pop($ahead);
            if ($one === $this->us) {
                return true;
            }
            if (in_array($one, $seen, true)) {
                continue;
            }
            $seen[] = $one;
            foreach ([$this->us, ...$this->others] as $other) {
                if ($other !== $one && $this->goesBefore($other, $one)) {
                    $ahead[] = $other;
                }
            }
        }

        return false;
    }

    /**
     * In which order all of them go, as far as rules say: who goes at the same time stands together. Ends where it has to be agreed.
     *
     * @return list<non-empty-list<StandsAtLine>>
     */
    public function order(): array
    {
        $order = [];
        $left = [$this->us, ...$this->others];
        while ($left !== []) {
            $now = array_values(array_filter($left, fn (StandsAtLine $one): bool => array_filter(
                $left, fn (StandsAtLine $other): bool => $other !== $one && $this->goesBefore($other, $one),
            ) === []));
            $areAgreed = array_filter($now, fn (StandsAtLine $one): bool => array_filter(
                $now, fn (StandsAtLine $other): bool => $other !== $one && $this->meets($one, $other),
            ) !== []) === [];
            if ($now === [] || ! $areAgreed) {
                break;
            }
            $order[] = $now;
            $left = array_values(array_filter($left, static fn (StandsAtLine $one): bool => ! in_array($one, $now, true)));
        }

        return $order;
    }

    private function byRule(): Turn
    {
        return match (true) {
            $this->people => Turn::Theirs,
            $this->isRound() => Turn::Nobodys,
            $this->before() !== [] => Turn::Theirs,
            $this->undecided() !== [] => Turn::Nobodys,
            default => Turn::Ours,
        };
    }

    private function longerAtOnce(): self
    {
        return new self($this->keeps, $this->rule, $this->us, $this->others, $this->people, self::IN_DOUBT_S);
    }

    /**
     * @param  \Closure(StandsAtLine): bool  $such
     * @return list<StandsAtLine>
     */
    private function having(\Closure $such): array
    {
        return array_values(array_filter($this->others, $such));
    }

    private function goesBefore(StandsAtLine $one, StandsAtLine $other): bool
    {
        if (! $this->meets($one, $other)) {
            return false;
        }
        $longer = $one->waitsSeconds - $other->waitsSeconds;
        if ($this->rule === TurnRule::Arrival && abs($longer) > $this->atOnceSeconds) {
            return $longer > 0.0;
        }
        $from = ($one->line->quarter() - $other->line->quarter() + 4) % 4;
        if ($from === 2) {
            return $this->turnsAcross($other) && ! $this->turnsAcross($one);
        }

        return $from === 1 && $this->rule !== TurnRule::Nobody;
    }

    /** To the side of those who come towards it, or all the way round. */
    private function turnsAcross(StandsAtLine $one): bool
    {
        return $one->goes === WayOut::Back || $one->goes === ($this->keeps === Side::Right ? WayOut::Left : WayOut::Right);
    }

    /** Whether their ways cross, or end in the same road. */
    private function meets(StandsAtLine $one, StandsAtLine $other): bool
    {
        if ($one->exit() === $other->exit()) {
            return true;
        }
        [$from, $to] = $this->way($one);
        $isBetween = static fn (float $at): bool => $at > min($from, $to) && $at < max($from, $to);
        [$begins, $ends] = $this->way($other);

        return $isBetween($begins) !== $isBetween($ends);
    }

    /** @return array{float, float} where it begins and ends on the circle round the crossing, quarters against the clock from our own road */
    private function way(StandsAtLine $one): array
    {
        $beside = $this->keeps === Side::Right ? self::BESIDE : -self::BESIDE;
        $round = static fn (float $at): float => fmod($at + 4.0, 4.0);

        return [$round($one->line->quarter() + $beside), $round($one->exit() - $beside)];
    }
}
