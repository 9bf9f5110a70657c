<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Judgement\StoppingModel;
use NobleTurn\Core\Place\Crest;
use NobleTurn\Core\Place\Dip;
use NobleTurn\Core\Plan\Clash\Clashes;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Arrival;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Instruction;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Rules\StepCount;
use NobleTurn\Core\Sight\Sight;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\Handling;

/**
 * Plans an approach backwards from the line: the latest comfortable way to do the routine at the
 * practice's values, with windows around each step and every clash said openly.
 */
final class ApproachPlanner
{
    /** Braking harder than this is harsh, m/s2 (common practice). */
    public const HARSH = 4.0;

    /** @param  int  $furtherParts  of the direction: what has to be said with this one because it follows at once */
    public static function plan(Approach $approach, int $furtherParts = 0): ApproachPlan
    {
        $fitting = Fitting::of($approach);
        $chain = $fitting->chain;
        $gears = $fitting->gears;
        $mirrors = $chain->metres($chain->mirrorsStartSeconds());
        $sayAt = $chain->metres($chain->mirrorsStartSeconds() + $chain->timing->directionSeconds
            + $furtherParts * $chain->timing->furtherPartSeconds);
        $room = $approach->room?->inMetres();
        $gearAt = $approach->practice->steps === StepCount::Six ? $gears?->lastClutchDownSeconds() : null;
        $card = Card::of($approach->routine, $approach->pack, $approach->practice, $approach->vehicle->hasClutch(), $approach->level, $approach->wayOut);
        $steps = self::steps($chain, $gears, $gearAt, $card);
        $sign = $approach->sign === null ? null : SignReading::of($approach->sign, $chain);

        return new ApproachPlan(
            $approach,
            $chain,
            $fitting->fits(),
            $steps,
            easeOffMetres: $chain->profile->lengthInMetres(),
            sayAtMetres: $room === null ? $sayAt : max($mirrors, min($sayAt, $room)),
            gears: $gears,
            path: LateralPath::for($chain),
            conflicts: Clashes::in($fitting),
            warnings: [...self::warnings($chain, $room !== null && $sayAt > $room, $sign), ...AtTheLine::warnings($chain), ...LongVehicle::warnings($chain)],
            assumptions: self::assumptions($chain),
            card: $card,
            gearStep: $gearAt === null ? null : self::gearStep($chain, $gears, $gearAt),
            sign: $sign,
            stages: Stage::of($chain),
            noReturnMetres: PointOfNoReturn::metres($chain),
        );
    }

    /**
     * @param  ?float  $gearAtS  where the gear is a step of its own, looking comes after it
     * @return non-empty-list<StepPlan>
     */
    private static function steps(Chain $chain, ?Gears $gears, ?float $gearAtS, Card $card): array
    {

        return array_map(static function (Step $step) use ($chain, $gears, $card, $gearAtS): StepPlan {
            $window = Windows::for($chain, $step);
            if ($step === Step::Look && $gearAtS !== null) {
                $best = min($window->bestMetres, $chain->metres($gearAtS));
                $window = Window::around($best, $window->earliestMetres, $window->latestMetres, $window->endMetres);
            }
            $seconds = $chain->profile->secondsAt($window->bestMetres);

            return new StepPlan($step, $window, $seconds, $chain->profile->mpsAt($window->bestMetres), $gears?->gearAt($seconds), $card->step($step));
        }, $chain->approach->demand->steps());
    }

    /** The clutch action as a step: after the brake has done its work, settled before steering. */
    private static function gearStep(Chain $chain, ?Gears $gears, float $downS): StepPlan
    {
        $best = $chain->metres($downS);
        $earliest = $chain->profile->metresWhereSpeedFallsTo(
            max($chain->lineSpeed->metresPerSecond + 1e-6, Speed::ofMilesPerHour(Gears::CLUTCH_RULE_MPH)->inMetresPerSecond()),
        );
        $instruction = Catalogue::routine($chain->approach->routine, $chain->approach->pack)->instruction(Step::Speed);

        return new StepPlan(
            Step::Speed,
            Window::around(
                $best, min($earliest, $chain->metres($chain->brakeSeconds)), $chain->metres($chain->timing->settledSeconds + $chain->timing->gearChangeSeconds),
                $chain->metres(max(0.0, $downS - $chain->timing->gearChangeSeconds)),
            ),
            $downS, $chain->profile->mpsAt($best), $gears?->gearAt($downS),
            (new Instruction(Step::Speed, $instruction->withClutch !== '' ? $instruction->withClutch : 'The gear for the speed reached; clutch up before '
                .'the wheel turns.', 'A gear taken after the brake fits the speed; before it, it fights it.', 'Clutch down before the brake has done its '
                .'work: coasting.', $instruction->likelyCause, $instruction->remedy, $instruction->drill))
                ->spoken(
                    new Wording($chain->approach->pack, null), hasClutch: false,
                ),
        );
    }

