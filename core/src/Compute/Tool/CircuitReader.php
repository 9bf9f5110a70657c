<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Circuit\BusyHours;
use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Circuit\KindOfRoad;
use NobleTurn\Core\Circuit\MeasuredLeg;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;

/** From the fields of a lesson's drive to the ways of a circuit and what lies between them. */
final class CircuitReader
{
    public const MOST_WAYS = 40;

    public const MOST_ROUNDS = 20;

    /** A way is driven so often where nobody says it (assumed). */
    public const ROUNDS = 2;

    private const MOST_LEGS = 400;

    /** @return list<QuantityField> the kinds of road whose usual pace can be said otherwise */
    public static function paces(): array
    {
        return array_map(static fn (KindOfRoad $road): QuantityField => new QuantityField(
            $road->value, "pace from door to door on such roads; default {$road->kmh()} km/h", Kind::Speed, 1.0, 40.0,
        ), KindOfRoad::cases());
    }

    private static function id(string $key, string $about): TextField
    {
        return (new TextField($key, $about, 60))->required();
    }

    /** @param  int  $rounds  where nobody says how often */
    public static function ways(int $most, int $rounds, string $about): ListField
    {
        return new ListField('ways', $about, new ObjectField('way', 'a way through a site', new Shape(
            self::id('id', 'told apart by it'), new TextField('name', 'as it is said; default its id', 160),
            ChoiceField::of('routine', 'which one it teaches', RoutineCode::class)->required(),
            PositionField::of('in', 'where its approach begins')->required(), PositionField::of('out', 'where it ends; default where it begins'),
            new NumberField('difficulty', '0 easy to 1 hard; default 0', 0.0, 1.0),
            new NumberField('rounds', 'how often it is driven, a whole number; default '.$rounds, 1.0, (float) self::MOST_ROUNDS),
            ChoiceField::of('road', 'what one drives on around it; default as usual for the routine', KindOfRoad::class),
            new QuantityField('brief', 'talking before its first round; default '.Stop::BRIEF_S, Kind::Duration, 0.0, 3600.0),
            new QuantityField('round', 'one round; default from where it lies', Kind::Duration, 1.0, 3600.0),
            new QuantityField('again', 'the loop that leads back to it; default from where it lies', Kind::Duration, 0.0, 3600.0),
            new TextField('direction', 'how the learner is asked for it, as its plan says; without it nothing is told of the way', 300),
            new QuantityField('say_at', 'so far before its line the direction must have been said, as its plan says; default 0',
                Kind::Distance, 0.0, 5_000.0),
        )), $most);
    }

    public static function measuredLegs(): ListField
    {
        return new ListField('legs', 'drives that somebody has measured', new ObjectField('leg', 'from one way to another', new Shape(
            self::id('from', 'id of a way, or start'), self::id('to', 'id of a way, or end'),
            (new QuantityField('time', 'as it was measured', Kind::Duration, 0.0, 36_000.0))->required(),
            new QuantityField('distance', 'as it was measured; default from where they lie', Kind::Distance, 0.0, 100_000.0),
        )), self::MOST_LEGS);
    }

    /** @throws BadInput where the time or its zone cannot be read */
    public static function drive(Values $input, int $seconds, RulePack $pack): Drive
    {
        $kmh = [];
        foreach (KindOfRoad::cases() as $road) {
            $pace = $input->object('speeds')?->speed($road->value);
            if ($pace !== null) {
                $kmh[$road->value] = $pace->inMetresPerSecond() * 3.6;
            }
        }
        $at = self::startsAt($input, $pack);

        return new Drive($input->number('detour_factor') ?? Drive::DETOUR, $at === null ? 1.0 : BusyHours::over($at, $seconds), $kmh);
    }

