<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** From behind one way to before another, as somebody has driven it. */
final readonly class MeasuredLeg
{
    public const START = 'start';

    public const END = 'end';

    /**
     * @param  string  $from  id of a way, or START
     * @param  string  $to  id of a way, or END
     * @param  ?float  $metres  null where only the time was taken
     */
    public function __construct(public string $from, public string $to, public float $seconds, public ?float $metres)
    {
    }
}
