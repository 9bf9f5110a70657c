<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Trade\Side;

/** One thing met or done on the way off a fast road. */
final readonly class LeaveEvent
{
    /** Places closer than this are one place, m. */
    private const ALIKE_M = 0.1;

    public function __construct(
        public LeaveEventKind $kind,
        /** From the beginning of the slip road; negative before it. */
        public float $placeMetres,
        public string $text,
        /** Of a signal. */
        public ?Side $side = null,
        public ?int $gear = null,
    ) {
    }

    public static function inOrder(self $a, self $b): int
    {
        $kinds = LeaveEventKind::cases();

        return round($a->placeMetres / self::ALIKE_M) <=> round($b->placeMetres / self::ALIKE_M)
            ?: array_search($a->kind, $kinds, true) <=> array_search($b->kind, $kinds, true);
    }
}
