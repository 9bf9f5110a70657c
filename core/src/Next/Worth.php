<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Trade\Step;

/**
 * What driving a routine so many times more is expected to bring: by how much the chances of its steps, unaided and in the reference conditions, rise,
 * added up. Each round counts as practice, as the skill model has it (so the first brings more than the tenth; `Practised`), and the first also brings
 * back what was forgotten since. How sure one is of a chance is averaged over: of what is hardly known more can be hoped.
 */
final class Worth
{
    /** @var array<string, Belief> as of then, by "routine.step": asked for often, and dear */
    private array $beliefs = [];

    /** @param  array<string, int>  $driven  rounds so far, by "routine.step" */
    public function __construct(private readonly Fit $fit, private readonly array $driven, private readonly \DateTimeImmutable $on)
    {
    }

    /** @return list<float> what the first, the second, ... round brings; it falls */
    public function rounds(Routine $routine, int $rounds): array
    {
        $brings = [];
        $before = $this->at($routine, 0);
        for ($round = 1; $round <= $rounds; $round++) {
            $after = $this->at($routine, $round);
            $brings[] = array_sum($after) - array_sum($before);
            $before = $after;
        }

        return $brings;
    }

    /**
     * The step of a routine to which so many rounds bring most, and how much.
     *
     * @return array{Step, float}
     */
    public function step(Routine $routine, int $rounds): array
    {
        [$before, $after] = [$this->at($routine, 0), $this->at($routine, $rounds)];
        $most = [Step::Mirrors, -1.0];
        foreach ($after as $step => $chance) {
            $most = $chance - $before[$step] > $most[1] ? [Step::from($step), $chance - $before[$step]] : $most;
        }

        return $most;
    }

    /**
     * How often its steps would be unaided, on average.
     *
     * @param  float  $harder  by what conditions are harder than the reference, logits
     */
    public function now(Routine $routine, float $harder = 0.0): float
    {
        $chances = $this->at($routine, 0, $harder);

        return $chances === [] ? 0.0 : array_sum($chances) / count($chances);
    }

    /** @return array<string, float> chance of "unaided" by step, once so many more rounds are driven */
    private function at(Routine $routine, int $rounds, float $harder = 0.0): array
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
                $found[$step->value] = (new Belief($belief->mean + $more, $belief->variance))->unaided($harder);
            }
        }

        return $found;
    }
}
