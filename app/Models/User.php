<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use NobleTurn\Core\Diary\WorkingDay;

/**
 * Somebody who signs in: the owner of a school or an instructor in it.
 *
 * @property string $id
 * @property string $school_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property 'owner'|'instructor' $role
 * @property School $school
 * @property ?Carbon $joined_at when a password was chosen; null while only invited
 * @property ?Carbon $suspended_at
 * @property ?string $pack where it is not the school’s
 * @property array<string, mixed> $practice likewise, question by question
 * @property ?string $calendar_key SHA-256 of the secret in the address at which their calendar reads their diary
 * @property 'all'|'adults'|'nobody' $calendar_names whose names stand there
 * @property string $works_from `08:00` by the clock of the school
 * @property string $works_until
 * @property ?int $most_minutes of lessons on a day; null where there is no limit
 */
final class User extends Authenticatable
{
    use HasUuids;

    protected $fillable = ['name', 'email', 'password'];

    protected $attributes = ['practice' => '{}', 'works_from' => '08:00', 'works_until' => '20:00'];

    protected $hidden = ['password', 'remember_token', 'calendar_key'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'practice' => 'array', 'joined_at' => 'datetime', 'suspended_at' => 'datetime', 'most_minutes' => 'integer'];
    }

    /** Kept and compared in small letters. */
    protected function email(): Attribute
    {
        return Attribute::set(static fn (string $email): string => mb_strtolower(trim($email)));
    }

    public function workingDay(): WorkingDay
    {
        return new WorkingDay($this->works_from, $this->works_until, $this->most_minutes);
    }

    /** Somebody who is asked to join: nobody knows the password until a letter's way in is used. */
    public static function invited(string $name, string $email, string $role, string $schoolId): self
    {
        $person = new self(['name' => $name, 'email' => $email, 'password' => Str::random(60)]);
        $person->school_id = $schoolId;
        $person->role = $role === 'owner' ? 'owner' : 'instructor';
        $person->save();

        return $person->refresh();
    }

    /** @return BelongsTo<School, $this> */
    public function school(): BelongsTo
    {
        return $this->belongsTo(School::class);
    }

    public function isOwner(): bool
    {
        return $this->role === 'owner';
    }

    public function isSuspended(): bool
    {
        return $this->suspended_at !== null;
    }
}
