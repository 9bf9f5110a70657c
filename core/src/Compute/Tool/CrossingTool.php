<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Judgement\PersonCrossing;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\PeopleRule;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;

/** Somebody on foot in the road we enter: how long, and whether to wait. */
final class CrossingTool implements Tool
{
    use QuickAnswer;

    public function name(): string
    {
        return 'crossing';
    }

    public function about(): string
    {
        return 'Somebody crossing the road being entered: seconds until they are over, past the island and out of our way, and whether to wait under the '
            .'rule of the place.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new QuantityField('road_width', 'kerb to kerb where they cross', Kind::Distance, 2.0, 60.0))->required(),
            new QuantityField('island_at', 'walked from the kerb they left', Kind::Distance, 0.0, 60.0),
            (new QuantityField('person_at', 'walked from the kerb they left', Kind::Distance, 0.0, 60.0))->required(),
            (new FlagField('towards_us', 'they come towards our path, having left the far kerb'))->required(),
            new FlagField('waiting', 'they stand at the kerb and have not begun; default false'),
            new QuantityField('walking', 'walking speed; default the pack’s', Kind::Speed, 0.2, 4.0),
            new ObjectField('our_path', 'the part of the road our car drives over, walked from the kerb they left; default the half we enter', new Shape(
                (new QuantityField('from', 'near end', Kind::Distance, 0.0, 60.0))->required(),
                (new QuantityField('to', 'far end', Kind::Distance, 0.0, 60.0))->required(),
            )),
            PracticeField::field(),
        );
    }

    public function output(): array
    {
        return [
            'seconds_until_over' => Out::number('until they reach the other kerb'),
            'seconds_until_island' => Out::number('until they are past the island; null without one', nullable: true),
            'seconds_until_in_our_way' => Out::number('0 while they are; null once past', nullable: true),
            'seconds_until_out_of_our_way' => Out::number('until our path is behind them'),
            'wait_s' => Out::number('how long to wait under the rule and the practice; 0 to go'),
            'verdict' => ['enum' => ['wait', 'go']],
            'reason' => Out::text('the rule that decided'),
            'rule' => ['enum' => array_map(static fn (PeopleRule $rule): string => $rule->value, PeopleRule::cases())],
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $person = self::person($input, $pack);
        $practice = PracticeField::read($input, $pack);
        $towardsUs = $input->flag('towards_us') ?? throw BadInput::field('towards_us', 'is missing.');
        [$wait, $reason] = self::judge($person, $pack, $practice, $towardsUs, $input->flag('waiting') ?? false);
        $island = $person->secondsUntilIsland();
        $inOurWay = $person->secondsUntilInOurWay();

        return new Answer($pack->code(), $pack->version(), [
            'seconds_until_over' => round($person->secondsUntilOver(), 2),
            'seconds_until_island' => $island === null ? null : round($island, 2),
            'seconds_until_in_our_way' => $inOurWay === null ? null : round($inOurWay, 2),
            'seconds_until_out_of_our_way' => round($person->secondsUntilOutOfOurWay(), 2),
            'wait_s' => round($wait, 2),
            'verdict' => $wait > 0.0 ? 'wait' : 'go',
            'reason' => $reason,
            'rule' => $pack->peopleRule()->value,
        ], [
            new Assumption('walking speed', $person->walkingMps, 'm/s', $input->has('walking') ? Source::given() : $pack->walkingSpeedSource()),
            new Assumption(Wording::part($pack, 'to whom we {give way}'), $pack->peopleRule()->value, '', $pack->peopleRuleSource()),
            ...(
                $input->has('our_path')
                    ? []
                    : [new Assumption('our path', sprintf('%.1f to %.1f', $person->pathFromMetres, $person->pathToMetres), 'm', Source::assumed())]
            ),
            ...CommonFields::defaults($input, CommonFields::default('waiting', false)),
        ], []);
    }

    private static function person(Values $input, RulePack $pack): PersonCrossing
    {
        $width = $input->distance('road_width')?->inMetres() ?? throw BadInput::field('road_width_m', 'is missing.');
        $at = $input->distance('person_at')?->inMetres() ?? throw BadInput::field('person_at_m', 'is missing.');
        $island = $input->distance('island_at')?->inMetres();
        if ($at > $width) {
            throw BadInput::field('person_at_m', 'must not be beyond the road’s width.');
        }
        if ($island !== null && $island >= $width) {
            throw BadInput::field('island_at_m', 'must lie between the kerbs.');
        }
        $path = $input->object('our_path');
        // Whoever comes towards us has left the far kerb: the half we enter is the second they walk.
        [$from, $to] = $input->flag('towards_us') === true ? [$width / 2.0, $width] : [0.0, $width / 2.0];
        if ($path !== null) {
            [$from, $to] = [$path->distance('from')?->inMetres() ?? 0.0, $path->distance('to')?->inMetres() ?? 0.0];
            if ($from >= $to || $to > $width) {
                throw BadInput::field('our_path', 'must run from a nearer to a farther place within the road’s width.');
            }
        }

        return new PersonCrossing($width, $island, $at, ($input->speed('walking') ?? $pack->walkingSpeed())->inMetresPerSecond(), $from, $to);
    }

    /** @return array{float, string} seconds to wait, and why */
    private static function judge(PersonCrossing $person, RulePack $pack, Practice $practice, bool $towardsUs, bool $waiting): array
    {
        if ($person->atMetres >= $person->widthMetres) {
            return [0.0, 'They are over.'];
        }
        if ($waiting && $pack->peopleRule() !== PeopleRule::Waiting) {
            return [0.0, 'They have not begun to cross; slow, and ready for them to begin.'];
        }
        if ($waiting) {
            return [$person->secondsUntilOver(), 'Give way also to those waiting to cross the road being entered.'];
        }
        if ($towardsUs) {
            return [$person->secondsUntilOver(), 'Coming towards our path: wait until they are over.'];
        }
        $island = $person->secondsUntilIsland();
        if ($island !== null && $practice->answer('people') === 'past-island') {
            $wait = max($island, $person->secondsUntilOutOfOurWay());

            return [
                $wait,
                $wait > 0.0 ? 'Going away: wait at the least until they are past the island.' : 'Going away and past the island: go, where local law allows.',
            ];
        }

        return [$person->secondsUntilOver(), 'Going away: wait until they are over.'];
    }
}
