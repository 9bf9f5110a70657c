<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * A drive that was measured once.
 *
 * @property ?string $from_site_id null: from where the school lies
 * @property ?string $to_site_id null: to where the school lies
 * @property int $time_s
 * @property int $distance_m
 * @property Carbon $driven_at UTC
 */
final class Leg extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['from_site_id', 'to_site_id', 'time_s', 'distance_m', 'driven_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['time_s' => 'integer', 'distance_m' => 'integer', 'driven_at' => 'datetime'];
    }
}
