<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Ladder;
use NobleTurn\Core\Trade\Step;

/**
 * What driving a routine so many times more is expected to bring. Each round counts as practice, as the skill model has it (so the first brings more than
 * the tenth; `Practised`), and the first also brings back what was forgotten since. How sure one is of a chance is averaged over: of what is hardly known
 * more can be hoped. It is said as the chances of "unaided" that rise; what is chosen is chosen by the serious faults that go.
 */
final class Worth
{
    /** @var array<string, Belief> as of then, by "routine.step": asked for often, and dear */
    private array $beliefs = [];

    /** @var array<string, array<string, non-empty-list<float>>> by routine and rounds more: outcomes by step */
    private array $outcomes = [];

    /** @param  array<string, int>  $driven  rounds so far, by "routine.step" */
    public function __construct(private readonly Fit $fit, private readonly array $driven, private readonly \DateTimeImmutable $on)
    {
    }

    /** @return list<float> by how much the first, the second, ... round raises the chances of its steps, unaided, added up; it falls */
    public function rounds(Routine $routine, int $rounds): array
    {
        return self::differences(array_map(fn (int $round): float => array_sum($this->unaided($routine, $round)), range(0, $rounds)));
    }

    /** @return list<float> serious faults a round of it that the first, the second, ... round takes away; it falls */
    public function safer(Routine $routine, int $rounds): array
    {
        return self::differences(array_map(fn (int $round): float => -array_sum($this->serious($routine, $round)), range(0, $rounds)));
    }

    /** The step of a routine of which so many rounds take most serious faults away. */
    public function step(Routine $routine, int $rounds): Step
    {
        [$before, $after] = [$this->serious($routine, 0), $this->serious($routine, $rounds)];
        $most = [Step::Mirrors, -1.0];
        foreach ($after as $step => $faults) {
            $most = $most[1] < $before[$step] - $faults ? [Step::from($step), $before[$step] - $faults] : $most;
        }

        return $most[0];
    }

    /**
     * How often its steps would be unaided, on average.
     *
     * @param  float  $harder  by what conditions are harder than the reference, logits
     */
    public function now(Routine $routine, float $harder = 0.0): float
    {
        $chances = $this->unaided($routine, 0, $harder);

        return $chances === [] ? 0.0 : array_sum($chances) / count($chances);
    }

    /**
     * @param  non-empty-list<float>  $each
     * @return list<float>
     */
    private static function differences(array $each): array
    {
        return array_map(static fn (float $after, float $before): float => $after - $before, array_slice($each, 1), array_slice($each, 0, -1));
    }

    /** @return array<string, float> by step, once so many more rounds are driven */
    private function unaided(Routine $routine, int $rounds, float $harder = 0.0): array
    {
        return array_map(static fn (array $outcomes): float => $outcomes[Ladder::TOP], $this->at($routine, $rounds, $harder));
    }

    /** @return array<string, float> by step, once so many more rounds are driven */
    private function serious(Routine $routine, int $rounds): array
    {
        return array_map(Serious::of(...), $this->at($routine, $rounds));
    }

    /** @return array<string, non-empty-list<float>> chances of its outcomes by step, once so many more rounds are driven */
    private function at(Routine $routine, int $rounds, float $harder = 0.0): array
    {
        return $this->outcomes["{$routine->code->value} {$rounds} {$harder}"] ??= $this->foretold($routine, $rounds, $harder);
    }

    /** @return array<string, non-empty-list<float>> */
    private function foretold(Routine $routine, int $rounds, float $harder): array
    {
        $found = [];
        foreach (Step::cases() as $step) {
            if ($routine->has($step)) {
                $belief = $this->beliefs["{$routine->code->value}.{$step->value}"] ??= $this->fit->belief($routine->code, $step, $this->on);
                $driven = Practised::rounds(
                    (float) ($this->driven["{$routine->code->value}.{$step->value}"] ?? 0),
                    $belief->mean + $this->fit->faded($routine->code) - $this->fit->model->start, $this->fit->practice(),
                );
                $more = $rounds === 0 ? 0.0
                    : $this->fit->faded($routine->code) + $this->fit->practice() * log((1.0 + $driven + $rounds) / (1.0 + $driven));
                $found[$step->value] = (new Belief($belief->mean + $more, $belief->variance))->outcomes($harder);
            }
        }

        return $found;
    }
}
