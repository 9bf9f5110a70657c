<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\RoutineCode;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Step;
use NobleTurn\Core\Rules\RulePack;

/**
 * The most likely abilities behind all marks of a learner, with their uncertainty.
 *
 * The ability at a step of a routine is learner + step + routine + (step in the section of the catalogue) + what is left for
 * that cell alone; each part is Gaussian around nothing, so that marks of one skill inform related ones. A mark answers by
 * the `Ladder`, made harder by its conditions and shifted by who marks. Older marks count less, stand for less practice than
 * there has been since, and for a routine as fresh as it was then. The mode is found by Newton's method; the cells' own parts
 * are eliminated first (each touches only four of the others), so that what is solved stays small however many cells there
 * are. The same marks give the same answer in whatever order they came.
 */
final class Fit
{
    private const ROUNDS = 30;

    /** @var array<string, int> place of each shared part in the vector */
    private array $index = [];

    /** @var array<int, float> precision of each shared part's prior */
    private array $prior = [];

    /** @var array<int, float> */
    private array $shared = [];

    /** @var array<string, float> each cell's own part */
    private array $own = [];

    /** @var array<string, array{weight: float, cross: array<int, float>}> curvature of each marked cell, with its share in the others */
    private array $cells = [];

    private Linear $system;

    /** @var array<string, int> rounds of a cell driven up to now, taught ones too */
    private array $driven = [];

    /** @var array<string, int> seconds since the epoch when a routine was last driven */
    private array $last = [];

    /** @var list<array{cell: string, parts: array<int, float>, rank: int, offset: float, weight: float}> parts by place, with what each counts */
    private array $rows = [];

    private int $latest = 0;

    /** @param  list<Evidence>  $evidence */
    private function __construct(array $evidence, private readonly RulePack $pack, private readonly \DateTimeImmutable $today, private readonly Model $model)
    {
        $this->part('learner', $model->learner);
        foreach (Step::cases() as $step) {
            $this->part("step {$step->value}", $model->step);
        }
        usort($evidence, static fn (Evidence $a, Evidence $b): int => [$a->at, $a->lesson, $a->cell(), $a->rank, $a->marker] <=> [$b->at, $b->lesson, $b->cell(), $b->rank, $b->marker]);
        $this->read($evidence);
        $this->solve();
    }

    /** @param  list<Evidence>  $evidence  up to today, in any order */
    public static function of(array $evidence, RulePack $pack, \DateTimeImmutable $today, Model $model = new Model): self
    {
        return new self($evidence, $pack, $today, $model);
    }

    /** What is believed today, in the reference conditions; or on another day. */
    public function belief(RoutineCode $routine, Step $step, ?\DateTimeImmutable $on = null): Belief
    {
        $cell = "{$routine->value}.{$step->value}";
        $vector = array_fill(0, count($this->shared), 0.0);
        $mean = $this->model->start;
        $variance = 0.0;
        // A routine nobody has marked is met by its prior alone.
        foreach ($this->names($routine, $step) as $name => $sd) {
            if (isset($this->index[$name])) {
                $vector[$this->index[$name]] = 1.0;
                $mean += $this->shared[$this->index[$name]];
            } else {
                $variance += $sd ** 2;
            }
        }
        $own = 1.0 / $this->model->cell ** 2;
        $weight = $this->cells[$cell]['weight'] ?? 0.0;
        foreach ($this->cells[$cell]['cross'] ?? [] as $at => $cross) {
            $vector[$at] -= $cross / ($own + $weight);
        }
        $mean += $this->own[$cell] ?? 0.0;
        $now = ($on ?? $this->today)->getTimestamp();
        $mean -= $this->faded($routine, $now);
        $days = $this->latest === 0 ? 0.0 : max(0.0, ($now - $this->latest) / 86_400.0);

        return new Belief($mean, $variance + $this->system->quadratic($vector) + 1.0 / ($own + $weight) + $this->model->ofTheDay + $this->model->perDay * $days);
    }

    /** How much harder conditions are for this learner than they are reckoned: 1 as reckoned. */
    public function load(): float
    {
        return max(0.0, 1.0 + (isset($this->index['load']) ? $this->shared[$this->index['load']] : 0.0));
    }

    /** The mean of a shared part and its standard deviation; nothing and the prior's where nobody has marked it. */
    public function effect(string $name, float $sd): Belief
    {
        $at = $this->index[$name] ?? null;
        if ($at === null) {
            return new Belief(0.0, $sd ** 2);
        }
        $vector = array_fill(0, count($this->shared), 0.0);
        $vector[$at] = 1.0;

        return new Belief($this->shared[$at], $this->system->quadratic($vector));
    }

    /** @return list<string> "routine.step" of every cell with a mark */
    public function marked(): array
    {
        return array_keys($this->cells);
    }

