<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One press. Append-only: a correction is a new row that points to the one it replaces.
 *
 * @property string $round_id
 * @property 'step'|'held-back-rightly'|'taught'|'moment'|'conditions' $kind
 * @property ?string $step
 * @property ?string $outcome
 * @property ?string $taught
 * @property ?array<string, string> $conditions of the round, where they are said after it began
 * @property bool $out_of_order
 * @property ?string $note
 * @property ?string $corrects_id
 * @property bool $withdrawn
 * @property string $user_id
 * @property Carbon $device_at
 * @property Carbon $server_at
 * @property Round $round
 */
final class Mark extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $fillable = ['id', 'round_id', 'kind', 'step', 'outcome', 'taught', 'conditions', 'out_of_order', 'note', 'corrects_id', 'withdrawn', 'user_id', 'device_at', 'server_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['conditions' => 'array', 'out_of_order' => 'boolean', 'withdrawn' => 'boolean', 'device_at' => 'datetime', 'server_at' => 'datetime'];
    }

    /** @return BelongsTo<Round, $this> */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }
}
