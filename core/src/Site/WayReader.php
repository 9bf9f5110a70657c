<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\JunctionShape;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode as R;

/**
 * Which routine a way is: from what governs the mouth one comes in by, from which road goes on, and from where the arm lies. Rules of
 * the trade (`trade/routines.md`), common practice, no source.
 */
final class WayReader
{
    /** No farther from straight on than this a road is "ahead", where no main road says it, degrees (assumed). */
    public const AHEAD = 45.0;

    /** Mouths nearer each other than this along the road between them are driven straight over, m: less than a car is long (assumed). */
    public const CROSSED_M = 4.0;

    private function __construct(private readonly Site $site, private readonly RulePack $pack)
    {
    }

    /** @return list<Way> all that can be driven, by the arm one comes in by, from the left round */
    public static function all(Site $site, RulePack $pack): array
    {
        if ($site->kind === SiteKind::Slip) {
            return SlipWays::all($site);
        }
        if (! $site->kind->isMet()) {
            return AlongWays::all($site, $pack);
        }
        $reader = new self($site, $pack);
        $ways = [];
        foreach ($site->arms as $from) {
            foreach ($site->before($from) as $to) {
                if ($from->leadsIn() && $to->leadsOut()) {
                    $ways = [...$ways, $way = $reader->way($from, $to), ...$reader->besides($way)];
                }
            }
        }

        return $ways;
    }

    private function way(Arm $from, Arm $to): Way
    {
        $main = $this->site->mainRoad();

        return match (true) {
            $this->site->kind->isGoneRound() => RoundWays::way($this->site, $from, $to, $this->pack),
            $from->control === Control::Signals => $this->underLights($from, $to),
            $from->control === Control::AllWayStop => $this->atAllWayStop($from, $to),
            $main !== null && in_array($from, $main, true) => $this->alongMain($from, $to, $main[0] === $from ? $main[1] : $main[0]),
            $main !== null => $this->ontoMain($from, $to, $main),
            $from->control === Control::None && ! $from->isAlley && $this->hasLines() => $this->alongMain($from, $to, null),
            default => $this->amongEquals($from, $to),
        };
    }

    private function underLights(Arm $from, Arm $to): Way
    {
        $out = $this->byAngle($from, $to);

        return new Way(
            $from, $to, match ($out) {
                WayOut::Left => R::LightsLeft,
                WayOut::Right => R::LightsRight,
                default => R::LightsAhead,
            }, $out, $this->site->turn($from, $to), 'Lights say when.', $this->shape($from, $to),
        );
    }

    /** @return list<Way> what else is taught on the same way */
    private function besides(Way $way): array
    {
        if ($way->routine !== R::LightsRight || ! $this->pack->turnOnRed() || in_array(R::RightOnRed, $this->pack->lacks(), true)) {
            return [];
        }
        $because = 'Where no sign forbids it, on red too: after a full stop, behind everybody else.';

        return [new Way($way->from, $way->to, R::RightOnRed, $way->out, $way->turnDegrees, $because, $way->shape)];
    }

    private function atAllWayStop(Arm $from, Arm $to): Way
    {
        return new Way(
            $from, $to, R::AllWayStop, $this->byAngle($from, $to), $this->site->turn($from, $to),
            'All stop here, and go in the order in which they came.', $this->shape($from, $to),
        );
    }

    /** @param  ?Arm  $on  where the main road goes on; null where it ends in lines for all others */
    private function alongMain(Arm $from, Arm $to, ?Arm $on): Way
    {
        $turn = $this->site->turn($from, $to);
        $beside = $on === null ? $turn : $turn - $this->site->turn($from, $on);
        if ($to === $on || ($on === null && $this->byAngle($from, $to) === WayOut::Ahead)) {
            return new Way(
                $from, $to, R::BetweenHazards, WayOut::Ahead, $turn, 'You stay on the main road: who comes out of the others waits, and is watched.',
                JunctionShape::Bar,
            );
        }
        $out = $beside < 0.0 ? WayOut::Left : WayOut::Right;
        $routine = $out === WayOut::Left ? R::TurnLeft : R::TurnRight;
        if ($from->hasCentreLane && $out === WayOut::Left && ! in_array(R::CentreLaneLeft, $this->pack->lacks(), true)) {
            $routine = R::CentreLaneLeft;
        }
        $across = $out->value !== $this->pack->keeps()->value;
        $bends = $on !== null && abs($this->site->turn($from, $on)) > self::AHEAD && abs($turn) <= self::AHEAD;

        return new Way(
            $from, $to, $routine, $out, $turn,
            ($bends ? "The main road bends to {$on->name}: straight on you leave it" : 'You turn off the main road')
            .($across ? ', across those who come towards you on it.' : ', across nobody’s way but that of people and cycles.'),
            $this->shape($from, $to),
        );
    }

