<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Findings;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Plan\NotPlanned;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Measured;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * What a plan hangs on that nobody knows well: each length is planned with at both ends of its doubt, and what moves is said. Whether one
 * sees enough comes before where a step is done.
 */
final class MeasureFirst
{
    /** At most so many plans are made for one answer. */
    public const PLANS = 20;

    /** A step that moves less than this is where it was, m: less than an eye can tell (assumed). */
    private const NOTICED_M = 0.5;

    /** Give or take of a length that was only assumed, m (assumed). */
    private const ASSUMED = ['view_from' => 8.0, 'road_width' => 1.0, 'turn_radius' => 2.0];

    /** Give or take of a length that somebody wrote down without saying how it was measured, as a share of it (assumed). */
    public const WRITTEN = 0.1;

    private const WORDS = [
        'view_from' => 'where the view opens', 'view_beyond' => 'how far beyond the line the view opens', 'sight_left' => 'the sight to the left',
        'sight_right' => 'the sight to the right', 'sight_ahead' => 'how far one sees ahead', 'room' => 'the room before the line',
        'road_width' => 'the width of the road', 'path_before' => 'where the path crosses', 'turn_radius' => 'how tight the turn is',
        'slip_length' => 'the length of the slip road',
    ];

    private const SIGHTS = ['sight_left' => 'left', 'sight_right' => 'right'];

    /** @return array<string, mixed> */
    public static function schema(): array
    {
        return Out::object([
            'of' => Out::choice(MeasuresField::OF), 'words' => Out::text('what it is'),
            'status' => Out::choice(['assumed', 'written', 'measured', 'unknown'], 'how it is known'),
            'value_m' => Out::number('planned with; null where nothing is known', nullable: true),
            'error_m' => Out::number('give or take; null where nothing is known', nullable: true),
            'needed_m' => Out::number('of a sight: what going on needs', nullable: true),
            'decides' => Out::flag('whether one may go at all hangs on it'),
            'step' => Out::choice(Step::class, 'that moves most with it; null where it decides', nullable: true),
            'moves_m' => Out::number('by so much'),
            'message' => Out::text('sentence for the user'),
        ]);
    }

    /**
     * @param  array<string, mixed>  $facts of the way, by the approach tool's names
     * @param  array<string, Measured>  $measured
     * @param  array<string, int|string>  $assumed  those of the facts that an ordinary slip road's figures stand in for
     * @return list<array<string, mixed>> the most important first
     */
    public static function of(RoutineCode $routine, array $facts, array $measured, array $assumed, RulePack $pack): array
    {
        $inputs = PlannedBy::inputs($routine, $facts, $pack);
        if (isset($inputs[SlipDoubt::LENGTH])) {
            return SlipDoubt::of($routine, $inputs, $measured['slip_length'] ?? null, isset($assumed[SlipDoubt::LENGTH]));
        }
        if (PlannedBy::tool($routine) !== 'approach') {
            return [];
        }
        $asked = RoutineFacts::asks($routine, $pack);
        $taken = array_diff(PlannedBy::fields($routine), array_diff(RoutineFacts::ASKED, $asked));
        $rows = [];
        foreach (MeasuresField::OF as $of) {
            if (in_array("{$of}_m", $taken, true)) {
                $rows[] = isset(self::SIGHTS[$of]) ? self::sight($of, $inputs, $measured[$of] ?? null, $pack)
                    : self::length($of, $inputs, $measured[$of] ?? null, $pack);
            }
        }
        $rows = array_values(array_filter($rows));
        usort($rows, static fn (array $a, array $b): int => [$b['decides'], $b['moves_m']] <=> [$a['decides'], $a['moves_m']]);

        return $rows;
    }

    /**
     * The approach that a plan would be made for.
     *
     * @param  array<string, mixed>  $inputs
     *
     * @throws \NobleTurn\Core\Fault\BadInput
     */
    public static function approach(array $inputs): Approach
    {
        $findings = new Findings;
        $values = (new ApproachTool)->input()->read($inputs, '', $findings);
        $findings->throwIfAny();

        return (new ApproachTool)->scene($values ?? new Values([]));
    }

    /**
     * @param  array<string, mixed>  $inputs
     * @return ?array<string, mixed> null where it is known well enough
     */
    private static function sight(string $of, array $inputs, ?Measured $measured, RulePack $pack): ?array
    {
        $needed = self::needed($of, $inputs);
        if ($needed === null) {
            return null;
        }
        $known = self::known($of, $inputs, $measured, self::approach($inputs));
        // Twice its doubt: one time in twenty the truth lies beyond.
        if ($known !== null && abs($known['value'] - $needed) > 2.0 * $known['error']) {
            return null;
        }
        $length = $pack->lengthUnit();

        return self::row($of, $known, $known === null ? 'unknown' : $known['status'], [
            'needed_m' => round($needed, 1), 'decides' => true, 'step' => null, 'moves_m' => 0.0,
            'message' => sprintf('Measure %s first: whether one sees enough hangs on it (needed %s).', self::WORDS[$of], $length->place($needed)),
        ]);
    }

