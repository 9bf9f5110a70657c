<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/**
 * The rules of thumb for revs on a gear change, held against what the ratios ask (common practice, no source: feel
 * rules, no single pair of gears fits all of them).
 */
final readonly class RevRule
{
    /** Shifting up at about this many rpm, the engine is said to drop to between the other two. */
    private const UP = [[2000.0, 1000.0, 1500.0], [2500.0, 1000.0, 1500.0], [4000.0, 2500.0, 2500.0], [6000.0, 4000.0, 4000.0]];

    /** Shifting down at about this many rpm, between the other two are said to be added. */
    private const DOWN = [[1000.0, 200.0, 300.0], [2000.0, 1000.0, 1000.0], [3000.0, 1500.0, 1500.0]];

    /** Within this of the rule counts as agreeing, rpm (assumed); a feel rule is good to about a tenth (common practice). */
    private const NEAR = 150.0;

    private const NEAR_SHARE = 0.1;

    /** The rule is said only for engine speeds this near its own, rpm (assumed). */
    private const REACH = 400.0;

    private function __construct(public float $atRpm, public float $lowRpm, public float $highRpm, public bool $agrees, public string $message)
    {
    }

    /** Null where no rule of thumb speaks about this engine speed. */
    public static function for(float $before, float $after): ?self
    {
        $down = $after > $before;
        $nearest = null;
        foreach ($down ? self::DOWN : self::UP as $rule) {
            if (abs($rule[0] - $before) <= self::REACH && ($nearest === null || abs($rule[0] - $before) < abs($nearest[0] - $before))) {
                $nearest = $rule;
            }
        }
        if ($nearest === null || $before === $after) {
            return null;
        }
        [$at, $low, $high] = $nearest;
        $measured = $down ? $after - $before : $after;
        $near = max(self::NEAR, $down ? 0.0 : self::NEAR_SHARE * $high);
        $agrees = $measured >= $low - $near && $measured <= $high + $near;
        $said = $low === $high ? sprintf('about %.0f', $low) : sprintf('%.0f to %.0f', $low, $high);

        return new self($at, $low, $high, $agrees, sprintf(
            $down
                ? 'Down from about %.0f rpm, add %s is said; these ratios ask %.0f%s.'
                : 'Up at about %.0f rpm, a drop to %s is said; these ratios give %.0f%s.',
            $at, $said, $measured, $agrees ? '' : ': the rule does not fit this pair of gears',
        ));
    }
}
