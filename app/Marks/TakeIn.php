<?php

namespace App\Marks;

use App\Jobs\SayChancesAnew;
use App\Lessons\HeldLessons;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Round;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Record\MarkLog;
use NobleTurn\Core\Record\PressTime;

/**
 * Takes rounds and marks from a device's queue. Ids are made on the device: what has arrived before is accepted again and changes
 * nothing, unless it says something else, which is refused. Two devices may speak of the same: both are kept, the later press
 * stands. What a batch needs to know is read once, so that a whole lesson of marks takes no longer than a few.
 */
final class TakeIn
{
    /** Rows of one insert. */
    private const AT_ONCE = 200;

    /** How often a batch is tried that met its own twin on the way. */
    private const TRIES = 3;

    private const UNSAID = [
        'step' => null, 'stage' => null, 'outcome' => null, 'taught' => null, 'decision' => null, 'what' => null, 'number' => null, 'seconds' => null,
        'conditions' => null, 'out_of_order' => false, 'fault' => null, 'effect' => null, 'place_id' => null, 'note' => null, 'corrects_id' => null,
        'withdrawn' => false,
    ];

    /**
     * @param  list<array<string, mixed>>  $rounds
     * @param  list<array<string, mixed>>  $marks  a correction after the mark it corrects
     * @param  ?Carbon  $sent  by the device's clock
     * @return array{rounds: list<string>, marks: list<string>, stands: list<Mark>} ids that are safe here, and what others pressed later in the same slots
     */
    public function __invoke(User $user, array $rounds, array $marks, ?Carbon $sent): array
    {
        for ($try = 1; ; $try++) {
            try {
                return DB::transaction(fn (): array => $this->takeIn($user, $rounds, $marks, $sent), self::TRIES);
            } catch (UniqueConstraintViolationException $twin) {
                // The same id arrived twice at once: by now the other is stored, and this one is known.
                if ($try === self::TRIES) {
                    throw $twin;
                }
            }
        }
    }

    /**
     * @param  list<array<string, mixed>>  $rounds
     * @param  list<array<string, mixed>>  $marks
     * @return array{rounds: list<string>, marks: list<string>, stands: list<Mark>}
     */
    private function takeIn(User $user, array $rounds, array $marks, ?Carbon $sent): array
    {
        $now = Carbon::now();
        $press = PressTime::between($sent?->toDateTimeImmutable(), $now->toDateTimeImmutable());
        // One batch of a lesson at a time: who waits here sees all that the other wrote.
        $driven = Round::query()->whereKey(array_unique(array_column($marks, 'round_id')))->pluck('lesson_id')->all();
        $lessons = HeldLessons::of(array_values(array_unique([...array_column($rounds, 'lesson_id'), ...$driven])));
        $this->rounds($rounds, $lessons, $press, $now);
        $stands = $this->marks($user, $marks, $press, $now);

        return ['rounds' => array_map('strval', array_column($rounds, 'id')), 'marks' => array_map('strval', array_column($marks, 'id')), 'stands' => $stands];
    }

