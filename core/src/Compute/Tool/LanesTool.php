<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\OneOrListField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Lanes\Costs;
use NobleTurn\Core\Lanes\LaneQuestion;
use NobleTurn\Core\Lanes\LaneRoute;
use NobleTurn\Core\Lanes\Layout;
use NobleTurn\Core\Lanes\Onward;
use NobleTurn\Core\Lanes\SignsBefore;
use NobleTurn\Core\Place\DirectionSign;
use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Routine\Wording;
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
        return 'The approach lane and the way through a roundabout that count least, with reasons; the other usable lanes with what they count; where to '
            .'move out, where mirrors and signals are due.';
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
            new OneOrListField(
                new NumberField('exit_lanes', 'lanes that lead out; default 1', 0.0, 4.0),
                new ListField('exit_lanes', 'each of them, nearside first', new ObjectField('lane', 'a lane that leads out', new Shape(
                    BusHours::listField(),
                    new QuantityField('bus_begins', 'from the far edge of the junction to where it is for buses', Kind::Distance, 0.0, 2000.0),
                )), 4),
            ),
            new FlagField('lights', 'its line is under lights'),
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
            new ListField(
                'spirals', 'lanes that lead outward by their paint',
                new ObjectField('spiral', 'a lane that becomes another', $link('it becomes another')), 20,
            ),
            new FlagField('spirals_by_paint', 'spirals as the paint of our approach would lead them'),
            new ListField('ends', 'lanes that only lead out', new ObjectField('end', 'a lane that ends at the next arm', $link('it ends at the next arm')), 20),
            ChoiceField::of('next_turn', 'the turn after the exit', Side::class),
            new QuantityField('next_turn_in', 'distance to it', Kind::Distance, 0.0, 5000.0),
            new ObjectField('next_junction', 'the junction after the exit, instead of next_turn', new Shape(
                (new TextField('to', 'where we go there, as painted', 60))->required(),
                (new QuantityField('distance', 'from the exit to its line', Kind::Distance, 1.0, 5000.0))->required(),
                new ListField(
                    'approach_lanes', 'nearside first; default one without marking',
                    new ObjectField(
                        'lane', 'an approach lane',
                        new Shape(new ListField('to', 'names painted on it; nothing: no marking', new TextField('name', 'of a road there', 60), 8)),
                    ),
                    4,
                ),
            )),
            BusHours::timeField(),
            new QuantityField('speed', 'on the approach; default the pack’s town limit', Kind::Speed, 2.0, 45.0),
            new NumberField('in_lane', 'lane we come along in; default 1', 1.0, 4.0),
            new QuantityField('direction_sign', 'the direction sign, before the line; default 150 m', Kind::Distance, 0.0, 2000.0),
            new QuantityField('lane_sign', 'the lane sign, before the line; default 80 m', Kind::Distance, 0.0, 2000.0),
            new QuantityField('markings', 'the first arrows on the road, before the line; default 40 m', Kind::Distance, 0.0, 500.0),
            new ListField('direction_signs', 'further signs on the roundabout', new ObjectField('sign', 'a direction sign', new Shape(
                (new TextField('after', 'arm it stands beyond', 60))->required(),
                (new QuantityField('at', 'so far beyond it along our way', Kind::Distance, 0.0, 500.0))->required(),
            )), 10),
            new FlagField('oncoming_turner', 'somebody opposite turns into the same road'),
            new ListField('blocked', 'lanes of the exit that do not move', new NumberField('lane', 'from 1 at the nearside', 1.0, 4.0), 4),
            new FlagField('passing', 'others are to be passed on the way out'),
            new FlagField('mini', 'a mini-roundabout: the exit signal by the time on it'),
            new QuantityField('ring_radius', 'of the middle of the circulating lanes; default 18 m, 4 m for a mini', Kind::Distance, 2.0, 150.0),
            new ObjectField('costs', 'what each thing counts, instead of the defaults', new Shape(...array_map(
                static fn (string $name): NumberField => new NumberField(
                    $name, Costs::WORDS[$name].'; default '.Costs::DEFAULTS[$name], 0.0, 100.0,
                ), array_keys(Costs::DEFAULTS),
            ))),
            PracticeField::field(),
        );
    }

    public function output(): array
    {
        return LanesPresenter::schema();
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $question = LanesReader::read($input, $pack);
        $routes = $question->routes();
        if ($routes === []) {
            throw BadInput::field('to', "cannot be reached: no approach lane of {$question->arm(0)->name} leads to {$question->target()->name}.");
        }
        $best = new LaneRoute(
            $question, $routes[array_key_first($routes)], PracticeField::read($input, $pack),
            ApproachPlanner::plan(ApproachReader::read(LanesReader::approach($question, $input))), self::signs($input),
        );

        return new Answer(
            $pack->code(), $pack->version(), LanesPresenter::body($question, $best, $routes), self::assumptions($input, $question, $best),
            LanesPresenter::warnings($question, $best),
        );
    }

    private static function signs(Values $input): SignsBefore
    {
        $given = static fn (string $field): ?float => $input->distance($field)?->inMetres();

        return new SignsBefore(
            $given('direction_sign') ?? SignsBefore::DIRECTION_SIGN_M, $given('lane_sign') ?? SignsBefore::LANE_SIGN_M,
            $given('markings') ?? SignsBefore::MARKINGS_M,
        );
    }

    /** @return list<Assumption> */
    private static function assumptions(Values $input, LaneQuestion $question, LaneRoute $best): array
    {
        $source = static fn (bool $given): Source => $given ? Source::given() : Source::assumed();
        $costs = $input->object('costs');

        return [
            ...array_map(
                static fn (string $name): Assumption => new Assumption(
                    Wording::part($question->pack, Costs::WORDS[$name]), $question->trip->costs->of($name), 'counts',
                    $source($costs?->has($name) === true),
                ),
                array_keys(Costs::DEFAULTS),
            ),
            ...($question->layout === Layout::Junction ? [] : [
                new Assumption('circulating lanes', $question->ring->lanes, '', $source($input->has('circulating_lanes'))),
                new Assumption('signals at roundabouts', 'rule of the pack', '', $question->pack->roundaboutSignalSource()),
            ]),
            new Assumption('radius driven on it', $question->radiusMetres, 'm', $source($input->has('ring_radius'))),
            new Assumption('one change of lane, mirrors to end', Onward::CHANGE_S, 's', Source::commonPractice()),
            new Assumption('reading a sign', $best->way->readSeconds, 's', Source::assumed()),
            CommonFields::default('sign legible from', DirectionSign::LEGIBLE_M, 'm'),
            ...CommonFields::defaults(
                $input, CommonFields::default('direction_sign', SignsBefore::DIRECTION_SIGN_M, 'm'),
                CommonFields::default('lane_sign', SignsBefore::LANE_SIGN_M, 'm'),
                CommonFields::default('markings', SignsBefore::MARKINGS_M, 'm'),
            ),
        ];
    }
}
