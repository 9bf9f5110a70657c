<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Eloquent\SoftDeletingScope;

/**
 * A road as it is driven and the routine it is good for.
 *
 * @property string $name
 * @property string $routine
 * @property array<string, mixed> $road as `NobleTurn\Core\Road\Road` writes it
 * @property ?string $note
 * @property ?string $site_id the site it is a way through; null for one that was described by itself
 * @property ?string $from_arm
 * @property ?string $to_arm
 * @property ?string $same_as_id the place it turned out to be: what was driven here counts there
 * @property ?Site $site
 * @property \Illuminate\Database\Eloquent\Collection<int, Drawing> $drawings
 */
final class Place extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['name', 'routine', 'road', 'note', 'site_id', 'from_arm', 'to_arm', 'same_as_id'];

    /** @return HasMany<Drawing, $this> */
    public function drawings(): HasMany
    {
        return $this->hasMany(Drawing::class);
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        $site = $this->belongsTo(Site::class);
        // An archived site still says whose law holds there.
        $site->withoutGlobalScope(SoftDeletingScope::class);

        return $site;
    }

    /** @return array<string, mixed> what was measured of its road */
    public function facts(): array
    {
        return array_diff_key($this->road, ['kind' => 0, 'version' => 0]);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['road' => 'array'];
    }
}
