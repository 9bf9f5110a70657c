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

        return $this->busy($this->drive->seconds($this->drive->metres($from, $to)), $leaving);
    }

    /** The last moment to leave so as to be there; null where one of the places is not known. */
    public function leavingFor(?Position $from, ?Position $to, int $there): ?int
    {
        if ($from === null || $to === null) {
            return null;
        }
        $empty = $this->drive->seconds($this->drive->metres($from, $to));
        $atOnce = $this->busy($empty, $there);
        $isInTime = fn (int $leaving): bool => $leaving + $this->busy($empty, $leaving) <= $there;
        // Most of the day it takes as long whenever one leaves.
        if ($isInTime($there - $atOnce) && ! $isInTime($there - $atOnce + 1)) {
            return $there - $atOnce;
        }
        // Nobody who leaves later is there earlier; and the busiest hour takes so many times what the emptiest does.
        [$early, $late] = [$there - (int) ceil(BusyHours::MOST * $atOnce) - 1, $there];
        while ($late - $early > 1) {
            $middle = intdiv($early + $late, 2);
            if ($isInTime($middle)) {
                $early = $middle;
            } else {
                $late = $middle;
            }
        }

        return $early;
    }

    /** What a drive takes that is begun then, whole seconds; rounded up: nobody is late for a second too many. */
    private function busy(float $seconds, int $leaving): int
    {
        $at = (new DateTimeImmutable("@{$leaving}"))->setTimezone($this->zone);

        return (int) ceil(BusyHours::factor($at) * $seconds - 1e-6);
    }
}
