<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Lanes\Layout;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Arm;
use NobleTurn\Core\Site\Site;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Trade\Side;

/** The lanes of a site: what is painted on them and when they are for buses, and what the lanes tool is asked of a way where there is a choice of lane. */
final class WayLanes
{
    /** More than so many lanes the lanes tool does not know. */
    private const MOST = 4;

    /** @return list<ListField> what an arm can say of each of its lanes */
    public static function fields(): array
    {
        return [
            new ListField('approach_lanes', 'lanes towards the site, nearside first, as many as lanes_in', new ObjectField('lane', 'a lane', new Shape(
                new ListField('to', 'arms painted on it; nothing: no marking', new TextField('arm', 'id of an arm', 20), 8),
                new FlagField('bus', 'for buses at any hour'), BusHours::listField(),
            )), self::MOST),
            new ListField('exit_lanes', 'lanes away from it, nearside first, as many as lanes_out', new ObjectField('lane', 'a lane', new Shape(
                BusHours::listField(), new QuantityField('bus_begins', 'from the far edge of the site to where it is for buses', Kind::Distance, 0.0, 2000.0),
            )), self::MOST),
        ];
    }

    /**
     * @param  array<string, Values>  $arms  by their ids, in the order given
     *
     * @throws BadInput where an arm says more or fewer of them than it has, or paints a way that nobody can drive
     */
    public static function check(Site $site, array $arms): void
    {
        $errors = [];
        foreach (array_keys($arms) as $i => $id) {
            $arm = $site->arm($id, 'arms');
            foreach (['approach_lanes' => $arm->lanesIn, 'exit_lanes' => $arm->lanesOut] as $field => $number) {
                if ($arms[$id]->has($field) && ! $site->kind->isMet()) {
                    $errors["arms.{$i}.{$field}"][] = "must not be given at {$site->kind->words()}: nothing is chosen by paint there.";
                } elseif ($arms[$id]->has($field) && count($arms[$id]->objects($field)) !== $number) {
                    $errors["arms.{$i}.{$field}"][] = "must say one for each of its lanes: {$number}.";
                }
            }
            foreach ($arms[$id]->objects('approach_lanes') as $n => $lane) {
                foreach ($lane->texts('to') as $to) {
                    $there = array_values(array_filter($site->arms, static fn (Arm $one): bool => $one->id === $to));
                    if ($to === $id || $there === [] || ! $there[0]->leadsOut()) {
                        $errors["arms.{$i}.approach_lanes.{$n}.to"][] = "must be arms that can be driven to from here; {$to} is none.";
                    }
                }
            }
        }
        if ($errors !== []) {
            throw BadInput::of($errors);
        }
    }

    /**
     * @param  array<string, Values>  $arms  by their ids
     * @return ?array<string, mixed> what the lanes tool is asked; null where one lane leads in, or more than it knows
     */
    public static function asked(Way $way, Site $site, array $arms, RulePack $pack): ?array
    {
        $most = max([0, ...array_map(static fn (Arm $arm): int => $arm->lanesEachWay(), $site->arms)]);
        if (! $site->kind->isMet() || $way->from->lanesIn < 2 || $most > self::MOST) {
            return null;
        }
        $names = [];
        foreach ($site->arms as $arm) {
            $names[$arm->id] = mb_substr($site->called($arm), 0, 60);
        }

        return [
            'pack' => $pack->code(), 'layout' => ($site->kind->isGoneRound() ? Layout::Roundabout : Layout::Junction)->value,
            'arms' => array_map(static fn (Arm $arm): array => self::arm($arm, $arms[$arm->id], $names, $pack), $site->arms),
            'from' => $names[$way->from->id], 'to' => $names[$way->to->id],
        ] + match ($site->kind) {
            SiteKind::MiniRoundabout => ['mini' => true],
            SiteKind::Spiral => ['spirals_by_paint' => true],
            default => [],
        } + self::speed($arms[$way->from->id]);
    }

    /**
     * @param  array<string, string>  $names
     * @return array<string, mixed>
     */
    private static function arm(Arm $arm, Values $said, array $names, RulePack $pack): array
    {
        // In driving order: clockwise where one keeps left.
        $angle = $pack->keeps() === Side::Left ? $arm->bearingDegrees : fmod(360.0 - $arm->bearingDegrees, 360.0);
        $lanes = $said->said()['approach_lanes'] ?? array_fill(0, max(1, $arm->lanesIn), ['to' => []]);
        $painted = array_map(static fn (array $lane): array => ['to' => array_map(static fn (string $id): string => $names[$id], $lane['to'] ?? [])] + $lane,
            is_array($lanes) ? array_values($lanes) : []);

        return [
            'name' => $names[$arm->id], 'angle_deg' => $angle, 'approach_lanes' => $painted, 'exit_lanes' => $said->said()['exit_lanes'] ?? $arm->lanesOut,
        ] + ($arm->control === Control::Signals ? ['lights' => true] : []);
    }

    /** @return array<string, mixed> of the approach: its limit, in the unit in which it was said */
    private static function speed(Values $arm): array
    {
        $limit = $arm->said();

        return array_filter(
            ['speed_mph' => $limit['limit_mph'] ?? null, 'speed_kmh' => $limit['limit_kmh'] ?? null], static fn (mixed $one): bool => $one !== null,
        );
    }
}