    /** @return list<Warning> */
    private static function warnings(Chain $chain, bool $directionBeforeRoom, ?SignReading $sign): array
    {
        $approach = $chain->approach;
        $slowing = $chain->slowing;
        $found = [];
        if ($approach->speed->inMetresPerSecond() > $approach->limit->inMetresPerSecond() + 0.01) {
            $found[] = new Warning('over-the-limit', 'The approach speed is above the limit of the road.');
        }
        if ($slowing->runsAway()) {
            $found[] = new Warning(
                'downhill-runs-away',
                Wording::in(
                    $approach->pack, 'Off the {accelerator} the car gains speed on this hill: hold it with a lower gear or a light brake from further out; '
                        .'the brake lights may then show before the signal.',
                ),
                ['natural_decel_mps2' => round($slowing->naturalMps2, 3)],
            );
        }
        array_push($found, ...self::slowedBy($chain));
        if ($approach->surface === Surface::Ice) {
            $found[] = new Warning('ice', 'On ice even the engine can be too much brake: clutch or a higher gear, and no lesson here without need.');
        }
        if ($slowing->firmMps2 > self::HARSH) {
            $found[] = new Warning('harsh-braking', sprintf('The deceleration asked for reaches %.1f m/s²: harsh.', $slowing->firmMps2));
        }
        if ($directionBeforeRoom) {
            $found[] = new Warning('say-before', 'There is no room to say the direction after the hazard before: say both together.');
        }
        if ($sign?->inTime() === false) {
            $found[] = new Warning(
                'sign-too-late',
                'The sign can only be read when the mirrors should have begun: say the direction here, or let the learner take whatever way the lane they '
                    .'are in leads.',
                ['spare_s' => round($sign->spareSeconds, 2)],
            );
        }
        if ($approach->passingOn !== null && ! $approach->isBeingPassedOnTurnSide()) {
            $found[] = new Warning(
                'passed-on-the-other-side', 'Somebody passes on the side we turn away from: no change to the plan, one more glance there on leaving.',
            );
        }
        foreach ($approach->parked as $cars) {
            if ($cars->flank === Flank::Off && ! $approach->oneWay) {
                $found[] = new Warning('parked-on-their-side', 'Cars parked on the other side may bring oncoming traffic onto our half.');
                break;
            }
        }

        return $found;
    }

    /** @return list<Warning> what the engine and a hill do without the brake, where anything is slowed for */
    private static function slowedBy(Chain $chain): array
    {
        $peak = $chain->profile->peakMps2();
        if ($peak <= 0.0 || $chain->slowing->needsBrake($chain->slowing->gentleMps2) && $chain->slowing->needsBrake($peak)) {
            return [];
        }
        if ($chain->slowing->needsBrake($peak)) {
            return [new Warning('brake-later-uphill', 'Uphill the first gentle slowing needs no brake; the brake lights come with the firmer part.')];
        }

        $slows = $chain->approach->gradient->inRiseOverRun() > 0.0 ? 'The hill and the engine slow' : 'The engine alone slows';
        $only = in_array(Step::Signal, $chain->approach->demand->steps(), true) ? ', only the signal' : '';

        return [new Warning('no-brake-needed', "{$slows} the car enough: no brake light warns those behind{$only}.")];
    }

    /** @return list<Assumption> */
    private static function assumptions(Chain $chain): array
    {
        $approach = $chain->approach;
        $rule = $chain->ruleMetres === null ? [] : [
            new Assumption('signal rule of the practice', round($chain->ruleMetres, 2), 'm', $approach->pack->numberRuleSource()),
        ];
        $share = static fn (string $name, float $value): Assumption => new Assumption($name, round($value, 3), 'm/s2', Source::assumed());

        return [
            $chain->lineSpeed->assumption,
            ...$rule,
            $share(Wording::part($chain->approach->pack, 'slowing off the {accelerator}'), $chain->slowing->easingOffMps2),
            $share('gentle braking', $chain->slowing->gentleMps2),
            $share('firm braking', $chain->slowing->firmMps2),
            $share('easing', $chain->slowing->easingMps2),
            ...($chain->lineSpeed->metresPerSecond > 0.0 && $approach->demand->arrival === Arrival::Turning
                ? [$share('comfortable sideways acceleration', Handling::of($approach->vehicle)->sidewaysMps2)] : []),
            ...$chain->timing->assumptions(),
            ...Handling::of($approach->vehicle)->assumptions(),
            ...LongVehicle::assumptions($approach),
            ...self::ofTheRoad($approach),
            ...(
                $approach->sign === null
                    ? []
                    : [new Assumption('reading a direction sign and settling what it asks', $chain->timing->readSignSeconds, 's', Source::assumed())]
            ),
        ];
    }

    /** @return list<Assumption> what the road itself was reckoned with */
    private static function ofTheRoad(Approach $approach): array
    {
        $assumed = Source::assumed();
        $beyond = $approach->junction->viewBeyondMetres;
        $stopping = StoppingModel::in($approach->vehicle, $approach->pack);

        return [
            ...($beyond > 0.0 ? [new Assumption('creeping to where the view opens', Creep::MPS, 'm/s', $assumed)] : []),
            ...($approach->parked === [] ? [] : [
                new Assumption(Wording::part($approach->pack, 'a parked car, from the {kerb}'), Corridor::PARKED_M, 'm', $assumed),
                new Assumption('left for a door where there is room', Corridor::DOOR_M, 'm', $assumed),
                new Assumption('our width with mirrors', round(Corridor::ourMetres($approach->vehicle), 2), 'm', $assumed),
                new Assumption('walking pace between parked cars', Corridor::WALKING_MPS, 'm/s', $assumed),
            ]),
            ...($approach->ahead->hides() ? [new Assumption(
                'stopping within what is seen', $stopping->decelerationMps2, 'm/s2', $stopping->source,
            )] : []),
            ...($approach->ahead->crest === null && $approach->ahead->dip === null ? [] : [
                new Assumption('eye above the road', Handling::of($approach->vehicle)->eyeMetres, 'm', Source::fromMemory(Sight::HEIGHTS)),
                new Assumption('what is to be seen, above the road', Sight::TARGET_M, 'm', Source::fromMemory(Sight::HEIGHTS)),
            ]),
            ...($approach->ahead->crest?->isShort() ? [new Assumption('the top of a hill, rounded over no less than', Crest::LEAST_M, 'm', $assumed)] : []),
            ...($approach->ahead->dip?->isShort() ? [new Assumption('a dip, no shorter than', Dip::LEAST_M, 'm', $assumed)] : []),
        ];
    }
}
