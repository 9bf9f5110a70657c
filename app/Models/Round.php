<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/**
 * One driven approach. Never changed: what happened on it is said by its marks.
 *
 * @property string $lesson_id
 * @property string $place_id
 * @property string $routine
 * @property array<string, string> $conditions
 * @property ?array{tool: string, inputs: array<string, mixed>, version: string} $plan what it was driven against; null for one of before plans were kept
 * @property Carbon $device_at as the device's clock said
 * @property Carbon $began_at as far as the clocks tell
 * @property Carbon $server_at
 * @property Collection<int, Mark> $marks
 * @property Lesson $lesson
 * @property Place $place
 */
final class Round extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $fillable = ['id', 'lesson_id', 'place_id', 'routine', 'conditions', 'plan', 'device_at', 'began_at', 'server_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['conditions' => 'array', 'plan' => 'array', 'device_at' => 'datetime', 'began_at' => 'datetime', 'server_at' => 'datetime'];
    }

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return tap($this->belongsTo(Place::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }

    /** @return HasMany<Mark, $this> */
    public function marks(): HasMany
    {
        return tap($this->hasMany(Mark::class), fn ($relation) => $relation->orderBy('pressed_at')->orderByRaw('CAST(marks.id AS CHAR)'));
    }
}
