<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Approaches drawn from the whole input space by a seeded generator: a failing case names its seed. */
final class Approaches
{
    private readonly Randomizer $chance;

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /** @return iterable<int, array<string, mixed>> */
    public static function many(int $count, int $seed): iterable
    {
        for ($i = 0; $i < $count; $i++) {
            yield $seed + $i => (new self($seed + $i))->draw();
        }
    }

    /** @return array<string, mixed> */
    public function draw(): array
    {
        $input = [
            'routine' => $this->one(['turn-left', 'turn-right', 'emerge-left', 'emerge-right']),
            'limit_mph' => $this->one([20, 30, 40, 50, 60, 70]),
            'speed_mph' => $this->number(5, 70),
            'gradient' => $this->one([0, 0, $this->number(-0.15, 0.15)]),
            'surface' => $this->one(['dry', 'dry', 'wet', 'ice']),
            'road_width_m' => $this->number(5, 14),
            'one_way' => $this->one([false, false, true]),
            'vehicle' => $this->one(['small-petrol-hatch', 'small-petrol-hatch', 'small-automatic', 'small-electric', 'hand-controls']),
            'learner_level' => $this->one(['beginner', 'developing', 'independent']),
            'practice' => [
                'signal' => $this->one(['limit-number', 'car-lengths', 'braking-lead']), 'gears' => $this->one(['block', 'sequential']),
                't_junction' => $this->one(['by-level', 'stop-first', 'ready-to-roll']),
            ],
        ];
        $input += $this->one([['view' => 'open'], ['view' => 'restricted'], ['view' => 'closed'], ['view_from_m' => $this->number(0, 60)]]);
        $input += $this->one([[], [], ['control' => 'stop'], ['control' => 'give-way']]);
        $input += $this->one([[], [], ['close_follower' => true], ['follower_gap_s' => $this->number(0.3, 5)]]);
        $input += $this->one([[], [], [], ['passing_on' => $this->one(['left', 'right'])]]);
        $input += $this->one([[], [], [], ['room_m' => $this->number(5, 300)]]);
        $input += $this->one([[], [], ['openings' => [$this->stretch(), $this->stretch()]]]);
        $input += $this->one([[], [], ['parked' => [$this->stretch()]]]);
        $input += $this->one([[], [], [], ['comfort_decel_mps2' => $this->number(0.8, 5)]]);

        return $this->onTheWay($input);
    }

    /**
     * What only some roads have: not where the view is measured otherwise.
     *
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    private function onTheWay(array $input): array
    {
        $input += $this->one([[], [], [], ['path_before_m' => $this->number(1, 40)]]);
        $input += $this->one([[], [], [], [], ['sight_ahead_m' => $this->number(10, 200)]]);
        $input += $this->one([[], [], [], [], [
            'bend' => ['radius_m' => $this->number(10, 150), 'from_m' => $this->number(60, 150), 'to_m' => $this->number(0, 60)],
        ]]);
        $input += $this->one([[], [], [], ['sight_left_m' => $this->number(20, 300)], ['sight_right_m' => $this->number(20, 300)]]);
        $input += $this->one([[], [], ['road_met' => ['limit_mph' => $this->number(15, 60), 'parked' => $this->one(['none', 'near', 'far', 'both'])]]]);
        if (str_starts_with($input['routine'], 'emerge') && $this->one([false, false, true])) {
            unset($input['view'], $input['view_from_m']);
            $input['view_beyond_m'] = $this->number(0, 12);
        }

        return $input;
    }

    public function number(float $least, float $most): float
    {
        return round($this->chance->getInt(0, 1_000_000) / 1_000_000 * ($most - $least) + $least, 4);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $choices
     * @return T
     */
    public function one(array $choices): mixed
    {
        return $choices[$this->chance->getInt(0, count($choices) - 1)];
    }

    /** @return array<string, mixed> */
    private function stretch(): array
    {
        $near = $this->number(0, 150);

        return ['side' => $this->one(['left', 'right']), 'from_m' => $near + $this->number(1, 30), 'to_m' => $near];
    }
}
