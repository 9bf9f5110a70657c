<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Skill\Cell;
use NobleTurn\Core\Skill\FaultSeen;
use NobleTurn\Core\Skill\HoldsBack;
use NobleTurn\Core\Skill\Leaning;
use NobleTurn\Core\Skill\Marking;
use NobleTurn\Core\Skill\OwnRating;
use NobleTurn\Core\Skill\Record;
use NobleTurn\Core\Trade\RoutineCode;

/** A learner's record as the arrays of the tool's answer. */
final class SkillPresenter
{
    private const LEANS = [-1 => 'lower', 0 => 'alike', 1 => 'higher'];

    /** @return array<string, mixed> */
    public static function body(Record $record): array
    {
        $notDone = $record->notDone();
        $codes = static fn (array $routines): array => array_map(static fn (RoutineCode $code): string => $code->value, $routines);

        return [
            'cells' => array_map(self::cell(...), $record->cells),
            'weakest' => array_map(static fn (Cell $cell): array => ['routine' => $cell->routine->value, 'step' => $cell->step->value], $record->weakest()),
            'holds_back' => array_map(static fn (HoldsBack $one): array => [
                'step' => $one->step?->value, 'section' => $one->section?->value, 'routine' => $one->routine?->value, 'condition' => $one->condition,
                'side' => $one->side?->value, 'fault' => $one->fault, 'message' => $record->inWords($one),
                'deficit' => round($one->deficit, 2), 'gain' => round($one->gain, 3), 'evidence' => $one->evidence,
            ], $record->holdsBack()),
            'leaning' => self::leaning($record->leaning()),
            'markers' => self::markers($record->fit->marking()),
            'faults' => array_map(static fn (FaultSeen $one): array => [
                'routine' => $one->routine->value, 'step' => $one->step->value, 'fault' => $one->fault, 'side' => $one->side?->value,
                'count' => $one->count, 'rounds' => $one->rounds, 'last' => $one->last->format('Y-m-d\TH:i:s\Z'), 'worst_effect' => $one->worstEffect?->value,
            ], $record->faults()),
            'never_done' => $codes($notDone['never']),
            'only_shown' => $codes($notDone['shown']),
            'not_for_long' => array_map(static fn (array $one): array => ['routine' => $one['routine']->value, 'days' => $one['days']], $notDone['long']),
            'own_ratings' => array_map(static fn (OwnRating $one): array => [
                'step' => $one->step->value, 'lessons' => $one->lessons, 'said' => round($one->said, 2), 'marked' => round($one->marked, 2),
                'leans' => self::LEANS[$one->leans()],
            ], $record->ownRatings()),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function markers(Marking $marking): array
    {
        return array_map(static fn (string $who, float $mean, int $i): array => [
            'marker' => $who, 'lenient' => round($mean, 4), 'within' => round(Belief::TENTH * sqrt($marking->covariance[$i][$i]), 4),
        ], $marking->who, $marking->means, array_keys($marking->who));
    }

    /** @return ?array<string, mixed> */
    private static function leaning(?Leaning $one): ?array
    {
        return $one === null ? null : [
            'estimate' => round($one->estimate, 3), 'low' => round($one->low, 3), 'high' => round($one->high, 3), 'evidence' => $one->evidence(),
            'timid' => $one->timid, 'bold' => $one->bold, 'message' => $one->message(),
        ];
    }

    /**
     * The little of an answer that stands for the learner among many: each step over all routines, and the estimates alone.
     *
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    public static function glance(array $body): array
    {
        $cells = $steps = [];
        foreach ($body['cells'] as $cell) {
            $cells[$cell['routine']][$cell['step']] = $cell['estimate'];
            $steps[$cell['step']][] = $cell;
        }
        $mean = static fn (array $cells, string $of): float => round(array_sum(array_column($cells, $of)) / count($cells), 4);

        return [
            'average' => $body['cells'] === [] ? null : $mean($body['cells'], 'estimate'),
            'steps' => array_map(
                static fn (array $of): array => ['estimate' => $mean($of, 'estimate'), 'low' => $mean($of, 'low'), 'high' => $mean($of, 'high')],
                $steps,
            ),
            'marks' => (int) array_sum(array_column($body['cells'], 'evidence')),
            'holds_back' => $body['holds_back'][0] ?? null,
            'never_done' => count($body['never_done']),
            'not_for_long' => count($body['not_for_long']),
            'only_shown' => $body['only_shown'],
            'cells' => $cells,
        ];
    }

    /** @return array{estimate: float, low: float, high: float} */
    public static function belief(Belief $belief): array
    {
        [$low, $high] = $belief->range();

        return ['estimate' => round($belief->unaided(), 4), 'low' => round($low, 4), 'high' => round($high, 4)];
    }

    /** @return array<string, mixed> */
    private static function cell(Cell $cell): array
    {
        return [
            'routine' => $cell->routine->value, 'step' => $cell->step->value, ...self::belief($cell->belief),
            'level' => $cell->level()->value, 'unsure' => $cell->isUnsure(), 'evidence' => $cell->marks, 'lessons' => $cell->lessons,
            'last' => $cell->last->format('Y-m-d\TH:i:s\Z'), 'trend' => $cell->trend->value, 'fading' => $cell->fading,
            'faded_by' => round($cell->fadedByChance, 4),
            'said' => $cell->said?->value, 'marks_alone' => $cell->chanceByMarksAlone === null ? null : round($cell->chanceByMarksAlone, 4),
        ];
    }
}
