<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Record\MarkLog;
use NobleTurn\Core\Record\StepMark;

/**
 * One press. Append-only: a correction is a new row that points to the one it replaces.
 *
 * @property string $round_id
 * @property 'step'|'held-back-rightly'|'taught'|'moment'|'conditions'|'place'|'decision'|'count' $kind
 * @property string $slot the one thing of a round it speaks of: a step, a kind, or one moment; its latest press stands
 * @property ?string $step
 * @property ?string $stage of the round, where its card has more than one
 * @property ?string $outcome
 * @property ?string $taught
 * @property ?string $decision a right one
 * @property ?string $what the key counted or timed
 * @property ?int $number
 * @property ?float $seconds
 * @property ?array<string, string> $conditions of the round, where they are said after it began
 * @property bool $out_of_order
 * @property ?string $fault a kind of fault of its step
 * @property ?string $effect on others
 * @property ?string $place_id the place of the round, where it is said afterwards
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
        'id', 'round_id', 'kind', 'slot', 'step', 'stage', 'outcome', 'taught', 'decision', 'what', 'number', 'seconds', 'conditions', 'out_of_order',
        'fault', 'effect', 'place_id', 'note', 'corrects_id', 'withdrawn', 'after_read', 'user_id', 'device_at', 'pressed_at', 'server_at',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'conditions' => 'array', 'number' => 'integer', 'seconds' => 'float', 'out_of_order' => 'boolean', 'withdrawn' => 'boolean',
            'after_read' => 'boolean', 'pressed_at' => 'datetime', 'device_at' => 'datetime', 'server_at' => 'datetime',
        ];
    }

    /** What it says of its step. */
    public function ofStep(): StepMark
    {
        return MarkLog::step((object) $this->only(['outcome', 'out_of_order', 'fault', 'effect']));
    }

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return tap($this->belongsTo(Place::class), fn ($relation) => $relation->withoutGlobalScope(SoftDeletingScope::class));
    }

    /** @return BelongsTo<Round, $this> */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }
}
