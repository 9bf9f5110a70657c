<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\Field;
use NobleTurn\Core\Compute\Field\KindsField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\JoinPlan;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\ApproachPlan;
use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Plan\Between;
use NobleTurn\Core\Plan\Chained;
use NobleTurn\Core\Plan\NotPlanned;
use NobleTurn\Core\Plan\Timing;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Direction;
use NobleTurn\Core\Routine\WhoWaits;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Series\Ahead;
use NobleTurn\Core\Series\ExitAhead;
use NobleTurn\Core\Series\Passed;
use NobleTurn\Core\Trade\RoutineCode;

/** A row of approaches, slip roads on and slip roads off, each planned with what the one before leaves it. */
final class SeriesReader
{
    /** So many in a row at the most. */
    private const MOST = 12;

    /** What is said once for the whole drive, and what a row says in its own way. */
    private const OF_THE_DRIVE = ['pack', 'vehicle', 'practice', 'then'];

    /** What comes of the one before where nobody says it. */
    private const MAY_FOLLOW = ['join' => ['entry_speed'], 'leave' => ['main_speed']];

    public static function field(): ListField
    {
        $part = static fn (Tool $tool, string $to): Shape => new Shape(
            (new QuantityField('distance', "from the end of the one before {$to}; default 0", Kind::Distance, 0.0, 5000.0)),
            ...array_map(
                static fn (Field $field): Field => in_array($field->key(), self::MAY_FOLLOW[$tool->name()] ?? [], true) ? $field->optional() : $field,
                array_values(array_filter($tool->input()->fields, static fn (Field $field): bool => ! in_array($field->key(), self::OF_THE_DRIVE, true))),
            ),
        );

        return new ListField('parts', 'what is met, in the order driven', new KindsField('part', 'an approach, a slip road on, or one off', 'tool', [
            'approach' => $part(new ApproachTool, 'to this line'),
            'join' => $part(new JoinTool, 'to the beginning of this slip road'),
            'leave' => $part(new LeaveTool, 'to the beginning of this slip road'),
        ]), self::MOST);
    }

