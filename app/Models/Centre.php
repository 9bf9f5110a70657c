<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A test centre as the school knows it.
 *
 * @property string $name
 * @property ?float $latitude_deg
 * @property ?float $longitude_deg
 * @property ?string $arrival when and where to be there
 * @property ?string $bays which are used, and how
 * @property ?string $ways_in_and_out
 * @property list<string> $checks asked at the car
 * @property list<array{site: string, note?: ?string}> $traps sites where tests are failed
 * @property ?string $note
 */
final class Centre extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['name', 'latitude_deg', 'longitude_deg', 'arrival', 'bays', 'ways_in_and_out', 'checks', 'traps', 'note'];

    protected $attributes = ['checks' => '[]', 'traps' => '[]'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['checks' => 'array', 'traps' => 'array', 'latitude_deg' => 'float', 'longitude_deg' => 'float'];
    }
}
