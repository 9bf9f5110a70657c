<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;

/**
 * A test that a learner took, or a mock test.
 *
 * @property string $learner_id
 * @property ?string $lesson_id in which it was driven, where that is known
 * @property 'mock-test'|'test' $kind
 * @property Carbon $taken_at UTC
 * @property string $scheme by which it was marked
 * @property ?string $centre_id
 * @property 'pass'|'fail' $result of a test as it was told; of a mock test as its scheme has it
 * @property list<array{step: string, routine?: ?string, fault?: ?string, effect?: ?string, severity?: ?string, at?: ?string, where?: ?string}> $faults
 * @property ?string $note
 * @property ?float $chance of a real test: how likely it was to be passed, by what was marked before it
 * @property Learner $learner
 * @property ?Centre $centre
 */
final class Assessment extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['learner_id', 'kind', 'taken_at', 'scheme', 'centre_id', 'result', 'faults', 'note', 'chance'];

    protected $attributes = ['faults' => '[]'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['taken_at' => 'datetime', 'faults' => 'array', 'chance' => 'float'];
    }

    /** @return BelongsTo<Learner, $this> */
    public function learner(): BelongsTo
    {
        return tap($this->belongsTo(Learner::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }

    /** @return BelongsTo<Centre, $this> */
    public function centre(): BelongsTo
    {
        return tap($this->belongsTo(Centre::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }
}
