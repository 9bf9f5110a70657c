<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/**
 * A made-up learner who differs in form from the model that judges them: skill grows along a curve that levels off with
 * practice of the cell and a little with practice of the step elsewhere, is lost exponentially with time, is scaled (not
 * shifted) by what goes on around, meets harder and easier places, has good and bad days, and is marked through normal, not logistic, thresholds.
 */
final class SimulatedLearner
{
    public const KINDS = ['fast', 'slow', 'forgetful', 'step-weak', 'condition-weak'];

    private const ROUTINES = [
        'turn-left', 'turn-right', 'emerge-left', 'emerge-right', 'cross', 'lights-left', 'lights-right', 'roundabout', 'mini-roundabout',
        'pass-parked',
    ];

    private const LOAD = ['quiet' => 0.0, 'moderate' => 0.2, 'busy' => 0.5, 'day' => 0.0, 'dusk' => 0.1, 'night' => 0.25, 'dry' => 0.0, 'wet' => 0.15];

    /** @var list<Evidence> */
    public array $evidence = [];

    public \DateTimeImmutable $now;

    /** @var array<string, array{start: float, end: float}> */
    private array $cells = [];

    /** @var array<string, float> */
    private array $practice = [];

    /** @var array<string, \DateTimeImmutable> */
    private array $last = [];

    /** @var array<string, float> how much harder than others of their kind */
    private array $places = [];

    private float $rate;

    private float $forget;

    private float $sensitive;

    /** How leniently whoever marks this learner does so; the same one every time. */
    public float $bias;

    private int $lesson = 0;

    public function __construct(
        private Approaches $draw, public readonly string $kind, ?Step $weakStep = null, ?Section $weakSection = null, float $by = 0.0,
        float $spread = 1.0, ?Side $weakSide = null, float $rises = 2.2, float $slower = 1.0,
    ) {
        $this->rate = match ($kind) {
            'fast' => 0.2, 'slow' => 0.04, default => 0.1
        } / $slower;
        $this->forget = $kind === 'forgetful' ? 1.2 : 0.35;
        $this->sensitive = $kind === 'condition-weak' ? 2.5 : 1.0;
        $this->bias = $draw->one([-0.25, 0.0, 0.0, 0.25]);
        $base = -0.9 + 0.6 * $this->normal();
        $steps = $routines = [];
        $weak = $weakStep ?? ($kind === 'step-weak' ? $draw->one(Step::cases()) : null);
        foreach (self::ROUTINES as $routine) {
            $routines[$routine] = 0.35 * $spread * $this->normal();
            foreach (Step::cases() as $step) {
                $steps[$step->value] ??= 0.3 * $spread * $this->normal();
                $section = Catalogue::routine(RoutineCode::from($routine), new GreatBritain)->section;
                $held = $weak === $step && ($weakSection === null || $weakSection === $section)
                    && ($weakSide === null || $weakSide === RoutineCode::from($routine)->namedSide()) ? ($weakStep === null ? 1.0 : $by) : 0.0;
                $start = $base + $steps[$step->value] + $routines[$routine] + 0.2 * $spread * $this->normal() - $held;
                $this->cells["{$routine}.{$step->value}"] = ['start' => $start, 'end' => $start + $rises + 0.4 * $this->normal()];
            }
        }
        $this->now = new \DateTimeImmutable('2026-01-05T10:00:00Z');
    }

    /** The same learner up to now; what happens to them from now on is drawn by another seed. */
    public function twin(int $seed): self
    {
        $twin = clone $this;
        $twin->draw = new Approaches($seed);
        $twin->evidence = [];

        return $twin;
    }

