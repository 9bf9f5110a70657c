<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Lanes\Costs;
use NobleTurn\Core\Lanes\Layout;
use NobleTurn\Core\Lanes\Onward;
use NobleTurn\Core\Lanes\Route;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\Side;

/** Which lane at a roundabout, why, and what the other usable ones would cost. */
final class LanesTool implements Tool
{
    use QuickAnswer;

    public function name(): string
    {
        return 'lanes';
    }

    public function about(): string
    {
        return 'The approach lane and the way through a roundabout that count least, with reasons; the other usable lanes with what they count; where to move out, where mirrors and signals are due.';
    }

    public function input(): Shape
    {
        $lane = new Shape(
            new ListField('to', 'names painted on it; nothing: no marking', new TextField('name', 'of an arm', 60), 8),
            new FlagField('bus', 'for buses at this hour'),
            ...BusHours::fields(),
        );
        $arm = new Shape(
            (new TextField('name', 'of the arm', 60))->required(),
            (new NumberField('angle_deg', 'in driving order, from any of them', 0.0, 360.0))->required(),
            new ListField('approach_lanes', 'nearside first; default one without marking', new ObjectField('lane', 'an approach lane', $lane), 4),
            new NumberField('exit_lanes', 'lanes that lead out; default 1', 0.0, 4.0),
            new QuantityField('exit_room', 'before the exit lanes become one', Kind::Distance, 0.0, 2000.0),
        );
        $link = static fn (string $about): Shape => new Shape(
            (new TextField('after', "arm after which {$about}", 60))->required(),
            (new NumberField('lane', 'circulating lane, from 1 at the nearside', 1.0, 4.0))->required(),
            new NumberField('to_lane', 'the lane it becomes', 1.0, 4.0),
        );

        return new Shape(
            CommonFields::packField(),
            ChoiceField::of('layout', 'what the arms meet at; default roundabout', Layout::class),
            (new ListField('arms', 'roads that meet it', new ObjectField('arm', 'one road', $arm), 10))->required(),
            (new TextField('from', 'arm we come from', 60))->required(),
            (new TextField('to', 'arm we want', 60))->required(),
            new NumberField('circulating_lanes', 'default as many as the widest approach', 1.0, 4.0),
            new ListField('spirals', 'lanes that lead outward by their paint', new ObjectField('spiral', 'a lane that becomes another', $link('it becomes another')), 20),
            new FlagField('spirals_by_paint', 'spirals as the paint of our approach would lead them'),
            new ListField('ends', 'lanes that only lead out', new ObjectField('end', 'a lane that ends at the next arm', $link('it ends at the next arm')), 20),
            ChoiceField::of('next_turn', 'the turn after the exit', Side::class),
            new QuantityField('next_turn_in', 'distance to it', Kind::Distance, 0.0, 5000.0),
            new ObjectField('next_junction', 'the junction after the exit, instead of next_turn', new Shape(
                (new TextField('to', 'where we go there, as painted', 60))->required(),
                (new QuantityField('distance', 'from the exit to its line', Kind::Distance, 1.0, 5000.0))->required(),
                new ListField('approach_lanes', 'nearside first; default one without marking', new ObjectField('lane', 'an approach lane', new Shape(new ListField('to', 'names painted on it; nothing: no marking', new TextField('name', 'of a road there', 60), 8))), 4),
            )),
            BusHours::timeField(),
            new QuantityField('speed', 'on the approach; default the pack’s town limit', Kind::Speed, 2.0, 45.0),
            new NumberField('in_lane', 'lane we come along in; default 1', 1.0, 4.0),
            new QuantityField('direction_sign', 'the direction sign, before the line; default 150 m', Kind::Distance, 0.0, 2000.0),
            new QuantityField('lane_sign', 'the lane sign, before the line; default 80 m', Kind::Distance, 0.0, 2000.0),
            new QuantityField('markings', 'the first arrows on the road, before the line; default 40 m', Kind::Distance, 0.0, 500.0),
            new FlagField('passing', 'others are to be passed on the way out'),
            new FlagField('mini', 'a mini-roundabout: the exit signal by the time on it'),
            new QuantityField('ring_radius', 'of the middle of the circulating lanes; default 18 m, 4 m for a mini', Kind::Distance, 2.0, 150.0),
            new ObjectField('costs', 'what each thing counts, instead of the defaults', new Shape(...array_map(
                static fn (string $name): NumberField => new NumberField($name, Costs::WORDS[$name].'; default '.Costs::DEFAULTS[$name], 0.0, 100.0), array_keys(Costs::DEFAULTS),
            ))),
            PracticeField::field(),
        );
    }

