<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

use NobleTurn\Core\Place\Bend;
use NobleTurn\Core\Vehicle\Unit;

/** A line through a bend for the front axle's middle - how far out, where to begin, how tight - and the room it leaves. */
final readonly class BendLine
{
    private const STEP = 0.25;

    /** Straight before and after the bend, m: longer than any combination. What lies before it needs no steps. */
    private const LEAD = 25.0;

    /** Each of the three choices is narrowed down this often, by turns. */
    private const ROUNDS = 3;

    /** To about 1 % of a range. */
    private const TRIES = 9;

    private function __construct(
        /** Front axle's middle from the inner kerb, before and after, m. */
        public float $entryFromKerbMetres,
        public float $exitFromKerbMetres,
        public float $radiusMetres,
        /** Front axle past the beginning of the kerb's curve when it starts to turn, m; negative before it. */
        public float $beginAtMetres,
        public float $spareInsideMetres,
        public float $spareOutsideMetres,
        public SweptPath $swept,
    ) {
    }

    public function spareMetres(): float
    {
        return min($this->spareInsideMetres, $this->spareOutsideMetres);
    }

    /**
     * The line that leaves most room on its tighter side.
     *
     * @param  non-empty-list<Unit>  $units
     * @param  float  $leastRadius  the smallest the front axle's middle can follow, m
     */
    public static function best(array $units, Bend $bend, float $leastRadius): self
    {
        $half = $units[0]->widthMetres / 2.0;
        $ranges = [
            [$half, max($half, $bend->entryWidthMetres - $half)],
            [$half, max($half, $bend->exitWidthMetres - $half)],
            [$leastRadius, max($leastRadius + 1.0, 3.0 * ($bend->kerbRadiusMetres + max($bend->entryWidthMetres, $bend->exitWidthMetres)))],
        ];
        $room = new BendRoom($bend, $units);
        $spare = static fn (array $at): float => self::with($units, $bend, $room, $at[0], $at[1], $at[2], false)->spareMetres();
        $choice = self::start($ranges, $spare);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            foreach ([2, 0, 1] as $which) {
                $choice[$which] = GoldenSection::highest(static function (float $value) use ($choice, $which, $spare): float {
                    $choice[$which] = $value;

                    return $spare($choice);
                }, $ranges[$which][0], $ranges[$which][1], self::TRIES);
            }
        }

        return self::with($units, $bend, $room, $choice[0], $choice[1], $choice[2], true);
    }

    /**
     * How much work the search is, steps of one unit along one piece of a path, each half as dear as one that is kept and measured:
     * what is tried lies nearer to the small radii than to the large ones (measured).
     *
     * @param  non-empty-list<Unit>  $units
     */
    public static function effort(array $units, Bend $bend, float $leastRadius): float
    {
        $tried = 30 + self::ROUNDS * 3 * (self::TRIES + 2) + 1;
        $largest = max($leastRadius + 1.0, 3.0 * ($bend->kerbRadiusMetres + max($bend->entryWidthMetres, $bend->exitWidthMetres)));

        return 0.5 * $tried * count($units) * (self::LEAD + 0.35 * $largest * $bend->angleRadians) / self::STEP;
    }

    /**
     * The best of a few spread over the ranges: the three choices hang together, and climbing one at a time needs a good
     * beginning.
     *
     * @param  array{array{float, float}, array{float, float}, array{float, float}}  $ranges
     * @param  callable(array{float, float, float}): float  $spare
     * @return array{float, float, float}
     */
    private static function start(array $ranges, callable $spare): array
    {
        $best = null;
        $most = -INF;
        $within = static fn (int $which, float $share): float => $ranges[$which][0] + ($ranges[$which][1] - $ranges[$which][0]) * $share;
        foreach ([0.5, 0.95] as $in) {
            foreach ([0.25, 0.6, 0.95] as $out) {
                foreach ([0.02, 0.15, 0.3, 0.5, 0.75] as $radius) {
                    $choice = [$within(0, $in), $within(1, $out), $within(2, $radius)];
                    $here = $spare($choice);
                    if ($best === null || $here > $most) {
                        [$best, $most] = [$choice, $here];
                    }
                }
            }
        }

        return $best;
    }

    /** @param  non-empty-list<Unit>  $units */
    public static function at(array $units, Bend $bend, float $entryFromKerb, float $exitFromKerb, float $radius): self
    {
        return self::with($units, $bend, new BendRoom($bend, $units), $entryFromKerb, $exitFromKerb, $radius, true);
    }

    /**
     * @param  non-empty-list<Unit>  $units
     * @param  bool  $isTold  with every position on the way in as well: what room there is they change nothing of
     */
    private static function with(
        array $units, Bend $bend, BendRoom $room, float $entryFromKerb, float $exitFromKerb, float $radius, bool $isTold,
    ): self {
        $angle = $bend->angleRadians;
        $centreY = $radius - $bend->kerbRadiusMetres - $entryFromKerb;
        $begin = ($bend->kerbRadiusMetres + $exitFromKerb - $radius + cos($angle) * $centreY) / sin($angle);
        $round = [['radius' => $radius, 'angle' => $angle], ['length' => self::LEAD]];
        $path = $isTold ? Path::of([['length' => self::LEAD], ...$round], self::STEP)->moved(-self::LEAD, 0.0)
            : Path::of($round, self::STEP)->cameStraight(self::LEAD);
        $path = $path->moved($begin, -$bend->kerbRadiusMetres - $entryFromKerb);
        $swept = SweptPath::along($path, $units);
        [$inside, $outside] = $room->of($swept);

        return new self($entryFromKerb, $exitFromKerb, $radius, $begin, $inside, $outside, $swept);
    }
}
