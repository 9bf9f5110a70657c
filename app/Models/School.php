<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A business that teaches driving.
 *
 * @property string $id
 * @property string $name
 * @property string $time_zone IANA name
 * @property string $pack code of the rule pack
 * @property bool $colleagues_read whether instructors read each other's lessons
 * @property ?int $keep_months how long a learner is kept after the last lesson; null for ever
 * @property ?int $keep_minors_months likewise, where the learner is a minor
 * @property ?float $latitude_deg where it lies
 * @property ?float $longitude_deg
 * @property ?array<string, mixed> $texts what its learners are told, see TextSettings; null where nobody has said so
 * @property array<string, mixed> $practice the practice its plans use by default
 */
final class School extends Model
{
    use HasUuids;

    protected $fillable = ['name', 'time_zone', 'pack', 'practice', 'keep_months', 'keep_minors_months', 'colleagues_read', 'latitude_deg', 'longitude_deg',
        'texts'];

    protected $attributes = ['colleagues_read' => true];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'practice' => 'array', 'colleagues_read' => 'boolean', 'keep_months' => 'integer', 'keep_minors_months' => 'integer', 'latitude_deg' => 'float',
            'longitude_deg' => 'float', 'texts' => 'array',
        ];
    }
}
