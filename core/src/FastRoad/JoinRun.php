<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Vehicle\FullGas;

/** The drive along a slip as columns: steady to the limit sign, evenly to the choice, as chosen in its two parts to where we join. */
final readonly class JoinRun
{
    /**
     * @param  array{time_s: list<float>, distance_m: list<float>, speed_mps: list<float>, gear: list<int>}  $columns
     * @param  list<array{name: string, length_m: float, distance_m: list<float>}>  $others
     * @param  non-empty-list<array{from: float, to: float, speed: float, a: float}>  $pieces
     */
    private function __construct(public array $columns, public array $others, public float $choiceSeconds, private array $pieces)
    {
    }

    public static function of(Joining $joining, WayIn $wayIn, float $stepSeconds): self
    {
        $slip = $joining->slip;
        $drive = $wayIn->drive;
        $choice = $slip->chooseFromMetres();
        $gain = max($choice, $slip->gainFromMetres());
        $pieces = [
            ['from' => $slip->lengthMetres, 'to' => $gain, 'speed' => $joining->entryMps, 'a' => 0.0],
            ['from' => $gain, 'to' => $choice, 'speed' => $joining->entryMps, 'a' => $joining->naturalMps2],
            ['from' => $choice, 'to' => $choice - $drive->firstMetres, 'speed' => $drive->fromMps, 'a' => $drive->firstMps2],
            ['from' => $choice - $drive->firstMetres, 'to' => $slip->joinAtMetres(), 'speed' => $drive->turnMps, 'a' => $drive->thenMps2],
            ['from' => $slip->joinAtMetres(), 'to' => -2.0 * $drive->endMps, 'speed' => $drive->endMps, 'a' => 0.0],
        ];
        $self = new self(['time_s' => [], 'distance_m' => [], 'speed_mps' => [], 'gear' => []], [], 0.0, $pieces);
        $begin = $self->secondsAt($choice);
        $columns = ['time_s' => [], 'distance_m' => [], 'speed_mps' => [], 'gear' => []];
        $gear = $joining->gear;
        $last = $self->secondsAt(-2.0 * $drive->endMps);
        for ($t = 0.0; $t <= $last + 1e-9; $t += $stepSeconds) {
            [$place, $speed] = $self->at($t);
            while (
                $gear < $joining->vehicle->gearbox->topGear()
                && $speed > FullGas::CHANGE_AT * $joining->vehicle->gearbox->metresPerSecondAt($joining->vehicle->engine->redLineRpm, $gear)
            ) {
                $gear++;
            }
            $columns['time_s'][] = $t;
            $columns['distance_m'][] = $place;
            $columns['speed_mps'][] = $speed;
            $columns['gear'][] = $gear;
        }
        $others = array_map(static fn (Neighbour $other): array => [
            'name' => $other->name, 'length_m' => $other->lengthMetres,
            'distance_m' => array_map(static fn (float $t): float => $choice - $other->frontMetresAt($t - $begin), $columns['time_s']),
        ], $joining->seen);

        return new self($columns, $others, $begin, $pieces);
    }

    public function secondsAt(float $placeMetres): float
    {
        $seconds = 0.0;
        foreach ($this->pieces as $piece) {
            $metres = $piece['from'] - max($piece['to'], min($piece['from'], $placeMetres));
            $seconds += 2.0 * $metres / max(0.2, $piece['speed'] + self::after($piece, $metres));
        }

        return $seconds;
    }

    public function mpsAt(float $placeMetres): float
    {
        foreach ($this->pieces as $piece) {
            if ($placeMetres >= $piece['to']) {
                return self::after($piece, max(0.0, $piece['from'] - $placeMetres));
            }
        }

        return $this->pieces[count($this->pieces) - 1]['speed'];
    }

    /** @return array{float, float} place and speed after so many seconds */
    private function at(float $seconds): array
    {
        foreach ($this->pieces as $piece) {
            $whole = $piece['from'] - $piece['to'];
            $lasts = 2.0 * $whole / max(0.2, $piece['speed'] + self::after($piece, $whole));
            if ($seconds <= $lasts) {
                return [$piece['from'] - $piece['speed'] * $seconds - $piece['a'] * $seconds ** 2 / 2.0, max(0.0, $piece['speed'] + $piece['a'] * $seconds)];
            }
            $seconds -= $lasts;
        }
        $last = $this->pieces[count($this->pieces) - 1];

        return [$last['to'] - $last['speed'] * $seconds, $last['speed']];
    }

    /** @param  array{from: float, to: float, speed: float, a: float}  $piece */
    private static function after(array $piece, float $metres): float
    {
        return sqrt(max(0.0, $piece['speed'] ** 2 + 2.0 * $piece['a'] * $metres));
    }
}
