<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/**
 * How the revs meet the next gear. With the clutch down and the foot off they fall towards idle, the slower the nearer they are to it; how fast belongs
 * to the car. What is missing when the lever is in, the foot makes up for; what is too much is waited for.
 */
final readonly class RevMatch
{
    /** In so long two thirds of what is above idle are gone, s (assumed; measured by two engine speeds and a watch). */
    public const FALLS_S = 1.2;

    /** So near nobody feels it, rpm (assumed): the clutch takes up the rest. */
    public const NEAR = 150.0;

    /** Up to here a little of what is there is held, up to there some is added, beyond it takes a blip, rpm short (assumed). */
    public const HOLD = 500.0;

    public const ADD = 1000.0;

    /** A gear that asks for more than this of the red line is neither pulled in nor changed down to: the brake first (assumed). */
    public const MOST_OF_RED = 0.8;

    public Foot $foot;

    /** Where they are by themselves once the lever is in, rpm. */
    public float $fallsToRpm;

    /** So much longer before the clutch comes up, s: they are still above what the gear asks; null where they never come down to it. */
    public ?float $waitSeconds;

    /**
     * @param  float  $before  engine speed before the change, rpm
     * @param  float  $after  what the next gear asks at the same road speed, rpm
     * @param  float  $seconds  the change takes
     */
    public function __construct(public float $before, public float $after, float $seconds, public float $idle, float $falls)
    {
        $this->fallsToRpm = $idle + max(0.0, $before - $idle) * exp(-$seconds / $falls);
        $short = $after - $this->fallsToRpm;
        $this->foot = match (true) {
            $short <= self::NEAR => Foot::Nothing,
            $short <= self::HOLD => Foot::Hold,
            $short <= self::ADD => Foot::Add,
            default => Foot::Blip,
        };
        $this->waitSeconds = match (true) {
            $short >= -self::NEAR => 0.0,
            $after + self::NEAR <= $idle => null,
            default => max(0.0, $falls * log(($before - $idle) / ($after + self::NEAR - $idle)) - $seconds),
        };
    }

    /**
     * How fast they fall, by two engine speeds and the time between them.
     *
     * @return float as FALLS_S, s
     */
    public static function measured(float $from, float $to, float $seconds, float $idle): float
    {
        return $seconds / log(($from - $idle) / ($to - $idle));
    }

    /** As it is said; with words of the pack in braces. */
    public function message(int $from, int $to): string
    {
        $rpm = static fn (float $value): string => number_format(round($value / 50.0) * 50.0);
        $where = "{$from} to {$to}: the revs fall to {$rpm($this->fallsToRpm)} by themselves, {$to} asks for {$rpm($this->after)}";

        return match (true) {
            $this->waitSeconds === null => "{$where}, which is below idle: {$to} is too high for this speed.",
            $this->waitSeconds > 0.0 => sprintf('%s: they hang, wait about %.1f s longer before the clutch comes up.', $where, $this->waitSeconds),
            default => $where.match ($this->foot) {
                Foot::Nothing => ': nothing, foot off.',
                Foot::Hold => ': hold the {accelerator} a little through the change.',
                Foot::Add => ': add some {accelerator} before the clutch comes up.',
                Foot::Blip => ': a short blip while the clutch is down, or let the clutch come up slowly and feel it take them up.',
            },
        };
    }
}
