<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;

/**
 * What a learner's marks were last found to say. Can be thrown away: it is made again from them.
 *
 * @property string $learner_id
 * @property string $stands_for what it was computed from
 * @property string $day
 * @property array<string, mixed> $body
 * @property array<string, mixed> $glance the little of it that a page of all learners reads
 * @property ?array<string, mixed> $outlook how far they are from their test and whether they gain; null until it was worked out
 * @property ?string $outlook_for what that was worked out from
 */
final class SkillAnswer extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $primaryKey = 'learner_id';

    protected $keyType = 'string';

    public $incrementing = false;

    protected $fillable = ['learner_id', 'stands_for', 'day', 'body', 'glance', 'outlook', 'outlook_for'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['body' => 'array', 'glance' => 'array', 'outlook' => 'array'];
    }

    /** @return list<string> the learner is the key: none is made up */
    public function uniqueIds(): array
    {
        return [];
    }
}
