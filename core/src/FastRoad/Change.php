<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/** One way of changing lane. */
final readonly class Change
{
    public bool $feasible;

    public function __construct(
        public string $kind,
        public float $accelerationMps2,
        /** Speed now, m/s. */
        public float $speedMps,
        public float $endMps,
        /** Until we begin to move over, s. */
        public float $seconds,
        /** Until we are in, m. */
        public float $metres,
        /** Metres in hand to whoever has least; negative: missing. */
        public float $spareMetres,
        public ?float $gapAheadSeconds,
        public ?float $gapBehindSeconds,
        /** Whether it ends where the lane still goes on. */
        public bool $inRoom,
        /** Below those we join, m/s; 0 where it is reached. */
        public float $shortMps = 0.0,
        /** What staying where we are counts; null where we change. */
        private ?float $staying = null,
    ) {
        // Far below those we join nobody changes lane: they would all have to brake.
        $this->feasible = $spareMetres >= 0.0 && $inRoom && $shortMps <= Joining::FAULT_MPS;
    }

    /** Our front after so many seconds, m: the speed changes until it is reached, then it is held. */
    public function metresAt(float $seconds): float
    {
        $changing = $this->accelerationMps2 === 0.0 ? 0.0 : min($seconds, $this->seconds, abs(($this->endMps - $this->speedMps) / $this->accelerationMps2));

        return $this->speedMps * $changing + $this->accelerationMps2 * $changing ** 2 / 2.0 + $this->endMps * ($seconds - $changing);
    }

    /** @return array{time_s: list<float>, ours_m: list<float>, over: list<float>} until two seconds after we are in */
    public function motion(float $step = 0.25): array
    {
        $columns = ['time_s' => [], 'ours_m' => [], 'over' => []];
        for ($t = 0.0, $end = $this->seconds + LaneChange::MOVE_S + 2.0; $t <= $end; $t += $step) {
            $columns['time_s'][] = round($t, 2);
            $columns['ours_m'][] = round($this->metresAt($t), 2);
            $columns['over'][] = $this->staying !== null ? 0.0 : round(min(1.0, max(0.0, ($t - $this->seconds) / LaneChange::MOVE_S)), 3);
        }

        return $columns;
    }

    /** Effort and patience on one scale: a second of waiting counts a tenth of 1 m/s2 (assumed). */
    public function cost(): float
    {
        return $this->staying ?? abs($this->accelerationMps2) + 0.1 * ($this->seconds - LaneChange::CHECKS_S) + max(0.0, $this->shortMps - Joining::GOOD_MPS);
    }
}
