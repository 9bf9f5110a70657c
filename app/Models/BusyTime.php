<?php

namespace App\Models;

use App\Diary\TakesTime;
use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Diary\Period;

/**
 * Time that is taken by no lesson: an instructor is busy, a learner has their test, a car is away.
 *
 * @property 'busy'|'test'|'away' $kind
 * @property ?string $instructor_id who is busy, or takes somebody to their test
 * @property ?string $learner_id whose test it is
 * @property ?string $vehicle_id which is driven in a test, or is away
 * @property ?string $centre_id where a test is
 * @property ?string $title a word for it
 * @property Carbon $starts_at UTC
 * @property Carbon $ends_at UTC
 * @property ?User $instructor
 * @property ?Learner $learner
 * @property ?Vehicle $vehicle
 * @property ?Centre $centre
 */
final class BusyTime extends Model implements TakesTime
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['kind', 'instructor_id', 'learner_id', 'vehicle_id', 'centre_id', 'title', 'starts_at', 'ends_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['starts_at' => 'datetime', 'ends_at' => 'datetime'];
    }

    public function whose(): array
    {
        return $this->trashed() ? [] : array_filter(['instructor' => $this->instructor_id, 'learner' => $this->learner_id, 'car' => $this->vehicle_id]);
    }

    public function starts(): Carbon
    {
        return $this->starts_at->copy();
    }

    public function ends(): Carbon
    {
        return $this->ends_at->copy();
    }

    public function period(): Period
    {
        return new Period($this->starts_at->getTimestamp(), $this->ends_at->getTimestamp());
    }

    public function column(): string
    {
        return 'busy_time_id';
    }

    /** @return BelongsTo<User, $this> */
    public function instructor(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Learner, $this> */
    public function learner(): BelongsTo
    {
        return tap($this->belongsTo(Learner::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }

    /** @return BelongsTo<Vehicle, $this> */
    public function vehicle(): BelongsTo
    {
        return tap($this->belongsTo(Vehicle::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }

    /** @return BelongsTo<Centre, $this> */
    public function centre(): BelongsTo
    {
        return tap($this->belongsTo(Centre::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }
}
