<?php

namespace App\Models\Concerns;

use App\School\CurrentSchool;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;

/**
 * A row that belongs to one school. Every query is narrowed to the school of the signed-in user, and every new
 * row is given it; without a school there is nothing to read and nothing can be written.
 *
 * @property string $id
 * @property string $school_id
 */
trait BelongsToSchool
{
    use HasUuids;

    protected static function bootBelongsToSchool(): void
    {
        static::addGlobalScope('school', function (Builder $query): void {
            $query->where($query->getModel()->qualifyColumn('school_id'), app(CurrentSchool::class)->id());
        });
        static::creating(function (self $row): void {
            $row->school_id = app(CurrentSchool::class)->id();
        });
    }
}