    /** @param  list<Evidence>  $evidence  in their order */
    private function read(array $evidence): void
    {
        $lessons = array_values(array_unique(array_map(static fn (Evidence $one): string => $one->lesson, $evidence)));
        $place = array_flip($lessons);
        $then = $lastThen = $rows = [];
        foreach ($evidence as $one) {
            $cell = $one->cell();
            $at = $one->at->getTimestamp();
            $this->latest = max($this->latest, $at);
            $gap = isset($lastThen[$one->routine->value]) ? max(0, $at - $lastThen[$one->routine->value]) : 0;
            if (! $one->taught) {
                $rows[] = [$one, $then[$cell] ?? 0, $gap];
            }
            $then[$cell] = ($then[$cell] ?? 0) + 1;
            $lastThen[$one->routine->value] = $at;
        }
        $this->driven = $then;
        $this->last = $lastThen;
        $now = $this->today->getTimestamp();
        foreach ($rows as [$one, $before, $gap]) {
            $parts = [];
            foreach ($this->names($one->routine, $one->step) as $name => $sd) {
                $parts[$this->part($name, $sd)] = 1.0;
            }
            if ($one->marker !== null) {
                $parts[$this->part("marker {$one->marker}", $this->model->marker)] = 1.0;
            }
            $difficulty = $one->conditions->difficulty();
            if ($difficulty > 0.0) {
                // How much more or less than others this learner is troubled by what goes on around.
                $parts[$this->part('load', $this->model->load)] = -$difficulty;
            }
            $practised = log((1.0 + $this->driven[$one->cell()]) / (1.0 + $before));
            $since = count($lessons) - 1 - $place[$one->lesson];
            $days = max(0.0, ($now - $one->at->getTimestamp()) / 86_400.0);
            $this->rows[] = [
                'cell' => $one->cell(), 'parts' => $parts, 'rank' => $one->rank,
                'offset' => $this->model->start - $difficulty - $this->model->practice * $practised - $this->loss((float) $gap),
                'weight' => exp(-$since / $this->model->lessons - $days / $this->model->days),
            ];
        }
    }

    private function solve(): void
    {
        $this->shared = array_fill(0, count($this->index), 0.0);
        $this->own = array_fill_keys(array_unique(array_column($this->rows, 'cell')), 0.0);
        $ownPrior = 1.0 / $this->model->cell ** 2;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            [$gradient, $ownGradient, $matrix] = $this->gather($ownPrior);
            $right = $gradient;
            foreach ($this->cells as $cell => ['weight' => $weight, 'cross' => $cross]) {
                $d = $ownPrior + $weight;
                foreach ($cross as $i => $x) {
                    $right[$i] -= $x * $ownGradient[$cell] / $d;
                    foreach ($cross as $j => $y) {
                        $matrix[$i][$j] -= $x * $y / $d;
                    }
                }
            }
            $this->system = Linear::of($matrix);
            $step = $this->system->solve($right);
            $longest = 0.0;
            foreach ($step as $i => $by) {
                $this->shared[$i] += max(-1.5, min(1.5, $by));
                $longest = max($longest, abs($by));
            }
            foreach ($this->cells as $cell => ['weight' => $weight, 'cross' => $cross]) {
                $sum = $ownGradient[$cell];
                foreach ($cross as $i => $x) {
                    $sum -= $x * $step[$i];
                }
                $this->own[$cell] += max(-1.5, min(1.5, $sum / ($ownPrior + $weight)));
            }
            if ($longest < 1e-6) {
                break;
            }
        }
    }

    /** @return array{array<int, float>, array<string, float>, array<int, array<int, float>>} slopes of shared and own parts, and the shared parts' curvature */
    private function gather(float $ownPrior): array
    {
        $n = count($this->shared);
        $gradient = array_map(static fn (float $precision, float $value): float => -$precision * $value, $this->prior, $this->shared);
        $matrix = array_map(fn (int $i): array => array_map(fn (int $j): float => $i === $j ? $this->prior[$i] : 0.0, range(0, $n - 1)), range(0, $n - 1));
        $ownGradient = array_map(static fn (float $value): float => -$ownPrior * $value, $this->own);
        $this->cells = [];
        foreach ($this->rows as $row) {
            $eta = $row['offset'] + $this->own[$row['cell']];
            foreach ($row['parts'] as $i => $x) {
                $eta += $x * $this->shared[$i];
            }
            $slope = $row['weight'] * Ladder::slope($row['rank'], $eta);
            $curvature = $row['weight'] * Ladder::curvature($row['rank'], $eta);
            $ownGradient[$row['cell']] += $slope;
            $cell = $this->cells[$row['cell']] ?? ['weight' => 0.0, 'cross' => []];
            $cell['weight'] += $curvature;
            foreach ($row['parts'] as $i => $x) {
                $gradient[$i] += $x * $slope;
                $cell['cross'][$i] = ($cell['cross'][$i] ?? 0.0) + $x * $curvature;
                foreach ($row['parts'] as $j => $y) {
                    $matrix[$i][$j] += $x * $y * $curvature;
                }
            }
            $this->cells[$row['cell']] = $cell;
        }

        return [$gradient, $ownGradient, $matrix];
    }

    /** @return array<string, float> the shared parts of a cell with the spread of their priors */
    private function names(RoutineCode $routine, Step $step): array
    {
        return [
            'learner' => $this->model->learner,
            "step {$step->value}" => $this->model->step,
            "routine {$routine->value}" => $this->model->routine,
            self::inSection($step, Catalogue::routine($routine, $this->pack)->section) => $this->model->stepInSection,
        ];
    }

    public static function inSection(Step $step, Section $section): string
    {
        return "{$step->value} in {$section->value}";
    }

    private function part(string $name, float $sd): int
    {
        if (! isset($this->index[$name])) {
            $this->index[$name] = count($this->index);
            $this->prior[] = 1.0 / $sd ** 2;
        }

        return $this->index[$name];
    }

    /** Lost today since the routine was last driven, logits. */
    private function faded(RoutineCode $routine, int $now): float
    {
        $last = $this->last[$routine->value] ?? null;

        return $last === null ? 0.0 : $this->loss((float) max(0, $now - $last));
    }

    private function loss(float $seconds): float
    {
        return $this->model->fading * log(1.0 + $seconds / 86_400.0 / $this->model->fadingDays);
    }
}
