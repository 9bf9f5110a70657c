<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use DateTimeImmutable;
use DateTimeZone;
use NobleTurn\Core\Circuit\BusyHours;
use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Site\Position;

/** How long the instructor drives from one address to another, by the clock on the wall there; estimated, as circuits are. */
final readonly class Travel
{
    public function __construct(private DateTimeZone $zone, private Drive $drive = new Drive)
    {
    }

    /**
     * @param  int  $leaving  moment of the epoch
     * @return ?int whole seconds, rounded up; null where one of the places is not known
     */
    public function seconds(?Position $from, ?Position $to, int $leaving): ?int
    {
        if ($from === null || $to === null) {
            return null;
        }
        $at = (new DateTimeImmutable("@{$leaving}"))->setTimezone($this->zone);

        return (int) ceil(BusyHours::factor($at) * $this->drive->seconds($this->drive->metres($from, $to)) - 1e-6);
    }

    /** The last moment to leave so as to be there; null where one of the places is not known. */
    public function leavingFor(?Position $from, ?Position $to, int $there): ?int
    {
        $atOnce = $this->seconds($from, $to, $there);
        if ($atOnce === null || $atOnce === 0) {
            return $atOnce === null ? null : $there;
        }
        // Nobody who leaves later is there earlier; and the busiest hour takes so many times what the emptiest does.
        [$early, $late] = [$there - (int) ceil(BusyHours::MOST * $atOnce) - 1, $there];
        while ($late - $early > 1) {
            $middle = intdiv($early + $late, 2);
            if ($middle + $this->seconds($from, $to, $middle) <= $there) {
                $early = $middle;
            } else {
                $late = $middle;
            }
        }

        return $early;
    }
}
