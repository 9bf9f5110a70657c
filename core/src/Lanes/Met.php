<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

use NobleTurn\Core\Trade\Side;

/** One sign met or step due on the way. */
final readonly class Met
{
    /** @param  list<string>  $mirrors  looks that are due, in order */
    public function __construct(
        public MetKind $kind,
        /** To the line; negative beyond it. */
        public float $atMetres,
        /** To the line; negative after it. */
        public float $seconds,
        public string $text,
        public array $mirrors = [],
        public ?Side $side = null,
        /** On a roundabout: from our arm. */
        public ?float $angleDegrees = null,
        /** The lane moved into. */
        public ?int $toLane = null,
    ) {
    }
}
