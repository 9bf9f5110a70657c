<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Routine\Target;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\NearPlace;

/**
 * Where across the road the car's middle is, metres from the nearside kerb. Moves follow half a cosine,
 * so that the path has no corner where a move begins or ends.
 */
final readonly class LateralPath
{
    /** Clear of the centre line or the far kerb, m (assumed). */
    public const FROM_LINE = 0.3;

    /** From the kerb when emerging towards it on a road of ordinary width, m (assumed). */
    private const FROM_KERB = 0.8;

    /** ... and where the practice keeps well to its side (assumed). */
    private const WELL_TO_KERB = 0.5;

    /** Pulled up: parallel and close, m (assumed). */
    private const CLOSE_TO_KERB = 0.3;

    /** A lane at least this wide is shared with those turning in: keep well to the kerb's side (assumed). */
    private const WIDE_LANE = 3.25;

    /** @param  list<array{from: float, to: float, lateral: float}>  $moves from far to near, metres to the line */
    private function __construct(private float $start, private array $moves, public float $targetMetres)
    {
    }

    public static function for(Chain $chain): self
    {
        $start = self::usualMetres($chain->approach);
        $target = self::target($chain->approach);
        $positionFrom = $chain->metres($chain->positionSeconds);
        $positionTo = $chain->metres(max(0.0, $chain->positionSeconds - $chain->timing->driftSeconds));
        $moves = [];
        foreach (Corridor::along($chain->approach) as $corridor) {
            if (! $corridor->nearParked && abs($corridor->lateralMetres - $start) < 1e-9) {
                continue;
            }
            $run = $chain->timing->driftSeconds * max(1.0, $chain->profile->mpsAt($corridor->fromMetres));
            $clear = $corridor->toMetres - $chain->approach->vehicle->length->inMetres();
            $back = min($clear, max($clear - $run, $positionFrom));
            $moves[] = ['from' => $corridor->fromMetres + $run, 'to' => $corridor->fromMetres, 'lateral' => $corridor->lateralMetres];
            if ($clear - $back > 1.0 && $chain->approach->demand->target !== Target::PastParked) {
                $moves[] = ['from' => $clear, 'to' => $back, 'lateral' => $start];
            }
        }
        if ($chain->approach->demand->moves !== null) {
            $across = $chain->approach->demand->target === Target::FarKerb ? $chain->halfway?->metres : null;
            $first = $across === null ? $target : self::forTurn($chain->approach);
            $moves[] = ['from' => $positionFrom, 'to' => $across === null ? $positionTo : max($positionTo, $across), 'lateral' => $first];
            if ($across !== null) {
                $moves[] = ['from' => $across, 'to' => 0.0, 'lateral' => $target];
            }
        }

        return new self($start, $moves, $target);
    }

    /** @param  array{from: float, to: float, lateral: float}  $move  one begun before this place */
    private static function across(float $from, array $move, float $metres): float
    {
        $done = $metres <= $move['to'] ? 1.0 : ($move['from'] - $metres) / ($move['from'] - $move['to']);

        return $from + ($move['lateral'] - $from) * (1.0 - cos(M_PI * $done)) / 2.0;
    }

    /**
     * Across at each of these places in driving order, one walk along the moves.
     *
     * @param  list<float>  $metres  to the line, from far to near
     * @return list<float>
     */
    public function along(array $metres): array
    {
        [$along, $before, $next] = [[], $this->start, 0];
        foreach ($metres as $toGo) {
            while (isset($this->moves[$next]) && $toGo < $this->moves[$next]['from'] && $toGo <= $this->moves[$next]['to']) {
                $before = $this->moves[$next++]['lateral'];
            }
            $lateral = $before;
            for ($i = $next; isset($this->moves[$i]) && $toGo < $this->moves[$i]['from']; $i++) {
                $lateral = self::across($lateral, $this->moves[$i], $toGo);
            }
            $along[] = $lateral;
        }

        return $along;
    }

    /** The way from the centre line to the far kerb, for each metre across (assumed: gradually is about 15 degrees). */
    private const ACROSS_GRADUALLY = 4.0;

    /** Over how long a stretch a car goes across to stop at the far kerb, m. */
    public static function acrossMetres(Approach $approach): float
    {
        return self::ACROSS_GRADUALLY * max(1.0, self::target($approach) - self::forTurn($approach));
    }

    /** The middle of our lane. */
    public static function usualMetres(Approach $approach): float
    {
        return $approach->roadWidth->inMetres() / 4.0;
    }

    /** As far from the kerb as our lane lets us; on a one-way road as far as the road does. */
    public static function besideTheLine(Approach $approach): float
    {
        $width = $approach->roadWidth->inMetres();

        return ($approach->oneWay ? $width : $width / 2.0) - self::FROM_LINE - $approach->vehicle->width->inMetres() / 2.0;
    }

    private static function target(Approach $approach): float
    {
        $width = $approach->roadWidth->inMetres();
        $half = $approach->vehicle->width->inMetres() / 2.0;

        return match ($approach->demand->target) {
            Target::Usual => self::usualMetres($approach),
            Target::PastParked => min(Corridor::PARKED_M + Corridor::DOOR_M + Corridor::ourMetres($approach->vehicle) / 2.0, $width - self::FROM_LINE - $half),
            Target::Kerb => self::CLOSE_TO_KERB + $half,
            Target::FarKerb => $width - self::CLOSE_TO_KERB - $half,
            Target::CentreLane => $width / 2.0,
            Target::ForTurn => self::forTurn($approach),
        };
    }

    private static function forTurn(Approach $approach): float
    {
        $width = $approach->roadWidth->inMetres();
        $half = $approach->vehicle->width->inMetres() / 2.0;
        if ($approach->turnsTo() === Flank::Off) {
            return max($half, self::besideTheLine($approach));
        }
        $long = LongVehicle::at($approach);
        if ($long !== null) {
            // Out for its rear; what the lane has not, is said.
            return max(self::usualMetres($approach), min($long->fromKerbMetres, self::besideTheLine($approach)));
        }
        $wide = match ($approach->practice->nearPlace) {
            NearPlace::ByWidth => $width / 2.0 >= self::WIDE_LANE,
            NearPlace::Middle => false,
            NearPlace::ToKerb => true,
        };

        $from = $approach->practice->nearPlace === NearPlace::ToKerb ? self::WELL_TO_KERB : self::FROM_KERB;

        return $approach->routine->emerges() && $wide ? min(self::usualMetres($approach), $from + $half) : self::usualMetres($approach);
    }
}
