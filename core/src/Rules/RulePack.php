<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Place\Surface;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;

/** What the law and the handbook of a place fix. A practice (the doctrine of an instructor) sits on top of it. */
interface RulePack
{
    public function code(): string;

    /** Grows with every change of a figure or word, so that an old answer can be told from a new one. */
    public function version(): string;

    /** The side of the road traffic keeps to. */
    public function keeps(): Side;

    public function speedUnit(): SpeedUnit;

    /** The limit met in a town where nothing else is known. */
    public function townLimit(): Speed;

    /** The time gap to the vehicle ahead. */
    public function followingGap(Surface $surface): Duration;

    public function followingGapSource(Surface $surface): Source;

    /** Where the number rule of thumb puts the signal for a turn, before the line. */
    public function numberRuleForSignal(Speed $limit): Distance;

    public function numberRuleSource(): Source;
}