    /** @param  array{Arm, Arm}  $main */
    private function ontoMain(Arm $from, Arm $to, array $main): Way
    {
        $before = $this->site->before($from);
        $place = array_flip(array_map(static fn (Arm $arm): string => $arm->id, $before));
        [$left, $right] = $place[$main[0]->id] < $place[$main[1]->id] ? $main : array_reverse($main);
        $at = $place[$to->id];
        $out = match (true) {
            $at <= $place[$left->id] => WayOut::Left,
            $at >= $place[$right->id] => WayOut::Right,
            default => $this->amongThose(array_slice($before, $place[$left->id] + 1, $place[$right->id] - $place[$left->id] - 1), $from, $to),
        };

        $apart = $out === WayOut::Ahead ? self::staggered($from, $to) : 0.0;
        if (abs($apart) < self::CROSSED_M) {
            return $this->out($from, $to, $out, ['left' => $left, 'right' => $right], self::line($from));
        }
        [$first, $second] = $apart > 0.0 ? [WayOut::Right, R::TurnLeft] : [WayOut::Left, R::TurnRight];
        $because = self::line($from)." {$to->name} lies ".$this->pack->lengthUnit()->place(abs($apart))." further {$first->value}: first {$first->value}, "
            .'then '.$second->namedSide()?->value.'.';

        return $this->out($from, $to, $first, ['left' => $left, 'right' => $right], $because, ['routine' => $second, 'metres' => abs($apart)]);
    }

    /** How far the mouth of one road lies to the right of the other's along the road between them, m, as seen by who comes in. */
    private static function staggered(Arm $from, Arm $to): float
    {
        return -$to->staggerMetres - $from->staggerMetres;
    }

    private function amongEquals(Arm $from, Arm $to): Way
    {
        $meets = $sides = [];
        foreach ($this->site->before($from) as $arm) {
            $sides[$this->byAngle($from, $arm)->value] ??= $arm;
        }
        foreach (['left', 'right'] as $side) {
            if (isset($sides[$side])) {
                $meets[$side] = $sides[$side];
            }
        }
        $because = $from->control === Control::None && ! $from->isAlley
            ? 'Nothing is painted: nobody has priority, so be ready to stop for all.' : self::line($from);

        return $this->out($from, $to, $this->byAngle($from, $to), $meets, $because);
    }

    /**
     * @param  array{left?: Arm, right?: Arm}  $meets
     * @param  ?array{routine: R, metres: float}  $then
     */
    private function out(Arm $from, Arm $to, WayOut $out, array $meets, string $because, ?array $then = null): Way
    {
        $alley = $from->isAlley && ! in_array(R::Alley, $this->pack->lacks(), true);

        return new Way(
            $from, $to, $alley ? R::Alley : match ($out) {
                WayOut::Left => R::EmergeLeft,
                WayOut::Right => R::EmergeRight,
                default => R::Cross,
            }, $out, $this->site->turn($from, $to), $because, $this->shape($from, $to), meets: $meets, then: $then,
        );
    }

    /** The straightest of all is ahead, if it is straight enough; what lies to its left is left. */
    private function byAngle(Arm $from, Arm $to): WayOut
    {
        return $this->amongThose($this->site->before($from), $from, $to, self::AHEAD);
    }

    /** @param  list<Arm>  $arms */
    private function amongThose(array $arms, Arm $from, Arm $to, float $within = 180.0): WayOut
    {
        $turns = array_map(fn (Arm $arm): float => abs($this->site->turn($from, $arm)), $arms);
        $straightest = $turns === [] || min($turns) > $within ? 0.0 : $this->site->turn($from, $arms[(int) array_search(min($turns), $turns, true)]);

        return match ($this->site->turn($from, $to) <=> $straightest) {
            -1 => WayOut::Left,
            1 => WayOut::Right,
            0 => WayOut::Ahead,
        };
    }

    private function shape(Arm $from, Arm $to): JunctionShape
    {
        if (count($this->site->arms) > 3) {
            return JunctionShape::Crossroads;
        }
        $ahead = array_filter($this->site->before($from), fn (Arm $arm): bool => $this->byAngle($from, $arm) === WayOut::Ahead);

        return $ahead === [] ? JunctionShape::Stem : JunctionShape::Bar;
    }

    private function hasLines(): bool
    {
        return array_filter($this->site->arms, static fn (Arm $arm): bool => $arm->control !== Control::None) !== [];
    }

    private static function line(Arm $from): string
    {
        return match (true) {
            $from->control === Control::Stop => 'Your road ends at a stop line: a full stop, always.',
            $from->control === Control::GiveWay => 'Your road ends at a {give-way line}.',
            $from->isAlley => 'Out of a drive or alley you {give way} to everybody, people first.',
            default => 'Your road ends in theirs without a line: {give way} as if there were one.',
        };
    }
}
