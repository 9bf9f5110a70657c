<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/**
 * Marks as the rows of a regression. Older ones count less, stand for less practice than there has been since, and for a
 * routine as fresh as it was then. Rounds that were shown are practice and no rows.
 */
final class Rows
{
    private const DAY_S = 86_400.0;

    /**
     * @var list<array{cell: string, parts: array<int, float>, rank: int, offset: float, weight: float}> parts by place in rising order, with what each counts
     */
    public array $rows = [];

    /** @var list<array{cell: string, parts: array<int, float>, target: float, precision: float}> an instructor's own overrulings: what the parts add up to */
    public array $overrulings = [];

    /** @var array<string, int> place of each part in the vector */
    public array $index = [];

    /** @var array<int, float> precision of each part's prior */
    public array $prior = [];

    /** Seconds since the epoch of the last mark or demonstration; 0 where there is none. */
    public int $latest = 0;

    /** @var array<string, int> seconds since the epoch when a routine was last driven */
    private array $last = [];

    /**
     * @param  list<Evidence>  $evidence  in any order
     * @param  list<Overruling>  $overrulings
     */
    public function __construct(array $evidence, array $overrulings, private readonly Parts $parts, \DateTimeImmutable $today, private readonly Model $model)
    {
        usort(
            $evidence,
            static fn (Evidence $a, Evidence $b): int => [
                $a->at, $a->lesson, $a->cell(), $a->rank, $a->marker,
            ] <=> [$b->at, $b->lesson, $b->cell(), $b->rank, $b->marker],
        );
        $lesson = array_flip(array_values(array_unique(array_map(static fn (Evidence $one): string => $one->lesson, $evidence))));
        $driven = $marks = [];
        foreach ($evidence as $one) {
            $at = $one->at->getTimestamp();
            $gap = isset($this->last[$one->routine->value]) ? max(0, $at - $this->last[$one->routine->value]) : 0;
            if (! $one->taught) {
                $marks[] = [$one, $driven[$one->cell()] ?? 0, $gap];
            }
            $driven[$one->cell()] = ($driven[$one->cell()] ?? 0) + 1;
            $this->last[$one->routine->value] = $at;
            $this->latest = max($this->latest, $at);
        }
        $days = static fn (\DateTimeImmutable $at): float => max(0.0, ($today->getTimestamp() - $at->getTimestamp()) / self::DAY_S);
        foreach ($marks as [$one, $before, $gap]) {
            $this->rows[] = [
                'cell' => $one->cell(), 'parts' => $this->counted($one), 'rank' => $one->rank,
                'offset' => $model->start - Difficulty::of($one->conditions) - $this->grown($driven[$one->cell()], $before) - $this->loss((float) $gap),
                'weight' => exp(-(count($lesson) - 1 - $lesson[$one->lesson]) / $model->lessons - $days($one->at) / $model->days),
            ];
        }
        foreach ($overrulings as $overruling) {
            [$before, $gap] = $this->by($overruling, $evidence);
            $after = ($driven[$overruling->cell()] ?? 0) - $before;
            $this->overrulings[] = [
                'cell' => $overruling->cell(), 'parts' => $this->shared($overruling->routine, $overruling->step, $overruling->routine->turnsTo()),
                'target' => $overruling->ability() - $model->start + $this->grown($driven[$overruling->cell()] ?? 0, $before) + $this->loss((float) $gap),
                'precision' => exp(-$days($overruling->at) / $model->days - $after / $model->overrulingRounds) / $model->overruling ** 2,
            ];
        }
    }

    /** What the rounds since are worth, logits. */
    private function grown(int $driven, int $before): float
    {
        return $this->model->practice * log((1.0 + $driven) / (1.0 + $before));
    }

    /**
     * @param  list<Evidence>  $evidence
     * @return array{int, int} how often the cell had been driven by then, and seconds since its routine was
     */
    private function by(Overruling $overruling, array $evidence): array
    {
        [$before, $last] = [0, null];
        foreach ($evidence as $one) {
            if ($one->at <= $overruling->at) {
                $before += (int) ($one->cell() === $overruling->cell());
                $last = $one->routine === $overruling->routine ? $one->at->getTimestamp() : $last;
            }
        }

        return [$before, $last === null ? 0 : $overruling->at->getTimestamp() - $last];
    }

    /** Lost of a routine by a moment since it was last driven, logits. */
    public function faded(RoutineCode $routine, int $by): float
    {
        $last = $this->last[$routine->value] ?? null;

        return $last === null ? 0.0 : $this->loss((float) max(0, $by - $last));
    }

    /** Days since anything was driven; none where nothing was. */
    public function idleDays(int $by): float
    {
        return $this->latest === 0 ? 0.0 : max(0.0, ($by - $this->latest) / self::DAY_S);
    }

    /** @return array<int, float> places of the parts a mark tells of, with what each counts */
    private function counted(Evidence $one): array
    {
        $counted = $this->shared($one->routine, $one->step, $one->turnedTo());
        if ($one->marker !== null) {
            $counted[$this->at(Parts::marker($one->marker), $this->model->marker)] = 1.0;
        }
        if ($one->place !== null) {
            $counted[$this->at(Parts::place($one->place), $this->model->place)] = 1.0;
        }
        foreach (Difficulty::byKind($one->conditions) as $kind => $difficulty) {
            $counted[$this->at(Parts::load($kind), $this->model->load)] = -$difficulty;
        }

        ksort($counted);

        return $counted;
    }

    /** @return array<int, float> */
    private function shared(RoutineCode $routine, Step $step, ?Side $side): array
    {
        $shared = [];
        foreach ($this->parts->of($routine, $step, $side) as $name => $sd) {
            $shared[$this->at($name, $sd)] = 1.0;
        }
        ksort($shared);

        return $shared;
    }

    private function at(string $name, float $sd): int
    {
        if (! isset($this->index[$name])) {
            $this->index[$name] = count($this->index);
            $this->prior[] = 1.0 / $sd ** 2;
        }

        return $this->index[$name];
    }

    private function loss(float $seconds): float
    {
        return $this->model->fading * log(1.0 + $seconds / self::DAY_S / $this->model->fadingDays);
    }
}
