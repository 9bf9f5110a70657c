<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;

/** Joining as it is taught: every way in, the one to take, by where it is decided, and where to look. */
final readonly class JoinPlan
{
    /** A shoulder glance (assumed), s; the last one so long before joining. */
    public const GLANCE_S = 0.5;

    private const LAST_GLANCE_S = 1.5;

    /** Comfortable braking to a stop as the last resort, m/s2 (assumed). */
    private const STOPPING_MPS2 = 2.5;

    /** Joining slower than the traffic by more than this is said, m/s: 10 mph (assumed). */
    private const TOO_SLOW_MPS = 4.47;

    private const STEP_S = 0.25;

    /** @var list<WayIn> */
    public array $waysIn;

    public ?WayIn $best;

    /** What is drawn: the best, or what is simply driven where there is none. */
    public WayIn $shown;

    public JoinRun $run;

    public function __construct(public Joining $joining, private RulePack $pack)
    {
        $this->waysIn = $joining->waysIn();
        $this->best = Joining::best($this->waysIn);
        $this->shown = $this->best ?? new WayIn(null, null, $joining->naturalMps2, $joining->mpsAt($joining->slip->joinAtMetres()), 0.0, null, -1.0, null, 0.0);
        $this->run = JoinRun::of($joining, $this->shown, self::STEP_S);
    }

    /** After it the first of the ways worth choosing closes, m to the end; null where none is open. */
    public function decideByMetres(): ?float
    {
        // A way in that joins at a crawl is open, but nobody would wait to decide for it.
        $open = array_filter($this->waysIn, fn (WayIn $wayIn): bool => $wayIn->feasible && ($wayIn === $this->best || ! $this->isSlow($wayIn->endMps)));

        return $open === [] ? null : max(array_map(static fn (WayIn $wayIn): float => $wayIn->latestMetres ?? 0.0, $open));
    }

    /** Last resort only: where braking to a stop must begin, m to the end. */
    public function stopFromMetres(): float
    {
        return min($this->joining->slip->lengthMetres, $this->shown->endMps ** 2 / (2.0 * self::STOPPING_MPS2));
    }

    /** What the car has reached at the end of the length that counts with the gas fully down. */
    public function reachedMetresPerSecond(): float
    {
        return $this->joining->fullGas->mpsAfterMetres($this->joining->slip->countsMetres());
    }

    /** Whether the car is too slow for the road even so. */
    public function isTooSlowForTheRoad(): bool
    {
        return $this->isSlow($this->reachedMetresPerSecond());
    }

    /** Whether the best way in is slow although the car could be faster. */
    public function joinsSlowly(): bool
    {
        return $this->best !== null && $this->isSlow($this->best->endMps) && ! $this->isTooSlowForTheRoad();
    }

    /** @return array{behind_of: ?string, ahead_of: ?string} the neighbours on both sides where we join */
    public function between(WayIn $wayIn): array
    {
        $ours = $this->joining->slip->chooseFromMetres() - $this->joining->slip->joinAtMetres();
        $near = ['behind_of' => [null, INF], 'ahead_of' => [null, INF]];
        foreach ($this->joining->seen as $other) {
            $by = $other->frontMetresAt($wayIn->seconds) - $ours;
            $side = $by >= 0.0 ? 'behind_of' : 'ahead_of';
            if (abs($by) < $near[$side][1]) {
                $near[$side] = [$other->name, abs($by)];
            }
        }

        return ['behind_of' => $near['behind_of'][0], 'ahead_of' => $near['ahead_of'][0]];
    }

    /** @return list<Glance> in their order */
    public function glances(): array
    {
        $slip = $this->joining->slip;
        $off = Flank::Off->side($this->pack)->value;
        $first = min($slip->viewFromMetres, $slip->lengthMetres);
        $last = min($first, $slip->joinAtMetres() + self::LAST_GLANCE_S * $this->joining->mpsAt($slip->joinAtMetres()));

        return [
            $this->glance($slip->lengthMetres, "{$off}-mirror", Wording::part($this->pack, 'it shows only the {slip road} itself at first')),
            $this->glance($first, "{$off}-shoulder", 'as soon as the main road can be seen, wheel straight'),
            $this->glance(($first + $last) / 2.0, "{$off}-shoulder", 'a second one, to judge their speed'),
            $this->glance($last, "{$off}-shoulder", 'the last, just before joining'),
        ];
    }

    private function glance(float $place, string $at, string $why): Glance
    {
        return new Glance($place, $this->run->secondsAt($place), $at, self::GLANCE_S * $this->run->mpsAt($place), $why);
    }

    private function isSlow(float $speed): bool
    {
        return $speed < $this->joining->mainMps - self::TOO_SLOW_MPS;
    }
}
