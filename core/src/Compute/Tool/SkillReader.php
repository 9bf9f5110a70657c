<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Level;
use NobleTurn\Core\Skill\Overruling;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

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

    /** @return list<Overruling> of instructors, up to today */
    public static function overrulings(Values $input, RulePack $pack, \DateTimeImmutable $today): array
    {
        $overrulings = [];
        $has = self::steps($pack);
        foreach ($input->objects('overrulings') as $i => $said) {
            $at = self::day($said->text('at') ?? '', "overrulings.{$i}.at");
            [$routine, $step] = self::cell($said, "overrulings.{$i}", $has);
            if ($at->getTimestamp() <= $today->getTimestamp() + self::AHEAD_S) {
                $overrulings[] = new Overruling(
                    $at, $routine, $step,
                    ($said->choice('level', Level::class) ?? throw BadInput::field("overrulings.{$i}.level", 'is missing.'))->chance(),
                );
            }
        }

        return $overrulings;
    }

    /** @return array<string, array<string, Outcome>> a learner's own ratings, by lesson and step */
    public static function ratings(Values $input): array
    {
        $ratings = [];
        foreach ($input->objects('own_ratings') as $i => $said) {
            $lesson = $said->text('lesson') ?? throw BadInput::field("own_ratings.{$i}.lesson", 'is missing.');
            $step = $said->choice('step', Step::class) ?? throw BadInput::field("own_ratings.{$i}.step", 'is missing.');
            $ratings[$lesson][$step->value] = $said->choice('outcome', Outcome::class) ?? throw BadInput::field("own_ratings.{$i}.outcome", 'is missing.');
        }

        return $ratings;
    }

    /**
     * @return \Closure(RoutineCode, Step): bool whether the pack has the step; the catalogue writes a whole card to answer, so each routine is asked for once
     */
    private static function steps(RulePack $pack): \Closure
    {
        $codes = Catalogue::codes($pack);
        $known = [];

        return static function (RoutineCode $routine, Step $step) use ($pack, $codes, &$known): bool {
            return $known["{$routine->value} {$step->value}"] ??= in_array($routine, $codes, true) && Catalogue::routine($routine, $pack)->has($step);
        };
    }

    /**
     * @param  \Closure(RoutineCode, Step): bool  $has
     * @return array{RoutineCode, Step}
     */
    private static function cell(Values $said, string $field, \Closure $has): array
    {
        $routine = $said->choice('routine', RoutineCode::class) ?? throw BadInput::field("{$field}.routine", 'is missing.');
        $step = $said->choice('step', Step::class) ?? throw BadInput::field("{$field}.step", 'is missing.');
        if (! $has($routine, $step)) {
            throw BadInput::field("{$field}.step", "is none that {$routine->value} has under these rules.");
        }

        return [$routine, $step];
    }

    /** @return array{list<Evidence>, int} evidence up to today, and how many marks lie after it */
    public static function marks(Values $input, RulePack $pack, \DateTimeImmutable $today): array
    {
        $evidence = $days = [];
        $ignored = 0;
        $has = self::steps($pack);
        $latest = $today->getTimestamp() + self::AHEAD_S;
        foreach ($input->objects('marks') as $i => $mark) {
            $said = $mark->text('at') ?? '';
            // All marks of a round are of one moment.
            $at = $days[$said] ??= self::day($said, "marks.{$i}.at");
            [$routine, $step] = self::cell($mark, "marks.{$i}", $has);
            if ($at->getTimestamp() > $latest) {
                $ignored++;

                continue;
            }
            $evidence[] = new Evidence(
                $mark->text('lesson') ?? $at->format('Y-m-d'), $at, $routine, $step,
                self::mark($mark, "marks.{$i}", $step),
                self::conditions($mark), $mark->text('marker'), $mark->has('taught'), $mark->text('place'), $mark->choice('side', Side::class),
            );
        }
        $at = array_map(static fn (Evidence $one): int => (int) $one->at->format('Uu'), $evidence);
        $turn = array_keys($at);
        array_multisort($at, $turn, $evidence);

        return [$evidence, $ignored];
    }

    private static function mark(Values $mark, string $field, Step $step): StepMark
    {
        $outcome = $mark->choice('outcome', Outcome::class) ?? Outcome::Missed;
        [$fault, $effect] = [$mark->text('fault'), $mark->choice('effect', Effect::class)];
        if ($fault !== null && ! Faults::isOf($fault, $step)) {
            throw BadInput::field("{$field}.fault", "is no kind of fault of {$step->value}.");
        }
        if ($effect === Effect::Intervened && $outcome !== Outcome::Intervened) {
            throw BadInput::field("{$field}.effect", 'asks for the outcome intervened.');
        }

        return new StepMark($outcome, $mark->flag('out_of_order') ?? false, $fault, $effect);
    }

    public static function conditions(Values $of): Conditions
    {
        $said = $of->object('conditions');

        return $said === null ? new Conditions : new Conditions($said->text('traffic'), $said->text('light'), $said->text('surface'), $said->text('road'));
    }
}
