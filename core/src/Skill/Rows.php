<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\RoutineCode;

/**
 * Marks as the rows of a regression. Older ones count less, stand for less practice than there has been since, and for a
 * routine as fresh as it was then. Rounds that were shown are practice and no rows.
 */
final class Rows
{
    private const DAY_S = 86_400.0;

    /** @var list<array{cell: string, parts: array<int, float>, rank: int, offset: float, weight: float}> parts by place, with what each counts */
    public array $rows = [];

    /** @var array<string, int> place of each part in the vector */
    public array $index = [];

    /** @var array<int, float> precision of each part's prior */
    public array $prior = [];

    /** Seconds since the epoch of the last mark or demonstration; 0 where there is none. */
    public int $latest = 0;

    /** @var array<string, int> seconds since the epoch when a routine was last driven */
    private array $last = [];

    /** @param  list<Evidence>  $evidence  in any order */
    public function __construct(array $evidence, private readonly Parts $parts, \DateTimeImmutable $today, private readonly Model $model)
    {
        usort($evidence, static fn (Evidence $a, Evidence $b): int => [$a->at, $a->lesson, $a->cell(), $a->rank, $a->marker] <=> [$b->at, $b->lesson, $b->cell(), $b->rank, $b->marker]);
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
        foreach ($marks as [$one, $before, $gap]) {
            $practised = log((1.0 + $driven[$one->cell()]) / (1.0 + $before));
            $days = max(0.0, ($today->getTimestamp() - $one->at->getTimestamp()) / self::DAY_S);
            $this->rows[] = [
                'cell' => $one->cell(), 'parts' => $this->counted($one), 'rank' => $one->rank,
                'offset' => $model->start - $one->conditions->difficulty() - $model->practice * $practised - $this->loss((float) $gap),
                'weight' => exp(-(count($lesson) - 1 - $lesson[$one->lesson]) / $model->lessons - $days / $model->days),
            ];
        }
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
        $counted = [];
        foreach ($this->parts->of($one->routine, $one->step) as $name => $sd) {
            $counted[$this->place($name, $sd)] = 1.0;
        }
        if ($one->marker !== null) {
            $counted[$this->place(Parts::marker($one->marker), $this->model->marker)] = 1.0;
        }
        $difficulty = $one->conditions->difficulty();
        if ($difficulty > 0.0) {
            $counted[$this->place(Parts::LOAD, $this->model->load)] = -$difficulty;
        }

        return $counted;
    }

    private function place(string $name, float $sd): int
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
