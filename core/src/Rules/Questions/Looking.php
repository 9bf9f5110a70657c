<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules\Questions;

use NobleTurn\Core\Rules\Option;
use NobleTurn\Core\Rules\Question;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Step;

/** Where one looks, stands and whom one lets go first. */
final class Looking
{
    /** @return non-empty-list<Question> */
    public static function all(): array
    {
        return [
            new Question('look', 'Looking at a {T-junction}', Step::Look, Where::LINES, [
                new Option('alternate', 'Keep alternating until clear', 'Looking goes on until it is clear; both ways and back is the least.'),
                new Option('right-left-right', '{off}, {near}, {off} as the minimum', 'A fixed minimum is easy to hold on to.'),
            ], changes: ['approach']),
            new Question('near_place', 'Place when emerging {near}', Step::Position, [R::EmergeLeft, R::EmergeRight], [
                new Option('by-width', 'By width', 'A wide lane is shared with those turning in, a narrow one cannot be.'),
                new Option('middle', 'Middle of the lane', 'Nobody squeezes past on either side.'),
                new Option('to-kerb', 'Well to the {near}', 'Those turning in have room.'),
            ], changes: ['approach']),
            new Question('green', 'A light that turns green', Step::Look, Where::LIGHTS, [
                new Option(
                    'while-going', 'A short look while going', 'Whoever jumps a light is seen, and nobody is kept waiting.',
                    'On green go at once, with a short look both ways meanwhile.',
                ),
                new Option('at-once', 'Go at once', 'A clear green not used is a fault of progress.', 'On green go at once.'),
                new Option(
                    'look-then-go', 'Look both ways, then go', 'The dangerous second of a green light is its first.',
                    'On green look both ways first, then go.',
                ),
            ]),
            new Question('people', 'People crossing the road being entered, moving away', Step::Look, Where::TURNS, [
                new Option(
                    'until-over', 'Wait until they are over', 'Somebody on foot may turn round or stumble.',
                    'Somebody still crossing, also away from us: wait until they are over.',
                ),
                new Option(
                    'past-island', 'Go once they are past the island, as local law allows', 'Past the island they are on another road.',
                    'Somebody crossing away from us and past the island: go, where local law allows.',
                ),
            ], changes: ['crossing']),
            new Question('asks_of_others', 'How much a gap may ask of others', Step::Look, Where::GAPS, [
                new Option(
                    'nothing', 'Nothing: nobody has to change anything', 'Somebody who has to react to us has not been left alone; an assessment sees it so.',
                    'A gap in which nobody has to change anything.',
                ),
                new Option(
                    'off-gas', 'They may come off the {accelerator}', 'In busy traffic nobody would ever get out otherwise, and nobody minds.',
                    'A gap may ask others to come off the {accelerator}, never to brake.',
                ),
                new Option(
                    'design', 'What road designers use', 'Roads are laid out for drivers who slow down a little for each other.',
                    'A gap may ask others to slow down a little, as roads are laid out for.',
                ),
            ], changes: ['gap']),
            new Question('mirror_show', 'Showing mirror checks', Step::Mirrors, [], [
                new Option(
                    'eyes', 'Eyes are enough', 'Seeing is what counts; for an assessment it may be made visible.',
                    'Eyes are enough; in an assessment a small turn of the head lets the watcher see it.',
                ),
                new Option(
                    'visible', 'Make the head movement visible', 'What is seen can be marked.',
                    'The head turns a little with every mirror, so that it can be seen.',
                ),
            ]),
            new Question('mirror_set_up', 'Side-mirror set-up', Step::Mirrors, [R::VehicleCheck], [
                new Option(
                    'sliver', 'Just see the side of our car', 'The own flank tells what the mirror points at.',
                    'Door mirrors: a sliver of the own flank at the inner edge, the horizon in the middle.',
                ),
                new Option(
                    'out', 'Turned further out', 'The blind spot shrinks; the own flank is seen by leaning.',
                    'Door mirrors turned out until the own flank is seen only when leaning.',
                ),
            ]),
        ];
    }
}
