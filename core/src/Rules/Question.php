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
     * @param  list<string>  $changes  the tools whose plan, events or verdict an answer changes; empty: it changes only what is said
     * @param  bool  $needsClutch  whether it is about the pedal or the lever that only some cars have
     * @param  bool  $needsMarkers  whether it is about the posts before a way off
     */
    public function __construct(
        public string $key,
        public string $text,
        public Step $step,
        public array $routines,
        public array $options,
        public array $changes = [],
        private bool $needsMarkers = false,
        public bool $needsClutch = false,
    ) {
    }

    public function default(RulePack $pack): string
    {
        return $pack->usualAnswers()[$this->key] ?? $this->options[0]->value;
    }

    /** Whether it can be asked there: a choice about posts that do not stand, or a routine nobody has, would change nothing. */
    public function isAskedUnder(RulePack $pack): bool
    {
        $taught = array_filter($this->routines, static fn (RoutineCode $code): bool => ! in_array($code, $pack->lacks(), true));

        return (! $this->needsMarkers || $pack->exitSigns()->markers !== []) && ($this->routines === [] || $taught !== []);
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
