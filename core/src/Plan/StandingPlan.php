<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;

/**
 * Moving off: the car stands, so each step has a moment and no place. Seconds to go until the wheels turn, planned
 * backwards from it: one last look, the car made ready, a signal that can be read, all round. All times are assumed.
 */
final readonly class StandingPlan
{
    /** Shoulder and eyes ahead again. */
    public const LAST_LOOK_S = 1.2;

    /** A little gas, and the biting point where there is a clutch. */
    public const READY_S = 2.0;

    /** Seen by those it is for before anything moves. */
    public const SEEN_S = 3.0;

    /** Six looks of half a second with the head turned between. */
    public const ALL_ROUND_S = 4.5;

    public const THINK_S = 1.0;

    /** @param  array{mirrors: float, signal: float, speed: float, look: float}  $at  seconds to go */
    private function __construct(public array $at)
    {
    }

    public static function of(bool $hasClutch, bool $uphill): self
    {
        $look = self::LAST_LOOK_S;
        $speed = $look + self::READY_S + ($hasClutch && $uphill ? 1.0 : 0.0);
        $signal = max($speed, self::SEEN_S);

        return new self(['mirrors' => $signal + self::THINK_S + self::ALL_ROUND_S, 'signal' => $signal, 'speed' => $speed, 'look' => $look]);
    }

    /** @return list<Assumption> */
    public function assumptions(): array
    {
        $assumed = Source::assumed();

        return [
            new Assumption('last look over the shoulder', self::LAST_LOOK_S, 's', $assumed),
            new Assumption('car made ready', self::READY_S, 's', $assumed),
            new Assumption('signal seen before the wheels turn', self::SEEN_S, 's', $assumed),
            new Assumption('looking all round', self::ALL_ROUND_S, 's', $assumed),
            new Assumption('time to think', self::THINK_S, 's', $assumed),
        ];
    }
}
