<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * Somebody who signs in: the owner of a school or an instructor in it.
 *
 * @property string $id
 * @property string $school_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property 'owner'|'instructor' $role
 * @property ?string $pack where it is not the school’s
 * @property array<string, mixed> $practice likewise, question by question
 */
final class User extends Authenticatable
{
    use HasUuids;

    protected $fillable = ['name', 'email', 'password'];

    protected $attributes = ['practice' => '{}'];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'practice' => 'array'];
    }

    /** Kept and compared in small letters. */
    protected function email(): Attribute
    {
        return Attribute::set(static fn (string $email): string => mb_strtolower(trim($email)));
    }

    public function isOwner(): bool
    {
        return $this->role === 'owner';
    }
}
