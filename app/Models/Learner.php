<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * @property string $name
 * @property ?string $phone
 * @property ?string $email
 * @property ?string $pick_up
 * @property ?float $pick_up_latitude_deg where that is
 * @property ?float $pick_up_longitude_deg
 * @property ?Carbon $licence_seen_on
 * @property ?Carbon $eyesight_checked_on
 * @property 'manual'|'automatic' $transmission
 * @property 'beginner'|'developing'|'independent' $level
 * @property ?string $pack where it is not the school’s or the instructor’s
 * @property array<string, mixed> $practice likewise, question by question
 * @property ?Carbon $marks_read_at when somebody last read what the marks say
 * @property ?Carbon $marks_came_at when the server last took one in
 * @property ?Carbon $erased_at from when on nobody is named here any more
 * @property ?Carbon $keep_until not erased before this day, whatever the school's setting says
 * @property bool $wants_texts whether they are told of their lessons by text
 * @property bool $is_minor
 * @property ?string $guardian_name
 * @property ?string $guardian_contact
 * @property ?Carbon $guardian_consent_on
 * @property list<array{what: string, where: string, vehicle_id?: ?string}> $reference_points what the driver sees against what, in which car
 */
final class Learner extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = [
        'name', 'phone', 'email', 'pick_up', 'pick_up_latitude_deg', 'pick_up_longitude_deg', 'licence_seen_on', 'eyesight_checked_on', 'transmission', 'level',
        'is_minor', 'guardian_name', 'guardian_contact', 'guardian_consent_on', 'reference_points', 'pack', 'practice', 'keep_until',
        'wants_texts',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'licence_seen_on' => 'date', 'eyesight_checked_on' => 'date', 'guardian_consent_on' => 'date',
            'marks_read_at' => 'datetime', 'marks_came_at' => 'datetime', 'erased_at' => 'datetime', 'keep_until' => 'date', 'is_minor' => 'boolean',
            'reference_points' => 'array', 'wants_texts' => 'boolean', 'practice' => 'array', 'pick_up_latitude_deg' => 'float',
            'pick_up_longitude_deg' => 'float',
        ];
    }

    protected $attributes = ['reference_points' => '[]', 'practice' => '{}', 'is_minor' => false, 'wants_texts' => true];

    /** @return HasMany<Lesson, $this> */
    public function lessons(): HasMany
    {
        return $this->hasMany(Lesson::class);
    }

    /** @return HasMany<Promise, $this> */
    public function promises(): HasMany
    {
        return $this->hasMany(Promise::class);
    }
}
