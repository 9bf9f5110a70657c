<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Resources\Show;
use App\Models\Picture;
use App\Models\Site;
use App\Sites\PlainJpeg;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** Pictures hung on the roads of a site; seen by the school they belong to and nobody else. */
final class PictureController extends Controller
{
    /** So many at one site: more nobody looks through at a kerb. */
    private const MOST = 20;

    public function index(Site $site): JsonResponse
    {
        $listed = Picture::query()->where('site_id', $site->id)->orderBy('created_at')->orderBy('id')->get(Picture::LISTED);

        return response()->json($listed->map(Show::picture(...)));
    }

    public function show(Picture $picture): JsonResponse
    {
        return response()->json([...Show::picture($picture), 'image' => 'data:image/jpeg;base64,'.$picture->image]);
    }

    public function store(Request $request, Site $site): JsonResponse
    {
        /** @var array{arm: string, image: string, note?: ?string, lines?: list<list<array{float, float}>>} $said */
        $said = $request->validate(Taken::picture());
        $this->refuseStrangeArm($site, $said['arm']);
        if (Picture::query()->where('site_id', $site->id)->count() >= self::MOST) {
            throw ValidationException::withMessages(['image' => 'is one too many: '.self::MOST.' hang at this site. Take one away first.']);
        }
        $jpeg = PlainJpeg::of((string) base64_decode($said['image'], true)) ?? throw ValidationException::withMessages([
            'image' => 'must be a whole JPEG of at most '.PlainJpeg::MOST_PIXELS.' pixels a side.',
        ]);
        $picture = Picture::query()->create([
            ...$said, 'site_id' => $site->id, 'image' => base64_encode($jpeg->bytes), 'width' => $jpeg->width, 'height' => $jpeg->height,
        ]);

        return response()->json(Show::picture($picture), 201);
    }

    public function update(Request $request, Picture $picture): JsonResponse
    {
        /** @var array{arm: string, note?: ?string, lines?: list<list<array{float, float}>>} $said */
        $said = $request->validate(Taken::pictureChanges());
        $this->refuseStrangeArm(Site::withTrashed()->findOrFail($picture->site_id), $said['arm']);
        $picture->update($said);

        return response()->json(Show::picture($picture));
    }

    public function destroy(Picture $picture): Response
    {
        $picture->delete();

        return response()->noContent();
    }

    public function restore(string $picture): JsonResponse
    {
        $found = Picture::withTrashed()->findOrFail($picture);
        $found->restore();

        return response()->json(Show::picture($found));
    }

    /** @throws ValidationException */
    private function refuseStrangeArm(Site $site, string $arm): void
    {
        if (! in_array($arm, array_column($site->arms, 'id'), true)) {
            throw ValidationException::withMessages(['arm' => 'must be one of the roads of the site.']);
        }
    }
}
