<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\ReadsAScene;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\Neighbour;
use NobleTurn\Core\FastRoad\OvertakePlan;
use NobleTurn\Core\FastRoad\Overtaking;
use NobleTurn\Core\FastRoad\PassingSight;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Sight\Sight;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Purpose;

/** Whether the view is long enough to pass, and from when on there is no going back. */
final class OvertakeTool implements ReadsAScene
{
    public function name(): string
    {
        return 'overtake';
    }

    public function about(): string
    {
        return 'Time, way and sight an overtaking needs, the revs at its end, the point of no return, and when dropping back is the right decision.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new QuantityField('limit', 'of the road', Kind::Speed, 5.0, 45.0))->required(),
            new QuantityField('other_speed', 'of the vehicle to be passed, ours while following; default two thirds of the limit', Kind::Speed, 1.0, 45.0),
            new QuantityField('other_length', 'default '.Neighbour::LENGTH_M.' m', Kind::Distance, 1.0, 30.0),
            new QuantityField('oncoming_speed', 'of whoever may come; default the limit', Kind::Speed, 0.0, 60.0),
            new QuantityField('sight', 'how far the road is seen', Kind::Distance, 0.0, 3000.0),
            new QuantityField(
                'position_gap', 'behind it when the accelerator goes down; default by the practice: kept back at the gap of a dry road, or closed up',
                Kind::Duration, 0.3, 10.0,
            ),
            new QuantityField('return_gap', 'ahead of the passed vehicle on return; default 1 s', Kind::Duration, 0.3, 5.0),
            new NumberField('gear', 'default the one that pulls', 1.0, 16.0),
            new FlagField('hold_gear', 'stay in it to the red line; default false: change up where it runs out'),
            new FlagField('rehearsal', 'on a dual carriageway: nobody comes the other way'),
            new FlagField('followed', 'somebody behind gains by a signal on the way back in; default true'),
            new FlagField('turning_in_behind', 'we have only just turned in behind it: the whole routine is still to be done; default false'),
            CommonFields::gradientField(),
            CommonFields::surfaceField(),
            VehicleField::field(),
            PracticeField::field(),
            ...SightFields::fields(),
        );
    }

    public function output(): array
    {
        return OvertakePresenter::schema();
    }

    public function effort(Values $input): float
    {
        // Both ways are driven through in small steps of time.
        return 800.0;
    }

    public function scene(Values $input): Overtaking
    {
        return self::read($input);
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $over = self::read($input);
        $given = $input->distance('sight')?->inMetres();
        $sight = self::seen($given, $input);
        $plan = new OvertakePlan(
            $over, $pack, $sight, $input->flag('rehearsal') ?? false, PracticeField::read($input, $pack), $input->flag('followed') ?? true,
            $input->flag('turning_in_behind') ?? false,
        );
        $hides = SightFields::read($input) !== [];
        $surface = CommonFields::surface($input);
        $follow = $pack->followingGap($surface)->inSeconds() * $over->otherMps;
        if ($given !== null && ! $plan->rehearsal && $given < $follow) {
            throw BadInput::field('sight_m', sprintf('must be more than the following gap of %.0f m: nobody sees less than that.', $follow));
        }

        return new Answer($pack->code(), $pack->version(), OvertakePresenter::body($plan, $pack, $follow), [
            new Assumption(Wording::part($pack, 'behind it in the {overtaking} position'), $over->behindSeconds, 's',
                $input->has('position_gap') ? Source::given() : Source::commonPractice()),
            new Assumption('margin to the oncoming vehicle', Overtaking::MARGIN_S, 's of its way', Source::assumed()),
            new Assumption('giving up: reaction', round($over->reactionSeconds(), 2), 's', Source::assumed()),
            new Assumption('giving up: brake', round($over->brakeMps2(), 2), 'm/s2', Source::assumed()),
            new Assumption(
                'passing sight distance of road design', round(PassingSight::metres($over->limitMps), 0), 'm',
                Source::fromMemory(PassingSight::DOCUMENT),
            ),
            ...CommonFields::defaults(
                $input, CommonFields::default('other_length', Neighbour::LENGTH_M, 'm'),
                CommonFields::default('other_speed', round($over->otherMps, 2), 'm/s'),
                CommonFields::default('oncoming_speed', round($over->oncomingMps, 2), 'm/s'),
                CommonFields::default('return_gap', Overtaking::RETURN_S, 's'), CommonFields::default('followed', true),
                CommonFields::default('gear', $over->gear),
                CommonFields::default('gradient', 0.0, 'rise over run'), CommonFields::default('vehicle', VehicleField::named($over->vehicle, $pack)),
            ),
            ...($hides ? SightFields::assumptions($input) : []),
        ], [...self::warnings($plan, $pack), ...($hides ? [new Warning('upper-bound', SightFields::UPPER_BOUND)] : [])]);
    }

    /** The less of what was said and what is seen past what hides the road, m; null where neither was said. */
    private static function seen(?float $given, Values $input): ?float
    {
        $hides = SightFields::read($input);
        $least = min($given ?? INF, $hides === [] ? INF : (new Sight($hides))->leastMetres());

        return is_infinite($least) ? $given : $least;
    }

    private static function read(Values $input): Overtaking
    {
        $limit = $input->speed('limit') ?? throw BadInput::field('limit_mps', 'is missing.');
        $other = $input->speed('other_speed') ?? Speed::ofMetresPerSecond(OvertakePlan::SLOWER_SHARE * $limit->inMetresPerSecond());
        if ($other->inMetresPerSecond() >= $limit->inMetresPerSecond() - 0.5) {
            throw BadInput::field('other_speed_mps', 'must be below the limit, by more than 0.5 m/s: otherwise there is nothing to overtake lawfully.');
        }
        $vehicle = VehicleField::read($input);
        $gear = ArmsReader::whole($input, 'gear') ?? GearChoice::for($vehicle, Purpose::SlipRoad, $other, CommonFields::gradient($input))->gear;
        if ($gear > $vehicle->gearbox->topGear()) {
            throw BadInput::field('gear', "must be one of the {$vehicle->gearbox->topGear()} this vehicle has.");
        }
        if ($other->inMetresPerSecond() > $vehicle->gearbox->metresPerSecondAt($vehicle->engine->redLineRpm, $gear)) {
            throw BadInput::field('gear', 'would turn past the red line at this speed.');
        }

        return new Overtaking(
            $vehicle, CommonFields::gradient($input), $gear, $other->inMetresPerSecond(), $input->distance('other_length')?->inMetres() ?? Neighbour::LENGTH_M,
            $limit->inMetresPerSecond(), $input->speed('oncoming_speed')?->inMetresPerSecond() ?? $limit->inMetresPerSecond(),
            ! ($input->flag('hold_gear') ?? false),
            $input->duration('return_gap')?->inSeconds() ?? Overtaking::RETURN_S, CommonFields::surface($input),
            $input->duration('position_gap')?->inSeconds() ?? self::behind($input),
        );
    }

    /** Where the practice is when the accelerator goes down, s: in the wet too one has come up to the dry gap by then. */
    public static function behind(Values $input): float
    {
        $pack = CommonFields::pack($input);

        return PracticeField::read($input, $pack)->answer('overtake_place') === 'closed-up'
            ? Overtaking::CLOSED_UP_S : $pack->followingGap(Surface::Dry)->inSeconds();
    }

    /** @return list<Warning> */
    private static function warnings(OvertakePlan $plan, RulePack $pack): array
    {
        $found = [];
        if ($plan->gainsLittle()) {
            $found[] = new Warning('little-to-gain', 'The difference to the limit is small: a long way beside them for seconds saved.');
        }
        if ($plan->overRevs()) {
            $found[] = new Warning('over-rev', 'The gear runs out at the red line before the other is passed: the next one up pulls on.');
        }
        if ($plan->turningIn) {
            $found[] = new Warning(
                'just-turned-in',
                Wording::in($pack, 'The {junction} must be behind us and the whole routine done, nothing rushed: mirrors anew, others turned in too.'),
            );
        }
        if ($plan->rehearsal) {
            $found[] = new Warning(
                'rehearsal', Wording::in($pack, 'A {dual carriageway} is the safe double: same steps, same order, nobody coming the other way.'),
            );
        } else {
            $found[] = new Warning(
                'only-where-lawful',
                Wording::in($pack, 'Needed, lawful and a long view: never near a bend, a brow, a dip that can hide a car, or a {junction}.'),
            );
        }

        return $found;
    }
}
