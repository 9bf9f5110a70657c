<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Side;

/** What lies along a road, as met by who comes in by the arm that holds it. */
enum Feature: string
{
    case Parked = 'parked';
    case Narrow = 'narrow';
    case BusStop = 'bus-stop';
    case Crossing = 'crossing';
    case School = 'school';
    case Humps = 'humps';
    case Queue = 'queue';
    case Railway = 'railway';
    case LongView = 'long-view';
    case FreeKerb = 'free-kerb';
    case KerbSpace = 'kerb-space';
    case Bay = 'bay';
    case Ramp = 'ramp';

    public function kind(): SiteKind
    {
        return match ($this) {
            self::FreeKerb, self::KerbSpace, self::Bay, self::Ramp => SiteKind::Kerb,
            default => SiteKind::Stretch,
        };
    }

    /** Why it is there to be taught, as one would say it at the kerb; words that differ from place to place in braces. */
    public function because(): string
    {
        return match ($this) {
            self::Parked => 'Parked cars stand in your way: out round them, and in again.',
            self::Narrow => 'It is too narrow for two: one goes, one waits.',
            self::BusStop => 'Buses stop here, and people step out round them.',
            self::Crossing => 'People cross here.',
            self::School => 'Children come out of a school, from between cars too.',
            self::Humps => 'Humps: slow before each, and the mirror before that.',
            self::Queue => 'Traffic queues here.',
            self::Railway => 'Rails cross the road: nothing may stand on them.',
            self::LongView => 'One lane each way, and a long view ahead.',
            self::FreeKerb => 'The kerb is free here: legal, safe and convenient to stop at.',
            self::KerbSpace => 'A space at the kerb to go into forwards.',
            self::Bay => 'Bays to go into, and to come out of backwards.',
            self::Ramp => 'A ramp or a barrier uphill.',
        };
    }

    /** @return list<R> what it teaches under a pack; nothing where that pack has no such routine */
    public function teaches(RulePack $pack): array
    {
        $all = match ($this) {
            self::Parked => [R::PassParked],
            self::Narrow => [R::Meet],
            self::BusStop => [R::PassBus],
            self::Crossing, self::School => [R::People],
            self::Humps => [R::Hump],
            self::Queue => [R::QueueStop],
            self::Railway => [R::RailCrossing],
            self::LongView => [R::Overtake],
            self::FreeKerb => [
                Flank::Near->side($pack) === Side::Left ? R::PullUpLeft : R::PullUpRight, R::MoveOff, R::PullUpRightReverse, R::BackUp,
            ],
            self::KerbSpace => [R::BayIn],
            self::Bay => [R::BayIn, R::BayOut],
            self::Ramp => [R::Ramp],
        };

        return array_values(array_intersect_key($all, array_intersect(array_column($all, 'value'), array_column(Catalogue::codes($pack), 'value'))));
    }

    /** @return list<self> that a site of this kind can hold, as they are usually listed */
    public static function of(SiteKind $kind): array
    {
        return array_values(array_filter(self::cases(), static fn (self $one): bool => $one->kind() === $kind));
    }
}
