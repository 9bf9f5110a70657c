<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

/** What the arms of a site meet at, or what lies along the one road there is. */
enum SiteKind: string
{
    /** A T, a crossroads, lights: any that is driven through without a circle. */
    case Junction = 'junction';
    case Roundabout = 'roundabout';
    case MiniRoundabout = 'mini-roundabout';
    /** A roundabout whose lanes lead outward by their paint, each to the furthest exit painted for it. */
    case Spiral = 'spiral';
    /** On to or off a fast road, one direction of it. */
    case Slip = 'slip';
    /** A length of road on which something is met or done. */
    case Stretch = 'stretch';
    /** Where one pulls up, backs, parks or moves off. */
    case Kerb = 'kerb';

    public function isGoneRound(): bool
    {
        return in_array($this, [self::Roundabout, self::MiniRoundabout, self::Spiral], true);
    }

    /** Whether roads meet here, and lines or lights say who goes. */
    public function isMet(): bool
    {
        return $this === self::Junction || $this->isGoneRound();
    }

    /** @return array{int, int} how many arms it has at the least and at the most */
    public function arms(): array
    {
        return match ($this) {
            self::Junction => [3, 8],
            self::Roundabout, self::MiniRoundabout, self::Spiral => [2, 8],
            self::Slip => [3, 4],
            self::Stretch => [2, 2],
            self::Kerb => [1, 2],
        };
    }

    /** As it is said: "a junction". */
    public function words(): string
    {
        return match ($this) {
            self::Junction, self::Slip, self::Stretch, self::Kerb => "a {$this->value}",
            self::Roundabout, self::MiniRoundabout, self::Spiral => 'a roundabout',
        };
    }
}
