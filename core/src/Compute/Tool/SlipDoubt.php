<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Site\Measured;
use NobleTurn\Core\Trade\RoutineCode;

/** Whether it hangs on the length of a slip road, which nobody knows well, that it is long enough. */
final class SlipDoubt
{
    public const LENGTH = 'slip_length_m';

    /** Give or take of an ordinary one's length, m (assumed). */
    private const ASSUMED_M = 80.0;

    /**
     * Whether a slip road is long enough, at both ends of its doubt.
     *
     * @param  array<string, mixed>  $inputs
     * @param  bool  $isAssumed  nobody said it: it is an ordinary slip road's
     * @return list<array<string, mixed>> nothing where both ends say the same
     */
    public static function of(RoutineCode $routine, array $inputs, ?Measured $measured, bool $isAssumed): array
    {
        $tool = PlannedBy::tool($routine) ?? '';
        $said = (float) $inputs[self::LENGTH];
        $known = match (true) {
            $measured !== null => ['value' => $measured->metres, 'error' => $measured->errorMetres, 'status' => 'measured'],
            $isAssumed => ['value' => $said, 'error' => self::ASSUMED_M, 'status' => 'assumed'],
            default => ['value' => $said, 'error' => MeasureFirst::WRITTEN * $said, 'status' => 'written'],
        };
        // Twice its doubt: one time in twenty the truth lies beyond.
        $ends = MeasureFirst::within('slip_length', $known['value'], 2.0 * $known['error'], Toolbox::tool($tool));
        $verdicts = array_map(static fn (float $metres): array => self::verdict($tool, [self::LENGTH => $metres] + $inputs), $ends);

        return $verdicts[0] === $verdicts[1] ? [] : [MeasureFirst::row('slip_length', $known, $known['status'], [
            'needed_m' => null, 'decides' => true, 'step' => null, 'moves_m' => 0.0,
            'message' => 'Measure the length of the slip road first: whether it is long enough hangs on it.',
        ])];
    }

    /**
     * @param  array<string, mixed>  $inputs
     * @return list<mixed> what a slip road so long comes to; empty where it is shorter than what is said to lie on it
     */
    private static function verdict(string $tool, array $inputs): array
    {
        try {
            $answer = Toolbox::run($tool, $inputs);
        } catch (BadInput) {
            return [];
        }

        return array_values(array_intersect_key($answer, ['verdict' => 0, 'feasible' => 0, 'fault_of_slip' => 0]));
    }
}
