<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use NobleTurn\Core\Plan\Difficulty;

/**
 * Where roads meet, drawn once; the ways that are used in lessons are places.
 *
 * @property string $name
 * @property string $kind
 * @property string $pack whose law holds there
 * @property ?float $latitude_deg
 * @property ?float $longitude_deg
 * @property ?string $note
 * @property list<array<string, mixed>> $arms as the site tool takes them
 * @property list<array{from: string, to: string, routine: string, note?: ?string, difficulty?: ?string}> $remarks what instructors say of its ways
 * @property list<array{from: string, to: string, routine: string, score: float, words: string, overruled: bool, note: ?string}> $ways as the tool
 *     answered when they were written, and what is said of them
 * @property \Illuminate\Database\Eloquent\Collection<int, Place> $places
 */
final class Site extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['name', 'kind', 'pack', 'latitude_deg', 'longitude_deg', 'note', 'arms', 'remarks', 'ways'];

    protected $attributes = ['remarks' => '[]'];

    /** @return HasMany<Place, $this> the ways through it that lessons use */
    public function places(): HasMany
    {
        return $this->hasMany(Place::class);
    }

    /** @return array{note?: ?string, difficulty?: ?string} what instructors say of a way */
    public function remark(string $from, string $to, string $routine): array
    {
        foreach ($this->remarks as $said) {
            if ([$said['from'], $said['to'], $said['routine']] === [$from, $to, $routine]) {
                return $said;
            }
        }

        return [];
    }

    /** @return array<string, mixed> what the core is asked about it */
    public function asked(): array
    {
        return ['pack' => $this->pack, 'kind' => $this->kind, 'arms' => $this->arms];
    }

    /**
     * How hard a way is: as an instructor says, before what is there.
     *
     * @param  array{overruled: bool, words: string, score: float}  $way  as it is kept
     */
    public static function howHard(array $way): float
    {
        return ($way['overruled'] ? Difficulty::middleOf($way['words']) : null) ?? $way['score'];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['arms' => 'array', 'remarks' => 'array', 'ways' => 'array', 'latitude_deg' => 'float', 'longitude_deg' => 'float'];
    }
}
