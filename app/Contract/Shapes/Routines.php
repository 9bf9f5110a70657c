<?php

namespace App\Contract\Shapes;

use App\Contract\Shapes;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Tool\RoutineFacts;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Judgement\Manoeuvre;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** The rules of a place, the catalogue in its words, and what practices differ in. */
final class Routines
{
    /** @return array<string, array<string, mixed>> */
    public static function shapes(): array
    {
        $line = self::line();
        $side = Out::choice(['left', 'right']);
        $sayings = Out::list(Out::text(''), 'what the practice adds');

        return [
            'Side' => $side,
            'WayOut' => Out::choice(WayOut::class),
            'Step' => Out::choice(Step::class),
            'RoutineCode' => Out::choice(RoutineCode::class, 'a routine of the catalogue; which there are depends on the pack'),
            'Pack' => Out::choice(RulePacks::codes()),
            'Practice' => Shapes::byName(['type' => ['string', 'number']], 'answers by question; what is left out takes the default'),
            'Rules' => Out::object([
                'pack' => Shapes::ref('Pack'), 'pack_name' => Out::text(''), 'keeps' => Shapes::ref('Side'),
                'speed_unit' => Out::choice(['mph', 'kmh']), 'length_unit' => Out::choice(['m', 'ft']),
                'limits' => Out::list(Out::number('in the speed unit')), 'town_limit' => Out::number('in the speed unit'),
                'device_rule' => Out::object([
                    'text' => Out::text('whether whoever supervises may hold a device while the car moves, as a sentence to that person'),
                    'source' => Out::text(''),
                ]),
                'words' => Shapes::byName(Out::text(''), 'the place’s own words, by the word the interface is written with'),
                'practice' => Shapes::ref('Practice'),
                'faults' => Shapes::byName(Shapes::byName(['type' => 'string']), 'words of the kinds of fault, by step and code'),
                'effects' => Shapes::byName(['type' => 'string'], 'short words of what a fault did to others'),
                'watched' => Out::object([
                    'order' => Out::list(Out::object(['key' => Out::text(''), 'words' => Out::text('')]), 'as somebody who watches sees a drive'),
                    'of' => Shapes::byName(Shapes::byName(['type' => 'string']), 'where each kind of fault is seen, by step; without a kind, an empty name'),
                ]),
                'decisions' => Shapes::byName(['type' => 'string'], 'words of what can be decided rightly'), 'routines' => Shapes::listOf('RoutineLine'),
                'elsewhere' => Out::list(Out::object([
                    'code' => Shapes::ref('RoutineCode'), 'title' => Out::text(''), 'pack_name' => Out::text('of the first pack that has it'),
                ]), 'what is taught under other packs only'),
            ]),
            'RoutineLine' => $line,
            'CardStep' => Out::object([
                'step' => Shapes::ref('Step'), 'do' => Out::text('what'), 'why' => Out::text('reason'), 'usual_mistake' => Out::text('what goes wrong'),
                'cause_step' => Shapes::refOrNull('Step') + ['description' => 'null for the first step: its cause lies before the routine'],
                'likely_cause' => Out::text(''), 'remedy' => Out::text(''), 'drill' => Out::text(''), 'for_beginner' => Out::text(''),
                'watch' => Out::text('what the instructor watches'), 'says' => $sayings, 'source' => Out::text('status of the instruction'),
            ]),
            'Choice' => Out::object([
                'question' => Out::text('what practices differ in'), 'text' => Out::text('the question in words'),
                'value' => Out::text('the choice in force'), 'words' => Out::text('the choice in words'), 'reason' => Out::text('why one would'),
                'says' => Out::text('what it adds to the card'), 'step' => Shapes::ref('Step'), 'changes' => self::changes(),
            ]),
            'RoutineCard' => Shapes::with($line, [
                'where' => Out::text(''), 'direction' => Out::text('how the instructor asks for it'), 'afterwards' => Out::text(''),
                'sketch' => Out::text('name of its drawing'), 'find' => Out::text('words to find it by'),
                'steps' => Shapes::listOf('CardStep'),
                'variants' => Out::list(
                    Out::object(['name' => Out::text(''), 'changes' => Out::text('what it changes'), 'inputs' => Shapes::byName((object) [], 'of its tool')]),
                ),
                'choices' => Shapes::listOf('Choice'),
                'severity' => Out::list(
                    Out::object(['effect' => Out::choice(Effect::class), 'words' => Out::text(''), 'severity' => Out::text('under the scheme of the pack')]),
                ),
                'ordinary_road' => Shapes::ref('RoadFacts') + ['description' => 'for a card that is not about one place; empty where an approach is planned'],
            ]),
            'PackLine' => Out::object([
                'code' => Shapes::ref('Pack'), 'name' => Out::text('as it is chosen from a list'), 'keeps' => Shapes::ref('Side'),
                'speed_unit' => Out::choice(['mph', 'kmh']), 'length_unit' => Out::choice(['m', 'ft']),
            ]),
            'PackFacts' => Out::object([
                'code' => Shapes::ref('Pack'), 'name' => Out::text(''), 'keeps' => Shapes::ref('Side'), 'version' => Out::text(''),
                'figures' => Out::list(Out::object(['key' => Out::text(''), 'name' => Out::text(''), 'value' => Out::text(''), 'status' => Out::text('')])),
            ]),
            'Question' => Out::object([
                'key' => Out::text(''), 'text' => Out::text(''), 'step' => Shapes::ref('Step'), 'changes' => self::changes(),
                'default' => Out::text('under the pack in force'), 'shows_on' => Shapes::ref('RoutineCode'),
                'routines' => Shapes::listOf('RoutineCode') + ['description' => 'that it is about; none: about every one'],
                'needs_clutch' => Out::flag('about the pedal or the lever that only some cars have'),
                'options' => Out::list(Out::object(['value' => Out::text(''), 'words' => Out::text(''), 'reason' => Out::text(''), 'says' => Out::text('')])),
            ]),
            'ChosenRules' => Out::object([
                'pack' => Shapes::refOrNull('Pack') + ['description' => 'null and what is left out are as the one above says'],
                'practice' => Shapes::ref('Practice'),
            ]),
            'RulesOnOffer' => Out::object([
                'packs' => Shapes::listOf('PackFacts'), 'questions' => Shapes::listOf('Question'), 'school' => Shapes::ref('ChosenRules'),
                'mine' => Shapes::ref('ChosenRules'),
            ]),
        ];
    }

