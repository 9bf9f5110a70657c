<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Ladder;

/**
 * How far the last lessons say somebody is from what the whole record says. A record lags behind who gets better fast: its marks stand for practice by a
 * curve that flattens. Each of the last lessons is held against what is believed today, and a straight line through them is followed to today.
 */
final class Lately
{
    /** So many of the last lessons (assumed). */
    private const LESSONS = 6;

    /** Before them anything is thought possible: a deviation, logits; and a gain a lesson, with its own (assumed). */
    private const LEVEL = 2.0;

    private const GAIN = 0.4;

    private const GAINS_DIFFER = 0.3;

    /** Of the spread of days so much is in a lesson as a whole (assumed). */
    private const OF_THE_DAY = 0.25;

    /** One lesson by itself says no more than this, logits (assumed). */
    private const ONE_LESSON = 3.0;

    /** @return Belief logits to be added to what is believed of every step */
    public static function of(Learner $learner): Belief
    {
        $by = [];
        foreach ($learner->evidence as $one) {
            if (! $one->taught) {
                $by[$one->lesson][] = $one;
            }
        }
        $last = array_values(array_slice($by, -self::LESSONS));
        $day = self::OF_THE_DAY * $learner->fit->model->ofTheDay;
        // Of where they stand today and of what they gain a lesson, as a normal equation.
        [$level, $both, $slope] = [1.0 / self::LEVEL ** 2, 0.0, 1.0 / self::GAINS_DIFFER ** 2];
        [$right, $rightSlope] = [0.0, self::GAIN / self::GAINS_DIFFER ** 2];
        foreach ($last as $i => $marks) {
            [$off, $variance] = self::off($learner, $marks);
            $weight = 1.0 / ($variance + $day);
            $ago = $i - count($last) + 0.5;
            $level += $weight;
            $both += $weight * $ago;
            $slope += $weight * $ago ** 2;
            $right += $weight * $off;
            $rightSlope += $weight * $ago * $off;
        }
        $determinant = $level * $slope - $both ** 2;
        $variance = $slope / $determinant;

        // What nobody has seen yet is in doubt already, in what is believed: here is only the doubt of what was seen.
        return new Belief(($slope * $right - $both * $rightSlope) / $determinant, $variance * (1.0 - $variance / self::LEVEL ** 2));
    }

    /**
     * @param  list<Evidence>  $marks  of one lesson
     * @return array{float, float} by how much they were better than what is believed today, and the variance of that
     */
    private static function off(Learner $learner, array $marks): array
    {
        $fit = $learner->fit;
        $eta = array_map(static fn (Evidence $one): float => $fit->belief($one->routine, $one->step, $one->at)->mean
            - $fit->harder($one->conditions) + $fit->easier($one->place), $marks);
        $off = 0.0;
        $prior = 1.0 / self::ONE_LESSON ** 2;
        for ($i = 0; $i < 30; $i++) {
            [$up, $bend] = [-$prior * $off, $prior];
            foreach ($marks as $at => $one) {
                [$first, $second] = Ladder::derivatives($one->rank, $eta[$at] + $off);
                $up += $first;
                $bend += $second;
            }
            $step = max(-1.0, min(1.0, $up / $bend));
            $off += $step;
            if (abs($step) < 1e-6) {
                break;
            }
        }

        return [$off, 1.0 / max(1e-6, $bend - $prior)];
    }
}