    /** @return list<Evidence> the marks of one more lesson, a week or so on */
    public function drive(int $rounds, ?array $only = null, bool $inTurn = false, ?int $days = null): array
    {
        $this->lesson++;
        $this->now = $this->now->modify('+'.($days ?? $this->draw->one([4, 7, 7, 7, 10, 21])).' days');
        $known = $only ?? array_slice(self::ROUTINES, 0, min(count(self::ROUTINES), 3 + $this->lesson));
        $form = 0.25 * $this->normal();
        $marks = [];
        for ($i = 0; $i < $rounds; $i++) {
            $routine = RoutineCode::from($inTurn ? $known[$i % count($known)] : $this->draw->one($known));
            $at = $this->now->modify("+{$i} minutes");
            $conditions = new Conditions(
                $this->draw->one(['quiet', 'moderate', 'busy']), $this->draw->one(['day', 'day', 'dusk', 'night']),
                $this->draw->one(['dry', 'dry', 'wet']), 'town',
            );
            $load = self::LOAD[$conditions->traffic] + self::LOAD[$conditions->light] + self::LOAD[$conditions->surface];
            $place = "{$routine->value} ".$this->draw->one(['a', 'b', 'c']);
            $harder = $this->places[$place] ??= 0.3 * $this->normal();
            foreach (Step::cases() as $step) {
                if (! Catalogue::routine($routine, new GreatBritain)->has($step)) {
                    continue;
                }
                $latent = $this->skill($routine, $step, $at) - $harder - $this->sensitive * $load + $form + $this->normal() + $this->bias;
                $outcome = match (true) {
                    $latent > 0.0 => Outcome::Unaided,
                    $latent > -0.75 => Outcome::Reminded,
                    $latent > -1.5 => Outcome::Prompted,
                    $latent > -2.3 => Outcome::Missed,
                    default => Outcome::Intervened,
                };
                $marks[] = new Evidence("l{$this->lesson}", $at, $routine, $step, new StepMark($outcome), $conditions, place: $place);
                $this->practice["{$routine->value}.{$step->value}"] = ($this->practice["{$routine->value}.{$step->value}"] ?? 0.0) + 1.0;
                $this->practice[$step->value] = ($this->practice[$step->value] ?? 0.0) + 0.15;
            }
            $this->last[$routine->value] = $at;
        }
        $this->evidence = [...$this->evidence, ...$marks];

        return $marks;
    }

    /** Chance of "unaided" in the reference conditions at a moment, good and bad days averaged, the marker's own measure apart. */
    public function truth(RoutineCode $routine, Step $step, \DateTimeImmutable $at): float
    {
        return self::normalCdf($this->skill($routine, $step, $at) / sqrt(1.0 + 0.25 ** 2));
    }

    private function skill(RoutineCode $routine, Step $step, \DateTimeImmutable $at): float
    {
        $cell = $this->cells["{$routine->value}.{$step->value}"];
        $practised = ($this->practice["{$routine->value}.{$step->value}"] ?? 0.0) + ($this->practice[$step->value] ?? 0.0);
        $days = isset($this->last[$routine->value]) ? max(0, $at->getTimestamp() - $this->last[$routine->value]->getTimestamp()) / 86_400.0 : 0.0;

        return $cell['end'] - ($cell['end'] - $cell['start']) * exp(-$this->rate * $practised) - $this->forget * (1.0 - exp(-$days / 45.0));
    }

    private function normal(): float
    {
        return sqrt(-2.0 * log($this->draw->number(0.00001, 1.0))) * cos(2.0 * M_PI * $this->draw->number(0.0, 1.0));
    }

    /** Abramowitz and Stegun 26.2.17: better than 1e-7. */
    public static function normalCdf(float $x): float
    {
        $t = 1.0 / (1.0 + 0.2316419 * abs($x));
        $tail = exp(-$x * $x / 2.0) / sqrt(2.0 * M_PI) * $t * (0.319381530 + $t * (-0.356563782 + $t * (1.781477937 + $t * (-1.821255978 + $t * 1.330274429))));

        return $x >= 0.0 ? 1.0 - $tail : $tail;
    }
}
