<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/**
 * A learner on the waiting list, once: who would like an hour that comes free.
 *
 * @property string $learner_id
 * @property int $minutes how long a lesson they would like
 * @property list<array{days: list<int>, from: string, until: string}> $wishes when they can, days from 1 for Monday, times `17:00`; at any
 *     time where there is none
 * @property ?string $note
 * @property Carbon $created_at
 * @property Learner $learner
 */
final class WaitingLearner extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $table = 'waiting';

    protected $fillable = ['learner_id', 'minutes', 'wishes', 'note'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['minutes' => 'integer', 'wishes' => 'array'];
    }

    /** @return BelongsTo<Learner, $this> */
    public function learner(): BelongsTo
    {
        return tap($this->belongsTo(Learner::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }
}
