<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Record\MarkLog;

/**
 * One driven approach. Never changed: what happened on it is said by its marks.
 *
 * @property string $lesson_id
 * @property ?string $place_id where it began; null where it needs none, or where nobody has said one yet
 * @property ?string $elsewhere a word of where
 * @property ?string $moment_id the moment it was told of
 * @property string $routine
 * @property 'left'|'right'|null $side of the way driven, where it is not the routine's own
 * @property array<string, string> $conditions
 * @property ?array{tool: string, inputs: array<string, mixed>, version: string} $plan what it was driven against; null for one of before plans were kept
 * @property Carbon $device_at as the device's clock said
 * @property Carbon $began_at as far as the clocks tell
 * @property Carbon $server_at
 * @property Collection<int, Mark> $marks
 * @property Lesson $lesson
 * @property ?string $assessment_id the mock test that it was driven in
 * @property ?Place $place
 */
final class Round extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $fillable = [
        'id', 'lesson_id', 'place_id', 'elsewhere', 'moment_id', 'routine', 'side', 'conditions', 'plan', 'device_at', 'began_at', 'server_at', 'assessment_id',
    ];

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

    /** Where it was driven: as it was said afterwards, or where it began, or in a word; empty where nobody said. Places and marks must be loaded. */
    public function where(): string
    {
        $said = collect(MarkLog::standing($this->marks))->firstWhere('kind', 'place');

        return ($said->place ?? $this->place)->name ?? $this->elsewhere ?? '';
    }

    /** @return HasMany<Mark, $this> */
    public function marks(): HasMany
    {
        return tap($this->hasMany(Mark::class), fn ($relation) => $relation->orderBy('pressed_at')->orderByRaw('CAST(marks.id AS CHAR)'));
    }
}
