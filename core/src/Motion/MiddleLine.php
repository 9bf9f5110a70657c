<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

/**
 * The middle of a lane: straights and arcs one after the other, from the origin along x. Metres; + is to the left.
 *
 * Places beside it are found piece by piece, exactly, not from points close together.
 */
final readonly class MiddleLine
{
    /** Of each piece where it ends as its next is looked for, m before the front is there: bodies reach ahead of their front axle. */
    private const AHEAD_M = 3.0;

    /** @var non-empty-list<array{from: float, to: float, x: float, y: float, heading: float, turn: float, cx: float, cy: float, ex: float, ey: float,
     *     ecos: float, esin: float, radius: float}> */
    private array $pieces;

    public float $metres;

    /** @param  non-empty-list<array{length: float}|array{radius: float, angle: float}>  $pieces  angle in radians, + to the left */
    public function __construct(array $pieces)
    {
        [$x, $y, $heading, $from] = [0.0, 0.0, 0.0, 0.0];
        $known = [];
        foreach ($pieces as $piece) {
            $angle = $piece['angle'] ?? 0.0;
            $radius = $piece['radius'] ?? 0.0;
            $long = $piece['length'] ?? $radius * abs($angle);
            $turn = $angle <=> 0.0;
            [$cx, $cy] = [$x - $turn * $radius * sin($heading), $y + $turn * $radius * cos($heading)];
            $after = $heading + $angle;
            [$ex, $ey] = $turn === 0
                ? [$x + $long * cos($heading), $y + $long * sin($heading)]
                : [$cx + $turn * $radius * sin($after), $cy - $turn * $radius * cos($after)];
            $known[] = [
                'from' => $from, 'to' => $from + $long, 'x' => $x, 'y' => $y, 'heading' => $heading, 'turn' => (float) $turn, 'cx' => $cx, 'cy' => $cy,
                'ex' => $ex, 'ey' => $ey, 'ecos' => cos($after), 'esin' => sin($after), 'radius' => $radius,
            ];
            [$x, $y, $heading, $from] = [$ex, $ey, $after, $from + $long];
        }
        $this->pieces = $known;
        $this->metres = $from;
    }

    /** @return non-empty-list<float> where each piece has its middle, m along */
    public function middles(): array
    {
        return array_map(static fn (array $piece): float => ($piece['from'] + $piece['to']) / 2.0, $this->pieces);
    }

    /**
     * The edge of a lane so far to the left of its middle, a metre or less from point to point.
     *
     * @return non-empty-list<array{float, float}>
     */
    public function edge(float $left): array
    {
        $count = (int) ceil($this->metres);
        $points = [$this->beside(0.0, $left)];
        for ($i = 1; $i <= $count; $i++) {
            $points[] = $this->beside($this->metres * $i / $count, $left);
        }

        return $points;
    }

    /** @return array{float, float} the point so far along and so far to the left */
    public function beside(float $along, float $left): array
    {
        $at = 0;
        while ($at < count($this->pieces) - 1 && $along > $this->pieces[$at]['to']) {
            $at++;
        }
        $piece = $this->pieces[$at];
        $on = $along - $piece['from'];
        if ($piece['turn'] === 0.0) {
            [$cos, $sin] = [cos($piece['heading']), sin($piece['heading'])];

            return [$piece['x'] + $on * $cos - $left * $sin, $piece['y'] + $on * $sin + $left * $cos];
        }
        $heading = $piece['heading'] + $piece['turn'] * $on / $piece['radius'];
        $radius = $piece['turn'] * $piece['radius'] - $left;

        return [$piece['cx'] + $radius * sin($heading), $piece['cy'] - $radius * cos($heading)];
    }

    /**
     * How far beside the line a point lies that was at a piece before and only goes forwards.
     *
     * @param  float  $front  how far along the front is, m
     * @return array{float, int} to the left, m; the piece it is at now
     */
    public function aside(float $x, float $y, int $at, float $front): array
    {
        $last = count($this->pieces) - 1;
        $piece = $this->pieces[$at];
        while ($at < $last && $front + self::AHEAD_M >= $piece['to'] && ($x - $piece['ex']) * $piece['ecos'] + ($y - $piece['ey']) * $piece['esin'] > 0.0) {
            $at++;
            $piece = $this->pieces[$at];
        }
        if ($piece['turn'] === 0.0) {
            return [($y - $piece['y']) * $piece['ecos'] - ($x - $piece['x']) * $piece['esin'], $at];
        }
        $dx = $x - $piece['cx'];
        $dy = $y - $piece['cy'];

        return [$piece['turn'] * ($piece['radius'] - sqrt($dx * $dx + $dy * $dy)), $at];
    }
}
