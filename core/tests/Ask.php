<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use NobleTurn\Core\Compute\Findings;
use NobleTurn\Core\Compute\Tool\ApproachReader;
use NobleTurn\Core\Compute\Tool\ApproachTool;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\ApproachPlan;
use NobleTurn\Core\Plan\ApproachPlanner;

/** Short ways for tests to ask the core. */
final class Ask
{
    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    public static function tool(string $tool, array $input): array
    {
        return Toolbox::run($tool, $input);
    }

    /**
     * @return array<string, list<string>> sentences by field; empty where nothing is wrong
     */
    public static function refusal(string $tool, mixed $input): array
    {
        try {
            Toolbox::run($tool, $input);
        } catch (BadInput $bad) {
            return $bad->errors;
        }

        return [];
    }

    /** @param  array<string, mixed>  $input fields of the approach tool */
    public static function approach(array $input): Approach
    {
        return ApproachReader::read(self::values($input));
    }

    /** @param  array<string, mixed>  $input fields of the approach tool */
    public static function values(array $input): Values
    {
        $findings = new Findings;
        $values = (new ApproachTool)->input()->read(['routine' => 'emerge-right', ...$input], '', $findings);
        $findings->throwIfAny();

        return $values ?? new Values([]);
    }

    /** @param  array<string, mixed>  $input */
    public static function plan(array $input): ApproachPlan
    {
        return ApproachPlanner::plan(self::approach($input));
    }

    /**
     * @param  array<string, mixed>  $answer
     * @return array<string, mixed>
     */
    public static function step(array $answer, string $step): array
    {
        return array_column($answer['steps'], null, 'step')[$step];
    }

    /**
     * Speed at a place of a plan, m/s: between two rows the deceleration is constant.
     *
     * @param  array<string, mixed>  $plan
     */
    public static function mpsAt(array $plan, float $metres): float
    {
        ['distance_m' => $places, 'speed_mps' => $speeds] = $plan['profile'];
        for ($i = count($places) - 2; $i >= 0; $i--) {
            if ($places[$i] >= $metres) {
                $share = ($places[$i] - $metres) / max(1e-9, $places[$i] - $places[$i + 1]);

                return sqrt(max(0.0, $speeds[$i] ** 2 + $share * ($speeds[$i + 1] ** 2 - $speeds[$i] ** 2)));
            }
        }

        return $speeds[0];
    }
}
