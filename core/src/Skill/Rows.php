<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/**
 * Marks as the rows of a regression. Older ones count less, until they count no more; they stand for less practice than there has been since,
 * and for a routine as fresh as it was then. Rounds that were shown are practice and no rows. What all rows of a cell have in common is said
 * once, with the group of them.
 */
final class Rows
{
    private const DAY_S = 86_400.0;

    /** What was driven again before so many days says nothing of what is forgotten: the same lesson (assumed). */
    private const SAME_LESSON_DAYS = 0.25;

    /**
     * Marks of a cell, turned to one side: the shared parts they have in common, each counted once, and mark by mark what else it tells of, with
     * what that counts; parts by place in rising order.
     *
     * @var array<string, array{cell: string, parts: list<int>, rows: list<array{rank: int, offset: float, weight: float, more: array<int, float>}>}>
     */
    public array $groups = [];

    /** @var array<string, float> every cell that was marked or overruled, with nothing: where its own part begins */
    public array $cells = [];

    /** @var list<array{cell: string, parts: array<int, float>, target: float, precision: float}> an instructor's own overrulings: what the parts add up to */
    public array $overrulings = [];

    /** @var array<string, int> place of each part in the vector */
    public array $index = [];

    /** @var array<string, int> places of the parts of those who marked */
    public array $markers = [];

    /** @var array<string, array<string, true>> lessons by who marked them */
    public array $markedBy = [];

    /** @var array<int, float> precision of each part's prior */
    public array $prior = [];

    /** Seconds since the epoch of the last mark or demonstration; 0 where there is none. */
    public int $latest = 0;

    /** @var non-empty-array<int, int> how many marks there are of each rank, worst first */
    public array $ranks = [0, 0, 0, 0, 0];

    /** @var array<string, int> seconds since the epoch when a routine was last driven */
    private array $last = [];

    /** @var array<string, int> how often a cell was driven, or shown */
    public array $driven = [];

    /**
     * @param  list<Evidence>  $evidence  in any order
     * @param  list<Overruling>  $overrulings
     */
    public function __construct(array $evidence, array $overrulings, private readonly Parts $parts, \DateTimeImmutable $today, private readonly Model $model)
    {
        $evidence = self::inTurn($evidence);
        $marks = $this->drive($evidence);
        $lesson = array_flip(array_values(array_unique(array_column($evidence, 'lesson'))));
        $now = $today->getTimestamp();
        $weights = $conditions = [];
        foreach ($marks as [$one, $cell, $at, $before, $gap]) {
            $this->ranks[$one->rank]++;
            $this->cells[$cell] = 0.0;
            $weight = $weights["{$one->lesson} {$at}"] ??= $model->remains(count($lesson) - 1 - $lesson[$one->lesson], $now - $at);
            if ($weight <= 0.0) {
                continue;
            }
            $group = "{$cell} {$one->side?->value}";
            $this->groups[$group] ??= ['cell' => $cell, 'parts' => array_keys($this->shared($one->routine, $one->step, $one->turnedTo())), 'rows' => []];
            $harder = $conditions[implode(' ', $one->conditions->noted())] ??= $this->loads($one->conditions);
            $grown = log((1.0 + $this->driven[$cell]) / (1.0 + $before));
            $more = $harder['more'];
            if ($grown > 0.0) {
                $more[$this->at(Parts::PRACTICE, $model->practiceDiffers)] = -$grown;
            }
            $idle = $gap / self::DAY_S < self::SAME_LESSON_DAYS ? 0.0 : $this->months((float) $gap);
            if ($idle > 0.0) {
                $more[$this->at(Parts::FADING, $model->fadingDiffers)] = -$idle;
            }
            if ($one->marker !== null) {
                $this->markedBy[$one->marker][$one->lesson] = true;
                $more[$this->markers[$one->marker] = $this->at(Parts::marker($one->marker), $model->marker)] = 1.0;
            }
            if ($one->place !== null) {
                $more[$this->at(Parts::place($one->place), $model->place)] = 1.0;
            }
            ksort($more);
            $this->groups[$group]['rows'][] = [
                'rank' => $one->rank, 'offset' => $model->start - $harder['all'] - $model->practice * $grown - $model->fading * $idle, 'weight' => $weight,
                'more' => $more,
            ];
        }
        foreach ($overrulings as $overruling) {
            $this->cells[$overruling->cell()] = 0.0;
            $this->overrule($overruling, $evidence, max(0.0, ($now - $overruling->at->getTimestamp()) / self::DAY_S));
        }
    }