    public function output(): array
    {
        $sides = ['type' => ['string', 'null'], 'enum' => ['left', 'right', null]];

        $path = Out::list(Out::object([
            'after' => Out::text('arm the stretch begins at'), 'sector' => Out::integer('0 first'), 'lane' => Out::integer('it begins in'), 'to_lane' => Out::integer('it ends in'),
            'action' => ['enum' => ['keep', 'move-out', 'move-in', 'leave']], 'mirrors' => Out::list(['type' => 'string'], 'looks that are due, in order'),
        ]), 'stretch by stretch');

        return [
            'approach_lane' => Out::integer('from 1 at the nearside'),
            'exit_lane' => Out::integer('lane we leave in'),
            'cost' => Out::number('of this way'),
            'clock' => ['enum' => ['before-twelve', 'twelve', 'after-twelve']],
            'path' => $path,
            'signals' => Out::list(Out::object(['where' => Out::text('approach, or the arm passed'), 'side' => $sides, 'off' => Out::text('where it is cancelled')]), 'where on and where off'),
            'seconds_on_it' => Out::number('at an unhurried speed round it'),
            'acceptable_lanes' => Out::list(Out::object([
                'lane' => Out::integer('approach lane'), 'exit_lane' => Out::integer('it leaves in'), 'cost' => Out::number('of its best way'), 'extra' => Out::number('more than the best'), 'why' => Out::list(['type' => 'string'], 'what it counts'),
                'path' => $path,
            ]), 'usable lanes, cheapest first'),
            'reasons' => Out::list(['type' => 'string'], 'why this lane'),
            'onward' => Out::maybe(Out::object([
                'lane' => Out::integer('it wants'), 'changes' => Out::integer('of lane on the way there'), 'distance_m' => Out::number('to its line'),
                'needed_m' => Out::number('for the changes, one at a time'), 'fits' => Out::flag('whether there is room for them'), 'begin_by_m' => Out::number('before its line, where the first must begin'),
            ]), 'the next junction, where one was given'),
            'lane_by_m' => Out::number('by where our lane must have been taken, metres to the line'),
            'decide_by_m' => Out::number('by where the way must be known for it, metres to the line'),
            'met' => Out::list(Out::object([
                'kind' => ['enum' => LanesMet::KINDS], 'at_m' => Out::number('metres to the line, negative beyond it'), 'time_s' => Out::number('seconds to the line, negative after it'),
                'text' => Out::text('in words'), 'mirrors' => Out::list(['type' => 'string'], 'looks that are due'), 'side' => $sides, 'angle_deg' => Out::number('on the roundabout: from our arm', nullable: true),
            ]), 'signs met and steps due, in the order of time'),
            'links' => Out::list(Out::object(['sector' => Out::integer('0 first'), 'lane' => Out::integer('circulating lane'), 'to_lane' => Out::integer('it becomes; null where it ends at the next arm', nullable: true)]), 'spirals and lanes that end, given or generated'),
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $asked = LanesReader::read($input, $pack);
        $routes = $asked->routes();
        if ($routes === []) {
            throw BadInput::field('to', "cannot be reached: no approach lane of {$asked->arm(0)->name} leads to {$asked->target()->name}.");
        }
        $best = $routes[array_key_first($routes)];
        $signals = LanesPresenter::signals($asked, PracticeField::read($input, $pack));
        $met = new LanesMet($asked, $best, $signals, $input);

        return new Answer($pack->code(), $pack->version(), [
            'approach_lane' => $best->approachLane,
            'exit_lane' => $best->exitLane,
            'cost' => round($best->cost(), 3),
            'clock' => match ($asked->trip->clock()) {
                -1 => 'before-twelve', 0 => 'twelve', default => 'after-twelve'
            },
            'path' => LanesPresenter::path($asked, $best),
            'signals' => $signals,
            'seconds_on_it' => round($asked->secondsOnIt(), 1),
            'acceptable_lanes' => array_map(static fn (Route $route): array => [
                'lane' => $route->approachLane, 'exit_lane' => $route->exitLane, 'cost' => round($route->cost(), 3), 'extra' => round($route->cost() - $best->cost(), 3), 'why' => LanesPresenter::why($route),
                'path' => LanesPresenter::path($asked, $route),
            ], array_values($routes)),
            'reasons' => LanesPresenter::reasons($asked, $best, count($routes)),
            'onward' => LanesPresenter::onward($asked, $best),
            'lane_by_m' => round($met->way->laneByMetres, 1),
            'decide_by_m' => round($met->way->decideByMetres(), 1),
            'met' => $met->rows(),
            'links' => $asked->ring->links(),
        ], [
            ...array_map(static fn (string $name): Assumption => new Assumption(Costs::WORDS[$name], $asked->trip->costs->of($name), 'counts', $input->object('costs')?->has($name) === true ? Source::given() : Source::assumed()), array_keys(Costs::DEFAULTS)),
            ...($asked->layout === Layout::Junction ? [] : [
                new Assumption('circulating lanes', $asked->ring->lanes, '', $input->has('circulating_lanes') ? Source::given() : Source::assumed()),
                new Assumption('signals at roundabouts', 'rule of the pack', '', $pack->roundaboutSignalSource()),
            ]),
            new Assumption('radius driven on it', $asked->radius, 'm', $input->has('ring_radius') ? Source::given() : Source::assumed()),
            new Assumption('one change of lane, mirrors to end', Onward::CHANGE_S, 's', Source::commonPractice()),
            ...$met->assumptions(),
        ], $met->warnings());
    }
}
