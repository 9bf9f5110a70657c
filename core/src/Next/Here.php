<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Routine\Routine;

/** What can be had of each routine in one lesson, from the ways there are and the time for them. */
final readonly class Here
{
    /** What no known way teaches weighs so much (assumed): the instructor may know a place, and it is the aim only where little else is left. */
    private const ELSEWHERE = 0.3;

    /**
     * @param  ?array<string, ?float>  $had  by routine that has a way: of what rounds of it bring where it is easy, on the way within reach that gives most
     *     of it; null where none of its ways is within reach, or left in. Null where nobody says what ways there are.
     */
    private function __construct(private ?array $had)
    {
    }

    public static function unsaid(): self
    {
        return new self(null);
    }

    /**
     * @param  list<Stop>  $stops
     * @param  list<Routine>  $routines  of the stops, in the same order
     * @param  float  $budget  for the driving and the ways, s
     * @param  list<string>  $excluded  ids of ways
     */
    public static function of(Learner $learner, array $stops, array $routines, Legs $legs, float $budget, array $excluded): self
    {
        $had = [];
        foreach ($stops as $way => $stop) {
            $code = $routines[$way]->code->value;
            $isWithin = ! in_array($stop->id, $excluded, true) && Weighed::reach($stop, $legs->along([$way]) + $stop->onceSeconds() - $budget) === null;
            $had[$code] = $isWithin ? max($had[$code] ?? 0.0, Weighed::hadThere($learner, $routines[$way], $stop->difficulty)) : $had[$code] ?? null;
        }

        return new self($had);
    }

    /** How much of what rounds of a routine bring is had, 0 to 1; null where it cannot be driven. */
    public function had(Routine $routine): ?float
    {
        if ($this->isOnAnyRoad($routine)) {
            return 1.0;
        }
        $had = array_key_exists($routine->code->value, $this->had ?? []) ? $this->had[$routine->code->value] : self::ELSEWHERE;

        return $had === null ? null : min(1.0, $had);
    }

    /** Whether it can be driven for certain: on a way within reach, however hard, or on any road. */
    public function isDriven(Routine $routine): bool
    {
        return $this->isOnAnyRoad($routine) || isset($this->had[$routine->code->value]);
    }

    /** Whether it is met, if it is, on the way to something else. */
    public function isOnlyMet(Routine $routine): bool
    {
        return $routine->section->isMetUnplanned() && ($this->had[$routine->code->value] ?? 0.0) <= 0.0;
    }

    private function isOnAnyRoad(Routine $routine): bool
    {
        return $this->had === null || ! $routine->needsAPlace();
    }
}
