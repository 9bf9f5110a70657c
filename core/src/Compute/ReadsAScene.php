<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Fault\InvalidQuantity;

/** A tool that plans a routine at a place: what its fields mean can be constructed without the plan. */
interface ReadsAScene extends Tool
{
    /**
     * The approach, slip road, overtaking or change of lanes that is meant.
     *
     * @throws BadInput where fields contradict each other
     * @throws InvalidQuantity where together they mean something absurd
     */
    public function scene(Values $input): object;
}
