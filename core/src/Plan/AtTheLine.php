<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\Light;
use NobleTurn\Core\Place\TooLittleSeen;
use NobleTurn\Core\Routine\Arrival;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Flank;

/** What waits at the line, just before it and beyond it, as sentences for the instructor. */
final class AtTheLine
{
    /** @return list<Warning> */
    public static function warnings(Chain $chain): array
    {
        return [
            ...self::before($chain), ...self::opening($chain), ...self::red($chain->approach), ...self::box($chain), ...self::beyond($chain),
            ...self::seen($chain->approach), ...self::roadMet($chain->approach),
        ];
    }

    /** @return list<Warning> */
    private static function before(Chain $chain): array
    {
        $approach = $chain->approach;
        $path = $approach->junction->pathBeforeMetres;

        return $path === null ? [] : [new Warning('path-before-line', sprintf(
            'First the path at %s: both ways along it, slow enough to stop before it, then the line.', $approach->pack->lengthUnit()->place($path),
        ), ['at_m' => round($path, 2), 'speed_mps' => round($chain->profile->mpsAt($path), 3)])];
    }

    /** @return list<Warning> */
    private static function opening(Chain $chain): array
    {
        $opening = Chain::nearestOpening($chain->approach);

        return $opening === null || $chain->approach->practice->waitsForOpening || $chain->metres($chain->signalSeconds) <= $opening->nearMetres ? [] : [
            new Warning('signal-before-opening', sprintf(
                'The signal is on before the opening that ends at %s: whoever waits there may take it as meant for them. Watch them until we are past.',
                $chain->approach->pack->lengthUnit()->place($opening->nearMetres),
            ), ['opening_m' => round($opening->nearMetres, 2)]),
        ];
    }

    /** @return list<Warning> */
    private static function red(Approach $approach): array
    {
        if (! WhichGears::rollsUpToRed($approach)) {
            return [];
        }
        $gear = $approach->practice->readyForGreen
            ? '[; second is in by then, and first only just before the stop|]'
            : '[; the clutch goes down late, and the gear is chosen when it is known that we go|]';

        return [new Warning('rolling-up-to-red', Wording::forCar(
            "Ease off early, so as to be still rolling when it changes{$gear}.", $approach->vehicle->hasClutch(),
        ))];
    }

    /** @return list<Warning> */
    private static function box(Chain $chain): array
    {
        $approach = $chain->approach;
        if ($approach->junction->cycleBoxMetres <= 0.0) {
            return [];
        }

        return [new Warning('cycle-box', Wording::in($approach->pack, $approach->light === Light::Green
            ? 'The box beyond our line is for cycles: if it changes we stop behind it; {near} mirror for cycles before going through.'
            : 'Stop behind the box for cycles, at the first line; before going on, both mirrors and the {near} shoulder for whoever came up beside us.',
        ), ['depth_m' => round($approach->junction->cycleBoxMetres, 2)])];
    }

    /** @return list<Warning> */
    private static function beyond(Chain $chain): array
    {
        $creep = $chain->creep;
        if ($creep === null) {
            return [];
        }
        $stop = $chain->lineSpeed->metresPerSecond <= 0.0 ? 'Stop at the line first' : 'Roll up to the line at walking pace';

        return [new Warning('view-beyond-line', sprintf(
            '%s; the view opens only %s beyond it: creep there, about %.0f s, and go on looking all the way.', $stop,
            $chain->approach->pack->lengthUnit()->place($creep->metres), max(1.0, $creep->seconds),
        ), ['creep_s' => round($creep->seconds, 2)])];
    }

    /** @return list<Warning> */
    private static function seen(Approach $approach): array
    {
        $say = $approach->pack->lengthUnit()->place(...);

        return array_map(static fn (TooLittleSeen $side): Warning => new Warning('sight-too-short', sprintf(
            'To the %s only %s can be seen from the line, and %s are needed: stop, creep to where more is seen, listen, or go another way.',
            $side->side->value, $say($side->seenMetres), $say($side->neededMetres),
        ), ['seen_m' => round($side->seenMetres, 1), 'needed_m' => round($side->neededMetres, 1)]), $approach->junction->tooLittleSeen);
    }

    /** @return list<Warning> */
    private static function roadMet(Approach $approach): array
    {
        $parked = $approach->junction->roadMet->parked;
        if ($approach->demand->arrival !== Arrival::Line || $approach->control === Control::None || (! $parked->near() && ! $parked->far())) {
            return [];
        }
        $turnsAcross = $approach->demand->signals === Flank::Off;
        $turnsNear = $approach->demand->signals === Flank::Near;
        $found = [];
        if ($parked->near()) {
            $found[] = new Warning('parked-on-road-met', Wording::in($approach->pack, $turnsNear
                ? 'Cars are parked round the corner: look {near} too, for somebody coming past them on our half; is there room to end up in?'
                : 'Parked cars hide the nearest lane: creep until it can be seen past them.',
            ));
        }
        if ($parked->far()) {
            $found[] = new Warning('parked-opposite', Wording::in($approach->pack, $turnsAcross
                ? 'Cars are parked opposite: turn a little earlier, ask whether there is room to end up in, and regain the {near} side after them.'
                : 'Cars are parked opposite: those who come past them may be on our half.',
            ));
        }

        return $found;
    }
}
