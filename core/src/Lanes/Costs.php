<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/** What each unwelcome thing counts, in lane changes' worth (all assumed, adjustable). */
final readonly class Costs
{
    public const DEFAULTS = [
        'lane_change' => 3.0,
        'late_change' => 4.0,
        'early_change' => 6.0,
        'blocked_exit' => 8.0,
        'leaving_off_side' => 2.0,
        'no_room_after' => 3.0,
        'turn_soon' => 2.5,
        'change_after' => 1.5,
        'forced_after' => 6.0,
        'against_clock' => 4.0,
        'sector' => 0.1,
    ];

    public const WORDS = [
        'lane_change' => 'a change of lane on the roundabout',
        'late_change' => 'too little way for that change between the exit before and ours',
        'early_change' => 'moving out across those who leave before us',
        'blocked_exit' => 'that lane does not move',
        'leaving_off_side' => 'leaving in another lane than the nearest suitable one',
        'no_room_after' => 'no room to move over after the exit',
        'turn_soon' => 'the wrong side for the turn soon after',
        'change_after' => 'a change of lane before the next {junction}',
        'forced_after' => 'a change for which the way to the next {junction} is too short',
        'against_clock' => 'against the clock rule, where nothing is painted',
        'sector' => 'each stretch between two arms',
    ];

    /** @param  array<string, float>  $values  by name */
    public function __construct(private array $values = [])
    {
    }

    public function of(string $name): float
    {
        return $this->values[$name] ?? self::DEFAULTS[$name];
    }
}
