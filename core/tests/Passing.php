<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Next\TestDrive;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** Whether simulated learners would really pass a test, from what they can really do; and what such learners are like: most get far enough in the end. */
final class Passing
{
    public const ROUTINES = [
        'turn-left', 'turn-right', 'emerge-left', 'emerge-right', 'cross', 'lights-left', 'lights-right', 'roundabout', 'mini-roundabout', 'pass-parked',
    ];

    public const GENERATORS = ['along a curve', 'by steps'];

    public static function test(): TestDrive
    {
        return new TestDrive(Scheme::byCode('gb-car'));
    }

    /** @return list<Routine> */
    public static function routines(): array
    {
        return array_map(static fn (string $code): Routine => Catalogue::routine(RoutineCode::from($code), new GreatBritain), self::ROUTINES);
    }

    public static function learner(string $generator, Approaches $draw, int $seed): SimulatedLearner|SteppingLearner
    {
        return $generator === 'by steps'
            ? new SteppingLearner($draw, SteppingPopulation::whoPass())
            : new SimulatedLearner($draw, SimulatedLearner::KINDS[$seed % 5], rises: 3.3 + 0.3 * ($seed % 7), slower: 2.0);
    }

    /** @return list<string> routines, what goes least well first, as the record has it */
    public static function leastWell(SimulatedLearner|SteppingLearner $learner): array
    {
        $fit = Fit::of($learner->evidence, new GreatBritain, $learner->now);
        $at = [];
        foreach (self::routines() as $routine) {
            $steps = array_filter(Step::cases(), $routine->has(...));
            $at[$routine->code->value] = array_sum(array_map(
                static fn (Step $step): float => $fit->belief($routine->code, $step)->mean, $steps,
            )) / count($steps);
        }
        asort($at);

        return array_keys($at);
    }

    /** What they would really do in it: their own abilities where it is busy. */
    public static function really(SimulatedLearner|SteppingLearner $learner, TestDrive $test): float
    {
        $abilities = [];
        foreach (self::routines() as $routine) {
            foreach (Step::cases() as $step) {
                if ($routine->has($step)) {
                    $chance = min(0.9995, max(0.0005, self::aloneWhereBusy($learner, $routine->code, $step)));
                    $abilities[$step->value][] = log($chance / (1.0 - $chance));
                }
            }
        }
        $day = sqrt(0.3);

        return 0.5 * ($test->passes($abilities, count(self::ROUTINES), -$day) + $test->passes($abilities, count(self::ROUTINES), $day));
    }

    private static function aloneWhereBusy(SimulatedLearner|SteppingLearner $learner, RoutineCode $routine, Step $step): float
    {
        if ($learner instanceof SteppingLearner) {
            // Nobody is troubled by traffic there: every mark of it is made where it is moderate.
            return $learner->alone($routine, $step);
        }
        $busy = ($learner->kind === 'condition-weak' ? 2.5 : 1.0) * 0.5;

        return SimulatedLearner::normalCdf(self::probit($learner->truth($routine, $step, $learner->now->modify('+3 days'))) - $busy / sqrt(1.0625));
    }

    private static function probit(float $chance): float
    {
        [$low, $high] = [-6.0, 6.0];
        for ($i = 0; $i < 40; $i++) {
            $middle = ($low + $high) / 2.0;
            SimulatedLearner::normalCdf($middle) < $chance ? $low = $middle : $high = $middle;
        }

        return $low;
    }
}