    /**
     * @param  list<array<string, mixed>>  $rounds
     * @param  Collection<string, Lesson>  $lessons
     */
    private function rounds(array $rounds, Collection $lessons, PressTime $press, Carbon $now): void
    {
        $known = Round::query()->whereKey(array_column($rounds, 'id'))->get()->keyBy('id');
        foreach ($rounds as $said) {
            $at = self::moment($said['device_at']);
            $facts = [
                'lesson_id' => $said['lesson_id'], 'place_id' => $said['place_id'] ?? null, 'elsewhere' => $said['elsewhere'] ?? null,
                'moment_id' => $said['moment_id'] ?? null, 'routine' => $said['routine'], 'side' => $said['side'] ?? null,
                'conditions' => $said['conditions'] ?? [], 'plan' => $said['plan'] ?? null, 'device_at' => $at,
                // Said by no device: a mock test comes as a whole.
                'assessment_id' => $said['assessment_id'] ?? null,
            ];
            $lesson = $lessons->get($said['lesson_id']);
            if ($lesson?->learner->erased_at !== null) {
                $facts['elsewhere'] = null;
            }
            $round = $known->get($said['id']);
            if ($round !== null) {
                $this->sameOrRefuse('rounds', $round->id, $facts, $round->only(array_keys($facts)));

                continue;
            }
            Gate::authorize('mark', $lesson ?? throw ValidationException::withMessages(['rounds' => 'A round belongs to no lesson of this school.']));
            $known[$said['id']] = Round::query()->create([
                'id' => $said['id'], ...$facts, 'began_at' => $press->of($at->toDateTimeImmutable(), $now->toDateTimeImmutable()),
                'server_at' => $now,
            ]);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $marks
     * @return list<Mark> what others pressed later in the same slots
     */
    private function marks(User $user, array $marks, PressTime $press, Carbon $now): array
    {
        $ids = array_column($marks, 'id');
        $known = Mark::query()->whereKey([...$ids, ...array_filter(array_column($marks, 'corrects_id'))])->get()->keyBy('id')->all();
        $rounds = Round::query()->with('lesson.learner')->whereKey(array_unique(array_column($marks, 'round_id')))->get()->keyBy('id');
        $new = $touched = [];
        foreach ($marks as $said) {
            $round = $rounds->get($said['round_id']) ?? throw ValidationException::withMessages(['marks' => 'A mark belongs to no round of this school.']);
            $facts = self::facts($said, $this->corrected($said, $round, $known));
            if ($round->lesson->learner->erased_at !== null) {
                // What waited on a device until its learner was erased arrives without a word about them.
                $facts['note'] = null;
            }
            $mark = $known[$said['id']] ?? null;
            if ($mark !== null) {
                $this->sameOrRefuse('marks', $mark->id, $facts, $mark->only(array_keys($facts)));
            } else {
                Gate::authorize('mark', $round->lesson);
                $mark = $known[$said['id']] = $new[] = $this->mark($user, $said['id'], $facts, $round, $known, $press, $now);
            }
            $touched[$mark->round_id][$mark->slot] = true;
        }
        // A row that corrects another of the same batch stands after it: a row can only point to one that is there.
        foreach (array_chunk($new, self::AT_ONCE) as $chunk) {
            Mark::query()->toBase()->insert(array_map(static fn (Mark $mark): array => $mark->getAttributes(), $chunk));
        }
        $first = [];
        foreach ($new as $mark) {
            $learner = $rounds[$mark->round_id]->lesson->learner_id;
            $first[$learner] = $mark->pressed_at->min($first[$learner] ?? $mark->pressed_at);
        }
        Learner::withTrashed()->whereKey(array_keys($first))->toBase()->update(['marks_came_at' => $now->format('Y-m-d H:i:s.v')]);
        foreach ($first as $learner => $pressedAt) {
            SayChancesAnew::afterMarks($user->school_id, $learner, $pressedAt);
        }

        return $this->later($touched, $ids);
    }

    /**
     * The mark a new one takes the place of, which must be of the same round and speak of the same.
     *
     * @param  array<string, mixed>  $said
     * @param  array<string, Mark>  $known
     */
    private function corrected(array $said, Round $round, array $known): ?Mark
    {
        $id = $said['corrects_id'] ?? null;
        if ($id === null) {
            return null;
        }
        $mark = $known[$id] ?? null;
        if ($mark === null || $mark->round_id !== $round->id) {
            throw ValidationException::withMessages(['marks' => 'A correction must point to a mark of the same round.']);
        }
        // A withdrawal need not repeat what it withdraws.
        if (! ($said['withdrawn'] ?? false) && ! self::speaksOfTheSame($said, $mark)) {
            throw ValidationException::withMessages(['marks' => 'A correction must speak of the same step as the mark it corrects.']);
        }

        return $mark;
    }

    /** @param  array<string, mixed>  $said */
    private static function speaksOfTheSame(array $said, Mark $mark): bool
    {
        // Moments and counts are many: which one it is, the correction says.
        $many = in_array($said['kind'], ['moment', 'count'], true);

        return $many ? $said['kind'] === $mark->kind
            : $mark->slot === MarkLog::slot($said['kind'], $said['step'] ?? null, '', null, $said['stage'] ?? null, $said['decision'] ?? null);
    }

    /**
     * What a mark says, whole: what was left out is what it stands for.
     *
     * @param  array<string, mixed>  $said
     * @return array<string, mixed>
     */
    private static function facts(array $said, ?Mark $corrected): array
    {
        $facts = [
            ...self::UNSAID, ...array_intersect_key($said, self::UNSAID), 'round_id' => $said['round_id'], 'kind' => $said['kind'],
            'device_at' => self::moment($said['device_at']),
        ];
        $facts['seconds'] = $facts['seconds'] === null ? null : round((float) $facts['seconds'], 2);
        if ($facts['withdrawn'] && $corrected !== null) {
            $facts = [...$facts, 'kind' => $corrected->kind, 'step' => $corrected->step];
        }

        return $facts;
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  array<string, Mark>  $known
     */
    private function mark(User $user, string $id, array $facts, Round $round, array $known, PressTime $press, Carbon $now): Mark
    {
        $corrected = $known[$facts['corrects_id'] ?? ''] ?? null;
        $pressed = Carbon::instance($press->of($facts['device_at']->toDateTimeImmutable(), $now->toDateTimeImmutable()));
        if ($corrected !== null) {
            // Whatever the clocks say: a correction was pressed after what it corrects.
            $pressed = $pressed->max($corrected->pressed_at->copy()->addMillisecond());
        }
        $mark = new Mark([
            'id' => $id, ...$facts, 'user_id' => $user->id, 'pressed_at' => $pressed, 'server_at' => $now,
            'slot' => MarkLog::slot($facts['kind'], $facts['step'], $id, $corrected?->slot, $facts['stage'], $facts['decision']),
            'after_read' => $corrected !== null && $round->lesson->learner->marks_read_at?->isAfter($corrected->server_at) === true,
        ]);
        $mark->school_id = $user->school_id;

        return $mark;
    }

    /**
     * @param  array<string, array<string, true>>  $touched  slots by round
     * @param  list<string>  $sent
     * @return list<Mark>
     */
    private function later(array $touched, array $sent): array
    {
        $latest = [];
        foreach (Mark::query()->whereIn('round_id', array_keys($touched))->orderBy('pressed_at')->orderByRaw(StandingMarks::id('marks'))->get() as $mark) {
            if (isset($touched[$mark->round_id][$mark->slot])) {
                $latest["{$mark->round_id} {$mark->slot}"] = $mark;
            }
        }

        return array_values(array_filter($latest, static fn (Mark $mark): bool => ! in_array($mark->id, $sent, true)));
    }

    private static function moment(mixed $said): Carbon
    {
        return Carbon::parse((string) $said)->utc()->startOfMillisecond();
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  array<string, mixed>  $known
     */
    private function sameOrRefuse(string $field, string $id, array $said, array $known): void
    {
        foreach ($said as $name => $value) {
            $same = $value instanceof Carbon ? $value->equalTo($known[$name]) : (is_array($value) ? $value == $known[$name] : $value === $known[$name]);
            if (! $same) {
                throw ValidationException::withMessages([
                    $field => "The id {$id} is known with another {$name}: nothing logged is changed, send a correction.",
                ]);
            }
        }
    }
}