    /**
     * @return non-empty-list<SeriesPart>
     *
     * @throws BadInput
     */
    public static function read(Values $input): array
    {
        $drive = $input->without(['parts']);
        $parts = array_map(static fn (Values $part): Values => $drive->and($part), $input->objects('parts'));
        if (count($parts) < 2) {
            throw BadInput::field('parts', 'must have at least two entries: a row.');
        }
        // A slip road off is planned for the line at its end: lines are read before it.
        $lines = [];
        foreach ($parts as $i => $part) {
            $lines[$i] = $part->text('tool') === 'approach' ? self::within($i, static fn (): Approach => self::line($part)) : null;
        }
        $row = [];
        foreach ($parts as $i => $part) {
            $before = $row[$i - 1] ?? null;
            $row[] = self::within($i, static fn (): SeriesPart => match (true) {
                $lines[$i] !== null => self::approach($part, $lines[$i], $before),
                $part->text('tool') === 'join' => self::join($part, $before),
                default => self::leave($part, $before, $parts[$i + 1] ?? null, $lines[$i + 1] ?? null),
            });
        }

        return $row;
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T
     *
     * @throws BadInput that names the part
     */
    private static function within(int $part, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (BadInput $bad) {
            throw $bad->under("parts.{$part}");
        }
    }

    private static function line(Values $part): Approach
    {
        if ($part->choice('routine', RoutineCode::class)?->isDoneStanding() === true) {
            throw BadInput::field('routine', 'must not be one that is done standing: it is none of a row.');
        }
        $approach = ApproachReader::read($part);
        $not = NotPlanned::of($approach);
        if ($not !== null) {
            throw BadInput::field('routine', "is not planned here: {$not->message}");
        }

        return $approach;
    }

    private static function approach(Values $part, Approach $approach, ?SeriesPart $before): SeriesPart
    {
        $waits = WhoWaits::at($approach->routine, $approach->control, $approach->pack, $approach->wayOut, $approach->junction->roadMet);
        if ($before === null) {
            $plan = ApproachPlanner::plan($approach);

            return new SeriesPart(
                'approach', 0.0, 0.0, $plan, new Ahead(self::direction($approach), self::sayAt($plan), false, $plan->chain->profile->approachMps()),
                Passed::theLine($plan), $waits,
            );
        }
        $chained = self::behind($before->passed, self::distance($part), $approach);
        $words = $approach->pack->speedUnit()->words(Speed::ofMetresPerSecond($chained->reachedMps));

        return new SeriesPart(
            'approach', self::distance($part), 0.0, $chained->plan,
            new Ahead(self::direction($approach), self::sayAt($chained->plan), $chained->sayTogether, $chained->reachedMps),
            Passed::theLine($chained->plan), $waits, $chained->between, $chained->between->message($words), $chained->roomMetres,
        );
    }

    /** Along a slip road the speed of the road one comes from is shed first, as far as the line asks for it. */
    private static function behind(Passed $passed, float $metres, Approach $approach): Chained
    {
        return Chained::from($passed->mps, $passed->room($metres), $approach, $passed->sheds ? 0.0 : null);
    }

    private static function join(Values $part, ?SeriesPart $before): SeriesPart
    {
        $pack = CommonFields::pack($part);
        $distance = self::distance($part);
        $said = $part->speed('entry_speed')?->inMetresPerSecond();
        if ($before === null && $said === null) {
            throw BadInput::field('entry_speed_mps', 'is missing: nothing is before it to come of.');
        }
        $room = $before?->passed->room($distance) ?? 0.0;
        $entry = $before === null ? (float) $said : $before->passed->reaches($room, $said ?? self::limitBefore($before));
        $plan = JoinTool::planned($part->and(new Values(['entry_speed' => Speed::ofMetresPerSecond($entry)])));
        $timing = Timing::planned(PracticeField::read($part, $pack)->look);
        $say = $timing->directionSeconds * $entry;
        $card = Card::of(RoutineCode::Join, $pack, PracticeField::read($part, $pack));

        return new SeriesPart(
            'join', $distance, $plan->joining->slip->lengthMetres, $plan,
            new Ahead($card->direction, $say, $before !== null && $say >= $room - 1e-6, $entry), Passed::joined($plan),
            WhoWaits::at(RoutineCode::Join, Control::None, $pack, WayOut::Ahead), $before === null ? null : Between::OneAfterTheOther,
            $before === null ? null : Wording::in($pack, "The {slip road} begins at {$pack->speedUnit()->words(Speed::ofMetresPerSecond($entry))}."), $room,
        );
    }

    private static function leave(Values $part, ?SeriesPart $before, ?Values $next, ?Approach $line): SeriesPart
    {
        $pack = CommonFields::pack($part);
        $distance = self::distance($part);
        $room = $before === null ? INF : $before->passed->room($distance);
        $said = $part->speed('main_speed')?->inMetresPerSecond() ?? ($before?->plan instanceof JoinPlan ? $before->plan->joining->mainMps : null);
        if ($said === null) {
            throw BadInput::field('main_speed_mps', 'is missing: no road that is joined before it says it.');
        }
        $main = $before === null ? $said : $before->passed->reaches($room, $said);
        foreach ($line !== null ? ['end_speed' => 'end_speed_mps', 'next_turn' => 'next_turn'] : [] as $key => $field) {
            if ($part->has($key)) {
                throw BadInput::field($field, 'must not be given where an approach follows: it comes of that.');
            }
        }
        $set = ['main_speed' => Speed::ofMetresPerSecond($main)];
        if ($line !== null && $next !== null) {
            $set['end_speed'] = self::toTheLine($part, $line, self::distance($next), $main);
        } elseif ($next !== null && ! $part->has('end_speed')) {
            $set['end_speed'] = Speed::ofMetresPerSecond(min($main, LeaveTool::planned($part->and(new Values($set)))->leaving->bendMps() ?? $main));
        }
        $plan = LeaveTool::planned($part->and(new Values($set)));
        $practice = PracticeField::read($part, $pack);
        $exit = new ExitAhead($plan, $room, Timing::planned($practice->look));
        $words = $pack->speedUnit()->words(Speed::ofMetresPerSecond($main));

        return new SeriesPart(
            'leave', $distance, $plan->leaving->lengthMetres, $plan,
            new Ahead(Card::of(RoutineCode::Leave, $pack, $practice)->direction, $exit->sayAtMetres, $exit->sayAtMetres >= $room - 1e-6, $main),
            $line !== null ? Passed::onto($main, $plan->leaving->lengthMetres) : Passed::off($plan->leaving), [],
            $before === null ? null : $exit->between, $before === null ? null : $exit->message($words), $before === null ? 0.0 : $room, $exit->events,
        );
    }

    /** What the line so far behind a slip road says of the slip road: the speed at its end. The signal for the turn there is its own. */
    private static function toTheLine(Values $part, Approach $line, float $metres, float $main): Speed
    {
        $plan = self::behind(Passed::onto($main, $part->distance('slip_length')?->inMetres() ?? 0.0), $metres, $line)->plan;

        return Speed::ofMetresPerSecond(min($main, $plan->chain->profile->mpsAt($metres)));
    }

    /** As fast as the road one comes from lets one be, m/s. */
    private static function limitBefore(SeriesPart $before): float
    {
        return match (true) {
            $before->plan instanceof ApproachPlan => $before->plan->approach->limit->inMetresPerSecond(),
            $before->plan instanceof JoinPlan => $before->plan->joining->mainMps,
            default => $before->plan->leaving->mainMps,
        };
    }

    /** Where there is no room for it behind the one before, before that: as far as it takes to say it and have it taken in. */
    private static function sayAt(ApproachPlan $plan): float
    {
        return max($plan->sayAtMetres, $plan->chain->metres($plan->chain->mirrorsStartSeconds() + $plan->chain->timing->directionSeconds));
    }

    /** How it is asked for; null where one only goes on. */
    private static function direction(Approach $approach): ?string
    {
        $said = Card::of($approach->routine, $approach->pack, $approach->practice, wayOut: $approach->wayOut)->direction;

        return $said === Direction::AHEAD ? null : $said;
    }

    private static function distance(Values $part): float
    {
        return $part->distance('distance')?->inMetres() ?? 0.0;
    }
}
