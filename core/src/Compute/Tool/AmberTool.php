<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Judgement\AmberStretch;
use NobleTurn\Core\Motion\Slowing;
use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Vehicle\Handling;

/** A light that changes: can we stop, can we pass, and from where on there is no going back. */
final class AmberTool implements Tool
{
    use QuickAnswer;

    public function name(): string
    {
        return 'amber';
    }

    public function about(): string
    {
        return 'A light turning amber (yellow): whether the car can stop unhurriedly, whether it can be over the line before red, and the stretch where '
            .'neither fits.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new QuantityField('speed', 'when it changes', Kind::Speed, 0.5, 45.0))->required(),
            (new QuantityField('distance', 'front bumper to the line when it changes', Kind::Distance, 0.0, 500.0))->required(),
            new QuantityField('amber', 'how long it stays amber; default the pack’s', Kind::Duration, 1.0, 10.0),
            new QuantityField('reaction', 'to the change, until the foot is on the brake; default the pack’s', Kind::Duration, 0.2, 4.0),
            new QuantityField(
                'decel', 'that is still unhurried on a dry level road; default the pack’s, less in a long vehicle', Kind::Acceleration, 0.5, 8.0,
            ),
            CommonFields::surfaceField(),
            CommonFields::gradientField(),
            new FlagField('close_follower', 'somebody close behind: the brake is used more lightly'),
            VehicleField::field(),
        );
    }

    public function output(): array
    {
        return [
            'can_stop' => Out::flag('without braking harder than is unhurried here'),
            'can_pass' => Out::flag('over the line before red at this speed'),
            'verdict' => ['enum' => ['stop', 'go', 'neither'], 'description' => 'stop wherever it can be done'],
            'message' => Out::text('sentence for the user'),
            'decel_needed_mps2' => Out::number('to stop at the line, after the reaction; null where the reaction alone passes it', nullable: true),
            'decel_used_mps2' => Out::number('what is unhurried here'),
            'decel_hardest_mps2' => Out::number('the most that tyres and brakes hold here'),
            'beyond_line_m' => Out::number('so far beyond the line one stands, braked so hard; 0 before it, null where nothing stops the car', nullable: true),
            'into_red_s' => Out::number('so long after red one is over the line, going on; 0 before it'),
            'accel_needed_mps2' => Out::number('to be over in time by gaining speed; 0 where it is not needed. Never a plan', nullable: true),
            'point_of_no_return_m' => Out::number('nearer than this the car goes on; null where nothing stops it in time, wherever it is', nullable: true),
            'covered_by_amber_m' => Out::number('nearer than this it is over before red'),
            'stretch' => Out::maybe(
                Out::object(['from_m' => Out::number('far end; null where it has none', nullable: true), 'to_m' => Out::number('near end')]),
                'where neither fits; null where there is none',
            ),
            ...CommonFields::headlineSpeedSchema('vanishing_speed', 'at and below it there is no such stretch'),
            'amber_s' => Out::number('how long it is amber'),
            'our_length_m' => Out::number('of our vehicle'),
            'red_and_amber_s' => Out::number('before green; null where there is none', nullable: true),
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $speed = $input->speed('speed') ?? throw BadInput::field('speed_mps', 'is missing.');
        $distance = $input->distance('distance')?->inMetres() ?? throw BadInput::field('distance_m', 'is missing.');
        $amber = $input->duration('amber') ?? $pack->amber($speed);
        $reaction = $input->duration('reaction') ?? $pack->amberReaction();
        $follower = $input->flag('close_follower') === true;
        $surface = CommonFields::surface($input);
        $vehicle = VehicleField::read($input);
        $handling = Handling::of($vehicle);
        $decel = ($input->acceleration('decel') ?? $handling->unhurried($pack->amberDeceleration()))->inMetresPerSecondSquared();
        $unhurried = $decel * ($follower ? Slowing::LIGHTER_FOR_FOLLOWER : 1.0);
        $used = AmberStretch::slowingMps2($unhurried, CommonFields::gradient($input), $handling->grip($surface), $surface->shareOfComfort());
        $stretch = new AmberStretch($speed->inMetresPerSecond(), $amber->inSeconds(), $reaction->inSeconds() + $handling->brakeLagSeconds, $used);
        [$noReturn, $covered] = [$stretch->stoppingMetres(), $stretch->coveredByAmberMetres()];
        [$canStop, $canPass] = [$distance >= $noReturn, $distance <= $covered];
        $needed = $stretch->mps2ToStop($distance);
        $hardest = $handling->hardestMps2($surface, CommonFields::gradient($input));
        $beyond = $stretch->beyondTheLine($distance, $hardest);
        $intoRed = $stretch->secondsIntoRed($distance);
        $verdict = $canStop ? 'stop' : ($canPass ? 'go' : 'neither');

        return new Answer($pack->code(), $pack->version(), [
            'can_stop' => $canStop,
            'can_pass' => $canPass,
            'verdict' => $verdict,
            'message' => match ($verdict) {
                'stop' => sprintf('Stop: %.1f m/s² is enough.', $needed ?? 0.0),
                'go' => 'Go on: nearer than the point of no return, and over the line before red.',
                'neither' => self::neither($needed, $beyond, $intoRed, $stretch, $pack),
            },
            'decel_needed_mps2' => $needed === null ? null : round($needed, 3),
            'decel_used_mps2' => round($used, 3),
            'decel_hardest_mps2' => round($hardest, 3),
            'beyond_line_m' => $beyond === null ? null : round($beyond, 2),
            'into_red_s' => round($intoRed, 2),
            'accel_needed_mps2' => $canPass ? 0.0 : self::toPass($stretch, $distance),
            'point_of_no_return_m' => is_infinite($noReturn) ? null : round($noReturn, 2),
            'covered_by_amber_m' => round($covered, 2),
            'stretch' => $noReturn > $covered ? ['from_m' => is_infinite($noReturn) ? null : round($noReturn, 2), 'to_m' => round($covered, 2)] : null,
            ...CommonFields::headlineSpeed('vanishing_speed', min(70.0, $stretch->vanishingMps()), $pack),
            'amber_s' => round($amber->inSeconds(), 2),
            'our_length_m' => $vehicle->length->inMetres(),
            'red_and_amber_s' => $pack->redAndAmber()?->inSeconds(),
        ], [
            new Assumption(Wording::part($pack, '{amber}'), round($amber->inSeconds(), 2), 's', $input->has('amber') ? Source::given() : $pack->amberSource()),
            new Assumption('reaction', $reaction->inSeconds(), 's', $input->has('reaction') ? Source::given() : $pack->amberDecisionSource()),
            ...$handling->assumptions(),
            new Assumption(
                'unhurried deceleration, dry and level', round($decel, 3), 'm/s2',
                $input->has('decel') ? Source::given() : ($handling->brakingShare < 1.0 ? Source::assumed() : $pack->amberDecisionSource()),
            ),
            new Assumption('the hardest braking that holds', round($hardest, 2), 'm/s2', Source::assumed()),
            ...CommonFields::defaults(
                $input, CommonFields::default('surface', $surface->value), CommonFields::default('gradient', 0.0, 'rise over run'),
                CommonFields::default('close_follower', false),
            ),
        ], $needed !== null && $needed > ApproachPlanner::HARSH && ! $canPass && $beyond === 0.0 ? [new Warning('harsh-braking', sprintf('Stopping here would '
            .'take %.1f m/s²: harsh. Ease off before the lights where they have been green for long.', $needed))] : []);
    }

    /** What both ways would come to, and from where on there is an answer. */
    private static function neither(?float $needed, ?float $beyond, float $intoRed, AmberStretch $stretch, RulePack $pack): string
    {
        if ($beyond === null) {
            return 'Nothing stops the car on this hill and surface: down to walking pace long before the lights, or another road.';
        }
        $red = $intoRed < 0.05 ? 'just as it turns red' : sprintf('%.1f s after red', $intoRed);
        $slower = sprintf(
            'At about %s and below one of the two always fits', $pack->speedUnit()->words(Speed::ofMetresPerSecond(min(70.0, $stretch->vanishingMps()))),
        );

        return $beyond > 0.0 || $needed === null
            ? "Nothing stops before the line: braked as hard as the road allows one stands {$pack->lengthUnit()->place($beyond)} beyond it, "
                ."going on one is over it {$red}. {$slower}; ease off before lights that have been green for long."
            : sprintf(
                'Neither fits: stopping takes %.1f m/s², going on one is over the line %s. Stop, unless that might cause a collision. %s.', $needed, $red,
                $slower,
            );
    }

    /** Constant acceleration after the reaction that would be over in time; null where nothing would. */
    private static function toPass(AmberStretch $stretch, float $distance): ?float
    {
        $left = $stretch->amberSeconds - $stretch->reactionSeconds;

        return $left <= 0.0 ? null : round(2.0 * ($distance - $stretch->speedMps * $stretch->amberSeconds) / $left ** 2, 3);
    }
}
