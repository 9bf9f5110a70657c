<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Quantity\EngineSpeed;
use NobleTurn\Core\Quantity\Speed;

/**
 * Forward gears between crankshaft and road. Gears count from 1.
 * rpm = speed / tyre circumference x final drive x gear ratio x 60.
 */
final readonly class Gearbox
{
    /** @param  non-empty-list<float>  $ratios first gear first */
    private function __construct(public array $ratios, public float $finalDrive, public Tyre $tyre)
    {
    }

    /**
     * @param  list<float>  $ratios  first gear first, each lower than the one before
     *
     * @throws BadInput
     */
    public static function of(array $ratios, float $finalDrive, Tyre $tyre): self
    {
        if ($ratios === [] || count($ratios) > 16) {
            throw BadInput::field('ratios', 'must list one to sixteen gears.');
        }
        foreach ($ratios as $i => $ratio) {
            if (! is_finite($ratio) || $ratio < 0.2 || $ratio > 20.0) {
                throw BadInput::field("ratios.{$i}", 'must lie between 0.2 and 20.');
            }
            if ($i > 0 && $ratio >= $ratios[$i - 1]) {
                throw BadInput::field("ratios.{$i}", 'must be smaller than the ratio of the gear below.');
            }
        }
        if (! is_finite($finalDrive) || $finalDrive < 1.0 || $finalDrive > 20.0) {
            throw BadInput::field('final_drive', 'must lie between 1 and 20.');
        }

        return new self($ratios, $finalDrive, $tyre);
    }

    public function circumferenceInMetres(): float
    {
        return $this->tyre->circumferenceInMetres();
    }

    /** Speed on the road at an engine speed that may be far above any real one, m/s. */
    public function metresPerSecondAt(float $rpm, int $gear): float
    {
        return $rpm / 60.0 / $this->reduction($gear) * $this->tyre->circumferenceInMetres();
    }

    /** Engine speed that may be far above any real one, rpm. */
    public function rpmAt(float $metresPerSecond, int $gear): float
    {
        return $metresPerSecond / $this->tyre->circumferenceInMetres() * $this->reduction($gear) * 60.0;
    }

    public function topGear(): int
    {
        return count($this->ratios);
    }

    public function engineSpeed(Speed $speed, int $gear): EngineSpeed
    {
        return EngineSpeed::ofRevolutionsPerMinute(
            $this->rpmAt($speed->inMetresPerSecond(), $gear),
        );
    }

    public function speed(EngineSpeed $engine, int $gear): Speed
    {
        return Speed::ofMetresPerSecond(
            $this->metresPerSecondAt($engine->inRevolutionsPerMinute(), $gear),
        );
    }

    /** The highest gear in which the engine still turns at least this fast; first where none does. */
    public function highestGearAbove(EngineSpeed $least, Speed $speed): int
    {
        for ($gear = $this->topGear(); $gear > 1; $gear--) {
            if ($this->engineSpeed($speed, $gear)->inRevolutionsPerMinute() >= $least->inRevolutionsPerMinute()) {
                return $gear;
            }
        }

        return 1;
    }

    /** Turns of the crankshaft for one of the wheel. */
    public function reduction(int $gear): float
    {
        return $this->ratios[$gear - 1] * $this->finalDrive;
    }
}
