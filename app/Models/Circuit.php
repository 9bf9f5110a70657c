<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * Ways that are driven together, kept to be driven again; where it starts is said each time, unless it is a route of a test centre.
 *
 * @property string $user_id who keeps it
 * @property ?string $centre_id where it starts and ends
 * @property string $name
 * @property int $minutes
 * @property string $order
 * @property list<array{site: string, from: string, to: string, routine: string, rounds: int}> $ways
 * @property bool $shared seen by everybody in the school
 * @property bool $rehearsal driven as an assessment is
 * @property ?string $note
 * @property User $user
 */
final class Circuit extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['centre_id', 'name', 'minutes', 'order', 'ways', 'shared', 'rehearsal', 'note'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return Builder<self> those that somebody may see: their own, and what is shared */
    public static function seenBy(User $user): Builder
    {
        return self::query()->where(static fn (Builder $of) => $of->where('user_id', $user->id)->orWhere('shared', true));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['ways' => 'array', 'minutes' => 'integer', 'shared' => 'boolean', 'rehearsal' => 'boolean'];
    }
}
