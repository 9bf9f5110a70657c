<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** A question good instructors answer differently: the choices with their reasons, the default, and where it shows. */
final readonly class Question
{
    /**
     * @param  non-empty-list<Option>  $options
     * @param  list<RoutineCode>  $routines  on whose cards and plans it shows; empty: on every one
     * @param  bool  $moves  whether it moves points of a plan
     */
    public function __construct(
        public string $key,
        public string $text,
        public Step $step,
        public array $routines,
        public array $options,
        public bool $moves = false,
    ) {
    }

    public function default(RulePack $pack): string
    {
        return $pack->usualAnswers()[$this->key] ?? $this->options[0]->value;
    }

    public function option(string $value): Option
    {
        foreach ($this->options as $option) {
            if ($option->value === $value) {
                return $option;
            }
        }
        throw new \LogicException("{$this->key} has no option {$value}.");
    }

    public function concerns(RoutineCode $routine): bool
    {
        return $this->routines === [] || in_array($routine, $this->routines, true);
    }
}
