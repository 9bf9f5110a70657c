<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

use NobleTurn\Core\Vehicle\Unit;

/**
 * How far bodies reach to the left and to the right of the path they follow, measured square to it. Kerbs that run
 * beside a path (an S-bend, a way round a roundabout) are given by their distance from it.
 */
final readonly class PathReach
{
    /** Points looked at along each side of a body, m apart: between them a curved kerb could only come nearer by millimetres. */
    private const ALONG_SIDES = 0.5;

    /** Positions looked at along the path, m apart. */
    private const ALONG_PATH = 0.1;

    private function __construct(public float $left, public float $right)
    {
    }

    public static function of(SweptPath $swept): self
    {
        // Finer than this nothing changes that matters, and a path may come in steps of a centimetre.
        $length = hypot($swept->path->points[1][0] - $swept->path->points[0][0], $swept->path->points[1][1] - $swept->path->points[0][1]);
        $stride = max(1, (int) floor(self::ALONG_PATH / max(1e-6, $length)));
        $points = self::every($swept->path->points, $stride);
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];
        $end = count($points) - 1;
        [$left, $right, $reachedBoth] = [0.0, 0.0, 0.0];
        $sides = array_map(self::sides(...), $swept->units);
        // Where each point of a body was on the path in the frame before: bodies only go forwards.
        $nearest = array_map(static fn (array $side): array => array_fill(0, count($side), 0), $sides);
        foreach (self::every($swept->frames, $stride) as $i => $frame) {
            $last = min($end, $i + 400);
            foreach ($sides as $u => $side) {
                [$rearX, $rearY, $heading] = $frame[$u];
                $cos = cos($heading);
                $sin = sin($heading);
                $were = $nearest[$u];
                foreach ($side as $p => [$ahead, $across]) {
                    $x = $rearX + $ahead * $cos - $across * $sin;
                    $y = $rearY + $ahead * $sin + $across * $cos;
                    $at = $were[$p];
                    $dx = $xs[$at] - $x;
                    $dy = $ys[$at] - $y;
                    $least = $dx * $dx + $dy * $dy;
                    while ($at < $last) {
                        $dx = $xs[$at + 1] - $x;
                        $dy = $ys[$at + 1] - $y;
                        $next = $dx * $dx + $dy * $dy;
                        if ($next > $least) {
                            break;
                        }
                        $least = $next;
                        $at++;
                    }
                    $were[$p] = $at;
                    // Nearer to the path than somebody was on the side where that was less: which side it is does not matter.
                    if ($least <= $reachedBoth) {
                        continue;
                    }
                    // Who is nearer to the path than somebody was on that side already changes nothing.
                    $from = $at < $end ? $at : $end - 1;
                    $isRight = ($xs[$from + 1] - $xs[$from]) * ($y - $ys[$from]) < ($ys[$from + 1] - $ys[$from]) * ($x - $xs[$from]);
                    $reached = $isRight ? $right : $left;
                    if ($least > $reached * $reached) {
                        $aside = self::aside($xs, $ys, $at, $x, $y);
                        $left = max($left, $aside);
                        $right = max($right, -$aside);
                        $reachedBoth = min($left, $right) ** 2;
                    }
                }
                $nearest[$u] = $were;
            }
        }

        return new self($left, $right);
    }

    /**
     * Every so-manieth entry, and the last.
     *
     * @template T
     *
     * @param  non-empty-list<T>  $list
     * @return non-empty-list<T>
     */
    private static function every(array $list, int $stride): array
    {
        $kept = [];
        for ($i = 0, $n = count($list); $i < $n; $i += $stride) {
            $kept[] = $list[$i];
        }
        if (($n - 1) % $stride !== 0) {
            $kept[] = $list[$n - 1];
        }

        return $kept === [] ? $list : $kept;
    }

    /** @return list<array{float, float}> points along both sides of a body, m: ahead of its rear axle, and to the left */
    private static function sides(Unit $unit): array
    {
        [$front, $rear, $half] = [$unit->wheelbaseMetres + $unit->frontOverhangMetres, -$unit->rearOverhangMetres, $unit->widthMetres / 2.0];
        $parts = max(1, (int) ceil(($front - $rear) / self::ALONG_SIDES));
        $points = [];
        foreach ([$half, -$half] as $across) {
            for ($k = 0; $k <= $parts; $k++) {
                $points[] = [$front + ($rear - $front) * $k / $parts, $across];
            }
        }

        return $points;
    }

    /**
     * Signed distance from the path, + to the left; beyond both ends the path is taken to run straight on.
     *
     * @param  non-empty-list<float>  $xs  of its points
     * @param  non-empty-list<float>  $ys
     */
    private static function aside(array $xs, array $ys, int $at, float $x, float $y): float
    {
        $last = count($xs) - 2;
        [$best, $isRight] = [INF, false];
        for ($i = max(0, $at - 1), $to = min($last, $at); $i <= $to; $i++) {
            $dx = $xs[$i + 1] - $xs[$i];
            $dy = $ys[$i + 1] - $ys[$i];
            $fromX = $x - $xs[$i];
            $fromY = $y - $ys[$i];
            $length = $dx * $dx + $dy * $dy;
            $t = ($fromX * $dx + $fromY * $dy) / $length;
            if ($t < 0.0 && $i > 0) {
                $t = 0.0;
            } elseif ($t > 1.0 && $i < $last) {
                $t = 1.0;
            }
            $offX = $t * $dx - $fromX;
            $offY = $t * $dy - $fromY;
            $off = $offX * $offX + $offY * $offY;
            if ($off < $best) {
                $best = $off;
                $isRight = $dx * $fromY < $dy * $fromX;
            }
        }

        return $isRight ? -sqrt($best) : sqrt($best);
    }
}
