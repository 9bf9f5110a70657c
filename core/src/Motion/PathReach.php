<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

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
        [$left, $right] = [0.0, 0.0];
        /** @var array<string, int> $nearest where each point of a body was on the path in the frame before */
        $nearest = [];
        foreach (self::every($swept->frames, $stride) as $i => $frame) {
            foreach ($swept->units as $u => $unit) {
                $parts = max(1, (int) ceil(($unit->frontOverhangMetres + $unit->wheelbaseMetres + $unit->rearOverhangMetres) / self::ALONG_SIDES));
                foreach (self::sides(SweptPath::corners($unit, $frame[$u]), $parts) as $p => [$x, $y]) {
                    $key = "{$u}.{$p}";
                    $at = self::walk($points, $nearest[$key] ?? 0, $x, $y, min(count($points) - 1, $i + 400));
                    $nearest[$key] = $at;
                    $aside = self::aside($points, $at, $x, $y);
                    $left = max($left, $aside);
                    $right = max($right, -$aside);
                }
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

    /**
     * @param  array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}  $corners
     * @return list<array{float, float}>
     */
    private static function sides(array $corners, int $parts): array
    {
        $points = [];
        foreach ([[$corners[0], $corners[3]], [$corners[1], $corners[2]]] as [$front, $rear]) {
            for ($k = 0; $k <= $parts; $k++) {
                $points[] = [$front[0] + ($rear[0] - $front[0]) * $k / $parts, $front[1] + ($rear[1] - $front[1]) * $k / $parts];
            }
        }

        return $points;
    }

    /**
     * The path's point nearest to a body's point, looked for from the last one on: bodies only go forwards.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    private static function walk(array $points, int $from, float $x, float $y, int $last): int
    {
        $square = static fn (int $i): float => ($points[$i][0] - $x) ** 2 + ($points[$i][1] - $y) ** 2;
        $at = $from;
        $least = $square($at);
        while ($at < $last && ($next = $square($at + 1)) <= $least) {
            $least = $next;
            $at++;
        }

        return $at;
    }

    /**
     * Signed distance from the path, + to the left; beyond both ends the path is taken to run straight on.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    private static function aside(array $points, int $at, float $x, float $y): float
    {
        $last = count($points) - 1;
        $best = INF;
        foreach ([max(0, $at - 1), min($last - 1, $at)] as $i) {
            [$ax, $ay] = $points[$i];
            [$dx, $dy] = [$points[$i + 1][0] - $ax, $points[$i + 1][1] - $ay];
            $length = hypot($dx, $dy);
            $t = (($x - $ax) * $dx + ($y - $ay) * $dy) / $length ** 2;
            $t = max($i === 0 ? -INF : 0.0, min($i === $last - 1 ? INF : 1.0, $t));
            $side = ($dx * ($y - $ay) - $dy * ($x - $ax)) / $length;
            $distance = hypot($ax + $t * $dx - $x, $ay + $t * $dy - $y);
            if ($distance < abs($best)) {
                $best = $side < 0.0 ? -$distance : $distance;
            }
        }

        return $best;
    }
}
