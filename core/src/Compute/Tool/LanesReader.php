<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Lanes\Arm;
use NobleTurn\Core\Lanes\Costs;
use NobleTurn\Core\Lanes\LaneQuestion;
use NobleTurn\Core\Lanes\Layout;
use NobleTurn\Core\Lanes\OnTheRing;
use NobleTurn\Core\Lanes\Onward;
use NobleTurn\Core\Lanes\Ring;
use NobleTurn\Core\Lanes\Round;
use NobleTurn\Core\Lanes\Spirals;
use NobleTurn\Core\Lanes\Trip;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;

/** From the fields of the lanes tool to the junction, seen from our own arm, and the trip through it. */
final class LanesReader
{
    private const RADIUS_M = 18.0;

    private const MINI_RADIUS_M = 4.0;

    /** A corner of an ordinary junction. */
    private const CORNER_M = 10.0;

    public static function read(Values $input, RulePack $pack): LaneQuestion
    {
        $arms = self::fromOurs($input, ArmsReader::read($input));
        $names = array_map(static fn (Arm $arm): string => $arm->name, $arms);
        $to = self::index($names, $input->text('to') ?? '', 'to');
        foreach ($arms as $arm) {
            foreach ($arm->approach as $painted) {
                foreach ($painted as $name) {
                    self::index($names, $name, 'arms');
                }
            }
        }
        $layout = $input->choice('layout', Layout::class) ?? Layout::Roundabout;
        $mini = $input->flag('mini') ?? false;
        if ($layout === Layout::Junction && $to === 0) {
            throw BadInput::field('to', 'must be another road than the one we come from: an ordinary junction has no way round.');
        }
        $lanes = ArmsReader::whole($input, 'circulating_lanes') ?? max(1, ...array_map(static fn (Arm $arm): int => count($arm->approach), $arms));
        $next = $input->choice('next_turn', Side::class);
        $speed = $input->speed('speed') ?? $pack->townLimit();
        $costs = $input->object('costs');
        $given = array_filter(
            array_combine(array_keys(Costs::DEFAULTS), array_map(static fn (string $name): ?float => $costs?->number($name), array_keys(Costs::DEFAULTS))),
            static fn (?float $value): bool => $value !== null,
        );

        $radius = $input->distance('ring_radius')?->inMetres() ?? match (true) {
            $layout === Layout::Junction => self::CORNER_M, $mini => self::MINI_RADIUS_M, default => self::RADIUS_M
        };
        $sectors = $to === 0 ? count($arms) : $to;
        $degrees = $to === 0 ? 360.0 : ($arms[$to] ?? $arms[0])->angleDegrees;
        $round = new Round($radius, $mini, $degrees);
        $lastMetres = $round->metres - $round->metresTo(($arms[$sectors - 1] ?? $arms[0])->angleDegrees);
        $trip = new Trip(
            $sectors, $degrees, $input->flag('passing') ?? false, $next === null ? null : Flank::of($next, $pack) === Flank::Off,
            $input->distance('next_turn_in')?->inMetres() ?? ($next === null ? null : 100.0), new Costs($given), self::onward($input, $speed),
            OnTheRing::crampedShare($lastMetres, $round->mps),
            array_map(static fn (float $lane): int => (int) $lane, $input->numbers('blocked')),
        );

        return new LaneQuestion(
            $pack, new Ring($arms, $lanes, ...self::links($input, $arms, $names, $lanes)), $trip, $radius, $mini, $layout, $speed,
            self::inLane($input, $arms[0]), array_map(static fn (int $i, Values $sign): array => [
                'arm' => self::index($names, $sign->text('after') ?? '', "direction_signs.{$i}.after"),
                'metres' => $sign->distance('at')?->inMetres() ?? 0.0,
            ], array_keys($input->objects('direction_signs')), $input->objects('direction_signs')),
            $input->flag('oncoming_turner') ?? false,
        );
    }

