<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/**
 * A text to a learner about a lesson, in the outbox: passed on from there by whoever teaches. What could not be sent stands there as well,
 * so that somebody rings.
 *
 * @property string $lesson_id
 * @property string $learner_id
 * @property 'booked'|'moved'|'cancelled'|'day-before'|'late' $kind
 * @property ?string $body null once the learner is erased
 * @property ?string $phone as it was known then
 * @property 'no-texts'|'no-number'|'quiet'|null $unsent why it is not to be sent: they want none, there is no number, it was night
 * @property Carbon $made_at
 * @property ?Carbon $passed_on_at
 * @property ?Carbon $knew_at when the learner was told what they knew before this; null where they knew nothing
 * @property ?Carbon $knew_starts_at when they thought that the lesson is; null where they thought it off
 * @property ?int $knew_minutes
 * @property ?string $knew_pick_up
 * @property bool $knew_reminded
 * @property Lesson $lesson
 * @property Learner $learner
 */
final class Text extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $fillable = ['lesson_id', 'learner_id', 'kind', 'body', 'phone', 'unsent', 'made_at', 'passed_on_at', 'knew_at', 'knew_starts_at', 'knew_minutes',
        'knew_pick_up', 'knew_reminded'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'made_at' => 'datetime', 'passed_on_at' => 'datetime', 'knew_at' => 'datetime', 'knew_starts_at' => 'datetime', 'knew_minutes' => 'integer',
            'knew_reminded' => 'boolean',
        ];
    }

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }

    /** @return BelongsTo<Learner, $this> */
    public function learner(): BelongsTo
    {
        return tap($this->belongsTo(Learner::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }
}
