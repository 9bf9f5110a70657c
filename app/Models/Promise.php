<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * What was promised for next time, or given as homework.
 *
 * @property string $learner_id
 * @property string $lesson_id
 * @property 'promise'|'homework' $kind
 * @property string $text
 * @property ?string $routine that the next lesson is to be about, and a step of it
 * @property ?string $step
 * @property ?Carbon $kept_at
 */
final class Promise extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['id', 'learner_id', 'lesson_id', 'kind', 'text', 'routine', 'step', 'kept_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kept_at' => 'datetime'];
    }
}
