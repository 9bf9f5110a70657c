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
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Judgement\AmberStretch;
use NobleTurn\Core\Judgement\Clears;
use NobleTurn\Core\Judgement\HeadOfOurs;
use NobleTurn\Core\Judgement\InsideTheLights;
use NobleTurn\Core\Judgement\LightHead;
use NobleTurn\Core\Judgement\Shown;
use NobleTurn\Core\Motion\PullAway;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;

/** A crossroads under lights: which head is ours and how far it clears us; and the time there is for who waits inside to turn across. */
final class LightsTool implements Tool
{
    use QuickAnswer;

    private const ALL_RED_S = 2.0;

    private const ROOM_M = 7.0;

    private const ACROSS_M = 14.0;

    private const SIDE_M = 8.0;

    /** Round the turn from where one waits until off the way of those from the side, m (assumed); our length comes to it. */
    private const WAY_OUT_M = 8.0;

    private const TURNING_MPS = 5.5;

    public function name(): string
    {
        return 'lights';
    }

    public function about(): string
    {
        return 'At a crossroads under lights: which of the heads in view is ours and how far it clears us; how many may wait inside to turn across, and how '
            .'the seconds after the change are spent.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            ChoiceField::of('goes', 'our way; default across those who come towards us', WayOut::class),
            new ChoiceField('stands', 'before the line, or over it waiting to turn; default line', ['line', 'inside']),
            new ListField('heads', 'in view; where none is said ours is green and full', new ObjectField('head', 'one of them', new Shape(
                ChoiceField::of('arrow', 'where it points; none: a full light', WayOut::class),
                (ChoiceField::of('shows', 'off: an arrow that is not lit', Shown::class))->required(),
                new FlagField('another_lane', 'it stands over or beside another lane; default false'),
            )), 8),
            new FlagField('seen_to_stop', 'those who come towards us are seen to stop; default false'),
            new FlagField('people', 'somebody on foot is crossing the road we go into, or about to; default false'),
            new NumberField('inside', 'cars that wait inside before us; default 0', 0.0, 9.0),
            new QuantityField('other_speed', 'of those who come towards us; default the town limit', Kind::Speed, 2.0, 45.0),
            new QuantityField('amber', 'default as usual here', Kind::Duration, 1.0, 8.0),
            new QuantityField('all_red', 'between the one red and the other green; default '.self::ALL_RED_S.' s', Kind::Duration, 0.0, 6.0),
            new QuantityField(
                'room', 'to wait in, from our line to the way of those who come towards us; default '.self::ROOM_M.' m', Kind::Distance, 0.0, 40.0,
            ),
            new QuantityField('across', 'from their line to behind where our ways cross; default '.self::ACROSS_M.' m', Kind::Distance, 1.0, 60.0),
            new QuantityField('side', 'from the line of those from the side to our way; default '.self::SIDE_M.' m', Kind::Distance, 0.5, 40.0),
            VehicleField::field(),
        );
    }

    public function output(): array
    {
        return [
            'verdict' => Out::choice(['go', 'enter', 'wait'], 'enter: over the line and wait inside'),
            'message' => Out::text('sentence for the user'),
            'head' => Out::maybe(Out::object([
                'ours' => Out::integer('its place in `heads`; null where none is ours, or two disagree', nullable: true),
                'clears' => Out::choice(Clears::class, 'how far it clears our way'),
                'message' => Out::text('which it is, and what it is worth'),
            ]), 'null where no head is said'),
            'watch' => Out::list(Out::text('in the order of looking'), 'what is watched together until we are out'),
            'red_is' => Out::text('whose red it is that shows meanwhile', nullable: true),
            'holds' => Out::integer('cars there is room for inside; null where nobody waits there', nullable: true),
            'budget' => Out::maybe(Out::object([
                'red_s' => Out::number('amber is over'),
                'last_passes_s' => Out::number('the last who cannot stop has passed'),
                'out_s' => Out::number('we are out, going as soon as they are seen to stop'),
                'green_s' => Out::number('green for those from the side'),
                'they_come_s' => Out::number('the first of them can be where we cross'),
                'spare_s' => Out::number('between the two; below 0 they may be there first'),
            ]), 'seconds from the change to amber; null where nobody waits inside'),
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $goes = $input->choice('goes', WayOut::class) ?? WayOut::from(Flank::Off->side($pack)->value);
        $heads = new HeadOfOurs($pack->keeps(), $goes, $input->has('heads') ? self::heads($input) : [new LightHead(null, Shown::Green, false)]);
        $inside = self::inside($input, $pack);
        $said = new LightsPresenter(
            $pack, $heads, $input->has('heads'), $inside, $input->text('stands') === 'inside', $input->flag('seen_to_stop') ?? false,
            $input->flag('people') ?? false,
        );
        $assumed = $heads->turnsAcross() ? [
            new Assumption(Wording::part($pack, '{amber}'), $inside->theirs->amberSeconds, 's', $input->has('amber') ? Source::given() : $pack->amberSource()),
            new Assumption('their light changes', 'with ours', '', Source::assumed()),
            new Assumption('to see that they stop', InsideTheLights::SEES_S, 's', Source::assumed()),
            new Assumption('each who waits behind another later', InsideTheLights::EACH_LATER_S, 's', Source::assumed()),
            new Assumption('the others start after', InsideTheLights::THEY_START_S, 's', Source::assumed()),
            new Assumption('the others gain', InsideTheLights::THEY_GAIN_MPS2, 'm/s2', Source::assumed()),
            new Assumption('our way out, our length besides', self::WAY_OUT_M, 'm', Source::assumed()),
            new Assumption('no faster round the turn than', self::TURNING_MPS, 'm/s', Source::assumed()),
            new Assumption('unhurried with', InsideTheLights::CLEAR_S, 's', Source::assumed()),
            ...CommonFields::defaults(
                $input, CommonFields::default('all_red', self::ALL_RED_S, 's'), CommonFields::default('room', self::ROOM_M, 'm'),
                CommonFields::default('across', self::ACROSS_M, 'm'), CommonFields::default('side', self::SIDE_M, 'm'),
                CommonFields::default('vehicle', VehicleField::named(VehicleField::read($input), $pack)),
            ),
        ] : [];

        return new Answer($pack->code(), $pack->version(), $said->result(), $assumed);
    }

    /** @return list<LightHead> */
    private static function heads(Values $input): array
    {
        return array_map(static fn (Values $one): LightHead => new LightHead(
            $one->choice('arrow', WayOut::class), $one->choice('shows', Shown::class) ?? Shown::Red, $one->flag('another_lane') ?? false,
        ), array_values($input->objects('heads')));
    }

    private static function inside(Values $input, RulePack $pack): InsideTheLights
    {
        $vehicle = VehicleField::read($input);
        $speed = $input->speed('other_speed') ?? $pack->townLimit();
        $length = $vehicle->length->inMetres();
        $metres = static fn (string $field, float $otherwise): float => $input->distance($field)?->inMetres() ?? $otherwise;

        return new InsideTheLights(
            new AmberStretch(
                $speed->inMetresPerSecond(), ($input->duration('amber') ?? $pack->amber($speed))->inSeconds(), $pack->amberReaction()->inSeconds(),
                $pack->amberDeceleration()->inMetresPerSecondSquared(),
            ),
            $input->duration('all_red')?->inSeconds() ?? self::ALL_RED_S, $metres('room', self::ROOM_M), $length, $metres('across', self::ACROSS_M),
            self::WAY_OUT_M + $length, $metres('side', self::SIDE_M), max(0, ArmsReader::whole($input, 'inside') ?? 0),
            PullAway::run($vehicle, Gradient::level(), 0.0, 0.0, self::WAY_OUT_M, self::TURNING_MPS, self::TURNING_MPS * 1.5, 60.0),
        );
    }
}
