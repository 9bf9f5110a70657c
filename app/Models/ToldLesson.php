<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a lesson was last found to tell of its learner. Can be thrown away: it is made again from the marks.
 *
 * @property string $lesson_id
 * @property string $learner_id
 * @property string $stands_for what it was computed from
 * @property Carbon $ended_at
 * @property array<string, mixed> $body
 * @property ?array<string, mixed> $foretold the little of it that a page of the whole school reads
 */
final class ToldLesson extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $primaryKey = 'lesson_id';

    protected $keyType = 'string';

    public $incrementing = false;

    protected $fillable = ['lesson_id', 'learner_id', 'stands_for', 'ended_at', 'body', 'foretold'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['ended_at' => 'datetime', 'body' => 'array', 'foretold' => 'array'];
    }

    /** @return list<string> the lesson is the key: none is made up */
    public function uniqueIds(): array
    {
        return [];
    }
}
