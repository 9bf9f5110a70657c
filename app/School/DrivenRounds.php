<?php

namespace App\School;

use App\Marks\StandingMarks;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Record\Decision;
use NobleTurn\Core\Trade\Step;

/**
 * Every round of a school that is evidence, counted by place, routine and which of its steps were marked, helped and failed: a
 * school has a hundred thousand rounds, but few kinds of them. Steps are kept as bits, in the order of the routine. One pass over
 * the marks; the rest is counted from a table of the rounds that lives for the request.
 */
final class DrivenRounds
{
    /** Helped, where a step was not unaided, out of order or with a fault; failed, where it was missed, others had to answer it, or we stepped in. */
    private const HELPED = "(marks.outcome <> 'unaided' OR marks.out_of_order OR marks.fault IS NOT NULL OR marks.effect <=> 'affected')";

    private const FAILED = "(marks.outcome IN ('missed', 'intervened') OR marks.effect <=> 'affected')";

    /** @var list<array{place: ?string, routine: string, marked: int, helped: int, failed: int, rounds: int}> */
    private readonly array $kinds;

    /** @var array<string, array<string, int>> by routine and step */
    private readonly array $learnersByStep;

    /** @var array<string, int> by "place routine" */
    private readonly array $learnersByPlace;

    public function __construct(string $school)
    {
        DB::statement('DROP TEMPORARY TABLE IF EXISTS driven_rounds');
        $rounds = self::rounds($school);
        DB::insert('CREATE TEMPORARY TABLE driven_rounds AS '.$rounds->toSql(), $rounds->getBindings());
        $this->kinds = array_values(DB::table('driven_rounds')->groupBy('place_id', 'routine', 'marked', 'helped', 'failed')
            ->selectRaw('place_id, routine, marked, helped, failed, COUNT(*) AS rounds')->get()
            ->map(
                static fn (object $row): array => [
                    'place' => $row->place_id, 'routine' => $row->routine, 'marked' => (int) $row->marked, 'helped' => (int) $row->helped,
                    'failed' => (int) $row->failed, 'rounds' => (int) $row->rounds,
                ],
            )
            ->all());
        $each = array_map(
            static fn (int $bit, Step $step): string => "COUNT(DISTINCT IF(marked & {$bit}, learner_id, NULL)) AS `{$step->value}`", self::bits(),
            Step::cases(),
        );
        $this->learnersByStep = DB::table('driven_rounds')->groupBy('routine')->selectRaw('routine, '.implode(', ', $each))->get()
            ->mapWithKeys(static fn (object $row): array => [$row->routine => array_map(intval(...), array_diff_key((array) $row, ['routine' => 0]))])->all();
        $this->learnersByPlace = DB::table('driven_rounds')->groupBy('place_id', 'routine')->selectRaw(
            'place_id, routine, COUNT(DISTINCT learner_id) AS learners',
        )->get()
            ->mapWithKeys(static fn (object $row): array => ["{$row->place_id} {$row->routine}" => (int) $row->learners])->all();
        DB::statement('DROP TEMPORARY TABLE driven_rounds');
    }

    /** @return list<array{routine: string, step: string, marks: int, helped: int, learners: int}> */
    public function steps(): array
    {
        $found = [];
        foreach ($this->kinds as $kind) {
            foreach (array_combine(self::bits(), Step::cases()) as $bit => $step) {
                if (($kind['marked'] & $bit) !== 0) {
                    $row = $found["{$kind['routine']}.{$step->value}"] ?? [
                        'routine' => $kind['routine'], 'step' => $step->value, 'marks' => 0, 'helped' => 0,
                        'learners' => $this->learnersByStep[$kind['routine']][$step->value],
                    ];
                    $row['marks'] += $kind['rounds'];
                    $row['helped'] += ($kind['helped'] & $bit) !== 0 ? $kind['rounds'] : 0;
                    $found["{$kind['routine']}.{$step->value}"] = $row;
                }
            }
        }

        return array_values($found);
    }

