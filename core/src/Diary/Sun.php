<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use NobleTurn\Core\Site\Position;

/**
 * Where the sun stands over a place. Published: J. Meeus, "Astronomical Algorithms" (1998), chapters 12 and 25, lower accuracy: a hundredth
 * of a degree, which is a few seconds of a sunset at most latitudes. Hills and weather it does not know.
 */
final readonly class Sun
{
    /** Its upper rim on the horizon: 34 minutes of arc of refraction and 16 of its own (published, Meeus, chapter 15). */
    private const RIM_DEG = -0.833;

    /** Civil twilight is over: without lamps nothing is made out (published, the usual definition). */
    private const CIVIL_DEG = -6.0;

    /** 2000-01-01 12:00 UTC, s of the epoch. */
    private const J2000 = 946_728_000;

    private const A_DAY = 86_400;

    /** So often a time is halved until it is known: of half a day nothing is left that a second shows. */
    private const HALVINGS = 24;

    public function __construct(private Position $at)
    {
    }

    /** Degrees over the horizon, refraction left out, at a moment of the epoch. */
    public function altitude(float $moment): float
    {
        $days = ($moment - self::J2000) / self::A_DAY;
        $centuries = $days / 36_525.0;
        $mean = 280.46646 + 36_000.76983 * $centuries + 0.0003032 * $centuries ** 2;
        $anomaly = deg2rad(357.52911 + 35_999.05029 * $centuries - 0.0001537 * $centuries ** 2);
        $centre = (1.914602 - 0.004817 * $centuries) * sin($anomaly)
            + (0.019993 - 0.000101 * $centuries) * sin(2.0 * $anomaly) + 0.000289 * sin(3.0 * $anomaly);
        $node = deg2rad(125.04 - 1_934.136 * $centuries);
        $longitude = deg2rad($mean + $centre - 0.00569 - 0.00478 * sin($node));
        $tilt = deg2rad(23.439291 - 0.0130042 * $centuries + 0.00256 * cos($node));
        $ascension = atan2(cos($tilt) * sin($longitude), cos($longitude));
        $declination = asin(sin($tilt) * sin($longitude));
        $hour = deg2rad(280.46061837 + 360.98564736629 * $days + $this->at->longitudeDegrees) - $ascension;
        $latitude = deg2rad($this->at->latitudeDegrees);

        return rad2deg(asin(max(-1.0, min(1.0, sin($latitude) * sin($declination) + cos($latitude) * cos($declination) * cos($hour)))));
    }

    public function light(float $moment): Light
    {
        $altitude = $this->altitude($moment);

        return match (true) {
            $altitude >= self::RIM_DEG => Light::Day,
            $altitude >= self::CIVIL_DEG => Light::Dusk,
            default => Light::Night,
        };
    }

    /**
     * The day whose noon is nearest: first light, sunrise, sunset and last light, moments of the epoch rounded to seconds; null where the
     * sun does not come so low, or so high, that day.
     *
     * @return array{first_light: ?int, sunrise: ?int, sunset: ?int, last_light: ?int}
     */
    public function day(int $about): array
    {
        $noon = $this->noon($about);

        return [
            'first_light' => $this->crossing($noon - self::A_DAY / 2, $noon, self::CIVIL_DEG),
            'sunrise' => $this->crossing($noon - self::A_DAY / 2, $noon, self::RIM_DEG),
            'sunset' => $this->crossing($noon + self::A_DAY / 2, $noon, self::RIM_DEG),
            'last_light' => $this->crossing($noon + self::A_DAY / 2, $noon, self::CIVIL_DEG),
        ];
    }

    /** When it stands highest within half a day of that. */
    private function noon(int $about): float
    {
        $mean = round(($about + $this->at->longitudeDegrees * 240.0) / self::A_DAY - 0.5) + 0.5;
        $low = $mean * self::A_DAY - $this->at->longitudeDegrees * 240.0 - 2_400.0;
        $high = $low + 4_800.0;
        // Highest within the quarter of an hour by which the sun is early or late over the year, and more.
        for ($round = 0; $round < self::HALVINGS; $round++) {
            [$a, $b] = [$low + ($high - $low) * 0.382, $low + ($high - $low) * 0.618];
            if ($this->altitude($a) < $this->altitude($b)) {
                $low = $a;
            } else {
                $high = $b;
            }
        }

        return ($low + $high) / 2.0;
    }

    /** Between deepest night and noon the sun only climbs, or only sinks. */
    private function crossing(float $night, float $noon, float $altitude): ?int
    {
        if ($this->altitude($night) >= $altitude || $this->altitude($noon) <= $altitude) {
            return null;
        }
        for ($round = 0; $round < self::HALVINGS; $round++) {
            $middle = ($night + $noon) / 2.0;
            if ($this->altitude($middle) < $altitude) {
                $night = $middle;
            } else {
                $noon = $middle;
            }
        }

        return (int) round(($night + $noon) / 2.0);
    }
}
