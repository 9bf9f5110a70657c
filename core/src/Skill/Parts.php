<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** What the ability at a step of a routine is the sum of, besides its own part, with the spread of each prior. */
final class Parts
{
    /** How much more or less than others a learner gains by practice. */
    public const PRACTICE = 'practice';

    /** How much more or less than others a learner forgets. */
    public const FADING = 'fading';

    /** @var array<string, Section> by routine: the catalogue writes a whole card to answer, so it is asked once */
    private array $sections = [];

    public function __construct(private readonly RulePack $pack, private readonly Model $model)
    {
    }

    /**
     * @param  ?Side  $side  to which it is turned; null where it is to none
     * @return array<string, float> standard deviations by name
     */
    public function of(RoutineCode $routine, Step $step, ?Side $side): array
    {
        $onSide = $side === null ? [] : ["{$step->value} on the {$side->value}" => $this->model->stepOnSide];

        return $onSide + [
            'learner' => $this->model->learner,
            "step {$step->value}" => $this->model->step,
            "routine {$routine->value}" => $this->model->routine,
            "{$step->value} in {$this->section($routine)->value}" => $this->model->stepInSection,
        ];
    }

    /** How much more or less than others a learner is troubled by one kind of conditions. */
    public static function load(string $kind): string
    {
        return "load {$kind}";
    }

    public static function marker(string $who): string
    {
        return "marker {$who}";
    }

    public static function place(string $where): string
    {
        return "place {$where}";
    }

    public function section(RoutineCode $routine): Section
    {
        return $this->sections[$routine->value] ??= Catalogue::routine($routine, $this->pack)->section;
    }
}
