<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Place\Control;

/** What an arm must and must not be at each kind of site; sentences by field. */
final class ArmRules
{
    /** Mouths farther from the middle than this are two junctions, m (assumed). */
    public const MOST_STAGGER_M = 60.0;

    /** @return array<string, string> what is wrong with one arm by itself */
    public static function broken(SiteKind $kind, Arm $arm): array
    {
        $strange = array_filter($arm->holds, static fn (Feature $feature): bool => $feature->kind() !== $kind);

        return array_filter([
            'control' => self::control($kind, $arm),
            'slip' => $arm->isSlip && $kind !== SiteKind::Slip ? "must not be given at {$kind->words()}: only a slip has slip roads." : null,
            'stagger_m' => $kind === SiteKind::Junction || $arm->staggerMetres === 0.0 ? null : 'belongs to a junction, where mouths can lie apart.',
            'holds' => match (true) {
                $strange === [] => $arm->lanesIn === 0 && $arm->holds !== [] ? "must be empty: nobody comes in by {$arm->name}." : self::overtaking($arm),
                Feature::of($kind) === [] => "must be empty at {$kind->words()}: what lies along a road is a stretch or a kerb of its own.",
                default => 'must be of '.implode(', ', array_column(Feature::of($kind), 'value'))." at {$kind->words()}.",
            },
        ], static fn (?string $sentence): bool => $sentence !== null);
    }

    /**
     * One direction of a fast road: a way in and a way out, and one or two slip roads.
     *
     * @param  list<Arm>  $arms
     * @return array<string, list<string>>
     */
    public static function brokenBySlip(array $arms): array
    {
        $main = array_filter($arms, static fn (Arm $arm): bool => ! $arm->isSlip);
        $errors = [];
        foreach ($arms as $i => $arm) {
            if ($arm->leadsIn() && $arm->leadsOut()) {
                $errors["arms.{$i}.lanes_in"][] = 'must be 0 here, or lanes_out: a slip is one direction of a fast road, and every road of it one-way.';
            }
        }
        if ($errors === [] && (count($main) !== 2 || count(array_filter($main, static fn (Arm $arm): bool => $arm->leadsIn())) !== 1)) {
            $errors['arms'][] = 'must be one way in and one way out of the fast road, and besides them one or two marked as slip roads.';
        }

        return $errors;
    }

    private static function control(SiteKind $kind, Arm $arm): ?string
    {
        return match (true) {
            $kind->isGoneRound() => in_array($arm->control, [Control::GiveWay, Control::Signals, Control::Stop], true)
                ? null : 'must be give-way, stop or signals on to a roundabout.',
            $kind->isMet(), $arm->control === Control::None => null,
            default => "must be none at {$kind->words()}: no line ends the road there.",
        };
    }

    private static function overtaking(Arm $arm): ?string
    {
        return match (true) {
            ! in_array(Feature::LongView, $arm->holds, true) => null,
            $arm->lanesIn > 1 => 'must not have long-view beside two lanes in: passing there is a lane change.',
            ! $arm->leadsOut() => 'must not have long-view on a one-way road: nobody comes towards you on it.',
            default => null,
        };
    }
}
