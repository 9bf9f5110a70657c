<?php

namespace App\Interchange;

use App\Contract\Taken;
use App\Models\Site;
use App\Sites\SiteWays;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Site\Position;
use NobleTurn\Core\Site\SiteKind;

/**
 * Sites as GeoJSON (RFC 7946), out and in: a feature a site, a point where it lies (null where nobody knows), and as properties `name`, `kind`,
 * `pack`, `note`, `arms` as the site tool takes them, and `remarks` on its ways (`docs/schemas/sites-geojson.json`). Coming in, each feature is new,
 * the same as one that is kept, another drawing of one, or refused with its reason; who it is, its name and kind say.
 */
final readonly class SitesGeoJson
{
    /** Two sites nearer each other than this may be one that was drawn twice, m (assumed). */
    private const NEAR_M = 40.0;

    /** No place so near lies farther north or south, degrees: a degree is 110.5 km or more. */
    private const NEAR_DEG = 0.0004;

    /** @param  list<array{line: int, name: string, what: string, message: ?string, site: ?Site, ways: ?SiteWays}>  $rows */
    private function __construct(public array $rows)
    {
    }

    /**
     * @param  iterable<Site>  $sites
     * @return array<string, mixed>
     */
    public static function out(iterable $sites): array
    {
        $features = [];
        foreach ($sites as $site) {
            $features[] = [
                'type' => 'Feature', 'id' => $site->id,
                'geometry' => $site->latitude_deg === null ? null : ['type' => 'Point', 'coordinates' => [$site->longitude_deg, $site->latitude_deg]],
                'properties' => $site->only(['name', 'kind', 'pack', 'note', 'arms', 'remarks']),
            ];
        }

        return ['type' => 'FeatureCollection', 'features' => $features];
    }

    /**
     * What bringing these in would do; nothing is kept yet.
     *
     * @param  list<mixed>  $features
     * @param  Collection<int, Site>  $kept
     */
    public static function read(array $features, Collection $kept, string $pack): self
    {
        $rows = [];
        $names = [];
        foreach ($features as $i => $feature) {
            $properties = is_array($feature) && is_array($feature['properties'] ?? null) ? $feature['properties'] : [];
            $name = is_string($properties['name'] ?? null) ? trim($properties['name']) : '';
            $row = ['line' => $i + 1, 'name' => $name, 'what' => 'refused', 'message' => null, 'site' => null, 'ways' => null];
            try {
                [$site, $ways] = self::site($feature, $properties, $name, $kept, $pack);
                $key = mb_strtolower($name).' '.$site->kind;
                if (isset($names[$key])) {
                    throw ValidationException::withMessages(['name' => "has come before, in line {$names[$key]}."]);
                }
                $names[$key] = $i + 1;
                [$row['site'], $row['ways']] = [$site, $ways];
                $row['what'] = match (true) {
                    ! $site->exists => 'new', $site->isDirty() => 'changed', default => 'same',
                };
                $row['message'] = $site->exists ? null : self::neighbour($site, $kept);
            } catch (ValidationException $refused) {
                $row['message'] = collect($refused->errors())->map(static fn (array $said, string $field): string => "{$field} {$said[0]}")->implode(' ');
            }
            $rows[] = $row;
        }

        return new self($rows);
    }

    public function isWhole(): bool
    {
        return array_filter($this->rows, static fn (array $row): bool => $row['what'] === 'refused') === [];
    }

    /** Keeps all that is new or changed; the ways that lessons use follow. */
    public function keep(): int
    {
        $kept = 0;
        foreach ($this->rows as $row) {
            if ($row['site'] !== null && $row['what'] !== 'same') {
                $row['site']->save();
                $row['ways']?->follow($row['site']->name);
                $kept++;
            }
        }

        return $kept;
    }

    /** @return list<array{line: int, name: string, what: string, message: ?string}> */
    public function shown(): array
    {
        return array_map(static fn (array $row): array => [
            'line' => $row['line'], 'name' => $row['name'], 'what' => $row['what'], 'message' => $row['message'],
        ], $this->rows);
    }

    /**
     * @param  array<mixed>  $properties
     * @param  Collection<int, Site>  $kept
     * @return array{Site, SiteWays}
     *
     * @throws ValidationException
     */
    private static function site(mixed $feature, array $properties, string $name, Collection $kept, string $pack): array
    {
        $kind = is_string($properties['kind'] ?? null) ? SiteKind::tryFrom($properties['kind']) : null;
        $law = $properties['pack'] ?? $pack;
        self::refuseUnless(is_array($feature) && ($feature['type'] ?? null) === 'Feature', 'type', 'must be Feature.');
        self::refuseUnless($name !== '' && mb_strlen($name) <= 160, 'name', 'must be 1 to 160 letters.');
        self::refuseUnless($kind !== null, 'kind', 'must be one of '.implode(', ', array_column(SiteKind::cases(), 'value')).'.');
        self::refuseUnless(is_string($law) && in_array($law, RulePacks::codes(), true), 'pack', 'must be one of '.implode(', ', RulePacks::codes()).'.');
        self::refuseUnless(is_array($properties['arms'] ?? null), 'arms', 'must be a list of roads.');
        $note = $properties['note'] ?? null;
        self::refuseUnless($note === null || (is_string($note) && mb_strlen($note) <= 500), 'note', 'must be text of at most 500 letters.');
        $ofRemarks = array_filter(Taken::site(), static fn (string $field): bool => str_starts_with($field, 'remarks'), ARRAY_FILTER_USE_KEY);
        $remarks = Validator::make(['remarks' => $properties['remarks'] ?? []], $ofRemarks)->validate()['remarks'] ?? [];
        [$longitude, $latitude] = self::point($feature['geometry'] ?? null);
        $site = $kept->first(static fn (Site $one): bool => mb_strtolower($one->name) === mb_strtolower($name) && $one->kind === $kind?->value) ?? new Site;
        $said = ['name' => $name, 'kind' => $kind?->value, 'pack' => $law, 'note' => $note, 'latitude_deg' => $latitude, 'longitude_deg' => $longitude];
        foreach ($said + ['arms' => array_values($properties['arms']), 'remarks' => array_values($remarks)] as $field => $value) {
            // A number that is only written otherwise is no change.
            if ($site->getAttribute($field) != $value) {
                $site->setAttribute($field, $value);
            }
        }
        $ways = SiteWays::of($site);
        if ($site->getAttribute('ways') != $ways->lines()) {
            $site->ways = $ways->lines();
        }

        return [$site, $ways];
    }

    /**
     * @return array{?float, ?float} longitude and latitude, to a tenth of a metre
     *
     * @throws ValidationException
     */
    private static function point(mixed $geometry): array
    {
        if ($geometry === null) {
            return [null, null];
        }
        $at = is_array($geometry) && ($geometry['type'] ?? null) === 'Point' ? $geometry['coordinates'] ?? null : null;
        $isPoint = is_array($at) && array_is_list($at) && count($at) >= 2 && is_numeric($at[0]) && is_numeric($at[1])
            && abs((float) $at[0]) <= 180.0 && abs((float) $at[1]) <= 90.0;
        self::refuseUnless($isPoint, 'geometry', 'must be a Point with longitude and latitude in degrees, or null.');

        return [round((float) $at[0], 6), round((float) $at[1], 6)];
    }

    /** @param  Collection<int, Site>  $kept */
    private static function neighbour(Site $site, Collection $kept): ?string
    {
        if ($site->latitude_deg === null || $site->longitude_deg === null) {
            return null;
        }
        $here = Position::ofDegrees($site->latitude_deg, $site->longitude_deg);
        foreach ($kept as $other) {
            // Farther north or south than that it is not worth the reckoning.
            if ($other->latitude_deg === null || $other->longitude_deg === null || abs($other->latitude_deg - $site->latitude_deg) > self::NEAR_DEG) {
                continue;
            }
            $metres = $here->metresTo(Position::ofDegrees($other->latitude_deg, $other->longitude_deg));
            if ($metres <= self::NEAR_M) {
                return sprintf('lies %.0f m from %s: where it is the same, call it the same before you bring it in.', $metres, $other->name);
            }
        }

        return null;
    }

    /** @throws ValidationException */
    private static function refuseUnless(bool $isRight, string $field, string $sentence): void
    {
        if (! $isRight) {
            throw ValidationException::withMessages([$field => $sentence]);
        }
    }
}
