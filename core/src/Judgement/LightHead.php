<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Place\WayOut;

/** One of the heads of traffic lights in view: a full light, or an arrow. */
final readonly class LightHead
{
    public function __construct(
        /** Where its arrow points; null for a full light. */
        public ?WayOut $arrow,
        public Shown $shows,
        /** Over or beside another lane than ours. */
        public bool $ofAnotherLane,
    ) {
    }
}
