<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Judgement\Stopping;
use NobleTurn\Core\Judgement\StoppingModel;
use NobleTurn\Core\Plan\RoadSpeed;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Sight\IntoTheDip;
use NobleTurn\Core\Sight\PastTheVehicle;
use NobleTurn\Core\Sight\Purpose;
use NobleTurn\Core\Sight\Sight;
use NobleTurn\Core\Vehicle\Handling;

/** How much of the road is seen, and how fast one may come for it. */
final class SightTool implements Tool
{
    /** As it is said what hides the road. */
    private const WHERE = ['bend' => 'round the bend', 'crest' => 'over the crest', 'dip' => 'before the dip', 'vehicle' => 'past the vehicle ahead'];

    private const STEPS = 80;

    /** Nobody asks to stop from more than the stopping tool takes, m/s. */
    private const MOST_MPS = 70.0;

    public function name(): string
    {
        return 'sight';
    }

    public function about(): string
    {
        return 'How far the road is seen round a bend, over a crest, into a dip and past a vehicle, metre by metre; from which speed one can stop within '
            .'it, and where it is too short to stop, to meet, to come out and to overtake.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            new QuantityField('limit', 'of the road', Kind::Speed, 2.0, 45.0),
            ...SightFields::fields(),
            ...[
                new ObjectField('vehicle_ahead', 'on a straight road', new Shape(
                    (new QuantityField('distance', 'from our eyes to its back', Kind::Distance, 1.0, 300.0))->required(),
                    (new QuantityField('width', 'of it', Kind::Distance, 0.3, 3.5))->required(),
                    new NumberField('aside_m', 'how far we keep towards the middle of the road of where it drives; default 0', -2.0, 2.0),
                    new QuantityField('lane', 'width of a lane; default '.PastTheVehicle::LANE_M.' m', Kind::Distance, 2.0, 6.0),
                )),
                new FlagField('narrow', 'too narrow for two: whoever comes must be able to stop as well; default false'),
                CommonFields::surfaceField(),
                CommonFields::gradientField(),
                VehicleField::field(),
                PracticeField::field(),
            ],
        );
    }

    public function output(): array
    {
        return [
            'verdict' => ['enum' => ['at-the-limit', 'slower', 'unknown'], 'description' => 'unknown where no limit was given'],
            'message' => Out::text('sentence for the user'),
            'seen_m' => Out::number('the least that is seen of the road on the way; null where nothing hides it', nullable: true),
            'seen_by' => Out::choice(array_keys(self::WHERE), 'what leaves the least; null where nothing hides the road', nullable: true),
            'eye_m' => Out::number('our eyes above the road'),
            ...self::speeds('come_at', 'no faster than this: for what is seen, and for the bend; null where nothing asks for it'),
            ...self::speeds('stop_within', 'from this speed one stops within it, at most '.self::MOST_MPS.' m/s; null where nothing hides the road'),
            ...self::speeds('meet_within', 'the same within half of it'),
            ...self::speeds('bend', 'taken comfortably; null without a bend'),
            'purposes' => Out::list(Out::object([
                'purpose' => Out::choice(Purpose::class), 'words' => Out::text('what it is for'),
                'needed_m' => Out::number('at the limit; null where it is never done', nullable: true),
                'enough' => Out::flag('whether that is seen all along the way'),
                'short_from_m' => Out::number('the first place where it is not, metres to where the road begins to hide', nullable: true),
                'short_to_m' => Out::number('the last', nullable: true),
            ]), 'none where no limit was given'),
            'hidden' => Out::maybe(Out::object([
                'at_m' => Out::number('seen from here, metres to its edge'), 'from_m' => Out::number('beyond the edge'),
                'to_m' => Out::number('beyond the edge'),
            ]), 'what a dip swallows'),
            'profile' => Out::object([
                'distance_m' => Out::list(['type' => 'number'], 'to where the road begins to hide; negative within'),
                'seen_m' => Out::list(['type' => ['number', 'null']], 'from there; null where nothing hides the road'),
            ]),
        ];
    }

    public function effort(Values $input): float
    {
        // An overtaking is driven through where a limit says how fast.
        return $input->speed('limit') === null ? 20.0 : 800.0;
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $sight = self::sight($input);
        $limit = $input->speed('limit');
        $vehicle = VehicleField::read($input);
        $model = StoppingModel::in($vehicle, $pack);
        $stops = static fn (float $metres): ?float => is_infinite($metres) ? null : min(
            self::MOST_MPS,
            Stopping::speedWithin($metres, $model, CommonFields::surface($input), CommonFields::gradient($input)),
        );
        $least = $sight->leastMetres();
        $stop = $stops($least);
        $needed = $limit === null ? [] : SightNeeded::at($limit, $input, $pack);
        if (array_keys($sight->hides) === ['vehicle']) {
            // It hides the other lane, not the room in ours.
            $needed = array_intersect_key($needed, [Purpose::Overtake->value => true]);
        }
        $most = max(100.0, is_infinite($least) ? 0.0 : 1.5 * $least, $needed[Purpose::Stop->value] ?? 0.0);
        $along = $sight->along(min(1000.0, 50.0 * ceil($most / 50.0)), self::STEPS);
        $within = ($input->flag('narrow') ?? false) ? $stops($least / 2.0) : $stop;
        $radius = $input->distance('bend_radius')?->inMetres();
        $round = $radius === null ? null : RoadSpeed::round($radius, CommonFields::surface($input), Handling::of($vehicle)->sidewaysMps2);
        // In our lane behind a vehicle there is the gap to it, not the view past it.
        $comeAt = $sight->worst() === 'vehicle' ? $round : ($within === null || $round === null ? $within ?? $round : min($within, $round));
        $verdict = match (true) {
            $limit === null => 'unknown',
            $comeAt !== null && $comeAt < $limit->inMetresPerSecond() => 'slower',
            default => 'at-the-limit',
        };

        return new Answer($pack->code(), $pack->version(), [
            'verdict' => $verdict,
            'message' => self::message($sight, $within, $round, $needed[Purpose::Overtake->value] ?? null, $input, $pack),
            'seen_m' => is_infinite($least) ? null : round($least, 2),
            'seen_by' => $sight->worst(),
            'eye_m' => SightFields::eye($input),
            ...self::headline('come_at', $comeAt, $pack),
            ...self::headline('stop_within', $stop, $pack),
            ...self::headline('meet_within', $stops($least / 2.0), $pack),
            ...self::headline('bend', $round, $pack),
            'purposes' => array_map(
                static fn (string $purpose): array => self::purpose(Purpose::from($purpose), $needed[$purpose], $along, $pack), array_keys($needed),
            ),
            'hidden' => self::hidden($sight),
            'profile' => [
                'distance_m' => array_map(static fn (array $at): float => round($at['toGo'], 2), $along),
                'seen_m' => array_map(static fn (array $at): ?float => is_infinite($at['seen']) ? null : round($at['seen'], 2), $along),
            ],
        ], [
            ...SightFields::assumptions($input),
            ...($round === null
                ? [] : [new Assumption('sideways acceleration that is comfortable', Handling::of($vehicle)->sidewaysMps2, 'm/s2', Source::assumed())]),
            new Assumption('stopping', $model->name, '', $model->source),
            ...Handling::of($vehicle)->assumptions(),
            ...($input->has('vehicle_ahead')
                ? [new Assumption('eyes towards the middle of the road from the middle of the car', PastTheVehicle::EYE_ASIDE_M, 'm', Source::assumed())] : []),
            ...($limit === null ? [] : SightNeeded::assumptions($input)),
            ...CommonFields::defaults($input, CommonFields::default('surface', 'dry'), CommonFields::default('gradient', 0.0, 'rise over run')),
        ], [
            new Warning('upper-bound', SightFields::UPPER_BOUND),
            ...($stop !== null && $stop <= 0.0 ? [new Warning('does-not-stop', 'On this hill and surface the brakes do not hold the car.')] : []),
        ]);
    }

    private static function sight(Values $input): Sight
    {
        $ahead = $input->object('vehicle_ahead');
        $hides = [
            ...SightFields::read($input),
            ...($ahead === null ? [] : ['vehicle' => new PastTheVehicle(
                $ahead->distance('distance')?->inMetres() ?? 0.0, $ahead->distance('width')?->inMetres() ?? 0.0, $ahead->number('aside_m') ?? 0.0,
                $ahead->distance('lane')?->inMetres() ?? PastTheVehicle::LANE_M,
            )]),
        ];

        return $hides === []
            ? throw BadInput::field('bend_radius_m', 'is missing (or crest, dip or vehicle_ahead): something must hide the road.') : new Sight($hides);
    }

    private static function message(Sight $sight, ?float $within, ?float $round, ?float $overtaking, Values $input, RulePack $pack): string
    {
        $worst = $sight->worst();
        $limit = $input->speed('limit')?->inMetresPerSecond() ?? INF;
        $speed = static fn (float $mps): string => $mps >= $limit ? 'the limit' : $pack->speedUnit()->words(Speed::ofMetresPerSecond($mps));
        $bend = $round === null ? '' : " The bend itself is comfortable at {$speed($round)}.";
        if ($worst === null || $within === null) {
            return "Nothing of what was told hides the road.{$bend}";
        }
        $seen = $pack->lengthUnit()->place($sight->leastMetres()).' are seen '.self::WHERE[$worst];
        if ($worst === 'vehicle') {
            $takes = $overtaking === null || is_infinite($overtaking)
                ? '' : Wording::part($pack, ', and {overtaking} takes').' '.$pack->lengthUnit()->place($overtaking);

            return "{$seen}{$takes}. Hang back, and the view past it grows.{$bend}";
        }
        $share = ($input->flag('narrow') ?? false) ? 'half of that, since only one fits' : 'that';

        return "{$seen}: one stops within {$share} from {$speed($within)}.{$bend}";
    }

    /**
     * @param  non-empty-list<array{toGo: float, seen: float}>  $along
     * @return array<string, mixed>
     */
    private static function purpose(Purpose $purpose, float $needed, array $along, RulePack $pack): array
    {
        $short = array_values(array_filter($along, static fn (array $at): bool => $at['seen'] < $needed));

        return [
            'purpose' => $purpose->value, 'words' => Wording::part($pack, $purpose->words()),
            'needed_m' => is_infinite($needed) ? null : round($needed, 1),
            'enough' => $short === [],
            'short_from_m' => $short === [] ? null : round($short[0]['toGo'], 1),
            'short_to_m' => $short === [] ? null : round($short[count($short) - 1]['toGo'], 1),
        ];
    }

    /** @return array<string, float>|null as much as it ever hides, from the distance from which that is */
    private static function hidden(Sight $sight): ?array
    {
        $dip = $sight->hides['dip'] ?? null;
        if (! $dip instanceof IntoTheDip || is_infinite($dip->hidesBeyondMetres())) {
            return null;
        }
        $at = 2.0 * $dip->hidesBeyondMetres();
        $hidden = $dip->hiddenFrom($at);

        return $hidden === null ? null : ['at_m' => round($at, 1), 'from_m' => round($hidden['from'], 1), 'to_m' => round($hidden['to'], 1)];
    }

    /** @return array<string, float|null> */
    private static function headline(string $name, ?float $mps, RulePack $pack): array
    {
        return $mps === null
            ? ["{$name}_mps" => null, "{$name}_{$pack->speedUnit()->value}" => null] : CommonFields::headlineSpeed($name, $mps, $pack);
    }

    /** @return array<string, array<string, mixed>> */
    private static function speeds(string $name, string $about): array
    {
        return array_map(
            static fn (array $schema): array => ['type' => ['number', 'null']] + $schema, CommonFields::headlineSpeedSchema($name, $about),
        );
    }
}
