<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;

/** What holds a learner back, as a heading: "Position, on every right turn: wide". */
final class HeldBackWords
{
    private const CONDITIONS = [
        'moderate' => 'with some traffic about', 'busy' => 'in busy traffic', 'dusk' => 'at dusk', 'night' => 'at night', 'wet' => 'in the wet',
        'ice' => 'on ice', 'rural' => 'on country roads', 'dual' => 'on dual carriageways', 'motorway' => 'on motorways',
    ];

    public static function of(HoldsBack $one, RulePack $pack): string
    {
        if ($one->condition !== null) {
            return 'Driving '.Wording::part($pack, self::CONDITIONS[$one->condition] ?? $one->condition);
        }
        if ($one->step === null) {
            return ($one->routine === null ? '' : (new Wording($pack, Demand::side($one->routine, $pack)))->say(Catalogue::routine($one->routine,
                $pack)->title))
                .', all steps';
        }
        $where = match (true) {
            $one->section !== null => lcfirst(Wording::part($pack, $one->section->title())),
            $one->side !== null => "on every {$one->side->value} turn",
            default => Wording::part($pack, 'at every kind of {junction}'),
        };
        $fault = $one->fault === null ? null : Faults::words()[$one->step->value][$one->fault] ?? null;

        return ucfirst($one->step->value).", {$where}".($fault === null ? '' : ': '.lcfirst(Wording::in($pack, $fault)));
    }
}
