<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Quantity\Speed;
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

    private const STEP_S = 0.25;

    /** @var list<WayIn> */
    public array $waysIn;

    /** With room, and within 10 mph of the traffic; null where there is none. */
    public ?WayIn $best;

    /** What is drawn: the best; else what has room and is slow; else what is simply driven. */
    public WayIn $shown;

    public JoinRun $run;

    /** Why no way in is good although there is room for one, and the way out; null where that is not so. */
    public ?string $faultOfSlip;

    /** @param  ?Neighbour  $leader  ahead of us on the slip, as seen from its beginning */
    public function __construct(public Joining $joining, private RulePack $pack, private ?Neighbour $leader = null)
    {
        $this->waysIn = $joining->waysIn();
        $this->best = Joining::best($this->waysIn);
        $this->shown = $this->best ?? $this->slowly() ?? $joining->natural();
        $this->faultOfSlip = $this->saidFault();
        $this->run = JoinRun::of($joining, $this->shown, self::STEP_S);
    }

    /** After it the first of the ways worth choosing closes, m to the end; null where none is open. */
    public function decideByMetres(): ?float
    {
        // A way in that joins at a crawl is open, but nobody would wait to decide for it.
        $open = array_filter($this->waysIn, static fn (WayIn $wayIn): bool => $wayIn->isGood());

        return $open === [] ? null : max(array_map(static fn (WayIn $wayIn): float => $wayIn->latestMetres ?? 0.0, $open));
    }

    /** Last resort only: where braking to a stop must begin, m to the end. */
    public function stopFromMetres(): float
    {
        return min($this->joining->slip->lengthMetres, $this->shown->drive->endMps ** 2 / (2.0 * self::STOPPING_MPS2));
    }

    /** What the car has reached at the end of the length that counts with the {accelerator} fully down. */
    public function reachedMetresPerSecond(): float
    {
        return $this->joining->fullGas->mpsAfterMetres($this->joining->slip->countsMetres());
    }

    /** Whether the car is too slow for the road even so. */
    public function isTooSlowForTheRoad(): bool
    {
        return $this->reachedMetresPerSecond() < $this->joining->mainMps - Joining::FAULT_MPS;
    }

    /** Whether the best way in is a little slow although the car could be faster. */
    public function joinsSlowly(): bool
    {
        return $this->best !== null && $this->best->shortMps > Joining::GOOD_MPS && ! $this->isTooSlowForTheRoad();
    }

    /** Those on the main road drive slower than we come. */
    public function isIntoSlowerTraffic(): bool
    {
        return $this->joining->mainMps < $this->joining->entryMps - 0.5;
    }

    private function saidFault(): ?string
    {
        $slow = $this->slowly();
        if ($this->best !== null || ($slow === null && ! $this->isTooSlowForTheRoad())) {
            return null;
        }
        $words = fn (float $mps): string => $this->pack->speedUnit()->words(Speed::ofMetresPerSecond($mps));
        $reached = $slow?->drive->endMps ?? $this->reachedMetresPerSecond();
        $between = $slow === null ? null : $this->between($slow)['behind_of'];
        $entry = $this->joining->entryThatDoesMps();
        $said = $this->isTooSlowForTheRoad()
            ? 'The {slip road} is too short for us: with the {accelerator} fully down it'
            : 'Among those seen there is room only at a speed nobody should join at: the least slow way in'.($between === null ? '' : ", behind {$between},");

        return Wording::in($this->pack, "{$said} ends at {$words($reached)} where the traffic drives {$words($this->joining->mainMps)}.")
            .($entry === null ? '' : ' '.Wording::in($this->pack, "Begin the {slip road} at {$words($entry)} or more where its limit allows."))
            .' Otherwise slow down early, even stop before the end, and wait for a long gap: who joins gives way. It costs the speed one needs.';
    }

    /** What the driver does, as it is said. */
    public function message(): string
    {
        if ($this->best === null) {
            return $this->faultOfSlip ?? Wording::in($this->pack, 'No gap has room on both sides: off the {accelerator} now, and look again.');
        }
        $words = $this->pack->speedUnit()->words(Speed::ofMetresPerSecond($this->best->drive->endMps));
        $between = $this->between($this->best);
        $where = array_filter([
            $between['behind_of'] === null ? null : "behind {$between['behind_of']}", $between['ahead_of'] === null ? null : "ahead of {$between['ahead_of']}",
        ]);

        return ucfirst($where === [] ? 'nobody is near' : implode(', ', $where)).': '.$this->how($this->best->drive)." and join at {$words}.";
    }

    private function how(TwoParts $drive): string
    {
        $does = static fn (float $mps2): string => match (true) {
            $mps2 > 0.05 => 'gain speed', $mps2 < -Room::MOST_EASING - 0.05 => 'brake', $mps2 < -0.05 => 'ease off', default => 'hold the speed'
        };
        $turn = $this->pack->lengthUnit()->place(round($this->joining->slip->chooseFromMetres() - $drive->firstMetres));

        return $drive->turns() ? "{$does($drive->firstMps2)} until {$turn} before the end, then {$does($drive->thenMps2)}" : $does($drive->firstMps2);
    }

    /**
     * What would change once one of those who seem about to do something had done it.
     *
     * @return ?WayIn the best way in without them; null where nothing changes
     */
    public function without(Neighbour $one): ?WayIn
    {
        $others = array_values(array_filter($this->joining->seen, static fn (Neighbour $other): bool => $other !== $one));
        $joining = new Joining(
            $this->joining->slip, $this->joining->vehicle, $this->joining->gear, $this->joining->entryMps, $this->joining->mainMps, $this->joining->limitMps,
            $this->joining->room, $others,
        );
        $best = Joining::best($joining->waysIn());

        return $best === null || ($this->best !== null && $best->cost() > $this->best->cost() - 0.1) ? null : $best;
    }

    /** So far behind the car ahead of us on the slip one first falls back, m, reckoned with it at a steady speed; 0 where there is room. */
    public function holdBackMetres(): float
    {
        if ($this->leader === null) {
            return 0.0;
        }
        $most = 0.0;
        ['time_s' => $times, 'distance_m' => $places, 'speed_mps' => $speeds] = $this->run->columns;
        foreach ($times as $i => $seconds) {
            if ($places[$i] >= $this->joining->slip->joinAtMetres()) {
                $driven = $this->joining->slip->lengthMetres - $places[$i];
                $room = $this->leader->frontMetresAt($seconds) - $this->leader->lengthMetres - $driven;
                $most = max($most, $this->joining->room->behindMetres($speeds[$i]) - $room);
            }
        }

        return $most;
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

    /** As soon as the main road is seen the signal is meant for joining it, whatever limit still holds. */
    public function signalMetres(): float
    {
        return min($this->joining->slip->viewFromMetres, $this->joining->slip->lengthMetres);
    }

    /** @return list<Glance> in their order */
    public function glances(): array
    {
        $slip = $this->joining->slip;
        $off = Flank::Off->side($this->pack)->value;
        $first = min($slip->viewFromMetres, $slip->lengthMetres);
        $last = min($first, $slip->joinAtMetres() + self::LAST_GLANCE_S * $this->joining->mpsAt($slip->joinAtMetres()));
        $room = $this->leader === null ? '' : ', with the room for it to the car ahead';

        return [
            $this->glance($slip->lengthMetres, "{$off}-mirror", Wording::part($this->pack, 'it shows only the {slip road} itself at first')),
            $this->glance($first, "{$off}-shoulder", "as soon as the main road can be seen, wheel straight{$room}"),
            $this->glance(($first + $last) / 2.0, "{$off}-shoulder", 'a second one, to judge their speed'),
            $this->glance($last, "{$off}-shoulder", 'the last, just before joining'),
        ];
    }

    private function glance(float $place, string $at, string $why): Glance
    {
        return new Glance($place, $this->run->secondsAt($place), $at, self::GLANCE_S * $this->run->mpsAt($place), $why);
    }

    /** With room, at a speed nobody should join at. */
    private function slowly(): ?WayIn
    {
        return Joining::cheapest(array_filter($this->waysIn, static fn (WayIn $wayIn): bool => $wayIn->feasible));
    }
}