    /**
     * @param  array<string, mixed>  $inputs
     * @return ?array<string, mixed> null where nothing moves with it
     */
    private static function length(string $of, array $inputs, ?Measured $measured, RulePack $pack): ?array
    {
        $known = self::known($of, $inputs, $measured, self::approach($inputs));
        if ($known === null) {
            return null;
        }
        $ends = array_map(
            static fn (float $value): ?array => self::places([...array_diff_key($inputs, ['view' => 0]), "{$of}_m" => $value]),
            self::within($of, $known['value'], $known['error']),
        );
        $moves = ['step' => null, 'by' => 0.0];
        foreach ($ends[0] ?? [] as $step => $metres) {
            $by = abs($metres - ($ends[1][$step] ?? $metres)) / 2.0;
            if ($by > $moves['by']) {
                $moves = ['step' => $step, 'by' => $by];
            }
        }
        // Planned at one end and not at the other.
        $decides = ($ends[0] === null) !== ($ends[1] === null);
        if (! $decides && $moves['by'] < self::NOTICED_M) {
            return null;
        }

        return self::row($of, $known, $known['status'], [
            'needed_m' => null, 'decides' => $decides, 'step' => $decides ? null : $moves['step'], 'moves_m' => round($moves['by'], 1),
            'message' => $decides ? sprintf('Measure %s first: whether this can be driven at all hangs on it.', self::WORDS[$of])
                : sprintf('%s moves by %s with %s.', ucfirst((string) $moves['step']), $pack->lengthUnit()->place($moves['by']), self::WORDS[$of]),
        ]);
    }

    /**
     * @param  array<string, mixed>  $inputs
     * @return ?array{value: float, error: float, status: string}
     */
    private static function known(string $of, array $inputs, ?Measured $measured, Approach $approach): ?array
    {
        $said = $inputs["{$of}_m"] ?? null;

        return match (true) {
            $measured !== null => ['value' => $measured->metres, 'error' => $measured->errorMetres, 'status' => 'measured'],
            is_int($said) || is_float($said) => ['value' => (float) $said, 'error' => max(0.5, self::WRITTEN * $said), 'status' => 'written'],
            $of === 'view_from' && isset($inputs['view_beyond_m']), ! isset(self::ASSUMED[$of]) => null,
            default => ['value' => match ($of) {
                'view_from' => $approach->viewFromMetres,
                'road_width' => $approach->roadWidth->inMetres(),
                default => $approach->turnRadius->inMetres(),
            }, 'error' => self::ASSUMED[$of], 'status' => 'assumed'],
        };
    }

    /**
     * Where the steps are done, m to the line.
     *
     * @param  array<string, mixed>  $inputs
     * @return ?array<string, float> null where nothing can be planned
     */
    private static function places(array $inputs): ?array
    {
        $approach = self::approach($inputs);
        if (NotPlanned::of($approach) !== null) {
            return null;
        }
        $places = [];
        foreach (ApproachPlanner::plan($approach)->steps as $step) {
            $places[$step->step->value] = $step->window->bestMetres;
        }

        return $places;
    }

    /**
     * What going on needs to be seen to this side; null where nobody comes from there.
     *
     * @param  array<string, mixed>  $inputs
     */
    private static function needed(string $of, array $inputs): ?float
    {
        foreach (self::approach(["{$of}_m" => 0.0] + $inputs)->junction->tooLittleSeen as $side) {
            if ($side->side->value === self::SIGHTS[$of]) {
                return $side->neededMetres;
            }
        }

        return null;
    }

    /** @return array{float, float} both ends of a doubt, as far as the tool takes them */
    public static function within(string $of, float $value, float $error, Tool $tool = new ApproachTool): array
    {
        foreach ($tool->input()->fieldsOf(["{$of}_m"]) as $field) {
            $bounds = $field->schema("{$of}_m");

            return [max((float) $bounds['minimum'], $value - $error), min((float) $bounds['maximum'], $value + $error)];
        }

        return [$value, $value];
    }

    /**
     * @param  ?array{value: float, error: float, status: string}  $known
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    public static function row(string $of, ?array $known, string $status, array $more): array
    {
        return [
            'of' => $of, 'words' => self::WORDS[$of], 'status' => $status, 'value_m' => $known === null ? null : round($known['value'], 2),
            'error_m' => $known === null ? null : round($known['error'], 2),
        ] + $more;
    }
}
