<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

use NobleTurn\Core\Place\Bend;
use NobleTurn\Core\Vehicle\Unit;

/**
 * The room bodies leave at both kerbs of a bend. A search asks for it hundreds of times, each time at some hundred positions: what does not change from one
 * to the next is worked out once.
 */
final readonly class BendRoom
{
    /** Where along its inner side, where a kerb is touched first, a body is looked at beside its corners. */
    private const ALONG_INSIDE = [0.2, 0.4, 0.6, 0.8];

    /** @var list<array{list<array{float, float}>, list<array{float, float}>}> of each unit what is held against both kerbs, and what against the inner
     *                                                                         one alone, m: ahead of its rear axle, and to the left */
    private array $probes;

    private float $cos;

    private float $sin;

    /** @param  non-empty-list<Unit>  $units */
    public function __construct(private Bend $bend, array $units)
    {
        $this->cos = cos($bend->angleRadians);
        $this->sin = sin($bend->angleRadians);
        $this->probes = array_map(self::probesOf(...), $units);
    }

    /** @return array{float, float} room left at the inner and at the outer kerb, m; negative where it is mounted */
    public function of(SweptPath $swept): array
    {
        [$cosEnd, $sinEnd] = [$this->cos, $this->sin];
        $outermost = $this->bend->kerbRadiusMetres + $this->bend->exitWidthMetres;
        $lowest = -$this->bend->kerbRadiusMetres - $this->bend->entryWidthMetres;
        [$nearest, $outside] = [INF, INF];
        foreach ($swept->frames as $frame) {
            foreach ($this->probes as $i => [$corners, $inner]) {
                [$atX, $atY, $heading] = $frame[$i];
                [$cos, $sin] = [cos($heading), sin($heading)];
                foreach ($corners as [$ahead, $left]) {
                    $x = $atX + $ahead * $cos - $left * $sin;
                    $y = $atY + $ahead * $sin + $left * $cos;
                    $towardsExit = $x * $sinEnd - $y * $cosEnd;
                    if ($outermost - $towardsExit < $outside) {
                        $outside = $outermost - $towardsExit;
                    }
                    if ($x < 0.0 && $y - $lowest < $outside) {
                        $outside = $y - $lowest;
                    }
                    $from = $x < 0.0 ? -$y : ($x * $cosEnd + $y * $sinEnd > 0.0 ? $towardsExit : sqrt($x * $x + $y * $y));
                    if ($from < $nearest) {
                        $nearest = $from;
                    }
                }
                foreach ($inner as [$ahead, $left]) {
                    $x = $atX + $ahead * $cos - $left * $sin;
                    $y = $atY + $ahead * $sin + $left * $cos;
                    $from = $x < 0.0 ? -$y : ($x * $cosEnd + $y * $sinEnd > 0.0 ? $x * $sinEnd - $y * $cosEnd : sqrt($x * $x + $y * $y));
                    if ($from < $nearest) {
                        $nearest = $from;
                    }
                }
            }
        }

        return [$nearest - $this->bend->kerbRadiusMetres, $outside];
    }

    /** @return array{list<array{float, float}>, list<array{float, float}>} */
    private static function probesOf(Unit $unit): array
    {
        $corners = SweptPath::corners($unit, [0.0, 0.0, 0.0]);
        [[$front, $left], , , [$rear]] = $corners;

        return [$corners, array_map(static fn (float $share): array => [$front + ($rear - $front) * $share, $left], self::ALONG_INSIDE)];
    }
}