    /** @return list<array{routine: string, step: string, other: string, helped: bool, rounds: int, other_helped: int}> two steps marked in the same rounds */
    public function pairs(): array
    {
        $found = [];
        $steps = array_combine(self::bits(), Step::cases());
        foreach ($this->kinds as $kind) {
            foreach ($steps as $bit => $step) {
                foreach ($steps as $otherBit => $other) {
                    if ($bit !== $otherBit && ($kind['marked'] & $bit) !== 0 && ($kind['marked'] & $otherBit) !== 0) {
                        $helped = ($kind['helped'] & $bit) !== 0;
                        $key = "{$kind['routine']}.{$step->value}.{$other->value}.".(int) $helped;
                        $row = $found[$key] ?? [
                            'routine' => $kind['routine'], 'step' => $step->value, 'other' => $other->value, 'helped' => $helped, 'rounds' => 0,
                            'other_helped' => 0,
                        ];
                        $row['rounds'] += $kind['rounds'];
                        $row['other_helped'] += ($kind['helped'] & $otherBit) !== 0 ? $kind['rounds'] : 0;
                        $found[$key] = $row;
                    }
                }
            }
        }

        return array_values($found);
    }

    /** @return list<array{place: string, routine: string, rounds: int, failed: int, learners: int}> */
    public function places(): array
    {
        $found = [];
        foreach ($this->kinds as $kind) {
            if ($kind['place'] === null) {
                // Driven anywhere: it says nothing of a place.
                continue;
            }
            $key = "{$kind['place']} {$kind['routine']}";
            $row = $found[$key] ?? [
                'place' => $kind['place'], 'routine' => $kind['routine'], 'rounds' => 0, 'failed' => 0, 'learners' => $this->learnersByPlace[$key],
            ];
            $row['rounds'] += $kind['rounds'];
            $row['failed'] += $kind['failed'] !== 0 ? $kind['rounds'] : 0;
            $found[$key] = $row;
        }

        return array_values($found);
    }

    /** @return list<array{place: string, routine: string, step: string, failed: int}> */
    public function failedSteps(): array
    {
        $found = [];
        foreach ($this->kinds as $kind) {
            foreach (array_combine(self::bits(), Step::cases()) as $bit => $step) {
                if ($kind['place'] !== null && ($kind['failed'] & $bit) !== 0) {
                    $key = "{$kind['place']} {$kind['routine']} {$step->value}";
                    $row = $found[$key] ?? ['place' => $kind['place'], 'routine' => $kind['routine'], 'step' => $step->value, 'failed' => 0];
                    $row['failed'] += $kind['rounds'];
                    $found[$key] = $row;
                }
            }
        }

        return array_values($found);
    }

    /** One row a round that has standing marks of steps and was not taught. */
    private static function rounds(string $school): Builder
    {
        $bit = '(1 << (FIELD(marks.step, '.implode(', ', array_map(static fn (Step $step): string => "'{$step->value}'", Step::cases())).') - 1))';
        $bits = static fn (string $where): string => "BIT_OR(IF(marks.kind = 'step' AND {$where}, {$bit}, 0))";
        // Who held back rightly has looked (MarkedRound::says); that the look was marked otherwise, its own bits say.
        $held = Decision::HeldBack->value;
        $look = 1 << (int) array_search(Step::Look, Step::cases(), true);
        $marked = "{$bits('TRUE')} | BIT_OR(IF(marks.slot = '{$held}', {$look}, 0))";

        return DB::table('marks')->join('rounds', 'rounds.id', '=', 'marks.round_id')->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')
            ->leftJoin('places AS begun', 'begun.id', '=', 'rounds.place_id')->leftJoin('places AS said', 'said.id', '=', 'marks.place_id')
            ->where('marks.school_id', $school)->tap(StandingMarks::only(...))
            ->where(static fn (Builder $says) => $says->whereIn('marks.kind', ['step', 'taught', 'place'])->orWhere('marks.slot', $held))
            ->groupBy('marks.round_id', 'rounds.place_id', 'begun.same_as_id', 'rounds.routine', 'lessons.learner_id')
            ->havingRaw("SUM(marks.kind = 'taught') = 0 AND SUM(marks.kind NOT IN ('taught', 'place')) > 0")
            ->selectRaw(
                // A place that was said afterwards stands instead; of one round at most one such mark stands. One that turned out to be another is that.
                "COALESCE(MAX(IF(marks.kind = 'place', COALESCE(said.same_as_id, marks.place_id), NULL)), begun.same_as_id, rounds.place_id) AS place_id, "
                    .'rounds.routine, lessons.learner_id, '
                    .$marked
                    .' AS marked, '
                    .$bits(self::HELPED)
                    .' AS helped, '
                    .$bits(self::FAILED)
                    .' AS failed',
            );
    }

    /** @return list<int> one for each step, in their order */
    private static function bits(): array
    {
        return array_map(static fn (int $place): int => 1 << $place, array_keys(Step::cases()));
    }
}
