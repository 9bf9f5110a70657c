<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * @property string $name
 * @property 'manual'|'automatic' $transmission
 * @property 'standard'|'hand' $controls
 * @property float $length_m
 * @property float $width_m
 * @property array<string, mixed> $figures further fields of the core's vehicle, where they are known
 */
final class Vehicle extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['name', 'transmission', 'controls', 'length_m', 'width_m', 'figures'];

    protected $attributes = ['figures' => '{}'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['length_m' => 'float', 'width_m' => 'float', 'figures' => 'array'];
    }

    /** @return array<string, mixed> as the core's tools read it */
    public function forCore(): array
    {
        return [
            ...$this->figures,
            'name' => $this->name, 'transmission' => $this->transmission, 'controls' => $this->controls,
            'length_m' => $this->length_m, 'width_m' => $this->width_m,
        ];
    }
}
