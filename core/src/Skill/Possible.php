<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** One of the learners whose marks these could be: what hangs together in the record hangs together in them. */
final class Possible
{
    /** @var array<string, float> parts nobody has marked, drawn once each, by name */
    private array $parts = [];

    /** @var array<string, float> by cell */
    private array $stands = [];

    /**
     * @param  array<int, float>  $shared  how far each shared part is from where it most likely is
     * @param  array<string, float>  $own  how far what is a cell's alone is on average from where it most likely is, by cell
     * @param  float  $practice  how far what they gain by practice is from what most do
     * @param  \Closure(): float  $normal
     */
    public function __construct(
        private readonly Fit $fit, private readonly array $shared, private readonly array $own, private readonly float $practice,
        private readonly \Closure $normal,
    ) {
    }

    /** Logits at a step of a routine, whatever is forgotten since. */
    public function stands(RoutineCode $routine, Step $step): float
    {
        return $this->stands["{$routine->value}.{$step->value}"] ??= $this->draw($routine, $step);
    }

    /** What they gain by practice, logits for each factor e of rounds; never less than nothing. */
    public function practice(): float
    {
        return max(0.0, $this->fit->practice() + $this->practice);
    }

    private function draw(RoutineCode $routine, Step $step): float
    {
        $made = $this->fit->made($routine, $step);
        $at = $made['mean'] + ($this->own["{$routine->value}.{$step->value}"] ?? 0.0) + sqrt($made['own']) * ($this->normal)();
        foreach ($made['vector'] as $i => $share) {
            $at += $share * $this->shared[$i];
        }
        foreach ($made['unmarked'] as $name => $sd) {
            $at += $this->parts[$name] ??= $sd * ($this->normal)();
        }

        return $at;
    }
}
