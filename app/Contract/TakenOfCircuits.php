<?php

namespace App\Contract;

use Illuminate\Validation\Rule;
use NobleTurn\Core\Circuit\Order;
use NobleTurn\Core\Trade\RoutineCode;

/** What addresses of circuits, test centres and measured drives take. */
final class TakenOfCircuits
{
    private const NAME = ['required', 'string', 'max:120'];

    private const WORDS = ['nullable', 'string', 'max:1000'];

    /** @return array<string, list<mixed>> */
    public static function circuit(): array
    {
        return [
            'name' => self::NAME, 'minutes' => ['required', 'numeric', 'integer', 'between:15,240'], 'order' => ['required', Rule::enum(Order::class)],
            'shared' => ['required', 'boolean'], 'rehearsal' => ['sometimes', 'boolean'], 'note' => ['nullable', 'string', 'max:500'],
            'centre_id' => ['nullable', 'uuid'], ...self::ways(),
        ];
    }

    /** @return array<string, list<mixed>> */
    private static function ways(): array
    {
        return [
            'ways' => ['required', 'array', 'list', 'min:1', 'max:40'], 'ways.*' => ['array:site,from,to,routine,rounds'],
            'ways.*.site' => ['required', 'uuid'],
            'ways.*.from' => ['required', 'string', 'max:20'], 'ways.*.to' => ['required', 'string', 'max:20'],
            'ways.*.routine' => ['required', Rule::enum(RoutineCode::class)], 'ways.*.rounds' => ['required', 'numeric', 'integer', 'between:1,9'],
        ];
    }

    /** @return array<string, list<mixed>> ways in the order driven, from a start and to an end */
    public static function asGpx(): array
    {
        $position = static fn (string $of): array => [
            $of => ['required', 'array:name,latitude_deg,longitude_deg'], "{$of}.name" => self::NAME,
            "{$of}.latitude_deg" => ['required', 'numeric', 'between:-90,90'], "{$of}.longitude_deg" => ['required', 'numeric', 'between:-180,180'],
        ];

        return ['name' => self::NAME, ...$position('start'), ...$position('end'), ...self::ways()];
    }

    /** @return array<string, list<mixed>> ways of sites */
    public static function plans(): array
    {
        return array_diff_key(self::ways(), ['ways.*.rounds' => 0]) + ['ways.*.rounds' => ['sometimes', 'numeric', 'integer', 'between:1,9']];
    }

    /** @return array<string, list<mixed>> a file as a receiver writes it */
    public static function track(): array
    {
        return ['gpx' => ['required', 'string', 'max:8000000'], 'keep' => ['sometimes', 'boolean']];
    }

    /** @return array<string, list<mixed>> */
    public static function centre(): array
    {
        return [
            'name' => self::NAME, ...Taken::position(), 'arrival' => self::WORDS, 'bays' => self::WORDS, 'ways_in_and_out' => self::WORDS,
            'note' => self::WORDS,
            'checks' => ['sometimes', 'array', 'list', 'max:40'], 'checks.*' => ['required', 'string', 'max:300'],
            'traps' => ['sometimes', 'array', 'list', 'max:40'], 'traps.*' => ['array:site,note'], 'traps.*.site' => ['required', 'uuid'],
            'traps.*.note' => ['nullable', 'string', 'max:300'],
        ];
    }
}
