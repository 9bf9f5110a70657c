<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What an instructor says against the marks, with a reason. Kept beside them; taken back, never erased.
 *
 * @property string $learner_id
 * @property string $user_id
 * @property string $routine
 * @property string $step
 * @property string $level
 * @property string $reason
 * @property ?Carbon $withdrawn_at
 * @property Carbon $created_at
 * @property User $user
 */
final class Overruling extends Model
{
    use BelongsToSchool;

    protected $fillable = ['learner_id', 'user_id', 'routine', 'step', 'level', 'reason', 'withdrawn_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['withdrawn_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
