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
    /** @var list<array{list<array{float, float}>, float, float, float}> of each unit its corners, m ahead of its rear axle and to the left; where its inner
     *                                                                    side ends and begins, m ahead, and how far to the left that is */
    private array $bodies;

    private float $cos;

    private float $sin;

    /** @param  non-empty-list<Unit>  $units */
    public function __construct(private Bend $bend, array $units)
    {
        $this->cos = cos($bend->angleRadians);
        $this->sin = sin($bend->angleRadians);
        $this->bodies = array_map(self::bodyOf(...), $units);
    }

    /** @return array{float, float} room left at the inner and at the outer kerb, m; negative where it is mounted */
    public function of(SweptPath $swept): array
    {
        [$cosEnd, $sinEnd] = [$this->cos, $this->sin];
        $outermost = $this->bend->kerbRadiusMetres + $this->bend->exitWidthMetres;
        $lowest = -$this->bend->kerbRadiusMetres - $this->bend->entryWidthMetres;
        [$nearest, $outside] = [INF, INF];
        foreach ($swept->frames as $frame) {
            foreach ($this->bodies as $i => [$corners, $rear, $front, $inside]) {
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
                // Between the corners of its inner side a body is nearest to a round kerb where that side is square to it.
                $ahead = -$atX * $cos - $atY * $sin;
                if ($ahead > $rear && $ahead < $front) {
                    $x = $atX + $ahead * $cos - $inside * $sin;
                    $y = $atY + $ahead * $sin + $inside * $cos;
                    if ($x >= 0.0 && $x * $cosEnd + $y * $sinEnd <= 0.0) {
                        $from = sqrt($x * $x + $y * $y);
                        if ($from < $nearest) {
                            $nearest = $from;
                        }
                    }
                }
            }
        }

        return [$nearest - $this->bend->kerbRadiusMetres, $outside];
    }

    /** @return array{list<array{float, float}>, float, float, float} */
    private static function bodyOf(Unit $unit): array
    {
        $corners = SweptPath::corners($unit, [0.0, 0.0, 0.0]);
        [[$front, $left], , , [$rear]] = $corners;

        return [$corners, $rear, $front, $left];
    }
}
