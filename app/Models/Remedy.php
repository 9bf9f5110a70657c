<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * A remedy or drill that was given in a lesson, for a step and the kind of fault that was seen.
 *
 * @property string $learner_id
 * @property string $lesson_id
 * @property string $routine
 * @property string $step
 * @property ?string $fault
 * @property 'remedy'|'drill' $what
 * @property string $user_id whose advice
 * @property Carbon $created_at
 * @property Lesson $lesson
 */
final class Remedy extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['learner_id', 'lesson_id', 'routine', 'step', 'fault', 'what', 'user_id'];

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }
}
