<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\Leaving;
use NobleTurn\Core\Plan\Timing;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Purpose;
use NobleTurn\Core\Vehicle\Vehicle;

/** What comes on the way off a fast road, in its order. */
final readonly class LeaveEvents
{
    public const KINDS = ['sign', 'near-lane', 'marker', 'mirrors', 'signal', 'slip', 'cancel', 'brake', 'lower-limit', 'bend', 'next-mirrors', 'next-signal', 'gear', 'end'];

    private const MILE = 1609.344;

    /** Without markers the signal is given so long before the exit (California handbook, from memory), s. */
    private const SIGNAL_S = 5.0;

    /** Shorter than this there is no waiting with the next signal, and no lane change on it (assumed), m. */
    public const SHORT = 200.0;

    private const STEP = 1.0;

    private Practice $practice;

    /** Mirrors and a thought before a signal, s: as in an approach plan. */
    private float $mirrors;

    private Vehicle $vehicle;

    /** @var list<float> seconds from the beginning of the slip road to each metre of it */
    private array $seconds;

    public function __construct(private Leaving $leaving, private Values $input, private RulePack $pack)
    {
        $this->practice = PracticeField::read($input, $pack);
        $timing = Timing::planned($this->practice->look);
        $this->mirrors = $timing->mirrors + $timing->think;
        $this->vehicle = VehicleField::read($input);
        $seconds = [0.0];
        for ($place = 0.0; $place < $leaving->length; $place += self::STEP) {
            $next = min($leaving->length, $place + self::STEP);
            $seconds[] = $seconds[count($seconds) - 1] + 2.0 * ($next - $place) / max(0.1, $leaving->speedAt($place) + $leaving->speedAt($next));
        }
        $this->seconds = $seconds;
    }

    /** Seconds to the beginning of the slip road, negative on it; the place is metres from its beginning. */
    public function secondsTo(float $place): float
    {
        if ($place <= 0.0) {
            return -$place / $this->leaving->main;
        }
        $i = (int) floor($place / self::STEP);
        $last = count($this->seconds) - 1;
        if ($i >= $last) {
            return -$this->seconds[$last];
        }

        return -($this->seconds[$i] + ($place / self::STEP - $i) * ($this->seconds[$i + 1] - $this->seconds[$i]));
    }

    public function markersInWords(): string
    {
        return match ($this->pack->code()) {
            'gb' => '300, 200, 100 yd', 'ie' => '300, 200, 100 m', default => 'none: exit signs'
        };
    }

    /** @return array{int, string} lane of the slip road and why */
    public function lane(): array
    {
        $lanes = ArmsReader::whole($this->input, 'lanes') ?? 1;
        $turn = $this->input->choice('next_turn', Side::class);
        $off = $turn !== null && Flank::of($turn, $this->pack) === Flank::Off;
        if ($lanes === 1) {
            return [1, 'There is only one.'];
        }
        if (! $off) {
            return [1, 'The nearside one: nothing asks for another.'];
        }
        if ($this->practice->answer('slip_lane') === 'straight') {
            return [$lanes, 'Straight into the lane of the turn to come: one decision fewer at speed.'];
        }

        return $this->leaving->length < self::SHORT
            ? [$lanes, 'Straight into the lane of the turn to come: the slip road is too short for a change on it.']
            : [1, 'The nearside one first; over to the lane of the turn with a full routine, as there is room.'];
    }

    /** @return list<array<string, mixed>> */
    public function rows(): array
    {
        $near = Flank::Near->side($this->pack)->value;
        $signal = $this->signalAt();
        $rows = [
            ...$this->signs(),
            $this->row('mirrors', -($signal + $this->mirrors * $this->leaving->main), "interior, {$near}"),
            $this->row('signal', -$signal, 'to leave', $near),
            $this->row('slip', 0.0, 'onto it at the speed of the main road'),
            ...$this->onTheSlip(),
            $this->row('end', $this->leaving->length, 'the line'),
        ];
        usort($rows, static fn (array $a, array $b): int => $b['at_m'] <=> $a['at_m'] ?: array_search($a['kind'], self::KINDS, true) <=> array_search($b['kind'], self::KINDS, true));

        return $rows;
    }

    /** By the practice's marker, or by time where there are none. */
    private function signalAt(): float
    {
        $marker = (float) $this->practice->answer('leave_marker');

        return match ($this->pack->code()) {
            'gb' => $marker * Distance::METRES_IN_A_YARD, 'ie' => $marker, default => max(100.0 * Distance::METRES_IN_A_FOOT, self::SIGNAL_S * $this->leaving->main)
        };
    }

    /** @return list<array<string, mixed>> */
    private function signs(): array
    {
        [$far, $lane, $unit, $scale] = match ($this->pack->code()) {
            'gb' => [self::MILE, self::MILE / 2.0, 'yd', Distance::METRES_IN_A_YARD], 'ie' => [1000.0, 500.0, 'm', 1.0], default => [self::MILE, self::MILE / 2.0, '', 0.0]
        };
        $markers = $scale === 0.0 ? [] : array_map(fn (int $number): array => $this->row('marker', -$number * $scale, "{$number} {$unit}"), [300, 200, 100]);

        return [$this->row('sign', -$far, $unit === 'm' ? '1 km' : '1 mile'), $this->row('near-lane', -$lane, 'in the nearside lane by here'), ...$markers];
    }

    /** @return list<array<string, mixed>> */
    private function onTheSlip(): array
    {
        $leaving = $this->leaving;
        $cancel = min($leaving->length / 4.0, 0.5 * Leaving::SETTLE_S * $leaving->main);
        $rows = [$this->row('cancel', $cancel, 'at once')];
        foreach ($leaving->stages as $i => $stage) {
            $rows[] = $this->row('brake', $stage['from'], $i === 0 ? 'gently, more firmly, easing at the end' : 'again after the bend');
        }
        $lower = $this->input->distance('lower_limit')?->inMetres();
        if ($lower !== null) {
            $rows[] = $this->row('lower-limit', $lower, 'read the speed');
        }
        if ($leaving->bendFrom !== null && $leaving->bendSpeed() !== null) {
            $rows[] = $this->row('bend', $leaving->bendFrom, 'no brake in it');
        }
        $turn = $this->input->choice('next_turn', Side::class);
        if ($turn !== null) {
            $atOnce = $this->practice->answer('leave_signal') === 'at-once' || $leaving->length < self::SHORT;
            $at = $atOnce ? min($leaving->length / 3.0, $cancel + $this->mirrors * $leaving->main) : $leaving->length / 2.0;
            $rows[] = $this->row('next-mirrors', ($cancel + $at) / 2.0, "interior, {$turn->value}");
            $rows[] = $this->row('next-signal', $at, $atOnce ? 'anew, as soon as the mirrors are done' : 'half-way along', $turn->value);
        }

        return [...$rows, ...$this->gears()];
    }

    /** @return list<array<string, mixed>> one block change once the speed for it is there, and before a bend */
    private function gears(): array
    {
        if (! $this->vehicle->hasClutch()) {
            return [];
        }
        $leaving = $this->leaving;
        $rows = [];
        $held = GearChoice::for($this->vehicle, Purpose::Cruise, Speed::ofMetresPerSecond($leaving->main), CommonFields::gradient($this->input))->gear;
        $ends = $leaving->stages === [] ? [] : array_map(static fn (array $stage): array => [$stage['end'], $stage['to']], $leaving->stages);
        foreach ($ends as [$speed, $until]) {
            $least = max(2.0, $speed);
            $gear = max(2, GearChoice::for($this->vehicle, Purpose::Pull, Speed::ofMetresPerSecond($least), CommonFields::gradient($this->input))->gear);
            if ($gear < $held) {
                // A little before the speed is reached, clutch up before the bend or the line.
                $at = min($until - 1.0, $leaving->placeOf(max($speed * 1.3, $speed + 2.0)));
                $rows[] = ['gear' => $gear] + $this->row('gear', max(0.0, $at), "{$held} to {$gear} in one");
                $held = $gear;
            }
        }

        return $rows;
    }

    /** @return array<string, mixed> the place is metres from the beginning of the slip road */
    private function row(string $kind, float $place, string $text, ?string $side = null): array
    {
        return ['kind' => $kind, 'at_m' => round(-$place, 1) + 0.0, 'time_s' => round($this->secondsTo($place), 1) + 0.0, 'speed_mps' => round($this->leaving->speedAt($place), 2), 'text' => $text, 'side' => $side, 'gear' => null];
    }
}
