<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\RoutineCode;
use NobleTurn\Core\Routine\Step;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Skill\Evidence;

/** From the fields of the skill tool to evidence. */
final class SkillReader
{
    /** A device's clock may be ahead by so much, s: such a mark is still of today (assumed). */
    private const AHEAD_S = 86_400;

    public static function day(string $said, string $field): \DateTimeImmutable
    {
        if (preg_match('/^\d{4}-\d{2}-\d{2}(T[0-9:.]+(Z|[+-]\d{2}:?\d{2})?)?$/', $said) === 1) {
            try {
                $day = new \DateTimeImmutable($said, new \DateTimeZone('UTC'));

                // A date alone means the end of that day: its own lesson counts.
                return strlen($said) === 10 ? $day->setTime(23, 59, 59) : $day->setTimezone(new \DateTimeZone('UTC'));
            } catch (\Exception) {
                // Said below.
            }
        }
        throw BadInput::field($field, 'must be a date such as 2026-05-20 or a time such as 2026-05-01T10:02:00Z.');
    }

    /** @return array{list<Evidence>, int} evidence up to today, and how many marks lie after it */
    public static function marks(Values $input, RulePack $pack, \DateTimeImmutable $today): array
    {
        $evidence = [];
        $ignored = 0;
        $codes = Catalogue::codes($pack);
        // The catalogue writes a whole card to answer: each routine is asked for once.
        $routines = [];
        foreach ($input->objects('marks') as $i => $mark) {
            $at = self::day($mark->text('at') ?? '', "marks.{$i}.at");
            $routine = $mark->choice('routine', RoutineCode::class) ?? throw BadInput::field("marks.{$i}.routine", 'is missing.');
            $step = $mark->choice('step', Step::class) ?? throw BadInput::field("marks.{$i}.step", 'is missing.');
            if (! in_array($routine, $codes, true) || ! ($routines[$routine->value] ??= Catalogue::routine($routine, $pack))->has($step)) {
                throw BadInput::field("marks.{$i}.step", "is none that {$routine->value} has under these rules.");
            }
            if ($at->getTimestamp() > $today->getTimestamp() + self::AHEAD_S) {
                $ignored++;

                continue;
            }
            $evidence[] = new Evidence(
                $mark->text('lesson') ?? $at->format('Y-m-d'), $at, $routine, $step,
                new StepMark($mark->choice('outcome', Outcome::class) ?? Outcome::Missed, $mark->flag('out_of_order') ?? false),
                self::conditions($mark), $mark->text('marker'), $mark->has('taught'),
            );
        }
        usort($evidence, static fn (Evidence $a, Evidence $b): int => $a->at <=> $b->at);

        return [$evidence, $ignored];
    }

    public static function conditions(Values $of): Conditions
    {
        $said = $of->object('conditions');

        return new Conditions($said?->text('traffic'), $said?->text('light'), $said?->text('surface'), $said?->text('road'));
    }
}
