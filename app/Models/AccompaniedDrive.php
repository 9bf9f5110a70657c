<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/**
 * A drive of a learner with somebody who has a licence and is no instructor, as the learner told of it.
 *
 * @property string $learner_id
 * @property Carbon $starts_at UTC
 * @property int $minutes
 * @property array<string, string> $conditions as rounds note them; what nobody said is left out
 * @property ?string $note with whom, where to
 * @property Learner $learner
 */
final class AccompaniedDrive extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['learner_id', 'starts_at', 'minutes', 'conditions', 'note'];

    protected $attributes = ['conditions' => '{}'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['starts_at' => 'datetime', 'minutes' => 'integer', 'conditions' => 'array'];
    }

    public function ends(): Carbon
    {
        return $this->starts_at->copy()->addMinutes($this->minutes);
    }

    /** @return BelongsTo<Learner, $this> */
    public function learner(): BelongsTo
    {
        return tap($this->belongsTo(Learner::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }
}
