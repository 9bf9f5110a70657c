<?php

namespace App\Marks;

use App\Http\Resources\ShowAssessments;
use App\Lessons\HeldLessons;
use App\Models\Assessment;
use App\Models\Lesson;
use App\Models\User;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Assessment\MarkedFault;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Assessment\Silence;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;
use Ramsey\Uuid\Uuid;

/**
 * A mock test as it was driven in a lesson and told at the kerb: each way of it becomes a round whose marks are evidence as any others, and the faults become
 * a result. Sent again it is the same one.
 */
final readonly class MockTest
{
    /** A device's clock may be ahead: then it was just now. Farther ahead than that it is no clock. */
    private const CLOCK_AHEAD_H = 24;

    private const OTHERS = 'is that of another test.';

    public function __construct(private TakeIn $takeIn)
    {
    }

    /**
     * @param  array<string, mixed>  $said  as `TakenOfLessons::mockTest` has it
     *
     * @throws ValidationException where a fault names a way that was not driven, or is no kind of its step, or nobody has driven yet
     */
    public function take(Lesson $lesson, User $user, RulePack $pack, array $said): Assessment
    {
        $known = self::known($said['id'], $lesson);
        if ($known !== null) {
            return $known;
        }
        $at = Carbon::parse($said['taken_at'])->utc();
        if ($at->isAfter(now()->addHours(self::CLOCK_AHEAD_H))) {
            throw ValidationException::withMessages(['taken_at' => 'must lie behind us.']);
        }
        $at = $at->min(now());
        $ways = array_column($said['ways'], null, 'id');
        $faults = $this->faults($said['faults'], $ways);
        $scheme = $said['scheme'] ?? Scheme::usual($pack);
        $marked = Toolbox::run('mark-test', ['pack' => $pack->code(), 'scheme' => $scheme, 'faults' => ShowAssessments::marked($faults)]);

        $write = function () use ($lesson, $user, $pack, $said, $ways, $faults, $scheme, $marked, $at): Assessment {
            HeldLessons::of([$lesson->id]);
            $test = (new Assessment)->forceFill([
                'id' => $said['id'], 'learner_id' => $lesson->learner_id, 'lesson_id' => $lesson->id, 'kind' => 'mock-test', 'taken_at' => $at,
                'scheme' => $scheme, 'result' => $marked['result'], 'note' => $said['note'] ?? null,
                'faults' => array_map(static fn (array $one): array => array_diff_key($one, ['way' => 0]), $faults),
            ]);
            $test->save();
            [$rounds, $marks] = $this->driven($test, $pack, $ways, $faults, $said['conditions'] ?? []);
            ($this->takeIn)($user, $rounds, $marks, null);

            return $test;
        };
        try {
            return DB::transaction($write);
        } catch (UniqueConstraintViolationException) {
            // Sent twice at once: by now the other is stored.
            return self::known($said['id'], $lesson) ?? throw ValidationException::withMessages(['id' => self::OTHERS]);
        }
    }

    /** @throws ValidationException where it is not of this lesson */
    private static function known(string $id, Lesson $lesson): ?Assessment
    {
        $known = Assessment::withTrashed()->whereKey($id)->first();

        return $known === null || $known->lesson_id === $lesson->id ? $known : throw ValidationException::withMessages(['id' => self::OTHERS]);
    }

    /**
     * @param  list<array<string, mixed>>  $said
     * @param  array<string, array<string, mixed>>  $ways  by id
     * @return list<array<string, mixed>> with the routine of the way, and where it was
     */
    private function faults(array $said, array $ways): array
    {
        $faults = [];
        foreach ($said as $i => $one) {
            $way = $ways[$one['way'] ?? ''] ?? null;
            if (isset($one['way']) && $way === null) {
                throw ValidationException::withMessages(["faults.{$i}.way" => 'is none of the ways that were driven.']);
            }
            if (isset($one['fault']) && ! Faults::isOf($one['fault'], Step::from($one['step']))) {
                throw ValidationException::withMessages(["faults.{$i}.fault" => "is no kind of fault of {$one['step']}."]);
            }
            $faults[] = [
                'step' => $one['step'], 'routine' => $way['routine'] ?? null, 'fault' => $one['fault'] ?? null, 'effect' => $one['effect'],
                'at' => $one['at'], 'where' => $way['where'] ?? null, 'way' => $one['way'] ?? null,
            ];
        }

        return $faults;
    }

    /**
     * @param  array<string, array<string, mixed>>  $ways
     * @param  list<array<string, mixed>>  $faults
     * @param  array<string, string>  $conditions
     * @return array{list<array<string, mixed>>, list<array<string, mixed>>} rounds and marks, as a device sends them
     */
    private function driven(Assessment $test, RulePack $pack, array $ways, array $faults, array $conditions): array
    {
        $rounds = $marks = [];
        foreach ($ways as $id => $way) {
            $routine = Catalogue::routine(RoutineCode::from($way['routine']), $pack);
            $rounds[] = [
                'id' => $id, 'lesson_id' => $test->lesson_id, 'assessment_id' => $test->id,
                'place_id' => $way['place_id'] ?? null, 'routine' => $way['routine'], 'side' => $way['side'] ?? null,
                'elsewhere' => isset($way['place_id']) ? null : $way['where'] ?? null, 'conditions' => $conditions, 'device_at' => $way['at'],
            ];
            $here = array_map(static fn (array $one): MarkedFault => new MarkedFault(
                Step::from($one['step']), $routine->code, $one['fault'], Effect::from($one['effect']),
            ), array_values(array_filter($faults, static fn (array $one): bool => $one['way'] === $id)));
            foreach (Silence::marks($routine, $here) as $step => $mark) {
                $marks[] = self::mark($id, $step, $mark, $way['at']);
            }
        }

        return [$rounds, $marks];
    }

    /** @return array<string, mixed> */
    private static function mark(string $round, string $step, StepMark $mark, string $at): array
    {
        return [
            // The same test sent again makes the same marks.
            'id' => Uuid::uuid5($round, $step)->toString(), 'round_id' => $round, 'kind' => 'step', 'step' => $step, 'outcome' => $mark->outcome->value,
            'fault' => $mark->fault, 'effect' => $mark->effect?->value, 'device_at' => $at,
        ];
    }
}