    /**
     * By when they were made; where that is the same, in one order whatever order they came in.
     *
     * @param  list<Evidence>  $evidence
     * @return list<Evidence>
     */
    private static function inTurn(array $evidence): array
    {
        $at = $rest = [];
        foreach ($evidence as $one) {
            $at[] = (int) $one->at->format('Uu');
            $rest[] = "{$one->lesson} {$one->cell()} {$one->rank} {$one->marker}";
        }
        array_multisort($at, SORT_NUMERIC, $rest, SORT_STRING, $evidence);

        return $evidence;
    }

    /**
     * How often each cell has been driven in the end, and when each routine last was.
     *
     * @param  list<Evidence>  $evidence  in turn
     * @return list<array{Evidence, string, int, int, int}> each mark with its cell, when it was, how often that had been driven before, and seconds
     *     since its routine was
     */
    private function drive(array $evidence): array
    {
        $marks = [];
        foreach ($evidence as $one) {
            $at = $one->at->getTimestamp();
            $cell = $one->cell();
            $before = $this->driven[$cell] ?? 0;
            if (! $one->taught) {
                $marks[] = [$one, $cell, $at, $before, max(0, $at - ($this->last[$one->routine->value] ?? $at))];
            }
            $this->driven[$cell] = $before + 1;
            $this->last[$one->routine->value] = $at;
            $this->latest = max($this->latest, $at);
        }

        return $marks;
    }

    /**
     * @param  list<Evidence>  $evidence  in turn
     * @param  float  $days  since it was said
     */
    private function overrule(Overruling $overruling, array $evidence, float $days): void
    {
        [$before, $gap] = $this->by($overruling, $evidence);
        $driven = $this->driven[$overruling->cell()] ?? 0;
        $grown = log((1.0 + $driven) / (1.0 + $before));
        $parts = $this->shared($overruling->routine, $overruling->step, $overruling->routine->turnsTo());
        if ($grown > 0.0) {
            $parts[$this->at(Parts::PRACTICE, $this->model->practiceDiffers)] = -$grown;
        }
        $idle = $this->months((float) $gap);
        if ($idle > 0.0) {
            $parts[$this->at(Parts::FADING, $this->model->fadingDiffers)] = -$idle;
        }
        ksort($parts);
        $this->overrulings[] = [
            'cell' => $overruling->cell(), 'parts' => $parts,
            'target' => $overruling->ability() - $this->model->start + $this->model->practice * $grown + $this->model->fading * $idle,
            'precision' => exp(-$days / $this->model->days - ($driven - $before) / $this->model->overrulingRounds) / $this->model->overruling ** 2,
        ];
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

    /** How long a routine was not driven by a moment, as what is lost goes with it: factors e of months; nothing where it never was. */
    public function idle(RoutineCode $routine, int $by): float
    {
        $last = $this->last[$routine->value] ?? null;

        return $last === null ? 0.0 : $this->months((float) max(0, $by - $last));
    }

    /** Days since anything was driven; none where nothing was. */
    public function idleDays(int $by): float
    {
        return $this->latest === 0 ? 0.0 : max(0.0, ($by - $this->latest) / self::DAY_S);
    }

    /** @return array{all: float, more: array<int, float>} what conditions take off, and of which kinds a mark in them tells, logits */
    private function loads(Conditions $conditions): array
    {
        $more = [];
        foreach (Difficulty::byKind($conditions) as $kind => $difficulty) {
            $more[$this->at(Parts::load($kind), $this->model->load)] = -$difficulty;
        }

        return ['all' => -array_sum($more), 'more' => $more];
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

    private function months(float $seconds): float
    {
        return log(1.0 + $seconds / self::DAY_S / $this->model->fadingDays);
    }
}
