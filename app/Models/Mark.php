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
 * @property string $slot the one thing of a round it speaks of: a step, a kind, or one moment; its latest press stands
 * @property ?string $step
 * @property ?string $outcome
 * @property ?string $taught
 * @property ?array<string, string> $conditions of the round, where they are said after it began
 * @property bool $out_of_order
 * @property ?string $fault a kind of fault of its step
 * @property ?string $effect on others
 * @property ?string $note
 * @property ?string $corrects_id
 * @property bool $withdrawn
 * @property bool $after_read a correction of what somebody had read by then
 * @property string $user_id
 * @property Carbon $device_at as the device's clock said
 * @property Carbon $pressed_at as far as the clocks tell: the order in which the log is read
 * @property Carbon $server_at
 * @property Round $round
 */
final class Mark extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $fillable = [
        'id', 'round_id', 'kind', 'slot', 'step', 'outcome', 'taught', 'conditions', 'out_of_order', 'fault', 'effect', 'note', 'corrects_id',
        'withdrawn', 'after_read',
        'user_id', 'device_at', 'pressed_at', 'server_at',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'conditions' => 'array', 'out_of_order' => 'boolean', 'withdrawn' => 'boolean', 'after_read' => 'boolean', 'pressed_at' => 'datetime',
            'device_at' => 'datetime', 'server_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Round, $this> */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }
}
