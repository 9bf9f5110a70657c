<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

/**
 * Speed over the last stretch to the line, as segments of constant deceleration in driving order.
 * Places are metres to the line, times are seconds to go; both are 0 at the line. Before its first
 * segment the car is taken to have come at that segment's speed for ever.
 */
final readonly class Profile
{
    /** @var list<float> metres to go at the end of each segment */
    private array $endMetres;

    /** @var list<float> seconds to go at the end of each segment */
    private array $endSeconds;

    /** @param  non-empty-list<Segment>  $segments */
    private function __construct(public array $segments)
    {
        $metres = $seconds = 0.0;
        $ends = ['m' => [], 's' => []];
        for ($i = count($segments) - 1; $i >= 0; $i--) {
            $ends['m'][$i] = $metres;
            $ends['s'][$i] = $seconds;
            $metres += $segments[$i]->metres;
            $seconds += $segments[$i]->seconds;
        }
        $this->endMetres = array_reverse(array_values($ends['m']));
        $this->endSeconds = array_reverse(array_values($ends['s']));
    }

    /** @param  non-empty-list<Segment>  $segments in driving order, each beginning at the speed the one before ends with */
    public static function of(array $segments): self
    {
        return new self($segments);
    }

    public function approachMps(): float
    {
        return $this->segments[0]->entryMps;
    }

    public function lineMps(): float
    {
        return $this->segments[count($this->segments) - 1]->exitMps;
    }

    public function mpsAt(float $metres): float
    {
        $i = $this->segmentAtMetres($metres);

        return $i === null ? $this->approachMps() : $this->segments[$i]->mpsWithMetresLeft($metres - $this->endMetres[$i]);
    }

    public function mps2At(float $metres): float
    {
        $i = $this->segmentAtMetres($metres);

        return $i === null ? 0.0 : $this->segments[$i]->decelerationMps2;
    }

    public function secondsAt(float $metres): float
    {
        $i = $this->segmentAtMetres($metres);
        if ($i !== null) {
            return $this->endSeconds[$i] + $this->segments[$i]->secondsForMetresLeft($metres - $this->endMetres[$i]);
        }

        return $this->lengthInSeconds() + ($metres - $this->lengthInMetres()) / $this->approachMps();
    }

    public function metresAt(float $seconds): float
    {
        foreach ($this->segments as $i => $segment) {
            if ($seconds >= $this->endSeconds[$i] && $seconds <= $this->endSeconds[$i] + $segment->seconds) {
                return $this->endMetres[$i] + $segment->metresForSecondsLeft($seconds - $this->endSeconds[$i]);
            }
        }

        return $seconds <= 0.0 ? 0.0 : $this->lengthInMetres() + ($seconds - $this->lengthInSeconds()) * $this->approachMps();
    }

    /** The last place, seen from far, at which the car is not slower than this; 0 where it never gets slower. */
    public function metresWhereSpeedFallsTo(float $speed): float
    {
        foreach ($this->segments as $i => $segment) {
            if ($segment->exitMps < $speed && $segment->entryMps >= $speed) {
                return $this->endMetres[$i] + ($speed ** 2 - $segment->exitMps ** 2) / (2.0 * $segment->decelerationMps2);
            }
        }

        return $this->approachMps() < $speed ? $this->lengthInMetres() : 0.0;
    }

    /** From where the car is as slow as it has to be, at the line or at what comes before it; 0 where it only stops there. */
    public function crawlMetres(): float
    {
        $first = $this->firstCrawl();

        return $first === null ? 0.0 : $this->endMetres[$first] + $this->segments[$first]->metres;
    }

    /** The speed reached there, m/s. */
    public function crawlMps(): float
    {
        $first = $this->firstCrawl();

        return $first === null ? $this->lineMps() : $this->segments[$first]->entryMps;
    }

    private function firstCrawl(): ?int
    {
        foreach ($this->segments as $i => $segment) {
            if ($segment->phase === Phase::Crawl) {
                return $i;
            }
        }

        return null;
    }

    public function peakMps2(): float
    {
        return max(array_map(static fn (Segment $segment): float => $segment->decelerationMps2, $this->segments));
    }

    public function lengthInMetres(): float
    {
        return $this->endMetres[0] + $this->segments[0]->metres;
    }

    public function lengthInSeconds(): float
    {
        return $this->endSeconds[0] + $this->segments[0]->seconds;
    }

    /**
     * Columns to draw from: an even step in time plus every point where the deceleration changes, so that straight
     * lines between the speeds over time are exact. Each deceleration holds until the next.
     *
     * @return array{list<float>, list<float>, list<float>, list<float>} seconds, metres, speeds and decelerations, from far to the line
     */
    public function columns(float $fromMetres, float $stepSeconds): array
    {
        $moments = $this->moments($this->secondsAt($fromMetres), $stepSeconds);
        [$metres, $speeds, $decelerations] = [[], [], []];
        // Moments come from far to near: each falls in the segment of the one before, or in one behind it; in none while the first is still ahead.
        [$here, $after, $last, $far] = [-1, -1, count($this->segments) - 1, $this->lengthInSeconds()];
        [$length, $approach] = [$this->lengthInMetres(), $this->approachMps()];
        foreach ($moments as $i => $seconds) {
            $between = ($seconds + ($moments[$i + 1] ?? $seconds)) / 2.0;
            for ($here = $seconds > $far ? -1 : max(0, $here); $here >= 0 && $here < $last && $seconds < $this->endSeconds[$here]; $here++) {
            }
            for ($after = $between > $far ? -1 : max(0, $after); $after >= 0 && $after < $last && $between < $this->endSeconds[$after]; $after++) {
            }
            if ($here < 0) {
                $metres[] = $length + ($seconds - $far) * $approach;
                $speeds[] = $approach;
            } else {
                $segment = $this->segments[$here];
                $left = $seconds - $this->endSeconds[$here];
                $metres[] = $this->endMetres[$here] + $segment->metresForSecondsLeft($left);
                $speeds[] = $segment->exitMps + $segment->decelerationMps2 * $left;
            }
            $decelerations[] = $after < 0 ? 0.0 : $this->segments[$after]->decelerationMps2;
        }

        return [$moments, $metres, $speeds, $decelerations];
    }

    /** @return list<float> seconds to go, from far to 0, none nearer to the one before than a millisecond */
    private function moments(float $first, float $stepSeconds): array
    {
        $moments = [$first, 0.0];
        for ($t = ceil($first / $stepSeconds) * $stepSeconds - $stepSeconds; $t > 0.0; $t -= $stepSeconds) {
            $moments[] = $t;
        }
        foreach ($this->endSeconds as $i => $seconds) {
            array_push($moments, $seconds, $seconds + $this->segments[$i]->seconds);
        }
        rsort($moments);
        $kept = [];
        $last = INF;
        foreach ($moments as $t) {
            if ($t <= $first && $last - $t > 0.001) {
                $kept[] = $last = $t;
            }
        }
        if ($last > 0.0) {
            $kept[] = 0.0;
        }

        return $kept;
    }

    private function segmentAtMetres(float $metres): ?int
    {
        foreach ($this->segments as $i => $segment) {
            if ($metres >= $this->endMetres[$i] && $metres <= $this->endMetres[$i] + $segment->metres) {
                return $i;
            }
        }

        return null;
    }
}
