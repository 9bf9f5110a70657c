<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use DateTimeZone;

/**
 * To whom an hour that has come free is offered first: it has to fit, wishes, drives and all; then it goes by how soon the test is, how long
 * ago the last lesson was, whether the dark is still missing, and how little it makes one drive. How much each weighs is assumed.
 */
final readonly class Offers
{
    /** A test so many days ahead begins to press, and presses by so much on its day. */
    private const TEST_DAYS = 28.0;

    private const TEST = 40.0;

    /** After so many days without a lesson much is lost, and more days lose little more. */
    private const PAUSE_DAYS = 21.0;

    private const PAUSE = 20.0;

    private const DARK = 15.0;

    /** A minute of driving costs as much as a day of pause, about. */
    private const A_MINUTE = 1.0;

    private const A_DAY = 86_400.0;

    private const STEP_MINUTES = 5;

    public function __construct(private DateTimeZone $zone, private ?Sun $sun = null)
    {
    }

    /**
     * @param  Period  $free  the hour, with whatever is free about it
     * @param  list<Waiting>  $waiting
     * @param  Day  $day  what else is on that day
     * @return list<Offer> best first; whom it does not fit is left out
     */
    public function of(Period $free, array $waiting, Day $day): array
    {
        $offers = [];
        foreach ($waiting as $one) {
            $offer = $this->offer($free, $one, $day);
            if ($offer !== null) {
                $offers[] = $offer;
            }
        }
        usort($offers, static fn (Offer $a, Offer $b): int => [$b->worth(), $a->to->id] <=> [$a->worth(), $b->to->id]);

        return $offers;
    }

    private function offer(Period $free, Waiting $one, Day $day): ?Offer
    {
        $best = null;
        foreach ($one->wishes === [] ? [$free] : $this->wished($free, $one) as $within) {
            foreach ($day->gaps($within, $one->seconds, $one->at, $one->at) as $gap) {
                $starts = $gap->first(self::STEP_MINUTES);
                if ($starts === null) {
                    continue;
                }
                // Where they live nobody knows: a day without anything else does not make it known.
                $drive = $one->at === null ? null : $gap->more();
                $offer = new Offer($one, $starts, $gap->latest, $drive, $this->reasons($starts, $drive, $one));
                $best = $best === null || $offer->worth() > $best->worth() ? $offer : $best;
            }
        }

        return $best;
    }

    /** @return list<Period> */
    private function wished(Period $free, Waiting $one): array
    {
        return array_values(array_filter(array_map(fn (Wish $wish): ?Period => $wish->within($free, $this->zone), $one->wishes)));
    }

    /** @return array<string, float> */
    private function reasons(int $starts, ?int $drive, Waiting $one): array
    {
        $days = static fn (int $from, int $until): float => max(0.0, ($until - $from) / self::A_DAY);
        $isDark = $this->sun !== null && $this->sun->light((float) ($starts + $one->seconds)) !== Light::Day;

        return array_filter([
            // A test that is over, or before the hour, presses nobody.
            'test' => $one->testAt === null || $one->testAt <= $starts ? 0.0
                : self::TEST * max(0.0, 1.0 - $days($starts, $one->testAt) / self::TEST_DAYS),
            // Who has never driven waits as long as anybody.
            'pause' => self::PAUSE * ($one->lastAt === null ? 1.0 : min(1.0, $days($one->lastAt, $starts) / self::PAUSE_DAYS)),
            'dark' => $one->needsDark && $isDark ? self::DARK : 0.0,
            'drive' => $drive === null ? 0.0 : -self::A_MINUTE * $drive / 60.0,
        ], static fn (float $worth): bool => $worth !== 0.0);
    }
}