    /** @return array<string, mixed> a routine as a list needs it */
    private static function line(): array
    {
        $sideOrNull = Shapes::refOrNull('Side');

        return Out::object([
            'code' => Shapes::ref('RoutineCode'), 'title' => Out::text(''), 'section' => Out::text(''), 'section_title' => Out::text(''),
            'steps' => Shapes::listOf('Step'),
            'faults' => Shapes::byName(Shapes::listOf('Fault'), 'by step: codes of the kinds of fault that fit it, the likeliest first'),
            'unplanned' => Out::flag('mostly met without being planned'),
            'stages' => Shapes::byName(['type' => 'string'], 'parts that are marked apart, with their words; empty where it is marked as one'),
            'has_approach' => Out::flag(''), 'stands' => Out::flag('done while the car stands: planned in seconds'),
            'planned_by' => Out::choice(
                ['approach', 'join', 'leave', 'overtake', 'lane-change'], 'the tool that plans it at a place; null where it belongs to none',
                nullable: true,
            ),
            'asked_with' => Shapes::byName(Out::text(''), 'what its tool is asked with besides the road'),
            'side' => $sideOrNull + ['description' => 'the side the way goes to, or the car; null where it keeps its place'],
            'side_by_exit' => [
                'type' => ['object', 'null'], 'description' => 'the same by way out, where it hangs on that',
            ] + Out::object(array_fill_keys(array_column(WayOut::cases(), 'value'), $sideOrNull)),
            'asks' => Out::list(
                Out::choice(RoutineFacts::ASKED),
                'which of a place’s facts it needs, of those that only some routines have',
            ),
            'turn_radius_m' => Out::number('how tight its turn is where nobody measured it', nullable: true),
            'manoeuvre' => Out::choice(Manoeuvre::class, 'what is judged at a place where it waits for a gap', nullable: true),
            'bench' => Out::list(
                Out::object(['words' => Out::text('what is asked there'), 'page' => Out::text(''), 'with' => Shapes::byName(['type' => ['string', 'number']])]),
                'pages of the bench that reckon what it asks',
            ),
        ]);
    }

    /** @return array<string, mixed> */
    private static function changes(): array
    {
        return Out::list(Out::choice(Toolbox::names()), 'the tools whose plan, events or verdict an answer changes; none: it changes only what is said');
    }
}
