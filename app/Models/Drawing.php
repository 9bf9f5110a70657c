<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A page of the bench kept with a place: what its tool was asked, and the address under which it is seen as it was.
 *
 * @property string $place_id
 * @property ?string $lesson_id for the brief of this lesson only
 * @property string $title
 * @property string $page of the bench
 * @property string $state query of its address
 * @property ?array{tool: string, inputs: array<string, mixed>, version: string} $asked null for one of before this was kept: it stays a link
 */
final class Drawing extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['place_id', 'lesson_id', 'title', 'page', 'state', 'asked'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['asked' => 'array'];
    }
}
