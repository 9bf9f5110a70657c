<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan\Clash;

use NobleTurn\Core\Plan\Chain;
use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\Fitting;

/** An opening on the same side would take the signal as its own: it waits until we are past. */
final class SignalWaitsForOpening implements Clash
{
    public function in(Fitting $fitting): ?Conflict
    {
        $chain = $fitting->chain;
        $opening = Chain::lastOpening($chain->approach);
        $wanted = max($chain->ruleMetres ?? 0.0, $chain->metres($chain->signalNeededSeconds));
        $best = $chain->metres($chain->signalSeconds);
        if ($opening === null || ! $fitting->fits() || $wanted <= max($best, $opening->nearMetres) + 0.05) {
            return null;
        }

        $say = $chain->approach->pack->lengthUnit()->place(...);

        return new Conflict(
            'signal-waits-for-opening',
            'signal only after the opening before ours',
            $wanted,
            $best,
            'signal-later',
            sprintf(
                'At %s the signal would seem to mean the opening that ends at %s. It waits until that is passed; there is still time for it to be seen.',
                $say($wanted), $say($opening->nearMetres),
            ),
        );
    }
}
