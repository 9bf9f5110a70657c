<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Routine\Target;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** One of the two parts of an exercise that is driven in two: each has its own place, steps and words. */
final readonly class Stage
{
    /** Backwards so far, m (common practice: 20 to 40 ft). */
    private const BACK_M = 9.0;

    /** @param  list<Step>  $steps */
    private function __construct(
        /** `first` or `second`. */
        public string $name,
        /** Metres to the line. */
        public float $fromMetres,
        public float $toMetres,
        public array $steps,
        public string $message,
    ) {
    }

    /** @return list<self> empty for what is driven in one */
    public static function of(Chain $chain): array
    {
        $approach = $chain->approach;
        $say = static fn (string $text): string => Wording::in($approach->pack, Wording::forCar($text, $approach->vehicle->hasClutch()));
        $begins = $chain->metres($chain->mirrorsStartSeconds());
        if ($approach->demand->target === Target::FarKerb) {
            $across = $chain->halfway->metres ?? 0.0;

            return [
                new self('first', $begins, $across, Step::cases(), $say(
                    'Up to the {centre} as for a turn to the {off}, and slow. Somebody comes: wait there; after a wait mirrors and {off} shoulder again.',
                )),
                new self('second', $across, 0.0, [Step::Mirrors, Step::Look, Step::Position, Step::Speed], $say(
                    'Nobody comes: {off} mirror and shoulder, then across early, gradually and slowly, without lingering, until car and wheels '
                        .'are straight along the far {kerb}.',
                )),
            ];
        }
        if ($approach->routine === RoutineCode::BackUp) {
            return [
                new self('first', $begins, 0.0, Step::cases(), $say('Pull over: stop straight and a little off the {kerb}, wheels straight.')),
                new self('second', 0.0, self::BACK_M, [Step::Mirrors, Step::Look, Step::Position, Step::Speed], $say(
                    'Back up: all round, then through the rear window, at a slow walk [with the clutch at its biting point|on the brake alone], small slow '
                        .'corrections; stop for anybody.',
                )),
            ];
        }

        return [];
    }
}
