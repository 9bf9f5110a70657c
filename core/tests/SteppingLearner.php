<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * A made-up learner of quite another form than the model: each step of each routine is in one of four states and jumps between them, up by
 * practice, down by a pause; there are bad days and good ones, slips and guesses. Where somebody begins and how quickly they learn is drawn
 * from a population, whose figures the filter below knows; this learner's own nobody knows.
 */
final class SteppingLearner
{
    private const ROUTINES = [
        'turn-left', 'turn-right', 'emerge-left', 'emerge-right', 'cross', 'lights-left', 'lights-right', 'roundabout', 'mini-roundabout', 'pass-parked',
    ];

    /** @var list<Evidence> */
    public array $evidence = [];

    public \DateTimeImmutable $now;

    /** @var array<string, int> state by cell */
    private array $states = [];

    /** @var array<string, \DateTimeImmutable> when a cell was last driven */
    private array $last = [];

    private readonly float $climbs;

    /** @var list<float> */
    private readonly array $begins;

    private int $lesson = 0;

    public function __construct(private readonly Approaches $draw, private readonly SteppingPopulation $people = new SteppingPopulation)
    {
        $this->begins = $people->begins[$this->drawn($people->came)];
        $this->climbs = $draw->one($people->climbs);
        $this->now = new \DateTimeImmutable('2026-01-05T10:00:00Z');
    }

    /**
     * @param  ?list<string>  $only  routines, drawn from as often as they stand there; null for those met by then
     * @return list<Evidence> the marks of one more lesson, a week or so on
     */
    public function drive(int $rounds, ?array $only = null, bool $inTurn = false): array
    {
        $this->lesson++;
        $this->now = $this->now->modify('+'.$this->draw->one([4, 7, 7, 7, 10, 21]).' days');
        $known = $only ?? array_slice(self::ROUTINES, 0, min(count(self::ROUTINES), 3 + $this->lesson));
        $day = $this->drawn($this->people->days) - 1;
        $marks = [];
        for ($i = 0; $i < $rounds; $i++) {
            $routine = RoutineCode::from($inTurn ? $known[$i % count($known)] : $this->draw->one($known));
            $at = $this->now->modify("+{$i} minutes");
            foreach (Step::cases() as $step) {
                if (! Catalogue::routine($routine, new GreatBritain)->has($step)) {
                    continue;
                }
                $cell = "{$routine->value}.{$step->value}";
                $state = $this->states[$cell] ??= $this->drawn($this->begins);
                if (isset($this->last[$cell]) && $this->draw->number(0.0, 1.0) < $this->people->fallen($this->last[$cell], $at)) {
                    $state = max(0, $state - 1);
                }
                $as = $this->draw->number(0.0, 1.0) < $this->people->byTheDay ? max(0, min($this->people->top(), $state + $day)) : $state;
                $rank = $this->drawn($this->people->outcomes[$as]);
                $marks[] = new Evidence(
                    "l{$this->lesson}", $at, $routine, $step, new StepMark(Outcome::cases()[$rank]), new Conditions('moderate', 'day', 'dry', 'town'),
                );
                $this->states[$cell] = $this->draw->number(0.0, 1.0) < $this->climbs ? min($this->people->top(), $state + 1) : $state;
                $this->last[$cell] = $at;
            }
        }
        $this->evidence = [...$this->evidence, ...$marks];

        return $marks;
    }

    /** Chance of "unaided" today, bad days and good ones averaged; what was never driven stands lowest. */
    public function alone(RoutineCode $routine, Step $step): float
    {
        $cell = "{$routine->value}.{$step->value}";
        $unaided = array_column($this->people->outcomes, count(Outcome::cases()) - 1);
        $of = function (int $state) use ($unaided): float {
            $chance = 0.0;
            foreach ($this->people->days as $day => $share) {
                $as = max(0, min($this->people->top(), $state + $day - 1));
                $chance += $share * ((1.0 - $this->people->byTheDay) * $unaided[$state] + $this->people->byTheDay * $unaided[$as]);
            }

            return $chance;
        };

        return $of($this->states[$cell] ?? 0);
    }

    /** @param  list<float>  $chances */
    private function drawn(array $chances): int
    {
        $left = $this->draw->number(0.0, 1.0);
        foreach ($chances as $i => $chance) {
            if (($left -= $chance) < 0.0) {
                return $i;
            }
        }

        return count($chances) - 1;
    }
}
