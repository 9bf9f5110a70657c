<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A letter to somebody of the school. Where no mail is set up it waits here, and the owner hands it on.
 *
 * @property string $user_id to whom
 * @property 'invitation'|'password' $kind
 * @property string $subject
 * @property ?string $body null where it went by mail
 * @property Carbon $created_at
 * @property Carbon $ends_at from when on its link opens nothing
 * @property User $user
 */
final class Letter extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $fillable = ['user_id', 'kind', 'subject', 'body', 'created_at', 'ends_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['created_at' => 'datetime', 'ends_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
