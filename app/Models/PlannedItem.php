<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Eloquent\SoftDeletingScope;

/**
 * One place on the plan of a lesson: what is done there is the place's.
 *
 * @property string $lesson_id
 * @property string $place_id
 * @property int $ordinal
 * @property int $minutes
 * @property Place $place
 */
final class PlannedItem extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['lesson_id', 'place_id', 'ordinal', 'minutes'];

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return tap($this->belongsTo(Place::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }
}
