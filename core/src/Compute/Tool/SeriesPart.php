<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\FastRoad\JoinPlan;
use NobleTurn\Core\FastRoad\LeaveEvent;
use NobleTurn\Core\FastRoad\LeavePlan;
use NobleTurn\Core\Plan\ApproachPlan;
use NobleTurn\Core\Plan\Between;
use NobleTurn\Core\Routine\WhoWaits;
use NobleTurn\Core\Series\Ahead;
use NobleTurn\Core\Series\Passed;

/** One of a row, planned with what the one before leaves it. */
final readonly class SeriesPart
{
    /**
     * @param  'approach'|'join'|'leave'  $tool
     * @param  float  $distanceMetres  from the end of the one before to where it begins
     * @param  float  $lengthMetres  of its slip road; 0 of a line
     * @param  list<WhoWaits>  $waits
     * @param  ?Between  $between  how it follows the one before; null of the first, and so the message
     * @param  float  $roomMetres  from where the one before is over
     * @param  list<LeaveEvent>  $events  of a way off, as there is room for them
     */
    public function __construct(
        public string $tool,
        public float $distanceMetres,
        public float $lengthMetres,
        public ApproachPlan|JoinPlan|LeavePlan $plan,
        public Ahead $ahead,
        public Passed $passed,
        public array $waits,
        public ?Between $between = null,
        public ?string $message = null,
        public float $roomMetres = 0.0,
        public array $events = [],
    ) {
    }
}
