<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

use NobleTurn\Core\Vehicle\Unit;

/**
 * The line of the front axle's middle through a lane that bends more than once - an S-bend, a way round a roundabout - that leaves most room on its
 * tighter side.
 * It runs so far beside the lane's middle at the middle of each of its pieces, and changes evenly in between.
 */
final readonly class LaneLine
{
    /** Between points of the path, m: while it is looked for, and as it is told. */
    private const SEARCHED = 0.8;

    public const TOLD = 0.1;

    /** Each of the places is moved so often, by turns, and within so much each time. */
    private const ROUNDS = 4;

    private const TRIES = 7;

    /** A line that is tighter than the wheels turn counts by so much worse, m for each m of radius that is missing. */
    private const TOO_TIGHT = 0.5;

    /**
     * While it is looked for every position counts, the nearer to a kerb the more: where only the worst did, nothing would say which way to go on. The larger,
     * the more the worst alone, 1/m; twice as large in each round.
     */
    private const WORST_COUNTS = 4.0;

    /** What reaches farther counts no more, m: e to so much times the largest weight is still a number. */
    private const FARTHEST = 20.0;

    /** Places looked at along each side of a body, corners included: while the line is looked for, and as it is told. */
    private const COARSE = [0.0, 0.5, 1.0];

    private const FINE = [0.0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0];

    /**
     * @param  array<int, float>  $asides  to the left of the lane's middle at the middle of each of its pieces, m
     */
    private function __construct(
        public array $asides, public float $spareLeftMetres, public float $spareRightMetres, public SweptPath $swept, private float $tooTightMetres,
        /** Over all positions, m: what is left, the tighter ones counting most. */
        private float $spareOnTheWhole,
    ) {
    }

    /** What is left on the tighter side, m; negative where it does not fit. */
    public function spareMetres(): float
    {
        return min($this->spareLeftMetres, $this->spareRightMetres);
    }

    /**
     * @param  non-empty-list<Unit>  $units
     * @param  float  $width  of the lane, m
     * @param  float  $leastRadius  the smallest the front axle's middle can follow, m
     */
    public static function best(array $units, MiddleLine $lane, float $width, float $leastRadius): self
    {
        $most = max(0.0, ($width - $units[0]->widthMetres) / 2.0);
        $asides = array_map(static fn (): float => 0.0, $lane->middles());
        $reach = 1.0;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $counts = self::WORST_COUNTS * 2 ** $round;
            $worth = static function (array $asides) use ($units, $lane, $width, $leastRadius, $counts): float {
                $tried = self::at($units, $lane, $width, $asides, $leastRadius, self::SEARCHED, $counts);

                return $tried->spareOnTheWhole - self::TOO_TIGHT * $tried->tooTightMetres;
            };
            $all = GoldenSection::highest(
                static fn (float $value): float => $worth(self::moved($asides, $value, $most)), -$reach * $most, $reach * $most, self::TRIES,
            );
            $asides = self::moved($asides, $all, $most);
            foreach (array_keys($asides) as $which) {
                $asides[$which] = GoldenSection::highest(static function (float $value) use ($asides, $which, $worth): float {
                    $asides[$which] = $value;

                    return $worth($asides);
                }, max(-$most, $asides[$which] - $reach * $most), min($most, $asides[$which] + $reach * $most), self::TRIES);
            }
            $reach /= 2.0;
        }

        $found = self::at($units, $lane, $width, $asides, $leastRadius, self::TOLD);
        $middle = self::at($units, $lane, $width, array_map(static fn (): float => 0.0, $asides), $leastRadius, self::TOLD);

        return $middle->spareMetres() > $found->spareMetres() ? $middle : $found;
    }

    /**
     * How much work the search is, as `BendLine::effort` counts it.
     *
     * @param  non-empty-list<Unit>  $units
     */
    public static function effort(array $units, MiddleLine $lane): float
    {
        return 0.5 * self::ROUNDS * (self::TRIES + 2) * (count($lane->middles()) + 1) * count($units) * $lane->metres / self::SEARCHED;
    }

    /**
     * The line that runs so far beside the lane's middle.
     *
     * @param  non-empty-list<Unit>  $units
     * @param  array<int, float>  $asides
     */
    public static function at(
        array $units, MiddleLine $lane, float $width, array $asides, float $leastRadius, float $step = self::TOLD, float $worstCounts = self::WORST_COUNTS,
    ): self {
        $count = max(2, (int) ceil($lane->metres / $step));
        $middles = $lane->middles();
        $point = static fn (float $along): array => $lane->beside($along, self::asideAt($along, $middles, $asides));
        $points = [$point(0.0)];
        for ($i = 1; $i <= $count; $i++) {
            $points[] = $point($lane->metres * $i / $count);
        }
        $swept = SweptPath::along(Path::by($points), $units);
        [$left, $right, $whole] = self::reach($swept, $lane, $lane->metres / $count, $worstCounts);

        return new self(
            $asides, $width / 2.0 - $left, $width / 2.0 - $right, $swept, max(0.0, $leastRadius - self::tightest($points)), $width / 2.0 - $whole,
        );
    }

    /**
     * @param  non-empty-list<float>  $middles
     * @param  array<int, float>  $asides
     */
    private static function asideAt(float $along, array $middles, array $asides): float
    {
        $last = count($middles) - 1;
        if ($along <= $middles[0]) {
            return $asides[0];
        }
        for ($i = 1; $i <= $last; $i++) {
            if ($along < $middles[$i]) {
                $t = ($along - $middles[$i - 1]) / ($middles[$i] - $middles[$i - 1]);

                return $asides[$i - 1] + ($asides[$i] - $asides[$i - 1]) * $t * $t * (3.0 - 2.0 * $t);
            }
        }

        return $asides[$last];
    }

    /**
     * The smallest radius the points run on, m: of the circle through each three.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    private static function tightest(array $points): float
    {
        $least = INF;
        for ($i = 2, $n = count($points); $i < $n; $i++) {
            [$ax, $ay] = $points[$i - 2];
            [$bx, $by] = $points[$i - 1];
            [$cx, $cy] = $points[$i];
            $area = abs(($bx - $ax) * ($cy - $ay) - ($by - $ay) * ($cx - $ax)) / 2.0;
            if ($area > 1e-9) {
                $least = min($least, hypot($bx - $ax, $by - $ay) * hypot($cx - $bx, $cy - $by) * hypot($cx - $ax, $cy - $ay) / (4.0 * $area));
            }
        }

        return $least;
    }

    /**
     * @param  array<int, float>  $asides
     * @return array<int, float> all of them moved to the left, none farther than it may
     */
    private static function moved(array $asides, float $left, float $most): array
    {
        return array_map(static fn (float $aside): float => max(-$most, min($most, $aside + $left)), $asides);
    }

    /** @return array{float, float, float} how far bodies reach to the left and to the right of the lane's middle, and on the whole, m */
    private static function reach(SweptPath $swept, MiddleLine $lane, float $step, float $worstCounts): array
    {
        [$left, $right, $sum] = [-INF, -INF, 0.0];
        $shares = $step > 0.5 * self::SEARCHED ? self::COARSE : self::FINE;
        $probes = array_map(static fn (Unit $unit): array => self::probes($unit, $shares), $swept->units);
        $at = array_map(static fn (array $of): array => array_fill(0, count($of), 0), $probes);
        foreach ($swept->frames as $i => $frame) {
            [$farLeft, $farRight] = [-INF, -INF];
            foreach ($probes as $u => $of) {
                [$rearX, $rearY, $heading] = $frame[$u];
                $cos = cos($heading);
                $sin = sin($heading);
                foreach ($of as $p => [$ahead, $across]) {
                    [$aside, $at[$u][$p]] = $lane->aside(
                        $rearX + $ahead * $cos - $across * $sin, $rearY + $ahead * $sin + $across * $cos, $at[$u][$p], $i * $step,
                    );
                    $farLeft = $aside > $farLeft ? $aside : $farLeft;
                    $farRight = -$aside > $farRight ? -$aside : $farRight;
                }
            }
            $left = max($left, $farLeft);
            $right = max($right, $farRight);
            $sum += exp($worstCounts * min(self::FARTHEST, $farLeft)) + exp($worstCounts * min(self::FARTHEST, $farRight));
        }

        return [$left, $right, log($sum * $step) / $worstCounts];
    }

    /**
     * @param  non-empty-list<float>  $shares
     * @return list<array{float, float}> places along both sides, m: ahead of the rear axle, and to the left
     */
    private static function probes(Unit $unit, array $shares): array
    {
        [[$front, $half], , , [$rear]] = SweptPath::corners($unit, [0.0, 0.0, 0.0]);
        $probes = [];
        foreach ($shares as $share) {
            array_push($probes, [$front + ($rear - $front) * $share, $half], [$front + ($rear - $front) * $share, -$half]);
        }

        return $probes;
    }
}
