<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

/** How braking feels to those in the car: gentle to 1.5 m/s2, firm from 2.5, hard above 3.5 (common practice, no source). */
enum Braking: string
{
    case Gentle = 'gentle';
    case Moderate = 'moderate';
    case Firm = 'firm';
    case Hard = 'hard';

    /** @param  float  $mps2  deceleration, m/s2 */
    public static function feltAt(float $mps2): self
    {
        return match (true) {
            $mps2 < 1.5 => self::Gentle,
            $mps2 < 2.5 => self::Moderate,
            $mps2 <= 3.5 => self::Firm,
            default => self::Hard,
        };
    }

    /** As it is said of somebody who brakes. */
    public function adverb(): string
    {
        return match ($this) {
            self::Gentle => 'gently',
            self::Moderate => 'moderately',
            self::Firm => 'firmly',
            self::Hard => 'hard',
        };
    }
}
