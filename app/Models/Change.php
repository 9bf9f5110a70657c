<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Who changed what, and when. Written by the ChangeLog, changed by nothing but an erasure.
 *
 * @property string $user_id who
 * @property Carbon $at
 * @property string $what
 * @property string $kind of the thing
 * @property string $subject_id
 * @property string $name as it was called then
 * @property array<string, mixed> $details
 * @property User $user
 */
final class Change extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $fillable = ['user_id', 'at', 'what', 'kind', 'subject_id', 'name', 'details'];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'datetime', 'details' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
