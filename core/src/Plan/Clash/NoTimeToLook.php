<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan\Clash;

use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\Fitting;

/** Rolling over the line although the view opens too late for both ways and a decision. */
final class NoTimeToLook implements Clash
{
    public function in(Fitting $fitting): ?Conflict
    {
        $chain = $fitting->chain;
        $view = $chain->approach->viewFromMetres;
        $has = $chain->profile->secondsAt($view);
        $needs = $chain->timing->lookAndDecideSeconds;
        if ($chain->creep !== null) {
            return null;
        }
        if ($chain->lineSpeed->metresPerSecond <= 0.0 || ! $chain->approach->demand->looksBeforeGoing() || $has >= $needs - 1e-3) {
            return null;
        }

        return new Conflict(
            'no-time-to-look',
            'both ways and a decision before the line',
            $view,
            $chain->metres($needs),
            'none',
            sprintf(
                'The view opens at %s, %.1f s before the line at this speed; both ways and a decision take %.1f s. Stop at the line and look from there.',
                $chain->approach->pack->lengthUnit()->place($view), $has, $needs,
            ),
            ['seconds_to_look_s' => round($has, 2)],
        );
    }
}
