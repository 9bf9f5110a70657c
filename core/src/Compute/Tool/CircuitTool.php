<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Circuit\Circuit;
use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Circuit\Exactly;
use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\Order;
use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;

/** Ways linked so that the minutes of a lesson add up. */
final class CircuitTool implements Tool
{
    /** Talking at the end of the lesson, s (assumed, adjustable). */
    public const DEBRIEF_S = 300;

    /** What a choice of so many ways costs, steps (measured): every set of them, or a search. */
    private const STEPS_OF_A_SET = 3.0;

    private const STEPS_OF_A_SEARCH = 2.3;

    public function name(): string
    {
        return 'circuit';
    }

    public function about(): string
    {
        return 'From where a lesson starts through ways in a good order and back: what is driven between them, the rounds at each with the loop '
            .'that leads back to it, and the talking, against the minutes; what no longer fits, and by how much.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new NumberField('minutes', 'of the lesson, with its debrief', 5.0, 600.0))->required(),
            new TextField('starts_at', 'a time such as 2026-05-20T09:00:00Z; default outside the busy hours', 40),
            new TextField('time_zone', 'where the clock on the wall is read; default by the offset of starts_at, or the pack’s', 60),
            PositionField::of('start', 'where the lesson starts')->required(),
            PositionField::of('end', 'where it ends; default where it starts'),
            ChoiceField::of('order', 'in which order; default shortest', Order::class),
            CircuitReader::ways(CircuitReader::MOST_WAYS, CircuitReader::ROUNDS, 'in any order, unless they are driven as given')->required(),
            CircuitReader::measuredLegs(),
            new NumberField('detour_factor', 'roads against the crow’s line; default '.Drive::DETOUR, 1.0, 5.0),
            new QuantityField('debrief', 'talking at the end; default '.self::DEBRIEF_S, Kind::Duration, 0.0, 7200.0),
            new ObjectField('speeds', 'paces that are not the usual ones', new Shape(...CircuitReader::paces())),
        );
    }

    public function output(): array
    {
        return CircuitPresenter::schema();
    }

    public function effort(Values $input): float
    {
        $ways = count($input->objects('ways'));

        return Effort::QUICK + $ways ** 2 * ($ways > Exactly::MOST ? $ways * self::STEPS_OF_A_SEARCH : 2 ** $ways / 100.0 * self::STEPS_OF_A_SET);
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $seconds = (int) round(($input->number('minutes') ?? 0.0) * 60.0);
        $debrief = (int) round($input->duration('debrief')?->inSeconds() ?? self::DEBRIEF_S);
        $order = $input->choice('order', Order::class) ?? Order::Shortest;
        $drive = CircuitReader::drive($input, $seconds, $pack);
        $stops = CircuitReader::stops($input, $pack, $drive);
        $start = PositionField::read($input->object('start')) ?? throw BadInput::field('start', 'is missing.');
        $legs = Legs::between($start, PositionField::read($input->object('end')) ?? $start, $stops, $drive, CircuitReader::legs($input, $stops));
        $home = $legs->along([]) + $debrief;
        if ($home > $seconds) {
            throw BadInput::field('minutes', sprintf(
                'must be %d or more: the drive from start to end and the debrief alone take as long.', (int) ceil($home / 60.0),
            ));
        }
        $circuit = Circuit::of($order, $stops, $legs, $seconds, $debrief);

        return new Answer(
            $pack->code(), $pack->version(), CircuitPresenter::body($circuit, $stops, $drive), CircuitPresenter::assumptions($input, $drive, $stops),
        );
    }
}
