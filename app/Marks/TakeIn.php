<?php

namespace App\Marks;

use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Round;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/**
 * Takes rounds and marks from a device's queue. Ids are made on the device: what has arrived before is
 * accepted again and changes nothing, unless it says something else, which is refused.
 */
final class TakeIn
{
    /**
     * @param  list<array<string, mixed>>  $rounds
     * @param  list<array<string, mixed>>  $marks  a correction after the mark it corrects
     * @return array{rounds: list<string>, marks: list<string>} ids that are safe here
     */
    public function __invoke(User $user, array $rounds, array $marks): array
    {
        return DB::transaction(fn (): array => [
            'rounds' => array_map(fn (array $round): string => $this->round($round), $rounds),
            'marks' => array_map(fn (array $mark): string => $this->mark($user, $mark), $marks),
        ]);
    }

    /** @param  array<string, mixed>  $said */
    private function round(array $said): string
    {
        $known = Round::query()->whereKey($said['id'])->first();
        if ($known !== null) {
            $this->sameOrRefuse('rounds', $said, ['lesson_id' => $known->lesson_id, 'place_id' => $known->place_id, 'routine' => $known->routine]);

            return $known->id;
        }
        $lesson = Lesson::query()->whereKey($said['lesson_id'])->first() ?? throw ValidationException::withMessages(['rounds' => 'A round belongs to no lesson of this school.']);
        Gate::authorize('update', $lesson);

        return Round::query()->create([
            ...$said,
            'conditions' => $said['conditions'] ?? [],
            'ordinal' => (int) $lesson->rounds()->max('ordinal') + 1,
            'device_at' => Carbon::parse((string) $said['device_at'])->utc(),
            'server_at' => now(),
        ])->id;
    }

    /** @param  array<string, mixed>  $said */
    private function mark(User $user, array $said): string
    {
        $known = Mark::query()->whereKey($said['id'])->first();
        if ($known !== null) {
            $this->sameOrRefuse('marks', $said, $known->only(['round_id', 'kind', 'step', 'outcome', 'taught', 'corrects_id']));

            return $known->id;
        }
        $round = Round::query()->with('lesson')->whereKey($said['round_id'])->first() ?? throw ValidationException::withMessages(['marks' => 'A mark belongs to no round of this school.']);
        Gate::authorize('update', $round->lesson);
        $corrects = $said['corrects_id'] ?? null;
        if ($corrects !== null) {
            if (! Mark::query()->where('round_id', $round->id)->whereKey($corrects)->exists()) {
                throw ValidationException::withMessages(['marks' => 'A correction must point to a mark of the same round.']);
            }
            if (Mark::query()->where('corrects_id', $corrects)->exists()) {
                throw ValidationException::withMessages(['marks' => 'That mark has been corrected already: correct the newer one.']);
            }
        }

        return Mark::query()->create([
            ...$said,
            'user_id' => $user->id,
            'device_at' => Carbon::parse((string) $said['device_at'])->utc(),
            'server_at' => now(),
        ])->id;
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