    /**
     * @return list<Stop>
     *
     * @throws BadInput where one has the id of another, or a routine that the pack has not
     */
    public static function stops(Values $input, RulePack $pack, Drive $drive, int $roundsUnsaid = self::ROUNDS): array
    {
        $stops = $seen = $errors = [];
        foreach ($input->objects('ways') as $i => $way) {
            $id = $way->text('id') ?? '';
            $routine = $way->choice('routine', RoutineCode::class) ?? RoutineCode::BetweenHazards;
            $rounds = $way->number('rounds') ?? (float) $roundsUnsaid;
            if (isset($seen[$id]) || in_array($id, [MeasuredLeg::START, MeasuredLeg::END], true)) {
                $errors["ways.{$i}.id"][] = isset($seen[$id]) ? "must not be given twice ({$id})." : "must not be {$id}: that is where the lesson does so.";
            }
            if (in_array($routine, $pack->lacks(), true)) {
                $errors["ways.{$i}.routine"][] = "is not driven under the rules of {$pack->name()}.";
            }
            if ($rounds !== floor($rounds)) {
                $errors["ways.{$i}.rounds"][] = 'must be a whole number.';
            }
            $seen[$id] = true;
            $in = PositionField::read($way->object('in')) ?? throw BadInput::field("ways.{$i}.in", 'is missing.');
            $stops[] = new Stop(
                $id, $way->text('name') ?? $id, $in, PositionField::read($way->object('out')) ?? $in,
                $way->choice('road', KindOfRoad::class) ?? KindOfRoad::usual($routine), $way->number('difficulty') ?? 0.0, (int) $rounds, $drive,
                $way->duration('brief')?->inSeconds(), $way->duration('round')?->inSeconds(), $way->duration('again')?->inSeconds(),
                $way->text('direction'), $way->distance('say_at')?->inMetres() ?? 0.0,
            );
        }
        if ($errors !== []) {
            throw BadInput::of($errors);
        }

        return $stops;
    }

    /**
     * @param  list<Stop>  $stops
     * @return list<MeasuredLeg>
     *
     * @throws BadInput where a leg leads from or to nowhere, or is measured twice
     */
    public static function legs(Values $input, array $stops): array
    {
        $ids = array_map(static fn (Stop $stop): string => $stop->id, $stops);
        $legs = $errors = [];
        foreach ($input->objects('legs') as $i => $leg) {
            [$from, $to] = [$leg->text('from') ?? '', $leg->text('to') ?? ''];
            if (! in_array($from, [MeasuredLeg::START, ...$ids], true)) {
                $errors["legs.{$i}.from"][] = 'must be the id of a way, or start.';
            }
            if (! in_array($to, [MeasuredLeg::END, ...$ids], true)) {
                $errors["legs.{$i}.to"][] = 'must be the id of a way, or end.';
            } elseif ($from === $to) {
                $errors["legs.{$i}.to"][] = 'must be another than from: the loop back to a way is its again_s.';
            }
            if (isset($legs["{$from}\n{$to}"])) {
                $errors["legs.{$i}.from"][] = 'must not be given twice.';
            }
            $legs["{$from}\n{$to}"] = new MeasuredLeg($from, $to, $leg->duration('time')?->inSeconds() ?? 0.0, $leg->distance('distance')?->inMetres());
        }
        if ($errors !== []) {
            throw BadInput::of($errors);
        }

        return array_values($legs);
    }

    /**
     * By the clock on the wall there; null where nobody says it.
     *
     * @throws BadInput where the time or its zone cannot be read
     */
    public static function startsAt(Values $input, RulePack $pack): ?\DateTimeImmutable
    {
        $said = $input->text('starts_at');
        $zone = $input->text('time_zone');
        if ($zone !== null && ! in_array($zone, \DateTimeZone::listIdentifiers(), true)) {
            throw BadInput::field('time_zone', 'must be the name of a time zone, such as Europe/Dublin.');
        }
        if ($said === null) {
            return null;
        }
        if (preg_match('/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d{1,6})?)?(Z|[+-]\d{2}:\d{2})$/D', $said) === 1) {
            try {
                $at = new \DateTimeImmutable($said);

                // An offset of its own is the clock on the wall; UTC is nobody's.
                return $zone === null && ! str_ends_with($said, 'Z') ? $at : $at->setTimezone(new \DateTimeZone($zone ?? $pack->timeZone()));
            } catch (\Exception) {
                // Said below.
            }
        }
        throw BadInput::field('starts_at', 'must be a time such as 2026-05-20T09:00:00Z.');
    }
}
