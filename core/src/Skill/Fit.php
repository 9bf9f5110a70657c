<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * What is believed of a learner after all marks.
 *
 * The ability at a step of a routine is learner + step + routine + (step in the section of the catalogue) + (step on the side turned to) + what is
 * left for that cell alone; each part is Gaussian around nothing, so that marks of one skill inform related ones. A mark answers by the `Ladder`, made
 * harder by its conditions, shifted by who marks and where, and stands for less practice than there has been since, by as much as this learner gains
 * from it. The mode stands for the mean and its curvature for the spread (Laplace). The same marks give the same answer in whatever order they came.
 */
final readonly class Fit
{
    private Rows $rows;

    private Mode $mode;

    /**
     * @param  list<Evidence>  $evidence
     * @param  list<Overruling>  $overrulings
     */
    private function __construct(array $evidence, array $overrulings, private Parts $parts, private \DateTimeImmutable $today, public Model $model)
    {
        $this->rows = new Rows($evidence, $overrulings, $parts, $today, $model);
        $this->mode = new Mode($this->rows, 1.0 / $model->cell ** 2);
    }

    /**
     * @param  list<Evidence>  $evidence  up to today, in any order
     * @param  list<Overruling>  $overrulings  of instructors who know better, up to today
     */
    public static function of(array $evidence, RulePack $pack, \DateTimeImmutable $today, Model $model = new Model, array $overrulings = []): self
    {
        return new self($evidence, $overrulings, new Parts($pack, $model), $today, $model);
    }

    /** What is believed today, in the reference conditions; or on another day. */
    public function belief(RoutineCode $routine, Step $step, ?\DateTimeImmutable $on = null): Belief
    {
        $now = ($on ?? $this->today)->getTimestamp();
        $idle = $this->rows->idle($routine, $now);
        $stands = $this->after($routine, $step, $idle);

        return new Belief(
            $stands->mean - $this->fading() * $idle, $stands->variance + $this->model->ofTheDay + $this->model->perDay * $this->rows->idleDays($now),
        );
    }

    /** What the marks say of it, whatever is forgotten since and whatever kind of day it is: to hold one against another. */
    public function stands(RoutineCode $routine, Step $step): Belief
    {
        return $this->after($routine, $step, 0.0);
    }

    /** The same, and as sure as one is of it after so long without: how much this learner forgets is not known for certain. */
    private function after(RoutineCode $routine, Step $step, float $idle): Belief
    {
        $made = $this->made($routine, $step);
        $at = $this->rows->index[Parts::FADING] ?? null;
        if ($at === null) {
            $made['unmarked'][Parts::FADING] = $this->model->fadingDiffers * $idle;
        } else {
            $made['vector'][$at] -= $idle;
        }
        $variance = $made['own'] + array_sum(array_map(static fn (float $sd): float => $sd ** 2, $made['unmarked']));

        return new Belief($made['mean'], $variance + $this->mode->system->quadratic($made['vector']));
    }

    /** By how much the mean lies beside the mode: small for what is most likely, not for how likely the best and the worst is. */
    public function skew(): Skew
    {
        return Skew::of($this->mode, $this->rows);
    }

    /**
     * One of the learners whose marks these could be: drawn with what hangs together, around the mean.
     *
     * @param  \Closure(): float  $normal  a draw of mean 0 and variance 1
     * @param  Skew  $skew  as this fit says it; the same for every draw
     */
    public function drawn(\Closure $normal, Skew $skew): Possible
    {
        $shared = $this->mode->shared === [] ? []
            : $this->mode->system->drawn(array_map(static fn (): float => $normal(), array_values($this->mode->shared)));
        foreach ($skew->shared as $i => $by) {
            $shared[$i] += $by;
        }
        $practice = $shared[$this->rows->index[Parts::PRACTICE] ?? -1] ?? $this->model->practiceDiffers * $normal();

        return new Possible($this, $shared, $skew->own, $practice, $normal);
    }

    /** What this learner gains by practice, logits for each factor e of rounds: as all do, and what their own marks say beside that. */
    public function practice(): float
    {
        return $this->model->practice + ($this->mode->shared[$this->rows->index[Parts::PRACTICE] ?? -1] ?? 0.0);
    }

    /** What this learner loses of what is not driven, logits for each factor e of months: as all do, and what their own marks say; never under 0. */
    public function fading(): float
    {
        return max(0.0, $this->model->fading + ($this->mode->shared[$this->rows->index[Parts::FADING] ?? -1] ?? 0.0));
    }

    /** Rounds in which a step of a routine was marked or shown. */
    public function driven(RoutineCode $routine, Step $step): int
    {
        return $this->rows->driven["{$routine->value}.{$step->value}"] ?? 0;
    }

    /**
     * What the next mark will be: as believed, but for a few that are slips or luck and go by what this learner's marks are like on the whole.
     *
     * @param  ?string  $place  where, as far as that is known
     * @param  ?\DateTimeImmutable  $on  today unless said otherwise
     * @return non-empty-list<float> chances for ranks 0 to 4; all positive, together 1
     */
    public function foretells(RoutineCode $routine, Step $step, Conditions $conditions, ?string $place = null, ?\DateTimeImmutable $on = null): array
    {
        $chances = $this->belief($routine, $step, $on)->outcomes($this->harder($conditions) - $this->easier($place));
        $all = array_sum($this->rows->ranks) + count($chances);

        return array_map(
            fn (float $chance, int $marks): float => (1.0 - $this->model->slips) * $chance + $this->model->slips * (1.0 + $marks) / $all, $chances,
            $this->rows->ranks,
        );
    }

    /**
     * What a cell's ability is made of: the shared parts once its own is eliminated, the variance that is its alone, and the parts nobody has marked.
     *
     * @return array{mean: float, vector: array<int, float>, own: float, unmarked: array<string, float>} standard deviations of the last, by name
     */
    public function made(RoutineCode $routine, Step $step): array
    {
        $cell = "{$routine->value}.{$step->value}";
        $mean = $this->model->start + ($this->mode->own[$cell] ?? 0.0);
        $vector = array_fill(0, count($this->mode->shared), 0.0);
        $curvature = $this->mode->ownPrior + ($this->mode->cells[$cell]['weight'] ?? 0.0);
        $unmarked = [];
        foreach ($this->parts->of($routine, $step, $routine->turnsTo()) as $name => $sd) {
            $at = $this->rows->index[$name] ?? null;
            if ($at === null) {
                $unmarked[$name] = $sd;
            } else {
                $vector[$at] = 1.0;
                $mean += $this->mode->shared[$at];
            }
        }
        foreach ($this->mode->cells[$cell]['cross'] ?? [] as $at => $cross) {
            $vector[$at] -= $cross / $curvature;
        }

        return ['mean' => $mean, 'vector' => $vector, 'own' => 1.0 / $curvature, 'unmarked' => $unmarked];
    }

    /** What conditions take off for this learner, logits: as reckoned, times how much each kind troubles them. */
    public function harder(Conditions $conditions): float
    {
        $harder = 0.0;
        foreach (Difficulty::byKind($conditions) as $kind => $difficulty) {
            $harder += $difficulty * $this->load($kind)->mean;
        }

        return $harder;
    }

    /** How much easier a place has been for this learner than others of its kind, logits; nothing where it was never met. */
    public function easier(?string $place): float
    {
        return $this->mode->shared[$this->rows->index[Parts::place($place ?? '')] ?? -1] ?? 0.0;
    }

    /** How much harder one kind of conditions is for this learner than it is reckoned: 1 as reckoned, never under 0. */
    public function load(string $kind): Belief
    {
        $at = $this->rows->index[Parts::load($kind)] ?? null;
        if ($at === null) {
            return new Belief(1.0, $this->model->load ** 2);
        }
        $vector = array_fill(0, count($this->mode->shared), 0.0);
        $vector[$at] = 1.0;

        return new Belief(max(0.0, 1.0 + $this->mode->shared[$at]), $this->mode->system->quadratic($vector));
    }

    /** How leniently each of those who marked this learner marks beside the others. */
    public function marking(): Marking
    {
        $places = $this->rows->markers;
        ksort($places, SORT_STRING);
        $unit = array_map(fn (int $at): array => [$at => 1.0] + array_fill(0, count($this->mode->shared), 0.0), array_values($places));
        array_walk($unit, static fn (array &$vector): bool => ksort($vector));

        return new Marking(
            array_map(strval(...), array_keys($places)), array_map(fn (int $at): float => $this->mode->shared[$at], array_values($places)),
            array_map(fn (array $one): array => array_map(fn (array $other): float => $this->mode->system->between($one, $other), $unit), $unit),
            array_map(fn (string|int $who): int => count($this->rows->markedBy[$who]), array_keys($places)),
        );
    }

    /** What a routine has lost today since it was last driven, logits. */
    public function faded(RoutineCode $routine): float
    {
        return $this->fading() * $this->rows->idle($routine, $this->today->getTimestamp());
    }

    /** @return list<string> "routine.step" of every cell with a mark */
    public function marked(): array
    {
        return array_keys($this->mode->cells);
    }

    public function section(RoutineCode $routine): Section
    {
        return $this->parts->section($routine);
    }
}
