<?php

namespace App\Marks;

use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Round;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/**
 * Takes rounds and marks from a device's queue. Ids are made on the device: what has arrived before is
 * accepted again and changes nothing, unless it says something else, which is refused. What a batch needs to know
 * is read once, so that a whole lesson of marks takes no longer than a few.
 */
final class TakeIn
{
    /** Rows of one insert. */
    private const AT_ONCE = 200;

    /**
     * @param  list<array<string, mixed>>  $rounds
     * @param  list<array<string, mixed>>  $marks  a correction after the mark it corrects
     * @return array{rounds: list<string>, marks: list<string>} ids that are safe here
     */
    public function __invoke(User $user, array $rounds, array $marks): array
    {
        return DB::transaction(function () use ($user, $rounds, $marks): array {
            $this->rounds($rounds);
            $this->marks($user, $marks);

            return ['rounds' => array_map('strval', array_column($rounds, 'id')), 'marks' => array_map('strval', array_column($marks, 'id'))];
        });
    }

    /** @param  list<array<string, mixed>>  $rounds */
    private function rounds(array $rounds): void
    {
        $known = Round::query()->whereKey(array_column($rounds, 'id'))->get()->keyBy('id');
        $lessons = Lesson::query()->whereKey(array_unique(array_column($rounds, 'lesson_id')))->withMax('rounds as last_ordinal', 'ordinal')->get()->keyBy('id');
        $ordinals = $lessons->map(static fn (Lesson $lesson): int => (int) $lesson->getAttribute('last_ordinal'))->all();
        foreach ($rounds as $said) {
            $round = $known->get($said['id']);
            if ($round !== null) {
                $this->sameOrRefuse('rounds', $said, ['lesson_id' => $round->lesson_id, 'place_id' => $round->place_id, 'routine' => $round->routine]);

                continue;
            }
            $lesson = $lessons->get($said['lesson_id']) ?? throw ValidationException::withMessages(['rounds' => 'A round belongs to no lesson of this school.']);
            Gate::authorize('update', $lesson);
            $known[$said['id']] = Round::query()->create([
                ...$said,
                'conditions' => $said['conditions'] ?? [],
                'ordinal' => ++$ordinals[$lesson->id],
                'device_at' => Carbon::parse((string) $said['device_at'])->utc(),
                'server_at' => now(),
            ]);
        }
    }

    /** @param  list<array<string, mixed>>  $marks */
    private function marks(User $user, array $marks): void
    {
        $ids = array_column($marks, 'id');
        $corrects = array_values(array_filter(array_column($marks, 'corrects_id')));
        $known = Mark::query()->whereKey([...$ids, ...$corrects])->get()->keyBy('id')->all();
        $corrected = Mark::query()->whereIn('corrects_id', $corrects)->pluck('corrects_id')->flip()->all();
        $rounds = Round::query()->with('lesson')->whereKey(array_unique(array_column($marks, 'round_id')))->get()->keyBy('id');
        $new = [];
        foreach ($marks as $said) {
            if (isset($known[$said['id']])) {
                $this->sameOrRefuse('marks', $said, $known[$said['id']]->only(['round_id', 'kind', 'step', 'outcome', 'taught', 'corrects_id']));

                continue;
            }
            $mark = $this->mark($user, $said, $rounds, $known, $corrected);
            $known[$mark->id] = $mark;
            if ($mark->corrects_id !== null) {
                $corrected[$mark->corrects_id] = true;
            }
            $new[] = $mark;
        }
        // A row that corrects another of the same batch stands after it: a row can only point to one that is there.
        foreach (array_chunk($new, self::AT_ONCE) as $chunk) {
            Mark::query()->toBase()->insert(array_map(static fn (Mark $mark): array => $mark->getAttributes() + ['step' => null, 'outcome' => null, 'taught' => null, 'conditions' => null, 'out_of_order' => false, 'note' => null, 'corrects_id' => null, 'withdrawn' => false], $chunk));
        }
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  Collection<string, Round>  $rounds
     * @param  array<string, Mark>  $known
     * @param  array<string, mixed>  $corrected
     */
    private function mark(User $user, array $said, Collection $rounds, array $known, array $corrected): Mark
    {
        $round = $rounds->get($said['round_id']) ?? throw ValidationException::withMessages(['marks' => 'A mark belongs to no round of this school.']);
        Gate::authorize('update', $round->lesson);
        $corrects = $said['corrects_id'] ?? null;
        if ($corrects !== null) {
            if (($known[$corrects] ?? null)?->round_id !== $round->id) {
                throw ValidationException::withMessages(['marks' => 'A correction must point to a mark of the same round.']);
            }
            if (isset($corrected[$corrects])) {
                throw ValidationException::withMessages(['marks' => 'That mark has been corrected already: correct the newer one.']);
            }
        }
        $mark = new Mark([...$said, 'user_id' => $user->id, 'device_at' => Carbon::parse((string) $said['device_at'])->utc(), 'server_at' => now()]);
        $mark->school_id = $user->school_id;

        return $mark;
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  array<string, mixed>  $known
     */
    private function sameOrRefuse(string $field, array $said, array $known): void
    {
        foreach ($known as $name => $value) {
            if (($said[$name] ?? null) !== $value) {
                throw ValidationException::withMessages([$field => "The id {$said['id']} is known with another {$name}: nothing logged is changed, send a correction."]);
            }
        }
    }
}
