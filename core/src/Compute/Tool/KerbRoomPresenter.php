<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Vehicle\BayWay;
use NobleTurn\Core\Vehicle\Chassis;
use NobleTurn\Core\Vehicle\FlatBay;
use NobleTurn\Core\Vehicle\KerbSpace;
use NobleTurn\Core\Vehicle\ReversingExercise;

/** Out of a flat bay and into one nose first, and forwards into a space at the kerb: the way, the room it takes, and where to turn, as it is said. */
final readonly class KerbRoomPresenter
{
    private const POINTS = 20;

    public function __construct(private RulePack $pack, private Chassis $chassis, private float $paceMps)
    {
    }

    /**
     * @param  list<string>  $keys  lengths of other exercises, or an angle
     *
     * @throws BadInput where one of them is given
     */
    public static function without(Values $input, array $keys, string $message): void
    {
        foreach ($keys as $key) {
            if ($input->has($key)) {
                throw BadInput::field($key === 'angle_deg' ? $key : "{$key}_m", $message);
            }
        }
    }

    /** @return array<string, mixed> */
    public function flatBay(Values $input, ReversingExercise $exercise): array
    {
        self::without($input, ['distance', 'kerb_gap', 'angle_deg', 'bay_depth', 'space'], 'belongs to another exercise.');
        $radius = $input->distance('radius')?->inMetres() ?? BayWay::usualRadiusMetres($this->chassis);
        if ($radius < $this->chassis->minimumRadiusMetres()) {
            throw BadInput::field('radius_m', sprintf('is tighter than this vehicle steers: %.1f m at the least.', $this->chassis->minimumRadiusMetres()));
        }
        $bay = new FlatBay($this->chassis, $radius, $input->distance('bay_width')?->inMetres() ?? BayWay::WIDTH_M);
        if ($bay->gapMetres < 0.0) {
            throw BadInput::field('bay_width_m', 'is less than the width of the vehicle.');
        }
        $isIn = $exercise === ReversingExercise::NoseIn;
        $message = $isIn
            ? sprintf(
                'Our middle %s out from the tails of the cars; the wheel goes over when the rear axle is %s short of the bay’s middle, and back where we stand '
                    .'straight between them.',
                $this->pack->lengthUnit()->fine($bay->turnsOutMetres()), $this->pack->lengthUnit()->fine($radius),
            )
            : sprintf(
                'Straight back %s: the view past the neighbour opens after %s, and until then the tail is out unseen. Creep, stop for everybody; then the '
                    .'wheel.',
                $this->pack->lengthUnit()->fine($bay->straightMetres), $this->pack->lengthUnit()->fine($bay->viewAfterMetres),
            );
        $aisle = $input->distance('aisle')?->inMetres();

        return $this->body($bay->lengthMetres(), fn (float $gone): array => $bay->at($isIn ? $bay->lengthMetres() - $gone : $gone)) + [
            'room' => [
                ...$this->wheel($radius), 'straight_m' => round($bay->straightMetres, 2), 'view_after_m' => round($bay->viewAfterMetres, 2),
                'parked_m' => null, 'turns_at_m' => round($bay->turnsOutMetres() - $radius, 2), 'needed_m' => round($bay->aisleMetres, 2),
                'fits' => $aisle === null ? null : $bay->aisleMetres <= $aisle,
                'message' => $message.($aisle !== null && $bay->aisleMetres > $aisle ? ' The aisle is too narrow for one go: take two.' : ''),
            ],
        ];
    }

    /** @return array<string, mixed> */
    public function kerbSpace(Values $input): array
    {
        self::without($input, ['distance', 'kerb_gap', 'angle_deg', 'radius', 'bay_width', 'bay_depth', 'aisle'], 'belongs to another exercise.');
        $way = new KerbSpace($this->chassis);
        $space = $input->distance('space')?->inMetres();
        $fits = $space === null ? null : $way->spaceMetres <= $space;

        return $this->body($way->lengthMetres(), $way->at(...)) + [
            'room' => [
                ...$this->wheel($way->radiusMetres), 'straight_m' => null, 'view_after_m' => null, 'parked_m' => KerbSpace::PARKED_M,
                'turns_at_m' => round($way->turnsBeforeMetres, 2),
                'needed_m' => round($way->spaceMetres, 2), 'fits' => $fits,
                'message' => Wording::in($this->pack, sprintf(
                    'Past the parked car %s off it; towards the {kerb} when our rear wheels are %s short of its nose, back when the car is half in; it takes '
                        .'%s of {kerb}.',
                    ...array_map($this->pack->lengthUnit()->fine(...), [KerbSpace::PAST_M, $way->turnsBeforeMetres, $way->spaceMetres]),
                )).($fits === false ? ' Too short to go in forwards: another space, or backwards.' : ''),
            ],
        ];
    }

    /** @return list<Assumption> what these exercises rest on; nothing for another */
    public static function assumed(ReversingExercise $exercise): array
    {
        $metres = static fn (string $name, float $value): Assumption => new Assumption($name, $value, 'm', Source::assumed());

        return match ($exercise) {
            ReversingExercise::OutOfBay, ReversingExercise::NoseIn => [$metres('the driver’s eyes behind the nose', FlatBay::EYES_M)],
            ReversingExercise::KerbSpace => [
                $metres('parked cars reach', KerbSpace::PARKED_M), $metres('passed at a creep with', KerbSpace::PAST_M),
                $metres('stands off in the end', KerbSpace::KERB_GAP_M), $metres('left to the car in front', KerbSpace::LEFT_AHEAD_M),
            ],
            default => [],
        };
    }

    /** @return array{radius_m: float, hand_wheel_turns: float} */
    private function wheel(float $radius): array
    {
        return ['radius_m' => round($radius, 2), 'hand_wheel_turns' => round($this->chassis->handWheelRadians($radius) / (2.0 * M_PI), 2)];
    }

    /**
     * @param  callable(float): array{x: float, y: float, heading: float}  $at
     * @return array<string, mixed>
     */
    private function body(float $long, callable $at): array
    {
        $path = ['distance_m' => [], 'time_s' => [], 'x_m' => [], 'y_m' => [], 'heading_deg' => [], 'kerb_gap_m' => []];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $gone = $long * $i / self::POINTS;
            $pose = $at($gone);
            $path['distance_m'][] = round($gone, 3);
            $path['time_s'][] = round($gone / $this->paceMps, 3);
            $path['x_m'][] = round($pose['x'], 3);
            $path['y_m'][] = round($pose['y'], 3);
            $path['heading_deg'][] = round($pose['heading'], 2);
            $path['kerb_gap_m'][] = null;
        }

        return [
            'length_m' => round($long, 3), 'time_s' => round($long / $this->paceMps, 2), 'end_gap_m' => null, 'touches_at_m' => null, 'correct_turns' => null,
            'gap_by_angle' => [], 'path' => $path, 'bay' => null,
        ];
    }
}
