<?php

namespace App\People;

use App\Models\Lesson;
use App\Models\User;
use App\School\CurrentSchool;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;

/** The people of the school as its owner sees them. */
final readonly class Staff
{
    public function __construct(private CurrentSchool $current)
    {
    }

    /** @throws ModelNotFoundException where the school has nobody of that id */
    public function find(string $id): User
    {
        return User::query()->where('school_id', $this->current->id())->findOrFail($id);
    }

    /** @return list<array<string, mixed>> by name, whoever is suspended last */
    public function all(): array
    {
        $people = User::query()->where('school_id', $this->current->id())->get()->sortBy(
            static fn (User $user): array => [$user->isSuspended(), mb_strtolower($user->name)],
        );
        $ahead = Lesson::query()
            ->where('state', 'booked')
            ->where('starts_at', '>', now())
            ->groupBy('instructor_id')
            ->selectRaw('instructor_id, COUNT(*) AS lessons')
            ->pluck('lessons', 'instructor_id');
        $seen = DB::table('sessions')
            ->whereIn('user_id', $people->pluck('id'))
            ->groupBy('user_id')
            ->selectRaw('user_id, MAX(last_activity) AS at')
            ->pluck('at', 'user_id');

        return array_values(
            $people->map(
                fn (User $user): array => $this->shown($user, (int) ($ahead[$user->id] ?? 0), isset($seen[$user->id]) ? (int) $seen[$user->id] : null),
            )->all(),
        );
    }

    /** @return array<string, mixed> */
    public function one(User $user): array
    {
        return array_values(array_filter($this->all(), static fn (array $shown): bool => $shown['id'] === $user->id))[0];
    }

    /** @return array<string, mixed> */
    private function shown(User $user, int $ahead, ?int $seen): array
    {
        return [
            ...$user->only(['id', 'name', 'email', 'role']),
            'state' => $user->isSuspended() ? 'suspended' : ($user->joined_at === null ? 'invited' : 'joined'),
            'lessons_ahead' => $ahead,
            'last_seen_at' => $seen === null ? null : gmdate('Y-m-d\TH:i:s\Z', $seen),
        ];
    }
}