    /** The approach to it, as the approach tool takes it: the same limit, practice and car. */
    public static function approach(LaneQuestion $question, Values $input): Values
    {
        $at = $question->layout === Layout::Junction
            ? ['routine' => "lights-{$question->way()}"]
            // Where a pack teaches no mini-roundabout, one is come up to like any other.
            : ['routine' => $question->mini && ! in_array(RoutineCode::MiniRoundabout, $question->pack->lacks(), true) ? 'mini-roundabout' : 'roundabout',
                'exit' => $question->trip->angleDegrees >= 359.0 ? 'back' : $question->way()];

        return new Values([
            ...$at, 'pack' => $question->pack->code(), 'limit' => $question->speed, ...array_filter(['practice' => $input->object('practice')]),
        ]);
    }

    /**
     * Angles from our arm on, ours first.
     *
     * @param  non-empty-list<Arm>  $arms
     * @return non-empty-list<Arm>
     */
    private static function fromOurs(Values $input, array $arms): array
    {
        $from = self::index(array_map(static fn (Arm $arm): string => $arm->name, $arms), $input->text('from') ?? '', 'from');
        $zero = ($arms[$from] ?? $arms[0])->angleDegrees;
        $turned = array_map(
            static fn (Arm $arm): Arm => $arm->from(fmod($arm->angleDegrees - $zero + 360.0, 360.0)),
            $arms,
        );
        usort($turned, static fn (Arm $a, Arm $b): int => $a->angleDegrees <=> $b->angleDegrees);

        return $turned;
    }

    /**
     * @param  non-empty-list<Arm>  $arms
     * @param  list<string>  $names
     * @return array{array<string, int>, array<string, true>} spirals and ends
     */
    private static function links(Values $input, array $arms, array $names, int $lanes): array
    {
        [$spirals, $ends] = $input->flag('spirals_by_paint') === true ? Spirals::byPaint($arms, $lanes) : [[], []];
        foreach ($input->objects('spirals') as $i => $spiral) {
            $lane = self::lane($spiral, 'lane', $lanes, "spirals.{$i}");
            $spirals[self::index($names, $spiral->text('after') ?? '', "spirals.{$i}.after").".{$lane}"] = self::lane(
                $spiral, 'to_lane', $lanes, "spirals.{$i}",
            );
        }
        foreach ($input->objects('ends') as $i => $end) {
            $ends[self::index($names, $end->text('after') ?? '', "ends.{$i}.after").'.'.self::lane($end, 'lane', $lanes, "ends.{$i}")] = true;
        }

        return [$spirals, $ends];
    }

    private static function onward(Values $input, Speed $speed): ?Onward
    {
        $next = $input->object('next_junction');
        if ($next === null) {
            return null;
        }
        if ($input->has('next_turn')) {
            throw BadInput::field('next_turn', 'must not be given beside next_junction.');
        }
        $lanes = array_map(static fn (Values $lane): array => $lane->texts('to'), $next->objects('approach_lanes'));
        $onward = new Onward(
            $lanes === [] ? [[]] : $lanes, $next->text('to') ?? '', $next->distance('distance')?->inMetres() ?? 0.0, $speed->inMetresPerSecond(),
        );

        return $onward->lanes() !== [] ? $onward : throw BadInput::field('next_junction.to', "cannot be reached: no lane there is painted for {$onward->to}.");
    }

    private static function inLane(Values $input, Arm $ours): int
    {
        $lane = ArmsReader::whole($input, 'in_lane') ?? 1;

        return $lane <= count($ours->approach) ? $lane : throw BadInput::field('in_lane', 'must not exceed the lanes of our road: '.count($ours->approach).'.');
    }

    /** @param  list<string>  $names */
    private static function index(array $names, string $name, string $field): int
    {
        $at = array_search($name, $names, true);

        return $at === false ? throw BadInput::field($field, "must be one of the arms: {$name} is none.") : $at;
    }

    private static function lane(Values $link, string $field, int $lanes, string $at): int
    {
        $lane = ArmsReader::whole($link, $field, "{$at}.") ?? throw BadInput::field("{$at}.{$field}", 'is missing.');

        return $lane <= $lanes ? $lane : throw BadInput::field("{$at}.{$field}", "must not exceed the {$lanes} circulating lanes.");
    }
}
