<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Fault\BadInput;

/**
 * A corner driven at one radius of the rear axle's middle: how much wheel, when to begin and when to straighten.
 * Places are metres the front bumper is past the point where the kerb begins to curve; negative before it.
 */
final readonly class Corner
{
    /** Turning the wheel to where it stays for the corner, and back, each take this long, s (assumed). */
    public const WHEEL_S = 1.5;

    /** Sideways acceleration that still feels comfortable, m/s2 (assumed, range 2 to 3). */
    public const COMFORTABLE_SIDEWAYS = 2.5;

    private function __construct(
        public Chassis $chassis,
        /** Of the rear axle's middle, m. */
        public float $radiusMetres,
        public float $angleRadians,
        public float $speedMps,
        public ?float $kerbGapMetres,
        /** Comfortable in it, m/s2. */
        public float $sidewaysMps2,
    ) {
    }

    /**
     * @param  float  $radius  of the rear axle's middle, m
     * @param  float  $angle  how far the road turns, radians
     * @param  float  $speed  m/s; taken down to the comfortable one
     * @param  ?float  $kerbGap  between the inner rear wheel and the kerb, m; null where there is no kerb
     * @param  float  $sideways  comfortable in the vehicle, m/s2
     *
     * @throws BadInput where the car cannot steer that tightly
     */
    public static function of(
        Chassis $chassis, float $radius, float $angle, ?float $speed, ?float $kerbGap = null, string $field = 'radius_m',
        float $sideways = self::COMFORTABLE_SIDEWAYS,
    ): self {
        if ($radius < $chassis->minimumRadiusMetres() - 1e-9) {
            throw BadInput::field(
                $field,
                sprintf('is tighter than this vehicle steers: the middle of its rear axle turns on %.1f m at the least.', $chassis->minimumRadiusMetres()),
            );
        }
        $comfortable = sqrt($sideways * $radius);

        return new self($chassis, $radius, $angle, min($speed ?? $comfortable, $comfortable), $kerbGap, $sideways);
    }

    /** Along a kerb: the inner rear wheel keeps its gap to it. */
    public static function alongKerb(
        Chassis $chassis, float $kerbRadius, float $kerbGap, float $angle, ?float $speed, float $sideways = self::COMFORTABLE_SIDEWAYS,
    ): self {
        return self::of($chassis, $kerbRadius + $kerbGap + $chassis->trackMetres / 2.0, $angle, $speed, $kerbGap, 'kerb_radius_m', $sideways);
    }

    public function comfortableMps(): float
    {
        return sqrt($this->sidewaysMps2 * $this->radiusMetres);
    }

    /** Turns of the hand wheel held through the corner. */
    public function turns(): float
    {
        return $this->chassis->handWheelRadians($this->radiusMetres) / (2.0 * M_PI);
    }

    /** The rear axle reaches the curve when the bumper is this far past its beginning; half the wheel's time comes before. */
    public function steerAtMetres(): float
    {
        return $this->chassis->wheelbaseMetres + $this->chassis->frontOverhangMetres - $this->speedMps * self::WHEEL_S / 2.0;
    }

    /** Heading still to turn when the wheel begins to come back, radians. */
    public function straightenWithRadians(): float
    {
        return min($this->angleRadians, $this->speedMps * self::WHEEL_S / 2.0 / $this->radiusMetres);
    }

    /** Room the body sweeps between its inner side at the rear axle and its outer front corner, m. */
    public function sweptMetres(): float
    {
        return $this->chassis->outerRadiusMetres($this->radiusMetres) - ($this->radiusMetres - $this->chassis->widthMetres / 2.0);
    }

    /** How much nearer to the kerb the rear wheels run than the front ones, m. */
    public function cutInMetres(): float
    {
        return hypot($this->radiusMetres, $this->chassis->wheelbaseMetres) - $this->radiusMetres;
    }
}
