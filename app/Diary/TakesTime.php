<?php

namespace App\Diary;

use Illuminate\Support\Carbon;
use NobleTurn\Core\Diary\Period;

/** What holds the time of somebody or of a car: a lesson, or whatever else keeps them. */
interface TakesTime
{
    /** @return array<string, string> whose, by `instructor`, `learner` and `car`; nobody’s where it does not hold */
    public function whose(): array;

    public function starts(): Carbon;

    public function ends(): Carbon;

    /** From its beginning to its end, as the core’s diary reads it. */
    public function period(): Period;

    /** The column of `bookings` that names it. */
    public function column(): string;
}
