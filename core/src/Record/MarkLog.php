<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Stage;

/**
 * The log of a round, to which marks are only ever added, and what stands of it: in each slot the latest press, unless it takes back
 * what was there. The one place of that rule; the database's own word for it (StandingMarks::only) and the interface's (queue/standing.ts)
 * are held to it by tests/answers/mark-log.json.
 *
 * @phpstan-type Row object{kind: string, slot: string, step: ?string, outcome: ?string, taught: ?string, out_of_order: bool|int, fault?: ?string,
 *     effect?: ?string, stage?: ?string, decision?: ?string, what?: ?string, number?: ?int, seconds?: float|string|null, place_id?: ?string,
 *     conditions: mixed, withdrawn: bool|int}
 */
final class MarkLog
{
    private const STEP = 'step';

    private const MOMENT = 'moment';

    private const COUNT = 'count';

    private const DECISION = 'decision';

    /**
     * The one thing of a round a mark speaks of: its step in one stage, a decision, its kind, or one moment or count. A mark that corrects
     * another speaks of the same.
     *
     * @param  ?string  $corrected  the slot of the mark it corrects
     */
    public static function slot(string $kind, ?string $step, string $id, ?string $corrected, ?string $stage = null, ?string $decision = null): string
    {
        return $corrected ?? match ($kind) {
            self::STEP => ($step ?? self::STEP).(in_array($stage, [null, Stage::Approach->value], true) ? '' : " {$stage}"),
            self::MOMENT, self::COUNT => "{$kind} {$id}",
            // The oldest of the decisions has a kind of its own; both ways of saying it are the same.
            self::DECISION => $decision === Decision::HeldBack->value ? $decision : "{$kind} {$decision}",
            default => $kind,
        };
    }

    /**
     * @template T of \stdClass|object{slot: string, withdrawn: bool|int}
     *
     * @param  iterable<T>  $marks  rows with slot and withdrawn, in the order of their presses; at the same moment by id
     * @return list<T> those that stand
     */
    public static function standing(iterable $marks): array
    {
        $latest = [];
        foreach ($marks as $mark) {
            $latest[$mark->slot] = $mark;
        }

        return array_values(array_filter($latest, static fn (object $mark): bool => ! $mark->withdrawn));
    }

    /**
     * A round as everything that reads the record sees it.
     *
     * @param  ?string  $place  where it began; a later mark of the place stands instead; null where nobody said one
     * @param  array<array-key, mixed>  $conditions  as noted when the round began; a later mark of them stands instead
     * @param  iterable<\stdClass|Row>  $marks  in the order of their presses
     * @param  ?string  $side  of the way driven, where it is not the routine's own
     * @return ?MarkedRound null where nothing that was said of it stands
     */
    public static function round(string $lesson, \DateTimeImmutable $at, string $routine, ?string $place, array $conditions, iterable $marks,
        ?string $side = null): ?MarkedRound
    {
        $steps = $decisions = $counts = [];
        $taught = null;
        $moment = false;
        foreach (self::standing($marks) as $mark) {
            match ($mark->kind) {
                self::STEP => $steps[(string) $mark->step][] = self::step($mark),
                'taught' => $taught = Taught::from((string) $mark->taught),
                Decision::HeldBack->value => $decisions[] = Decision::HeldBack,
                self::DECISION => $decisions[] = Decision::from((string) ($mark->decision ?? '')),
                self::COUNT => $counts[] = new Count(Counted::from((string) ($mark->what ?? '')), (int) ($mark->number ?? 0), (float) ($mark->seconds ?? 0)),
                self::MOMENT => $moment = true,
                'place' => $place = $mark->place_id ?? $place,
                'conditions' => $conditions = is_array($mark->conditions) ? $mark->conditions : (array) json_decode((string) $mark->conditions, true),
                default => null,
            };
        }

        return $steps === [] && $taught === null && $decisions === [] && $counts === [] && ! $moment ? null : new MarkedRound(
            $lesson, $at, RoutineCode::from($routine), array_map(StepMark::weakest(...), $steps), $taught, $decisions, Conditions::of($conditions), $place,
            $counts, $side === null ? null : Side::from($side),
        );
    }

    /** @param  \stdClass|Row  $mark  of a step */
    public static function step(object $mark): StepMark
    {
        return new StepMark(
            Outcome::from((string) $mark->outcome), (bool) $mark->out_of_order, $mark->fault ?? null, Effect::tryFrom((string) ($mark->effect ?? '')),
        );
    }
}
