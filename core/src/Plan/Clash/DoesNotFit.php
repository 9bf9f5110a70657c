<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan\Clash;

use NobleTurn\Core\Plan\Chain;
use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\Corridor;
use NobleTurn\Core\Plan\Fitting;
use NobleTurn\Core\Plan\Obstacle;
use NobleTurn\Core\Plan\RoadSpeed;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Vehicle\Handling;

/** The routine does not fit at the speed asked for: which step gave way, and at what lower speed the whole of it fits. */
final class DoesNotFit implements Clash
{
    public function in(Fitting $fitting): ?Conflict
    {
        if ($fitting->fits()) {
            return null;
        }
        $chain = $fitting->chain;
        $approach = $chain->approach;
        $speed = $approach->pack->speedUnit()->words(Speed::ofMetresPerSecond($chain->profile->approachMps()));
        $obstacle = $fitting->obstacles[0];
        [$rule, $ruleMetres, $neededMetres, $why] = $this->reason($obstacle, $chain);
        $shortened = $fitting->compression < 1.0;
        $remedy = match (true) {
            $obstacle === Obstacle::Grip => 'Do not drive it: choose another way.',
            $obstacle->isOfTheRoad() && ! $shortened => $obstacle->isOfSight() ? "From {$speed} one can." : "Be down to {$speed} before it.",
            $shortened => sprintf(
                'Even at %s every part has to be shortened to %d %%: thinking time gives way first. Take the mirrors before the turn that comes before, or '
                    .'choose another place.',
                $speed, max(1, (int) round($fitting->compression * 100)),
            ),
            $obstacle === Obstacle::Parked => "Come past at {$speed} and the whole routine fits behind the parked cars: speed gives way to position.",
            $obstacle === Obstacle::Opening => "Ease off early, be down to {$speed} before the opening, and the signal can wait for it.",
            default => "At {$speed} the whole routine fits.",
        };

        return new Conflict($obstacle->value, $rule, $ruleMetres, $neededMetres, $shortened ? 'shortened' : 'slower', "{$why} {$remedy}", [
            'speed_to_fit_mps' => round($chain->profile->approachMps(), 3),
            'compression' => round($fitting->compression, 3),
        ]);
    }

    /** @return array{string, ?float, ?float, string} rule, its place, the place needed at the speed asked for, and why */
    private function reason(Obstacle $obstacle, Chain $fitted): array
    {
        $say = $fitted->approach->pack->lengthUnit()->place(...);

        return match ($obstacle) {
            Obstacle::Grip => [
                Wording::part($fitted->approach->pack, 'the {tyres} must hold the car'), null, null,
                Wording::in($fitted->approach->pack, 'On this slope and surface the {tyres} cannot hold the car.'),
            ],
            Obstacle::Room => [
                'the whole routine before the line', $fitted->approach->room?->inMetres(), null,
                sprintf(
                    'Only %s are left before the line, less than the routine takes at the speed asked for.',
                    $say($fitted->approach->room?->inMetres() ?? 0.0),
                ),
            ],
            Obstacle::Opening => [
                'signal only after the opening', Chain::lastOpening($fitted->approach)?->nearMetres, null,
                sprintf(
                    'Signal any earlier and people may think you want the opening at %s; after it there is no time left for the signal to be seen.',
                    $say(Chain::lastOpening($fitted->approach)->nearMetres ?? 0.0),
                ),
            ],
            Obstacle::Narrow => $this->narrow($fitted),
            Obstacle::Sight => [
                'stop within what is seen', null, null,
                sprintf(
                    'Only %s are seen ahead, and at the speed asked for stopping takes more%s.', $say($fitted->approach->ahead->seenMetres ?? 0.0),
                    self::orHalf($fitted),
                ),
            ],
            Obstacle::Curve => [
                'slow for a bend before the bend', $fitted->approach->ahead->curve?->farMetres, null,
                sprintf('The bend begins at %s and is too tight for the speed one would have there.', $say($fitted->approach->ahead->curve->farMetres ?? 0.0)),
            ],
            Obstacle::Hidden => [
                'stop within what is seen round the bend', $fitted->approach->ahead->curve?->farMetres, null,
                sprintf(
                    'In the bend at %s no more than %s are seen, and at the speed one would have there stopping takes more%s.',
                    $say($fitted->approach->ahead->curve->farMetres ?? 0.0), $say($fitted->approach->ahead->curve?->seenMetres() ?? 0.0),
                    self::orHalf($fitted),
                ),
            ],
            Obstacle::Crest => [
                'stop within what is seen over the crest', $fitted->approach->ahead->crest?->farMetres, null,
                sprintf(
                    'Over the crest at %s no more than %s are seen, and at the speed one would have there stopping takes more%s.',
                    $say($fitted->approach->ahead->crest->farMetres ?? 0.0),
                    $say($fitted->approach->ahead->crest?->seenMetres(Handling::of($fitted->approach->vehicle)->eyeMetres) ?? 0.0), self::orHalf($fitted),
                ),
            ],
            Obstacle::Dip => $this->dip($fitted),
            Obstacle::Parked => [
                'position done before firm braking', $fitted->clearOfParkedMetres(), null,
                sprintf('The parked cars are only clear at %s, too near to regain the place before firm braking.', $say($fitted->clearOfParkedMetres() ?? 0.0)),
            ],
        };
    }

    private static function orHalf(Chain $fitted): string
    {
        return RoadSpeed::isForOne($fitted->approach) ? ' than half of it: the road is too narrow for two, and somebody may come' : '';
    }

    /** @return array{string, ?float, ?float, string} */
    private function dip(Chain $fitted): array
    {
        $say = $fitted->approach->pack->lengthUnit()->place(...);
        $eye = Handling::of($fitted->approach->vehicle)->eyeMetres;
        $dip = $fitted->approach->ahead->dip;
        $from = $dip?->leastFromMetres($eye);

        return [
            'stop within what is seen before the dip', $from, null,
            sprintf(
                'The dip at %s can swallow a car: from %s no more than %s are seen, and at the speed one would have there stopping takes more%s.',
                $say($dip->farMetres ?? 0.0), $say($from ?? 0.0), $say($dip?->seenMetres($eye) ?? 0.0), self::orHalf($fitted),
            ),
        ];
    }

    /** @return array{string, ?float, ?float, string} */
    private function narrow(Chain $fitted): array
    {
        $tightest = null;
        foreach (Corridor::along($fitted->approach) as $corridor) {
            $tightest = $tightest === null || $corridor->clearMetres < $tightest->clearMetres ? $corridor : $tightest;
        }

        return [
            'a door’s width to parked cars', $tightest?->fromMetres, null,
            sprintf(
                'Between the parked cars only %s is left %s: a door, or somebody stepping out, would be in our way. Nobody has priority there: hold back for '
                    .'anything wide.',
                $fitted->approach->pack->lengthUnit()->place($tightest->clearMetres ?? 0.0),
                $tightest !== null && $tightest->nearParked && $tightest->offParked ? 'on each side' : 'beside them',
            ),
        ];
    }
}
