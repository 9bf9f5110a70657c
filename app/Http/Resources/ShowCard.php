<?php

namespace App\Http\Resources;

use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Compute\Tool\RoutineFacts;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Routine\Instruction;
use NobleTurn\Core\Routine\Stages;
use NobleTurn\Core\Routine\Variant;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Effect;

/** A card of the catalogue as the interface reads it. */
final class ShowCard
{
    /** @return array<string, mixed> what a list needs */
    public static function line(Card $card, RulePack $pack): array
    {
        return [
            'code' => $card->code->value, 'title' => $card->title, 'section' => $card->section->value, 'section_title' => $card->sectionTitle,
            'steps' => array_map(static fn (Instruction $step): string => $step->step->value, $card->steps),
            'faults' => (object) array_combine(
                array_map(static fn (Instruction $step): string => $step->step->value, $card->steps),
                array_map(static fn (Instruction $step): array => Faults::likely($card->code, $card->section, $step->step), $card->steps),
            ),
            'unplanned' => $card->section->isMetUnplanned(), 'stages' => (object) Stages::of($card->code),
            'has_approach' => $card->code->hasApproach(), 'stands' => $card->code->isDoneStanding(),
            'side' => RoutineFacts::side($card->code, $pack)?->value, 'side_by_exit' => RoutineFacts::sideByExit($card->code, $pack),
            'asks' => RoutineFacts::asks($card->code, $pack),
            'turn_radius_m' => RoutineFacts::turnRadius($card->code, $pack), 'manoeuvre' => RoutineFacts::manoeuvre($card->code, $pack)?->value,
            'bench' => array_map(static fn (array $page): array => ['with' => (object) $page['with']] + $page, RoutineFacts::bench($card->code, $pack)),
            'planned_by' => PlannedBy::tool($card->code), 'asked_with' => (object) PlannedBy::asked($card->code),
        ];
    }

    /** @return array<string, mixed> */
    public static function whole(Card $card, RulePack $pack): array
    {
        return [
            ...self::line($card, $pack),
            'where' => $card->where, 'direction' => $card->direction, 'afterwards' => $card->afterwards, 'sketch' => $card->sketch->value,
            'side' => $card->side?->value, 'find' => $card->find,
            'steps' => array_map(static fn (Instruction $step): array => self::step($step, $card->says[$step->step->value] ?? []), $card->steps),
            'variants' => array_map(
                static fn (Variant $variant): array => ['name' => $variant->name, 'changes' => $variant->changes, 'inputs' => (object) $variant->inputs],
                $card->variants,
            ),
            'choices' => $card->choices, 'ordinary_road' => (object) PlannedBy::ordinary($card->code, $pack),
            'severity' => array_map(
                static fn (Effect $effect): array => ['effect' => $effect->value, 'words' => $effect->words(), 'severity' => $pack->severity($effect)],
                Effect::cases(),
            ),
        ];
    }

    /**
     * @param  list<string>  $says
     * @return array<string, mixed>
     */
    private static function step(Instruction $step, array $says): array
    {
        return [
            'step' => $step->step->value, 'do' => $step->do, 'why' => $step->why, 'usual_mistake' => $step->usualMistake,
            'cause_step' => $step->causeIn?->value,
            'likely_cause' => $step->likelyCause, 'remedy' => $step->remedy, 'drill' => $step->drill, 'for_beginner' => $step->forBeginner,
            'watch' => $step->watch,
            'says' => $says, 'source' => $step->source()->words(),
        ];
    }
}
