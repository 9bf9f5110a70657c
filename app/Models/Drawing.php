<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A page of the bench kept with a place: the tool and the state of its address.
 *
 * @property string $place_id
 * @property ?string $lesson_id for the brief of this lesson only
 * @property string $title
 * @property string $tool page of the bench
 * @property string $state query of its address
 */
final class Drawing extends Model
{
    use BelongsToSchool, SoftDeletes;

    protected $fillable = ['place_id', 'lesson_id', 'title', 'tool', 'state'];
}
