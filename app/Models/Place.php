<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A junction as it is driven: one approach and the routine it is good for.
 *
 * @property string $name
 * @property string $routine
 * @property array<string, mixed> $approach inputs of the approach tool that belong to the road
 * @property ?string $note
 * @property \Illuminate\Database\Eloquent\Collection<int, Drawing> $drawings
 */
final class Place extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['name', 'routine', 'approach', 'note'];

    /** @return HasMany<Drawing, $this> */
    public function drawings(): HasMany
    {
        return $this->hasMany(Drawing::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['approach' => 'array'];
    }
}
