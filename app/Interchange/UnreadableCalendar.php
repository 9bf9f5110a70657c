<?php

namespace App\Interchange;

use RuntimeException;

/** What was given as a calendar is none, or none that can be unfolded. */
final class UnreadableCalendar extends RuntimeException
{
}
