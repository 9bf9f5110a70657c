<?php

namespace App\Models;

use App\Diary\TakesTime;
use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Diary\Period;

/**
 * @property string $learner_id
 * @property string $instructor_id
 * @property string $vehicle_id
 * @property Carbon $starts_at UTC
 * @property int $minutes as booked
 * @property ?string $pick_up where it begins, where that is not where the learner is usually met
 * @property ?float $pick_up_latitude_deg
 * @property ?float $pick_up_longitude_deg
 * @property ?string $drop_off where it ends, where that is not where it began
 * @property ?float $drop_off_latitude_deg
 * @property ?float $drop_off_longitude_deg
 * @property int $brief_minutes of them for talking before
 * @property int $debrief_minutes and after
 * @property ?string $aim
 * @property ?string $aim_routine what it works on
 * @property ?string $aim_step
 * @property 'wished'|'booked'|'done'|'cut-short'|'cancelled'|'no-show' $state
 * @property ?int $cut_to_minutes of one that was cut short: what was left of it
 * @property 'learner'|'instructor'|'other'|null $ended_by of one that was cancelled: whose doing it was
 * @property ?Carbon $ended_at when that was said
 * @property ?string $ended_why
 * @property ?bool $charged whether it is charged all the same; only noted
 * @property ?string $moved_from_id the cancelled lesson in whose place it stands
 * @property array<string, string> $self_rating the learner's own word for each step
 * @property ?string $went_well
 * @property ?string $worked_on
 * @property Collection<int, PlannedItem> $items
 * @property Collection<int, Round> $rounds
 * @property Collection<int, Promise> $promises
 * @property Collection<int, Remedy> $remedies
 * @property Learner $learner
 * @property Vehicle $vehicle
 * @property User $instructor
 */
final class Lesson extends Model implements TakesTime
{
    use BelongsToSchool;

    protected $fillable = [
        'learner_id', 'vehicle_id', 'starts_at', 'minutes', 'brief_minutes', 'debrief_minutes', 'aim', 'aim_routine', 'aim_step', 'state', 'self_rating',
        'went_well', 'worked_on', 'pick_up', 'pick_up_latitude_deg', 'pick_up_longitude_deg', 'drop_off', 'drop_off_latitude_deg', 'drop_off_longitude_deg',
        'cut_to_minutes', 'ended_by', 'ended_at', 'ended_why', 'charged', 'moved_from_id',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'starts_at' => 'datetime', 'minutes' => 'integer', 'brief_minutes' => 'integer', 'debrief_minutes' => 'integer', 'self_rating' => 'array',
            'cut_to_minutes' => 'integer', 'ended_at' => 'datetime', 'charged' => 'boolean', 'pick_up_latitude_deg' => 'float',
            'pick_up_longitude_deg' => 'float', 'drop_off_latitude_deg' => 'float', 'drop_off_longitude_deg' => 'float',
        ];
    }

    protected $attributes = ['self_rating' => '{}', 'state' => 'booked', 'brief_minutes' => 5, 'debrief_minutes' => 5];

    public function state(): LessonState
    {
        return LessonState::from($this->state);
    }

    /** Minutes from its beginning to its end: as booked, unless it was cut short. */
    public function lasts(): int
    {
        return $this->cut_to_minutes ?? $this->minutes;
    }

    public function whose(): array
    {
        return $this->state()->holds() ? ['instructor' => $this->instructor_id, 'learner' => $this->learner_id, 'car' => $this->vehicle_id] : [];
    }

    public function column(): string
    {
        return 'lesson_id';
    }

    public function starts(): Carbon
    {
        return $this->starts_at->copy();
    }

    public function ends(): Carbon
    {
        return $this->starts_at->copy()->addMinutes($this->lasts());
    }

    public function period(): Period
    {
        $from = $this->starts_at->getTimestamp();

        return new Period($from, $from + 60 * $this->lasts());
    }

    /** @return BelongsTo<Learner, $this> a learner who is archived still names the lesson */
    public function learner(): BelongsTo
    {
        return tap($this->belongsTo(Learner::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }

    /** @return BelongsTo<Vehicle, $this> */
    public function vehicle(): BelongsTo
    {
        return tap($this->belongsTo(Vehicle::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }

    /** @return BelongsTo<User, $this> */
    public function instructor(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<PlannedItem, $this> */
    public function items(): HasMany
    {
        return tap($this->hasMany(PlannedItem::class), fn ($relation) => $relation->orderBy('ordinal'));
    }

    /** @return HasMany<Round, $this> */
    public function rounds(): HasMany
    {
        return tap($this->hasMany(Round::class), fn ($relation) => $relation->orderBy('began_at')->orderByRaw('CAST(rounds.id AS CHAR)'));
    }

    /** @return HasMany<Remedy, $this> */
    public function remedies(): HasMany
    {
        return $this->hasMany(Remedy::class);
    }

    /** @return HasMany<Promise, $this> */
    public function promises(): HasMany
    {
        return $this->hasMany(Promise::class);
    }
}
