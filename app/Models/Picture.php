<?php

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A picture of a sign, a line or a view, hung on a road of a site.
 *
 * @property string $site_id
 * @property string $arm id of the road
 * @property ?string $note
 * @property int $width pixels
 * @property int $height pixels
 * @property list<list<array{float, float}>> $lines drawn on it, in shares of its width and height
 * @property string $image a JPEG as base64
 */
final class Picture extends Model
{
    use BelongsToSchool, SoftDeletes;

    /** What a list shows: the picture itself is fetched by itself. */
    public const LISTED = ['id', 'school_id', 'site_id', 'arm', 'note', 'width', 'height', 'lines'];

    protected $fillable = ['site_id', 'arm', 'note', 'width', 'height', 'lines', 'image'];

    protected $attributes = ['lines' => '[]'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['lines' => 'array', 'width' => 'integer', 'height' => 'integer'];
    }
}
