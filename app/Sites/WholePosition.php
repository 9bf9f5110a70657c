<?php

namespace App\Sites;

use Illuminate\Validation\ValidationException;

/** A place lies at a latitude and a longitude, or it is not known where it lies. */
final class WholePosition
{
    /**
     * What was said, as it was said.
     *
     * @param  array<string, mixed>  $said
     * @param  string  $of  what the two names begin with
     * @return array<string, mixed>
     *
     * @throws ValidationException where one of the two is missing
     */
    public static function of(array $said, string $of = ''): array
    {
        [$latitude, $longitude] = [$said["{$of}latitude_deg"] ?? null, $said["{$of}longitude_deg"] ?? null];
        if (($latitude === null) !== ($longitude === null)) {
            throw ValidationException::withMessages([$of.($latitude === null ? 'latitude_deg' : 'longitude_deg') => 'is missing: a place lies at both.']);
        }

        return $said;
    }
}
