<?php

declare(strict_types=1);

namespace NobleTurn\Core\Road;

use NobleTurn\Core\Compute\Tool\ArmField;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Feature;
use NobleTurn\Core\Site\SiteKind;

/** The plainest site of every kind that a pack knows, with nothing said of it. */
final class UsualSites
{
    /** @return iterable<array{SiteKind, array<string, array<string, mixed>>}> what one begins to draw with, arms by their ids */
    public static function of(RulePack $pack): iterable
    {
        $main = ['w' => ['bearing_deg' => 270], 'e' => ['bearing_deg' => 90]];
        $side = static fn (array $said): array => ['s' => ['bearing_deg' => 180] + $said];
        $all = static fn (array $said, string ...$ids): array => array_map(static fn (int $at): array => ['bearing_deg' => $at] + $said,
            array_intersect_key(['s' => 180, 'w' => 270, 'n' => 0, 'e' => 90], array_flip($ids)));
        yield [SiteKind::Junction, $main + $side(['control' => 'give-way'])];
        yield [SiteKind::Junction, $main + ['n' => ['bearing_deg' => 0, 'control' => 'give-way']] + $side(['control' => 'give-way'])];
        foreach (ArmField::controls(SiteKind::Junction, $pack) as $control) {
            yield [SiteKind::Junction, $all(['control' => $control->value], 'w', 'n', 'e', 's')];
            yield [SiteKind::Junction, $all(['control' => $control->value], 'w', 'e', 's')];
        }
        yield [SiteKind::Junction, $main + $side(['alley' => true])];
        yield [SiteKind::Junction, array_map(static fn (array $arm): array => $arm + ['centre_lane' => true], $main) + $side(['control' => 'give-way'])];
        yield [SiteKind::Roundabout, $all(['control' => 'give-way'], 'w', 'n', 'e', 's')];
        yield [SiteKind::MiniRoundabout, $all(['control' => 'give-way'], 'w', 'n', 'e', 's')];
        yield [SiteKind::Slip, self::slip('in')];
        yield [SiteKind::Slip, self::slip('out')];
        yield [SiteKind::Stretch, ['w' => ['bearing_deg' => 270, 'lanes_in' => 2], 'e' => ['bearing_deg' => 90, 'lanes_out' => 2]]];
        foreach (Feature::cases() as $feature) {
            yield [$feature->kind(), ['w' => ['bearing_deg' => 270, 'holds' => [$feature->value]], 'e' => ['bearing_deg' => 90]]];
        }
    }

    /** @return array<string, array<string, mixed>> one direction of a fast road, with a slip road that leads in or out */
    private static function slip(string $direction): array
    {
        $oneWay = static fn (string $to): array => $to === 'in' ? ['lanes_in' => 2, 'lanes_out' => 0] : ['lanes_in' => 0, 'lanes_out' => 2];

        return [
            'w' => ['bearing_deg' => 270] + $oneWay('in'), 'e' => ['bearing_deg' => 90] + $oneWay('out'),
            's' => ['bearing_deg' => $direction === 'in' ? 240 : 120, 'slip' => true, "lanes_{$direction}" => 1,
                $direction === 'in' ? 'lanes_out' : 'lanes_in' => 0],
        ];
    }
}
