<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\AnswersInShapes;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\ReadsAScene;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\Light;
use NobleTurn\Core\Place\View;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Plan\NotPlanned;
use NobleTurn\Core\Plan\StandingPlan;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;

/** Where and when each step of a routine belongs on one approach. */
final class ApproachTool implements AnswersInShapes, ReadsAScene
{
    use QuickAnswer;

    public function name(): string
    {
        return 'approach';
    }

    public function about(): string
    {
        return 'Plans mirrors, signal, position, speed and look on the approach to a junction: windows, speed, gears, and where rule of thumb and physics '
            .'clash. Places are metres to the line, times seconds to go.';
    }

    public function input(): Shape
    {
        $stretch = new Shape(
            ChoiceField::of('side', 'left or right as the driver sees it', Side::class)->required(),
            (new QuantityField('from', 'one end, metres to the line', Kind::Distance, 0.0, 1000.0))->required(),
            (new QuantityField('to', 'other end, metres to the line', Kind::Distance, 0.0, 1000.0))->required(),
        );

        return new Shape(
            CommonFields::packField(),
            ChoiceField::of('routine', 'what is to be done', RoutineCode::class)->required(),
            new QuantityField('limit', 'speed limit; default the pack’s town limit', Kind::Speed, 2.0, 45.0),
            new QuantityField('speed', 'approach speed; default the limit', Kind::Speed, 1.5, 45.0),
            new QuantityField('line_speed', 'speed wanted at the line, or where steering starts', Kind::Speed, 0.0, 20.0),
            new QuantityField('turn_radius', 'radius of our path round the corner; default 8 m on the kerb’s side, 11 m across', Kind::Distance, 3.0, 60.0),
            CommonFields::gradientField(),
            CommonFields::surfaceField(),
            ChoiceField::of('control', 'default give-way when emerging, none off the main road', Control::class),
            ChoiceField::of('exit', 'way out of a roundabout or an all-way stop; default ahead', WayOut::class),
            ChoiceField::of('light', 'what the lights show as they come into view; default green', Light::class),
            ChoiceField::of('view', 'default open', View::class),
            new QuantityField('view_from', 'where the view opens, metres to the line; instead of view', Kind::Distance, 0.0, 200.0),
            new QuantityField('room', 'length of road before the line', Kind::Distance, 3.0, 2000.0),
            new ListField('openings', 'side roads and driveways before ours', new ObjectField('opening', 'an opening', $stretch)),
            new ListField('parked', 'parked vehicles before the line', new ObjectField('cars', 'a row of parked vehicles', $stretch)),
            new QuantityField('follower_gap', 'time gap of the vehicle behind', Kind::Duration, 0.0, 60.0),
            new FlagField('close_follower', 'somebody close behind; instead of follower_gap_s'),
            ChoiceField::of('passing_on', 'somebody passing, or about to, on this side', Side::class),
            new FlagField('one_way', 'our road is one-way; default false'),
            new QuantityField('road_width', 'kerb to kerb; default 7.3 m', Kind::Distance, 4.0, 30.0),
            new ObjectField('sign', 'the sign that tells the way, where nobody says it (independent driving)', new Shape(
                (new QuantityField('at', 'its place before the line', Kind::Distance, 0.0, 1000.0))->required(),
                new QuantityField('legible', 'from how far before it can be read; default 50 m', Kind::Distance, 1.0, 500.0),
            )),
            ThenField::field(),
            VehicleField::field(),
            PracticeField::field(),
            ChoiceField::of('learner_level', 'default developing', LearnerLevel::class),
            new QuantityField(
                'comfort_decel',
                'mean deceleration that feels comfortable on a dry road, default 2, of a long or heavy vehicle 1.3; 0.8 of it is planned with in the wet, '
                    .'0.2 on ice',
                Kind::Acceleration, 0.5, 6.0,
            ),
            ...JunctionField::fields(),
            ...RoadAheadField::fields(),
        );
    }

    public function output(): array
    {
        return ApproachSchema::of();
    }

    public function shapes(): array
    {
        return ['Along' => $this->output(), 'InTime' => ApproachSchema::inTime(), 'NotPlanned' => ApproachSchema::notPlanned()];
    }

    public function scene(Values $input): Approach
    {
        if ($input->has('then') && $input->choice('routine', RoutineCode::class)?->isDoneStanding() !== true) {
            ThenField::check($input);
        }

        return self::first($input);
    }

    public function answer(Values $input): Answer
    {
        if ($input->choice('routine', RoutineCode::class)?->isDoneStanding() === true) {
            return self::standing($input);
        }
        $approach = self::first($input);
        $not = NotPlanned::of($approach);
        if ($not !== null) {
            ThenField::check($input);

            return new Answer(
                $approach->pack->code(), $approach->pack->version(), NotPlannedPresenter::body($approach, $not),
                ApproachReader::defaults($input, $approach), [],
            );
        }
        $plan = ApproachPlanner::plan($approach);
        $row = ThenField::row($input, $plan);
        $further = ThenField::furtherParts($plan, $row);
        $plan = $further === 0 ? $plan : ApproachPlanner::plan($approach, $further);

        return new Answer(
            $plan->approach->pack->code(),
            $plan->approach->pack->version(),
            ThenField::answer($input, $plan, $row) + ApproachPresenter::body($plan),
            [...$plan->assumptions, ...ApproachReader::defaults($input, $plan->approach)],
            $plan->warnings,
        );
    }

    private static function first(Values $input): Approach
    {
        if ($input->has('then') && $input->choice('routine', RoutineCode::class)?->isDoneStanding() === true) {
            throw BadInput::field('then', 'must not be given where the car stands.');
        }

        return ApproachReader::read($input);
    }

    private static function standing(Values $input): Answer
    {
        $approach = self::first($input);
        $plan = StandingPlan::of($approach->vehicle->hasClutch(), $approach->gradient->inRiseOverRun() > 0.02);
        $card = Card::of($approach->routine, $approach->pack, $approach->practice, $approach->vehicle->hasClutch(), $approach->level);

        return new Answer(
            $approach->pack->code(), $approach->pack->version(), StandingPresenter::body($approach, $plan, $card),
            [...$plan->assumptions(), ...ApproachReader::defaults($input, $approach)], [],
        );
    }
}
